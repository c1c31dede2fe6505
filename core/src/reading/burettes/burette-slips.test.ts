import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { careful, eyeBrought, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import { labelled, lowestPoint, numberAt, written, type UprightReader } from '../../../test/readers/upright-reader.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

const HABITS = {
  ...UPRIGHT_HABITS,
  'what-is-left': (reader: UprightReader) =>
    written(reader, labelled(reader.picture.marks).at(-1)!.number - numberAt(reader, lowestPoint(reader))),
  'final-as-delivered': (reader: UprightReader) => written(reader, numberAt(reader, lowestPoint(reader))),
};

proveReaders<LiquidColumnPicture>({
  family: 'burettes',
  kind: 'liquid-column',
  habits: HABITS,
  careful,
  handled: eyeBrought,
  seed: 2,
});
