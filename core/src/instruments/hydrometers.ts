import type { ScaleTool } from './instrument.ts';

/** A float for a span of 0.100 g/mL from a lightest density. */
function hydrometer(lightest: number): ScaleTool {
  const [from, to] = [lightest / 1000, (lightest + 100) / 1000];
  return {
    id: `hydrometer-${String(lightest).padStart(4, '0')}`,
    name: `hydrometer ${from.toFixed(3)} to ${to.toFixed(3)}`,
    skill: 'hydrometers',
    reads: 'scale',
    unit: 'g/mL',
    range: [from, to],
    division: 0.001,
    tolerance: { a: 0.001, b: 0.001 },
    scale: { from, to, division: 0.001, labelEvery: 0.01, mediumEvery: 0.005, direction: 'down', labelDecimals: 3 },
    body: { kind: 'float', length: 110, stemRadius: 3 },
    mayHaveSecondScale: false,
    approximate: false,
  };
}

/** Density hydrometers, lightest range first (ISO 649). */
export const HYDROMETERS: readonly ScaleTool[] = [700, 800, 900, 1000, 1100, 1200].map(hydrometer);
