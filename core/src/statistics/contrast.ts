import { seededRandom } from '../simulation/random.ts';
import { shuffled } from '../simulation/shuffled.ts';
import { compensatedSum } from './compensated-sum.ts';
import { studentT95 } from './student-t.ts';
import { summarise } from './summarise.ts';
import { differenceOfMeans } from './welch.ts';

/** Results with something, such as one balance, against those without it. */
export interface Contrast {
  /** Mean with − mean without. */
  readonly difference: number;
  /** 95 % interval of the difference (Welch); null where a side has one result, or neither scatters. */
  readonly interval: readonly [number, number] | null;
  /** In what part of all ways to deal the results out the two sides would lie at least so far apart: 0 to 1. */
  readonly chance: number;
  /** How many ways were looked at: all of them, or so many dealt by chance. */
  readonly ways: number;
}

/** Up to so many ways to deal the results out are all looked at. */
const ALL_WAYS = 200_000;
const DEALT = 100_000;
const SEED = 1935;
/** Sums of the same numbers in another order differ by rounding. */
const ROUNDING = 1e-12;

function waysToChoose(n: number, k: number): number {
  let ways = 1;
  for (let i = 1; i <= Math.min(k, n - k) && ways <= ALL_WAYS; i += 1) ways = (ways * (n - Math.min(k, n - k) + i)) / i;
  return ways;
}

/** Calls back with the sum of each choice of so many of the values. */
function eachSum(values: readonly number[], k: number, visit: (sum: number) => void): void {
  const go = (from: number, left: number, sum: number): void => {
    if (left === 0) {
      visit(sum);
      return;
    }
    for (let i = from; i <= values.length - left; i += 1) go(i + 1, left - 1, sum + (values[i] ?? 0));
  };
  go(0, k, 0);
}

function intervalOf(a: readonly number[], b: readonly number[]): readonly [number, number] | null {
  if (a.length < 2 || b.length < 2) return null;
  const { difference, standard, df } = differenceOfMeans(a, b);
  if (standard === 0) return null;
  const half = studentT95(df) * standard;
  return [difference - half, difference + half];
}

/**
 * Compares results with something and without it, by dealing them out to the two sides in every way (Pitman, J. R. Stat. Soc. Suppl. 4
 * (1937) 119): nothing is assumed of how they scatter.
 * @param values results in one unit, and which of them have it: at least one has and one has not.
 * @throws RangeError where all have it or none.
 */
export function contrast(values: readonly number[], has: readonly boolean[]): Contrast {
  const [yes, no] = [values.filter((_, i) => has[i]), values.filter((_, i) => !has[i])];
  if (yes.length === 0 || no.length === 0)
    throw new RangeError(`has: ${yes.length} of ${values.length} results have it; some must have it and some not.`);
  const n = values.length;
  const { mean } = summarise(values);
  const about = values.map((value) => value - mean);
  // The difference of the means grows with the sum of one side about the mean of all.
  const sum = compensatedSum(about.filter((_, i) => has[i]));
  const least = Math.abs(sum) - ROUNDING * compensatedSum(about.map(Math.abs));
  let [ways, further] = [0, 0];
  const visit = (other: number): void => {
    ways += 1;
    if (Math.abs(other) >= least) further += 1;
  };
  if (waysToChoose(n, yes.length) <= ALL_WAYS) eachSum(about, yes.length, visit);
  else {
    // As it was found is one of the ways.
    visit(sum);
    const random = seededRandom(SEED);
    while (ways < DEALT) visit(compensatedSum(shuffled(random, about).slice(0, yes.length)));
  }
  return {
    difference: summarise(yes).mean - summarise(no).mean,
    interval: intervalOf(yes, no),
    chance: further / ways,
    ways,
  };
}
