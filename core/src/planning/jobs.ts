import { inOrder, type PlanProblem, type PlanStep } from './plan.ts';

/** A stretch of time within a job. In minutes, from the job’s beginning. */
interface Stretch {
  readonly from: number;
  readonly minutes: number;
}

/** That a job cannot be at a point of its own before another one is at a point of that. */
interface Precedence {
  readonly job: number;
  /** The other’s point, in minutes from its beginning. */
  readonly at: number;
  /** The own point, in minutes from the beginning. */
  readonly own: number;
}

/** Steps that are placed as one, since each begins with the end of the one before it; mostly a single step. */
export interface Job {
  readonly parts: readonly { readonly step: PlanStep; readonly from: number }[];
  readonly minutes: number;
  readonly hands: readonly Stretch[];
  /** Kinds of tools by their number, each kept from the first to the last part that needs it. */
  readonly tools: readonly (Stretch & { readonly kind: number })[];
  readonly before: readonly Precedence[];
}

/** A lesson as numbers: what every group has to do, and how many there are of each kind of tool. */
export interface Jobs {
  readonly groups: number;
  readonly kinds: readonly string[];
  readonly counts: readonly number[];
  readonly jobs: readonly Job[];
}

/** A step, what follows it, what follows that. */
function chainOf(first: PlanStep, steps: readonly PlanStep[]): PlanStep[] {
  const next = steps.find(({ follows }) => follows === first.id);
  return next ? [first, ...chainOf(next, steps)] : [first];
}

/** What every group has to do, as jobs. */
export function jobsOf({ groups, steps, tools }: PlanProblem): Jobs {
  const kinds = Object.keys(tools);
  const chains = inOrder(steps)
    .filter(({ follows }) => follows === undefined)
    .map((first) => {
      let from = 0;
      return chainOf(first, steps).map((step) => {
        const part = { step, from };
        from += step.minutes;
        return part;
      });
    });
  const placeOf = new Map(
    chains.flatMap((parts, job) => parts.map(({ step, from }) => [step.id, { job, at: from + step.minutes }] as const)),
  );
  const jobs = chains.map((parts, job): Job => {
    const used = [...new Set(parts.flatMap(({ step }) => step.tools))];
    return {
      parts,
      minutes: parts.reduce((sum, { step }) => sum + step.minutes, 0),
      hands: parts.flatMap(({ step, from }) => (step.attention === 'hands' ? { from, minutes: step.minutes } : [])),
      tools: used.map((kind) => {
        const using = parts.filter(({ step }) => step.tools.includes(kind));
        const from = Math.min(...using.map((part) => part.from));
        const end = Math.max(...using.map((part) => part.from + part.step.minutes));
        return { kind: kinds.indexOf(kind), from, minutes: end - from };
      }),
      before: parts.flatMap(({ step, from }) =>
        step.after.flatMap((id) => {
          const other = placeOf.get(id);
          return other && other.job !== job ? { ...other, own: from } : [];
        }),
      ),
    };
  });
  return { groups, kinds, counts: kinds.map((kind) => tools[kind] ?? 0), jobs };
}

/** The same lesson backwards in time. */
export function backwards(lesson: Jobs): Jobs {
  const { jobs } = lesson;
  const turned = <Part extends Stretch>(part: Part, minutes: number): Part => ({
    ...part,
    from: minutes - part.from - part.minutes,
  });
  return {
    ...lesson,
    jobs: jobs.map(({ parts, minutes, hands, tools }, job) => ({
      parts,
      minutes,
      hands: hands.map((part) => turned(part, minutes)),
      tools: tools.map((part) => turned(part, minutes)),
      before: jobs.flatMap((other, index) =>
        other.before
          .filter((precedence) => precedence.job === job)
          .map(({ at, own }) => ({ job: index, at: other.minutes - own, own: minutes - at })),
      ),
    })),
  };
}
