import type { FamilyId } from '../../instruments/instrument.ts';

/** About how long one reading takes in a class, in s, with laying, levelling or letting settle. Estimates of our own: they only order plans. */
const SECONDS: Readonly<Record<FamilyId, number>> = {
  rulers: 20,
  'graduated-glass': 30,
  burettes: 45,
  rings: 60,
  thermometers: 60,
  hydrometers: 60,
  calipers: 40,
  'digital-calipers': 25,
  micrometers: 50,
  'beam-balances': 75,
  'digital-balances': 20,
  clocks: 5,
};

/** About how long one reading on a tool takes, in s. */
export function secondsFor(family: FamilyId): number {
  return SECONDS[family];
}
