import type { GraduatedCylinder } from './instrument.ts';

interface CylinderSize {
  readonly capacity: number;
  readonly division: number;
  readonly labelEvery: number;
  readonly mediumEvery: number;
  readonly bore: number;
  readonly tolerance: { readonly a: number; readonly b: number };
  readonly mayHaveSecondScale: boolean;
}

function cylinder(size: CylinderSize): GraduatedCylinder {
  const { capacity, division, labelEvery, mediumEvery, bore, tolerance, mayHaveSecondScale } = size;
  return {
    id: `cylinder-${capacity}`,
    name: `${capacity} mL cylinder`,
    skill: 'graduated-cylinders',
    reads: 'liquid-column',
    unit: 'mL',
    range: [0, capacity],
    division,
    tolerance,
    scale: { from: 0, to: capacity, division, labelEvery, mediumEvery, direction: 'up' },
    bore,
    wall: 1.5,
    mayHaveSecondScale,
  };
}

/** Graduated cylinders. Bores and tolerances are typical of tall-form borosilicate cylinders (ISO 4788, classes A and B). */
export const CYLINDERS: readonly GraduatedCylinder[] = [
  cylinder({ capacity: 10, division: 0.1, labelEvery: 1, mediumEvery: 0.5, bore: 11.6, tolerance: { a: 0.1, b: 0.2 }, mayHaveSecondScale: true }),
  cylinder({ capacity: 50, division: 1, labelEvery: 10, mediumEvery: 5, bore: 21.7, tolerance: { a: 0.5, b: 1 }, mayHaveSecondScale: false }),
  cylinder({ capacity: 100, division: 1, labelEvery: 10, mediumEvery: 5, bore: 27.8, tolerance: { a: 0.5, b: 1 }, mayHaveSecondScale: true }),
];

/** Length of scale that one millilitre takes, in mm: 1000 mm³ over the area of the bore. */
export function millimetresPerMillilitre(bore: number): number {
  return 1000 / (Math.PI * (bore / 2) ** 2);
}
