import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { careful, lowered, noted, reading, rounded, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import { division, lowestPoint, numberAt, written, type UprightReader } from '../../../test/readers/upright-reader.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

const HABITS = {
  ...UPRIGHT_HABITS,
  'sign-lost': (reader: UprightReader) =>
    reading(reader, lowestPoint(reader), (number) => {
      const size = division(reader);
      const passed = -Math.floor(-number / size + 1e-9) * size;
      const way = reader.random.uniform();
      if (way < 0.5) return -number;
      return way < 0.8 ? 2 * passed - number : 2 * (passed - size) - number;
    }),
  'zero-ignored': (reader: UprightReader) => written(reader, numberAt(reader, lowestPoint(reader))),
  'zero-sign': (reader: UprightReader) =>
    written(reader, rounded(reader, numberAt(reader, lowestPoint(reader))) + noted(reader)),
  unsettled: (reader: UprightReader) => written(reader, numberAt(reader, reader.picture.startY!) - noted(reader)),
};

proveReaders<LiquidColumnPicture>({
  family: 'thermometers',
  kind: 'liquid-column',
  habits: HABITS,
  careful,
  handled: lowered,
  seed: 2,
});
