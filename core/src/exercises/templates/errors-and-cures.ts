import type { ChoiceExercise, Option } from '../exercise.ts';
import type { Random } from '../../simulation/random.ts';
import { shuffled } from '../../simulation/shuffled.ts';
import { PIECES } from './harbour-kit.ts';
import { right, wrong } from './options.ts';
import type { Drawing, Template } from './template.ts';
import { written } from './written.ts';

interface Told {
  readonly story: string;
  readonly question: string;
  readonly options: readonly Option[];
}

function asked(levels: Template['levels'], told: (drawing: Drawing) => Told): Template<ChoiceExercise> {
  return {
    levels,
    draw: (drawing) => {
      const { story, question, options } = told(drawing);
      return {
        kind: 'accuracy-and-precision',
        story,
        question,
        options: shuffled(drawing.random, options),
        seen: null,
      };
    },
  };
}

/** What shifts every reading to the same side. */
function systematicCauses(random: Random): string[] {
  return shuffled(random, [
    `A micrometer shows ${written(random, 0.02, 0.09, 2)} mm when its faces are closed.`,
    `A thermometer shows ${written(random, 0.4, 1.8, 1)} °C in melting ice.`,
    'The end of a ruler is worn off, and everybody measures from the end.',
    'Somebody always looks at a cylinder from above.',
    `A balance shows ${written(random, 0.11, 0.49, 2)} g when nothing is on it, and nobody sets it to zero.`,
    `The paper under the powder, ${written(random, 0.6, 1.4, 1)} g, is weighed every time and never taken off.`,
    'A cloth tape measure has stretched.',
  ]);
}

/** What goes now one way, now the other. */
function randomCauses(random: Random): string[] {
  return shuffled(random, [
    'A draught moves the pan of a balance, now up, now down.',
    'The tenths between two marks are estimated a little too high or too low.',
    'A stopwatch is pressed a little too early or too late.',
    `A pebble is measured ${written(random, 4, 9, 0)} times, each time across another place.`,
    'The jaws of a caliper are closed sometimes more firmly, sometimes less.',
    'The eye is sometimes a little above the mark, sometimes a little below.',
    'When a cylinder is emptied, sometimes more drops stay behind, sometimes fewer.',
  ]);
}

const SHIFTS = 'It shifts every reading to the same side. That is systematic.';
const SCATTERS = 'It goes now one way, now the other, so the readings scatter. That is random.';

function whichCause(
  question: string,
  wanted: (random: Random) => string[],
  others: (random: Random) => string[],
  slip: string,
  whys: readonly [right: string, wrong: string],
): Template<ChoiceExercise> {
  return asked([1, 3], ({ random, level }) => ({
    story: random.pick([
      'A group lists what may have gone wrong.',
      'These may be sources of error.',
      'Things like these happen in a laboratory.',
    ]),
    question,
    options: [
      right(wanted(random)[0] ?? '', whys[0]),
      ...others(random)
        .slice(0, level > 1 ? 3 : 2)
        .map((text) => wrong(slip, text, whys[1])),
    ],
  }));
}

const whichSystematic = whichCause(
  'Which one makes a systematic error?',
  systematicCauses,
  randomCauses,
  'random-as-systematic',
  [SHIFTS, SCATTERS],
);

const whichRandom = whichCause(
  'Which one makes a random error?',
  randomCauses,
  systematicCauses,
  'systematic-as-random',
  [SCATTERS, SHIFTS],
);

const offsetOfMean = asked([1, 3], ({ random }) => {
  const count = random.pick([4, 9, 16]);
  const hundredths = Math.sqrt(count) * (2 + random.below(4));
  const [tool, closed, unit] = random.pick<readonly [string, string, string]>([
    ['micrometer', 'with its faces closed', 'mm'],
    ['caliper', 'with its jaws closed', 'mm'],
    ['balance', 'with nothing on it', 'g'],
  ]);
  const size = (value: number): string => `${value.toFixed(2)} ${unit}`;
  const offset = hundredths / 100;
  return {
    story: `${tool === 'balance' ? 'A balance' : `A ${tool}`} shows ${size(offset)} ${closed}. Somebody takes ${count} readings with it, and their mean, without correcting for this.`,
    question: 'How far is the mean off because of it?',
    options: [
      right(
        `By ${size(offset)}, as each reading is.`,
        'The same offset is in every reading, so it is in the mean too.',
      ),
      wrong(
        'offset-averaged-away',
        `By ${size(offset / Math.sqrt(count))}, since ${count} readings are averaged.`,
        'Scatter gets smaller in a mean. An offset that is the same each time does not.',
      ),
      wrong(
        'repeats-prove-the-value',
        'It is not off if the readings agree.',
        'They agree because the same offset is in each of them.',
      ),
    ],
  };
});

const howManyMore = asked([2, 3], ({ random, level }) => {
  const times = level === 3 ? 3 : 2;
  const [count, target] = [3 + random.below(4), 2 + random.below(7)];
  const [tool, unit] = random.pick<readonly [string, string]>([
    ['balance', 'g'],
    ['caliper', 'mm'],
    ['stopwatch', 's'],
  ]);
  const size = (hundredths: number): string => `${(hundredths / 100).toFixed(2)} ${unit}`;
  return {
    story: `The mean of ${count} readings of a ${tool} has a standard error of ${size(target * times)}.`,
    question: `About how many readings in all bring it down to ${size(target)}?`,
    options: [
      right(
        String(count * times ** 2),
        `The standard error is s ÷ √n: ${times === 2 ? 'half' : 'a third'} of it takes ${times ** 2} times as many readings.`,
      ),
      wrong(
        'scatter-falls-as-n',
        String(count * times),
        `It falls with the root of their number. ${count * times} readings only bring it to ${((target * times) / 100 / Math.sqrt(times)).toFixed(3)} ${unit}.`,
      ),
      wrong(
        'more-digits-are-better',
        'No number. It takes a tool with more digits.',
        'While the readings scatter, more of them make the mean better known.',
      ),
    ],
  };
});

/** Metals: a difference of a few hundredths of a g/cm³ is a small part of their density. */
const HEAVY = PIECES.filter(({ density }) => density > 7);

function found(random: Random, difference: number, uncertainty: number): { story: string; percent: string } {
  const { thing, material, density } = HEAVY[random.below(HEAVY.length)] ?? PIECES[0];
  const side = random.uniform() < 0.5 ? -1 : 1;
  return {
    story: `For a ${thing} a group finds (${(density + side * difference).toFixed(2)} ± ${uncertainty.toFixed(2)}) g/cm³, with its standard uncertainty. The accepted density of this ${material} is ${density.toFixed(2)} g/cm³.`,
    percent: ((difference / density) * 100).toFixed(1),
  };
}

const DO_THEY_AGREE = 'Does the result agree with the accepted density?';

const agrees = asked([2, 3], ({ random }) => {
  const hundredths = 5 + random.below(6);
  const off = Math.round(hundredths * (0.7 + random.uniform()));
  const { story } = found(random, off / 100, hundredths / 100);
  return {
    story,
    question: DO_THEY_AGREE,
    options: [
      right('Yes. They differ by less than twice the uncertainty.', 'A difference like this may well come by chance.'),
      wrong(
        'any-difference-disagrees',
        'No. They are two different numbers.',
        'Two results are never quite the same. They disagree when they differ by more than twice the uncertainty.',
      ),
      wrong(
        'more-digits-are-better',
        'Nobody can say. The result has too few digits.',
        'Its uncertainty says how well it is known. A further digit would not.',
      ),
    ],
  };
});

const disagrees = asked([2, 3], ({ random }) => {
  const hundredths = 1 + random.below(2);
  const times = 4 + random.below(4);
  const { story, percent } = found(random, (hundredths * times) / 100, hundredths / 100);
  return {
    story,
    question: DO_THEY_AGREE,
    options: [
      right(
        `No. They differ by ${times} times the uncertainty.`,
        'More than twice the uncertainty hardly ever comes by chance. Something else shifts the result.',
      ),
      wrong(
        'small-percent-agrees',
        `Yes. It is only ${percent} % off.`,
        'Whether a difference is small shows beside the uncertainty, not beside the value.',
      ),
      wrong(
        'precise-is-accurate',
        'Yes. The uncertainty is small, so the result is good.',
        'A small uncertainty makes the difference harder to explain.',
      ),
    ],
  };
});

export const ERRORS_AND_CURES: readonly Template<ChoiceExercise>[] = [
  whichSystematic,
  whichRandom,
  offsetOfMean,
  howManyMore,
  agrees,
  disagrees,
];
