import { secondsIn } from '../../numbers/clock-time.ts';
import { parseWrittenNumber } from '../../numbers/written-number.ts';
import { UnreadableEntryError, type Entry } from './entry.ts';

const COLONS =
  /^(?<sign>[+-]?) ?(?<first>\d{1,4}):(?<second>\d{1,2})(?::(?<third>\d{1,2}(?:[.,]\d{1,3})?))? ?(?<unit>.*)$/;
const NAMED =
  /^(?<sign>[+-]?) ?(?:(?<hours>\d{1,4}) ?h(?:rs?|ours?)?\.? ?)?(?:(?<minutes>\d{1,4}) ?(?:min(?:s|utes?)?|m|')\.? ?)?(?:(?<seconds>\d{1,5}(?:[.,]\d{1,3})?) ?(?:s(?:ec(?:s|onds?)?)?|"|'')\.?)?$/;

const IN_HOURS = ['h', 'h:min', 'h:m', 'h:mm', 'hh:mm'];
const IN_MINUTES = ['min', 'min:s', 'm:s', 'm:ss', 'mm:ss', 'min:sec'];
const COMPLETE = ['', 'h:min:s', 'h:m:s', 'h:mm:ss', 'hh:mm:ss', 'h'];

/** Known to the minute: the seconds are missing. */
const TO_THE_MINUTE = 2;

/** A time in seconds, as it was written. @param place of its last digit, in seconds. */
function timeWritten(clock: string, place: number, unit: Entry['unit'] = 'fits'): Entry {
  const value = secondsIn(clock) ?? 0;
  const number = parseWrittenNumber(value.toFixed(Math.max(0, -place)));
  return { number, value, place, surePlace: place, unit, otherUnit: null, fractionOf: null, clock };
}

const two = (text: string): string => text.padStart(2, '0');

function withColons(plain: string): Entry | null {
  const parts = COLONS.exec(plain)?.groups;
  if (!parts) return null;
  const { first = '', second = '', third } = parts;
  const sign = parts['sign'] === '-' ? '-' : '';
  const unit = (parts['unit'] ?? '').replace(/\.$/, '').replace(/ /g, '').toLowerCase();
  if (third !== undefined) {
    const seconds = third.replace(',', '.');
    const decimals = seconds.split('.')[1]?.length ?? 0;
    return timeWritten(
      `${sign}${first}:${two(second)}:${seconds}`,
      0 - decimals,
      COMPLETE.includes(unit) ? 'fits' : 'wrong',
    );
  }
  if (IN_MINUTES.includes(unit)) return timeWritten(`${sign}0:${first}:${two(second)}`, 0);
  if (IN_HOURS.includes(unit)) return timeWritten(`${sign}${first}:${two(second)}:00`, TO_THE_MINUTE);
  throw new UnreadableEntryError(
    `“${first}:${second}” can be minutes and seconds, or hours and minutes; write 0:${first}:${two(second)} or ${first}:${two(second)}:00.`,
  );
}

/** `31 min 33 s`, `1 h 5 min`, `31' 33"`; one of the three alone is a number with its unit, as anywhere. */
function withNames(plain: string): Entry | null {
  const { sign, hours, minutes, seconds } = NAMED.exec(plain)?.groups ?? {};
  if ([hours, minutes, seconds].filter((part) => part !== undefined).length < 2) return null;
  const last = (seconds ?? '0').replace(',', '.');
  const decimals = last.split('.')[1]?.length ?? 0;
  const clock = `${sign === '-' ? '-' : ''}${hours ?? '0'}:${two(minutes ?? '0')}:${two(last)}`;
  return timeWritten(clock, seconds === undefined ? TO_THE_MINUTE : 0 - decimals);
}

/**
 * Hours, minutes and seconds, with colons or with their names; null for anything else.
 * @throws UnreadableEntryError where nobody can tell which two of them are meant.
 */
export function clockEntry(plain: string): Entry | null {
  return withColons(plain) ?? withNames(plain.replace(/[′’]/g, "'"));
}

/**
 * A number with a unit of time, in whole seconds as far as it goes: 31.55 min → 1893, and 31 min is known to the minute.
 * @throws UnreadableEntryError for a bare number, which can be anything.
 */
export function countedInSeconds(entry: Entry): Entry {
  if (entry.unit === 'missing')
    throw new UnreadableEntryError(
      `“${entry.number.text}” can be hours, minutes or seconds; write the time with colons, as 0:05:30, or name its unit.`,
    );
  const { otherUnit, number } = entry;
  if (entry.unit === 'wrong' || otherUnit === null) return entry;
  if (number.place >= 0) return { ...entry, place: TO_THE_MINUTE, surePlace: TO_THE_MINUTE };
  const place = Math.max(0, entry.place);
  return { ...entry, value: Math.round(entry.value), place, surePlace: place };
}
