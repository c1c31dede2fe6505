import { describe, expect, it } from 'vitest';
import { latexWithMark, withMark } from './decimal-mark.ts';

describe('the decimal mark of a class', () => {
  it.each([
    ['24.38 mL', '24,38 mL'],
    ['−0.5 to 12.25', '−0,5 to 12,25'],
    ['1.2.3', '1,2,3'],
    ['Read 4. Then 5.', 'Read 4. Then 5.'],
    ['12:41', '12:41'],
    ['.5 and 5.', '.5 and 5.'],
  ])('%s becomes %s', (text, withComma) => {
    expect(withMark(text, 'comma')).toBe(withComma);
    expect(withMark(text, 'point')).toBe(text);
  });

  it('is set in braces in LaTeX, where a bare comma would part a list', () => {
    expect(latexWithMark('\\dfrac{18.40\\,\\mathrm{g}}{2.1}', 'comma')).toBe('\\dfrac{18{,}40\\,\\mathrm{g}}{2{,}1}');
    expect(latexWithMark('2.1', 'point')).toBe('2.1');
  });
});
