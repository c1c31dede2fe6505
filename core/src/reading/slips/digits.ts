import { isClockTime } from '../../numbers/clock-time.ts';
import { shiftedByPowers } from '../../numbers/shift-digits.ts';
import { numberWritten } from '../indication/written.ts';
import type { DigitsSlip } from './slip.ts';

/** Every text in which two neighbouring digits are exchanged, the decimal mark staying where it is. */
function exchanged(text: string): string[] {
  const all: string[] = [];
  let first = -1;
  for (let second = 0; second < text.length; second += 1) {
    const digit = text.charAt(second);
    if (digit < '0' || digit > '9') continue;
    if (first >= 0)
      all.push(
        text.slice(0, first) + digit + text.slice(first + 1, second) + text.charAt(first) + text.slice(second + 1),
      );
    first = second;
  }
  return all;
}

/** Hours, minutes and seconds have no decimal point. */
function isTime(text: string): boolean {
  return text.includes(':');
}

export const transposed: DigitsSlip = {
  id: 'transposed',
  stage: 'digits',
  name: 'Two digits exchanged',
  baseRate: 0.02,
  why: () => 'The digits are right, but you wrote two of them in the wrong order.',
  lookAt: () => 'what you wrote, digit by digit',
  // Nobody means a number that begins with a needless zero, or sixty seconds.
  meant: (written) =>
    exchanged(written)
      .filter((text) => text !== written && !/^-?0\d/.test(text) && (!isTime(text) || isClockTime(text)))
      .map((text, _, all) => ({ value: numberWritten(text), placeTells: true, part: 1 / all.length })),
  garbled: exchanged,
};

const POWERS: readonly [power: number, part: number][] = [
  [1, 0.35],
  [-1, 0.35],
  [2, 0.08],
  [-2, 0.08],
  [3, 0.07],
  [-3, 0.07],
];

export const powerOfTen: DigitsSlip = {
  id: 'power-of-ten',
  stage: 'digits',
  name: 'A power of ten off',
  baseRate: 0.03,
  why: () => 'The digits are right, but the decimal point is in the wrong place.',
  lookAt: () => 'the nearest label, for the size of the number',
  meant: (written) =>
    isTime(written)
      ? []
      : POWERS.map(([power, part]) => ({ value: Number(`${written}e${-power}`), placeTells: false, part })),
  garbled: (meant) => (isTime(meant) ? [] : POWERS.map(([power]) => shiftedByPowers(meant, power))),
};

/** Slips of the hand that writes: made on every tool. */
export const DIGITS_SLIPS: readonly DigitsSlip[] = [powerOfTen, transposed];
