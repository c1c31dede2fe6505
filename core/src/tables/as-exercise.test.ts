import { describe, expect, it } from 'vitest';
import { diagnoseExercise } from '../exercises/diagnose-exercise.ts';
import { exerciseTask } from '../exercises/exercise.ts';
import { FAULT_KINDS, writtenMarks } from '../exercises/faults.ts';
import { tableExercise } from './as-exercise.ts';
import { TableError } from './proofread.ts';

/** A burette: the second difference is wrong, the third start has lost its zero, one heading has no unit. */
const TABLE = [
  ['Run', 'Start / mL', 'End / mL', 'Run out'],
  ['1', '0.35', '18.62', '18.27'],
  ['2', '1.20', '20.45', '19.35'],
  ['3', '0.6', '19.13', '18.53'],
  ['4', '2.15', '21.07', '18.92'],
];

describe('a table that was handed in, as an exercise', () => {
  const exercise = tableExercise(TABLE);
  const task = exerciseTask(exercise);

  it('has its faults where they are, and says how many there are', () => {
    expect(exercise.faults.map(({ cells, called }) => [cells[0], called[0]])).toEqual([
      [4, 'heading-without-unit'],
      [12, 'wrong-result'],
      [14, expect.stringMatching(/^(zero-dropped|uneven-decimals)$/)],
    ]);
    expect(exercise.question).toMatch(/^3 things in it are wrong/);
    expect([exercise.headings, ...exercise.rows]).toEqual(TABLE);
  });

  it('is right for who finds all of them, by any of their names', () => {
    const marks = exercise.faults.map(({ cells, called }) => ({ cell: cells[0]!, fault: called.at(-1)! }));
    expect(diagnoseExercise(task, writtenMarks(marks)).verdict).toBe('sound');
  });

  it('names what somebody has overlooked', () => {
    const marks = exercise.faults.slice(1).map(({ cells, called }) => ({ cell: cells[0]!, fault: called[0]! }));
    const { verdict, slips } = diagnoseExercise(task, writtenMarks(marks));
    expect(verdict).toBe('slip');
    expect(slips[0]!.ids).toEqual(['unit-overlooked']);
  });

  it('leaves out what its teacher takes for right', () => {
    const less = tableExercise(TABLE, { left: ['0 3 unit-missing'] });
    expect(less.faults.map(({ cells }) => cells[0])).toEqual([12, 14]);
  });

  it('finds the same where the repeats stand side by side, under a title', () => {
    const turned = TABLE[0]!.map((_, column) => TABLE.map((row) => row[column]!));
    const other = tableExercise([['Burette, Monday', '', '', '', ''], ...turned]);
    expect(other.faults.map(({ cells, called }) => [cells[0], called[0]])).toEqual(
      exercise.faults.map(({ cells, called }) => [cells[0], called[0]]),
    );
  });

  it('needs a fault, and no more than a lesson can look through', () => {
    const sound = [
      ['Run', 'Start / mL', 'End / mL'],
      ['1', '0.35', '18.62'],
      ['2', '1.20', '20.45'],
      ['3', '0.60', '19.13'],
    ];
    expect(() => tableExercise(sound)).toThrow(
      new TableError('table: Nothing in this table is wrong, so there is nothing to find.'),
    );
    const long = [TABLE[0]!, ...Array.from({ length: 40 }, (_, i) => [String(i + 1), '0.35', '18.62', '18.2'])];
    expect(() => tableExercise(long)).toThrow(/40 rows .* are too many/);
  });

  it('calls every fault by a name that can be chosen', () => {
    const names = FAULT_KINDS.map(({ id }) => id);
    for (const { called } of exercise.faults) expect(names).toEqual(expect.arrayContaining([...called]));
  });
});
