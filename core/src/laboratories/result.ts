import { waterDensity } from '../materials/water-density.ts';
import { compileGradient, type Dual } from '../calculations/expression/gradient.ts';
import type { Expression } from '../calculations/expression/expression.ts';
import { UnreadableNumberError, parseWrittenNumber } from '../numbers/written-number.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { summarise, type Summary } from '../statistics/summarise.ts';
import { coverageFactor, effectiveDegreesOfFreedom } from '../uncertainty/coverage.ts';
import { UncertaintyInputError, type Input } from '../uncertainty/input.ts';
import { propagateThrough, type PropagationSchool, type Propagated } from '../uncertainty/propagate.ts';
import { readingHalfWidth } from './engine/inputs.ts';
import { anyTool } from './run/tool-in-run.ts';

/** One row of readings that enters the result: the values of the read quantities, by id. */
export type TrialValues = Readonly<Record<string, number>>;

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
        { value: 0, halfWidth: readingHalfWidth(anyTool(instrumentOf[name] ?? ''), rules) / pieces },
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
