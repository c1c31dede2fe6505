import { Rational } from '../../numbers/rational.ts';
import type { Estimate } from '../../rules/house-rules.ts';
import { decimalsOf } from '../../scales/linear-scale.ts';

/**
 * How the last digit of a reading is come by: estimated by the class’s rule; told by the line that coincides, so that there is nothing
 * to estimate and a line to either side cannot be told from it; displayed; or known beforehand, as that of a ring’s volume.
 */
export type LastDigit = Estimate | 'coincidence' | 'displayed' | 'known';

/** Whether every digit is given, with nothing to judge. */
export function isGiven(lastDigit: LastDigit): lastDigit is 'displayed' | 'known' {
  return lastDigit === 'displayed' || lastDigit === 'known';
}

/** Whether a digit beyond the marks is estimated, or at least judged between them. */
export function isEstimate(lastDigit: LastDigit): lastDigit is Estimate {
  return lastDigit !== 'coincidence' && !isGiven(lastDigit);
}

/** What a reading may be a multiple of, and the place it is written to. */
export interface ReadingStep {
  readonly step: number;
  readonly place: number;
  /** Counted in seconds, and written as hours, minutes and seconds. */
  readonly onClock?: true;
}

/** How far a class reads a tool: its smallest division, how the digit beyond is come by, and what the reading is a multiple of. */
export interface Resolution extends ReadingStep {
  readonly division: number;
  readonly lastDigit: LastDigit;
}

/** Sixteenths are written as decimals to a hundredth, whatever part of them is estimated. */
const SIXTEENTH = 1 / 16;
const SIXTEENTHS: Readonly<Record<Estimate, ReadingStep>> = {
  tenths: { step: 0.01, place: -2 },
  'half-division': { step: SIXTEENTH / 2, place: -2 },
  'nearest-division': { step: SIXTEENTH, place: -2 },
};

/**
 * The finest step of a scale with such divisions. Tenths: divisions of 1 or 2 times a power of ten to a tenth of that power,
 * divisions of 5 in fifths; sixteenths of an inch as decimals.
 */
export function stepOfDivision(division: number, estimate: Estimate): ReadingStep {
  if (division === SIXTEENTH) return SIXTEENTHS[estimate];
  const known = STEPS[estimate].get(division);
  if (known) return known;
  const step = stepOf(division, estimate);
  const found = { step, place: -decimalsOf(step) };
  STEPS[estimate].set(division, found);
  return found;
}

/** Those of the divisions there are, worked out once. */
const STEPS: Readonly<Record<Estimate, Map<number, ReadingStep>>> = {
  tenths: new Map(),
  'half-division': new Map(),
  'nearest-division': new Map(),
};

function stepOf(division: number, estimate: Estimate): number {
  if (estimate === 'nearest-division') return division;
  const exact = Rational.of(division);
  if (estimate === 'half-division') return exact.dividedBy(Rational.of(2)).toNumber();
  const five = Rational.of(5).shifted(exact.magnitude());
  return (
    exact.equals(five) ? exact.dividedBy(Rational.of(5)) : Rational.ONE.shifted(exact.magnitude() - 1)
  ).toNumber();
}

/** The rule by which a last digit is estimated; the nearest division where nothing is. */
export function estimateIn(lastDigit: LastDigit): Estimate {
  return isEstimate(lastDigit) ? lastDigit : 'nearest-division';
}

/** Worked out once for each division and rule: those in use are few. */
const RESOLUTIONS = new Map<string, Resolution>();

/** How far a scale with such divisions is read. A display is written with every digit it shows, a vernier to its least count. */
export function resolutionOf(division: number, lastDigit: LastDigit): Resolution {
  const key = `${division} ${lastDigit}`;
  const known = RESOLUTIONS.get(key) ?? { division, lastDigit, ...stepOfDivision(division, estimateIn(lastDigit)) };
  RESOLUTIONS.set(key, known);
  return known;
}
