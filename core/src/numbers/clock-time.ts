import { Rational } from './rational.ts';
import type { RoundingRule } from './rounding-rule.ts';

export const HOUR = Rational.of(3600);
export const MINUTE = Rational.of(60);

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

const WRITTEN = /^(?<sign>-?)(?<hours>\d+):(?<minutes>\d{1,2}):(?<seconds>\d{1,2}(?:\.\d+)?)$/;

/** What a text with hours, minutes and seconds comes to, in seconds: `0:31:33` → 1893. Sixty minutes and more are counted as they stand. Null for any other text. */
export function secondsIn(text: string): number | null {
  const parts = WRITTEN.exec(text)?.groups;
  if (!parts) return null;
  const { sign = '', hours, minutes, seconds } = parts;
  const size = 3600 * Number(hours) + 60 * Number(minutes) + Number(seconds);
  return sign === '-' ? -size : size;
}

/** Whether a text is a time as a clock would show one: no sixty minutes and no sixty seconds. */
export function isClockTime(text: string): boolean {
  const { minutes = '60', seconds = '60' } = WRITTEN.exec(text)?.groups ?? {};
  return Number(minutes) < 60 && Number(seconds) < 60;
}
