import type { LastDigitWords } from '../indication/indication.ts';

/** Why every digit of a reading on a graduation is written. */
export const GRADUATION_WORDS: LastDigitWords = {
  digit:
    'The marks give the certain digits; one more is estimated between them. On a mark, that digit is a written zero.',
  zero: 'Exactly on a mark means that the estimated digit is zero, and a measured zero is written.',
};
