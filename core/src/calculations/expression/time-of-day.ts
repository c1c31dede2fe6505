import { ExpressionError } from './expression.ts';
import { Rational } from '../../numbers/rational.ts';
import type { RoundingRule } from '../../numbers/rounding-rule.ts';
import type { WrittenNumber } from '../../numbers/written-number.ts';

const HOUR = Rational.of(3600);
const MINUTE = Rational.of(60);

/**
 * Reads hours, minutes and seconds as so many seconds: `12:41:20`.
 * @param at the character it stands at, for the message.
 * @throws ExpressionError when seconds are missing, or minutes or seconds are sixty or more.
 */
export function parseTime(text: string, at: number): WrittenNumber {
  const [hours = '0', minutes = '0', seconds] = text.split(':');
  if (seconds === undefined)
    throw new ExpressionError(`“${text}” has no seconds; write ${text}:00, as hours, minutes and seconds.`, at);
  for (const [part, name] of [
    [minutes, 'minutes'],
    [seconds, 'seconds'],
  ] as const) {
    if (!(Number(part) < 60))
      throw new ExpressionError(
        `“${text}” has ${part} ${name}; an hour has sixty minutes, and a minute sixty seconds.`,
        at,
      );
  }
  const decimals = seconds.split('.')[1]?.length ?? 0;
  const value = Rational.of(hours).times(MINUTE).plus(Rational.of(minutes)).times(MINUTE).plus(Rational.of(seconds));
  const figures = value.toFixed(decimals).replace('.', '').replace(/^0+/, '').length;
  return { text, value, place: -decimals, atLeast: figures, atMost: figures };
}

/** So many seconds, rounded to a place, as hours, minutes and seconds: 1893 → `0:31:33`. */
export function writtenTime(seconds: Rational, place: number, rule: RoundingRule = 'half-up'): string {
  const decimals = Math.max(0, -place);
  const rounded = seconds.roundedTo(Math.max(place, -decimals), rule);
  const size = rounded.abs();
  const hours = size.dividedBy(HOUR).roundedTo(0, 'down');
  const rest = size.minus(hours.times(HOUR));
  const minutes = rest.dividedBy(MINUTE).roundedTo(0, 'down');
  const left = rest.minus(minutes.times(MINUTE)).toFixed(decimals);
  const two = (text: string): string => (text.split('.')[0]?.length === 1 ? `0${text}` : text);
  return `${rounded.sign() < 0 ? '-' : ''}${hours.toFixed(0)}:${two(minutes.toFixed(0))}:${two(left)}`;
}
