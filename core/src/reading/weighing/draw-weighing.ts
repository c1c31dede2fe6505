import type { BeamBalance, DigitalBalance, DigitalCaliper } from '../../instruments/instrument.ts';
import { multipleOf } from '../../scales/linear-scale.ts';
import type { Random } from '../../simulation/random.ts';
import { OVER_A_DIFFERENCE, type Aimed } from '../drawing/aimed.ts';
import { equalThings, weighedThing } from '../words/things.ts';
import type { WeighingSituation } from './weighing-situation.ts';

type Balance = BeamBalance | DigitalBalance;

const VESSELS = ['glass dish', 'small beaker', 'brass tray'] as const;

/** Of what is aimed at and what comes now and then, one thing only is wrong with a weighing, so that it can be told. */
export function oneWrong(
  { random, at, any }: Aimed,
  chances: readonly (readonly [slip: string, chance: number])[],
): string | null {
  const aimed = chances.find(([slip]) => at(slip));
  if (aimed) return aimed[0];
  let left = any ? 1 : random.uniform();
  for (const [slip, chance] of chances) {
    left -= chance;
    if (left < 0) return slip;
  }
  return null;
}

/** A number of last digits, either way. */
export function digitsOff({ division }: Balance | DigitalCaliper, random: Random, least: number, most: number): number {
  const count = least + random.below(most - least + 1);
  return multipleOf(division, random.uniform() < 0.5 ? -count : count);
}

function vesselOn({ range, division }: Balance, random: Random): Pick<WeighingSituation, 'container' | 'vessel'> {
  const grams = (0.06 + 0.12 * random.uniform()) * range[1];
  return { container: multipleOf(division, Math.round(grams / division)), vessel: random.pick(VESSELS) };
}

/** What is weighed: one thing, or now and then several equal ones. */
export function drawnLoad(value: number, random: Random): Pick<WeighingSituation, 'thing' | 'count'> {
  const several = random.uniform() < 0.2 ? equalThings(value, random) : null;
  return several ?? { thing: weighedThing(value, random) };
}

/**
 * How heavy: anything the balance takes, with room for a vessel; now and then such that the last digit is a zero.
 * @param parts into how many parts the division is estimated.
 */
export function drawnMass({ range, division }: Balance, { random, at }: Aimed, parts: number, room: number): number {
  const last = multipleOf(division, 1) / parts;
  // Light things are commoner than heavy ones.
  const raw = (0.02 + 0.9 * random.uniform() ** 1.7) * (range[1] - room);
  const round = at('trailing-zero-dropped') ? 10 : 1;
  return Number((Math.round(raw / (last * round)) * last * round).toFixed(6));
}

/** Slips over the vessel that a thing is weighed in. */
const OVER_A_VESSEL: readonly string[] = ['container-included', 'container-alone', ...OVER_A_DIFFERENCE];

/** What is wrong with a weighing now and then, whatever it is done on. */
export const WRONG_NOW_AND_THEN: readonly (readonly [slip: string, chance: number])[] = [
  ['container-included', 0.25],
  ['not-zeroed', 0.1],
  ['zero-ignored', 0.08],
  ['zero-sign', 0.02],
  ['corrected-unasked', 0.03],
  ...OVER_A_VESSEL.slice(1).map((slip) => [slip, 0] as const),
];

/** What is wrong with a weighing whatever it is done on. */
export function offBy(
  tool: Balance,
  wrong: string | null,
  random: Random,
): Pick<WeighingSituation, 'container' | 'vessel' | 'empty' | 'zeroError' | 'ask'> {
  if (wrong === null) return {};
  if (OVER_A_VESSEL.includes(wrong)) return vesselOn(tool, random);
  if (wrong === 'not-zeroed') return { empty: Math.abs(digitsOff(tool, random, 3, 9)) };
  if (wrong === 'corrected-unasked') return { zeroError: digitsOff(tool, random, 2, 6), ask: 'observed' };
  return wrong === 'zero-ignored' || wrong === 'zero-sign' ? { zeroError: digitsOff(tool, random, 2, 6) } : {};
}

/** What an empty balance shows can be below zero where it is seen by its pointer, or on a display; riders cannot show it. */
export function eitherWay({ empty }: WeighingSituation, random: Random): Pick<WeighingSituation, 'empty'> {
  return empty !== undefined && random.uniform() < 0.5 ? { empty: -empty } : {};
}
