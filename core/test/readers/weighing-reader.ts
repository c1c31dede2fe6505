import { pictureOf, type BeamPicture, type DisplayPicture, type ReadingTask } from '../../src/index.ts';
import type { Random } from '../../src/simulation/random.ts';
import { DIVISIONS } from './slide-reader.ts';

export function beamsOf(task: ReadingTask): BeamPicture {
  const picture = pictureOf(task);
  if (picture.kind !== 'beams') throw new Error('a beam balance is drawn as one');
  return picture;
}

export function displayOf(task: ReadingTask): DisplayPicture {
  const picture = pictureOf(task);
  if (picture.kind !== 'display') throw new Error('a display is drawn as one');
  return picture;
}

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
  return { notched, sliding: (passed + part + DIVISIONS * random.normal()) * line, line, labelled };
}

export function sumOf({ notched, sliding }: Ridden): number {
  return notched.reduce((sum, { number }) => sum + number, 0) + sliding;
}
