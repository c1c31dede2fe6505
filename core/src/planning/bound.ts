import { inOrder, needsOf, type PlanProblem, type PlanStep } from './plan.ts';

const sum = (numbers: readonly number[]): number => numbers.reduce((total, one) => total + one, 0);

/** For each step the least time before it can begin, and after it has ended, by what it needs and what needs it. */
export function headsAndTails(steps: readonly PlanStep[]): {
  readonly heads: ReadonlyMap<string, number>;
  readonly tails: ReadonlyMap<string, number>;
} {
  const ordered = inOrder(steps);
  const heads = new Map<string, number>();
  for (const step of ordered)
    heads.set(
      step.id,
      Math.max(
        0,
        ...needsOf(step).map((other) => (heads.get(other) ?? 0) + (steps.find(({ id }) => id === other)?.minutes ?? 0)),
      ),
    );
  const tails = new Map<string, number>(steps.map(({ id }) => [id, 0]));
  for (const step of [...ordered].reverse())
    for (const other of needsOf(step))
      tails.set(other, Math.max(tails.get(other) ?? 0, (tails.get(step.id) ?? 0) + step.minutes));
  return { heads, tails };
}

/**
 * A time that no plan can be shorter than: what one group has to do with its hands, the longest chain of steps, and what the tool that most
 * groups must share has to do, since some tool serves at least groups ÷ tools of them.
 */
export function lowerBound({ groups, steps, tools }: PlanProblem): number {
  const { heads, tails } = headsAndTails(steps);
  const least = (of: readonly PlanStep[], ends: ReadonlyMap<string, number>): number =>
    Math.min(...of.map(({ id }) => ends.get(id) ?? 0));
  const chain = Math.max(...steps.map(({ id, minutes }) => (heads.get(id) ?? 0) + minutes + (tails.get(id) ?? 0)));
  const hands = steps.filter(({ attention }) => attention === 'hands');
  const byHand =
    hands.length === 0 ? 0 : least(hands, heads) + sum(hands.map(({ minutes }) => minutes)) + least(hands, tails);
  const byTool = Object.entries(tools).map(([kind, count]) => {
    const using = steps.filter((step) => step.tools.includes(kind));
    if (using.length === 0) return 0;
    const served = Math.ceil(groups / count);
    return least(using, heads) + served * sum(using.map(({ minutes }) => minutes)) + least(using, tails);
  });
  return Math.max(chain, byHand, ...byTool);
}
