export type InputShape = 'normal' | 'rectangular' | 'triangular' | 't';

/** One measured input: its value with a standard uncertainty, or a half-width (rectangular unless said otherwise). */
export interface Input {
  readonly value: number;
  readonly standard?: number;
  readonly halfWidth?: number;
  readonly shape?: InputShape;
  readonly degreesOfFreedom?: number;
}

/** An input or option is not usable; `input` names it. */
export class UncertaintyInputError extends Error {
  override readonly name = 'UncertaintyInputError';
  constructor(
    readonly input: string,
    reason: string,
  ) {
    super(`${input}: ${reason}`);
  }
}

/** The error of one input, as the methods need it: it is 0 at the value that was found. */
export interface UncertainInput {
  readonly name: string;
  readonly shape: InputShape;
  readonly standard: number;
  /** What plain sum and extremes use: the half-width, else the standard uncertainty. */
  readonly width: number;
  /** Infinity for what was not found from repeats. */
  readonly degreesOfFreedom: number;
  /**
   * Of errors that come from the same scatter: means of quantities repeated together, slope and intercept of one line. Each is
   * Σ weightₖ·zₖ over one common set of independent errors z; the weights’ squares sum to the standard uncertainty squared.
   */
  readonly together?: { readonly scatter: string; readonly weights: readonly number[] };
}

const SHAPES: readonly InputShape[] = ['normal', 'rectangular', 'triangular', 't'];

/** @throws UncertaintyInputError naming the input. */
function check(name: string, input: Input): void {
  if (!Number.isFinite(input.value))
    throw new UncertaintyInputError(name, `its value ${String(input.value)} is not a finite number.`);
  for (const [field, size] of [
    ['standard', input.standard],
    ['halfWidth', input.halfWidth],
  ] as const) {
    if (size !== undefined && !(Number.isFinite(size) && size >= 0))
      throw new UncertaintyInputError(name, `${field} ${String(size)} is not a number of zero or more.`);
  }
  if (input.shape !== undefined && !SHAPES.includes(input.shape))
    throw new UncertaintyInputError(name, `shape “${input.shape}” is not one of ${SHAPES.join(', ')}.`);
  if (input.degreesOfFreedom !== undefined && !(input.degreesOfFreedom > 0))
    throw new UncertaintyInputError(name, `degreesOfFreedom ${String(input.degreesOfFreedom)} is not above 0.`);
  if (
    input.standard === undefined &&
    input.halfWidth !== undefined &&
    (input.shape === 'normal' || input.shape === 't')
  )
    throw new UncertaintyInputError(
      name,
      `a ${input.shape} input needs a standard uncertainty; a half-width belongs to a rectangle or a triangle.`,
    );
}

/** How much wider than its standard uncertainty a rectangle or a triangle is (JCGM 100:2008, 4.3.7 and 4.3.9). */
export function widthPerStandard(shape: InputShape): number {
  return Math.sqrt(shape === 'triangular' ? 6 : 3);
}

/**
 * An input as the methods need it: what has only a standard uncertainty is normal, what has a half-width a rectangle, unless said otherwise.
 * @throws UncertaintyInputError naming the input.
 */
export function uncertainInput(name: string, input: Input): UncertainInput {
  check(name, input);
  const { standard, halfWidth, degreesOfFreedom = Infinity } = input;
  const shape =
    input.shape ?? (standard === undefined ? 'rectangular' : degreesOfFreedom === Infinity ? 'normal' : 't');
  return {
    name,
    shape,
    standard: standard ?? (halfWidth ?? 0) / widthPerStandard(shape),
    width: halfWidth ?? standard ?? 0,
    degreesOfFreedom,
  };
}
