import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { careful, eyeBrought, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

proveReaders<LiquidColumnPicture>({
  family: 'hydrometers',
  kind: 'liquid-column',
  habits: UPRIGHT_HABITS,
  careful,
  handled: eyeBrought,
  seed: 2,
});
