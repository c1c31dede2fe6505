import type { ExerciseShown } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { answerInWords, cellName, cellText, marksIn } from './answer-in-words.ts';

const table = {
  by: 'marks',
  headings: ['Run', 'Start / mL', 'End / mL'],
  rows: [
    ['1', '0.40', '17.9'],
    ['2', '1.20', '18.42'],
  ],
} as const;
const worked = {
  by: 'marks',
  headings: ['Quantity', 'Working', 'Result'],
  rows: [['Edge', '1.54 in × 2.54 cm/in', '3.9116 cm']],
} as const;
const shown = (answered: ExerciseShown['answered']): ExerciseShown => ({
  kind: 'exercise',
  exercise: 'spot-the-error',
  level: 1,
  story: [],
  answered,
});

describe('an answer in words', () => {
  it.each([
    [{ by: 'choice', options: ['one', 'another'], seen: null }, 'b', 'another'],
    [{ by: 'choice', options: ['one', 'another'], seen: null }, ' B ', 'another'],
    [{ by: 'choice', options: ['one', 'another'], seen: null }, 'x', 'x'],
    [{ by: 'number' }, '1.22 g/mL', '1.22 g/mL'],
    [{ by: 'count' }, '3', '3'],
    [table, '6b 2a', '17.9: fewer decimals than the rest; Start / mL: no unit in the heading'],
    [table, 'nothing', 'nothing'],
    [table, '', ''],
  ] as const)('%j, %s: %s', (answered, entry, words) => {
    expect(answerInWords(shown(answered), entry)).toBe(words);
  });

  it('names cells as somebody would who reads the table aloud', () => {
    expect([1, 3, 4, 6, 8].map((cell) => cellName(table, cell))).toEqual([
      'the heading Run',
      'the heading End / mL',
      'the line Run 1',
      'End / mL of Run 1',
      'Start / mL of Run 2',
    ]);
    expect([4, 5].map((cell) => cellName(worked, cell))).toEqual(['the line Edge', 'Working of Edge']);
    expect([2, 5, 9].map((cell) => cellText(table, cell))).toEqual(['Start / mL', '0.40', '18.42']);
  });

  it('leaves out marks that cannot be read', () => {
    expect(marksIn('6b', 9)).toEqual([{ cell: 6, fault: 'uneven-decimals' }]);
    expect(marksIn('60b', 9)).toEqual([]);
  });
});
