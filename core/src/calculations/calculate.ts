import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { differenceUnit, temperatureScale, UnitMismatchError, type Unit } from '../units/unit.ts';
import { ExpressionError, partsOf, type Expression } from './expression/expression.ts';
import { latexOf, nameLatex } from './expression/latex.ts';
import { evaluateMeasured, figuresOf } from './measured.ts';
import { parseExpression } from './expression/parse-expression.ts';
import { askAboutTime, timeInDoubt } from './expression/time-of-day.ts';
import { placeInTyped } from '../numbers/plain-text.ts';
import { resolveParts, resolveUnits } from './resolve-units.ts';
import { taken } from './rulings.ts';
import { isRelative, zerosTyped, partedAtSign, partOf, stated, takesUnit, type Typed } from './stated-uncertainty.ts';
import {
  fullQuantity,
  shownUnit,
  workedStep,
  writtenQuantity,
  type QuantityValue,
  type WorkedStep,
} from './working.ts';

/** The result of a calculation, with its working. */
export interface Calculation {
  /** Rounded once, at the end: `335`, `4.0e2`; a duration is `h:mm:ss`. */
  readonly text: string;
  /** `cm^2`, `g/mL`; empty for a pure number and for a duration. */
  readonly unit: string;
  /** All digits, or the first fifteen of those that do not end. */
  readonly full: string;
  /** Of the text; Infinity when exact. */
  readonly significantFigures: number;
  /** Power of ten of the last digit of the text; −Infinity when exact. */
  readonly place: number;
  /** As written, where the expression states one (`18.6 mL ± 0.24 mL`): the text then ends at its last place. */
  readonly uncertainty: string | null;
  readonly steps: readonly WorkedStep[];
  /** The expression as typeset, in LaTeX. */
  readonly latex: string;
  /** What is to be known about the numbers in it: ambiguous zeros, a difference of temperatures. */
  readonly notes: readonly string[];
}

/** Turns the place an error points at from the plain text that was read to the text as typed. @param from where in it the part that was read begins. */
function pointing<Result>(typed: string, from: number, work: () => Result): Result {
  try {
    return work();
  } catch (error) {
    if (error instanceof ExpressionError && error.at !== null)
      throw new ExpressionError(error.reason, from + placeInTyped(typed.slice(from), error.at));
    if (error instanceof UnitMismatchError && error.at !== null)
      throw new UnitMismatchError(error.first, error.second, from + placeInTyped(typed.slice(from), error.at));
    throw error;
  }
}

/**
 * Calculates with names that stand for quantities: nothing of them has been rounded.
 * @param names not to be changed afterwards: the working is made from them when it is asked for.
 * @throws ExpressionError or UnitMismatchError pointing at the character of the text as typed.
 */
export function calculateWith(
  expression: string,
  rules: HouseRules,
  names: ReadonlyMap<string, QuantityValue>,
): { readonly calculation: Calculation; readonly quantity: QuantityValue } {
  const parted = partedAtSign(expression);
  if (!parted) return pointing(expression, 0, () => evaluated(expression, rules, names));
  const { main: text, doubt: size, signAt, doubtAt } = parted;
  const typed = pointing(expression, 0, () => evaluated(text, rules, names));
  const bare = pointing(expression, doubtAt, () => evaluated(size, rules, names));
  const main = takesUnit(typed, bare.quantity.unit)
    ? { ...typed, quantity: { ...typed.quantity, unit: bare.quantity.unit } }
    : typed;
  const doubt = isRelative(main.quantity.unit, bare.quantity.unit)
    ? { ...bare, ...partOf(main.quantity, bare) }
    : pointing(expression, doubtAt, () => evaluated(size, rules, names, main.quantity.unit));
  return pointing(expression, signAt, () => withUncertainty(main, doubt, rules));
}

interface Evaluated extends Typed {
  readonly calculation: Calculation;
}

function evaluated(
  expression: string,
  rules: HouseRules,
  names: ReadonlyMap<string, QuantityValue>,
  asDifferenceIn?: Unit,
): Evaluated {
  return calculateTree(parseExpression(expression, rules.decimalMark), rules, names, asDifferenceIn);
}

/**
 * Calculates what has been read from a text already, or was never typed.
 * @param asDifferenceIn the unit of what the result is a difference to.
 * @throws ExpressionError, UnitMismatchError; the character they point to is that of the text it was read from.
 */
export function calculateTree(
  typed: Expression,
  rules: HouseRules,
  names: ReadonlyMap<string, QuantityValue>,
  asDifferenceIn?: Unit,
): Evaluated {
  const asked = timeInDoubt(typed);
  if (asked) throw askAboutTime(asked.written.text, asked.at);
  const missing = firstMissing(typed, names);
  if (missing) throw new ExpressionError(`“${missing.name}” has no value yet.`, missing.at);
  const unitOfName = (name: string): Unit => names.get(name)?.unit ?? {};
  const wanted = asDifferenceIn && differenceOf(asDifferenceIn);
  const { tree: meant } = taken(typed, rules);
  const { tree, unit } = resolveUnits(meant, unitOfName, wanted);
  const { value, place } = evaluateMeasured(tree, (name) => names.get(name), rules);
  const quantity: QuantityValue = { value, place, unit };
  const zeros = zerosTyped(meant);
  return {
    quantity,
    lastPlace: zeros === null ? null : place - zeros,
    calculation: calculationOf(quantity, rules, () => workingOf(typed, unitOfName, wanted, names, rules)),
  };
}

function workingOf(
  typed: Expression,
  unitOfName: (name: string) => Unit,
  wanted: Unit | undefined,
  names: ReadonlyMap<string, QuantityValue>,
  rules: HouseRules,
): Derivation {
  const { tree: meant, notes } = taken(typed, rules);
  const { tree, unitOf } = resolveParts(meant, unitOfName, wanted);
  const { steps } = evaluateMeasured(tree, (name) => names.get(name), rules);
  return {
    steps: steps.map((step) => workedStep(step, unitOf, rules)),
    latex: latexOf(meant, nameLatex),
    notes,
  };
}

/** How far from a quantity another may be: for a temperature, in degrees of difference. */
function differenceOf(unit: Unit): Unit {
  const scale = temperatureScale(unit);
  return scale === null ? unit : differenceUnit(scale);
}

/** The uncertainty rounded by the class’s rule, and the value to its last place; neither gets more digits than were stated. */
function withUncertainty(main: Evaluated, doubt: Evaluated, rules: HouseRules): Evaluated {
  const { quantity, ...written } = stated(main, doubt, rules);
  const working = (): Derivation => ({
    steps: main.calculation.steps,
    latex: `${main.calculation.latex} \\pm ${doubt.calculation.latex}`,
    // The uncertainty says how far a typed value was read.
    notes: main.lastPlace === null ? main.calculation.notes : [],
  });
  return { quantity, lastPlace: null, calculation: calculationOf(quantity, rules, working, written) };
}

/** What a result comes from. */
type Derivation = Pick<Calculation, 'steps' | 'latex' | 'notes'>;

function once<Value>(work: () => Value): () => Value {
  let done: { readonly value: Value } | null = null;
  return () => (done ??= { value: work() }).value;
}

/**
 * A quantity written as the class writes it.
 * @param working what it comes from, worked out when it is asked for: a table of a thousand results shows the working of one.
 */
export function calculationOf(
  quantity: QuantityValue,
  rules: HouseRules,
  working: () => Derivation,
  stated: { readonly text: string; readonly uncertainty: string } | null = null,
): Calculation {
  const { value, unit, place } = quantity;
  const figures = figuresOf(quantity, rules.rounding);
  const full = once(() => fullQuantity(quantity, rules));
  const shown = once(working);
  const noneLeft = figures === 0 && !value.isZero();
  return {
    text: stated?.text ?? writtenQuantity(quantity, rules),
    unit: shownUnit(unit),
    significantFigures: figures,
    place,
    uncertainty: stated?.uncertainty ?? null,
    get full() {
      return full();
    },
    get steps() {
      return shown().steps;
    },
    get latex() {
      return shown().latex;
    },
    get notes() {
      return noneLeft ? [...shown().notes, NO_FIGURE_LEFT] : shown().notes;
    },
  };
}

const NO_FIGURE_LEFT = 'No certain figure is left: the result is smaller than the last certain place.';

function firstMissing(
  tree: Expression,
  names: ReadonlyMap<string, QuantityValue>,
): Extract<Expression, { kind: 'name' }> | null {
  if (tree.kind === 'name') return names.has(tree.name) ? null : tree;
  for (const part of partsOf(tree)) {
    const missing = firstMissing(part, names);
    if (missing) return missing;
  }
  return null;
}

const NO_NAMES: ReadonlyMap<string, QuantityValue> = new Map();

/**
 * Calculates on written numbers as a class does: decimal arithmetic, significant figures, units, one rounding at the end.
 * @param rules the class’s rounding, its writing of means and its decimal mark; the defaults for what is not given.
 * @throws ExpressionError, UnitMismatchError (both pointing at the character), HouseRuleError.
 * @example calculate('14.2 cm * 23.6 cm') // { text: '335', unit: 'cm^2', full: '335.12', significantFigures: 3, place: 0, … }
 */
export function calculate(expression: string, rules?: Partial<HouseRules>): Calculation {
  return calculateWith(expression, completeRules(rules), NO_NAMES).calculation;
}
