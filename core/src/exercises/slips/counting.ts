import { significantFigures } from '../../numbers/written-number.ts';
import type { ExerciseTask } from '../exercise.ts';
import type { AnswerSlip } from './slip.ts';

/** The parts of a number as written: `0.0450` → all digits, decimals; the digits of a power of ten apart. */
interface Digits {
  readonly mantissa: string;
  readonly decimals: string;
  readonly power: string;
}

function digitsOf(number: string): Digits {
  const [mantissa = '', power = ''] = number.split(' × ');
  return { mantissa, decimals: mantissa.split('.')[1] ?? '', power: power.normalize('NFKC').replace(/\D/g, '') };
}

/** How many figures are counted with a slip, where that is another number than the right one. */
function counted(count: (digits: Digits) => readonly number[]) {
  return ({ exercise }: ExerciseTask): string[] => {
    if (exercise.kind !== 'count-figures') return [];
    const right = rightCount(exercise.number);
    return [...new Set(count(digitsOf(exercise.number)))].filter((wrong) => wrong > 0 && wrong !== right).map(String);
  };
}

/** Bare zeros at the end do not count where a class has a rule for them; numbers that leave it open are not set. */
export function rightCount(number: string): number {
  return significantFigures(number).atLeast;
}

const plain = (mantissa: string): string => mantissa.replace('.', '');
const withoutLeading = (mantissa: string): string => plain(mantissa).replace(/^0+/, '');

export const leadingZerosCounted: AnswerSlip = {
  id: 'leading-zeros-counted',
  stage: 'answer',
  name: 'Leading zeros counted',
  baseRate: 0.2,
  why: () =>
    'Zeros before the first other digit only show where the decimal mark is. In a smaller unit they disappear.',
  lookAt: () => 'the first digit that is not zero: counting begins there',
  answers: counted(({ mantissa, decimals }) =>
    plain(mantissa).startsWith('0') ? [decimals.length, plain(mantissa).length] : [],
  ),
};

export const trailingZerosLeftOut: AnswerSlip = {
  id: 'trailing-zeros-left-out',
  stage: 'answer',
  name: 'Zeros at the end left out',
  baseRate: 0.2,
  why: () => 'A zero at the end of a decimal number was measured. It counts.',
  lookAt: () => 'the zeros after the last other digit',
  answers: counted(({ mantissa }) =>
    /\.\d*0$|0\.$/.test(mantissa) ? [withoutLeading(mantissa).replace(/0+$/, '').length] : [],
  ),
};

export const innerZerosLeftOut: AnswerSlip = {
  id: 'inner-zeros-left-out',
  stage: 'answer',
  name: 'Zeros in between left out',
  baseRate: 0.14,
  why: () => 'A zero between other digits was measured. It counts.',
  lookAt: () => 'the zeros between other digits',
  answers: counted(({ mantissa }) =>
    /[1-9].*0.*[1-9]/.test(mantissa) ? [withoutLeading(mantissa).replace(/0+(?=.*[1-9])/g, '').length] : [],
  ),
};

export const decimalsCounted: AnswerSlip = {
  id: 'decimals-counted',
  stage: 'answer',
  name: 'Decimals counted',
  baseRate: 0.14,
  why: () => 'Count all digits from the first one that is not zero, on both sides of the decimal mark.',
  lookAt: () => 'the digits before the decimal mark as well',
  answers: counted(({ mantissa, decimals }) => (plain(mantissa).startsWith('0') ? [] : [decimals.length])),
};

export const bareZerosCounted: AnswerSlip = {
  id: 'bare-zeros-counted',
  stage: 'answer',
  name: 'Placeholder zeros counted',
  baseRate: 0.2,
  why: () => 'In this class, zeros at the end of a whole number without a point are only placeholders.',
  lookAt: () => 'whether there is a point after the last zero',
  answers: counted(({ mantissa }) => (/^[1-9]\d*0$/.test(mantissa) ? [mantissa.length] : [])),
};

export const powerCounted: AnswerSlip = {
  id: 'power-counted',
  stage: 'answer',
  name: 'The power of ten counted too',
  baseRate: 0.14,
  why: () => 'The power of ten only says how large the number is. Count the digits before it.',
  lookAt: () => 'the digits before the multiplication sign',
  answers: counted(({ mantissa, power }) =>
    power === '' ? [] : [plain(mantissa).length + 2, plain(mantissa).length + power.length],
  ),
};
