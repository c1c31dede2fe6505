import type { ChoiceExercise, Option } from '../exercise.ts';
import { PIECES } from './harbour-kit.ts';
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

const right = (text: string, why: string): Option => ({ text, slip: null, why });
const wrong = (slip: string, text: string, why: string): Option => ({ text, slip, why });

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
        'Half the mass comes with half the volume: the density is a property of the material.',
      ),
      wrong(
        'heavier-is-denser',
        'The heavier part is the denser one.',
        'A heavier piece has more volume in the same proportion; its density is the same.',
      ),
      wrong(
        'heavier-is-denser',
        'Each is less dense than the whole was.',
        'Mass and volume have both become smaller, in the same proportion.',
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
        'They lie close together, and all of them too large: an offset, as of a zero error, repeats every time.',
      ),
      wrong(
        'precise-is-accurate',
        'They are accurate, since they agree so well.',
        'Agreement is precision. How far they lie from the true size is another matter.',
      ),
      wrong(
        'accurate-is-precise',
        'They are neither precise nor accurate.',
        'They agree to a hundredth or two: that is precise.',
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
        'They scatter to both sides, and their mean lies at the true mass.',
      ),
      wrong(
        'accurate-is-precise',
        'The readings are precise, since their mean is right.',
        'Precision is how close the readings lie together; a right mean says nothing of it.',
      ),
      wrong(
        'precise-is-accurate',
        'The mean cannot be right, since the readings differ so much.',
        'Scatter to both sides evens out in a mean.',
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
        'They are three different claims about how far it was measured.',
        'Each digit written, a zero too, says that this place was looked at.',
      ),
      wrong(
        'same-value-same-claim',
        'They say the same, since zeros at the end change nothing.',
        'The value is the same; what is claimed to be known is ten times more with every digit.',
      ),
      wrong(
        'more-digits-are-better',
        'The last one is the best, since it has the most digits.',
        'Digits come from the tool: a ruler gives tenths of a millimetre by estimating, and no more.',
      ),
    ],
  };
});

const timed = statement([1, 2], ({ random }) => {
  const [minutes, seconds] = [wholeNumber(random, 11, 28), 11 + random.below(48)];
  return {
    story: `A nightlight was to burn for ${minutes} min. By the clock it was put out after ${minutes} min ${seconds} s.`,
    question: 'What is done with the run?',
    options: [
      right(
        `It is worked out with ${minutes} min ${seconds} s.`,
        'Only the true start and the true end matter for a rate.',
      ),
      wrong(
        'planned-time-counts',
        `It is worked out with ${minutes} min, as planned.`,
        'The wax did not know of the plan: it burned for the true time.',
      ),
      wrong(
        'planned-time-counts',
        'It is thrown away, since the time is not the planned one.',
        'A time that is known serves as well as a planned one.',
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
        'Both readings may be off, and off to opposite sides: uncertainties add, plainly or in quadrature.',
      ),
      wrong(
        'uncertainties-subtracted',
        `It is uncertain by ${less} ${unit}, the difference of the two.`,
        'The readings are subtracted, their uncertainties are not: nobody knows that both are off to the same side.',
      ),
      wrong(
        'uncertainties-subtracted',
        'The uncertainties cancel.',
        'They would only if both readings were off by the same amount to the same side.',
      ),
    ],
  };
});

const repeats = statement([2, 3], ({ random }) => {
  const about = written(random, 21, 68, 2);
  const many = wholeNumber(random, 4, 9);
  return {
    story: `A balance shows ${about} g for the same slate tile, ${many} times out of ${many}.`,
    question: 'What follows?',
    options: [
      right(
        'It repeats well; whether it is right shows only against a standard.',
        'What is off every time by the same amount never shows in repeats.',
      ),
      wrong(
        'repeats-prove-the-value',
        `The tile weighs ${about} g, proved ${many} times.`,
        'Every one of the readings may be off by the same amount.',
      ),
      wrong(
        'more-digits-are-better',
        'A third decimal would settle it.',
        'A finer display repeats an offset just as well.',
      ),
    ],
  };
});

const ambiguous = statement([2, 3], ({ random }) => {
  const number = `${wholeNumber(random, 11, 98)}00`;
  const [first, second] = number;
  return {
    story: `A list gives the mass of a ballast ingot as ${number} g, without a point.`,
    question: 'How far is it known?',
    options: [
      right(
        `It cannot be told from the number; ${first}.${second} × 10³ g would say it.`,
        'The zeros may be measured or may only fill up the places.',
      ),
      wrong(
        'same-value-same-claim',
        'To the gram: all four digits count.',
        'Whether the zeros were measured cannot be seen.',
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
