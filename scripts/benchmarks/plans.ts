import { planLesson, seededRandom, type PlanProblem } from '@green-beam/core';

const LESSONS = 10;
/** As long as the planning page looks for a better plan, in ms. */
const FOR = 1800;
const KINDS = ['balance', 'plate', 'caliper', 'micrometer', 'burette', 'thermometer', 'hydrometer', 'barometer'];

const random = seededRandom(20);

/** Twelve groups, twenty steps, eight kinds of tools. */
function lesson(): PlanProblem {
  return {
    groups: 12,
    tools: Object.fromEntries(KINDS.map((kind) => [kind, 1 + random.below(5)])),
    steps: Array.from({ length: 20 }, (_, i) => ({
      id: `s${i}`,
      minutes: 1 + random.below(6),
      attention: random.uniform() < 0.15 ? 'waiting' : 'hands',
      after: i > 0 && random.uniform() < 0.4 ? [`s${Math.max(0, i - 1 - random.below(3))}`] : [],
      tools: random.uniform() < 0.45 ? [KINDS[random.below(KINDS.length)] ?? 'balance'] : [],
    })),
  };
}

const found = Array.from({ length: LESSONS }, (_, i) => {
  const begun = performance.now();
  for (const { plan, tried } of planLesson(lesson(), seededRandom(i)))
    if (performance.now() - begun > FOR || plan.minutes === plan.bound)
      return { ratio: plan.minutes / plan.bound, tried };
  return { ratio: NaN, tried: 0 };
});
const longest = Math.max(...found.map(({ ratio }) => ratio));
process.stdout.write(
  `Plans of twelve groups, 20 steps and 8 kinds of tools, ${FOR} ms each: the longest of ${LESSONS} is ${longest.toFixed(3)} times as long as none can be shorter; ${found.map(({ tried }) => tried).join(', ')} orders\n`,
);
