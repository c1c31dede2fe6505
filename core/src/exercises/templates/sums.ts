import type { HouseRules } from '../../rules/house-rules.ts';
import type { WorkingExercise } from '../exercise.ts';
import { beginning, LIQUIDS, RUNNING, SINKING, twoThings, withArticle } from './harbour-kit.ts';
import { volumeUnit, type Template } from './template.ts';
import { endingIn, written } from './written.ts';

const kind = 'add-subtract' as const;

const together: Template<WorkingExercise> = {
  levels: [1, 2],
  draw: ({ random, level }) => {
    const decimals = random.pick<readonly [number, number]>([
      [1, 2],
      [2, 1],
      [1, 3],
      [2, 3],
    ]);
    const masses = [
      written(random, 12, 95, decimals[0]),
      written(random, 3, level === 1 ? 60 : 9.9, decimals[1]),
    ] as const;
    const [first, second] = twoThings([Number(masses[0]), Number(masses[1])], random);
    return {
      kind,
      story: `${beginning(first)} weighs {first} on one balance, and ${withArticle(second)} {second} on another.`,
      question: 'What do they weigh together?',
      given: { first: `${masses[0]} g`, second: `${masses[1]} g` },
      formula: 'first + second',
    };
  },
};

const contents: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random, level }) => {
    const liquid = random.pick(LIQUIDS).thing;
    const decimals = random.pick([1, 2] as const);
    const empty = written(random, 28, 74, decimals);
    // Little in the beaker leaves a difference with few figures; from the second level on, one that ends in a zero.
    const inside = endingIn(random, level === 3 ? 1 : 14, level === 3 ? 9 : 60, decimals, level > 1);
    const full = (Number(empty) + Number(inside)).toFixed(decimals);
    return {
      kind,
      story: `A beaker with ${liquid} in it weighs {full}. Empty and dry it weighs {empty}.`,
      question: `How heavy is the ${liquid}?`,
      given: { full: `${full} g`, empty: `${empty} g` },
      formula: '(full - empty)',
    };
  },
};

const displaced: Template<WorkingExercise> = {
  levels: [1, 2],
  draw: ({ random, rules, level }) => {
    const { thing } = random.pick(SINKING);
    const before = written(random, 18, 34, 1);
    const after = (Number(before) + Number(endingIn(random, 3, 14, 1, level > 1))).toFixed(1);
    return {
      kind,
      story: `The water in a cylinder stands at {before}. With ${withArticle(thing)} in it, it stands at {after}.`,
      question: `What is the volume of the ${thing}?`,
      given: { before: `${before} ${volumeUnit(rules)}`, after: `${after} ${volumeUnit(rules)}` },
      formula: '(after - before)',
    };
  },
};

/** A reading as far as the class reads a burette: to hundredths, or to the nearer twentieth below. */
function onBurette(reading: string, { burettePlace }: HouseRules): string {
  return burettePlace === 'half' ? (Math.floor(Math.round(Number(reading) * 100) / 5) / 20).toFixed(2) : reading;
}

const delivered: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random, rules, level }) => {
    const before = onBurette(written(random, 0.4, 9, 2), rules);
    const run = onBurette(endingIn(random, 9, 34, 2, level > 1), rules);
    const after = (Number(before) + Number(run)).toFixed(2);
    return {
      kind,
      story: `A burette reads {before} at the start and {after} at the end.`,
      question: `How much ${random.pick(RUNNING)} has run out?`,
      given: { before: `${before} ${volumeUnit(rules)}`, after: `${after} ${volumeUnit(rules)}` },
      formula: '(after - before)',
    };
  },
};

const endToEnd: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => ({
    kind,
    story: 'A bronze deck nail of {first}, an acrylic rod of {second} and a brass bush of {third} lie end to end.',
    question: 'How long are they together?',
    given: {
      first: `${written(random, 8, 17, random.pick([1, 2] as const))} cm`,
      second: `${written(random, 20, 60, 1)} cm`,
      third: `${written(random, 2, 5, random.pick([2, 3] as const))} cm`,
    },
    formula: 'first + second + third',
  }),
};

const ballast: Template<WorkingExercise> = {
  levels: [3, 3],
  draw: ({ random }) => ({
    kind,
    story: 'A tin ballast ingot weighs {first} on the stores scale. A cork bung of {second} is tied to it.',
    question: 'What do they weigh together?',
    given: { first: `${written(random, 1, 9, 2)}e3 g`, second: `${written(random, 6, 48, 2)} g` },
    formula: 'first + second',
  }),
};

function clock(seconds: number): string {
  const two = (number: number): string => String(number).padStart(2, '0');
  return `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}

const burning: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => {
    const start = 9 * 3600 + random.below(4 * 3600);
    const end = start + 600 + random.below(2400);
    return {
      kind,
      story: 'A beeswax nightlight is lit at {start} and put out at {end}.',
      question: 'For how many minutes did it burn?',
      given: { start: clock(start), end: clock(end) },
      formula: 'end - start -> min',
    };
  },
};

export const SUMS: readonly Template<WorkingExercise>[] = [
  together,
  contents,
  displaced,
  delivered,
  endToEnd,
  ballast,
  burning,
];
