import { HOUR, MINUTE, writtenTime } from '../../numbers/clock-time.ts';
import { ExpressionError, type Expression } from './expression.ts';
import { Rational } from '../../numbers/rational.ts';
import type { RoundingRule } from '../../numbers/rounding-rule.ts';
import type { WrittenNumber } from '../../numbers/written-number.ts';
import { CLOCK, CLOCK_TO_THE_MINUTE } from '../../units/unit.ts';

/** A time as it was written, to the second or to the minute, counted in either. */
export interface WrittenTime {
  readonly written: WrittenNumber;
  readonly unit: typeof CLOCK | typeof CLOCK_TO_THE_MINUTE;
}

/**
 * Reads hours, minutes and seconds, `12:41:20`, as so many seconds; hours and minutes, `12:41`, as so many minutes.
 * @param at the character it stands at, for the message.
 * @throws ExpressionError when minutes or seconds are sixty or more.
 */
export function parseTime(text: string, at: number): WrittenTime {
  const [hours = '0', minutes = '0', seconds] = text.split(':');
  for (const [part, name] of [
    [minutes, 'minutes'],
    [seconds ?? '0', 'seconds'],
  ] as const) {
    if (!(Number(part) < 60))
      throw new ExpressionError(
        `“${text}” has ${part} ${name}. An hour has 60 minutes, and a minute has 60 seconds.`,
        at,
      );
  }
  const inMinutes = Rational.of(hours).times(MINUTE).plus(Rational.of(minutes));
  if (seconds === undefined) return { written: asWritten(text, inMinutes, 0), unit: CLOCK_TO_THE_MINUTE };
  const decimals = seconds.split('.')[1]?.length ?? 0;
  return { written: asWritten(text, inMinutes.times(MINUTE).plus(Rational.of(seconds)), decimals), unit: CLOCK };
}

function asWritten(text: string, value: Rational, decimals: number): WrittenNumber {
  const figures = value.toFixed(decimals).replace('.', '').replace(/^0+/, '').length;
  return { text, value, place: -decimals, atLeast: figures, atMost: figures };
}

type NumberNode = Extract<Expression, { kind: 'number' }>;

/** A day has so many hours; more of them are taken for minutes. */
const HOURS = 24;

/** A time with one colon of which nobody can tell whether it is in hours: it stands alone, or begins with more than a day has. Null where there is none. */
export function timeInDoubt(tree: Expression, besideOthers = false): NumberNode | null {
  switch (tree.kind) {
    case 'number':
      if (tree.unit !== CLOCK_TO_THE_MINUTE) return null;
      return besideOthers && Number(tree.written.text.split(':')[0]) < HOURS ? null : tree;
    case 'binary': {
      const isSum = tree.operator === '+' || tree.operator === '-';
      return timeInDoubt(tree.left, isSum) ?? timeInDoubt(tree.right, isSum);
    }
    case 'call':
      return tree.arguments.map((argument) => timeInDoubt(argument, true)).find((found) => found !== null) ?? null;
    case 'negate':
    case 'exact':
    case 'convert':
      return timeInDoubt(tree.operand, besideOthers);
    case 'name':
    case 'pi':
      return null;
  }
}

/** What is asked where hours and minutes could be minutes and seconds as well. */
export function askAboutTime(text: string, at: number): ExpressionError {
  return new ExpressionError(
    `“${text}” can be minutes and seconds, or hours and minutes; write 0:${text} or ${text}:00.`,
    at,
  );
}

/**
 * The place, in seconds, of a time that is known to so many of them: to the hour, or to the minute.
 * @param finer the place of one that is known to the second or its parts.
 */
export function placeOnClock(seconds: Rational, finer: number): number {
  if (seconds.compare(HOUR) >= 0) return TO_THE_HOUR;
  return seconds.compare(MINUTE) >= 0 ? TO_THE_MINUTE : Math.min(finer, TO_THE_MINUTE - 1);
}

/** Powers of ten of seconds that stand for times which are known to the hour, and to the minute. */
const TO_THE_HOUR = 4;
const TO_THE_MINUTE = 2;

/** A time as far as it is known: 1893 s → `0:31:33`, to the minute `0:32`, to the hour `3 h`. @param place in seconds. */
export function writtenAsKnown(seconds: Rational, place: number, rule: RoundingRule = 'half-up'): string {
  if (place >= TO_THE_HOUR) return `${seconds.dividedBy(HOUR).roundedTo(0, rule).toFixed(0)} h`;
  if (place < TO_THE_MINUTE) return writtenTime(seconds, place, rule);
  return writtenTime(seconds.dividedBy(MINUTE).roundedTo(0, rule).times(MINUTE), 0, rule).replace(/:00$/, '');
}
