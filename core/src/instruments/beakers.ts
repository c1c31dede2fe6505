import type { GraduatedGlass } from './instrument.ts';

/** Marks on beakers and conical flasks are good to this part of their value. */
const APPROXIMATE_PART = 0.05;

interface CupSize {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly division: number;
  readonly body: GraduatedGlass['body'];
}

function cup({ id, name, from, to, division, body }: CupSize): GraduatedGlass {
  return {
    id,
    name,
    skill: 'beakers-and-flasks',
    family: 'graduated-glass',
    unit: 'mL',
    range: [from, to],
    division,
    tolerance: { a: APPROXIMATE_PART * to, b: APPROXIMATE_PART * to },
    scale: { from, to, division, labelEvery: division, mediumEvery: division, direction: 'up' },
    body,
    mayHaveSecondScale: false,
    approximate: true,
  };
}

const beaker = (capacity: number, from: number, to: number, division: number, bore: number): GraduatedGlass =>
  cup({
    id: `beaker-${capacity}`,
    name: `${capacity} mL beaker`,
    from,
    to,
    division,
    body: { kind: 'beaker', bore, wall: 1.5 },
  });

/** Low-form beakers (inner diameters typical of ISO 3819) and a conical flask (ISO 1773: 40 mm at the floor, 14 mm at 105 mm). */
export const BEAKERS: readonly GraduatedGlass[] = [
  beaker(50, 10, 40, 10, 39),
  beaker(100, 20, 80, 20, 47),
  beaker(250, 50, 200, 50, 66),
  beaker(500, 50, 400, 50, 81),
  cup({
    id: 'conical-flask-250',
    name: '250 mL conical flask',
    from: 50,
    to: 200,
    division: 50,
    body: { kind: 'conical-flask', baseRadius: 40, taper: 26 / 105, wall: 1.5 },
  }),
];
