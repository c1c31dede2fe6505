import { describe, expect, it } from 'vitest';
import { asOperated, diagnose, drawTask, seededRandom, slipsOn, type ReadingTask } from '../../src/index.ts';
import {
  apparent,
  columnOf,
  decimalsFor,
  division,
  edge,
  labelled,
  labelsAround,
  lowestPoint,
  numberAt,
  step,
  stepFor,
  written,
  type UprightReader,
} from './upright-reader.ts';

/** The number at the lowest point, less what is known to be taken off: an initial reading, or an error noted beside the tool. */
function starting(reader: UprightReader): number {
  const { startY, vessel } = reader.picture;
  return startY === null || vessel === 'thermometer' ? 0 : numberAt(reader, startY);
}

function noted({ picture }: UprightReader): number {
  return Number(/shows ([−\d.]+)/.exec(picture.note ?? '')?.[1]?.replace('−', '-') ?? 0);
}

function rounded(reader: UprightReader, number: number): number {
  return Math.round(number / step(reader)) * step(reader);
}

/** A whole reading: what stands at a height, counted in some way, and what is taken off it. */
function reading(reader: UprightReader, y: number, counted: (number: number) => number = (number) => number): string {
  return written(
    reader,
    rounded(reader, counted(numberAt(reader, y))) - rounded(reader, starting(reader)) - noted(reader),
  );
}

const careful = (reader: UprightReader): string => reading(reader, lowestPoint(reader));

function bare(text: string): { digits: string; unit: string } {
  const [digits = '', unit = ''] = text.split(' ');
  return { digits, unit };
}

const HABITS: Record<string, (reader: UprightReader) => string> = {
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
  'other-scale': (reader) => {
    const top = Math.max(...labelled(reader.picture.secondMarks).map(({ number }) => number));
    return reading(reader, lowestPoint(reader), (number) => top - number);
  },
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
  'sign-lost': (reader) =>
    reading(reader, lowestPoint(reader), (number) => {
      const size = division(reader);
      const passed = -Math.floor(-number / size + 1e-9) * size;
      const way = reader.random.uniform();
      if (way < 0.5) return -number;
      return way < 0.8 ? 2 * passed - number : 2 * (passed - size) - number;
    }),
  'what-is-left': (reader) =>
    written(reader, labelled(reader.picture.marks).at(-1)!.number - numberAt(reader, lowestPoint(reader))),
  'final-as-delivered': (reader) => written(reader, numberAt(reader, lowestPoint(reader))),
  'zero-ignored': (reader) => written(reader, numberAt(reader, lowestPoint(reader))),
  'zero-sign': (reader) => written(reader, rounded(reader, numberAt(reader, lowestPoint(reader))) + noted(reader)),
  unsettled: (reader) => written(reader, numberAt(reader, reader.picture.startY!) - noted(reader)),
  'power-of-ten': (reader) => {
    const { digits, unit } = bare(careful(reader));
    const decimals = digits.split('.')[1]?.length ?? 0;
    return `${(Number(digits) * 10).toFixed(Math.max(0, decimals - 1))} ${unit}`;
  },
  transposed: (reader) => {
    const { digits, unit } = bare(careful(reader));
    // The first two neighbours that differ; the estimated digit is left alone where there are others.
    const apart = /(\d)(\.?)(?!\1)(\d)/;
    const early = digits.replace(/(\d)(\.?)(?!\1)(\d)(?=.*\d)/, '$3$2$1');
    return `${early === digits ? digits.replace(apart, '$3$2$1') : early} ${unit}`;
  },
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
  'extra-digit': (reader) => {
    const { digits, unit } = bare(careful(reader));
    return `${digits}${digits.includes('.') ? '5' : '.5'} ${unit}`;
  },
  'unit-missing': (reader) => bare(careful(reader)).digits,
  'unit-wrong': (reader) => `${bare(careful(reader)).digits} cm`,
};

/** The eye is left off the level by those who make a slip with it, and the bulb is not left in the liquid by those who do not wait. */
function worked(task: ReadingTask, slip: string): ReadingTask {
  const done = [{ kind: 'lower', at: 0, to: null }] as const;
  return asOperated(task, {
    eyeHeight: slip.startsWith('eye-') ? task.situation.eyeHeight! : 0,
    done,
    at: slip === 'unsettled' ? 2000 : 60_000,
  });
}

/** Proves on each tool that every slip is told from the others, and that careful readers are judged sound. */
export function proveReaders(tools: readonly string[]): void {
  const cases = tools.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const));

  describe('a simulated student with one slip', () => {
    it.each(cases)('%s, %s: named first in at least 95 in 100 of 200 items', (tool, slip) => {
      const random = seededRandom(20_000 + slip.length);
      const habit = HABITS[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const items = Array.from({ length: 200 }, (_, seed) => worked(drawTask(tool, { seed, aim: [slip] }), slip));
      const named = items.filter(
        (task) => diagnose(task, habit!({ picture: columnOf(task), random })).slips[0]?.ids.join() === slip,
      );
      expect(named.length).toBeGreaterThanOrEqual(190);
    });
  });

  describe('a careful reader', () => {
    it.each(tools.map((tool) => [tool]))('%s: is judged sound in at least 99 in 100 of 1000 items', (tool) => {
      const random = seededRandom(7);
      const sound = Array.from({ length: 1000 }, (_, seed) => worked(drawTask(tool, { seed }), '')).filter(
        (task) => diagnose(task, careful({ picture: columnOf(task), random })).verdict === 'sound',
      );
      expect(sound.length).toBeGreaterThanOrEqual(990);
    });
  });
}
