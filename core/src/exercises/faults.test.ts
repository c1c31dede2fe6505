import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAULT_KINDS, parseMarks, UnreadableMarksError, writtenMarks, type Marked } from './faults.ts';
import { hintsOn } from './hints.ts';
import { EXERCISE_KINDS } from './kinds.ts';
import { indexOfLetter, letterOf } from './letters.ts';
import { drawExercise } from './draw-exercise.ts';

const CELLS = 24;

describe('marks in a table', () => {
  it.each([
    ['7c', [[7, 'wrong-result']]],
    [
      '12a 7c',
      [
        [12, 'heading-without-unit'],
        [7, 'wrong-result'],
      ],
    ],
    [
      ' 7 C,  12a; 3h ',
      [
        [7, 'wrong-result'],
        [12, 'heading-without-unit'],
        [3, 'impossible-value'],
      ],
    ],
    ['７ｃ', [[7, 'wrong-result']]],
    [
      '7c12a',
      [
        [7, 'wrong-result'],
        [12, 'heading-without-unit'],
      ],
    ],
  ])('%s is read', (typed, marks) => {
    expect(parseMarks(typed, CELLS)).toEqual(marks.map(([cell, fault]) => ({ cell, fault })));
  });

  it.each([
    ['', 'You have marked nothing yet. Mark a cell and say what is wrong with it.'],
    ['   ', 'You have marked nothing yet. Mark a cell and say what is wrong with it.'],
    ['7', '“7” is not the number of a cell and a letter from a to n.'],
    ['c7', '“c7” is not the number of a cell and a letter from a to n.'],
    ['7z', '“7z” is not the number of a cell and a letter from a to n.'],
    ['the third', '“the” is not the number of a cell and a letter from a to n.'],
    ['0a', 'There is no cell 0; they go from 1 to 24.'],
    ['25a', 'There is no cell 25; they go from 1 to 24.'],
    ['7c 7a', 'Cell 7 is marked twice.'],
    ['7c '.repeat(200), 'That is 599 characters; marks have at most 400.'],
  ])('%j is refused, saying what cannot be read', (typed, message) => {
    expect(() => parseMarks(typed, CELLS)).toThrow(
      expect.objectContaining({ name: UnreadableMarksError.name, message }),
    );
  });

  it('are read again as they were written, whatever their order', () => {
    const mark = fc.record({
      cell: fc.integer({ min: 1, max: CELLS }),
      fault: fc.constantFrom(...FAULT_KINDS.map(({ id }) => id)),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(mark, { selector: ({ cell }: Marked) => cell, minLength: 1, maxLength: 8 }),
        (marks) => {
          expect(parseMarks(writtenMarks(marks), CELLS)).toEqual([...marks].sort((a, b) => a.cell - b.cell));
        },
      ),
    );
  });

  it('whatever is typed is read or refused as unreadable', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (typed) => {
        try {
          for (const { cell, fault } of parseMarks(typed, CELLS)) {
            expect(cell).toBeGreaterThanOrEqual(1);
            expect(cell).toBeLessThanOrEqual(CELLS);
            expect(FAULT_KINDS.map(({ id }) => id)).toContain(fault);
          }
        } catch (error) {
          expect(error).toBeInstanceOf(UnreadableMarksError);
        }
      }),
    );
  });
});

describe('letters', () => {
  it('stand for places, large and small', () => {
    for (let place = 0; place < 26; place += 1) {
      expect(indexOfLetter(letterOf(place))).toBe(place);
      expect(indexOfLetter(letterOf(place).toUpperCase())).toBe(place);
    }
  });

  it.each(['', 'ab', '1', 'ä', ' a'])('%j is none', (text) => {
    expect(indexOfLetter(text)).toBe(-1);
  });
});

describe('hints', () => {
  it.each(EXERCISE_KINDS.map(({ id }) => id))(
    'on %s there are at least two, none of which gives a digit of the exercise away',
    (kind) => {
      for (let seed = 0; seed < 20; seed += 1) {
        const { exercise } = drawExercise(kind, { seed });
        const hints = hintsOn(exercise);
        expect(hints.length).toBeGreaterThanOrEqual(2);
        for (const hint of hints) expect(hint).not.toMatch(/\d/);
      }
    },
  );
});
