import { namesIn, ExpressionError } from '../calculations/expression/expression.ts';
import { latexOf, unitLatex } from '../calculations/expression/latex.ts';
import { evaluateMeasured, type Measured, type Step } from '../calculations/measured.ts';
import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { Rational } from '../numbers/rational.ts';
import { resolveParts, type ResolvedParts } from '../calculations/resolve-units.ts';
import { unambiguousAtPlace } from '../numbers/rounding.ts';
import { workedStep, type WorkedStep } from '../calculations/working.ts';
import { instrumentById } from '../instruments/catalogue.ts';
import { UnreadableEntryError } from '../reading/judging/entry.ts';
import { parseEntry } from '../reading/judging/parse-entry.ts';
import { readingStep } from '../reading/expected-reading.ts';
import { taken } from '../calculations/rulings.ts';
import { DEFAULT_RULES, type HouseRules } from '../rules/house-rules.ts';
import { parseUnit } from '../units/unit.ts';
import type { NamedTool } from './named-tool.ts';
import type { ComputedQuantity, Protocol, ReadQuantity } from './protocol.ts';
import type { RunEvent, SlotState } from './run.ts';

/** How a computed number came about, ready to be typeset and read out. */
export interface Working {
  /** `V = V_2 - V_1` and the same with numbers, in LaTeX. */
  readonly symbolic: string;
  readonly substituted: string;
  /** Each with the digits it keeps, the guard digits it carries, and why; none where a number is taken over as it is. */
  readonly steps: readonly WorkedStep[];
  readonly unit: string;
}

export type Cell =
  /** `event` is the entry that left it empty, where one did. */
  | { readonly kind: 'empty'; readonly event?: RunEvent }
  | {
      readonly kind: 'reading';
      readonly number: Measured;
      readonly text: string;
      readonly event: RunEvent;
      readonly struck: readonly RunEvent[];
      readonly rivals: readonly RunEvent[];
      /** Something to look at again, in words; the reading counts all the same. */
      readonly remark: string | null;
    }
  | {
      readonly kind: 'unusable';
      readonly reason: string;
      readonly text: string;
      readonly event: RunEvent;
      readonly struck: readonly RunEvent[];
      readonly rivals: readonly RunEvent[];
    }
  | { readonly kind: 'computed'; readonly number: Measured; readonly text: string; readonly working: Working }
  /** Not worked out: something it needs is missing, or the calculation has no result. */
  | { readonly kind: 'pending'; readonly reason: string | null };

function placeRemark(quantity: ReadQuantity, instrumentId: string, place: number, rules: HouseRules): string | null {
  const instrument = instrumentById(instrumentId);
  const step = readingStep(instrument, rules);
  if (place === step.place) return null;
  const wanted = step.place === 0 ? 'whole numbers' : `${-step.place} ${step.place === -1 ? 'decimal' : 'decimals'}`;
  return `The ${instrument.name} is written with ${wanted} in this class; ${quantity.name.toLowerCase()} has ${place < step.place ? 'more' : 'fewer'}.`;
}

function rangeReason(instrumentId: string, value: number): string | null {
  const { range, name, unit } = instrumentById(instrumentId);
  return value < range[0] || value > range[1] ? `A ${name} reads from ${range[0]} to ${range[1]} ${unit}.` : null;
}

/** Reads what stands in a cell, by the instrument the cell is made for, and the very tool where one is named. A bare number is taken in the heading's unit. */
export function readingCell(
  quantity: ReadQuantity,
  { instrumentId, tool }: { readonly instrumentId: string; readonly tool: NamedTool | null },
  slot: SlotState | undefined,
  rules: HouseRules,
): Cell {
  if (!slot) return { kind: 'empty' };
  if (slot.current.text.trim() === '') return { kind: 'empty', event: slot.current };
  const { current: event, struck, rivals } = slot;
  const unusable = (reason: string): Cell => ({ kind: 'unusable', reason, text: event.text, event, struck, rivals });
  try {
    const entry = parseEntry(event.text, parseUnit(quantity.unit));
    if (entry.unit === 'wrong')
      return unusable(`“${event.text}” has a unit of another kind; this column is in ${quantity.unit}.`);
    const outside = rangeReason(instrumentId, entry.value);
    if (outside) return unusable(outside);
    const value = Rational.of(entry.unit === 'fits' ? entry.value : entry.number.value);
    const text = value.toFixed(Math.max(0, -entry.place));
    // The column shows what was read; what follows from it is reckoned without the tool’s error.
    const corrected = tool === null ? value : value.minus(Rational.of(tool.zeroError));
    return {
      kind: 'reading',
      number: { value: corrected, place: entry.place },
      text,
      event,
      struck,
      rivals,
      remark: placeRemark(quantity, instrumentId, entry.place, rules),
    };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return unusable(error.message);
    throw error;
  }
}

/** A computed quantity's formula, parsed and with its units checked once for the whole run. */
export interface Formula {
  readonly quantity: ComputedQuantity;
  readonly resolved: ResolvedParts;
}

/**
 * Parses a computed quantity's formula and brings its result to the quantity's unit.
 * @throws ExpressionError or UnitMismatchError when the protocol itself is wrong.
 */
export function formulaOf(quantity: ComputedQuantity, protocol: Protocol): Formula {
  const unitOf = (name: string): ReturnType<typeof parseUnit> => {
    const used = protocol.quantities.find((candidate) => candidate.id === name);
    if (!used || !('unit' in used))
      throw new ExpressionError(
        `The formula of ${quantity.id} uses ${name}, which is not a quantity of ${protocol.id}.`,
      );
    return parseUnit(used.unit);
  };
  // The numbers of a protocol’s formula were measured by nobody.
  const { tree } = taken(parseExpression(quantity.formula), DEFAULT_RULES, true);
  return { quantity, resolved: resolveParts(tree, unitOf, parseUnit(quantity.unit)) };
}

function symbolOf(protocol: Protocol, id: string): string {
  const quantity = protocol.quantities.find((candidate) => candidate.id === id);
  return quantity && 'symbol' in quantity ? quantity.symbol : `\\mathrm{${id}}`;
}

/** Works out a computed cell of one trial from the cells before it. */
export function computedCell(
  formula: Formula,
  protocol: Protocol,
  cells: Readonly<Record<string, Cell>>,
  rules: HouseRules,
): Cell {
  const { resolved } = formula;
  const numberOf = (name: string): Measured | undefined => {
    const cell = cells[name];
    return cell?.kind === 'reading' || cell?.kind === 'computed' ? cell.number : undefined;
  };
  if (namesIn(resolved.tree).some((name) => !numberOf(name))) return { kind: 'pending', reason: null };
  try {
    const result = evaluateMeasured(resolved.tree, numberOf, rules);
    return {
      kind: 'computed',
      number: { value: result.value, place: result.place },
      text: unambiguousAtPlace(result.value, result.place, rules.rounding),
      working: workingOf(formula, protocol, result.steps, numberOf, rules),
    };
  } catch (error) {
    if (error instanceof ExpressionError) return { kind: 'pending', reason: error.reason };
    throw error;
  }
}

function workingOf(
  { quantity, resolved }: Formula,
  protocol: Protocol,
  steps: readonly Step[],
  numberOf: (name: string) => Measured | undefined,
  rules: HouseRules,
): Working {
  const tree = parseExpression(quantity.formula);
  const withNumber = (name: string): string => {
    const number = numberOf(name);
    const used = protocol.quantities.find((candidate) => candidate.id === name);
    const unit = used && 'unit' in used ? unitLatex(used.unit) : '';
    return number ? `${unambiguousAtPlace(number.value, number.place, rules.rounding)}\\,${unit}` : name;
  };
  return {
    symbolic: `${quantity.symbol} = ${latexOf(tree, (name) => symbolOf(protocol, name))}`,
    substituted: `${quantity.symbol} = ${latexOf(tree, withNumber)}`,
    steps: steps.map((step) => workedStep(step, resolved.unitOf, rules)),
    unit: quantity.unit,
  };
}
