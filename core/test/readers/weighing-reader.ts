import type { Action, BeamPicture } from '../../src/index.ts';
import type { Random } from '../../src/simulation/random.ts';
import { SCATTER } from './prove-readers.ts';

/** What a balance’s card says it is off by, in g. */
export function card(note: string | null): number {
  const [, size = '0', way = 'much'] = /shows ([\d.]+) g too (\w+)/.exec(note ?? '') ?? [];
  return way === 'much' ? Number(size) : -Number(size);
}

const CARE = ['shield', 'centre', 'dry', 'clean', 'hang-free'] as const;
/** Vessel and thing are put on, without taring: what is to be taken off is still to be taken off. */
export const LADEN: readonly Action[] = (['switch-on', 'put-vessel', ...CARE, 'put-thing'] as const).map(
  (kind, at) => ({ kind, at, to: null }),
);

/** What somebody sees of the riders: each notched one's number, and the sliding one's place with an estimated part of a line. */
export interface Ridden {
  readonly notched: readonly { readonly number: number; readonly size: number }[];
  readonly sliding: number;
  /** What a line and a number of the sliding rider's beam count. */
  readonly line: number;
  readonly labelled: number;
}

/** Riders as the picture shows them; numbers are read where the riders stand, not reckoned from what they pull. */
export function ridersSeen({ beams }: BeamPicture, riderX: readonly number[], random: Random): Ridden {
  const notched = beams.slice(0, -1).map(({ marks }, i) => {
    const nearest = marks.reduce((best, mark) =>
      Math.abs(mark.x - riderX[i]!) < Math.abs(best.x - riderX[i]!) ? mark : best,
    );
    return { number: Number(nearest.label), size: Number(marks[1]!.label) };
  });
  const { marks } = beams.at(-1)!;
  const labels = marks.filter(({ label }) => label !== null);
  const labelled = Number(labels[1]!.label) - Number(labels[0]!.label);
  const line = labelled * marks.findIndex((mark, i) => i > 0 && mark.label !== null) ** -1;
  const x = riderX.at(-1)!;
  const passed = Math.floor(x / (marks[1]!.x - marks[0]!.x) + 1e-6);
  const part = x / (marks[1]!.x - marks[0]!.x) - passed;
  return { notched, sliding: (passed + part + SCATTER * random.normal()) * line, line, labelled };
}

export function sumOf({ notched, sliding }: Ridden): number {
  return notched.reduce((sum, { number }) => sum + number, 0) + sliding;
}
