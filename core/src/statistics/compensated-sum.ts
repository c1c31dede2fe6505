/**
 * Sum of doubles with the running error carried along (Neumaier, Z. Angew. Math. Mech. 54 (1974) 39), so that the result is as good
 * as if it had been added in twice the precision.
 */
export function compensatedSum(values: Iterable<number>): number {
  let sum = 0;
  let lost = 0;
  for (const value of values) {
    const next = sum + value;
    lost += Math.abs(sum) >= Math.abs(value) ? sum - next + value : value - next + sum;
    sum = next;
  }
  return sum + lost;
}
