import { compensatedSum } from '../statistics/compensated-sum.ts';
import { UncertaintyInputError } from './input.ts';

/** Two inputs, by index, and their correlation coefficient. */
export type CorrelatedPair = readonly [first: number, second: number, r: number];

/** What rounding may leave of a variance that is zero. */
const NO_VARIANCE = 1e-12;

/** Whether a symmetric matrix has no negative eigenvalue, by its Cholesky factor (Higham, Accuracy and Stability of Numerical Algorithms, 2002, 10.3). */
function isPositiveSemidefinite(matrix: readonly (readonly number[])[]): boolean {
  const factor: number[][] = [];
  const at = (i: number, j: number): number => factor[i]?.[j] ?? 0;
  for (const [i, row] of matrix.entries()) {
    const next: number[] = [];
    factor.push(next);
    for (let j = 0; j <= i; j += 1) {
      const rest = (row[j] ?? 0) - compensatedSum(next.slice(0, j).map((entry, k) => entry * at(j, k)));
      if (i === j) {
        if (rest < -NO_VARIANCE) return false;
        next.push(Math.sqrt(Math.max(0, rest)));
      } else if (at(j, j) > Math.sqrt(NO_VARIANCE)) next.push(rest / at(j, j));
      // Of an input that is wholly known by others nothing is left to go with this one.
      else if (Math.abs(rest) > Math.sqrt(NO_VARIANCE)) return false;
      else next.push(0);
    }
  }
  return true;
}

/**
 * Stated correlations as pairs of indices, each pair once.
 * @throws UncertaintyInputError for a name that is none, a coefficient beyond ±1, two for one pair, or coefficients that cannot all be true.
 */
export function correlatedPairs(
  names: readonly string[],
  correlations: readonly (readonly [string, string, number])[],
): CorrelatedPair[] {
  const stated = new Map<string, CorrelatedPair>();
  for (const [first, second, r] of correlations) {
    const [i, j] = [names.indexOf(first), names.indexOf(second)];
    if (i < 0 || j < 0) throw new UncertaintyInputError('correlations', `${i < 0 ? first : second} is not an input.`);
    if (!(Math.abs(r) <= 1))
      throw new UncertaintyInputError(
        'correlations',
        `${String(r)} between ${first} and ${second} is not between −1 and 1.`,
      );
    if (i === j) throw new UncertaintyInputError('correlations', `${first} is always fully correlated with itself.`);
    const key = `${Math.min(i, j)} ${Math.max(i, j)}`;
    const before = stated.get(key)?.[2];
    if (before !== undefined && before !== r)
      throw new UncertaintyInputError('correlations', `${first} and ${second} have both ${before} and ${r}.`);
    stated.set(key, [i, j, r]);
  }
  const matrix = names.map((_, i) => names.map((__, j): number => (i === j ? 1 : 0)));
  for (const [i, j, r] of stated.values()) {
    const [rowI, rowJ] = [matrix[i], matrix[j]];
    if (rowI && rowJ) rowI[j] = rowJ[i] = r;
  }
  if (!isPositiveSemidefinite(matrix))
    throw new UncertaintyInputError(
      'correlations',
      'these coefficients cannot all be true together: two inputs that go with a third go with each other.',
    );
  return [...stated.values()];
}
