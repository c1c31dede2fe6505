import { familyOf } from '../families.ts';
import { marksBeside } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { keepingTheLatest } from '../indication/latest.ts';
import { droppedDigit } from '../slips/form.ts';
import type { CorrectionSlip, Counted, CountSlip, Estimated, SightSlip, Slip } from '../slips/slip.ts';
import { measureOf, measureWith, type Measure } from './measure.ts';

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

/** What every hypothesis of one indication is reckoned from. */
interface Reckoning {
  readonly indication: Indication;
  readonly rateOf: RateOf;
  readonly measure: Measure;
  readonly sight: readonly SightSlip[];
  readonly count: readonly CountSlip[];
  /** Each with what comes out where the mark is read rightly. */
  readonly corrections: readonly {
    readonly slip: CorrectionSlip;
    readonly ofTheMark: ReturnType<CorrectionSlip['corrected']>;
  }[];
}

function reckoningOf(indication: Indication, mark: number, rateOf: RateOf): Reckoning {
  const { sight, count, correction } = stagesOf(indication);
  const corrections = correction.map((slip) => ({ slip, ofTheMark: slip.corrected(indication, mark) }));
  // The mean of two readings stands at no mark: what was miscounted in either of them cannot be told from it.
  return {
    indication,
    rateOf,
    measure: measureOf(indication),
    sight,
    count: indication.standsAtMark ? count : [],
    corrections,
  };
}

/** What can have been seen: the truth, each slip of sight, and each pair of them. */
function sightings({ indication, rateOf, measure, sight }: Reckoning, value: number): Hypothesis[] {
  const seen = (ids: readonly string[], at: number, prior: number): Hypothesis => ({
    ids,
    value: at,
    prior,
    estimated: 'carefully',
    measure,
    form: NO_FORM,
    off: indication.subtracted,
  });
  const single: Hypothesis[] = [];
  for (const slip of sight) {
    const shift = slip.shift(indication);
    if (shift !== null) single.push(seen([slip.id], value + shift, rateOf(slip)));
  }
  const pairs: Hypothesis[] = [];
  single.forEach((first, i) => {
    for (const second of single.slice(i + 1))
      pairs.push(seen([...first.ids, ...second.ids], first.value + second.value - value, first.prior * second.prior));
  });
  return [seen([], value, 1), ...single, ...pairs];
}

const NO_FORM: readonly string[] = [];

/** Where estimating adds no place, who does not estimate writes the last mark passed or the nearest one. */
function stoppedAtMarks({ indication, rateOf }: Reckoning, seen: Hypothesis): Hypothesis[] {
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

/** What somebody writes by who has taken a division for another size, or stops at another place. */
function measureBy(indication: Indication, seen: Measure, { place, division }: Counted): Measure {
  if (place !== undefined) return { ...seen, place, step: 10 ** place, lastUnit: 10 ** place };
  return division === undefined ? seen : measureWith(indication, division);
}

/** A mark counted wrongly: alone, or, where two marks are counted, both of them the same way. */
function countedWrongly({ indication, rateOf }: Reckoning, slip: CountSlip, seen: Hypothesis): Hypothesis[] {
  const ways = slip.counted(indication, seen.value);
  if (ways.length === 0) return [];
  const atStart = indication.isDifference ? slip.counted(indication, seen.off) : [];
  const ids = [...seen.ids, slip.id];
  const wrong: Hypothesis[] = [];
  ways.forEach((way, i) => {
    const { value, estimated, part } = way;
    const start = atStart[i];
    const prior = (seen.prior * rateOf(slip) * part) / (start === undefined ? 1 : 2);
    const { form, off } = seen;
    const one = { ids, value, prior, estimated, measure: measureBy(indication, seen.measure, way), form, off };
    wrong.push(one);
    if (start !== undefined) wrong.push({ ...one, off: start.value });
  });
  return wrong;
}

/** Adds the numbers written for a mark: what is to be taken off is taken off, or a slip is made over it. */
function addAnswers({ indication, rateOf, corrections }: Reckoning, read: Hypothesis, written: Hypothesis[]): void {
  const { ids, value, prior, estimated, measure, form, off } = read;
  written.push({ ids, value: value - off, prior, estimated, measure, form, off });
  if (ids.length > 1) return;
  for (const { slip, ofTheMark } of corrections) {
    for (const wrong of slip.corrected(indication, value)) {
      // Where the reading does not enter, as in an initial reading written alone, nothing tells that it was wrong as well.
      if (ids.length > 0 && ofTheMark.some((one) => one.value === wrong.value)) continue;
      const part = prior * rateOf(slip) * wrong.part;
      written.push({ ids: [...ids, slip.id], value: wrong.value, prior: part, estimated, measure, form, off });
    }
  }
}

/** How much less likely a bad estimate of the truth is where the eye sees something else. */
const DESPITE_WHAT_IS_SEEN = 0.25;

/** Sightings, counted rightly or with one slip of counting, and corrected rightly or not; two slips at most. */
function hypotheses(indication: Indication, rateOf: RateOf): Hypothesis[] {
  const { mark, answer } = indication;
  const measure = measureOf(indication);
  if (mark === null)
    return [{ ids: [], value: answer, prior: 1, estimated: 'carefully', measure, form: NO_FORM, off: 0 }];
  const reckoning = reckoningOf(indication, mark, rateOf);
  const seesAskew = reckoning.sight.some((slip) => slip.needsTheTool && slip.shift(indication) !== null);
  const all: Hypothesis[] = [];
  const take = (read: Hypothesis): void => addAnswers(reckoning, read, all);
  for (const seen of sightings(reckoning, mark)) {
    take(seen);
    if (seen.ids.length > 1) continue;
    stoppedAtMarks(reckoning, seen).forEach(take);
    const despite = seesAskew && seen.ids.length === 0;
    for (const slip of reckoning.count) {
      for (const read of countedWrongly(reckoning, slip, seen))
        take(despite && read.estimated === 'badly' ? { ...read, prior: read.prior * DESPITE_WHAT_IS_SEEN } : read);
    }
  }
  return all;
}

/** Two slips of counting on parts of a tool that are counted apart, as a sleeve and a thimble; or the same on two of several alike. */
export function countedTwice(indication: Indication, rateOf: RateOf): Hypothesis[] {
  const { mark, standsAtMark } = indication;
  if (mark === null || !standsAtMark) return [];
  const reckoning = reckoningOf(indication, mark, rateOf);
  const { count } = reckoning;
  const [seen] = sightings(reckoning, mark);
  if (!seen) return [];
  return count.flatMap((first, i) =>
    count
      .slice(i)
      .filter((second) => canGoTogether(first, second))
      .flatMap((second) =>
        countedWrongly(reckoning, first, seen)
          .filter(({ estimated }) => estimated === 'carefully')
          .flatMap((one) => countedWrongly(reckoning, second, one))
          .map((read) => ({ ...read, value: read.value - read.off })),
      ),
  );
}

function canGoTogether(first: CountSlip, second: CountSlip): boolean {
  if (first === second) return first.twice === true;
  return first.where !== undefined && second.where !== undefined && first.where !== second.where;
}

const byBaseRates = keepingTheLatest((indication: Indication) => hypotheses(indication, baseRate));

/** Every way to have come to a number. */
export function hypothesesFor(indication: Indication, rateOf: RateOf): readonly Hypothesis[] {
  return rateOf === baseRate ? byBaseRates(indication) : hypotheses(indication, rateOf);
}
