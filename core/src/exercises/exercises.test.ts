import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UnknownInstrumentError } from '../instruments/catalogue.ts';
import { calculate } from '../calculations/calculate.ts';
import { significantFigures } from '../numbers/written-number.ts';
import { AimError } from '../reading/drawing/draw-task.ts';
import { parseUnit, writtenUnit } from '../units/unit.ts';
import { PRESETS, type HouseRules } from '../rules/house-rules.ts';
import { subjectById, subjectIds, subjectsNamed } from '../practice/subjects.ts';
import { feedbackOn } from '../practice/feedback.ts';
import { rightAnswer } from './answer.ts';
import { diagnoseExercise } from './diagnose-exercise.ts';
import { drawExercise, rightEntry, slipEntries, slipsIn } from './draw-exercise.ts';
import { exerciseTask, LEVELS, withGiven, type Exercise, type WorkingExercise } from './exercise.ts';
import { EXERCISE_KINDS, exerciseKindById, UnknownExerciseError } from './kinds.ts';
import { levelAfter } from './level.ts';
import { shownExercise } from './shown-exercise.ts';
import { EXERCISE_SLIPS } from './slips/registry.ts';
import { wordsOn } from './slips/words.ts';
import { solutionOf } from './solution.ts';

const KINDS = EXERCISE_KINDS.map(({ id }) => id);

function working(
  formula: string,
  given: Record<string, string>,
  kind: WorkingExercise['kind'] = 'mixed-steps',
  more: Partial<HouseRules> = {},
) {
  return exerciseTask({ kind, level: 1, story: '', question: 'What is its density?', given, formula }, more);
}

describe('given quantities in a formula', () => {
  it.each([
    ['(full - empty) / volume', { full: '48.62 g', empty: '12.3 g', volume: '8.4 mL' }, '(48.62 g - 12.3 g) / 8.4 mL'],
    ['side^3', { side: '1.2 cm' }, '(1.2 cm)^3'],
    ['exact(count) * each', { count: '12', each: '3.42 g' }, 'exact(12) * 3.42 g'],
    ['burned / time -> g/min', { burned: '3.24 g', time: '0:05:30', g: '1 g' }, '3.24 g / 0:05:30 -> g/min'],
    ['mean(width1; width2)', { width1: '3.41 mm', width2: '3.42 mm' }, 'mean(3.41 mm; 3.42 mm)'],
  ])('%s', (formula, given, line) => {
    expect(withGiven(formula, given)).toBe(line);
  });
});

describe('a right answer', () => {
  it.each([
    ['(measured - accepted) / accepted * 100 %', { measured: '27 g', accepted: '25.48 g' }, 'percent-error', '6 %'],
    ['length * width', { length: '14.2 cm', width: '23.6 cm' }, 'multiply-divide', '335 cm^2'],
    ['quantity -> in^2', { quantity: '335 cm^2' }, 'convert-units', '51.9 in^2'],
    ['end - start -> min', { start: '12:09:47', end: '12:41:20' }, 'add-subtract', '31.55 min'],
    ['quantity -> K', { quantity: '25.0 degC' }, 'convert-units', '298.2 K'],
    ['first + second', { first: '1.25e3 g', second: '38.4 g' }, 'add-subtract', '1.29e3 g'],
  ] as const)('%s: %j', (formula, given, kind, entry) => {
    expect(rightEntry(working(formula, given, kind))).toBe(entry);
  });
});

describe('verdicts on a density', () => {
  const task = working('(full - empty) / volume', { full: '61.34 g', empty: '35.20 g', volume: '21.4 mL' });

  // 26.14 g ÷ 21.4 mL = 1.221495… g/mL.
  it.each([
    ['1.22 g/mL', 'sound', []],
    ['1,22 g/ml', 'sound', []],
    ['1.22 g/cm3', 'sound', []],
    ['1220 kg/m3', 'record', ['bare-zeros']],
    ['1.22e3 kg/m³', 'sound', []],
    ['1.22', 'record', ['unit-missing']],
    ['1.22 g', 'record', ['unit-wrong']],
    ['1.221495327 g/mL', 'record', ['calculator-digits']],
    ['1.2 g/mL', 'record', ['decimals-in-product']],
    ['1.221 g/mL', 'record', ['too-many-figures']],
    ['2.87 g/mL', 'slip', ['container-not-subtracted']],
    ['2.87', 'slip', ['container-not-subtracted', 'unit-missing']],
    ['0.819 g/mL', 'slip', ['density-turned-over']],
    ['0.819 mL/g', 'slip', ['density-turned-over']],
    ['12.2 g/mL', 'slip', ['power-of-ten']],
    ['2.12 g/mL', 'slip', ['transposed']],
    ['7.77 g/mL', 'unexplained', []],
    ['about one', 'unreadable', []],
    ['', 'unreadable', []],
    ['9'.repeat(500), 'unreadable', []],
  ])('%s is %s', (entry, verdict, ids) => {
    const found = diagnoseExercise(task, entry);
    expect([found.verdict, found.slips[0]?.ids ?? []]).toEqual([verdict, ids]);
    if (verdict === 'unreadable') expect(found.message).not.toBe('');
  });

  it('leans towards what this student has done before', () => {
    // 26.0 ÷ 20.0 = 1.3 exactly: the zeros lost, or the figures of a calculator that shows none.
    const even = working('(full - empty) / volume', { full: '61.20 g', empty: '35.20 g', volume: '20.0 mL' });
    const fresh = diagnoseExercise(even, '1.3 g/mL').slips;
    expect(fresh[0]!.ids).toEqual(['zero-lost']);
    const habit = diagnoseExercise(even, '1.3 g/mL', {
      readings: 40,
      slips: { 'decimals-in-product': 30, 'zero-lost': 0 },
    }).slips;
    expect(habit.find(({ ids }) => ids[0] === 'decimals-in-product')!.probability).toBeGreaterThan(
      fresh.find(({ ids }) => ids[0] === 'decimals-in-product')!.probability,
    );
  });

  it('asked for in another unit, the old one will not do', () => {
    const converted = working('quantity -> in', { quantity: '38.2 cm' }, 'convert-units');
    expect(diagnoseExercise(converted, '15.0 in').verdict).toBe('sound');
    expect(diagnoseExercise(converted, '38.2 cm')).toMatchObject({
      verdict: 'slip',
      slips: [{ ids: ['not-converted'] }],
    });
  });

  it.each([
    // 2.51 lb = 1138.516… g, three figures.
    ['2.51 lb', 'g', '1.14e3 g', 'sound', []],
    ['2.51 lb', 'g', '1.14 × 10³ grams', 'sound', []],
    ['2.51 lb', 'g', '1.14 kg', 'record', ['unit-wrong']],
    ['2.51 lb', 'g', '1.139 kg', 'record', ['too-many-figures', 'unit-wrong']],
    ['2.51 lb', 'g', '1140. g', 'record', ['too-many-figures']],
    // 12.4 cm = 4.8818… in = 0.40682… ft.
    ['12.4 cm', 'in', '0.407 ft', 'record', ['unit-wrong']],
    ['12.4 cm', 'in', '0.488 ft', 'slip', ['power-of-ten', 'unit-wrong']],
    ['12.4 cm', 'in', '0.4068 ft', 'unexplained', []],
    ['12.4 cm', 'in', '0.124 m', 'record', ['unit-wrong']],
    ['12.4 cm', 'in', '12.4 cm', 'slip', ['not-converted']],
    ['12.4 cm', 'in', '4.88 cm', 'record', ['unit-wrong']],
    ['25.0 °C', 'K', '298.2 °C', 'record', ['unit-wrong']],
    ['25.0 °C', 'K', '25.0 °C', 'slip', ['not-converted']],
    ['152.4 mm', 'm', '152.4 mm', 'slip', ['not-converted']],
    ['152.4 mm', 'm', '15.24 cm', 'record', ['unit-wrong']],
  ] as const)('%s in %s: %s is %s', (quantity, unit, entry, verdict, ids) => {
    const { verdict: found, slips } = diagnoseExercise(
      working(`quantity -> ${unit}`, { quantity }, 'convert-units'),
      entry,
    );
    expect([found, slips[0]?.ids ?? []]).toEqual([verdict, ids]);
  });

  it.each([
    // 8.1 cm × 1.54 cm = 12.474 cm², two figures; 61.34 g ÷ 50.2 mL = 1.2219… g/mL = 0.044145… lb/in³, three.
    ['a * b', { a: '8.1 cm', b: '1.54 cm' }, '12.0 cm²', 'record', ['too-many-figures']],
    ['a * b', { a: '8.1 cm', b: '1.54 cm' }, '1.2 in²', 'unexplained', []],
    ['a * b', { a: '8.1 cm', b: '1.54 cm' }, '1.9 in²', 'sound', []],
    ['a / b', { a: '61.34 g', b: '50.2 mL' }, '0.0441 lb/in^3', 'sound', []],
    ['a / b', { a: '61.34 g', b: '50.2 mL' }, '0.122 lb/in^3', 'unexplained', []],
  ] as const)('%s of %j: %s is %s, whatever unit it is in', (formula, given, entry, verdict, ids) => {
    const { verdict: found, slips } = diagnoseExercise(working(formula, given, 'multiply-divide'), entry);
    expect([found, slips[0]?.ids ?? []]).toEqual([verdict, ids]);
  });

  it.each([
    ['flag', '4.0e2 g', 'sound'],
    ['flag', '400 g', 'record'],
    ['not-significant', '400 g', 'record'],
    ['want-point', '400 g', 'record'],
  ] as const)('zeros at the end, with %s: %s is %s', (bareTrailingZeros, entry, verdict) => {
    const sum = working('first + second', { first: '3.8e2 g', second: '16.4 g' }, 'add-subtract', {
      bareTrailingZeros,
    });
    const { verdict: found, slips } = diagnoseExercise(sum, entry);
    expect([found, slips[0]?.ids ?? []]).toEqual([verdict, verdict === 'sound' ? [] : ['bare-zeros']]);
  });

  it('survives whatever is typed', () => {
    const tasks = KINDS.map((kind) => drawExercise(kind, { seed: 5, level: 2 }));
    fc.assert(
      fc.property(
        fc.nat({ max: KINDS.length - 1 }),
        fc.oneof(fc.string(), fc.string({ unit: 'binary' })),
        (at, entry) => {
          const { verdict, slips } = diagnoseExercise(tasks[at]!, entry);
          expect(verdict).toMatch(/^(sound|record|slip|unexplained|unreadable)$/);
          expect(slips.reduce((sum, { probability }) => sum + probability, 0)).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('drawing', () => {
  it.each(KINDS)('%s: the same seed draws the same, and a thousand seeds hardly ever the same', (kind) => {
    expect(drawExercise(kind, { seed: 77, level: 2 })).toEqual(drawExercise(kind, { seed: 77, level: 2 }));
    const told = new Set(
      Array.from({ length: 300 }, (_, seed) =>
        JSON.stringify({
          ...drawExercise(kind, { seed: 9_000_000 + 31 * seed, level: LEVELS[seed % 3]! }).exercise,
          level: 0,
        }),
      ),
    );
    expect(told.size).toBeGreaterThan(255);
  });

  it.each(KINDS)('%s: harder levels are other exercises, and each is told its right answer', (kind) => {
    for (const level of LEVELS) {
      for (let seed = 0; seed < 25; seed += 1) {
        const task = drawExercise(kind, { seed, level });
        expect(rightAnswer(task).text).not.toBe('');
        expect(diagnoseExercise(task, rightEntry(task)).verdict).toBe('sound');
        expect(solutionOf(task).by).toMatch(/^(working|words|options|faults)$/);
      }
    }
  });

  it.each(PRESETS)('by $name every kind can be set, with slips to be told apart', ({ rules: house }) => {
    for (const kind of KINDS) {
      expect(slipsIn(kind, house).length).toBeGreaterThan(1);
      for (let seed = 0; seed < 12; seed += 1) {
        const task = drawExercise(kind, { seed, level: LEVELS[seed % 3]!, rules: house });
        expect(diagnoseExercise(task, rightEntry(task)).verdict).toBe('sound');
      }
    }
  });

  it.each(KINDS)('%s: what a browser gets gives nothing away', (kind) => {
    for (let seed = 0; seed < 20; seed += 1) {
      const task = drawExercise(kind, { seed, level: LEVELS[seed % 3]! });
      expect(JSON.stringify(shownExercise(task))).not.toMatch(
        /"(formula|given|slip|why|faults|called|right|situation|value|rules|seed)"/,
      );
    }
  });

  it.each(KINDS)('%s: units stand there as the class writes them, never as a keyboard does', (kind) => {
    for (let seed = 0; seed < 120; seed += 1) {
      const { story } = shownExercise(drawExercise(kind, { seed, level: LEVELS[seed % 3]! }));
      for (const part of story) if (typeof part !== 'string') expect(writtenUnit(parseUnit(part.unit))).toBe(part.unit);
    }
  });

  it('a percent error is never written with a power of ten', () => {
    const errors = Array.from({ length: 400 }, (_, seed) =>
      rightAnswer(drawExercise('percent-error', { seed, level: LEVELS[seed % 3]! })),
    );
    expect(errors.filter(({ text, unit }) => unit !== '%' || text.includes('e'))).toEqual([]);
  });

  it('what is given to compute with ends in no doubtful zero, and a calculator shows none', () => {
    const doubtful = KINDS.flatMap((kind) =>
      Array.from({ length: 400 }, (_, seed) => drawExercise(kind, { seed, level: LEVELS[seed % 3]! }).exercise),
    ).flatMap((exercise) => {
      if (exercise.kind === 'round-number') return /0$/.test(exercise.number) ? [exercise.number] : [];
      if (!('given' in exercise)) return [];
      const measured = Object.entries(exercise.given).filter(
        ([name, quantity]) => !exercise.formula.includes(`exact(${name})`) && !quantity.includes(':'),
      );
      return measured
        .map(([, quantity]) => quantity.split(' ')[0]!)
        .filter((number) => significantFigures(number).atLeast !== significantFigures(number).atMost);
    });
    expect(doubtful).toEqual([]);
  });

  it('who goes on with a rounded number in a table has lost something by it', () => {
    const lost = Array.from(
      { length: 300 },
      (_, seed) =>
        drawExercise('spot-the-error', { seed, level: LEVELS[seed % 3]!, aim: ['rounding-overlooked'] }).exercise,
    ).map((exercise) => {
      const [[, , carried = ''] = [], [, working = ''] = []] = exercise.kind === 'spot-the-error' ? exercise.rows : [];
      return Math.abs(Number(carried.split(' ')[0]) - Number(/[\d.]+/.exec(working)?.[0]));
    });
    expect(Math.min(...lost)).toBeGreaterThan(0.005);
  });

  it('a percent error in a table has as many figures as its difference', () => {
    const percents = Array.from(
      { length: 150 },
      (_, seed) => drawExercise('spot-the-error', { seed, level: LEVELS[seed % 3]! }).exercise,
    ).flatMap((exercise) =>
      exercise.kind === 'spot-the-error' && exercise.rows[2]?.[0] === 'Percent error' ? [exercise] : [],
    );
    expect(percents.length).toBeGreaterThan(10);
    for (const { story, rows, faults } of percents) {
      if (faults.some(({ called }) => !called.includes('wrong-base'))) continue;
      const [, mass = '', volume = '', accepted = ''] =
        /^A piece of (\S+) g takes up (\S+) cm³\. The accepted density of its material is (\S+) g/.exec(story) ?? [];
      const base = /÷ (\S+) g\/cm³ × 100/.exec(rows[2]?.[1] ?? '')?.[1] ?? '';
      expect([accepted, Number(calculate(`${mass} g / ${volume} cm^3`).full).toFixed(4)]).toContain(base);
      expect(calculate(`(${mass} g / ${volume} cm^3 - ${accepted} g/cm^3) / ${accepted} g/cm^3 * 100 %`).text).toMatch(
        /^-?\d\.\d$/,
      );
      expect(rows[2]?.[2]).toMatch(/^−?\d\.\d %$/);
    }
  });

  it.each([
    [() => drawExercise('count-figures', { seed: -1 }), RangeError, 'seed'],
    [() => drawExercise('count-figures', { seed: 1, aim: ['percent-of-measured'] }), AimError, 'percent-of-measured'],
    [() => drawExercise('count-figures', { seed: 1, aim: ['nothing-known'] }), AimError, 'nothing-known'],
    [() => exerciseKindById('long-division'), UnknownExerciseError, 'long-division'],
    [() => subjectById('long-division'), UnknownInstrumentError, 'long-division'],
  ] as const)('%s', (attempt, error, named) => {
    expect(attempt).toThrow(error);
    expect(attempt).toThrow(named);
  });
});

describe('how hard the next one is', () => {
  const went = (marks: string): boolean[] => Array.from(marks, (mark) => mark === '+');

  it.each([
    ['', 1],
    ['++', 1],
    ['+++', 2],
    ['++-+', 2],
    ['++++++', 3],
    ['+++++++++', 3],
    ['+++--', 1],
    ['++++++-+', 3],
    ['++++++--', 2],
    ['----', 1],
  ] as const)('after “%s” it is %i', (marks, level) => {
    expect(levelAfter(went(marks))).toBe(level);
  });
});

describe('words', () => {
  it('every slip has a name, a reason and something to look at, wherever it can be made', () => {
    const said = new Set<string>();
    for (const kind of KINDS) {
      for (const level of LEVELS) {
        for (let seed = 0; seed < 15; seed += 1) {
          const task = drawExercise(kind, { seed, level });
          for (const slip of EXERCISE_SLIPS) {
            if (slipEntries(task, slip).length === 0) continue;
            said.add(slip.id);
            expect(slip.name).not.toBe('');
            expect(wordsOn(task, slip)?.why).toMatch(/^[A-Z].*\.$/);
            expect(wordsOn(task, slip)?.lookAt.length).toBeGreaterThan(8);
          }
        }
      }
    }
    expect(said.size).toBeGreaterThan(40);
  });

  it('feedback keeps the answer until the exercise is closed, and then says how it is worked out', () => {
    const task = drawExercise('mixed-steps', { seed: 3, level: 2 });
    const diagnosis = diagnoseExercise(task, '777 km');
    expect(feedbackOn(task, diagnosis, false).answer).toBeNull();
    expect(feedbackOn(task, diagnosis, true).answer).toMatchObject({
      ...rightAnswer(task),
      reveal: [],
      solution: { by: 'working' },
    });
  });

  it('subjects are the tools and the kinds of exercises, each with a skill', () => {
    expect(subjectIds()).toEqual(expect.arrayContaining(['cylinder-50', 'spot-the-error']));
    expect(subjectsNamed([]).every(({ domain }) => domain === 'reading')).toBe(true);
    for (const id of subjectIds())
      expect(subjectById(id)).toMatchObject({
        id,
        domain: KINDS.includes(id as Exercise['kind']) ? 'calculating' : 'reading',
      });
  });
});
