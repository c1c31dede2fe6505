import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { brownForsythe } from './brown-forsythe.ts';

/** Diameters of gears in ten batches, as thousandths above 0.980 (NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.10, GEAR.DAT). */
const GEARS = [
  [26, 16, 18, 20, 12, 13, 22, 19, 14, 20],
  [18, 26, 20, 22, 17, 18, 16, 20, 26, 8],
  [11, 7, 17, 19, 15, 14, 20, 19, 16, 16],
  [25, 22, 14, 20, 15, 14, 18, 16, 22, 16],
  [18, 18, 2, 10, 22, 4, 16, 13, 0, 16],
  [29, 33, 29, 17, 8, 22, 15, 18, 1, 16],
  [10, 24, 16, 21, 18, 20, 38, 30, 16, 22],
  [18, 20, 26, 20, 22, 16, 18, 16, 22, 26],
  [22, 18, 16, 15, 16, 24, 24, 18, 19, 11],
  [11, 15, 4, 14, 17, 17, 11, 18, 24, 17],
];

describe('Brown and Forsythe’s test', () => {
  it('gives for the gears what the handbook prints, and no reason to doubt their equal scatter', () => {
    const { F, df, p } = brownForsythe(GEARS);
    expect(F).toBeCloseTo(1.70591, 4);
    expect(df).toEqual([9, 90]);
    // The handbook’s critical value at 5 %, 1.9855, lies above.
    expect(F).toBeLessThan(1.9855);
    expect(p).toBeGreaterThan(0.05);
  });

  it('is the same in any unit and from any zero', () => {
    const inMetres = GEARS.map((batch) => batch.map((thousandth) => 0.98 + thousandth / 1000));
    expect(brownForsythe(inMetres).F).toBeCloseTo(brownForsythe(GEARS).F, 8);
  });

  it('worked by hand: distances 1, 0, 1 and 3, 0, 3', () => {
    // Means ⅔ and 2; between 3·2·(⅔)² = 8 ÷ 3; within (2 ÷ 3 + 6) ÷ 4 = 5 ÷ 3.
    const { F, df, p } = brownForsythe([
      [1, 2, 3],
      [7, 10, 13],
    ]);
    expect(F).toBeCloseTo(8 / 3 / (5 / 3), 12);
    expect(df).toEqual([1, 4]);
    // F with 1 and 4 is t² with 4, in closed form.
    const t = Math.sqrt(F);
    expect(p).toBeCloseTo(1 - (t * (t ** 2 + 6)) / (t ** 2 + 4) ** 1.5, 10);
  });

  it('finds a difference in at most five of a hundred sets that have none', () => {
    const random = seededRandom(1974);
    const SETS = 10_000;
    const found = Array.from({ length: SETS }, () =>
      brownForsythe([8, 8, 8].map((n) => Array.from({ length: n }, () => random.normal()))),
    ).filter(({ p }) => p < 0.05).length;
    expect(found / SETS).toBeLessThan(0.055);
    expect(found / SETS).toBeGreaterThan(0.02);
  });

  it('sees that one set scatters four times as far', () => {
    const random = seededRandom(4);
    const sets = [1, 4].map((size) => Array.from({ length: 20 }, () => size * random.normal()));
    expect(brownForsythe(sets).p).toBeLessThan(0.01);
  });

  it('says what it lacks', () => {
    expect(() => brownForsythe([[1, 2]])).toThrow(/^groups: 1 is too few/);
    expect(() => brownForsythe([[1, 2], [3]])).toThrow(/^groups\[1\]: 1 is too few/);
    expect(() =>
      brownForsythe([
        [1, 1],
        [2, 2],
      ]),
    ).toThrow(/scatters cannot be compared/);
  });
});
