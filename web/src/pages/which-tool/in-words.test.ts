import { describe, expect, it } from 'vitest';
import { minutesText, neededInWords, sizeText } from './in-words.ts';

describe('which tool, in words', () => {
  it('writes sizes to two figures, as plain digits', () => {
    expect([sizeText(0.592), sizeText(12.4), sizeText(0.0304), sizeText(9.96), sizeText(0)]).toEqual([
      '0.59',
      '12',
      '0.030',
      '10.0',
      '0',
    ]);
  });
  it('says times roughly', () => {
    expect([minutesText(42), minutesText(95), minutesText(600)]).toEqual(['about 40 s', 'about 2 min', 'about 10 min']);
  });
  it('says how large it would have to be, and what to do', () => {
    expect(neededInWords({ name: 'Volume', unit: 'mL', now: 6.2, atLeast: 12 })).toBe(
      'With the best of them it would do for a volume of at least 12 mL; in the example it is 6.2 mL. Take a larger piece, or several together.',
    );
  });
});
