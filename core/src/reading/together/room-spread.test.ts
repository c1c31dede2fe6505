import { describe, expect, it } from 'vitest';
import { roomSpread } from './room-spread.ts';

describe('the scatter of a room', () => {
  it('is that of all who read nearly the same', () => {
    const { near, farOff } = roomSpread([27.51, 27.52, 27.53, 27.52], 0.1);
    expect(farOff).toEqual([]);
    expect(near?.mean).toBeCloseTo(27.52, 12);
    // √((0.01² + 0 + 0.01² + 0) ÷ 3)
    expect(near?.sampleStandardDeviation).toBeCloseTo(0.00816496580927726, 12);
  });
  it('leaves out, and names, who has miscounted a label', () => {
    const { near, farOff, middle } = roomSpread([27.51, 28.52, 27.53, 27.52, 2.75], 0.1);
    expect(farOff).toEqual([1, 4]);
    expect(near?.n).toBe(3);
    expect(middle).toBe(27.52);
  });
  it('is wide where the whole room scatters, as from eyes off the level: nobody is left out', () => {
    const values = [27.1, 27.3, 27.5, 27.6, 27.9, 28.1, 27.2, 27.4];
    expect(roomSpread(values, 0.1).farOff).toEqual([]);
  });
  it('just at three divisions is near', () => {
    expect(roomSpread([10, 10, 10, 13], 1).farOff).toEqual([]);
    expect(roomSpread([10, 10, 10, 13.1], 1).farOff).toEqual([3]);
    expect(roomSpread([0.1, 0.1, 0.1, 0.4], 0.1).farOff).toEqual([]);
  });
  it('of one reading is not known, and not zero', () => {
    const { near } = roomSpread([27.5], 0.1);
    expect(near).toMatchObject({ n: 1, mean: 27.5, sampleStandardDeviation: null, standardError: null });
  });
  it('of readings that are all the same is zero', () => {
    expect(roomSpread([5, 5, 5], 0.1).near?.sampleStandardDeviation).toBe(0);
  });
  it('is refused without a reading or a division', () => {
    expect(() => roomSpread([], 0.1)).toThrow(/values/);
    expect(() => roomSpread([1], 0)).toThrow(/division/);
    expect(() => roomSpread([NaN], 1)).toThrow(RangeError);
  });
});
