import fCdf from '@stdlib/stats-base-dists-f-cdf';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { UnreadableEntryError } from '../../reading/judging/entry.ts';
import { readingStep } from '../../reading/expected-reading.ts';
import { isGiven } from '../../reading/indication/resolution.ts';
import { compensatedSum } from '../../statistics/compensated-sum.ts';
import { summarise } from '../../statistics/summarise.ts';
import { parseUnit } from '../../units/unit.ts';
import { isExcluded, placesOf, toolAt, type Setting } from '../engine/setting.ts';
import type { ReadQuantity } from '../protocol/protocol.ts';
import { addressKey, cellKey, membersOf, type Members } from '../run/address.ts';
import { resultIn } from '../run/result-in.ts';

/** A quantity whose repeats lie closer together in one group than in the others. */
export interface TooEven {
  readonly quantity: string;
  readonly name: string;
  readonly unit: string;
  /** Standard deviation of its repeats, pooled, in the unit of the quantity. */
  readonly own: number;
  /** The same of the other groups. */
  readonly others: number;
}

/** Fewer repeats say nothing of how they scatter. */
const FEWEST = 4;
/** In one class of a hundred, chance alone would have some group named. */
const LEVEL = 0.01;

/** How values scatter about the means of their repeats. */
interface Scatter {
  readonly squares: number;
  readonly freedom: number;
}

function valueAt(setting: Setting, { id, unit }: ReadQuantity, members: Members): number | null {
  const text = setting.slots.get(addressKey({ kind: 'cell', quantity: id, members }))?.current.text.trim() ?? '';
  if (text === '') return null;
  try {
    return parseEntry(resultIn(text), parseUnit(unit)).value;
  } catch (error) {
    if (error instanceof UnreadableEntryError) return null;
    throw error;
  }
}

/** The scatter of what was estimated or chosen at the tool; null where too few were, or where a display shows it. */
function scatterOf(setting: Setting, quantity: ReadQuantity): Scatter | null {
  const repeats = quantity.over.filter((id) => {
    const dimension = setting.layout.dimensions.get(id);
    return dimension?.kind === 'repeat' && !dimension.places;
  });
  const others = quantity.over.filter((id) => !repeats.includes(id));
  if (repeats.length === 0) return null;
  const byThing = new Map<string, number[]>();
  for (const members of placesOf(setting, quantity.over, quantity.only)) {
    const tool = toolAt(setting, quantity, members);
    if (!tool || isGiven(readingStep(tool.instrument, setting.rules).lastDigit) || isExcluded(setting, members))
      continue;
    const value = valueAt(setting, quantity, members);
    const thing = cellKey(quantity.id, membersOf(members, others));
    if (value !== null) byThing.set(thing, [...(byThing.get(thing) ?? []), value]);
  }
  const sets = [...byThing.values()].filter((values) => values.length > 1);
  const freedom = sets.reduce((sum, values) => sum + values.length - 1, 0);
  if (freedom < FEWEST - 1) return null;
  const squares = compensatedSum(
    sets.map((values) => (summarise(values).sampleStandardDeviation ?? 0) ** 2 * (values.length - 1)),
  );
  return { squares, freedom };
}

/**
 * Quantities whose repeats lie much closer together in one group than in all others together, by the ratio of their variances (Fisher’s
 * F, one-sided, 1 % shared among all that is compared: Bonferroni). It is no proof of anything: it is told to the teacher, who asks how
 * they were taken.
 * @param groups the runs of one laboratory.
 * @returns for each run what is too even in it.
 */
export function tooEven(groups: readonly Setting[]): TooEven[][] {
  const found = groups.map((): TooEven[] => []);
  const quantities = [...(groups[0]?.layout.quantities.values() ?? [])].filter((one) => one.kind === 'read');
  const compared = quantities.map((quantity) => groups.map((setting) => scatterOf(setting, quantity)));
  const tests = compared.flat().filter((scatter) => scatter !== null).length;
  for (const [i, scatters] of compared.entries()) {
    const { id, name, unit } = quantities[i] as ReadQuantity;
    for (const [group, own] of scatters.entries()) {
      const rest = scatters.filter((other, j) => j !== group && other !== null) as Scatter[];
      const squares = compensatedSum(rest.map((other) => other.squares));
      const freedom = rest.reduce((sum, other) => sum + other.freedom, 0);
      if (!own || rest.length < 2 || squares === 0) continue;
      const ratio = own.squares / own.freedom / (squares / freedom);
      if (fCdf(ratio, own.freedom, freedom) >= LEVEL / tests) continue;
      found[group]?.push({
        quantity: id,
        name,
        unit,
        own: Math.sqrt(own.squares / own.freedom),
        others: Math.sqrt(squares / freedom),
      });
    }
  }
  return found;
}
