import { centred, checkFinite, products } from './centred.ts';

/** A straight line through points, y = slope·x + intercept. Two points have no scatter about it: what is found from the scatter is null. */
export interface Line {
  readonly slope: number;
  readonly intercept: number;
  readonly uSlope: number | null;
  readonly uIntercept: number | null;
  /** Between slope and intercept, −1 to 1. */
  readonly correlation: number;
  /** Standard deviation of the points about the line, n − 2. */
  readonly residual: number | null;
  readonly degreesOfFreedom: number;
}

/** What a line says at a further x. */
export interface PredictedByLine {
  readonly value: number;
  /** Standard uncertainty of the line there. */
  readonly standard: number | null;
  /** The same, with the scatter of one further point. */
  readonly standardOfOne: number | null;
}

function checkPoints(x: readonly number[], y: readonly number[]): void {
  if (x.length !== y.length) throw new RangeError(`y: ${y.length} values for ${x.length} values of x.`);
  if (x.length < 2) throw new RangeError('x: at least two points are needed for a line.');
  checkFinite('x', x);
  checkFinite('y', y);
  if (x.every((value) => value === x[0])) throw new RangeError('x: all values are the same, so no line can be laid.');
}

/**
 * The line of least squares in y (JCGM 100:2008, H.3), both sums taken about the means.
 * @param x the same for all of a kind, in their unit; taken as known much better than y.
 * @throws RangeError naming the value, when there are fewer than two points or all x are the same.
 */
export function line(x: readonly number[], y: readonly number[]): Line {
  checkPoints(x, y);
  const n = x.length;
  const [atX, atY] = [centred(x), centred(y)];
  const squares = products(atX.deviations, atX.deviations);
  const slope = products(atX.deviations, atY.deviations) / squares;
  const intercept = atY.mean - slope * atX.mean;
  const correlation = -atX.mean / Math.hypot(atX.mean, Math.sqrt(squares / n)) + 0;
  const degreesOfFreedom = n - 2;
  if (degreesOfFreedom === 0)
    return { slope, intercept, uSlope: null, uIntercept: null, correlation, residual: null, degreesOfFreedom };
  const residuals = atY.deviations.map((deviation, i) => deviation - slope * (atX.deviations[i] ?? 0));
  const residual = Math.sqrt(products(residuals, residuals) / degreesOfFreedom);
  return {
    slope,
    intercept,
    uSlope: residual / Math.sqrt(squares),
    uIntercept: residual * Math.sqrt(1 / n + atX.mean ** 2 / squares),
    correlation,
    residual,
    degreesOfFreedom,
  };
}

/** What a line says at a further x, with the covariance of its slope and intercept. */
export function predictedBy(fitted: Line, x: number): PredictedByLine {
  const { slope, intercept, uSlope, uIntercept, correlation, residual } = fitted;
  const value = intercept + slope * x;
  if (uSlope === null || uIntercept === null || residual === null)
    return { value, standard: null, standardOfOne: null };
  const [first, second] = [uIntercept, x * uSlope];
  const variance = Math.max(0, first ** 2 + second ** 2 + 2 * correlation * first * second);
  return { value, standard: Math.sqrt(variance), standardOfOne: Math.sqrt(variance + residual ** 2) };
}
