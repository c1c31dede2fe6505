import type { Ruler } from './instrument.ts';

interface RulerScale {
  readonly id: string;
  readonly name: string;
  readonly unit: 'mm' | 'cm' | 'in';
  readonly to: number;
  readonly division: number;
  readonly labelEvery: number;
  readonly mediumEvery: number;
  readonly bareEnd: number;
}

const PER_UNIT = { mm: 1, cm: 10, in: 25.4 } as const;

function ruler({ id, name, unit, to, division, labelEvery, mediumEvery, bareEnd }: RulerScale): Ruler {
  const tolerance = unit === 'mm' ? 0.2 : division / 10;
  return {
    id,
    name,
    skill: 'rulers',
    family: 'rulers',
    unit,
    range: [0, to],
    division,
    tolerance: { a: tolerance, b: tolerance },
    scale: { from: 0, to, division, labelEvery, mediumEvery, direction: 'up' },
    body: { perUnit: PER_UNIT[unit], gap: 4, bareEnd },
  };
}

/** Rulers, from the finest to one that is marked by decimetres only. */
export const RULERS: readonly Ruler[] = [
  ruler({
    id: 'ruler-millimetre',
    name: 'millimetre ruler',
    unit: 'mm',
    to: 300,
    division: 1,
    labelEvery: 10,
    mediumEvery: 5,
    bareEnd: 5,
  }),
  ruler({
    id: 'ruler-half-centimetre',
    name: 'half-centimetre ruler',
    unit: 'cm',
    to: 100,
    division: 0.5,
    labelEvery: 5,
    mediumEvery: 1,
    bareEnd: 0,
  }),
  ruler({
    id: 'ruler-centimetre',
    name: 'centimetre ruler',
    unit: 'cm',
    to: 100,
    division: 1,
    labelEvery: 10,
    mediumEvery: 5,
    bareEnd: 0,
  }),
  ruler({
    id: 'ruler-decimetre',
    name: 'decimetre ruler',
    unit: 'cm',
    to: 100,
    division: 10,
    labelEvery: 10,
    mediumEvery: 10,
    bareEnd: 0,
  }),
  ruler({
    id: 'ruler-inch',
    name: 'inch ruler',
    unit: 'in',
    to: 12,
    division: 1 / 16,
    labelEvery: 1,
    mediumEvery: 0.25,
    bareEnd: 5,
  }),
];
