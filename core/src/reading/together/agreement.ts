/** A number as somebody wrote it: its value, and the place of its last digit (−2: hundredths). */
export interface WrittenReading {
  readonly value: number;
  readonly place: number;
}

/** One digit more of what a room has written. */
export interface AgreedDigit {
  readonly place: number;
  /** The number up to this digit, cut off there: `27.5`. */
  readonly text: string;
  /** How many wrote just that, so far. */
  readonly count: number;
  /** Whether enough of them did that it counts as certain. */
  readonly agreed: boolean;
}

/** A digit that so many of all write is agreed on. */
const ENOUGH = 2 / 3;

const decimalsAt = (place: number): number => Math.max(0, -place);

/** The digits as written, with as many in front of the decimal point as there are in the longest. */
function digitsOf({ value, place }: WrittenReading, wholeDigits: number): string {
  const [whole = '', decimals] = Math.abs(value).toFixed(decimalsAt(place)).split('.');
  const padded = whole.padStart(wholeDigits, '0');
  return `${value < 0 ? '-' : ''}${padded}${decimals === undefined ? '' : `.${decimals}`}`;
}

/** The number up to a place, cut off there; null where it has no digit there. */
function cutAt(digits: string, reading: WrittenReading, place: number): string | null {
  if (place < reading.place) return null;
  const [whole = '', decimals = ''] = digits.split('.');
  if (place >= 0) return whole.slice(0, whole.length - place);
  return `${whole}.${decimals.slice(0, -place)}`;
}

/** The most frequent of some texts, and how often it comes; of equally frequent ones the first. */
function commonest(texts: readonly string[]): readonly [text: string, count: number] | null {
  const counts = new Map<string, number>();
  for (const text of texts) counts.set(text, (counts.get(text) ?? 0) + 1);
  let found: readonly [string, number] | null = null;
  for (const one of counts) if (found === null || one[1] > found[1]) found = one;
  return found;
}

/** The place most of them write to, the finer of two. */
function usualPlace(readings: readonly WrittenReading[]): number {
  const counts = new Map<number, number>();
  for (const { place } of readings) counts.set(place, (counts.get(place) ?? 0) + 1);
  return [...counts].sort(([a, m], [b, n]) => n - m || a - b)[0]?.[0] ?? 0;
}

/** A text without the zeros that only fill up the front. */
function withoutFiller(text: string): string {
  return text.replace(/^(-?)0+(?=\d)/, '$1');
}

/**
 * Which digits a room agrees on: digit by digit from the front, what most of those who agreed so far wrote next, up to the place that
 * most of them wrote to. Digits are compared as they stand, not rounded: that is what is seen when the numbers hang side by side.
 * @param readings in one unit; none gives no digit.
 */
export function agreement(readings: readonly WrittenReading[]): AgreedDigit[] {
  if (readings.length === 0) return [];
  const wholeDigits = Math.max(...readings.map(({ value }) => Math.floor(Math.abs(value)).toString().length));
  const last = usualPlace(readings);
  let together = readings.map((reading) => ({ reading, digits: digitsOf(reading, wholeDigits) }));
  const found: AgreedDigit[] = [];
  for (let place = wholeDigits - 1; place >= last; place -= 1) {
    const cut = together.map((one) => cutAt(one.digits, one.reading, place));
    const most = commonest(cut.filter((text) => text !== null));
    if (!most) break;
    const [text, count] = most;
    together = together.filter((_, i) => cut[i] === text);
    const before = found.at(-1);
    const agreed = (before?.agreed ?? true) && count >= ENOUGH * readings.length;
    found.push({ place, text: withoutFiller(text), count, agreed });
  }
  // A zero that only fills up the front is no digit.
  return found.filter(({ place, text }) => place <= 0 || !/^-?0$/.test(text));
}
