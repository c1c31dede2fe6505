import { describe, expect, it } from 'vitest';
import { skillInWords } from './skill-lines.tsx';

const summary = (readings: number, sound: number, slips: readonly (readonly [id: string, count: number])[] = []) => ({
  skill: 'graduated-cylinders',
  readings,
  sound,
  slips: slips.map(([id, count]) => ({ id, count })),
});

describe('a skill in words', () => {
  it.each([
    [summary(20, 20), 'Reads graduated cylinders soundly.'],
    [summary(20, 18, [['eye-high', 2]]), 'Reads graduated cylinders soundly; watch: eye too high.'],
    [
      summary(20, 13, [
        ['meniscus-edge', 5],
        ['eye-high', 2],
      ]),
      'Mostly reads graduated cylinders right; watch: read at the wall.',
    ],
    [summary(20, 5, [['unit-missing', 12]]), 'Is learning to read graduated cylinders; watch: no unit.'],
  ])('%#', (skill, words) => {
    expect(skillInWords(skill)).toBe(words);
  });

  it('does not make a habit of one slip', () => {
    expect(skillInWords(summary(10, 9, [['transposed', 1]]))).toBe('Reads graduated cylinders soundly.');
  });

  it('says something of a skill without readings', () => {
    expect(skillInWords(summary(0, 0))).toMatch(/^Is learning/);
  });
});
