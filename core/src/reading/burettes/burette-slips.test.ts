import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { differenceHabits } from '../../../test/readers/subtraction.ts';
import { careful, eyeBrought, starting, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import { labelled, lowestPoint, numberAt, written, type UprightReader } from '../../../test/readers/upright-reader.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

const HABITS = {
  ...UPRIGHT_HABITS,
  ...differenceHabits<LiquidColumnPicture>('initial-as-delivered', (reader) => {
    const [final = '', unit = ''] = written(reader, numberAt(reader, lowestPoint(reader))).split(' ');
    const [initial = ''] = written(reader, starting(reader)).split(' ');
    return { final, initial, unit };
  }),
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
