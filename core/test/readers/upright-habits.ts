import { asOperated, startingEye, type LiquidColumnPicture, type ReadingTask } from '../../src/index.ts';
import { bare, onPaper } from './on-paper.ts';
import type { Habits } from './prove-readers.ts';
import {
  apparent,
  decimalsFor,
  division,
  edge,
  labelsAround,
  lowestPoint,
  numberAt,
  step,
  stepFor,
  written,
  type UprightReader,
} from './upright-reader.ts';

/** The number at the lowest point, less what is known to be taken off: an initial reading, or an error noted beside the tool. */
export function starting(reader: UprightReader): number {
  const { startY, vessel } = reader.picture;
  return startY === null || vessel === 'thermometer' ? 0 : numberAt(reader, startY);
}

/** The error noted beside the tool. */
export function noted({ picture }: UprightReader): number {
  return Number(/shows ([−\d.]+)/.exec(picture.note ?? '')?.[1]?.replace('−', '-') ?? 0);
}

export function rounded(reader: UprightReader, number: number): number {
  return Math.round(number / step(reader)) * step(reader);
}

/** A whole reading: what stands at a height, counted in some way, and what is taken off it. */
export function reading(
  reader: UprightReader,
  y: number,
  counted: (number: number) => number = (number) => number,
): string {
  return written(
    reader,
    rounded(reader, counted(numberAt(reader, y))) - rounded(reader, starting(reader)) - noted(reader),
  );
}

/** Who takes care reads the lowest point. */
export const careful = (reader: UprightReader): string => reading(reader, lowestPoint(reader));

/** Habits of slips that are made on many upright tools. */
export const UPRIGHT_HABITS: Habits<LiquidColumnPicture> = {
  'eye-high': (reader) => reading(reader, apparent(reader)),
  'eye-low': (reader) => reading(reader, apparent(reader)),
  'meniscus-edge': (reader) => reading(reader, edge(reader)),
  'meniscus-low': (reader) => reading(reader, edge(reader)),
  'rounded-up': (reader) =>
    reading(reader, lowestPoint(reader), (number) => number + Math.sign(number) * division(reader)),
  'label-above': (reader) =>
    reading(reader, lowestPoint(reader), (number) => {
      const { passed, next } = labelsAround(reader, number);
      return passed + next - number;
    }),
  'marks-counted': (reader) =>
    reading(reader, lowestPoint(reader), (number) => {
      const { passed, next } = labelsAround(reader, number);
      const spaces = Math.round(Math.abs(next - passed) / division(reader));
      return passed + ((number - passed) / division(reader)) * (Math.abs(next - passed) / (spaces + 1));
    }),
  'division-miscounted': (reader) => {
    const number = numberAt(reader, lowestPoint(reader));
    const { passed } = labelsAround(reader, number);
    // Half a unit is taken for a tenth, anything larger for one or, where that is the usual size of a mark, for ten.
    const size = division(reader);
    const taken = size < 1 ? 0.1 : size >= 20 ? 10 : 1;
    const value = passed + ((number - passed) / size) * taken - noted(reader);
    return `${(Math.round(value / stepFor(taken)) * stepFor(taken)).toFixed(decimalsFor(stepFor(taken)))} ${reader.picture.unitMark}`;
  },
  'upside-down': (reader) =>
    reading(reader, lowestPoint(reader), (number) => {
      const { passed, next } = labelsAround(reader, number);
      return (reader.random.uniform() < 0.5 ? next : passed) + next - number;
    }),
  ...onPaper(careful),
  'dropped-digit': (reader) => {
    const size = division(reader);
    const { digits, unit } = bare(careful(reader));
    if (decimalsFor(step(reader)) > decimalsFor(size)) return `${digits.slice(0, -1).replace(/\.$/, '')} ${unit}`;
    return `${(Math.floor(Number(digits) / size + 1e-9) * size).toFixed(decimalsFor(step(reader)))} ${unit}`;
  },
  'trailing-zero-dropped': (reader) => {
    // Who sees the surface on a mark writes the mark.
    const size = division(reader);
    const mark = Math.round(numberAt(reader, lowestPoint(reader)) / size) * size - noted(reader);
    return `${mark.toFixed(decimalsFor(step(reader)) - 1)} ${reader.picture.unitMark}`;
  },
};

/** The eye is left off the level by those who make a slip with it, and brought to it by all others. */
export function eyeBrought(task: ReadingTask, slip: string | null): ReadingTask {
  return asOperated(task, { eyeHeight: slip?.startsWith('eye-') ? startingEye(task) : 0 });
}

/** The bulb is not left in the liquid by those who do not wait. */
export function lowered(task: ReadingTask, slip: string | null): ReadingTask {
  return asOperated(task, {
    eyeHeight: slip?.startsWith('eye-') ? startingEye(task) : 0,
    done: [{ kind: 'lower', at: 0, to: null }],
    at: slip === 'unsettled' ? 2000 : 60_000,
  });
}
