import { labelPassed, multipleOf } from '../../scales/linear-scale.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { labelOver, spanOn } from '../slips/on-its-scale.ts';
import { eyeAside, shiftOf } from '../slips/eye-level.ts';
import { unscattered, type CorrectionSlip, type Counted, type CountSlip, type Slip } from '../slips/slip.ts';
import type { RulerIndication } from './ruler-indication.ts';

const sixteenthsAsTenths: CountSlip<RulerIndication> = {
  id: 'sixteenths-as-tenths',
  stage: 'count',
  name: 'Sixteenths written as decimals',
  baseRate: 0.2,
  why: () => 'An inch has 16 parts here. You wrote the number of sixteenths as decimals.',
  lookAt: () => 'how many spaces there are in one inch',
  counted({ tool: { scale } }, seen) {
    if (scale.division !== 1 / 16) return [];
    const inches = labelPassed(scale, seen);
    const sixteenths = Math.round((seen - inches) * 16);
    if (sixteenths === 0 || sixteenths === 16) return [];
    const asDecimal = (digits: number, part: number): Counted =>
      unscattered(multipleOf(0.01, Math.round((inches + sixteenths / digits) * 100)), part);
    return sixteenths < 10 ? [asDecimal(10, 1)] : [asDecimal(100, 0.6), asDecimal(10, 0.4)];
  },
  path: (indication) => spanOn(indication, labelPassed, labelOver, 'sixteen spaces'),
};

const endNotZero: CorrectionSlip<RulerIndication> = {
  id: 'end-not-zero',
  stage: 'correction',
  name: 'Not measured from the zero mark',
  baseRate: 0.2,
  why: ({ situation: { from = 0 } }) =>
    from > 0
      ? 'It does not begin at the zero mark. Its length is the difference of the marks at its two ends.'
      : 'The scale begins at its zero mark, not at the end of the wood.',
  lookAt: () => 'where the thing begins, and where the zero mark stands',
  corrected: ({ tool, situation }, reading) => {
    const { from = 0, endOffset = 0 } = situation;
    if (from !== 0) return [{ value: reading, part: 1 }];
    const bare = endOffset / tool.body.perUnit;
    return bare === 0
      ? []
      : [
          { value: reading - bare, part: 0.5 },
          { value: reading + bare, part: 0.5 },
        ];
  },
};

export const RULER_SLIPS: readonly Slip<RulerIndication>[] = [
  eyeAside<RulerIndication>(shiftOf),
  ...COUNTING_SLIPS,
  sixteenthsAsTenths,
  endNotZero,
];
