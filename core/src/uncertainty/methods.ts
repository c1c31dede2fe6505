import { compensatedSum } from '../statistics/compensated-sum.ts';
import type { CorrelatedPair } from './correlations.ts';
import { UncertaintyInputError, type UncertainInput } from './input.ts';

/** An uncertainty by one method, and what each input adds to it: to the variance by quadrature, to the width by the others. */
export interface CombinedInputs {
  readonly uncertainty: number;
  /** By input; under correlation some may be negative. They sum to the whole. */
  readonly parts: readonly number[];
}

/**
 * Slope times width. An input that is not uncertain adds nothing, whatever the slope.
 * @throws UncertaintyInputError where an uncertain input has no finite slope: sqrt(x) at 0.
 */
function spread({ name }: UncertainInput, slope: number, width: number): number {
  if (width === 0) return 0;
  if (!Number.isFinite(slope))
    throw new UncertaintyInputError(
      name,
      'the formula has no finite slope there, so its uncertainty cannot be carried on by slopes.',
    );
  return slope * width;
}

/**
 * u² = Σᵢⱼ cᵢuᵢ·cⱼuⱼ·rᵢⱼ (JCGM 100:2008, 5.1.2 and 5.2.2).
 * @param slopes one for each input. @param pairs each at most once.
 * @throws UncertaintyInputError naming the input whose slope is not finite.
 */
export function quadrature(
  inputs: readonly UncertainInput[],
  slopes: readonly number[],
  pairs: readonly CorrelatedPair[] = [],
): CombinedInputs {
  const spreads = inputs.map((input, i) => spread(input, slopes[i] ?? 0, input.standard));
  const parts = spreads.map((one) => one * one);
  for (const [i, j, r] of pairs) {
    const shared = r * (spreads[i] ?? 0) * (spreads[j] ?? 0);
    parts[i] = (parts[i] ?? 0) + shared;
    parts[j] = (parts[j] ?? 0) + shared;
  }
  return { uncertainty: Math.sqrt(Math.max(0, compensatedSum(parts))), parts };
}

/**
 * Σ|cᵢ|δᵢ.
 * @throws UncertaintyInputError naming the input whose slope is not finite.
 */
export function plainSum(inputs: readonly UncertainInput[], slopes: readonly number[]): CombinedInputs {
  const parts = inputs.map((input, i) => Math.abs(spread(input, slopes[i] ?? 0, input.width)));
  return { uncertainty: compensatedSum(parts), parts };
}

/** The results for many sets of errors at once: one array for each input (undefined where it stays 0), and how many sets. */
export type EvaluateMany = (errors: readonly (Float64Array | undefined)[], count: number) => Float64Array;

/** Up to so many uncertain inputs all corners are tried; beyond, the two that the slopes point to. */
export const MOST_CORNER_INPUTS = 14;

/** How many corners are evaluated at a time. */
export const CORNERS_AT_A_TIME = 1024;

/** Half the difference between the largest and the smallest result over sets of errors. */
class HalfRange {
  private least = Infinity;
  private most = -Infinity;

  constructor(private readonly evaluate: EvaluateMany) {
    // In the middle of the corners a result can be smaller than at all of them: x² at 0.
    this.take([], 1);
  }

  take(errors: readonly (Float64Array | undefined)[], count: number): void {
    const results = this.evaluate(errors, count);
    for (let k = 0; k < count; k += 1) {
      const value = results[k] ?? NaN;
      if (!Number.isFinite(value))
        throw new UncertaintyInputError(
          'inputs',
          'the formula has no value at one of the corners; the widths are too large for this method.',
        );
      this.least = Math.min(this.least, value);
      this.most = Math.max(this.most, value);
    }
  }

  get half(): number {
    return (this.most - this.least) / 2;
  }
}

/** All corners of the inputs at `moved`, the others staying. */
function overCorners(inputs: readonly UncertainInput[], moved: readonly number[], evaluate: EvaluateMany): number {
  const range = new HalfRange(evaluate);
  const corners = 2 ** moved.length;
  const errors: (Float64Array | undefined)[] = inputs.map(() => undefined);
  for (let from = 0; from < corners; from += CORNERS_AT_A_TIME) {
    const count = Math.min(CORNERS_AT_A_TIME, corners - from);
    moved.forEach((index, bit) => {
      const width = inputs[index]?.width ?? 0;
      errors[index] = Float64Array.from({ length: count }, (_, k) =>
        Math.floor((from + k) / 2 ** bit) % 2 === 1 ? width : -width,
      );
    });
    range.take(errors, count);
  }
  return range.half;
}

/** The two corners where every input pushes the same way, by the signs of the slopes. */
function bySigns(inputs: readonly UncertainInput[], slopes: readonly number[], evaluate: EvaluateMany): number {
  const range = new HalfRange(evaluate);
  const errors = inputs.map(({ width }, i) => {
    const push = (slopes[i] ?? 0) < 0 ? -width : width;
    return width === 0 ? undefined : Float64Array.of(push, -push);
  });
  range.take(errors, 2);
  return range.half;
}

/**
 * Half the difference between the largest and the smallest result over all corners; what each input adds is what it does alone.
 * Beyond 14 uncertain inputs only two corners are tried.
 * @throws UncertaintyInputError when the formula has no value at a corner.
 */
export function extremes(
  inputs: readonly UncertainInput[],
  slopes: readonly number[],
  evaluate: EvaluateMany,
): CombinedInputs & { readonly allCorners: boolean } {
  const uncertain = inputs.flatMap(({ width }, i) => (width > 0 ? [i] : []));
  const allCorners = uncertain.length <= MOST_CORNER_INPUTS;
  const uncertainty = allCorners ? overCorners(inputs, uncertain, evaluate) : bySigns(inputs, slopes, evaluate);
  const alone = inputs.map((_, i) => (uncertain.includes(i) ? overCorners(inputs, [i], evaluate) : 0));
  // Where each does nothing alone, as at the zero of a product, they do it together.
  const parts = alone.some((size) => size > 0)
    ? alone
    : inputs.map((_, i) => (uncertain.includes(i) ? uncertainty : 0));
  return { uncertainty, parts, allCorners };
}

/** Shares that sum to 1; all 0 when nothing is uncertain. */
export function sharesOf(parts: readonly number[]): number[] {
  const total = compensatedSum(parts);
  return parts.map((part) => (total > 0 ? part / total : 0));
}
