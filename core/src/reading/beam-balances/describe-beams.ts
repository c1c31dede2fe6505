import type { BeamPicture, DrawnBeam } from './beam-picture.ts';

/** Nearer to a notch than this, in mm, a rider sits in it. */
const IN_A_NOTCH = 0.2;

function numberAt(beam: DrawnBeam, x: number): string {
  return beam.marks.find((mark) => Math.abs(mark.x - x) < 0.01)?.label ?? '';
}

function notchedRider(beam: DrawnBeam, x: number): string {
  const nearest = beam.notches.reduce(
    (best, notch) => (Math.abs(notch - x) < Math.abs(best - x) ? notch : best),
    beam.notches[0] ?? 0,
  );
  if (Math.abs(nearest - x) < IN_A_NOTCH) return `in its notch at ${numberAt(beam, nearest)}`;
  const [before, after] = [
    beam.notches.findLast((notch) => notch < x) ?? 0,
    beam.notches.find((notch) => notch > x) ?? 0,
  ];
  return `between the notches at ${numberAt(beam, before)} and ${numberAt(beam, after)}`;
}

function slidingRider({ marks }: DrawnBeam, x: number): string {
  const passed = marks.findLastIndex((mark) => mark.x <= x + 0.02);
  const labelled = marks.slice(0, passed + 1).findLastIndex(({ label }) => label !== null);
  const [mark, next] = [marks[passed], marks[passed + 1]];
  const part = mark && next ? (x - mark.x) / (next.x - mark.x) : 0;
  const lines = passed - labelled;
  const line =
    lines === 0
      ? `the line numbered ${marks[labelled]?.label ?? ''}`
      : `${lines === 1 ? 'one line' : `${lines} lines`} past the number ${marks[labelled]?.label ?? ''}`;
  if (part < 0.06) return `on ${line}`;
  const where =
    part < 0.45
      ? 'nearer to it than to the next'
      : part <= 0.55
        ? 'midway to the next'
        : 'nearer to the next than to it';
  return `beyond ${line}, ${where}`;
}

/** Where the riders of a balance stand, in words a reading can be made from. @param riderX places on the beams, in mm. */
export function describeRiders({ beams }: BeamPicture, riderX: readonly number[]): string {
  return beams
    .map(
      (beam, i) =>
        `${i === 0 ? 'The first' : i === beams.length - 1 ? 'The sliding' : i === 1 ? 'The second' : 'The third'} rider, of the beam that goes to ${beam.marks.at(-1)?.label ?? ''}, is ${beam.notches.length > 0 ? notchedRider(beam, riderX[i] ?? 0) : slidingRider(beam, riderX[i] ?? 0)}.`,
    )
    .join(' ');
}

/** Where a pointer stands, or about what it swings, in words. */
export function describePointer(at: number, moving: boolean): string {
  if (moving) return 'The pointer swings.';
  if (Math.abs(at) < 0.3) return 'The pointer rests on its mark.';
  return `The pointer rests ${Math.abs(at).toFixed(0)} ${Math.abs(at) < 1.5 ? 'line' : 'lines'} ${at > 0 ? 'above its mark: the load is heavier' : 'below its mark: the riders are heavier'}.`;
}

/** A balance as it is looked at, view by view. */
export function describeBeams(picture: BeamPicture): string {
  return picture.views
    .map(({ caption, riderX }) => `With ${caption} on the pan: ${describeRiders(picture, riderX)}`)
    .join(' ');
}
