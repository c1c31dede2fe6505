import type { WorkingExercise } from '../exercise.ts';
import { LIQUIDS, manyOf, PIECES } from './harbour-kit.ts';
import { volumeUnit, type Template } from './template.ts';
import { wholeNumber, written } from './written.ts';

const kind = 'multiply-divide' as const;

const area: Template<WorkingExercise> = {
  levels: [1, 2],
  draw: ({ random, level }) => {
    const decimals = random.pick<readonly [number, number]>([
      [1, 1],
      [2, 1],
      [1, 2],
    ]);
    return {
      kind,
      story: 'A slate tile is {length} long and {width} wide.',
      question: 'What is the area of its face?',
      given: {
        length: `${written(random, 11, 29, decimals[0])} cm`,
        width: `${written(random, level === 1 ? 11 : 4, level === 1 ? 19 : 9.9, decimals[1])} cm`,
      },
      formula: 'length * width',
    };
  },
};

const solidDensity: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random, level }) => {
    const { material, density } = random.pick(PIECES);
    const volume = written(random, level === 3 ? 2 : 6, level === 3 ? 9 : 24, level === 2 ? 2 : 1);
    const mass = (Number(volume) * density * (0.97 + 0.06 * random.uniform())).toFixed(random.pick([1, 2] as const));
    return {
      kind,
      story: `A piece of ${material} weighs {mass} and takes up {volume}.`,
      question: 'What is its density?',
      given: { mass: `${mass} g`, volume: `${volume} cm^3` },
      formula: 'mass / volume',
    };
  },
};

const liquidDensity: Template<WorkingExercise> = {
  levels: [1, 2],
  draw: ({ random, rules }) => {
    const { thing, density } = random.pick(LIQUIDS);
    const volume = written(random, 12, 48, random.pick([1, 2] as const));
    const mass = (Number(volume) * density * (0.985 + 0.03 * random.uniform())).toFixed(2);
    return {
      kind,
      story: `{volume} of ${thing} weigh {mass}.`,
      question: `What is the density of the ${thing}?`,
      given: { volume: `${volume} ${volumeUnit(rules)}`, mass: `${mass} g` },
      formula: 'mass / volume',
    };
  },
};

const manyTogether: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random }) => {
    const count = wholeNumber(random, 3, 24);
    const each = written(random, 2, 19, 2);
    return {
      kind,
      story: `${count} ${manyOf(Number(each), random)}, all alike, weigh {each} each.`,
      question: 'What do they weigh together?',
      given: { each: `${each} g`, count },
      formula: 'exact(count) * each',
    };
  },
};

const oneOfMany: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random }) => {
    const count = wholeNumber(random, 3, 12);
    const together = written(random, 40, 160, random.pick([1, 2] as const));
    return {
      kind,
      story: `${count} ${manyOf(Number(together) / Number(count), random)}, all alike, weigh {together} together.`,
      question: 'What does one of them weigh?',
      given: { together: `${together} g`, count },
      formula: 'together / exact(count)',
    };
  },
};

const rodEnd: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => ({
    kind,
    story: 'An acrylic rod is {diameter} across and {height} long.',
    question: 'What is its volume?',
    given: {
      diameter: `${written(random, 0.8, 2.9, 2)} cm`,
      height: `${written(random, 4, 24, random.pick([1, 2] as const))} cm`,
    },
    formula: 'pi * (diameter / exact(2))^2 * height',
  }),
};

const cube: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => ({
    kind,
    story: 'A block of ebony is a cube with edges of {side}.',
    question: 'What is its volume?',
    given: { side: `${written(random, 1.2, 6.8, random.pick([1, 2] as const))} cm` },
    formula: 'side^3',
  }),
};

const massOf: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => {
    const { material, density } = random.pick(PIECES);
    return {
      kind,
      story: `The density of ${material} is {density}. A piece of it takes up {volume}.`,
      question: 'How heavy is the piece?',
      given: {
        density: `${density.toFixed(2)} g/cm^3`,
        volume: `${written(random, 3, 48, random.pick([1, 2] as const))} cm^3`,
      },
      formula: 'density * volume',
    };
  },
};

const burningRate: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => {
    const seconds = 125 + random.below(500);
    const time = `0:${String(Math.floor(seconds / 60)).padStart(2, '0')}:${String(seconds % 60).padStart(2, '0')}`;
    return {
      kind,
      story: 'A beeswax nightlight becomes {burned} lighter in {time}.',
      question: 'How much of it burns in a minute, in g/min?',
      given: { burned: `${written(random, 0.8, 4.2, 2)} g`, time },
      formula: 'burned / time -> g/min',
    };
  },
};

export const PRODUCTS: readonly Template<WorkingExercise>[] = [
  area,
  solidDensity,
  liquidDensity,
  manyTogether,
  oneOfMany,
  rodEnd,
  cube,
  massOf,
  burningRate,
];
