import { Rational } from '../../numbers/rational.ts';
import { converted, parseUnit } from '../../units/unit.ts';
import { UnreadableEntryError } from '../judging/entry.ts';
import { parseEntry } from '../judging/parse-entry.ts';
import type { WrittenReading } from './agreement.ts';

/** What somebody has read off a tool at the front. */
export interface ReadTogether extends WrittenReading {
  /** Whether a unit was written, and one of the right kind. */
  readonly unit: 'fits' | 'missing' | 'wrong';
}

/** A number in another unit of its kind. @throws UnknownUnitError or UnitMismatchError naming the units. */
export function valueIn(value: number, from: string, to: string): number {
  return from === to ? value : converted(Rational.of(value), parseUnit(from), parseUnit(to)).toNumber();
}

/**
 * Takes a reading of a tool of which only the unit is known.
 * @param unit the unit that all readings are compared in.
 * @returns the reading in that unit, or why it cannot be read, for the person who typed it.
 * @throws UnknownUnitError for the unit.
 */
export function readTogether(entry: string, unit: string): ReadTogether | string {
  try {
    const { value, place, unit: written } = parseEntry(entry, parseUnit(unit));
    return { value, place, unit: written };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return error.message;
    throw error;
  }
}
