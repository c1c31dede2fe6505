import type { ChoiceExercise, Option } from '../exercise.ts';
import { PIECES } from './harbour-kit.ts';
import { right, wrong } from './options.ts';
import type { Drawing, Template } from './template.ts';
import { wholeNumber, written } from './written.ts';
import { shuffled } from '../../simulation/shuffled.ts';

interface Statements {
  readonly story: string;
  readonly question: string;
  readonly options: readonly Option[];
}

function statement(levels: Template['levels'], told: (drawing: Drawing) => Statements): Template<ChoiceExercise> {
  return {
    levels,
    draw: (drawing) => {
      const { story, question, options } = told(drawing);
      return { kind: 'choose-statement', story, question, options: shuffled(drawing.random, options), seen: null };
    },
  };
}

const NEAR = (random: Drawing['random'], about: number, spread: number, decimals: number): string =>
  (about + spread * (2 * random.uniform() - 1)).toFixed(decimals);

const broken = statement([1, 3], ({ random }) => {
  const { thing, material, density } = random.pick(PIECES);
  const mass = Number(written(random, 40, 90, 1));
  const part = Number(written(random, mass * 0.25, mass * 0.4, 1));
  return {
    story: `A piece of ${material}, from a ${thing}, weighs ${mass.toFixed(1)} g and has a density of ${density.toFixed(2)} g/cm³. It breaks into ${part.toFixed(1)} g and ${(mass - part).toFixed(1)} g.`,
    question: 'What is true of the two parts?',
    options: [
      right(
        'Both have the density of the whole.',
        'Half the mass has half the volume. The density belongs to the material.',
      ),
      wrong(
        'heavier-is-denser',
        'The heavier part is the denser one.',
        'A heavier piece also has more volume. Its density is the same.',
      ),
      wrong(
        'heavier-is-denser',
        'Each is less dense than the whole was.',
        'Mass and volume both became smaller by the same factor.',
      ),
    ],
  };
});

const grouped = statement([1, 3], ({ random }) => {
  const truth = Number(written(random, 11, 19, 2));
  const offset = 0.14 + 0.1 * random.uniform();
  const tight = Array.from({ length: 4 }, () => NEAR(random, truth + offset, 0.01, 2));
  return {
    story: `A nickel washer of ${truth.toFixed(2)} mm is measured four times with one micrometer: ${tight.join(', ')} mm.`,
    question: 'What can be said of these readings?',
    options: [
      right(
        'They are precise and not accurate.',
        'They are close together, and all too large. An offset such as a zero error is the same every time.',
      ),
      wrong(
        'precise-is-accurate',
        'They are accurate, since they agree so well.',
        'Agreement is precision. It does not tell how far they are from the true size.',
      ),
      wrong(
        'accurate-is-precise',
        'They are neither precise nor accurate.',
        'They agree to one or two hundredths. That is precise.',
      ),
    ],
  };
});

const scattered = statement([1, 3], ({ random }) => {
  const truth = Number(written(random, 31, 44, 1));
  const off = 0.7 + 0.6 * random.uniform();
  const wide = [off, -off, off / 2, -off / 2].map((by) => (truth + by).toFixed(1));
  return {
    story: `A brass bush of ${truth.toFixed(1)} g is weighed four times in a draught: ${shuffled(random, wide).join(', ')} g.`,
    question: 'What can be said of the mean and of the single readings?',
    options: [
      right(
        'The mean is accurate, the readings are not precise.',
        'They scatter to both sides, and their mean is the true mass.',
      ),
      wrong(
        'accurate-is-precise',
        'The readings are precise, since their mean is right.',
        'Precision is how close the readings are to each other. The mean does not tell you that.',
      ),
      wrong(
        'precise-is-accurate',
        'The mean cannot be right, since the readings differ so much.',
        'Scatter to both sides cancels in the mean.',
      ),
    ],
  };
});

const digits = statement([1, 3], ({ random }) => {
  const length = written(random, 2.1, 8.9, 1);
  return {
    story: `Three students write the length of the same brass bush: ${length} cm, ${length}0 cm and ${length}00 cm.`,
    question: 'What is true of the three?',
    options: [
      right(
        'They say three different things about how precisely it was measured.',
        'Each digit, even a zero, says that this place was measured.',
      ),
      wrong(
        'same-value-same-claim',
        'They say the same, because zeros at the end change nothing.',
        'The value is the same, but each further digit claims ten times more precision.',
      ),
      wrong(
        'more-digits-are-better',
        'The last one is the best, because it has the most digits.',
        'The tool decides the digits. With a ruler you can estimate tenths of a millimetre, and no more.',
      ),
    ],
  };
});

const timed = statement([1, 2], ({ random }) => {
  const [minutes, seconds] = [wholeNumber(random, 11, 28), 11 + random.below(48)];
  return {
    story: `A nightlight was to burn for ${minutes} min. By the clock it was put out after ${minutes} min ${seconds} s.`,
    question: 'What do you do with this run?',
    options: [
      right(
        `It is worked out with ${minutes} min ${seconds} s.`,
        'For a rate, only the real start and the real end count.',
      ),
      wrong(
        'planned-time-counts',
        `It is worked out with ${minutes} min, as planned.`,
        'The wax burned for the real time, not for the planned one.',
      ),
      wrong(
        'planned-time-counts',
        'It is thrown away, because the time is not the planned one.',
        'A measured time is just as good as a planned one.',
      ),
    ],
  };
});

const difference = statement([2, 3], ({ random, rules: { volumeUnit: unit } }) => {
  const [before, after] = [written(random, 16, 24, 1), written(random, 29, 38, 1)];
  const [first, second] = random.pick<readonly [string, string]>([
    ['0.3', '0.2'],
    ['0.5', '0.2'],
    ['0.4', '0.3'],
  ]);
  const sum = (Number(first) + Number(second)).toFixed(1);
  const less = (Number(first) - Number(second)).toFixed(1);
  return {
    story: `Water stands at (${before} ± ${first}) ${unit}, and with a pebble in it at (${after} ± ${second}) ${unit}.`,
    question: 'What is true of the volume of the pebble?',
    options: [
      right(
        `It is uncertain by more than ${first} ${unit}, at most by ${sum} ${unit}.`,
        'Both readings may be off, in opposite directions. Uncertainties add, simply or in quadrature.',
      ),
      wrong(
        'uncertainties-subtracted',
        `It is uncertain by ${less} ${unit}, the difference of the two.`,
        'You subtract the readings, not their uncertainties. Nobody knows whether both are off in the same direction.',
      ),
      wrong(
        'uncertainties-subtracted',
        'The uncertainties cancel.',
        'They cancel only if both readings are off by the same amount in the same direction.',
      ),
    ],
  };
});

const repeats = statement([2, 3], ({ random }) => {
  const about = written(random, 21, 68, 2);
  const many = wholeNumber(random, 4, 9);
  return {
    story: `A balance shows ${about} g for the same slate tile, ${many} times out of ${many}.`,
    question: 'What do you know from this?',
    options: [
      right(
        'It repeats well. Only a standard mass shows whether it is right.',
        'If it is always off by the same amount, repeating does not show it.',
      ),
      wrong(
        'repeats-prove-the-value',
        `The tile weighs ${about} g, proved ${many} times.`,
        'All the readings may be off by the same amount.',
      ),
      wrong('more-digits-are-better', 'A third decimal would settle it.', 'A finer display has the same offset.'),
    ],
  };
});

const ambiguous = statement([2, 3], ({ random }) => {
  const number = `${wholeNumber(random, 11, 98)}00`;
  const [first, second] = number;
  return {
    story: `A list gives the mass of a ballast ingot as ${number} g, without a point.`,
    question: 'How many digits are certain?',
    options: [
      right(
        `It cannot be told from the number; ${first}.${second} × 10³ g would say it.`,
        'The zeros may be measured, or may be only placeholders.',
      ),
      wrong(
        'same-value-same-claim',
        'All four digits, to the gram.',
        'You cannot see whether the zeros were measured.',
      ),
      wrong(
        'same-value-same-claim',
        `It does not matter: ${first}.${second}00 × 10³ g is the same.`,
        'With a power of ten, written zeros are claimed; without, nobody knows.',
      ),
    ],
  };
});

export const STATEMENTS: readonly Template<ChoiceExercise>[] = [
  broken,
  grouped,
  scattered,
  digits,
  timed,
  difference,
  repeats,
  ambiguous,
];
