import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { careful, eyeBrought, reading, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import { labelled, lowestPoint, type UprightReader } from '../../../test/readers/upright-reader.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

const HABITS = {
  ...UPRIGHT_HABITS,
  'other-scale': (reader: UprightReader) => {
    const top = Math.max(...labelled(reader.picture.secondMarks).map(({ number }) => number));
    return reading(reader, lowestPoint(reader), (number) => top - number);
  },
};

proveReaders<LiquidColumnPicture>({
  family: 'graduated-glass',
  kind: 'liquid-column',
  habits: HABITS,
  careful,
  handled: eyeBrought,
  seed: 2,
});
