import type { LinearScale } from '../scales/linear-scale.ts';
import type { Micrometer } from './instrument.ts';

function micrometer(id: string, name: string, division: number, sleeveLines: Micrometer['sleeveLines']): Micrometer {
  return {
    id,
    name,
    skill: 'micrometers',
    family: 'micrometers',
    unit: 'mm',
    range: [0, 25],
    division,
    tolerance: { a: 0.004, b: 0.004 },
    sleeveLines,
  };
}

/** One turn of the thimble, in mm, and its divisions. */
export const PITCH = 0.5;
export const THIMBLE_DIVISIONS = 50;
/** One division of the thimble, in mm. */
export const THIMBLE_DIVISION = PITCH / THIMBLE_DIVISIONS;

/** The lines of the sleeve: a half millimetre apart, numbered at every fifth whole one. */
export const SLEEVE: LinearScale = {
  from: 0,
  to: 25,
  division: PITCH,
  labelEvery: 5,
  mediumEvery: 1,
  direction: 'up',
};

/** The lines of the thimble: one turn of it, numbered at every fifth line. */
export const THIMBLE: LinearScale = {
  from: 0,
  to: PITCH,
  division: THIMBLE_DIVISION,
  labelEvery: 5 * THIMBLE_DIVISION,
  mediumEvery: 5 * THIMBLE_DIVISION,
  direction: 'up',
};

/** Micrometers for outside measurements (ISO 3611), without and with a vernier on the sleeve. */
export const MICROMETERS: readonly Micrometer[] = [
  micrometer('micrometer-hundredth', '0.01 mm micrometer', 0.01, 0),
  micrometer('micrometer-thousandth', '0.001 mm micrometer', 0.001, 10),
];
