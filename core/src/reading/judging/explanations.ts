import { writtenAtPlace } from '../../numbers/rounding.ts';
import type { Entry } from './entry.ts';
import { HAIR } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { numberWritten, roughlyWritten, writtenTo } from '../indication/written.ts';
import { countedTwice, hypothesesFor, type Hypothesis, type RateOf } from './hypotheses.ts';
import { DIGITS_SLIPS } from '../slips/digits.ts';
import { droppedDigit, extraDigit, trailingZeroDropped, unitMissing, unitWrong } from '../slips/form.ts';
import type { DigitsSlip } from '../slips/slip.ts';

/** Scatter beyond this many times its usual size is not reckoned with. */
const WIDEST = 2.5;
/** A surface within this many divisions of a mark looks as if it lay on it. */
const ON_THE_MARK = 0.05;

/** Complementary error function (Abramowitz & Stegun, 1964, 7.1.26; error below 1.5e−7). */
function erfc(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return x >= 0 ? tail : 2 - tail;
}

/** Mass of a standard normal scatter between two bounds. */
function normalMass(low: number, high: number): number {
  return (erfc(low / Math.SQRT2) - erfc(high / Math.SQRT2)) / 2;
}

/** Part of the estimates of a point that fall between two bounds. */
type Falls = (low: number, high: number) => number;

/** How the estimates of a point scatter: carefully made ones normally; badly made ones further off than is accepted, as far as they go. */
function fallsAbout({ value, estimated, measure }: Hypothesis): Falls {
  const { scatter, badly } = measure;
  if (estimated !== 'badly') return (low, high) => normalMass((low - value) / scatter, (high - value) / scatter);
  const [least, most] = [badly.least / badly.scatter, badly.most / badly.scatter];
  const all = 2 * normalMass(least, most);
  const above = (low: number, high: number): number => {
    const [from, to] = [Math.max(low, least), Math.min(high, most)];
    return from < to ? normalMass(from, to) : 0;
  };
  return (low, high) => {
    const [from, to] = [(low - value) / badly.scatter, (high - value) / badly.scatter];
    return (above(from, to) + above(-to, -from)) / all;
  };
}

/** The digits of an entry in the instrument's unit, written out in full. */
function entryText(entry: Entry): string {
  if (entry.clock !== null) return entry.clock;
  return /^-?\d+(\.\d*)?$/.test(entry.number.text) && Number(entry.number.text) === entry.value
    ? entry.number.text
    : writtenAtPlace(entry.value, Math.min(0, entry.place));
}

/** A number somebody may have meant by the digits written, and which slip of the digits lies between. */
interface Meant {
  readonly ids: readonly string[];
  readonly value: number;
  /** Place of the last digit meant; null where the writing does not tell. */
  readonly place: number | null;
  /** One of the last digit meant; 0 where the writing does not tell. */
  readonly lastUnit: number;
  readonly prior: number;
  readonly slip: DigitsSlip | null;
}

function asWritten({ value, place }: Entry): Meant {
  return { ids: [], value, place, lastUnit: 10 ** place, prior: 1, slip: null };
}

/** What the digits of an entry may have been meant for: just what they say, or, with zeros at their end that only hold places, less. */
function meanings(entry: Entry, rateOf: RateOf): Meant[] {
  const text = entryText(entry);
  const all = [asWritten(entry)];
  if (entry.surePlace > entry.place)
    all.push({ ...asWritten(entry), place: entry.surePlace, lastUnit: 10 ** entry.surePlace, prior: HOLDS_PLACES });
  for (const slip of DIGITS_SLIPS) {
    const [ids, rate] = [[slip.id], rateOf(slip)];
    for (const { value, placeTells, part } of slip.meant(text)) {
      const [place, lastUnit] = placeTells ? [entry.place, 10 ** entry.place] : [null, 0];
      all.push({ ids, value, place, lastUnit, prior: rate * part, slip });
    }
  }
  return all;
}

/** How often zeros at the end of a whole number only hold places, for each time they were read. */
const HOLDS_PLACES = 0.1;
/** Who leaves out one digit more than the last leaves out so many of a hundred times another. */
const ANOTHER_DIGIT = 0.3;

/** Times that end at the tens of seconds, as 31.5 min; what ends before them is known to the minute. */
const TENS = 1;

/** Part of those who write a time to the minute who write this one: the seconds cut off, or the minute rounded. */
function toTheMinute(seconds: number, written: number): number {
  const minutes = seconds / 60;
  return [Math.trunc(minutes), Math.round(minutes)].filter((one) => one * 60 === written).length / 2;
}

/** Whether a number can have been meant at all by who came to a hypothesis: most of them are far from it. */
function isWithinReach({ value, estimated, measure }: Hypothesis, meant: Meant): boolean {
  const distance = Math.abs(meant.value - value);
  if (estimated === 'not') return distance <= HAIR;
  const { place, lastUnit, band, onClock } = measure;
  if (onClock && Math.max(place, meant.place ?? place) > TENS) return true;
  return distance <= 2 * Math.max(10 * lastUnit, meant.lastUnit) + band;
}

/** How likely somebody who came to a hypothesis writes the number meant; 0 when it is not consistent with it. */
function likelihood(hypothesis: Hypothesis, meant: Meant): number {
  if (!isWithinReach(hypothesis, meant)) return 0;
  if (hypothesis.estimated === 'not') return 1;
  const distance = Math.abs(meant.value - hypothesis.value);
  const { step, place, band, scatter, badly, onClock } = hypothesis.measure;
  const coarsest = Math.max(place, meant.place ?? place);
  if (onClock && coarsest > TENS) return toTheMinute(hypothesis.value, meant.value);
  const falls = fallsAbout(hypothesis);
  // What may be written for the point seen: rounded to a step, and scattered.
  const widest = hypothesis.estimated === 'badly' ? badly.most : Math.max(band - step / 2, WIDEST * scatter);
  const near = distance <= step / 2 + widest + HAIR;
  if (coarsest > place) {
    const ten = 10 ** coarsest;
    const cut = falls(meant.value - step / 2, meant.value + ten - step / 2);
    const rounded = falls(meant.value - ten / 2, meant.value + ten / 2);
    const mass = (cut + rounded) / 2;
    const further = ANOTHER_DIGIT ** (coarsest - place - 1);
    return near || mass > 0.02 ? mass * further : 0;
  }
  return near ? falls(meant.value - step / 2, meant.value + step / 2) : 0;
}

/** Alternatives that explain the form of an entry, each with its odds; [[]] when the form is as it should be. */
function formExplanations(
  entry: Entry,
  meant: Meant,
  hypothesis: Hypothesis,
  rateOf: RateOf,
): { ids: string[]; prior: number }[] {
  const unit = entry.unit === 'missing' ? [unitMissing.id] : entry.unit === 'wrong' ? [unitWrong.id] : [];
  const digits = digitExplanations(meant, hypothesis, rateOf);
  return digits.map(({ ids, prior }) => ({ ids: [...hypothesis.form, ...ids, ...unit], prior }));
}

function isMultiple(value: number, step: number): boolean {
  return Math.abs(value / step - Math.round(value / step)) < 1e-6;
}

function digitExplanations(meant: Meant, hypothesis: Hypothesis, rateOf: RateOf): { ids: string[]; prior: number }[] {
  const { measure } = hypothesis;
  if (
    meant.place === null ||
    meant.place === measure.otherPlace ||
    (meant.place === measure.place && isMultiple(meant.value, measure.step))
  )
    return [{ ids: [], prior: 1 }];
  if (meant.place <= measure.place) return [{ ids: [extraDigit.id], prior: rateOf(extraDigit) }];
  if (hypothesis.estimated === 'not') return [{ ids: [], prior: 1 }];
  const dropped = { ids: [droppedDigit.id], prior: rateOf(droppedDigit) };
  const reach = Math.max(measure.step / 2, measure.division * ON_THE_MARK);
  const onTheMark = fallsAbout(hypothesis)(meant.value - reach, meant.value + reach);
  const zero = {
    ids: [trailingZeroDropped.id],
    prior: rateOf(trailingZeroDropped) * onTheMark,
  };
  return zero.prior > 0.01 ? [dropped, zero] : [dropped];
}

/** One way to have come to an entry, with how much speaks for it. */
export interface Weighed {
  readonly ids: readonly string[];
  readonly weight: number;
  readonly hypothesis: Hypothesis;
  readonly meant: Meant;
  /** As what the entry was taken. */
  readonly entry: Entry;
}

/** Weighs every explanation of an entry, by Bayes’ rule and not yet normalised. */
export function weigh(entry: Entry, indication: Indication, rateOf: RateOf): Weighed[] {
  return weighedBy(entry, hypothesesFor(indication, rateOf), meanings(entry, rateOf), rateOf);
}

/** Weighs two slips of counting made together, on parts of the tool that are counted apart: for what nothing simpler explains. */
export function weighTwoCounted(entry: Entry, indication: Indication, rateOf: RateOf): Weighed[] {
  return weighedBy(entry, countedTwice(indication, rateOf), [asWritten(entry)], rateOf);
}

function weighedBy(entry: Entry, all: readonly Hypothesis[], meant: readonly Meant[], rateOf: RateOf): Weighed[] {
  const weighed: Weighed[] = [];
  // Two slips at most: beside one of the digits, one more.
  const oneSlip = all.filter(({ ids }) => ids.length < 2);
  for (const one of meant) {
    for (const hypothesis of one.ids.length === 0 ? all : oneSlip) {
      const mass = likelihood(hypothesis, one);
      if (mass <= 0) continue;
      for (const form of formExplanations(entry, one, hypothesis, rateOf)) {
        weighed.push({
          ids: [...hypothesis.ids, ...one.ids, ...form.ids],
          weight: hypothesis.prior * one.prior * mass * form.prior,
          hypothesis,
          meant: one,
          entry,
        });
      }
    }
  }
  return weighed;
}

/** Adds up the weights of the same slips, keeping the likeliest way for the predicted reading. */
export function merged(weighed: readonly Weighed[]): Weighed[] {
  const byIds = new Map<string, Weighed>();
  for (const one of [...weighed].sort((a, b) => b.weight - a.weight)) {
    const key = one.ids.join('+');
    const known = byIds.get(key);
    byIds.set(key, known ? { ...known, weight: known.weight + one.weight } : one);
  }
  return [...byIds.values()].sort((a, b) => b.weight - a.weight);
}

/** The reading an explanation predicts, written as the entry was. */
export function predictedText({ hypothesis, meant, entry }: Weighed): string {
  const { measure } = hypothesis;
  const asMeant = meant.place !== null && (meant.place > measure.place || hypothesis.estimated === 'not');
  const text = asMeant
    ? writtenTo({ ...measure, place: Math.min(0, meant.place) }, meant.value)
    : roughlyWritten(hypothesis.value, measure);
  if (!meant.slip) return text;
  const written = entryText(entry);
  const garbled = meant.slip.garbled(text);
  const closest = (candidate: string): number => Math.abs(numberWritten(candidate) - numberWritten(written));
  return garbled.reduce(
    (best, candidate) => (closest(candidate) < closest(best) ? candidate : best),
    garbled[0] ?? written,
  );
}
