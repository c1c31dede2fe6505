import { Decimal } from '../numbers/decimal.ts';
import { writtenAtPlace, roundToPlace } from '../numbers/rounding.ts';
import { parseUnit, type Unit } from '../units/unit.ts';
import { parseEntry, UnreadableEntryError, type Entry } from './entry.ts';
import { acceptanceBand, acceptedReadings, expectedReading, HAIR, readingStep, roughlyWritten, type ReadingStep } from './expected-reading.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import { COUNT_SLIPS, DIGITS_SLIPS, SIGHT_SLIPS } from './slips/registry.ts';
import type { DigitsSlip } from './slips/slip.ts';

/** What a student has done before: how many readings, and how many of them showed each slip. */
export interface SlipHistory {
  readonly readings: number;
  readonly slips: Readonly<Record<string, number>>;
}

export interface SlipFound {
  /** One slip, or two made together; slips of the record come last. */
  readonly ids: readonly string[];
  /** The reading these slips give in this situation. */
  readonly predicted: string;
  readonly probability: number;
}

export type Verdict = 'sound' | 'record' | 'slip' | 'unexplained' | 'unreadable';

export interface Diagnosis {
  readonly verdict: Verdict;
  /** Every explanation consistent with the entry, most likely first. */
  readonly slips: readonly SlipFound[];
  /** Signed distance from the true value in smallest divisions; null when nothing could be read. */
  readonly offBy: number | null;
  /** For an unreadable entry, what is wrong with it. */
  readonly message?: string;
}

/** Readings that the base rates stand for when a student's own are weighed against them (a Beta prior's size). */
const PRIOR_READINGS = 20;
/** Scatter of an estimated digit, in divisions: 0.07 for the eye and the rounding to a tenth. */
const SCATTER = 0.08;
/** A wrong reading that no slip explains: how often, and over how many divisions it is spread. */
const MISJUDGED = { rate: 0.05, divisions: 30 };

/** A way to have come to a number: what was meant, how likely that is, and whether the last digit scatters. */
interface Hypothesis {
  readonly ids: readonly string[];
  readonly value: number;
  readonly prior: number;
  readonly scatter: boolean;
}

type RateOf = (slip: { readonly id: string; readonly baseRate: number }) => number;

function ratesFrom(history: SlipHistory | undefined): RateOf {
  if (!history || history.readings <= 0) return (slip) => slip.baseRate;
  return (slip) => (slip.baseRate * PRIOR_READINGS + (history.slips[slip.id] ?? 0)) / (PRIOR_READINGS + history.readings);
}

/** What can have been seen: the truth, each slip of sight, and each pair of them. */
function sightings(task: ReadingTask, rateOf: RateOf): Hypothesis[] {
  const single = SIGHT_SLIPS.flatMap((slip): Hypothesis[] => {
    const shift = slip.shift(task);
    return shift === null ? [] : [{ ids: [slip.id], value: task.situation.value + shift, prior: rateOf(slip), scatter: true }];
  });
  const pairs = single.flatMap((first, i) =>
    single.slice(i + 1).map((second): Hypothesis => ({
      ids: [...first.ids, ...second.ids],
      value: first.value + second.value - task.situation.value,
      prior: first.prior * second.prior,
      scatter: true,
    })),
  );
  return [{ ids: [], value: task.situation.value, prior: 1, scatter: true }, ...single, ...pairs];
}

/** Sightings, counted rightly or with one slip of counting; two slips at most. */
function hypotheses(task: ReadingTask, rateOf: RateOf): Hypothesis[] {
  return sightings(task, rateOf).flatMap((seen) => {
    if (seen.ids.length > 1) return [seen];
    const counted = COUNT_SLIPS.flatMap((slip) =>
      slip.counted(task, seen.value).map(({ value, scatter, part }): Hypothesis => ({ ids: [...seen.ids, slip.id], value, prior: seen.prior * rateOf(slip) * part, scatter })),
    );
    return [seen, ...counted];
  });
}

/** Complementary error function (Abramowitz & Stegun, 1964, 7.1.26; error below 1.5e−7). */
function erfc(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const tail = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-x * x);
  return x >= 0 ? tail : 2 - tail;
}

/** Mass of a normal scatter about `centre` between two bounds. */
function massBetween(low: number, high: number, centre: number, scatter: number): number {
  return (erfc((low - centre) / (scatter * Math.SQRT2)) - erfc((high - centre) / (scatter * Math.SQRT2))) / 2;
}

/** What an entry is compared with: the instrument's step and division, the accepted band and the scatter. */
interface Measure extends ReadingStep {
  readonly division: number;
  readonly band: number;
  readonly scatter: number;
}

function measureOf(task: ReadingTask): Measure {
  const instrument = instrumentOf(task);
  const analogue = instrument.reads !== 'display';
  return {
    ...readingStep(instrument, task.rules),
    division: instrument.division,
    band: acceptanceBand(instrument, task.rules),
    scatter: analogue ? SCATTER * instrument.division : HAIR,
  };
}

/** The digits of an entry in the instrument's unit, written out in full. */
function entryText(entry: Entry): string {
  return /^\d+(\.\d*)?$/.test(entry.number.text) && entry.number.value.toNumber() === entry.value ? entry.number.text : writtenAtPlace(entry.value, Math.min(0, entry.place));
}

/** A number somebody may have meant by the digits written, and which slip of the digits lies between. */
interface Meant {
  readonly ids: readonly string[];
  readonly value: number;
  /** Place of the last digit meant; null where the writing does not tell. */
  readonly place: number | null;
  readonly prior: number;
  readonly slip: DigitsSlip | null;
}

function meanings(entry: Entry, rateOf: RateOf): Meant[] {
  const asWritten: Meant = { ids: [], value: entry.value, place: entry.place, prior: 1, slip: null };
  const text = entryText(entry);
  return [
    asWritten,
    ...DIGITS_SLIPS.flatMap((slip) =>
      slip.meant(text).map(({ value, placeTells, part }): Meant => ({ ids: [slip.id], value, place: placeTells ? entry.place : null, prior: rateOf(slip) * part, slip })),
    ),
  ];
}

/** How likely somebody who came to a hypothesis writes the number meant; 0 when it is not consistent with it. */
function likelihood(hypothesis: Hypothesis, meant: Meant, measure: Measure): number {
  const { step, place, band, scatter } = measure;
  if (!hypothesis.scatter) return Math.abs(meant.value - hypothesis.value) <= HAIR ? 1 : 0;
  const distance = Math.abs(meant.value - hypothesis.value);
  if (distance > 2 * 10 ** (place + 1) + band) return 0;
  const near = distance <= Math.max(band, HAIR) + HAIR;
  if (meant.place === place + 1) {
    const ten = 10 ** meant.place;
    const cut = massBetween(meant.value - step / 2, meant.value + ten - step / 2, hypothesis.value, scatter);
    const rounded = massBetween(meant.value - ten / 2, meant.value + ten / 2, hypothesis.value, scatter);
    const mass = (cut + rounded) / 2;
    return near || mass > 0.02 ? mass : 0;
  }
  return near ? massBetween(meant.value - step / 2, meant.value + step / 2, hypothesis.value, scatter) : 0;
}

/** Alternatives that explain the form of an entry, each with its odds; [[]] when the form is as it should be. */
function formExplanations(entry: Entry, meant: Meant, hypothesis: Hypothesis, measure: Measure, rateOf: RateOf): { ids: string[]; prior: number }[] {
  const unit = entry.unit === 'missing' ? ['unit-missing'] : entry.unit === 'wrong' ? ['unit-wrong'] : [];
  const digits = digitExplanations(meant, hypothesis, measure, rateOf);
  return digits.map(({ ids, prior }) => ({ ids: [...ids, ...unit], prior }));
}

function isMultiple(value: number, step: number): boolean {
  return Math.abs(value / step - Math.round(value / step)) < 1e-6;
}

function digitExplanations(meant: Meant, hypothesis: Hypothesis, measure: Measure, rateOf: RateOf): { ids: string[]; prior: number }[] {
  if (meant.place === null || (meant.place === measure.place && isMultiple(meant.value, measure.step))) return [{ ids: [], prior: 1 }];
  if (meant.place <= measure.place) return [{ ids: ['extra-digit'], prior: rateOf({ id: 'extra-digit', baseRate: 0.06 }) }];
  if (!hypothesis.scatter) return [{ ids: [], prior: 1 }];
  const dropped = { ids: ['dropped-digit'], prior: rateOf({ id: 'dropped-digit', baseRate: 0.12 }) };
  const onTheMark = massBetween(meant.value - measure.step / 2, meant.value + measure.step / 2, hypothesis.value, measure.scatter);
  const zero = { ids: ['trailing-zero-dropped'], prior: rateOf({ id: 'trailing-zero-dropped', baseRate: 0.35 }) * onTheMark };
  return zero.prior > 0.01 ? [dropped, zero] : [dropped];
}

interface Weighed {
  readonly ids: readonly string[];
  readonly weight: number;
  readonly hypothesis: Hypothesis;
  readonly meant: Meant;
}

function weigh(entry: Entry, task: ReadingTask, rateOf: RateOf, measure: Measure): Weighed[] {
  const all = hypotheses(task, rateOf);
  return meanings(entry, rateOf).flatMap((meant) =>
    all.flatMap((hypothesis) => {
      if (hypothesis.ids.length + meant.ids.length > 2) return [];
      const mass = likelihood(hypothesis, meant, measure);
      if (mass <= 0) return [];
      return formExplanations(entry, meant, hypothesis, measure, rateOf).map(
        (form): Weighed => ({ ids: [...hypothesis.ids, ...meant.ids, ...form.ids], weight: hypothesis.prior * meant.prior * mass * form.prior, hypothesis, meant }),
      );
    }),
  );
}

/** Adds up the weights of the same slips, keeping the likeliest way for the predicted reading. */
function merged(weighed: readonly Weighed[]): Weighed[] {
  const byIds = new Map<string, Weighed>();
  for (const one of [...weighed].sort((a, b) => b.weight - a.weight)) {
    const key = one.ids.join('+');
    const known = byIds.get(key);
    byIds.set(key, known ? { ...known, weight: known.weight + one.weight } : one);
  }
  return [...byIds.values()].sort((a, b) => b.weight - a.weight);
}

function predictedText({ hypothesis, meant }: Weighed, entry: Entry, measure: Measure): string {
  const asMeant = meant.place !== null && (meant.place > measure.place || !hypothesis.scatter);
  const text = asMeant ? writtenAtPlace(meant.value, Math.min(0, meant.place ?? 0)) : roughlyWritten(hypothesis.value, measure);
  if (!meant.slip) return text;
  const written = entryText(entry);
  const garbled = meant.slip.garbled(text);
  const closest = (candidate: string): number => Math.abs(Number(candidate) - Number(written));
  return garbled.reduce((best, candidate) => (closest(candidate) < closest(best) ? candidate : best), garbled[0] ?? written);
}

function found(weighed: readonly Weighed[], unexplained: number, entry: Entry, measure: Measure): SlipFound[] {
  const total = weighed.reduce((sum, one) => sum + one.weight, unexplained);
  return weighed.map((one) => ({ ids: one.ids, predicted: predictedText(one, entry, measure), probability: one.weight / total }));
}

/** Right eye: within the band, or the right reading cut or rounded by one place. */
function isRightEye(task: ReadingTask, entry: Entry, measure: Measure, accepted: readonly number[]): boolean {
  const { value } = task.situation;
  if (accepted.some((reading) => Math.abs(reading - entry.value) <= HAIR)) return true;
  if (Math.abs(entry.value - value) <= measure.band + HAIR) return true;
  if (entry.place !== measure.place + 1) return false;
  const right = new Decimal(expectedReading(task).text);
  return right.toDecimalPlaces(Math.max(0, -entry.place), Decimal.ROUND_DOWN).equals(entry.value) || roundToPlace(right, entry.place).equals(entry.value);
}

const UNITS = new Map<string, Unit>();

/** Units of instruments, parsed once. */
function unitNamed(text: string): Unit {
  const unit = UNITS.get(text) ?? parseUnit(text);
  UNITS.set(text, unit);
  return unit;
}

function readEntry(task: ReadingTask, typed: string): Entry | string {
  try {
    return parseEntry(typed, unitNamed(instrumentOf(task).unit));
  } catch (error) {
    if (error instanceof UnreadableEntryError) return error.message;
    throw error;
  }
}

/**
 * Names the slips behind an entry. Each slip, and each pair of slips, predicts a reading; those consistent with the entry are
 * weighed by Bayes' rule from base rates (or this student's own), the scatter of an estimated digit, and the chance that no slip
 * explains it at all, so that no explanation is more certain than the evidence.
 * @param entry what the student typed, with or without a unit.
 * @param history this student's earlier readings, for the priors.
 * @example diagnose(readingTask('cylinder-50', { value: 37.4 }), '38.7 mL').slips[0].ids // ['meniscus-edge']
 */
export function diagnose(task: ReadingTask, entry: string, history?: SlipHistory): Diagnosis {
  const read = readEntry(task, entry);
  if (typeof read === 'string') return { verdict: 'unreadable', slips: [], offBy: null, message: read };
  const measure = measureOf(task);
  const offBy = (read.value - task.situation.value) / measure.division;
  const accepted = acceptedReadings(instrumentOf(task), task.rules, task.situation.value);
  const rightEye = isRightEye(task, read, measure, accepted);
  const wellWritten = read.unit === 'fits' && read.place === measure.place && accepted.some((reading) => Math.abs(reading - read.value) <= HAIR);
  if (wellWritten) return { verdict: 'sound', slips: [], offBy };
  const misjudged = (MISJUDGED.rate * measure.step) / (MISJUDGED.divisions * measure.division);
  const weighed = merged(weigh(read, task, ratesFrom(history), measure));
  if (rightEye) {
    const records = weighed.filter((one) => one.hypothesis.ids.length + one.meant.ids.length === 0 && one.ids.length > 0);
    return { verdict: 'record', slips: found(records, 0, read, measure), offBy };
  }
  const likely = weighed.filter((one) => one.ids.length > 0 && one.weight > misjudged && one.hypothesis.ids.length + one.meant.ids.length > 0);
  return { verdict: likely.length > 0 ? 'slip' : 'unexplained', slips: found(likely, misjudged, read, measure), offBy };
}
