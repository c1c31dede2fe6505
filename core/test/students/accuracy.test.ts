import { describe, expect, it } from 'vitest';
import { drawExercise, slipsIn } from '../../src/index.ts';
import { LEVELS, type ChoiceExercise } from '../../src/exercises/exercise.ts';
import { PRESETS } from '../../src/rules/house-rules.ts';
import {
  chosenWithCare,
  indexOfLeast,
  isAccurate,
  isPrecise,
  numbersIn,
  says,
  SYSTEMATIC,
  withWords,
  worked,
  type SeenQuestion,
} from './judge-repeats.ts';
import { expectNamed, expectSound, type Student } from './prove-students.ts';

/** A student who has the question as it is seen, and enters the letter of the answer that they choose. */
const choosing =
  (choose: (seen: SeenQuestion) => number): Student<ChoiceExercise> =>
  ({ question, story, options, repeats }) =>
    'abcdef'[choose({ question, story, options: options.map(({ text }) => text), ...(repeats && { repeats }) })]!;

const careful = choosing(chosenWithCare);

/** Somebody with one mistaken belief, who is careful in everything that it does not touch. */
const BELIEVING: Record<string, (exercise: SeenQuestion) => number> = {
  'precise-is-accurate': (exercise) => {
    if (!exercise.repeats) return withWords(exercise, /uncertainty is small/);
    const tools = worked(exercise.repeats);
    return tools.length === 1
      ? withWords(exercise, says(isPrecise(tools[0]!), isPrecise(tools[0]!)))
      : tools.findIndex((tool) => isPrecise(tool) && !isAccurate(tool));
  },
  'accurate-is-precise': (exercise) => {
    const tools = worked(exercise.repeats!);
    return tools.length === 1
      ? withWords(exercise, says(isAccurate(tools[0]!), isAccurate(tools[0]!)))
      : tools.findIndex((tool) => isAccurate(tool) && !isPrecise(tool));
  },
  'accuracy-and-precision-exchanged': (exercise) => {
    const [tool] = worked(exercise.repeats!);
    return withWords(exercise, says(isPrecise(tool!), isAccurate(tool!)));
  },
  'nearest-reading-counts': (exercise) =>
    exercise.repeats!.tools.length === 1
      ? withWords(exercise, /closest to the true value/)
      : indexOfLeast(worked(exercise.repeats!).map(({ nearest }) => nearest)),
  'random-as-systematic': (exercise) =>
    exercise.repeats
      ? withWords(exercise, /systematic error alone/)
      : exercise.options.findIndex((text) => !SYSTEMATIC.test(text)),
  'systematic-as-random': (exercise) =>
    exercise.repeats ? withWords(exercise, /random error alone/) : withWords(exercise, SYSTEMATIC),
  'offset-averaged-away': (exercise) => {
    if (exercise.repeats) return withWords(exercise, /more readings/);
    const [offset, count] = numbersIn(exercise.story);
    return exercise.options.findIndex((text) => Math.abs(numbersIn(text)[0]! - offset! / Math.sqrt(count!)) < 1e-9);
  },
  'zero-cures-scatter': (exercise) => withWords(exercise, /correction off each/),
  'scatter-falls-as-n': (exercise) => {
    const [[count, now], [wanted]] = [numbersIn(exercise.story), numbersIn(exercise.question)];
    return exercise.options.findIndex((text) => text === String(Math.round((count! * now!) / wanted!)));
  },
  'any-difference-disagrees': (exercise) => withWords(exercise, /two different numbers/),
  'small-percent-agrees': (exercise) => withWords(exercise, /% off/),
  'more-digits-are-better': (exercise) => withWords(exercise, /one more digit|more digits|too few digits/),
  'repeats-prove-the-value': (exercise) => withWords(exercise, /if the readings agree/),
};

describe('accuracy and precision', () => {
  it('every belief that can be caught has a student here', () => {
    expect([...slipsIn('accuracy-and-precision')].sort()).toEqual(Object.keys(BELIEVING).sort());
  });

  it.each(Object.keys(BELIEVING))('%s: is named first', (slip) => {
    expectNamed(slip, choosing(BELIEVING[slip]!), {
      kind: 'accuracy-and-precision',
      many: 150,
    });
  });

  it('who works it out from the readings is judged correct every time', () => {
    expectSound(careful, { kind: 'accuracy-and-precision', many: 1500 }, 100);
  });

  it.each(PRESETS)('so is one of $name, whose unit of volume stands in the readings', ({ rules }) => {
    expectSound(careful, { kind: 'accuracy-and-precision', many: 120, rules }, 100);
    const units = Array.from(
      { length: 200 },
      (_, seed) =>
        (drawExercise('accuracy-and-precision', { seed, level: LEVELS[seed % 3]!, rules }).exercise as ChoiceExercise)
          .repeats?.unit,
    );
    expect(units).toContain(rules.volumeUnit);
    expect(units).not.toContain(rules.volumeUnit === 'cm³' ? 'mL' : 'cm³');
  });

  it('what is accurate or precise is so by far, and never nearly', () => {
    for (let seed = 0; seed < 2000; seed += 1) {
      const { repeats } = drawExercise('accuracy-and-precision', { seed, level: LEVELS[seed % 3]! })
        .exercise as ChoiceExercise;
      for (const { off, range } of repeats ? worked(repeats) : []) {
        expect(off <= 1.4 || off >= 9, `seed ${seed}: off by ${off}`).toBe(true);
        expect(range <= 2 || range >= 12, `seed ${seed}: range ${range}`).toBe(true);
      }
    }
  });

  it('an answer that names a tool has the letter of that tool', () => {
    const several = Array.from(
      { length: 300 },
      (_, seed) => drawExercise('accuracy-and-precision', { seed }).exercise as ChoiceExercise,
    ).filter(({ repeats }) => (repeats?.tools.length ?? 0) > 1);
    expect(several.length).toBeGreaterThan(40);
    for (const { options } of several) expect(options.map(({ text }) => text.at(-1))).toEqual(['A', 'B', 'C']);
  });
});
