import type { WorkingExercise } from '../exercise.ts';
import { LIQUIDS, SINKING, withArticle } from './harbour-kit.ts';
import { volumeUnit, type Template } from './template.ts';
import { written } from './written.ts';

const kind = 'mixed-steps' as const;

const liquid: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random, rules, level }) => {
    const { thing, density } = random.pick(LIQUIDS);
    const volume = written(random, level === 3 ? 5 : 18, level === 3 ? 9.5 : 48, 1);
    const decimals = level === 1 ? 2 : random.pick([1, 2] as const);
    const empty = written(random, 28, 64, decimals);
    const full = (Number(empty) + Number(volume) * density * (0.99 + 0.02 * random.uniform())).toFixed(decimals);
    return {
      kind,
      story: `A beaker weighs {empty}. With {volume} of ${thing} in it, it weighs {full}.`,
      question: `What is the density of the ${thing}?`,
      given: { empty: `${empty} g`, volume: `${volume} ${volumeUnit(rules)}`, full: `${full} g` },
      formula: '(full - empty) / volume',
    };
  },
};

const solid: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random, rules, level }) => {
    const { thing, density } = random.pick(SINKING);
    const before = written(random, 18, 32, 1);
    const rise = level === 3 ? 1.2 + random.uniform() * 2 : 4 + random.uniform() * 9;
    const after = (Number(before) + rise).toFixed(1);
    const mass = ((Number(after) - Number(before)) * density * (0.98 + 0.04 * random.uniform())).toFixed(2);
    return {
      kind,
      story: `${withArticle(thing).replace(/^a/, 'A')} weighs {mass}. Let down into a cylinder, it raises the water from {before} to {after}.`,
      question: 'What is its density?',
      given: { mass: `${mass} g`, before: `${before} ${volumeUnit(rules)}`, after: `${after} ${volumeUnit(rules)}` },
      formula: 'mass / (after - before)',
    };
  },
};

const rod: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => {
    const diameter = written(random, 0.9, 2.4, 2);
    const height = written(random, 6, 22, 1);
    const volume = Math.PI * (Number(diameter) / 2) ** 2 * Number(height);
    return {
      kind,
      story: 'An ebony belaying peg, straight and round, is {diameter} across and {height} long, and weighs {mass}.',
      question: 'What is its density?',
      given: {
        diameter: `${diameter} cm`,
        height: `${height} cm`,
        mass: `${(volume * 1.12 * (0.98 + 0.04 * random.uniform())).toFixed(2)} g`,
      },
      formula: 'mass / (pi * (diameter / exact(2))^2 * height)',
    };
  },
};

const wall: Template<WorkingExercise> = {
  levels: [1, 2],
  draw: ({ random }) => {
    const inner = written(random, 11, 24, 2);
    return {
      kind,
      story: 'A brass bush is {outer} across outside and {inner} inside.',
      question: 'How thick is its wall?',
      given: { outer: `${written(random, Number(inner) + 3, Number(inner) + 9, 2)} mm`, inner: `${inner} mm` },
      formula: '(outer - inner) / exact(2)',
    };
  },
};

const meanDiameter: Template<WorkingExercise> = {
  levels: [1, 3],
  draw: ({ random }) => {
    const about = 9 + random.uniform() * 21;
    const width = (): string => `${(about + 0.06 * random.normal()).toFixed(2)} mm`;
    const long = about * (1.5 + random.uniform());
    const height = (): string => `${(long + 0.09 * random.normal()).toFixed(2)} mm`;
    return {
      kind,
      story:
        'Three brass bushes of one make are {width1}, {width2} and {width3} wide; they are {height1}, {height2} and {height3} high.',
      question: 'What is their mean width?',
      given: {
        width1: width(),
        width2: width(),
        width3: width(),
        height1: height(),
        height2: height(),
        height3: height(),
      },
      formula: 'mean(width1; width2; width3)',
    };
  },
};

const lostInDrying: Template<WorkingExercise> = {
  levels: [2, 3],
  draw: ({ random }) => {
    const empty = written(random, 24, 40, 2);
    const before = (Number(empty) + 12 + random.uniform() * 20).toFixed(2);
    const after = (Number(before) - 1.5 - random.uniform() * 4).toFixed(2);
    return {
      kind,
      story: 'Wet slate sand with its dish weighs {wet}; dried, with its dish, {dry}. The dish alone weighs {dish}.',
      question: 'What part of the wet sand was water, in percent?',
      given: { wet: `${before} g`, dry: `${after} g`, dish: `${empty} g` },
      formula: '(wet - dry) / (wet - dish) * 100 %',
    };
  },
};

export const MIXED: readonly Template<WorkingExercise>[] = [liquid, solid, rod, wall, meanDiameter, lostInDrying];
