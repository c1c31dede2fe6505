import { describe, expect, it } from 'vitest';
import {
  diagnoseExercise,
  drawExercise,
  expectedReading,
  FAULT_KINDS,
  readingTask,
  slipsIn,
  writtenMarks,
} from '../../src/index.ts';
import { exerciseTask, LEVELS, type ChoiceExercise, type TableExercise } from '../../src/exercises/exercise.ts';
import { PRESETS } from '../../src/rules/house-rules.ts';
import { proofRead } from './proof-read.ts';
import { expectNamed, expectSound } from './prove-students.ts';

const letter = (index: number): string => 'abcdef'[index]!;
const chosen = ({ options }: ChoiceExercise, words: RegExp): string =>
  letter(options.findIndex(({ text }) => words.test(text)));

/** What somebody with a mistaken belief takes for true, told by its words. */
const BELIEVED: Record<string, RegExp> = {
  'heavier-is-denser': /heavier part is the denser|less dense than/,
  'precise-is-accurate': /accurate, since they agree|cannot be right, since/,
  'accurate-is-precise': /neither precise nor accurate|precise, since their mean/,
  'more-digits-are-better': /has the most digits|third decimal/,
  'planned-time-counts': /as planned|not the planned one/,
  'uncertainties-subtracted': /difference of the two|uncertainties cancel/,
  'repeats-prove-the-value': /proved/,
  'same-value-same-claim': /say the same|[Aa]ll four digits|does not matter/,
};
const TRUE =
  /density of the whole|precise and not accurate|mean is accurate|three different things|worked out with \d+ min \d+ s|at most by|Only a standard mass|cannot be told/;

describe('choosing a statement', () => {
  it.each(slipsIn('choose-statement'))('%s: is named first', (slip) => {
    expectNamed(slip, (exercise: ChoiceExercise) => chosen(exercise, BELIEVED[slip]!), {
      kind: 'choose-statement',
      many: 150,
    });
  });

  it('who knows better is judged sound', () => {
    expectSound((exercise: ChoiceExercise) => chosen(exercise, TRUE), { kind: 'choose-statement', many: 400 });
  });
});

describe('exact or measured', () => {
  // Nobody reads a count or a definition from a tool.
  const exact = /counted into|1 in = |1 L = |radius = |1 min = |mean is taken over|times 100/;

  it('the careful choose by how a number came about', () => {
    expectSound(
      (exercise: ChoiceExercise) =>
        letter(exercise.options.findIndex(({ text }) => exact.test(text) === exercise.question.includes('exact'))),
      { kind: 'exact-or-measured', many: 400 },
    );
  });

  it.each(slipsIn('exact-or-measured'))('%s: is named first', (slip) => {
    expectNamed(
      slip,
      (exercise: ChoiceExercise) =>
        letter(exercise.options.findIndex(({ text }) => exact.test(text) === (slip === 'exact-as-measured'))),
      { kind: 'exact-or-measured', many: 150 },
    );
  });
});

describe('writing a reading', () => {
  const decimals = (text: string): number => (text.split(' ')[0]!.split('.')[1] ?? '').length;
  /** Decimals to which the tools are read, by estimating a tenth of their smallest division. */
  const READ: Record<string, number> = {
    'ruler-millimetre': 1,
    'cylinder-10': 2,
    'cylinder-50': 1,
    'cylinder-100': 1,
    'burette-50': 2,
    'thermometer-degree': 1,
  };
  const withDecimals = (exercise: ChoiceExercise, more: number): string =>
    letter(exercise.options.findIndex(({ text }) => decimals(text) === READ[exercise.seen!.instrumentId]! + more));

  it('the careful write one digit beyond the marks', () => {
    expectSound((exercise: ChoiceExercise) => withDecimals(exercise, 0), { kind: 'write-reading', many: 300 });
  });

  it.each(PRESETS)('by $name the right one is what such a reading is written as', ({ rules }) => {
    for (let seed = 0; seed < 60; seed += 1) {
      const { options, seen } = drawExercise('write-reading', { seed, rules }).exercise as ChoiceExercise;
      const { text, unit } = expectedReading(readingTask(seen!.instrumentId, seen!.situation, rules));
      expect(options.find(({ slip }) => slip === null)!.text).toBe(`${text} ${unit}`);
      expect(new Set(options.map((option) => option.text)).size).toBe(3);
      // Nothing is taken off: what is asked for stands at the one mark that is seen.
      expect(Number(text)).toBeCloseTo(seen!.situation.value, 0);
      expect(seen!.situation).not.toHaveProperty('from');
      expect(seen!.situation).not.toHaveProperty('endOffset');
      expect(options.every((option) => /^-?\d+(\.\d+)? /.test(option.text))).toBe(true);
    }
  });

  it.each([
    ['dropped-digit', -1],
    ['trailing-zero-dropped', -1],
    ['extra-digit', 1],
  ] as const)('%s: is named first', (slip, more) => {
    expectNamed(slip, (exercise: ChoiceExercise) => withDecimals(exercise, more), { kind: 'write-reading', many: 150 });
  });
});

describe('spotting errors', () => {
  it('a proof-reader who has only the table finds everything that was planted, and nothing else', () => {
    expectSound((exercise: TableExercise) => writtenMarks(proofRead(exercise)), { kind: 'spot-the-error', many: 600 });
  });

  it('so does one of a class that reads burettes to twentieths, writes cm³, and leaves the sign off percent errors', () => {
    const half = PRESETS.find(({ rules }) => rules.burettePlace === 'half')!.rules;
    expectSound((exercise: TableExercise) => writtenMarks(proofRead(exercise)), {
      kind: 'spot-the-error',
      many: 300,
      rules: half,
    });
    for (let seed = 0; seed < 60; seed += 1) {
      const { headings, rows, story } = drawExercise('spot-the-error', { seed, rules: half, aim: ['zero-overlooked'] })
        .exercise as TableExercise;
      expect(JSON.stringify([headings, rows, story])).not.toContain('mL');
      if (headings[0] === 'Run')
        for (const [, start = '', end = ''] of rows)
          for (const reading of [start, end]) expect(Math.round(Number(reading) * 100) % 5).toBe(0);
    }
  });

  const drawn = FAULT_KINDS.filter(({ isHandedOnly }) => !isHandedOnly);

  it.each(drawn.map(({ id, overlooked }) => [overlooked.id, id]))('%s: is named first', (slip, fault) => {
    const overlooking = (exercise: TableExercise): string => {
      const seen = proofRead(exercise).filter((mark) => mark.fault !== fault);
      // Who finds nothing at all still has to mark something.
      return writtenMarks(
        seen.length > 0
          ? seen
          : [{ cell: exercise.headings.length + 1, fault: FAULT_KINDS.find(({ id }) => id !== fault)!.id }],
      );
    };
    expectNamed(slip, overlooking, { kind: 'spot-the-error', many: 150 });
  });

  it('sound cells that are marked, and faults under another name, are told apart from those overlooked', () => {
    for (let seed = 0; seed < 100; seed += 1) {
      const task = drawExercise('spot-the-error', { seed, level: LEVELS[seed % 3]! });
      const marks = proofRead(task.exercise as TableExercise);
      const sound = Array.from({ length: 12 }, (_, i) => i + 1).find(
        (cell) => !(task.exercise as TableExercise).faults.some(({ cells }) => cells.includes(cell)),
      )!;
      expect(
        diagnoseExercise(task, writtenMarks([...marks, { cell: sound, fault: 'wrong-factor' }])).slips[0]!.ids,
      ).toEqual(['sound-cell-marked']);
      const [first, ...rest] = marks;
      const other = first!.fault === 'wrong-base' ? 'wrong-factor' : 'wrong-base';
      expect(diagnoseExercise(task, writtenMarks([{ ...first!, fault: other }, ...rest])).slips[0]!.ids).toEqual([
        'fault-misnamed',
      ]);
    }
  });

  it.each([
    ['', 'You have marked nothing yet'],
    ['7', '“7” is not'],
    ['7z', '“7z” is not'],
    ['99a', 'no cell 99'],
    ['0a', 'no cell 0'],
    ['3a 3b', 'Cell 3 is marked twice'],
    ['a'.repeat(500), '500 characters'],
  ])('marks “%s” are not understood: %s', (entry, message) => {
    const found = diagnoseExercise(drawExercise('spot-the-error', { seed: 4 }), entry);
    expect(found).toMatchObject({ verdict: 'unreadable' });
    expect(found.message).toContain(message);
  });

  it('takes marks as they may be written by hand', () => {
    const task = exerciseTask({
      ...(drawExercise('spot-the-error', { seed: 4 }).exercise as TableExercise),
      faults: [{ cells: [4], called: ['impossible-value'], right: '', why: '' }],
    });
    for (const entry of ['4h', '4 H', ' 4h; ', '４ｈ']) expect(diagnoseExercise(task, entry).verdict).toBe('sound');
  });
});
