import { leadingDigit } from '../../scales/linear-scale.ts';
import type { Indication } from '../indication/indication.ts';
import type { Resolution } from '../indication/resolution.ts';

export const UNIT_HINT = 'Write the unit printed on the tool.';

/** How a space is parted in the mind when a digit is estimated beyond the marks. */
const PARTED = { 1: 'ten parts', 2: 'two halves, and each of them into ten parts', 5: 'five parts' } as const;

/** How the part of a space beyond the last mark is come by. */
export function estimateHint({ division, lastDigit }: Resolution): string {
  if (lastDigit === 'half-division')
    return 'Is it nearer to the mark, to the middle of the space, or to the next mark? This class writes halves.';
  if (lastDigit !== 'tenths') return 'Take the nearest mark. This class writes no digit beyond the marks.';
  if (division === 1 / 16) return 'Write the sixteenths as a decimal, or leave them as a fraction.';
  return `In your mind, divide the space beyond that mark into ${PARTED[leadingDigit(division)]}. The digit you estimate is the last one you write.`;
}

/** What is to be taken off, where something is. */
export function correctionHints({ subtracted, asked }: Indication): string[] {
  if (subtracted === 0) return [];
  return [
    asked === 'delivered'
      ? 'Subtract the initial reading from the final one.'
      : 'Correct for how far this tool is off, and which way.',
  ];
}
