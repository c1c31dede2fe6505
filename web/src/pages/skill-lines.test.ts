import { describe, expect, it } from 'vitest';
import { skillInWords, toWorkOn } from './skill-lines.tsx';

const summary = (readings: number, sound: number, slips: readonly (readonly [id: string, count: number])[] = []) => ({
  skill: 'graduated-cylinders',
  readings,
  sound,
  slips: slips.map(([id, count]) => ({ id, count })),
});

describe('a skill in words', () => {
  it.each([
    [summary(20, 20), 'Reads graduated cylinders well.'],
    [summary(20, 18, [['eye-high', 2]]), 'Reads graduated cylinders well; watch: eye too high.'],
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
    expect(skillInWords(summary(10, 9, [['transposed', 1]]))).toBe('Reads graduated cylinders well.');
  });

  it.each([0, 4])('says nothing of a skill yet with %d items', (items) => {
    expect(skillInWords(summary(items, 0))).toBe('Graduated cylinders: too early to say.');
  });
});

describe('skills to work on', () => {
  it('begin with the weakest; those of which nothing can be said come last', () => {
    const skills = [summary(20, 19), summary(3, 0), summary(10, 2), summary(12, 9)];
    expect(toWorkOn(skills).map(({ readings }) => readings)).toEqual([10, 12, 20, 3]);
  });
});
