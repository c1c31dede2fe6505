import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { bootstrap } from './bootstrap.ts';

const meanOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('an interval by drawing again', () => {
  it('of a mean comes near mean ± 1.96 σ ÷ √n', () => {
    const random = seededRandom(1979);
    const values = Array.from({ length: 200 }, () => 10 + random.normal());
    const mean = meanOf(values);
    const sigma = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
    const { low, high } = bootstrap(values, meanOf, random, { draws: 20_000 });
    expect(low).toBeCloseTo(mean - (1.96 * sigma) / Math.sqrt(200), 1);
    expect(high).toBeCloseTo(mean + (1.96 * sigma) / Math.sqrt(200), 1);
  });

  it('of two values has the four means there are: the lowest and the highest come once in four', () => {
    const { low, high } = bootstrap([0, 1], meanOf, seededRandom(2), { draws: 4000 });
    expect([low, high]).toEqual([0, 1]);
    const narrow = bootstrap([0, 1], meanOf, seededRandom(2), { draws: 4000, coverage: 0.4 });
    expect([narrow.low, narrow.high]).toEqual([0.5, 0.5]);
  });

  it('is the same again by the same seed, and tells how far it is', () => {
    const told: number[] = [];
    const drawn = (): object =>
      bootstrap([1, 2, 4, 8], meanOf, seededRandom(5), { draws: 2000, onProgress: (done) => told.push(done) });
    expect(drawn()).toEqual(drawn());
    expect(told.slice(0, 4)).toEqual([0.25, 0.5, 0.75, 1]);
  });

  it('needs two values', () => {
    expect(() => bootstrap([1], meanOf, seededRandom(1), { draws: 10 })).toThrow(/^values: 1 is too few/);
  });
});
