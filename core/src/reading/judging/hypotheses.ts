import { familyOf } from '../families.ts';
import { marksBeside } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { droppedDigit } from '../slips/form.ts';
import type { CorrectionSlip, CountSlip, Estimated, SightSlip, Slip } from '../slips/slip.ts';
import { measureWith, type Measure } from './measure.ts';

/** What a student has done before: how many readings, and how many of them showed each slip. */
export interface SlipHistory {
  readonly readings: number;
  readonly slips: Readonly<Record<string, number>>;
}

/** Readings that the base rates stand for when a student's own are weighed against them (a Beta prior's size). */
const PRIOR_READINGS = 20;

/** A way to have come to a number: what was meant, how likely that is, and how the last digit was estimated. */
export interface Hypothesis {
  readonly ids: readonly string[];
  /** A mark on the scale until something is taken off it, then the number written. */
  readonly value: number;
  readonly prior: number;
  readonly estimated: Estimated;
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

/** The slips that a family’s tools are subject to, by the stage at which they happen. */
interface Stages {
  readonly sight: readonly SightSlip[];
  readonly count: readonly CountSlip[];
  readonly correction: readonly CorrectionSlip[];
}

const STAGES = new WeakMap<readonly Slip[], Stages>();

/** The slips of counting that can be made on a tool of this family. */
export function countSlipsOn(indication: Indication): readonly CountSlip[] {
  return stagesOf(indication).count;
}

function stagesOf({ tool }: Indication): Stages {
  const { slips } = familyOf(tool);
  const known = STAGES.get(slips);
  if (known) return known;
  const stages = {
    sight: slips.filter((slip) => slip.stage === 'sight'),
    count: slips.filter((slip) => slip.stage === 'count'),
    correction: slips.filter((slip) => slip.stage === 'correction'),
  };
  STAGES.set(slips, stages);
  return stages;
}

/** What can have been seen: the truth, each slip of sight, and each pair of them. */
function sightings(indication: Indication, value: number, rateOf: RateOf, measure: Measure): Hypothesis[] {
  const asSeen = { estimated: 'carefully' as const, measure, form: [], off: indication.subtracted };
  const single = stagesOf(indication).sight.flatMap((slip): Hypothesis[] => {
    const shift = slip.shift(indication);
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

/** Where estimating adds no place, who does not estimate writes the last mark passed or the nearest one. */
function stoppedAtMarks(indication: Indication, seen: Hypothesis, rateOf: RateOf): Hypothesis[] {
  if (seen.ids.length > 1) return [];
  return marksBeside(indication, seen.value)
    .filter((mark) => Math.abs(mark - seen.value) > seen.measure.step / 2)
    .map((value, _, marks): Hypothesis => ({
      ...seen,
      value,
      prior: (seen.prior * rateOf(droppedDigit)) / marks.length,
      estimated: 'not',
      form: [droppedDigit.id],
    }));
}

/** A mark counted wrongly: alone, or, where two marks are counted, both of them the same way. */
function countedWrongly(indication: Indication, slip: CountSlip, seen: Hypothesis, rateOf: RateOf): Hypothesis[] {
  const atStart = indication.isDifference ? slip.counted(indication, seen.off) : [];
  return slip
    .counted(indication, seen.value)
    .flatMap(({ value, estimated, part, division, place }, way): Hypothesis[] => {
      const one: Hypothesis = {
        ...seen,
        ids: [...seen.ids, slip.id],
        value,
        prior: seen.prior * rateOf(slip) * part,
        estimated,
        measure:
          place !== undefined
            ? { ...seen.measure, place, step: 10 ** place }
            : division === undefined
              ? seen.measure
              : measureWith(indication, division),
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
function answers(indication: Indication, read: Hypothesis, rateOf: RateOf): Hypothesis[] {
  const right = { ...read, value: read.value - read.off };
  if (read.ids.length > 1) return [right];
  const wrong = stagesOf(indication).correction.flatMap((slip) => {
    // Where the reading does not enter, as in an initial reading written alone, nothing tells that it was wrong as well.
    const anyhow = read.ids.length === 0 ? [] : slip.corrected(indication, indication.mark ?? 0);
    return slip
      .corrected(indication, read.value)
      .filter(({ value }) => !anyhow.some((one) => one.value === value))
      .map(({ value, part }): Hypothesis => ({
        ...read,
        ids: [...read.ids, slip.id],
        value,
        prior: read.prior * rateOf(slip) * part,
      }));
  });
  return [right, ...wrong];
}

/** How much less likely a bad estimate of the truth is where the eye sees something else. */
const DESPITE_WHAT_IS_SEEN = 0.25;

/** Sightings, counted rightly or with one slip of counting, and corrected rightly or not; two slips at most. */
function hypotheses(indication: Indication, rateOf: RateOf, measure: Measure): Hypothesis[] {
  const { mark, answer, standsAtMark } = indication;
  if (mark === null) return [{ ids: [], value: answer, prior: 1, estimated: 'carefully', measure, form: [], off: 0 }];
  // The mean of two readings stands at no mark: what was miscounted in either of them cannot be told from it.
  const countSlips = standsAtMark ? stagesOf(indication).count : [];
  const seesAskew = stagesOf(indication).sight.some((slip) => slip.needsTheTool && slip.shift(indication) !== null);
  return sightings(indication, mark, rateOf, measure)
    .flatMap((seen) => {
      if (seen.ids.length > 1) return [seen];
      return [
        seen,
        ...stoppedAtMarks(indication, seen, rateOf),
        ...countSlips
          .flatMap((slip) => countedWrongly(indication, slip, seen, rateOf))
          .map((read) =>
            seesAskew && seen.ids.length === 0 && read.estimated === 'badly'
              ? { ...read, prior: read.prior * DESPITE_WHAT_IS_SEEN }
              : read,
          ),
      ];
    })
    .flatMap((read) => answers(indication, read, rateOf));
}

/** Two slips of counting on parts of a tool that are counted apart, as a sleeve and a thimble; or the same on two of several alike. */
export function countedTwice(indication: Indication, rateOf: RateOf, measure: Measure): Hypothesis[] {
  const { mark, standsAtMark } = indication;
  if (mark === null || !standsAtMark) return [];
  const slips = stagesOf(indication).count;
  const [seen] = sightings(indication, mark, rateOf, measure);
  if (!seen) return [];
  return slips.flatMap((first, i) =>
    slips
      .slice(i)
      .filter((second) => canGoTogether(first, second))
      .flatMap((second) =>
        countedWrongly(indication, first, seen, rateOf)
          .filter(({ estimated }) => estimated === 'carefully')
          .flatMap((one) => countedWrongly(indication, second, one, rateOf))
          .map((read) => ({ ...read, value: read.value - read.off })),
      ),
  );
}

function canGoTogether(first: CountSlip, second: CountSlip): boolean {
  if (first === second) return first.twice === true;
  return first.where !== undefined && second.where !== undefined && first.where !== second.where;
}

/** Hypotheses by the base rates alone, kept for as long as their task is in use. */
const BY_BASE_RATES = new WeakMap<Indication, readonly Hypothesis[]>();

/** Every way to have come to a number. */
export function hypothesesFor(indication: Indication, rateOf: RateOf, measure: Measure): readonly Hypothesis[] {
  if (rateOf !== baseRate) return hypotheses(indication, rateOf, measure);
  const known = BY_BASE_RATES.get(indication) ?? hypotheses(indication, rateOf, measure);
  BY_BASE_RATES.set(indication, known);
  return known;
}
