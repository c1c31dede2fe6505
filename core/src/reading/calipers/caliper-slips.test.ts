import { onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, steady, type Habit, type Habits, type Reader } from '../../../test/readers/prove-readers.ts';
import { seenAt, written } from '../../../test/readers/slide-reader.ts';
import { asOperated } from '../bench.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { CaliperPicture } from './caliper-picture.ts';

function leastOf(reader: Reader<CaliperPicture>): number {
  return seenAt(reader.picture, reader.picture.slideX, steady(reader).random).least;
}

/** The zero error as it is read with the jaws closed. */
function errorOn({ picture, random }: Reader<CaliperPicture>): number {
  if (picture.closedX === null) return 0;
  const { main, line, least } = seenAt(picture, picture.closedX, steady({ picture, random }).random);
  return main + line * least;
}

function read(
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

const observed = ({ main, line, least }: ReturnType<typeof seenAt>): number => main + line * least;
const careful: Habit<CaliperPicture> = (reader) => read(reader, observed);

const HABITS: Habits<CaliperPicture> = {
  'eye-aside': (reader) =>
    read(
      reader,
      observed,
      reader.picture.slideX + (reader.picture.eye.height * reader.picture.eye.gap) / reader.picture.eye.distance,
    ),
  'vernier-edge': (reader) =>
    read(reader, (seen) => Math.floor(reader.picture.slideX - reader.picture.edge + 1e-9) + seen.line * seen.least),
  'main-mark-after': (reader) => read(reader, (seen) => observed(seen) + 1),
  'vernier-count-as-tenths': (reader) => {
    const { main, line } = seenAt(reader.picture, reader.picture.slideX, reader.random);
    if (line < 10 && reader.random.uniform() < 0.4) return `${(main + line / 10).toFixed(1)} mm`;
    return `${(main + line / 100).toFixed(2)} mm`;
  },
  'vernier-label-as-count': (reader) =>
    read(reader, (seen) => seen.main + (Math.floor(seen.line / 5) + (seen.line % 5)) * seen.least),
  // Two or three lines off: the scatter is about the middle of them.
  'vernier-neighbour': (reader) =>
    read(reader, observed, reader.picture.slideX + (reader.random.uniform() < 0.5 ? -2.5 : 2.5) * leastOf(reader)),
  'vernier-ignored': (reader) => `${Math.floor(reader.picture.slideX + 1e-9)} mm`,
  'coincidence-on-main': (reader) => {
    const { line } = seenAt(reader.picture, reader.picture.slideX, reader.random);
    return `${Math.round(reader.picture.slideX + reader.picture.vernierMarks[line]!.x)} mm`;
  },
  'zero-ignored': (reader) => read({ ...reader, picture: { ...reader.picture, closedX: null } }, observed),
  'zero-sign': (reader) => read(reader, (seen) => observed(seen) + 2 * errorOn(reader)),
  'zero-negative-misread': (reader) => read(reader, (seen) => observed(seen) - 1),
  ...onPaper(careful),
};

/** The eye is left aside by those who make a slip with it. */
function eyeOver(task: ReadingTask, slip: string | null): ReadingTask {
  return slip === 'eye-aside' ? task : asOperated(task, { eyeHeight: 0 });
}

proveReaders<CaliperPicture>({
  family: 'calipers',
  kind: 'caliper',
  habits: HABITS,
  careful,
  handled: eyeOver,
  seed: 4,
});
