import { Rational } from '../../numbers/rational.ts';
import { numberOf } from '../engine/cell.ts';
import { perToolUnit } from '../engine/entry-cell.ts';
import type { WorkedNumbers } from '../engine/evaluate.ts';
import { summarise } from '../../statistics/summarise.ts';
import type { Comparison } from '../protocol/protocol.ts';

/** A tool whose readings of one thing are compared with those of others. */
export interface ToolCompared {
  /** Of the dimension that tools are compared over. */
  readonly member: string;
  readonly name: string;
  readonly unit: string;
  /** How far each repeat is off, in its order, in the unit. */
  readonly errors: readonly number[];
  /** What it should have given, in the unit; null where that is not the same for all repeats. */
  readonly accepted: number | null;
  /** What its maker allows to either side, in the unit; null where that is not known. */
  readonly tolerance: number | null;
  /** Whether the repeats follow one another, each sharing a weighing with the next: then they are not independent. */
  readonly inSequence: boolean;
}

type Rank = Extract<Comparison, { readonly kind: 'rank' }>;

/** What a protocol ranks tools by: how far they are off, and how they scatter. */
interface Ranked {
  readonly over: string;
  readonly error: string;
  readonly spread: string;
}

/** Statistics that say how repeats scatter. */
const SPREADS: ReadonlySet<string> = new Set(['sd', 'averageDeviation', 'range', 'se']);

/** The statistic that a quantity is, where its formula is nothing else; null otherwise. */
function spreadOf({ setting }: WorkedNumbers, quantity: string): { readonly reduced: readonly string[] } | null {
  const formula = setting.layout.formulas.get(quantity);
  const tree = formula?.whole.tree;
  const term = tree?.kind === 'name' ? formula?.terms.get(tree.name) : undefined;
  return term?.kind === 'aggregate' && SPREADS.has(term.name) ? { reduced: term.reduced } : null;
}

/** What tools are ranked by in a run’s laboratory; null where it does not rank tools twice, by error and by scatter. */
function rankedIn(run: WorkedNumbers): Ranked | null {
  const ranks = run.setting.layout.protocol.comparisons.filter((one): one is Rank => one.kind === 'rank');
  const spread = ranks.find(({ quantity }) => spreadOf(run, quantity) !== null);
  const error = ranks.find(({ over, quantity }) => over === spread?.over && quantity !== spread.quantity);
  return spread && error ? { over: spread.over, error: error.quantity, spread: spread.quantity } : null;
}

function valueAt(run: WorkedNumbers, quantity: string, member: Readonly<Record<string, string>>): number | null {
  return numberOf(run.cellAt(quantity, member))?.value.toNumber() ?? null;
}

/** What a tool should have given, by the result that has it as its accepted value. */
function acceptedAt(run: WorkedNumbers, at: Readonly<Record<string, string>>): number | null {
  for (const { accepted } of run.setting.layout.protocol.results)
    if (accepted?.kind === 'quantity' && run.setting.layout.quantities.has(accepted.quantity))
      return valueAt(run, accepted.quantity, at);
  return null;
}

/**
 * The tools that a laboratory compares, each with its repeats as errors: by how far the repeat lies from their mean, and the mean from
 * what is accepted. Those without a repeat or without an error are left out.
 * @returns null where the laboratory does not compare tools.
 */
export function toolsCompared(run: WorkedNumbers): ToolCompared[] | null {
  const ranked = rankedIn(run);
  if (!ranked) return null;
  const { over, error, spread } = ranked;
  const quantity = run.setting.layout.quantities.get(spread);
  const repeated = spreadOf(run, spread)?.reduced.map((id) => run.setting.layout.dimensions.get(id)?.kind) ?? [];
  const unit = quantity && 'unit' in quantity ? quantity.unit : '';
  return (run.setting.members.get(over) ?? []).flatMap(({ id: member, name, tool }): ToolCompared[] => {
    const at = { [over]: member };
    const mean = valueAt(run, error, at);
    if (mean === null) return [];
    // One repeat alone has no scatter, and is as far off as their mean.
    const repeats = run.workingOf(spread, at)?.aggregates[0]?.rows.map(({ values: [value = 0] }) => value) ?? [0];
    const middle = summarise(repeats).mean;
    const tolerance =
      tool && tool.tolerance > 0 ? perToolUnit(tool, unit).times(Rational.of(tool.tolerance)).toNumber() : null;
    return [
      {
        member,
        name,
        unit,
        errors: repeats.map((value) => mean + (value - middle)),
        accepted: acceptedAt(run, at),
        tolerance,
        inSequence: repeated.includes('sequence'),
      },
    ];
  });
}
