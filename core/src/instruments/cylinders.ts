import type { GraduatedGlass } from './instrument.ts';

interface CylinderSize {
  readonly capacity: number;
  readonly division: number;
  readonly labelEvery: number;
  readonly mediumEvery: number;
  readonly bore: number;
  readonly tolerance: { readonly a: number; readonly b: number };
  readonly mayHaveSecondScale: boolean;
}

function cylinder({
  capacity,
  division,
  labelEvery,
  mediumEvery,
  bore,
  tolerance,
  mayHaveSecondScale,
}: CylinderSize): GraduatedGlass {
  return {
    id: `cylinder-${capacity}`,
    name: `${capacity} mL cylinder`,
    skill: 'graduated-cylinders',
    family: 'graduated-glass',
    unit: 'mL',
    range: [0, capacity],
    division,
    tolerance,
    scale: { from: 0, to: capacity, division, labelEvery, mediumEvery, direction: 'up' },
    body: { kind: 'cylinder', bore, wall: 1.5 },
    mayHaveSecondScale,
    approximate: false,
  };
}

/** Graduated cylinders. Bores and tolerances are typical of tall-form borosilicate cylinders (ISO 4788, classes A and B). */
export const CYLINDERS: readonly GraduatedGlass[] = [
  cylinder({
    capacity: 10,
    division: 0.1,
    labelEvery: 1,
    mediumEvery: 0.5,
    bore: 11.6,
    tolerance: { a: 0.1, b: 0.2 },
    mayHaveSecondScale: true,
  }),
  cylinder({
    capacity: 25,
    division: 0.5,
    labelEvery: 5,
    mediumEvery: 2.5,
    bore: 16.6,
    tolerance: { a: 0.25, b: 0.5 },
    mayHaveSecondScale: false,
  }),
  cylinder({
    capacity: 50,
    division: 1,
    labelEvery: 10,
    mediumEvery: 5,
    bore: 21.7,
    tolerance: { a: 0.5, b: 1 },
    mayHaveSecondScale: false,
  }),
  cylinder({
    capacity: 100,
    division: 1,
    labelEvery: 10,
    mediumEvery: 5,
    bore: 27.8,
    tolerance: { a: 0.5, b: 1 },
    mayHaveSecondScale: true,
  }),
  cylinder({
    capacity: 250,
    division: 2,
    labelEvery: 20,
    mediumEvery: 10,
    bore: 39.9,
    tolerance: { a: 1, b: 2 },
    mayHaveSecondScale: false,
  }),
  cylinder({
    capacity: 500,
    division: 5,
    labelEvery: 50,
    mediumEvery: 25,
    bore: 51,
    tolerance: { a: 2.5, b: 5 },
    mayHaveSecondScale: true,
  }),
  cylinder({
    capacity: 1000,
    division: 10,
    labelEvery: 100,
    mediumEvery: 50,
    bore: 63,
    tolerance: { a: 5, b: 10 },
    mayHaveSecondScale: false,
  }),
];
