import type { LinearScale } from './linear-scale.ts';

/** A beam with one rider: its scale counts what the rider adds. A notched one is right in its notches only. */
export interface RiderBeam {
  readonly scale: LinearScale;
  readonly notched: boolean;
}

/** Nearer to a notch than this part of the way to the next, a rider has dropped into it. */
const INTO_THE_NOTCH = 0.02;

/** Where the riders stand that balance a load, the beams being in order from the largest: each notched rider in the last notch passed. */
export function ridersFor(beams: readonly RiderBeam[], load: number): number[] {
  let left = load;
  return beams.map(({ scale, notched }) => {
    const stands = notched ? Math.min(scale.to, Math.floor(left / scale.division + 1e-9) * scale.division) : left;
    left = Number((left - stands).toFixed(9));
    return stands;
  });
}

/** What all riders add up to. */
export function riderSum(positions: readonly number[]): number {
  return Number(positions.reduce((sum, position) => sum + position, 0).toFixed(9));
}

/** The notch nearest to where a rider stands; a sliding rider has none, and stands where it stands. */
export function nearestNotch({ scale, notched }: RiderBeam, position: number): number {
  return notched ? Math.round(position / scale.division) * scale.division : position;
}

/** Whether a rider sits in a notch, or needs none. */
export function isSeated(beam: RiderBeam, position: number): boolean {
  return Math.abs(position - nearestNotch(beam, position)) < INTO_THE_NOTCH * beam.scale.division;
}
