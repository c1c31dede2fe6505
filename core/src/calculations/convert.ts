import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { conversionChain, factorOf, type ChainLink } from '../units/chain.ts';
import { parseQuotedFactor } from '../units/quoted-factor.ts';
import {
  CLOCK_TO_THE_MINUTE,
  conversion,
  conversionFactor,
  isOnClock,
  parseUnit,
  sameKind,
  sameUnit,
  temperatureScale,
  UnitMismatchError,
  writtenUnit,
  type Operation,
  type Unit,
} from '../units/unit.ts';
import { calculateWith, calculationOf, type Calculation } from './calculate.ts';
import { numberLatex } from './expression/latex.ts';
import { placeOnClock } from './expression/time-of-day.ts';
import { exactly, figuresOf, productOf, type Measured } from './measured.ts';
import { Rational } from '../numbers/rational.ts';
import { conversionStep, type QuantityValue, type WorkedStep } from './working.ts';
import { parseWrittenNumber } from '../numbers/written-number.ts';

/** A conversion, with the fractions it was made by, or the formula of a temperature. */
export interface Conversion extends Calculation {
  readonly from: { readonly text: string; readonly unit: string };
  readonly chain: readonly ChainLink[];
  /** How a temperature goes from one scale to another, in LaTeX; null for everything else. */
  readonly formula: string | null;
}

const FORMULAS: Readonly<Record<string, string>> = {
  '°C °F': '\\overline{1.8} \\times t + \\overline{32}',
  '°F °C': '\\dfrac{t - \\overline{32}}{\\overline{1.8}}',
  '°C K': 't + \\overline{273.15}',
  'K °C': 't - \\overline{273.15}',
  'K °F': '\\overline{1.8} \\times \\left(t - \\overline{273.15}\\right) + \\overline{32}',
  '°F K': '\\dfrac{t - \\overline{32}}{\\overline{1.8}} + \\overline{273.15}',
};

/** A formula with the temperature put in. */
function formulaWith(formula: string | undefined, text: string): string | null {
  if (formula === undefined) return null;
  const number = numberLatex(text);
  return formula.replace(/\bt\b/, () => (number.startsWith('-') ? `\\left(${number}\\right)` : number));
}

/** The numbers of quoted relations that count, as they are written: all but a one, which is what the other is quoted for. */
function quotedCounts(chain: readonly ChainLink[]): string[] {
  return chain
    .filter(({ exact }) => !exact)
    .flatMap((link) => Array.from({ length: link.power }, () => [link.above.count, link.below.count]).flat())
    .filter((count) => count !== '1');
}

/** Why a converted number has its digits: what is defined limits nothing, what a class quotes may. */
function whyConverted(
  from: QuantityValue,
  chain: readonly ChainLink[],
  offset: boolean,
  { rounding }: HouseRules,
): (text: string) => string {
  const [poorest] = quotedCounts(chain)
    .map((count) => ({ count, figures: parseWrittenNumber(count).atLeast }))
    .sort((a, b) => a.figures - b.figures);
  const figures = from.place === -Infinity ? Infinity : figuresOf(from, rounding);
  const product = (name: string, count: number): string =>
    `A product or quotient has as many figures as the factor with the fewest: ${name} has ${count}.`;
  if (poorest)
    return (text) =>
      poorest.figures < figures
        ? product(`the ${poorest.count} this class quotes`, poorest.figures)
        : product(text, figures);
  if (figures === Infinity) return () => 'Every number in it is exact. Exact numbers do not limit the result.';
  return (text) =>
    `${offset ? 'What the scales are defined by is exact' : 'The factor is exact'}, so the result has the same certain digits as ${text}.`;
}

/** A time in hours, minutes and seconds: it is known to as many of them as before, 90 min to the minute. */
function movedToClock({ value, place, unit }: QuantityValue, to: Unit, { rounding }: HouseRules): QuantityValue {
  const seconds = conversionFactor(unit, { s: 1 });
  const inSeconds = productOf([{ value, place }, exactly(seconds)], rounding);
  const known = placeOnClock(seconds.times(Rational.of(1).shifted(place)), inSeconds.place);
  const toTheMinute = CLOCK_TO_THE_MINUTE in to;
  return {
    value: value.times(conversionFactor(unit, to)),
    place: toTheMinute ? Math.max(0, known - 2) : known,
    unit: to,
  };
}

/** A quantity in another unit of its kind, by the factors a class quotes where it quotes some. */
function moved(quantity: QuantityValue, to: Unit, rules: HouseRules, chain: readonly ChainLink[]): QuantityValue {
  const rounded = chain.filter(({ exact }) => !exact);
  if (isOnClock(to) && quantity.place !== -Infinity) return movedToClock(quantity, to, rules);
  if (rounded.length === 0) {
    const operate = ({ value, place }: Measured, step: Operation): Measured =>
      'times' in step
        ? productOf([{ value, place }, exactly(step.times)], rules.rounding)
        : { value: value.plus(step.plus), place };
    return { ...conversion(quantity.unit, to).reduce(operate, quantity), unit: to };
  }
  const exact = chain.filter((link) => link.exact).reduce((factor, link) => factor.times(factorOf(link)), Rational.ONE);
  const limits = quotedCounts(chain).map((count) => ({
    value: Rational.of(count),
    place: parseWrittenNumber(count).place,
  }));
  const { value } = productOf(
    [quantity, exactly(exact), ...rounded.map((link) => exactly(factorOf(link)))],
    rules.rounding,
  );
  return { ...productOf([quantity, ...limits], rules.rounding, value), unit: to };
}

/**
 * Converts what was calculated to another unit of its kind.
 * @throws UnitMismatchError naming both units.
 */
export function convertedTo(
  { calculation, quantity: found }: { readonly calculation: Calculation; readonly quantity: QuantityValue },
  to: Unit,
  rules: HouseRules,
): { readonly calculation: Conversion; readonly quantity: QuantityValue } {
  const from = found.unit;
  if (!sameKind(from, to)) throw new UnitMismatchError(writtenUnit(from), writtenUnit(to));
  const wanted = differenceFor(from, to);
  const scales = `${temperatureScale(from) ?? ''} ${temperatureScale(wanted) ?? ''}`;
  const offset = temperatureScale(from) !== null && temperatureScale(wanted) !== null;
  const chain =
    offset || isOnClock(from) || isOnClock(wanted)
      ? []
      : conversionChain(from, wanted, rules.quotedFactors.map(parseQuotedFactor));
  const quantity = moved(found, wanted, rules, chain);
  const step = (): WorkedStep =>
    conversionStep(found, quantity, offset ? 'places' : 'figures', whyConverted(found, chain, offset, rules), rules);
  const written = calculationOf(quantity, rules, () => ({
    steps: sameUnit(from, wanted) ? calculation.steps : [...calculation.steps, step()],
    latex: calculation.latex,
    notes: calculation.notes,
  }));
  return {
    quantity,
    calculation: Object.assign(written, {
      from: { text: calculation.text, unit: calculation.unit },
      chain,
      formula: formulaWith(FORMULAS[scales], calculation.text),
    }),
  };
}

/**
 * Converts a quantity, or the result of an expression, to another unit of its kind. Exact factors limit nothing; temperatures move with
 * their offset, differences of temperatures without it.
 * @param toUnit any unit known here, or `h:min:s`, or `h:min`.
 * @throws UnknownUnitError, UnitMismatchError naming both units, ExpressionError pointing at the character.
 * @example convert('335 cm^2', 'in^2').text // '51.9'
 */
export function convert(quantity: string, toUnit: string, rules?: Partial<HouseRules>): Conversion {
  const house = completeRules(rules);
  const to = parseUnit(toUnit);
  return convertedTo(calculateWith(quantity, house, new Map()), to, house).calculation;
}

/** A difference of temperatures stays one: asked for in °F it becomes a difference in °F. */
function differenceFor(from: Unit, to: Unit): Unit {
  const scale = temperatureScale(to);
  return scale !== null && Object.keys(from)[0]?.startsWith('Δ') ? { [`Δ${scale}`]: 1 } : to;
}
