import { shortened } from '../../numbers/written-number.ts';
import { unambiguousAtPlace } from '../../numbers/rounding.ts';
import { Rational } from '../../numbers/rational.ts';
import { UnreadableEntryError, type Entry } from '../../reading/judging/entry.ts';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { parseUnit } from '../../units/unit.ts';
import type { ComputedQuantity } from '../protocol/protocol.ts';
import type { SlotState } from '../run/run.ts';
import { resultIn } from '../run/result-in.ts';
import { numberOf, type Cell } from './cell.ts';

const NO_RESULT = 'Write the result behind an equals sign, with its unit.';

/** Two numbers or names with a sign between them. */
function isCalculation(typed: string): boolean {
  return /[\p{L}\d)] *[-+*/×÷·−] *[\p{L}\d(]/u.test(typed) && !/^[-+−]?[\d., ]+[^\d]*$/.test(typed);
}

function textOf({ number, otherUnit }: Entry, value: Rational, place: number): string {
  return otherUnit === null ? number.text : unambiguousAtPlace(value, place);
}

/**
 * What a student has worked out, as it stands in the tables: in the unit of the heading.
 * @param byTheBook what follows goes on with where a unit of another kind was written.
 */
export function ownCell(quantity: ComputedQuantity, slot: SlotState | undefined, byTheBook: () => Cell): Cell {
  if (!slot) return { kind: 'empty' };
  const { current: event, struck, rivals } = slot;
  if (event.text.trim() === '') return { kind: 'empty', event };
  const entered = { event, struck, rivals };
  const typed = resultIn(event.text);
  try {
    const entry = parseEntry(typed, parseUnit(quantity.unit));
    if (entry.unit === 'wrong') {
      const number = numberOf(byTheBook());
      return number
        ? { kind: 'own', number, text: typed, wrongKind: true, ...entered }
        : { kind: 'unusable', reason: `“${shortened(typed)}” cannot be used yet.`, text: event.text, ...entered };
    }
    const value = Rational.of(entry.unit === 'fits' ? entry.value : entry.number.value);
    return {
      kind: 'own',
      number: { value, place: entry.place },
      text: textOf(entry, value, entry.place),
      wrongKind: false,
      ...entered,
    };
  } catch (error) {
    if (error instanceof UnreadableEntryError)
      return {
        kind: 'unusable',
        reason: isCalculation(typed) ? NO_RESULT : error.message,
        text: event.text,
        ...entered,
      };
    throw error;
  }
}
