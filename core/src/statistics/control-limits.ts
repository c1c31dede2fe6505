import { summarise } from './summarise.ts';

/** What the errors of a tool’s checks are held against: a centre with limits to both sides, in the tool’s unit. */
export interface ControlLimits {
  readonly centre: number;
  /** Distance of the warning limits and of the action limits from the centre. */
  readonly warning: number;
  readonly action: number;
  /** Taken from the tool’s tolerance until there are checks enough to know how it scatters. */
  readonly from: 'tolerance' | 'checks';
}

/** Fewer checks than this say little about a tool’s own scatter; later ones are held against what these said, so that a drift shows. */
const FIRST = 8;

/**
 * Limits of a control chart: two and three standard deviations to both sides of the mean, for warning and for action (Shewhart, 1931;
 * ISO 7870-2:2013), reckoned from the first eight checks; while there are fewer, two thirds of the tolerance and the whole of it about zero.
 * @param errors readings less their nominal values, oldest first. @param tolerance and `division`, in the same unit.
 */
export function controlLimits(errors: readonly number[], tolerance: number, division: number): ControlLimits {
  if (errors.length < FIRST) return { centre: 0, warning: (2 * tolerance) / 3, action: tolerance, from: 'tolerance' };
  const { mean, sampleStandardDeviation } = summarise(errors.slice(0, FIRST));
  // A tool that shows the same each time still cannot tell less than its last digit: a rectangle as wide as a division.
  const deviation = Math.max(sampleStandardDeviation ?? 0, division / Math.sqrt(12));
  return { centre: mean, warning: 2 * deviation, action: 3 * deviation, from: 'checks' };
}

type CheckJudged = 'inside' | 'warning' | 'action';

/** Room for the rounding of doubles at a limit. */
const HAIR = 1e-9;

/** How an error lies among the limits; on a limit is still inside it. */
export function judgeCheck(error: number, { centre, warning, action }: ControlLimits): CheckJudged {
  const distance = Math.abs(error - centre);
  if (distance > action + HAIR) return 'action';
  return distance > warning + HAIR ? 'warning' : 'inside';
}
