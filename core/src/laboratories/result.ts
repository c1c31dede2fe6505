import { UnreadableEntryError } from '../reading/judging/entry.ts';
import { parseEntry } from '../reading/judging/parse-entry.ts';
import { parseUnit } from '../units/unit.ts';
import { readingStep } from '../reading/expected-reading.ts';
import { instrumentById } from '../instruments/catalogue.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { MATERIALS, materialById } from '../materials/materials.ts';
import { waterDensity } from '../materials/water-density.ts';
import { compileGradient, type Dual } from '../calculations/expression/gradient.ts';
import type { Expression } from '../calculations/expression/expression.ts';
import { uncertaintyPlace, writtenAtPlace } from '../numbers/rounding.ts';
import { UnreadableNumberError, parseWrittenNumber } from '../numbers/written-number.ts';
import { Decimal } from '../numbers/decimal.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { summarise, type Summary } from '../statistics/summarise.ts';
import { coverageFactor, effectiveDegreesOfFreedom } from '../uncertainty/coverage.ts';
import { UncertaintyInputError, type Input } from '../uncertainty/input.ts';
import { propagateThrough, type PropagationSchool, type Propagated } from '../uncertainty/propagate.ts';

/** One row of readings that enters the result: the values of the read quantities, by id. */
export type TrialValues = Readonly<Record<string, number>>;

/** The half-width a class quotes for one reading on an instrument, in its unit. */
export function readingHalfWidth(instrument: Instrument, rules: HouseRules): number {
  if (readingStep(instrument, rules).lastDigit === 'displayed')
    return (
      instrument.division *
      { 'one-last-digit': 1, 'half-last-digit': 0.5, 'two-last-digits': 2 }[rules.digitalUncertainty]
    );
  switch (rules.readingUncertainty) {
    case 'half-division':
      return instrument.division / 2;
    case 'tenth-division':
      return instrument.division / 10;
    case 'whole-division':
      return instrument.division;
    case 'maker-tolerance':
      return instrument.tolerance.b;
  }
}

/** What repeats contribute, by the class's rule; null while one value has no spread. */
function repeatInput(summary: Summary, rules: HouseRules): Input {
  if (summary.standardError === null || summary.range === null) return { value: 0 };
  return { value: 0, standard: rules.repeatUncertainty === 'half-range' ? summary.range / 2 : summary.standardError };
}

/** One school's uncertainty of the mean, with the share of each contribution. */
export interface Combined {
  readonly school: PropagationSchool;
  readonly uncertainty: number;
  /** What the uncertainty is multiplied by before it is quoted; half-widths are limits already and are quoted as they are. */
  readonly coverageFactor: number;
  readonly budget: readonly { readonly name: string; readonly share: number }[];
}

/** The name under which the scatter of the repeats stands in a budget. */
export const REPEATS = 'repeats';

/**
 * Mean of the trials' results as a function of one common offset per read quantity: an error of reading is taken to be shared by all
 * trials (same tool, same eye), so repeating does not make it smaller, and the scatter of the repeats stands beside it.
 */
function meanWithOffsets(
  tree: Expression,
  trials: readonly TrialValues[],
  quantities: readonly string[],
): (offsets: Float64Array) => Dual {
  const evaluate = compileGradient(tree, quantities);
  return (offsets) => {
    const each = trials.map((trial) =>
      evaluate(Float64Array.from(quantities, (name, i) => (trial[name] ?? NaN) + (offsets[i] ?? 0))),
    );
    const gradient = new Float64Array(quantities.length + 1);
    quantities.forEach((_, i) => {
      gradient[i] = each.reduce((sum, dual) => sum + (dual.gradient[i] ?? 0), 0) / each.length;
    });
    gradient[quantities.length] = 1;
    return {
      value: each.reduce((sum, dual) => sum + dual.value, 0) / each.length + (offsets[quantities.length] ?? 0),
      gradient,
    };
  };
}

/** Everything that is known of a result from its trials. */
export interface CombinedResult {
  readonly summary: Summary;
  /** A school that has no result here is excluded: over the corners of wide inputs, a quotient's denominator can reach zero. */
  readonly combined: readonly Combined[];
  /** Uncertainty as it would be quoted by the class's school if this many pieces were measured together with the same tools; null when it has none. */
  togetherUncertainty(pieces: number): number | null;
}

/**
 * Combines repeats and instruments into one uncertainty, by every school side by side.
 * @param tree the result as a unit-free function of read quantities.
 * @param instrumentOf the tool of each read quantity.
 */
export function combineTrials(
  tree: Expression,
  values: readonly number[],
  trials: readonly TrialValues[],
  instrumentOf: Readonly<Record<string, string>>,
  rules: HouseRules,
): CombinedResult {
  const quantities = Object.keys(instrumentOf);
  const summary = summarise(values);
  const evaluate = meanWithOffsets(tree, trials, quantities);
  const inputs = (pieces: number): Record<string, Input> => ({
    ...Object.fromEntries(
      quantities.map((name): [string, Input] => [
        name,
        { value: 0, halfWidth: readingHalfWidth(instrumentById(instrumentOf[name] ?? ''), rules) / pieces },
      ]),
    ),
    [REPEATS]: repeatInput(summary, rules),
  });
  const bySchool = (school: PropagationSchool, pieces: number): Combined => {
    const all = inputs(pieces);
    const combinedOf = ({ uncertainty, budget }: Propagated): Combined => {
      const share = budget.find(({ name }) => name === REPEATS)?.share ?? 0;
      return {
        school,
        uncertainty,
        budget,
        coverageFactor:
          school === 'quadrature' ? coverageFactor(rules, effectiveDegreesOfFreedom(summary.n, share)) : 1,
      };
    };
    if (rules.repeatUncertainty !== 'larger-of-the-two') return combinedOf(propagateThrough(evaluate, all, { school }));
    const tools = propagateThrough(evaluate, { ...all, [REPEATS]: { value: 0 } }, { school });
    const repeats = propagateThrough(
      evaluate,
      Object.fromEntries(Object.entries(all).map(([name, input]) => [name, name === REPEATS ? input : { value: 0 }])),
      { school },
    );
    return combinedOf(tools.uncertainty >= repeats.uncertainty ? tools : repeats);
  };
  const ifPossible = (school: PropagationSchool, pieces = 1): Combined | null => {
    try {
      return bySchool(school, pieces);
    } catch (error) {
      if (error instanceof UncertaintyInputError) return null;
      throw error;
    }
  };
  return {
    summary,
    combined: (['quadrature', 'plain-sum', 'extremes'] as const).flatMap((school) => ifPossible(school) ?? []),
    togetherUncertainty: (pieces) => {
      const together = ifPossible(schoolOf(rules), pieces);
      return together ? together.uncertainty * together.coverageFactor : null;
    },
  };
}

/** The school that decides what is quoted; until a simulation has been run, quadrature stands in for it, and is named. */
export function schoolOf(rules: HouseRules): PropagationSchool {
  return rules.combine === 'simulation' ? 'quadrature' : rules.combine;
}

/** A value and its uncertainty, both written to the place the uncertainty sets. */
export interface Quoted {
  readonly value: string;
  readonly uncertainty: string;
  readonly place: number;
}

/** Writes value ± uncertainty: the uncertainty to one figure or two by the class's rule, the value to the same place. */
export function quote(value: number, uncertainty: number, rules: HouseRules): Quoted | null {
  if (!(uncertainty > 0)) return null;
  const place = uncertaintyPlace(uncertainty, rules.uncertaintyFigures);
  return {
    value: writtenAtPlace(value, place, rules.rounding),
    uncertainty: writtenAtPlace(uncertainty, place, rules.rounding),
    place,
  };
}

/** The accepted value a result is compared with. */
export interface Accepted {
  readonly name: string;
  readonly least: number;
  readonly most: number;
  readonly middle: number;
  /** Power of ten of the last digit of a typed value; −Infinity for a range from the list, which limits nothing. */
  readonly place: number;
}

/**
 * The accepted value chosen in a run: a material’s id or name, or a number typed, with or without its unit. Null when it is none of these.
 * @param unit of the result, which a number without one is taken to be in.
 */
export function acceptedFrom(chosen: string, unit: string): Accepted | null {
  const material =
    materialById(chosen.trim()) ??
    MATERIALS.find((candidate) => candidate.name.toLowerCase() === chosen.trim().toLowerCase());
  if (material) {
    const [least, most] = material.density;
    const middle = Number(new Decimal(least).plus(most).div(2));
    return { name: material.name, least, most, middle, place: -Infinity };
  }
  try {
    const { value, place, unit: written } = parseEntry(chosen, parseUnit(unit));
    if (!(value > 0) || written === 'wrong') return null;
    return { name: 'the value you chose', least: value, most: value, middle: value, place };
  } catch (error) {
    if (error instanceof UnreadableEntryError) return null;
    throw error;
  }
}

/** How a result stands against an accepted value. */
export interface Comparison {
  readonly accepted: Accepted;
  /** Percent of the accepted middle, signed or absolute by the class's rule, with the figures that the error has. */
  readonly percentError: string;
  readonly good: boolean;
  readonly agrees: boolean;
}

/** A result with the place it is written to, and its standard uncertainty. */
export interface ResultToCompare {
  readonly value: number;
  readonly place: number;
  readonly uncertainty: number;
}

/** The percent error with as many figures as the difference has; as none is left, to the place where it would have its first. */
function writtenPercent(percent: number, error: number, place: number, accepted: number, rules: HouseRules): string {
  const magnitude = (number: number): number => new Decimal(number).abs().e;
  const figures =
    error === 0 ? 0 : magnitude(Number(writtenAtPlace(error, place, rules.rounding)) || error) - place + 1;
  const last = figures > 0 ? magnitude(percent) - figures + 1 : place + 2 - magnitude(accepted);
  return writtenAtPlace(percent, last, rules.rounding);
}

/** Compares a result with the accepted value: percent error from the middle, agreement within two uncertainties of the range. */
export function compare(
  { value, place, uncertainty }: ResultToCompare,
  accepted: Accepted,
  rules: HouseRules,
): Comparison {
  const error = value - accepted.middle;
  const percent = (error / accepted.middle) * 100;
  const shown = rules.percentError === 'absolute' ? Math.abs(percent) : percent;
  const outside = Math.max(0, accepted.least - value, value - accepted.most);
  return {
    accepted,
    percentError: writtenPercent(shown, error, Math.max(place, accepted.place), accepted.middle, rules),
    good: Math.abs(percent) <= rules.goodPercentError,
    agrees: outside <= 2 * uncertainty,
  };
}

/** The temperature in °C that was noted, with or without its unit; null when it is none that liquid water has. */
export function temperatureFrom(noted: string): number | null {
  try {
    const value = parseWrittenNumber(noted.replace(/\s*(°\s*C|C)?\s*$/u, '')).value.toNumber();
    return value >= 0 && value <= 100 ? value : null;
  } catch (error) {
    if (error instanceof UnreadableNumberError) return null;
    throw error;
  }
}

/** Water's density in g/mL by the class's rule, at the temperature noted or at 20 °C. */
export function waterDensityFor(temperature: number | null, rules: HouseRules): number {
  return rules.waterDensity === 'one' ? 1 : waterDensity(temperature ?? 20);
}
