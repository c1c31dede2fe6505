import type { CountingExercise, RoundingExercise } from '../exercise.ts';
import { weighedThing } from '../../reading/words/things.ts';
import type { Random } from '../../simulation/random.ts';
import { beginning } from './harbour-kit.ts';
import type { Drawing, Template } from './template.ts';
import { endingIn, wholeNumber, written } from './written.ts';

const COUNTED = 'How many significant figures does the number have?';

/** A number whose figures are counted, in a sentence of the workshop. */
function counting(
  levels: Template['levels'],
  number: (drawing: Drawing) => string,
  sentence: (number: string, drawing: Drawing) => string,
): Template<CountingExercise> {
  return {
    levels,
    draw: (drawing) => {
      const drawn = number(drawing);
      return { kind: 'count-figures', story: sentence(drawn, drawing), question: COUNTED, number: drawn };
    },
  };
}

function weighed(unit: 'g' | 'kg') {
  return (number: string, { random }: Drawing): string =>
    `${beginning(weighedThing(Number(number) * (unit === 'kg' ? 1000 : 1), random))} weighs ${number} ${unit}.`;
}

/** Nought point nought…: leading zeros, and one at the end now and then. */
function small({ random, level }: Drawing): string {
  const digits = random.uniform() < 0.5 ? `${wholeNumber(random, 11, 98)}0` : wholeNumber(random, 102, 989);
  return `0.${'0'.repeat(level === 1 ? 1 : 1 + random.below(3))}${digits}`;
}

const NUMBERS_WITH_BARE_ZEROS = (number: string): string => `A ballast list gives ${number} g.`;

export const COUNTS: readonly Template<CountingExercise>[] = [
  counting([1, 2], ({ random }) => endingIn(random, 2, 89, 2, false), weighed('g')),
  counting([1, 3], ({ random }) => endingIn(random, 2, 89, 2, true), weighed('g')),
  counting([1, 3], small, weighed('kg')),
  counting(
    [1, 3],
    ({ random }) => `${wholeNumber(random, 1, 9)}0${written(random, 1.01, 9.09, 2)}`,
    (number) => `A rope is ${number} m long.`,
  ),
  counting(
    [2, 3],
    ({ random }) => `${written(random, 1, 9.9, 1)}0 × 10${random.pick(['³', '⁴', '⁻²', '⁻³'] as const)}`,
    (number) => `A table of masses gives ${number} g.`,
  ),
  counting(
    [2, 3],
    ({ random, rules }) => bareZeros(wholeNumber(random, 11, 98), rules.bareTrailingZeros, random.uniform() < 0.5),
    NUMBERS_WITH_BARE_ZEROS,
  ),
];

/** Zeros at the end of a whole number, where the class has a rule for them; where it has none, a power of ten takes their place. */
function bareZeros(digits: string, rule: Drawing['rules']['bareTrailingZeros'], pointed: boolean): string {
  if (rule === 'flag') return `${digits.charAt(0)}.${digits.charAt(1)}00 × 10³`;
  return rule === 'want-point' && pointed ? `${digits}00.` : `${digits}00`;
}

function asked(to: RoundingExercise['to']): string {
  if ('figures' in to) return `Write it with ${WORDS[to.figures] ?? to.figures} significant figures.`;
  return to.decimals === 1
    ? 'Write it with one decimal.'
    : `Write it with ${WORDS[to.decimals] ?? to.decimals} decimals.`;
}

const WORDS: Readonly<Record<number, string>> = { 1: 'one', 2: 'two', 3: 'three', 4: 'four' };

/** A number that is rounded, from what a calculator shows. */
function rounding(
  levels: Template['levels'],
  number: (drawing: Drawing) => string,
  to: (drawing: Drawing) => RoundingExercise['to'],
  unit = 'g',
): Template<RoundingExercise> {
  return {
    levels,
    draw: (drawing) => {
      const [drawn, wanted] = [number(drawing), to(drawing)];
      return {
        kind: 'round-number',
        story: `A calculator shows ${drawn} ${unit}.`,
        question: asked(wanted),
        number: drawn,
        unit,
        to: wanted,
      };
    },
  };
}

/** As a calculator shows it: without zeros at the end. */
const shown = (random: Random, least: number, most: number, decimals: number): string =>
  endingIn(random, least, most, decimals, false);

export const ROUNDINGS: readonly Template<RoundingExercise>[] = [
  rounding(
    [1, 2],
    ({ random }) => shown(random, 12, 89, 4),
    ({ random }) => ({ figures: random.pick([3, 4] as const) }),
  ),
  rounding(
    [1, 2],
    ({ random }) => shown(random, 12, 189, 4),
    ({ random }) => ({ decimals: random.pick([1, 2] as const) }),
  ),
  rounding(
    [2, 3],
    ({ random }) => `0.0${shown(random, 10, 98, 3).replace('.', '')}`,
    ({ random }) => ({ figures: random.pick([2, 3] as const) }),
    'kg',
  ),
  // Up through a nine, so that a zero is written at the end.
  rounding(
    [2, 3],
    ({ random }) => `${wholeNumber(random, 11, 89)}.${random.below(9)}9${5 + random.below(5)}${1 + random.below(9)}`,
    ({ random }) => ({ decimals: random.pick([1, 2] as const) }),
  ),
  // An exact half.
  rounding(
    [2, 3],
    ({ random }) => `${written(random, 11, 89, 1)}5`,
    () => ({ figures: 3 }),
  ),
  // Just below a half.
  rounding(
    [2, 3],
    ({ random }) => `${written(random, 11, 89, 1)}4${5 + random.below(5)}`,
    () => ({ decimals: 1 }),
  ),
  rounding(
    [3, 3],
    ({ random }) => wholeNumber(random, 12_001, 98_999),
    ({ random }) => ({ figures: random.pick([2, 3] as const) }),
  ),
];
