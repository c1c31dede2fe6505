import type { Hydrometer } from './instrument.ts';

/** A float for a span of 0.100 g/mL from a lightest density. */
function hydrometer(lightest: number): Hydrometer {
  const [from, to] = [lightest / 1000, (lightest + 100) / 1000];
  return {
    id: `hydrometer-${String(lightest).padStart(4, '0')}`,
    name: `hydrometer ${from.toFixed(3)} to ${to.toFixed(3)}`,
    skill: 'hydrometers',
    family: 'hydrometers',
    unit: 'g/mL',
    range: [from, to],
    division: 0.001,
    tolerance: { a: 0.001, b: 0.001 },
    scale: { from, to, division: 0.001, labelEvery: 0.01, mediumEvery: 0.005, direction: 'down', labelDecimals: 3 },
    body: { length: 110, stemRadius: 3 },
  };
}

/** Density hydrometers, lightest range first (ISO 649). */
export const HYDROMETERS: readonly Hydrometer[] = [700, 800, 900, 1000, 1100, 1200].map(hydrometer);
