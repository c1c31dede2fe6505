import { pool, worthChecking, type GroupResult } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { agreementInWords, counted, factorInWords, listed, rounded, sharedInWords } from './in-words.ts';

const groups = (values: readonly number[], own: number, tools = {}): GroupResult[] =>
  values.map((value, i) => ({
    group: String.fromCharCode(65 + i),
    value,
    variance: { own: own ** 2, tools, given: {} },
  }));

const said = (results: readonly GroupResult[]): string[] => {
  const found = pool(results);
  return agreementInWords(found, found.together, 'g/mL');
};

describe('what groups found, in words', () => {
  it('of one group: nothing can be said of a scatter', () => {
    expect(said(groups([8.7], 0.1))).toEqual(['One group has a result. To see how groups scatter, two are needed.']);
  });

  it('of few: nobody is accused', () => {
    expect(said(groups([8.6, 8.7, 11], 0.1)).at(-1)).toBe(
      'With fewer than four groups nobody can say which one is off.',
    );
  });

  it('of groups that agree', () => {
    expect(said(groups([8.6, 8.7, 8.8, 8.7], 0.1))).toEqual([
      'The groups scatter no more than their own uncertainties say.',
      'No group lies apart from the others by more than chance.',
    ]);
  });

  it('of one that lies apart, and how far they scatter', () => {
    const [between, apart] = said(groups([8.62, 8.71, 8.66, 8.7, 10.9, 8.69], 0.05));
    expect(between).toMatch(/^The groups scatter more than their own uncertainties say: 0\.9\d? g\/mL/);
    expect(apart).toBe('Group E lies farther from the others than chance would bring one of six.');
  });

  it('of groups without an uncertainty', () => {
    const without: GroupResult = { group: 'Z', value: 9, variance: null };
    expect(said([without, without])).toEqual([
      'No group knows how uncertain its result is, so nobody can say whether they agree.',
    ]);
    expect(said([...groups([8.6, 8.7], 0.1), without]).at(-1)).toBe('Without an uncertainty, and not counted: Z.');
  });

  it('of what they share', () => {
    const { together } = pool(groups([8.6, 8.7], 0.1, { 'B-02': 0.0009 }));
    expect(together && sharedInWords(together, 'g')).toBe(
      'B-02 adds 0.030 g. The groups share it, so more groups do not make it smaller.',
    );
    const alone = pool(groups([8.6, 8.7], 0.1)).together;
    expect(alone && sharedInWords(alone, 'g')).toBeNull();
  });

  it('of a balance on which all low results were weighed: how far, how sure, how likely by chance', () => {
    const values = [8.1, 8.15, 8.2, 8.61, 8.72, 8.66, 8.7, 8.69, 8.64, 8.74, 8.68, 8.71];
    const [factor] = worthChecking(
      values.map((value, i) => ({ group: String(i), value, tools: i < 3 ? ['B-02'] : [], choices: {} })),
    );
    expect(factor && factorInWords(factor, 'g/mL')).toBe(
      'The three groups that used it found about 0.53 g/mL less than the nine others (0.43 to 0.64). By chance: 1 in 220.',
    );
  });
});

describe('words and figures', () => {
  it.each([
    [[], ''],
    [['A'], 'A'],
    [['A', 'B'], 'A and B'],
    [['A', 'B', 'C'], 'A, B and C'],
  ])('%j is “%s”', (names, text) => {
    expect(listed(names)).toBe(text);
  });

  it('counts in words to twelve', () => {
    expect([counted(1), counted(12), counted(13)]).toEqual(['one', 'twelve', '13']);
  });

  it('rounds to two figures', () => {
    expect([0.05349, 12.6, 0.1, 0.9998, 3, 1250].map(rounded)).toEqual(['0.053', '13', '0.10', '1.0', '3.0', '1300']);
  });
});
