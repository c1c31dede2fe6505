import { anyTool } from '@green-beam/core';
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
    const needed = { name: 'Volume', unit: 'mL', now: 6.2, atLeast: 12, tooSmall: null };
    expect(neededInWords(needed)).toBe(
      'With the best of them it would do for a volume of at least 12 mL; in the example it is 6.2 mL. Take a larger piece, or several together.',
    );
    expect(neededInWords({ ...needed, atLeast: 41, tooSmall: anyTool('cylinder-50') })).toMatch(
      /several together\. The 50 mL cylinder is then too small: take a larger one\.$/,
    );
  });
});
