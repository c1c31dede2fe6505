import { proveReaders } from '../../../test/readers/prove-readers.ts';
import { careful, eyeBrought, UPRIGHT_HABITS } from '../../../test/readers/upright-habits.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';

proveReaders<LiquidColumnPicture>({
  tools: [
    'hydrometer-0700',
    'hydrometer-0800',
    'hydrometer-0900',
    'hydrometer-1000',
    'hydrometer-1100',
    'hydrometer-1200',
  ],
  kind: 'liquid-column',
  habits: UPRIGHT_HABITS,
  careful,
  handled: eyeBrought,
  seed: 2,
});
