import { leastCount, type Vernier } from '../scales/vernier.ts';
import type { DigitalCaliper, VernierCaliper } from './instrument.ts';

interface CaliperSize {
  readonly id: string;
  readonly vernier: Vernier;
  /** Lines of the vernier from one number to the next, and the numbers printed at them. */
  readonly numbers: { readonly every: number; readonly printed: readonly string[] };
  /** How far the slide begins before its zero line, in mm. */
  readonly edge: number;
}

/** Longest thing that is measured, and how far the main scale runs on so that the vernier always lies on it, in mm. */
const RANGE = 150;
const RUNS_ON = 200;

function caliper({ id, vernier, numbers, edge }: CaliperSize): VernierCaliper {
  const least = leastCount(vernier);
  return {
    id,
    name: `${least} mm vernier caliper`,
    skill: 'calipers',
    family: 'calipers',
    unit: 'mm',
    range: [0, RANGE],
    division: least,
    tolerance: { a: least, b: least },
    main: { from: 0, to: RUNS_ON, division: vernier.main, labelEvery: 10, mediumEvery: 5, direction: 'up' },
    vernier,
    numbers,
    edge,
  };
}

const digits = (count: number): string[] => Array.from({ length: count }, (_, i) => String(i));

/** Vernier calipers (ISO 13385-1), by their least count. */
export const CALIPERS: readonly VernierCaliper[] = [
  caliper({
    id: 'caliper-tenth',
    vernier: { lines: 10, spans: 9, main: 1 },
    numbers: { every: 5, printed: ['0', '5', '10'] },
    edge: 3.4,
  }),
  caliper({
    id: 'caliper-twentieth',
    vernier: { lines: 20, spans: 39, main: 1 },
    numbers: { every: 2, printed: [...digits(10), '0'] },
    edge: 4.6,
  }),
  caliper({
    id: 'caliper-fiftieth',
    vernier: { lines: 50, spans: 49, main: 1 },
    numbers: { every: 5, printed: [...digits(10), '0'] },
    edge: 4.6,
  }),
];

/** A caliper with a display: in hundredths of a millimetre, or in half thousandths of an inch. */
export const DIGITAL_CALIPER: DigitalCaliper = {
  id: 'caliper-digital',
  name: '0.01 mm digital caliper',
  skill: 'calipers',
  family: 'digital-calipers',
  unit: 'mm',
  range: [0, RANGE],
  division: 0.01,
  tolerance: { a: 0.02, b: 0.02 },
};
