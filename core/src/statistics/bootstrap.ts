import type { Random } from '../simulation/random.ts';

/** An interval that a statistic falls into when the values are drawn again from themselves. */
export interface Bootstrapped {
  readonly low: number;
  readonly high: number;
  readonly draws: number;
}

const CHUNK = 500;

/**
 * The percentile interval of a statistic by drawing as many values again from those there are, each as often as it comes (Efron, Ann.
 * Stat. 7 (1979) 1).
 * @param values at least two.
 * @param statistic of as many values.
 * @param options how often to draw, the coverage (0.95), and what is told after each part that is done, from 0 to 1.
 * @throws RangeError where there are fewer than two values: they show no scatter.
 */
export function bootstrap(
  values: readonly number[],
  statistic: (drawn: readonly number[]) => number,
  random: Random,
  {
    draws,
    coverage = 0.95,
    onProgress,
  }: { readonly draws: number; readonly coverage?: number; readonly onProgress?: (done: number) => void },
): Bootstrapped {
  const [first, second] = values;
  if (first === undefined || second === undefined)
    throw new RangeError(`values: ${values.length} is too few; at least two values show a scatter.`);
  const found = new Float64Array(draws);
  for (let i = 0; i < draws; i += 1) {
    found[i] = statistic(values.map(() => values[random.below(values.length)] ?? first));
    if ((i + 1) % CHUNK === 0) onProgress?.((i + 1) / draws);
  }
  found.sort();
  const at = (share: number): number => found[Math.min(draws - 1, Math.max(0, Math.round(share * draws - 0.5)))] ?? NaN;
  return { low: at((1 - coverage) / 2), high: at((1 + coverage) / 2), draws };
}
