import { asOperated, type CaliperPicture, type ReadingTask } from '../../src/index.ts';
import { steady, type Habit, type Reader } from './prove-readers.ts';
import { seenAt, written } from './slide-reader.ts';

export function leastOf(reader: Reader<CaliperPicture>): number {
  return seenAt(reader.picture, reader.picture.slideX, steady(reader).random).least;
}

/** The zero error as it is read with the jaws closed. */
export function errorOn({ picture, random }: Reader<CaliperPicture>): number {
  if (picture.closedX === null) return 0;
  const { main, line, least } = seenAt(picture, picture.closedX, steady({ picture, random }).random);
  return main + line * least;
}

export function read(
  reader: Reader<CaliperPicture>,
  value: (seen: ReturnType<typeof seenAt>) => number,
  x = reader.picture.slideX,
): string {
  const seen = seenAt(reader.picture, x, reader.random);
  const { turnedX } = reader.picture.held;
  // What is oval is read both ways, and the mean is taken.
  const other = turnedX === null ? seen : seenAt(reader.picture, turnedX, reader.random);
  return written((value(seen) + value(other)) / 2 - errorOn(reader), seen.least);
}

export const observed = ({ main, line, least }: ReturnType<typeof seenAt>): number => main + line * least;
export const careful: Habit<CaliperPicture> = (reader) => read(reader, observed);

/** The eye is left aside by those who make a slip with it. */
export function eyeOver(task: ReadingTask, slip: string | null): ReadingTask {
  return slip === 'eye-aside' ? task : asOperated(task, { eyeHeight: 0 });
}

/** What the caliper shows on the thing, with a steady eye and nothing taken off. */
export function observedOn(reader: Reader<CaliperPicture>): number {
  return observed(seenAt(reader.picture, reader.picture.slideX, steady(reader).random));
}
