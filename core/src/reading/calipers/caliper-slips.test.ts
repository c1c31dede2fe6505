import { careful, errorOn, eyeOver, leastOf, observed, read } from '../../../test/readers/caliper-reader.ts';
import { onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, type Habits } from '../../../test/readers/prove-readers.ts';
import { seenAt } from '../../../test/readers/slide-reader.ts';
import type { CaliperPicture } from './caliper-picture.ts';

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
  // The line that coincides is counted from the zero, as of a positive error.
  'zero-negative-forwards': (reader) =>
    read(reader, (seen) => observed(seen) + errorOn(reader) + (1 + errorOn(reader))),
  ...onPaper(careful),
};

proveReaders<CaliperPicture>({
  family: 'calipers',
  kind: 'caliper',
  habits: HABITS,
  careful,
  handled: eyeOver,
  seed: 4,
});
