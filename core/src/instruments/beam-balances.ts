import type { LinearScale } from '../scales/linear-scale.ts';
import type { RiderBeam } from '../scales/rider-beam.ts';
import type { BeamBalance } from './instrument.ts';

function notched(to: number, division: number): RiderBeam {
  return {
    scale: { from: 0, to, division, labelEvery: division, mediumEvery: division, direction: 'up' },
    notched: true,
  };
}

function sliding(scale: Omit<LinearScale, 'from' | 'direction'>): RiderBeam {
  return { scale: { from: 0, direction: 'up', ...scale }, notched: false };
}

function balance(id: string, beams: readonly RiderBeam[], pan: BeamBalance['pan']): BeamBalance {
  const [most, division] = [beams.reduce((sum, { scale }) => sum + scale.to, 0), beams.at(-1)?.scale.division ?? 1];
  return {
    id,
    name: `${division} g beam balance`,
    skill: 'beam-balances',
    family: 'beam-balances',
    unit: 'g',
    range: [0, most],
    division,
    tolerance: { a: division, b: division },
    beams,
    pan,
  };
}

/** Balances with riders on beams, by the division of their sliding rider. */
export const BEAM_BALANCES: readonly BeamBalance[] = [
  balance(
    'beam-balance-tenth',
    [notched(500, 100), notched(100, 10), sliding({ to: 10, division: 0.1, labelEvery: 1, mediumEvery: 0.5 })],
    'stands',
  ),
  balance(
    'beam-balance-hundredth',
    [
      notched(200, 100),
      notched(100, 10),
      notched(10, 1),
      sliding({ to: 1, division: 0.01, labelEvery: 0.1, mediumEvery: 0.05, labelDecimals: 1 }),
    ],
    'hangs',
  ),
];
