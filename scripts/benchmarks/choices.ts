import {
  instrumentIds,
  completeRules,
  drawTask,
  planForBelief,
  PRIORS,
  subjectsNamed,
  updated,
  type Belief,
} from '../../core/src/index.ts';

const ATTEMPTS = 2000;
const CHOICES = 200;
const rules = completeRules();

/** What is believed after many attempts is as large as after few: the choice does not look at them again. */
function believed(): Belief {
  let belief: Belief = PRIORS.reading;
  for (let seed = 0; seed < ATTEMPTS; seed += 1) {
    const tools = instrumentIds();
    const task = drawTask(tools[seed % tools.length] ?? 'cylinder-50', { seed, rules });
    belief = updated(belief, task, task, `${task.situation.value.toFixed(1)} mL`);
  }
  return belief;
}

const belief = believed();
const times = Array.from({ length: CHOICES }, (_, seed) => {
  const start = performance.now();
  const [item] = planForBelief(belief, { subjects: subjectsNamed([]), count: 1, seed, rules });
  if (item) drawTask(item.subjectId, { seed: item.seed, aim: item.aim, rules });
  return performance.now() - start;
})
  .slice(1)
  .sort((a, b) => a - b);
const part = (share: number): string => (times[Math.floor(share * times.length)] ?? 0).toFixed(1);
process.stdout.write(
  `choosing and drawing the next item after ${ATTEMPTS} attempts: median ${part(0.5)} ms, 95th percentile ${part(0.95)} ms (aim: under 20 ms)\n`,
);
