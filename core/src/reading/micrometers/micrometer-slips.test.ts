import { careful, faceError, turned } from '../../../test/readers/micrometer-reader.ts';
import { onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, type Habits } from '../../../test/readers/prove-readers.ts';
import { turnedAt } from '../../../test/readers/slide-reader.ts';
import type { MicrometerPicture } from './micrometer-picture.ts';

const HABITS: Habits<MicrometerPicture> = {
  'main-mark-after': (reader) => turned(reader, (halves, divisions) => halves / 2 + 1 + divisions / 100),
  'vernier-neighbour': (reader) =>
    careful({
      ...reader,
      picture: { ...reader.picture, openX: reader.picture.openX + (reader.random.uniform() < 0.5 ? -0.0025 : 0.0025) },
    }),
  'vernier-ignored': (reader) =>
    `${(Math.floor(reader.picture.openX * 100 + 1e-6) / 100 - faceError(reader)).toFixed(2)} mm`,
  'half-missed': (reader) => turned(reader, (halves, divisions) => Math.floor(halves / 2) + divisions / 100),
  'half-invented': (reader) => turned(reader, (halves, divisions) => halves / 2 + 0.5 + divisions / 100),
  'thimble-as-tenths': (reader) => {
    const { halves, divisions } = turnedAt(reader.picture, reader.picture.openX, reader.random);
    return reader.random.uniform() < 0.6
      ? `${(halves / 2 + Math.round(divisions * 10) / 100).toFixed(2)} mm`
      : `${(halves / 2 + Math.round(divisions * 10) / 10_000).toFixed(4)} mm`;
  },
  'thimble-wrong-way': (reader) =>
    turned(reader, (halves, divisions) => {
      const below = Math.floor(divisions / 5) * 5;
      const wrong =
        below === 0 || reader.random.uniform() < 0.5 ? below + 10 - (divisions - below) : below - (divisions - below);
      return halves / 2 + wrong / 100;
    }),
  'zero-ignored': (reader) =>
    turned(
      { ...reader, picture: { ...reader.picture, closedX: null } },
      (halves, divisions) => halves / 2 + divisions / 100,
    ),
  'zero-sign': (reader) => turned(reader, (halves, divisions) => halves / 2 + divisions / 100 + 2 * faceError(reader)),
  'rounded-up': (reader) =>
    reader.picture.sleeveLines.length === 0 && reader.picture.openX % 0.01 < 0.004 && reader.random.uniform() < 0.3
      ? turned(reader, (halves, divisions) => halves / 2 + Math.floor(divisions + 1) / 100).replace(/0 mm$/, ' mm')
      : turned(reader, (halves, divisions) => halves / 2 + (divisions + 1) / 100),
  'marks-counted': (reader) =>
    turned(reader, (halves, divisions) => {
      const below = Math.floor(divisions / 5) * 5;
      return halves / 2 + (below + ((divisions - below) * 5) / 6) / 100;
    }),
  'sleeve-only': (reader) =>
    `${(Math.floor(reader.picture.openX * 2 + 1e-6) / 2 - faceError(reader)).toFixed(faceError(reader) === 0 ? 1 : 3)} mm`,
  'thimble-only': (reader) => {
    const { divisions } = turnedAt(reader.picture, reader.picture.openX, reader.random);
    return reader.random.uniform() < 0.6
      ? turned(reader, (_, seen) => seen / 100)
      : `${(divisions - faceError(reader)).toFixed(1)} mm`;
  },
  'zero-negative-forwards': (reader) => {
    const error = Math.round(faceError(reader) * 1000) / 1000;
    const divisions = -error * 100;
    const begun = Math.floor(divisions + 1e-9);
    const forwards =
      divisions - begun < 1e-6 || reader.random.uniform() < 0.5 ? 0.5 + error : (begun + 1 - (divisions - begun)) / 100;
    return turned(reader, (halves, seen) => halves / 2 + seen / 100 + error + forwards);
  },
  'zero-negative-misread': (reader) => turned(reader, (halves, divisions) => halves / 2 + divisions / 100 - 0.5),
  ...onPaper(careful),
};

proveReaders<MicrometerPicture>({
  family: 'micrometers',
  kind: 'micrometer',
  habits: HABITS,
  careful,
  handled: (task) => task,
  seed: 5,
});
