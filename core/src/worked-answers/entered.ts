import { parseWrittenNumber, type WrittenNumber } from '../numbers/written-number.ts';
import type { Entry } from '../reading/judging/entry.ts';
import { parseEntry } from '../reading/judging/parse-entry.ts';
import { isConversion, type NumberTask } from './number-task.ts';
import type { Result } from './result.ts';
import { lastPlace } from './slips/writing.ts';

/** What was entered, as it stands in the unit of a result. */
export interface Entered {
  readonly entry: Entry;
  readonly number: WrittenNumber;
}

/** Whether as many figures were written as the result has, and the same quantity as far as they go. */
function isSameQuantity({ value, number }: Entry, result: Result): boolean {
  const { atLeast } = parseWrittenNumber(result.text);
  const perUnit = value / number.value.toNumber();
  return (
    number.atLeast <= atLeast &&
    atLeast <= number.atMost &&
    Math.abs(value - result.value.toNumber()) <= 0.5 * 10 ** lastPlace(number) * Math.abs(perUnit) * (1 + 1e-9)
  );
}

/** The number as it stands in the unit of a result; none where no digit can be shifted, since its own is no power of ten away, and it does not come to the result. */
function inUnitOf(entry: Entry, result: Result): WrittenNumber[] {
  const { number, value } = entry;
  const places = entry.place - lastPlace(number);
  const shifted = { ...number, value: number.value.shifted(places), place: number.place + places };
  if (shifted.value.toNumber() === value) return [shifted];
  return isSameQuantity(entry, result) ? [parseWrittenNumber(result.text)] : [];
}

/**
 * What may have been meant by an entry. In an exercise in conversion only the unit asked for will do: another one was written by mistake,
 * or kept.
 * @throws UnreadableEntryError with a message for the person who typed it.
 */
export function enteredIn(typed: string, result: Result, task: NumberTask): Entered[] {
  const entry = parseEntry(typed, result.unit);
  const { number, value } = entry;
  if (number.value.toNumber() === value) return [{ entry, number }];
  const there = inUnitOf(entry, result);
  if (!isConversion(task)) return there.map((one) => ({ entry, number: one }));
  return [number, ...there].map((one) => ({ entry: { ...entry, unit: 'wrong' }, number: one }));
}
