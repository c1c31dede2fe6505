import type { LastDigitWords } from '../indication/indication.ts';

/** Why every digit of a reading on a graduation is written. */
export const GRADUATION_WORDS: LastDigitWords = {
  digit: 'The marks give the certain digits. Estimate one more between them; on a mark it is a zero, and you write it.',
  zero: 'Exactly on a mark, the estimated digit is zero. A measured zero is written.',
};
