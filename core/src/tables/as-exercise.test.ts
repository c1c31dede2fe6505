import { describe, expect, it } from 'vitest';
import { diagnoseExercise } from '../exercises/diagnose-exercise.ts';
import { exerciseTask, type TableExercise } from '../exercises/exercise.ts';
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

  const BURETTE = 'Run | Start / mL | End / mL | Run out / mL';
  const ROWS = [
    '1 | 0.35 | 18.62 | 18.27',
    '2 | 1.20 | 20.45 | 19.25',
    '3 | 0.60 | 19.13 | 18.53',
    '4 | 2.15 | 21.07 | 18.92',
    '5 | 0.85 | 19.70 | 18.85',
    '6 | 1.55 | 20.13 | 18.58',
  ];
  const RUNNING = [
    '1 | 0.35 | 11.62 | 11.27',
    '2 | 11.62 | 22.45 | 10.83',
    '3 | 22.45 | 33.13 | 10.68',
    '4 | 33.13 | 44.07 | 10.94',
  ];
  const DENSITY = ['1 | 24.31 | 2.8 | 8.7', '2 | 24.29 | 2.8 | 8.7', '3 | 24.33 | 2.7 | 9.0', '4 | 24.30 | 2.8 | 8.7'];
  const SOLID = 'Trial | Mass / g | Volume / mL | Density / g/mL';

  // Each has one more fault, a result that is wrong: who finds only that has overlooked the other.
  it.each([
    [
      'wrong-unit-overlooked',
      [SOLID.replace('g/mL', 'g'), ...DENSITY],
      '2 | 24.29 | 2.8 | 8.7',
      '2 | 24.29 | 2.8 | 7.7',
    ],
    [
      'exchange-overlooked',
      [BURETTE, ...ROWS.map((row) => row.replace('1.20 | 20.45', '20.45 | 1.20'))],
      '18.92',
      '17.92',
    ],
    [
      'break-overlooked',
      [BURETTE, ...RUNNING.map((row) => row.replace('22.45 | 33.13 | 10.68', '22.54 | 33.13 | 10.59'))],
      '10.94',
      '11.94',
    ],
    ['exchanged-digits-overlooked', [BURETTE, ...ROWS.map((row) => row.replace('20.45', '20.54'))], '18.92', '17.92'],
    [
      'copy-overlooked',
      [SOLID, ...DENSITY.slice(0, 3), '4 | 24.31 | 2.8 | 8.7', '5 | 24.27 | 2.6 | 9.3'],
      '9.3',
      '8.3',
    ],
    [
      'too-many-overlooked',
      [SOLID, ...DENSITY.map((row) => row.replace('2.7 | 9.0', '2.7 | 9.011'))],
      '2 | 24.29 | 2.8 | 8.7',
      '2 | 24.29 | 2.8 | 7.7',
    ],
  ])('%s: is named first for who finds the other fault only', (slip, lines, right, wrong) => {
    const table = lines
      .join('\n')
      .replace(right, wrong)
      .split('\n')
      .map((line) => line.split(' | '));
    const handed = exerciseTask(tableExercise(table));
    const { faults } = handed.exercise as TableExercise;
    const missed = FAULT_KINDS.find(({ overlooked }) => overlooked.id === slip)!.id;
    const rest = faults.filter(({ called }) => called[0] !== missed);
    expect(rest.map(({ called }) => called[0])).toContain('wrong-result');
    expect(rest.length).toBeLessThan(faults.length);
    const { verdict, slips } = diagnoseExercise(
      handed,
      writtenMarks(rest.map(({ cells, called }) => ({ cell: cells[0]!, fault: called[0]! }))),
    );
    expect([verdict, slips[0]!.ids]).toEqual(['slip', [slip]]);
  });

  it('calls every fault by a name that can be chosen', () => {
    const names = FAULT_KINDS.map(({ id }) => id);
    for (const { called } of exercise.faults) expect(names).toEqual(expect.arrayContaining([...called]));
  });
});
