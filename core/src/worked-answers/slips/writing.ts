import { Rational } from '../../numbers/rational.ts';
import { unambiguousAtPlace } from '../../numbers/rounding.ts';
import { parseWrittenNumber, type WrittenNumber } from '../../numbers/written-number.ts';
import { powerOfTen as powerOfTenRead, transposed as transposedRead } from '../../reading/slips/digits.ts';
import type { NumberTask } from '../number-task.ts';
import { placeOfFigures, type Result } from '../result.ts';
import { sharedWith, type WritingSlip } from './slip.ts';

/** Longest number a calculator shows, in significant figures. */
const DISPLAY = 10;
/** From so many digits too many on, they are a calculator’s. */
const COPIED = 3;

/** Place of the last digit written, trailing zeros of a whole number included. */
export function lastPlace({ place, atMost, atLeast }: WrittenNumber): number {
  return place - (atMost - atLeast);
}

function at(result: Result, place: number, { rules }: NumberTask): string {
  return unambiguousAtPlace(result.value, place, rules.rounding);
}

/** Written to another place than the right one; nothing where that is the same, or leaves no figure. */
function toPlace(result: Result, place: number, task: NumberTask): string[] {
  if (place === result.place || place === -Infinity || place > result.value.magnitude()) return [];
  return [at(result, place, task)];
}

function isCutOrRounded({ value }: Result, entered: WrittenNumber, place: number): boolean {
  return (
    value.roundedTo(place, 'half-up').equals(entered.value) || value.roundedTo(place, 'down').equals(entered.value)
  );
}

const figuresOf = (numbers: readonly WrittenNumber[]): number[] =>
  numbers.map(({ atLeast }) => atLeast).filter((figures) => figures > 0);

export const fewestFiguresInSum: WritingSlip = {
  id: 'fewest-figures-in-sum',
  stage: 'writing',
  name: 'Product rule used for a sum',
  baseRate: 0.16,
  changesValue: false,
  why: () =>
    'For sums and differences the decimal places count, not the number of figures. The result ends where the least precise term ends.',
  lookAt: () => 'the last digit of each term, one under the other',
  written: (result, task) =>
    result.rule === 'places' && result.measured.length > 1
      ? toPlace(result, placeOfFigures(result.value, Math.min(...figuresOf(result.measured)), task.rules), task)
      : [],
};

export const decimalsInProduct: WritingSlip = {
  id: 'decimals-in-product',
  stage: 'writing',
  name: 'Sum rule used for a product',
  baseRate: 0.14,
  changesValue: false,
  why: () =>
    'For products and quotients the significant figures count, not the decimals. The result has as many as the factor with the fewest.',
  lookAt: () => 'how many significant figures each factor has',
  written: (result, task) =>
    result.rule === 'figures' && result.measured.length > 0
      ? toPlace(result, Math.max(...result.measured.map(({ place }) => place)), task)
      : [],
};

export const exactCounted: WritingSlip = {
  id: 'exact-counted',
  stage: 'writing',
  name: 'Exact number treated as measured',
  baseRate: 0.14,
  changesValue: false,
  why: () => 'A counted or defined number is exact. It has no doubtful digit, so it does not limit the result.',
  lookAt: () => 'which of the numbers were measured',
  written: (result, task) => {
    const fewest = Math.min(...figuresOf(result.exact));
    return result.rule === 'figures' && fewest < Math.min(...figuresOf(result.measured))
      ? toPlace(result, placeOfFigures(result.value, fewest, task.rules), task).filter((text) => text !== result.text)
      : [];
  },
};

export const calculatorDigits: WritingSlip = {
  id: 'calculator-digits',
  stage: 'writing',
  name: 'All the digits of the calculator',
  baseRate: 0.2,
  changesValue: false,
  why: () =>
    'A calculator does not know how precisely you measured. Nobody has measured the digits beyond the last certain place.',
  lookAt: () => 'the least precise number: it decides where the result ends',
  written: ({ value, place }) => {
    const ends = value.lastPlace(DISPLAY + 2);
    const last = Math.max(ends ?? -Infinity, value.magnitude() - DISPLAY + 1);
    return last < place && (ends !== null || last <= place - COPIED)
      ? [value.roundedTo(last).toFixed(Math.max(0, -last))]
      : [];
  },
  meant: (result, entered) => {
    const last = lastPlace(entered);
    return (
      last <= result.place - COPIED && last > result.value.magnitude() - 16 && isCutOrRounded(result, entered, last)
    );
  },
};

/** The right digits, with zeros behind them that nobody has seen: 12.0 for 12. */
function isFilledUp({ text }: Result, entered: WrittenNumber): boolean {
  return parseWrittenNumber(text).value.equals(entered.value);
}

export const tooManyFigures: WritingSlip = {
  id: 'too-many-figures',
  stage: 'writing',
  name: 'More digits than are known',
  baseRate: 0.07,
  changesValue: false,
  why: ({ kind }) =>
    kind === 'rounding'
      ? 'You wrote more digits than the question asks for.'
      : 'The last digits say more than the measured numbers can give.',
  lookAt: ({ kind }) => (kind === 'rounding' ? 'how many are asked for' : 'the least precise number'),
  written: (result, task) => (result.place === -Infinity ? [] : [at(result, result.place - 1, task)]),
  meant: (result, entered) =>
    lastPlace(entered) < result.place &&
    (isFilledUp(result, entered) ||
      (lastPlace(entered) > result.place - COPIED && result.value.roundedTo(lastPlace(entered)).equals(entered.value))),
};

export const tooFewFigures: WritingSlip = {
  id: 'too-few-figures',
  stage: 'writing',
  name: 'Fewer digits than are known',
  baseRate: 0.07,
  changesValue: false,
  why: ({ kind }) =>
    kind === 'rounding'
      ? 'You wrote fewer digits than the question asks for.'
      : 'You left out digits that were measured.',
  lookAt: ({ kind }) => (kind === 'rounding' ? 'how many are asked for' : 'the last certain digit of each number'),
  written: (result, task) => toPlace(result, result.place + 1, task),
  meant: (result, entered) =>
    entered.place > result.place &&
    entered.place <= result.value.magnitude() &&
    result.value.roundedTo(entered.place).equals(entered.value),
};

function withoutZeros(text: string): string[] {
  const [mantissa = '', power] = text.split('e');
  if (!/\.\d*0$/.test(mantissa)) return [];
  const tail = power === undefined ? '' : `e${power}`;
  const all = mantissa.replace(/\.?0+$/, '');
  const one = mantissa.replace(/\.?0$/, '');
  return all === one ? [all + tail] : [all + tail, one + tail];
}

export const zeroLost: WritingSlip = {
  id: 'zero-lost',
  stage: 'writing',
  name: 'A zero lost',
  baseRate: 0.25,
  changesValue: false,
  why: () =>
    'Calculators drop zeros at the end. Here the zero is certain. Without it your number says less than you know.',
  lookAt: () => 'the last certain place of the result, even if its digit is zero',
  written: ({ text }) => withoutZeros(text),
};

export const cutOff: WritingSlip = {
  id: 'cut-off',
  stage: 'writing',
  name: 'Cut off instead of rounded',
  baseRate: 0.1,
  changesValue: true,
  why: ({ rules }) =>
    `The digits beyond the last one decide it: from ${rules.rounding === 'half-even' ? 'more than a half' : 'a half'} on it goes up.`,
  lookAt: () => 'the first digit that is left out',
  written: ({ value, place, text }) => {
    if (place === -Infinity) return [];
    const cut = unambiguousAtPlace(value.roundedTo(place, 'down'), place);
    return cut === text ? [] : [cut];
  },
};

export const roundedTwice: WritingSlip = {
  id: 'rounded-twice',
  stage: 'writing',
  name: 'Rounded twice',
  baseRate: 0.06,
  changesValue: true,
  why: () => 'You rounded the number and then rounded it again. Round once, from the number itself.',
  lookAt: () => 'all the digits that you leave out, together',
  written: ({ value, place, text }, { rules }) => {
    if (place === -Infinity) return [];
    const twice = unambiguousAtPlace(value.roundedTo(place - 1, rules.rounding), place, rules.rounding);
    return twice === text ? [] : [twice];
  },
};

export const halfOtherWay: WritingSlip = {
  id: 'half-other-way',
  stage: 'writing',
  name: 'A half rounded the other way',
  baseRate: 0.08,
  changesValue: true,
  why: ({ rules }) =>
    rules.rounding === 'half-even'
      ? 'In this class an exact half goes to the even neighbour.'
      : 'In this class an exact half goes up, away from zero.',
  lookAt: () => 'the class rule for an exact half',
  written: ({ value, place, text }, { rules }) => {
    if (place === -Infinity) return [];
    const other = unambiguousAtPlace(value, place, rules.rounding === 'half-even' ? 'half-up' : 'half-even');
    return other === text ? [] : [other];
  },
};

export const figuresForDecimals: WritingSlip = {
  id: 'figures-for-decimals',
  stage: 'writing',
  name: 'Decimals and significant figures confused',
  baseRate: 0.16,
  changesValue: true,
  why: () => 'Count significant figures from the first digit that is not zero. Count decimals from the decimal mark.',
  lookAt: () => 'whether the question asks for decimals or significant figures',
  written: (result, task) => {
    if (task.kind !== 'rounding') return [];
    const place = 'figures' in task.to ? -task.to.figures : placeOfFigures(result.value, task.to.decimals, task.rules);
    const number = parseWrittenNumber(task.number);
    // Nobody makes up digits that the number has not.
    return place < number.place || ('decimals' in task.to && task.to.decimals === 0)
      ? []
      : toPlace(result, place, task);
  },
};

export const placeLost: WritingSlip = {
  id: 'place-lost',
  stage: 'writing',
  name: 'Size of the number changed',
  baseRate: 0.1,
  changesValue: true,
  why: () =>
    'Digits before the decimal mark need placeholders or a power of ten. Without them the number becomes much smaller.',
  lookAt: () => 'the size of the number before and after rounding',
  written: ({ value, place }, { rules }) =>
    place > 0 ? [value.roundedTo(place, rules.rounding).shifted(-place).toFixed(0)] : [],
};

/** Slips of a pen rather than of the understanding, the same as in a reading; their reasons hold for any number. */
export const transposed: WritingSlip = {
  ...sharedWith(transposedRead),
  stage: 'writing',
  changesValue: true,
  why: () => 'The digits are right, but you wrote two of them in the wrong order.',
  lookAt: () => 'what you wrote, digit by digit',
  written: ({ text }) =>
    transposedRead
      .garbled(text.split('e')[0] ?? text)
      .filter((garbled) => garbled !== text && !/^-?0\d/.test(garbled))
      .map((garbled) => [garbled, ...text.split('e').slice(1)].join('e')),
};

export const powerOfTen: WritingSlip = {
  ...sharedWith(powerOfTenRead),
  stage: 'writing',
  changesValue: true,
  why: () => 'The digits are right, but the decimal mark is in the wrong place.',
  lookAt: () => 'the size of the result: is it about what you expect?',
  written: ({ text }) => (text.includes('e') ? [] : powerOfTenRead.garbled(text)),
};

export const bareZeros: WritingSlip = {
  id: 'bare-zeros',
  stage: 'writing',
  name: 'Unclear zeros at the end',
  baseRate: 0.25,
  changesValue: false,
  why: () => 'Zeros at the end of a whole number may be measured, or only placeholders. A power of ten makes it clear.',
  lookAt: ({ rules }) =>
    rules.bareTrailingZeros === 'want-point'
      ? 'the class rule: a point after the last zero says that it counts'
      : 'how the number looks with a power of ten',
  written: ({ text, value, place }, { rules }) =>
    text.includes('e') && place >= 0 && rules.bareTrailingZeros !== 'not-significant'
      ? [Rational.of(value).roundedTo(place, rules.rounding).toFixed(0)]
      : [],
};
