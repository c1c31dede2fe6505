import { describe, expect, it } from 'vitest';
import { rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { BURN_RATE } from './burn-rate.ts';

/** Half-widths as standard uncertainties: balance, caliper, cylinder, clock in minutes. */
const [G, MM, ML, MIN] = [rectangle(0.01), rectangle(0.01), rectangle(0.5), rectangle(1 / 60)];
const MINUTES = 15 + 15 / 60;

/** Of a fall over the minutes: its rate, and the rate’s standard uncertainty. */
function rate(fall: number, each: number): { readonly rate: number; readonly standard: number } {
  const value = fall / MINUTES;
  return { rate: value, standard: value * Math.hypot((Math.SQRT2 * each) / fall, (Math.SQRT2 * MIN) / MINUTES) };
}

/** What is left ÷ rate: what is left enters the rate as well. */
function left(
  before: number,
  after: number,
  own: (byBefore: number, byAfter: number) => number,
): { value: number; standard: number } {
  const fall = before - after;
  const value = (after * MINUTES) / fall;
  const standard = Math.hypot(
    own((-after * MINUTES) / fall ** 2, MINUTES / fall + (after * MINUTES) / fall ** 2),
    (after / fall) * Math.SQRT2 * MIN,
  );
  return { value, standard };
}

describe('how long it will burn', () => {
  const run = workedSample(BURN_RATE);

  it.each([
    ['massRate', rate(1.92, G)],
    ['heightRate', rate(2.58, MM)],
    ['volumeRate', rate(2.0, Math.SQRT2 * ML)],
  ])('finds %s', (id, hand) => {
    expect(resultOf(run, id).value).toBeCloseTo(hand.rate, 12);
    expect(standardOf(resultOf(run, id))).toBeCloseTo(hand.standard, 12);
  });

  it.each([
    ['leftByHeight', left(41.24, 38.66, (a, b) => Math.hypot(a, b) * MM)],
    ['leftByVolume', left(34.0, 32.0, (a, b) => Math.hypot(a, b) * Math.SQRT2 * ML)],
    // The holder’s mass is in what is left, and cancels in what has burned.
    ['leftByMass', left(32.56, 30.64, (a, b) => Math.hypot(a * G, b * G, (MINUTES / 1.92) * G))],
  ])('finds %s', (id, hand) => {
    expect(resultOf(run, id).value).toBeCloseTo(hand.value, 9);
    expect(standardOf(resultOf(run, id))).toBeCloseTo(hand.standard, 9);
  });

  it('counts an hour as sixty minutes', () => {
    expect(run.cellAt('elapsed', {})).toMatchObject({ text: '15.3' });
  });

  it('finds the density before and after, which agree', () => {
    const found = resultOf(run, 'density', 'lit');
    const density = 32.56 / 34.0;
    expect(found.value).toBeCloseTo(density, 12);
    expect(standardOf(found)).toBeCloseTo(density * Math.hypot((Math.SQRT2 * G) / 32.56, (Math.SQRT2 * ML) / 34.0), 12);
    expect(run.comparisons[1]).toMatchObject({ id: 'densities', pairs: [{ agree: true }] });
  });

  it('says that the routes by mass and by height do not agree, and allows for there being three pairs', () => {
    const [routes] = run.comparisons;
    if (routes?.kind !== 'agree') throw new Error('The routes are not compared.');
    expect(routes.pairs.map(({ agree }) => agree)).toEqual([false, true, true]);
    // Three pairs: 1 − 0.0455 ÷ 3 on both sides, 2.43 instead of 2.
    for (const { allowed, uncertainty } of routes.pairs) expect(allowed / uncertainty).toBeCloseTo(2.4283, 3);
  });
});
