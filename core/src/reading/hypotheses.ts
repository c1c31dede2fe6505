import { lastMarkPassed, multipleOf } from '../scales/linear-scale.ts';
import { isDifference, takenOff, trueAnswer } from './correction.ts';
import { stopsAtMarks, type ReadingStep } from './expected-reading.ts';
import { markRead } from './mark-read.ts';
import { measureWith, type Measure } from './measure.ts';
import type { ReadingTask } from './reading-task.ts';
import { scaleReadingOf, type ScaleReading } from './scale-reading.ts';
import { CORRECTION_SLIPS, COUNT_SLIPS, SIGHT_SLIPS, slipById } from './slips/registry.ts';
import type { CountSlip } from './slips/slip.ts';

/** What a student has done before: how many readings, and how many of them showed each slip. */
export interface SlipHistory {
  readonly readings: number;
  readonly slips: Readonly<Record<string, number>>;
}

/** Readings that the base rates stand for when a student's own are weighed against them (a Beta prior's size). */
const PRIOR_READINGS = 20;

/** A way to have come to a number: what was meant, how likely that is, and whether the last digit scatters. */
export interface Hypothesis {
  readonly ids: readonly string[];
  /** A mark on the scale until something is taken off it, then the number written. */
  readonly value: number;
  readonly prior: number;
  readonly scatter: boolean;
  /** What the number is written by: the instrument's own steps, unless a division was taken for something else. */
  readonly measure: Measure;
  /** A slip of the record that decided the number itself. */
  readonly form: readonly string[];
  /** What is taken off: a starting mark counted by the same slip comes out wrong as well. */
  readonly off: number;
}

/** How often a slip is made: by everybody, or by this student. */
export type RateOf = (slip: { readonly id: string; readonly baseRate: number }) => number;

const baseRate: RateOf = (slip) => slip.baseRate;

export function ratesFrom(history: SlipHistory | undefined): RateOf {
  if (!history || history.readings <= 0) return baseRate;
  return (slip) =>
    (slip.baseRate * PRIOR_READINGS + (history.slips[slip.id] ?? 0)) / (PRIOR_READINGS + history.readings);
}

/** What can have been seen: the truth, each slip of sight, and each pair of them. */
function sightings(task: ReadingTask, value: number, rateOf: RateOf, measure: Measure): Hypothesis[] {
  const asSeen = { scatter: true, measure, form: [], off: takenOff(task) };
  const single = SIGHT_SLIPS.flatMap((slip): Hypothesis[] => {
    const shift = slip.shift(task);
    return shift === null ? [] : [{ ids: [slip.id], value: value + shift, prior: rateOf(slip), ...asSeen }];
  });
  const pairs = single.flatMap((first, i) =>
    single.slice(i + 1).map((second): Hypothesis => ({
      ids: [...first.ids, ...second.ids],
      value: first.value + second.value - value,
      prior: first.prior * second.prior,
      ...asSeen,
    })),
  );
  return [{ ids: [], value, prior: 1, ...asSeen }, ...single, ...pairs];
}

/** Marks that stand for a reading where estimating adds no place, as they are written. */
export function marksBeside({ tool }: ScaleReading, seen: number, { place }: ReadingStep): number[] {
  const marks = [lastMarkPassed(tool.scale, seen), multipleOf(tool.division, Math.round(seen / tool.division))];
  return [...new Set(marks.map((mark) => Number(mark.toFixed(Math.max(0, -place)))))];
}

/** On such a scale, who does not estimate writes the last mark passed or the nearest one. */
function stoppedAtMarks(
  task: ReadingTask,
  reading: ScaleReading | null,
  seen: Hypothesis,
  rateOf: RateOf,
): Hypothesis[] {
  if (!reading || !stopsAtMarks(reading.tool, task.rules) || seen.ids.length > 1) return [];
  return marksBeside(reading, seen.value, seen.measure)
    .filter((mark) => Math.abs(mark - seen.value) > seen.measure.step / 2)
    .map((value, _, marks): Hypothesis => ({
      ...seen,
      value,
      prior: (seen.prior * rateOf(slipById('dropped-digit'))) / marks.length,
      scatter: false,
      form: ['dropped-digit'],
    }));
}

/** A mark counted wrongly: alone, or, where two marks are counted, both of them the same way. */
function countedWrongly(task: ReadingTask, slip: CountSlip, seen: Hypothesis, rateOf: RateOf): Hypothesis[] {
  const atStart = isDifference(task) ? slip.counted(task, seen.off) : [];
  return slip.counted(task, seen.value).flatMap(({ value, scatter, part, division, place }, way): Hypothesis[] => {
    const one: Hypothesis = {
      ...seen,
      ids: [...seen.ids, slip.id],
      value,
      prior: seen.prior * rateOf(slip) * part,
      scatter,
      measure:
        place !== undefined
          ? { ...seen.measure, place, step: 10 ** place }
          : division === undefined
            ? seen.measure
            : measureWith(task, division),
    };
    const start = atStart[way];
    return start === undefined
      ? [one]
      : [
          { ...one, prior: one.prior / 2 },
          { ...one, prior: one.prior / 2, off: start.value },
        ];
  });
}

/** The number written for a mark: what is to be taken off is taken off, or a slip is made over it. */
function answers(task: ReadingTask, read: Hypothesis, rateOf: RateOf): Hypothesis[] {
  const right = { ...read, value: read.value - read.off };
  if (read.ids.length > 1) return [right];
  const wrong = CORRECTION_SLIPS.flatMap((slip) =>
    slip.corrected(task, read.value).map(({ value, part }): Hypothesis => ({
      ...read,
      ids: [...read.ids, slip.id],
      value,
      prior: read.prior * rateOf(slip) * part,
    })),
  );
  return [right, ...wrong];
}

/** The mean of two readings stands at no mark: what was miscounted in either of them cannot be told from it. */
function countSlipsOn({ situation }: ReadingTask): readonly CountSlip[] {
  return situation.oval === undefined ? COUNT_SLIPS : [];
}

/** Sightings, counted rightly or with one slip of counting, and corrected rightly or not; two slips at most. */
function hypotheses(task: ReadingTask, rateOf: RateOf, measure: Measure): Hypothesis[] {
  const reading = scaleReadingOf(task);
  const position = markRead(task);
  if (position === null)
    return [{ ids: [], value: trueAnswer(task), prior: 1, scatter: true, measure, form: [], off: 0 }];
  return sightings(task, position, rateOf, measure)
    .flatMap((seen) => {
      if (seen.ids.length > 1) return [seen];
      return [
        seen,
        ...stoppedAtMarks(task, reading, seen, rateOf),
        ...countSlipsOn(task).flatMap((slip) => countedWrongly(task, slip, seen, rateOf)),
      ];
    })
    .flatMap((read) => answers(task, read, rateOf));
}

/** Hypotheses by the base rates alone, kept for as long as their task is in use. */
const BY_BASE_RATES = new WeakMap<ReadingTask, readonly Hypothesis[]>();

/** Every way to have come to a number on a task. */
export function hypothesesFor(task: ReadingTask, rateOf: RateOf, measure: Measure): readonly Hypothesis[] {
  if (rateOf !== baseRate) return hypotheses(task, rateOf, measure);
  const known = BY_BASE_RATES.get(task) ?? hypotheses(task, rateOf, measure);
  BY_BASE_RATES.set(task, known);
  return known;
}
