import type { ChoiceExercise, Option } from '../exercise.ts';
import { shuffled } from '../../simulation/shuffled.ts';
import { beginning } from './harbour-kit.ts';
import { right, wrong } from './options.ts';
import { drawTrial, farOff, knownThing, repeatsSeen, tight, wide, wideWithOneRight, type Steps } from './repeats.ts';
import type { Drawing, Drawn, Template } from './template.ts';

const TIMES = 'five times';

/** One tool on a thing of known size: what its repeats show. */
function ofOneTool(
  { random, rules }: Drawing,
  readings: Steps,
  question: string,
  options: readonly Option[],
): Drawn<ChoiceExercise> {
  const trial = drawTrial(random, rules);
  const repeats = repeatsSeen(trial, random.pick(trial.truths), [readings]);
  return {
    kind: 'accuracy-and-precision',
    story: `${beginning(trial.tool)} is tried on ${knownThing(trial, repeats)}, ${TIMES}.`,
    question,
    options: shuffled(random, options),
    seen: null,
    repeats,
  };
}

const WHAT_SHOWN = 'What do the readings show?';

const BOTH = 'They are accurate and precise.';
const ACCURATE = 'Their mean is accurate, and they are not precise.';
const PRECISE = 'They are precise, and not accurate.';
const NEITHER = 'They are neither accurate nor precise.';

const exchanged = (text: string): Option =>
  wrong(
    'accuracy-and-precision-exchanged',
    text,
    'It is the other way round: close to each other is precise, close to the true value is accurate.',
  );

const preciseAlone: Template<ChoiceExercise> = {
  levels: [1, 3],
  draw: (drawing) =>
    ofOneTool(drawing, tight(drawing.random, farOff(drawing.random)), WHAT_SHOWN, [
      right(PRECISE, 'They are close to each other, and all of them are off to the same side.'),
      exchanged(ACCURATE),
      wrong('precise-is-accurate', BOTH, 'They agree with each other, but not with the true value.'),
      wrong('accurate-is-precise', NEITHER, 'They are off, but they are close to each other. That is precise.'),
    ]),
};

const accurateAlone: Template<ChoiceExercise> = {
  levels: [1, 3],
  draw: (drawing) =>
    ofOneTool(drawing, wide(drawing.random, 0), WHAT_SHOWN, [
      right(ACCURATE, 'They lie to both sides, so their mean is close to the true value. Each alone may be far off.'),
      exchanged(PRECISE),
      wrong('accurate-is-precise', BOTH, 'Their mean is right, but they are far from each other.'),
      wrong('precise-is-accurate', NEITHER, 'They scatter, but to both sides. Their mean is close to the true value.'),
    ]),
};

/** A tool among several, its repeats, and why it is the one that is asked for, or which slip leads to it. */
interface OneOfTools {
  readonly readings: Steps;
  readonly slip: string | null;
  readonly why: string;
}

/** Several tools on one thing, in any order: the first answer is tool A, so that no letter stands for two. */
function amongTools(question: string, drawn: (drawing: Drawing) => readonly OneOfTools[]): Template<ChoiceExercise> {
  return {
    levels: [1, 3],
    draw: (drawing) => {
      const { random, rules } = drawing;
      const trial = drawTrial(random, rules);
      const tools = shuffled(random, drawn(drawing));
      const repeats = repeatsSeen(
        trial,
        random.pick(trial.truths),
        tools.map(({ readings }) => readings),
      );
      return {
        kind: 'accuracy-and-precision',
        story: `Three ${trial.tool}s are tried on ${knownThing(trial, repeats)}, ${TIMES} each.`,
        question,
        options: tools.map(({ slip, why }, i) => ({
          text: `${trial.tool.charAt(0).toUpperCase()}${trial.tool.slice(1)} ${repeats.tools[i]?.name ?? ''}`,
          slip,
          why,
        })),
        seen: null,
        repeats,
      };
    },
  };
}

const LUCKY = 'One of its readings lies on the true value by luck. All the others are far off.';

const mostAccurate = amongTools('Which one has the most accurate mean?', ({ random }) => [
  {
    readings: wide(random, 0),
    slip: null,
    why: 'It reads too high as often as too low. Its mean is close to the true value.',
  },
  {
    readings: tight(random, farOff(random)),
    slip: 'precise-is-accurate',
    why: 'Its readings agree with each other, and all of them are off.',
  },
  { readings: wideWithOneRight(random), slip: 'nearest-reading-counts', why: LUCKY },
]);

const mostPrecise = amongTools('Which one is the most precise?', ({ random }) => [
  { readings: tight(random, farOff(random)), slip: null, why: 'Its readings are the closest to each other.' },
  {
    readings: wide(random, 0),
    slip: 'accurate-is-precise',
    why: 'Its mean is right. Its readings are far from each other.',
  },
  { readings: wideWithOneRight(random), slip: 'nearest-reading-counts', why: LUCKY },
]);

const bothAtOnce = amongTools('Which one is accurate and precise?', ({ random }) => [
  {
    readings: tight(random, random.pick([-1, 0, 1])),
    slip: null,
    why: 'Its readings are close to each other and to the true value.',
  },
  {
    readings: tight(random, farOff(random)),
    slip: 'precise-is-accurate',
    why: 'Its readings are close to each other, and all of them are off.',
  },
  {
    readings: wide(random, 0),
    slip: 'accurate-is-precise',
    why: 'Its mean is right, and its readings are far from each other.',
  },
]);

const offAndScattered: Template<ChoiceExercise> = {
  levels: [2, 3],
  draw: (drawing) =>
    ofOneTool(drawing, wide(drawing.random, farOff(drawing.random)), 'Which errors do the readings show?', [
      right(
        'A systematic error and a random one.',
        'All of them are off to the same side: that is systematic. They differ from each other too: that is random.',
      ),
      wrong(
        'systematic-as-random',
        'A random error alone.',
        'A random error goes both ways. All of these are off to the same side.',
      ),
      wrong(
        'random-as-systematic',
        'A systematic error alone.',
        'A systematic error is the same each time. These readings differ from each other.',
      ),
    ]),
};

const cureOfOffset: Template<ChoiceExercise> = {
  levels: [1, 3],
  draw: (drawing) =>
    ofOneTool(drawing, tight(drawing.random, farOff(drawing.random)), 'What helps?', [
      right(
        'To find how far it is off, and to correct each reading.',
        'The offset is the same each time. Once it is known, it can be taken off.',
      ),
      wrong(
        'offset-averaged-away',
        'To take many more readings, and their mean.',
        'All the readings are off by the same amount, and so is their mean.',
      ),
      wrong('more-digits-are-better', 'To read one more digit.', 'A further digit would be off in the same way.'),
    ]),
};

const cureOfScatter: Template<ChoiceExercise> = {
  levels: [1, 3],
  draw: (drawing) =>
    ofOneTool(drawing, wide(drawing.random, 0), 'What helps?', [
      right(
        'To take more readings, and their mean.',
        'What goes now one way and now the other gets smaller in a mean.',
      ),
      wrong(
        'zero-cures-scatter',
        'To take a correction off each reading.',
        'A correction shifts all readings by the same amount. They would scatter as before.',
      ),
      wrong(
        'nearest-reading-counts',
        'To keep only the reading closest to the true value.',
        'It was luck, and with an unknown thing nobody could say which one it is.',
      ),
    ]),
};

export const ACCURACY_AND_PRECISION: readonly Template<ChoiceExercise>[] = [
  preciseAlone,
  accurateAlone,
  mostAccurate,
  mostPrecise,
  bothAtOnce,
  offAndScattered,
  cureOfOffset,
  cureOfScatter,
];
