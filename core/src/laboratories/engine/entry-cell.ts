import { partedAtSign } from '../../calculations/stated-uncertainty.ts';
import { Rational } from '../../numbers/rational.ts';
import { shortened } from '../../numbers/written-number.ts';
import { UnreadableEntryError, type Entry } from '../../reading/judging/entry.ts';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { readingStep } from '../../reading/expected-reading.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { conversionFactor, converted, parseUnit } from '../../units/unit.ts';
import type { ObservedQuantity, QuantityWithUnit } from '../protocol/protocol.ts';
import { resultIn } from '../run/result-in.ts';
import type { SlotState } from '../run/run.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';
import { judgeParts, partsIn, type PartsJudged } from '../../reading/parts/judge-parts.ts';
import type { Cell } from './cell.ts';

/** How many of the quantity’s units one unit of the tool is; of temperatures, of their degrees. */
export function perToolUnit({ instrument }: ToolInRun, unit: string): Rational {
  return conversionFactor(parseUnit(instrument.unit), parseUnit(unit));
}

function placeRemark(
  name: string,
  { instrument }: ToolInRun,
  unit: string,
  place: number,
  rules: HouseRules,
): string | null {
  const step = readingStep(instrument, rules);
  const factor = conversionFactor(parseUnit(instrument.unit), parseUnit(unit));
  const shift = factor.magnitude();
  // In inches or feet nothing can be said of decimals.
  if (!factor.equals(Rational.ONE.shifted(shift))) return null;
  const wanted = step.place + shift;
  if (place === wanted) return null;
  const decimals = wanted >= 0 ? 'whole numbers' : `${-wanted} ${wanted === -1 ? 'decimal' : 'decimals'}`;
  return `The ${instrument.name} is written with ${decimals} in ${unit} in this class; ${name.toLowerCase()} has ${place < wanted ? 'more' : 'fewer'}.`;
}

function rangeReason({ instrument }: ToolInRun, value: Rational, unit: string): string | null {
  const [least, most] = instrument.range;
  const own = converted(value, parseUnit(unit), parseUnit(instrument.unit)).toNumber();
  return own < least || own > most ? `A ${instrument.name} reads from ${least} to ${most} ${instrument.unit}.` : null;
}

/** The number of an entry in the unit of its heading. */
function inHeading(entry: Entry): Rational {
  return Rational.of(entry.unit === 'fits' ? entry.value : entry.number.value);
}

/** A number that is added, in the unit of the heading. */
function addedNumber(text: string, unit: string): { readonly value: Rational; readonly place: number } {
  const entry = parseEntry(text.trim(), parseUnit(unit));
  if (entry.unit === 'wrong') throw new UnreadableEntryError(`What is added has a unit of another kind than ${unit}.`);
  return { value: inHeading(entry), place: entry.place };
}

/** What was added to a reading, such as `0.12` or `0.12 ± 0.05`; null where nothing was. */
function added(text: string, unit: string): (ReturnType<typeof addedNumber> & { readonly halfWidth: number }) | null {
  if (text.trim() === '') return null;
  const parted = partedAtSign(text);
  if (!parted) return { ...addedNumber(text, unit), halfWidth: 0 };
  const [main, doubt] = [parted.main, parted.doubt].map((part) => part.replace(/[()]/g, '')) as [string, string];
  return { ...addedNumber(main, unit), halfWidth: addedNumber(doubt, unit).value.abs().toNumber() };
}

/** The parts a reading was taken in, and what they say of it; null where it was read at once. */
function partsOf(
  text: string,
  { instrument }: ToolInRun,
  value: Rational,
  unit: string,
  rules: HouseRules,
): PartsJudged | null {
  const parts = partsIn(text, instrument, rules);
  if (parts.length === 0) return null;
  return judgeParts(instrument, parts, converted(value, parseUnit(unit), parseUnit(instrument.unit)));
}

/** What an entry is read by. */
export interface EntryContext {
  readonly tool: ToolInRun | null;
  /** Taken off the reading, in the tool’s unit. */
  readonly zeroError: number;
  readonly adjustment: SlotState | undefined;
  readonly rules: HouseRules;
}

/** Reads what stands in a cell with a number. A bare number is taken in the heading’s unit. */
export function entryCell(quantity: QuantityWithUnit, slot: SlotState | undefined, context: EntryContext): Cell {
  if (!slot) return { kind: 'empty' };
  const { current: event, struck, rivals } = slot;
  if (event.text.trim() === '') return { kind: 'empty', event };
  const { tool, zeroError, adjustment, rules } = context;
  const unusable = (reason: string): Cell => ({ kind: 'unusable', reason, text: event.text, event, struck, rivals });
  try {
    const entry = parseEntry(resultIn(event.text), parseUnit(quantity.unit));
    if (entry.unit === 'wrong')
      return unusable(`“${shortened(event.text)}” has a unit of another kind; this column is in ${quantity.unit}.`);
    const value = inHeading(entry);
    const outside = tool ? rangeReason(tool, value, quantity.unit) : null;
    if (outside) return unusable(outside);
    if (quantity.kind === 'counted' && !value.isInteger()) return unusable('What is counted is a whole number.');
    const off = tool ? perToolUnit(tool, quantity.unit).times(Rational.of(zeroError)) : Rational.ZERO;
    const more = adjustment ? added(adjustment.current.text, quantity.unit) : null;
    const number = {
      value: value.minus(off).plus(more?.value ?? Rational.ZERO),
      place: Math.max(entry.place, more?.place ?? -Infinity),
    };
    const clock = entry.clock;
    return {
      kind: 'entry',
      // The column shows what was read; what follows from it is reckoned without the tool’s error.
      number: quantity.kind === 'counted' && quantity.halfWidth === 0 ? { ...number, place: -Infinity } : number,
      text: clock ?? value.toFixed(Math.max(0, -entry.place)),
      event,
      struck,
      rivals,
      tool,
      linkedTo: null,
      parts: tool ? partsOf(event.text, tool, value, quantity.unit, rules) : null,
      remark: tool ? placeRemark(quantity.name, tool, quantity.unit, entry.place, rules) : null,
      adjustment:
        adjustment && more
          ? { text: adjustment.current.text, reason: adjustment.current.reason, halfWidth: more.halfWidth }
          : null,
    };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return unusable(error.message);
    throw error;
  }
}

/** What was seen, as one of the choices. */
export function chosenCell({ choices }: ObservedQuantity, slot: SlotState | undefined): Cell {
  if (!slot) return { kind: 'empty' };
  const { current: event, struck, rivals } = slot;
  const text = event.text.trim();
  if (text === '') return { kind: 'empty', event };
  const choice = choices.find(({ id, name }) => id === text || name.toLowerCase() === text.toLowerCase());
  if (!choice)
    return { kind: 'unusable', reason: `“${shortened(text)}” is not one of the choices.`, text, event, struck, rivals };
  return { kind: 'chosen', choice: choice.id, text: choice.name, event, struck, rivals };
}
