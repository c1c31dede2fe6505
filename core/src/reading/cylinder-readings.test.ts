import { describe, expect, it } from 'vitest';
import { seededRandom, type Random } from '../simulation/random.ts';
import { diagnose } from './diagnose.ts';
import { drawTask } from './draw-task.ts';
import { pictureOf, type LiquidColumnPicture } from './picture.ts';
import { withEyeAt, type ReadingTask } from './reading-task.ts';

/**
 * Readers who have only the picture: they measure positions with a ruler, find the division from the printed numerals, and estimate
 * with a scatter. Nothing here knows how core predicts a slip.
 */
interface Reader {
  readonly picture: LiquidColumnPicture;
  readonly random: Random;
}

const SCATTER = 0.07;

function column(task: ReadingTask): LiquidColumnPicture {
  const picture = pictureOf(task);
  if (picture.kind !== 'liquid-column') throw new Error('a cylinder has a liquid column');
  return picture;
}

function labelled(picture: LiquidColumnPicture): { y: number; number: number }[] {
  return picture.marks.flatMap(({ y, label }) => (label === null ? [] : [{ y, number: Number(label) }])).sort((a, b) => b.y - a.y);
}

/** Division in the printed unit: the difference of two labels over the spaces between them. */
function division(picture: LiquidColumnPicture): number {
  const [low, high] = labelled(picture);
  const spaces = picture.marks.filter((mark) => mark.y < low!.y && mark.y >= high!.y).length;
  return (high!.number - low!.number) / spaces;
}

/** Lines passed by a height, from the bottom, with the part of the space beyond the last. */
function spacesBelow(picture: LiquidColumnPicture, y: number): number {
  const heights = picture.marks.map((mark) => mark.y).sort((a, b) => b - a);
  const passed = heights.filter((height) => height >= y).length - 1;
  return passed + (heights[passed]! - y) / (heights[passed]! - heights[passed + 1]!);
}

function lowestPoint({ picture }: Reader): number {
  return picture.surfaceY;
}

function edge({ picture }: Reader): number {
  return picture.surfaceY - picture.profile.at(-1)![1];
}

/** Where the lowest point appears on the near scale from the eye's present height, by similar triangles. */
function apparent({ picture }: Reader): number {
  return picture.surfaceY - (picture.eye.height * picture.eye.gap) / picture.eye.distance;
}

function decimals(picture: LiquidColumnPicture): number {
  return division(picture) < 1 ? 2 : 1;
}

function estimate({ picture, random }: Reader, y: number): number {
  const tenths = Math.round((spacesBelow(picture, y) + SCATTER * random.normal()) * 10);
  return (tenths / 10) * division(picture);
}

function written(reader: Reader, reading: number): string {
  return `${reading.toFixed(decimals(reader.picture))} mL`;
}

const HABITS: Record<string, (reader: Reader) => string> = {
  'eye-high': (reader) => written(reader, estimate(reader, apparent(reader))),
  'eye-low': (reader) => written(reader, estimate(reader, apparent(reader))),
  'meniscus-edge': (reader) => written(reader, estimate(reader, edge(reader))),
  'meniscus-low': (reader) => written(reader, estimate(reader, edge(reader))),
  'rounded-up': (reader) => written(reader, estimate(reader, lowestPoint(reader)) + division(reader.picture)),
  'label-above': (reader) => {
    const labels = labelled(reader.picture);
    const above = labels.find(({ y }) => y < lowestPoint(reader))!;
    const below = labels.findLast(({ y }) => y >= lowestPoint(reader))!;
    return written(reader, below.number + above.number - estimate(reader, lowestPoint(reader)));
  },
  'marks-counted': (reader) => {
    const labels = labelled(reader.picture);
    const below = labels.findLast(({ y }) => y >= lowestPoint(reader))!;
    const beyond = estimate(reader, lowestPoint(reader)) - below.number;
    const marks = Math.round((labels[1]!.number - labels[0]!.number) / division(reader.picture)) + 1;
    return written(reader, below.number + (beyond / division(reader.picture)) * ((labels[1]!.number - labels[0]!.number) / marks));
  },
  'other-scale': (reader) => {
    const second = reader.picture.secondMarks.flatMap(({ y, label }) => (label === null ? [] : [{ y, number: Number(label) }]));
    const top = second.reduce((best, mark) => (mark.number > best.number ? mark : best));
    return written(reader, top.number - estimate(reader, lowestPoint(reader)));
  },
  'power-of-ten': (reader) => `${(estimate(reader, lowestPoint(reader)) * 10).toFixed(decimals(reader.picture) - 1)} mL`,
  transposed: (reader) => {
    const text = estimate(reader, lowestPoint(reader)).toFixed(decimals(reader.picture));
    return `${text.replace(/^(\d)(\.?)(\d)/, '$3$2$1')} mL`;
  },
  'dropped-digit': (reader) => `${(Math.floor(estimate(reader, lowestPoint(reader)) / division(reader.picture) + 1e-9) * division(reader.picture)).toFixed(decimals(reader.picture) - 1)} mL`,
  'extra-digit': (reader) => `${estimate(reader, lowestPoint(reader)).toFixed(decimals(reader.picture))}5 mL`,
  'unit-missing': (reader) => estimate(reader, lowestPoint(reader)).toFixed(decimals(reader.picture)),
  'unit-wrong': (reader) => `${estimate(reader, lowestPoint(reader)).toFixed(decimals(reader.picture))} cm`,
};

const TOOLS = ['cylinder-10', 'cylinder-50', 'cylinder-100'];
const possible = (tool: string, slip: string): boolean => slip !== 'other-scale' || tool !== 'cylinder-50';
const cases = TOOLS.flatMap((tool) => Object.keys(HABITS).filter((slip) => possible(tool, slip)).map((slip) => [tool, slip] as const));

/** Slips of the eye happen where the eye was left; every other reader has levelled it. */
function situated(task: ReadingTask, slip: string): ReadingTask {
  return slip.startsWith('eye-') ? task : withEyeAt(task, 0);
}

describe('a simulated student with one slip', () => {
  it.each(cases)('%s, %s: named first in at least 95 in 100 of 200 items', (tool, slip) => {
    const random = seededRandom(20_000 + slip.length);
    const items = Array.from({ length: 200 }, (_, seed) => situated(drawTask(tool, { seed, aim: [slip] }), slip));
    const named = items.filter((task) => diagnose(task, HABITS[slip]!({ picture: column(task), random })).slips[0]?.ids.join() === slip);
    expect(named.length).toBeGreaterThanOrEqual(190);
  });

  it.each(TOOLS)('%s: who writes no zero is told so on a mark', (tool) => {
    const items = Array.from({ length: 200 }, (_, seed) => withEyeAt(drawTask(tool, { seed, aim: ['trailing-zero-dropped'] }), 0));
    const named = items.filter((task) => {
      const picture = column(task);
      const onMark = Math.round(spacesBelow(picture, picture.surfaceY)) * division(picture);
      return diagnose(task, `${onMark.toFixed(decimals(picture) - 1)} mL`).slips[0]?.ids.join() === 'trailing-zero-dropped';
    });
    expect(named.length).toBeGreaterThanOrEqual(190);
  });
});

describe('a careful reader', () => {
  it.each(TOOLS)('%s: is judged sound in at least 99 in 100 of 2000 items', (tool) => {
    const random = seededRandom(7);
    const sound = Array.from({ length: 2000 }, (_, seed) => withEyeAt(drawTask(tool, { seed }), 0)).filter((task) => {
      const reader = { picture: column(task), random };
      return diagnose(task, written(reader, estimate(reader, lowestPoint(reader)))).verdict === 'sound';
    });
    expect(sound.length).toBeGreaterThanOrEqual(1980);
  });
});

describe('two slips together', () => {
  it.each([
    ['eye-high', 'meniscus-edge', (reader: Reader) => written(reader, estimate(reader, apparent(reader) - (lowestPoint(reader) - edge(reader))))],
    ['meniscus-edge', 'dropped-digit', (reader: Reader) => `${Math.floor(estimate(reader, edge(reader))).toFixed(0)} mL`],
    ['label-above', 'unit-missing', (reader: Reader) => HABITS['label-above']!(reader).replace(' mL', '')],
  ] as const)('%s with %s is found', (first, second, habit) => {
    const random = seededRandom(11);
    const items = Array.from({ length: 100 }, (_, seed) => situated(drawTask('cylinder-50', { seed, aim: [first] }), first));
    const named = items.filter((task) => {
      const { slips } = diagnose(task, habit({ picture: column(task), random }));
      return slips.some(({ ids }) => ids.includes(first) && ids.includes(second));
    });
    expect(named.length).toBeGreaterThanOrEqual(85);
  });
});
