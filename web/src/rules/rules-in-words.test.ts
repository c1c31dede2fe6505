import { completeRules, DEFAULT_RULES, PRESETS, type HouseRules } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { rulesInWords } from './rules-in-words.ts';

const said = (rules: HouseRules, topic: string): string =>
  rulesInWords(rules).find((one) => one.topic === topic)?.rule ?? '';

describe('rules in words', () => {
  it('are whole sentences, one to a topic, without a gap', () => {
    for (const { rules } of PRESETS) {
      const lines = rulesInWords(rules);
      expect(new Set(lines.map((line) => line.topic)).size).toBe(lines.length);
      for (const { rule } of lines) {
        expect(rule).toMatch(/^[A-Z].*\.$/);
        expect(rule).not.toMatch(/undefined|null|NaN/);
      }
    }
  });

  it.each([
    ['Estimating', { estimate: 'half-division' }, 'to half a division'],
    ['Estimating', { estimate: 'nearest-division' }, 'to the nearest division'],
    ['Accepted', { acceptance: 3 }, 'within 3 tenths'],
    ['Volumes', { volumeUnit: 'cm³' }, 'in cm³'],
    [
      'One reading',
      { readingUncertainty: 'maker-tolerance', digitalUncertainty: 'half-last-digit' },
      '± the maker’s tolerance; a display to ± half its last digit',
    ],
    ['Repeats', { repeatUncertainty: 'larger-of-the-two' }, 'The larger of repeats and instrument'],
    ['Combining', { combine: 'plain-sum' }, 'by plain sum'],
    ['Combining', { combine: 'extremes' }, 'by the extremes'],
    ['Coverage', { coverage: 'expanded-k-2' }, 'k = 2'],
    ['Coverage', { coverage: 'students-t-95' }, 'Student’s t'],
    ['Writing ±', { uncertaintyFigures: 'two' }, 'has two figures'],
    ['Conversions', { quotedFactors: ['1 lb = 454 g'] }, '1 lb = 454 g'],
    ['Rounding', { rounding: 'half-even' }, 'to the even neighbour'],
    ['Percent error', { percentError: 'absolute', goodPercentError: 10 }, 'Without a sign; up to 10 %'],
    ['Water', { waterDensity: 'one' }, '1.00 g/mL'],
  ] as [string, Partial<HouseRules>, string][])('%s follows %j', (topic, rules, words) => {
    expect(said(completeRules(rules), topic)).toContain(words);
    expect(said(DEFAULT_RULES, topic)).not.toContain(words);
  });
});
