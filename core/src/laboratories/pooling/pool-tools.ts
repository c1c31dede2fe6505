import { againstTolerance, type ByTolerance } from '../../statistics/accuracy-and-precision.ts';
import { studentT95 } from '../../statistics/student-t.ts';
import { summarise } from '../../statistics/summarise.ts';
import { ranked } from '../comparing/compare-tools.ts';
import type { ToolCompared } from '../comparing/tools-compared.ts';

/** What a group has found of the tools it compared. */
export interface GroupTools {
  readonly group: string;
  readonly tools: readonly ToolCompared[];
}

/** A tool as a whole class found it. */
export interface PooledTool {
  readonly member: string;
  readonly name: string;
  readonly unit: string;
  /** Groups that have used it. */
  readonly groups: number;
  /** Mean of the groups’ mean errors, in the unit: each group counts the same. */
  readonly error: number;
  /** Half a 95 % interval of it, by what lies between the groups; null of one group. */
  readonly half: number | null;
  /** Standard deviation of repeats within the groups, put together: √(Σ(n − 1)s² ÷ Σ(n − 1)); null where no group has repeated. */
  readonly spread: number | null;
  /** In percent of what is accepted; null where the groups compared with different values, or with none. */
  readonly percentError: number | null;
  /** Null where groups used tools of different tolerances, or none is known. */
  readonly tolerance: number | null;
  readonly byTolerance: ByTolerance | null;
  /** From 1, by |error|. */
  readonly accuracy: number;
  /** From 1, by the spread; null without one. */
  readonly precision: number | null;
}

/** The one value that all have; null where they differ, or one has none. */
function common(values: readonly (number | null)[]): number | null {
  const [first = null] = values;
  return values.every((value) => value === first) ? first : null;
}

function pooledSpread(tools: readonly ToolCompared[]): number | null {
  let [squares, freedom] = [0, 0];
  for (const { errors } of tools) {
    const { n, sampleStandardDeviation: s } = summarise(errors);
    if (s === null) continue;
    squares += (n - 1) * s ** 2;
    freedom += n - 1;
  }
  return freedom === 0 ? null : Math.sqrt(squares / freedom);
}

type Unranked = Omit<PooledTool, 'accuracy' | 'precision'>;

function pooled(member: string, tools: readonly ToolCompared[]): Unranked {
  const { n, mean, standardError } = summarise(tools.map(({ errors }) => summarise(errors).mean));
  const half = standardError === null ? null : studentT95(n - 1) * standardError;
  const [accepted, tolerance] = [
    common(tools.map((tool) => tool.accepted)),
    common(tools.map((tool) => tool.tolerance)),
  ];
  return {
    member,
    name: tools[0]?.name ?? member,
    unit: tools[0]?.unit ?? '',
    groups: n,
    error: mean,
    half,
    spread: pooledSpread(tools),
    percentError: accepted === null || accepted === 0 ? null : (mean / accepted) * 100,
    tolerance,
    byTolerance: tolerance === null ? null : againstTolerance(mean, half, tolerance),
  };
}

/**
 * Puts together what the groups of a class found of the tools they compared. Groups count the same, however often each has repeated: what
 * lies between them (their hands, their balances) is not made smaller by repeating.
 * @returns the tools in the order in which the groups have them; none where nobody compared tools.
 */
export function poolTools(groups: readonly GroupTools[]): PooledTool[] {
  const found = new Map<string, ToolCompared[]>();
  for (const { tools } of groups)
    for (const tool of tools) {
      const key = `${tool.member} ${tool.unit}`;
      found.set(key, [...(found.get(key) ?? []), tool]);
    }
  const all = [...found.values()].map((tools) => pooled(tools[0]?.member ?? '', tools));
  const errors = all.map(({ error }) => Math.abs(error));
  const spreads = all.flatMap(({ spread }) => spread ?? []);
  return all.map((one) => ({
    ...one,
    accuracy: ranked(Math.abs(one.error), errors),
    precision: one.spread === null ? null : ranked(one.spread, spreads),
  }));
}
