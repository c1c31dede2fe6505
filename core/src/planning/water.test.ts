import { describe, expect, it } from 'vitest';
import { minutesFor } from './water.ts';

const USUAL = { watts: 140, room: 20 };

describe('water on a hot plate', () => {
  it('takes as long as its heat needs: 250 mL by 80 K are 83.6 kJ, ten minutes at 140 W', () => {
    expect(minutesFor({ millilitres: 250, from: 20, to: 100 }, USUAL)).toBe(10);
    expect(minutesFor({ millilitres: 125, from: 20, to: 100 }, USUAL)).toBe(5);
    expect(minutesFor({ millilitres: 250, from: 80, to: 100 }, USUAL)).toBe(3);
  });

  it('takes half as long on a plate of twice the power, and for ever on none', () => {
    expect(minutesFor({ millilitres: 500, from: 20, to: 100 }, { ...USUAL, watts: 280 })).toBe(10);
    expect(minutesFor({ millilitres: 500, from: 20, to: 100 }, { ...USUAL, watts: 0 })).toBeNull();
  });
});

describe('water that cools in the air', () => {
  // By steps of a second instead of the logarithm.
  const stepped = (millilitres: number, from: number, to: number, room: number): number => {
    const radius = ((millilitres * 1e-6) / (2 * Math.PI)) ** (1 / 3);
    const surface = 2 * Math.PI * radius ** 2 + 2 * Math.PI * radius * (2 * radius);
    let [temperature, seconds] = [from, 0];
    for (; temperature > to; seconds += 1) temperature -= (15 * surface * (temperature - room)) / (millilitres * 4.18);
    return seconds / 60;
  };

  it.each([
    [250, 100, 60],
    [100, 90, 40],
    [600, 80, 30],
  ])('%d mL from %d to %d °C is as slow as step by step', (millilitres, from, to) => {
    const minutes = minutesFor({ millilitres, from, to }, USUAL)!;
    expect(Math.abs(minutes - stepped(millilitres, from, to, 20))).toBeLessThanOrEqual(1.1);
  });

  it('never gets colder than the room', () => {
    expect(minutesFor({ millilitres: 250, from: 100, to: 20 }, USUAL)).toBeNull();
    expect(minutesFor({ millilitres: 250, from: 100, to: 5 }, USUAL)).toBeNull();
  });
});
