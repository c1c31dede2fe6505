import { describe, expect, it } from 'vitest';
import { seededRandom, type Random } from '../simulation/random.ts';
import { consensus, tooSmallTogether } from './consensus.ts';

/** Thirteen trials of a vaccine: ill and well with it, ill and well without (Colditz et al., J. Am. Med. Assoc. 271 (1994) 698). */
const TRIALS = [
  [4, 119, 11, 128],
  [6, 300, 29, 274],
  [3, 228, 11, 209],
  [62, 13536, 248, 12619],
  [33, 5036, 47, 5761],
  [180, 1361, 372, 1079],
  [8, 2537, 10, 619],
  [505, 87886, 499, 87892],
  [29, 7470, 45, 7232],
  [17, 1699, 65, 1600],
  [186, 50448, 141, 27197],
  [5, 2493, 3, 2338],
  [27, 16886, 29, 17825],
] as const;
/** Logarithms of their relative risks, and the standard uncertainty of each. */
const RISKS = TRIALS.map(([a, b, c, d]) => Math.log(a / (a + b) / (c / (c + d))));
const OF_EACH = TRIALS.map(([a, b, c, d]) => Math.sqrt(1 / a - 1 / (a + b) + 1 / c - 1 / (c + d)));

/** How many sets that agree have somebody who is said to disagree. */
function accused(random: Random, sets: number, n: number, between: number): number {
  let found = 0;
  for (let i = 0; i < sets; i += 1) {
    const standard = Array.from({ length: n }, () => 0.5 + random.uniform());
    const values = standard.map((u) => 20 + between * random.normal() + u * random.normal());
    if (consensus(values, standard).disagreeing.length > 0) found += 1;
  }
  return found / sets;
}

describe('a consensus', () => {
  it('of the vaccine trials is what is published for them by this method (Viechtbauer, J. Stat. Softw. 36 (2010) 3)', () => {
    const { value, standard, betweenGroups } = consensus(RISKS, OF_EACH);
    expect(betweenGroups ** 2).toBeCloseTo(0.3181, 4);
    expect(value).toBeCloseTo(-0.715, 4);
    expect(standard).toBeCloseTo(0.1809, 4);
  });

  it('makes the results scatter as they should: Σ (x − mean)² ÷ (u² + between²) = n − 1', () => {
    const { value, betweenGroups } = consensus(RISKS, OF_EACH);
    const squares = RISKS.map((x, i) => (x - value) ** 2 / ((OF_EACH[i] ?? 0) ** 2 + betweenGroups ** 2));
    expect(squares.reduce((sum, one) => sum + one)).toBeCloseTo(RISKS.length - 1, 9);
  });

  it('of results that scatter less than their uncertainties is the usual weighted mean', () => {
    // By hand: weights 1, 1 and ¼ of 2¼.
    const { value, standard, betweenGroups, weights } = consensus([8.6, 8.8, 9], [0.5, 0.5, 1]);
    expect(betweenGroups).toBe(0);
    expect(weights.map((weight) => weight * 2.25)).toEqual([
      expect.closeTo(1, 12),
      expect.closeTo(1, 12),
      expect.closeTo(0.25, 12),
    ]);
    expect(value).toBeCloseTo((8.6 + 8.8 + 9 / 4) / 2.25, 12);
    expect(standard).toBeCloseTo(0.5 / Math.sqrt(2.25), 12);
  });

  it('of results with no uncertainty of their own is their mean, with its standard error', () => {
    const { value, standard, betweenGroups } = consensus([2, 4, 6], [0, 0, 0]);
    expect([value, betweenGroups, standard]).toEqual([
      expect.closeTo(4, 12),
      expect.closeTo(2, 9),
      expect.closeTo(2 / Math.sqrt(3), 9),
    ]);
  });

  it('of one is that one; of equal ones has nothing between them', () => {
    expect(consensus([8.7], [0.2])).toMatchObject({ value: 8.7, standard: 0.2, betweenGroups: 0, disagreeing: [] });
    expect(consensus([5, 5, 5, 5], [0.1, 0.1, 0.1, 0.1])).toMatchObject({
      value: 5,
      betweenGroups: 0,
      disagreeing: [],
    });
    expect(consensus([5, 5, 5, 5], [0, 0.1, 0, 0.1])).toMatchObject({ value: 5, standard: 0, disagreeing: [] });
  });

  it('moves with its results and grows with their unit', () => {
    const [one, other] = [
      consensus(RISKS, OF_EACH),
      consensus(
        RISKS.map((x) => 1000 * x + 5),
        OF_EACH.map((u) => 1000 * u),
      ),
    ];
    expect(other.value).toBeCloseTo(1000 * one.value + 5, 6);
    expect(other.betweenGroups).toBeCloseTo(1000 * one.betweenGroups, 6);
  });

  it('names the one that lies off, and no other', () => {
    const values = [8.61, 8.72, 8.66, 8.7, 10.9, 8.69, 8.64, 8.74];
    expect(
      consensus(
        values,
        values.map(() => 0.05),
      ).disagreeing,
    ).toEqual([4]);
  });

  it('accuses nobody among three', () => {
    expect(consensus([8.6, 8.6, 30], [0.1, 0.1, 0.1]).disagreeing).toEqual([]);
  });

  it.each([
    [4, 0],
    [6, 0],
    [12, 0],
    [4, 1],
    [6, 1],
    [12, 1],
    [12, 5],
    [30, 2],
  ])('of %i that agree, with %i between them, accuses in at most one set of twenty', (n, between) => {
    const SETS = 500;
    // Four standard deviations of so many sets above.
    const most = 0.05 + 4 * Math.sqrt((0.05 * 0.95) / SETS);
    expect(accused(seededRandom(1000 * n + between), SETS, n, between)).toBeLessThan(most);
  });

  it.each([
    [[], [], /^values: at least one/],
    [[1, 2], [1], /^standard: 1 uncertainties for 2 values/],
    [[1, NaN], [1, 1], /^values\[1\]: NaN/],
    [[1, 2], [1, -1], /^standard\[1\]: -1 is below 0/],
  ])('refuses %j with %j', (values, standard, message) => {
    expect(() => consensus(values, standard)).toThrow(message);
  });
});

describe('chances that are looked at together', () => {
  it('are held against a bound each (Holm’s own example of three at 5 %)', () => {
    expect(tooSmallTogether([0.01, 0.04, 0.03], 0.05)).toEqual([0]);
    expect(tooSmallTogether([0.01, 0.024, 0.04], 0.05)).toEqual([0, 1, 2]);
    expect(tooSmallTogether([0.02, 0.02, 0.02], 0.05)).toEqual([]);
    expect(tooSmallTogether([], 0.05)).toEqual([]);
  });
});
