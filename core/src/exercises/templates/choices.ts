import { instrumentById } from '../../instruments/catalogue.ts';
import { drawTask } from '../../reading/drawing/draw-task.ts';
import { expectedReading } from '../../reading/expected-reading.ts';
import { questionFor } from '../../reading/in-words.ts';
import { longThing, weighedThing } from '../../reading/words/things.ts';
import { readingTask, type ReadingTask } from '../../reading/reading-task.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { Random } from '../../simulation/random.ts';
import type { ChoiceExercise } from '../exercise.ts';
import { manyOf, withArticle } from './harbour-kit.ts';
import { right, wrong } from './options.ts';
import type { Drawing, Template } from './template.ts';
import { wholeNumber, written } from './written.ts';
import { shuffled } from '../../simulation/shuffled.ts';

const SEEN = [
  'ruler-millimetre',
  'cylinder-10',
  'cylinder-50',
  'cylinder-100',
  'burette-50',
  'thermometer-degree',
] as const;

/** What of a drawn situation goes on to be shown: the eye, and what is measured. */
const KEPT: readonly string[] = ['eyeHeight', 'surface', 'liquid', 'thing'];

/** A reading that is written with decimals by a class’s rules: on a mark, where the last digit is a zero, as often as not. */
function decimalReading(random: Random, rules: HouseRules): ReadingTask {
  for (;;) {
    const instrumentId = random.pick(SEEN);
    const { situation } = drawTask(instrumentId, { seed: random.below(2 ** 40), onPaper: true, rules });
    const { division } = instrumentById(instrumentId);
    const value =
      random.uniform() < 0.5 ? Number((Math.round(situation.value / division) * division).toFixed(6)) : situation.value;
    // One mark is read: a thing begins at zero, and nothing is to be taken off.
    const kept = Object.entries(situation).filter(([field]) => KEPT.includes(field));
    const task = readingTask(instrumentId, { ...Object.fromEntries(kept), value }, rules);
    if (expectedReading(task).text.includes('.')) return task;
  }
}

/** A tool as it is seen; how it is to be written down is chosen. */
const writtenReading: Template<ChoiceExercise> = {
  levels: [1, 3],
  draw: ({ random, rules }) => {
    const task = decimalReading(random, rules);
    const { text, unit } = expectedReading(task);
    const cut = text.replace(/\.?\d$/, '');
    const options = [
      right(`${text} ${unit}`, 'It has every digit that this class reads, and no other.'),
      wrong(
        text.endsWith('0') ? 'trailing-zero-dropped' : 'dropped-digit',
        `${cut} ${unit}`,
        text.endsWith('0')
          ? 'A zero that you read is a digit like any other. Write it.'
          : 'It leaves out a digit that you can read.',
      ),
      wrong(
        'extra-digit',
        `${text.includes('.') ? text : `${text}.`}0 ${unit}`,
        'In this class nobody reads a further digit. This number has one too many.',
      ),
    ];
    return {
      kind: 'write-reading',
      story: 'The eye is level with the mark.',
      question: `${questionFor(task)} Choose how it is written.`,
      options: shuffled(random, options),
      seen: { instrumentId: task.instrumentId, situation: task.situation },
    };
  },
};

export const WRITTEN_READINGS: readonly Template<ChoiceExercise>[] = [writtenReading];

/** Numbers that nobody measured, each in a phrase of its own. */
function exactNumbers({ random }: Drawing): string[] {
  const count = wholeNumber(random, 3, 29);
  return shuffled(random, [
    `the ${count} of ${count} ${manyOf(Number(written(random, 1, 20, 1)), random)} counted into the tray`,
    'the 2.54 of 1 in = 2.54 cm',
    'the 1000 of 1 L = 1000 mL',
    'the 2 in “radius = diameter ÷ 2”',
    'the 60 of 1 min = 60 s',
    `the ${wholeNumber(random, 3, 9)} readings that a mean is taken over`,
    'the 100 in “times 100 %”',
  ]);
}

function measuredNumbers({ random, rules: { volumeUnit } }: Drawing): string[] {
  const [mass, length] = [written(random, 11, 89, 2), written(random, 3.1, 9.8, 2)];
  return shuffled(random, [
    `the ${mass} g that a balance shows for ${withArticle(weighedThing(Number(mass), random))}`,
    `the ${length} cm that a ruler gives for ${withArticle(longThing(10 * Number(length), random))}`,
    `the ${written(random, 11, 48, 1)} ${volumeUnit} in a cylinder`,
    `the ${written(random, 15, 24, 1)} °C of a thermometer`,
    `the ${wholeNumber(random, 21, 88)} s on a stopwatch`,
    `the ${written(random, 1.02, 1.18, 3)} g/${volumeUnit} of a hydrometer in brine`,
  ]);
}

const EXACT = 'It was counted or defined, so it is exact and does not limit the result.';
const MEASURED = 'It was read from a tool, and its last digit is in doubt.';

function oneAmong(
  question: string,
  pickRight: (drawing: Drawing) => string[],
  pickWrong: (drawing: Drawing) => string[],
  slip: string,
  whys: readonly [right: string, wrong: string],
): Template<ChoiceExercise> {
  return {
    levels: [1, 3],
    draw: (drawing) => {
      const [first = ''] = pickRight(drawing);
      const others = pickWrong(drawing).slice(0, 2 + (drawing.level > 1 ? 1 : 0));
      const story = drawing.random.pick([
        'These numbers are in one report.',
        'A calculation uses these numbers.',
        'These numbers come together in one calculation.',
      ]);
      return {
        kind: 'exact-or-measured',
        story,
        question,
        options: shuffled(drawing.random, [right(first, whys[0]), ...others.map((text) => wrong(slip, text, whys[1]))]),
        seen: null,
      };
    },
  };
}

export const EXACT_OR_MEASURED: readonly Template<ChoiceExercise>[] = [
  oneAmong('Which of them is exact?', exactNumbers, measuredNumbers, 'measured-as-exact', [EXACT, MEASURED]),
  oneAmong('Which of them can limit the figures of a result?', measuredNumbers, exactNumbers, 'exact-as-measured', [
    MEASURED,
    EXACT,
  ]),
];
