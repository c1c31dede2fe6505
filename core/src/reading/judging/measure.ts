import { acceptanceBand, HAIR, judgedAtMarks, worstEstimate } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { keepingTheLatest } from '../indication/latest.ts';
import { estimateIn, isGiven, stepOfDivision, type LastDigit, type ReadingStep } from '../indication/resolution.ts';

/** Scatter of an estimated digit, in divisions: 0.07 for the eye and the rounding to a tenth. */
const SCATTER = 0.08;
/** Scatter of the line that seems to coincide, in lines. */
const LINES = 0.4;
/** Scatter of an estimate that is not made with care, in divisions. */
const BADLY = 0.35;

function scatterOf(lastDigit: LastDigit): number {
  return lastDigit === 'coincidence' ? LINES : SCATTER;
}

/** What an entry is compared with: the instrument's step and division, the accepted band and the scatter. */
export interface Measure extends ReadingStep {
  /** One of the last digit, in the instrument’s unit. */
  readonly lastUnit: number;
  readonly division: number;
  readonly band: number;
  /** Scatter of a digit that is estimated carefully, in the instrument's unit. */
  readonly scatter: number;
  /** Scatter of a digit that is estimated badly, and how far off it is: further than is accepted, up to the worst; of a difference both readings' digits are. */
  readonly badly: { readonly scatter: number; readonly least: number; readonly most: number };
  /** Another place the last digit may have: who mistakes a division may still write as many decimals as the class does on this tool. */
  readonly otherPlace: number | null;
}

/** What entries for an indication are compared with. */
export const measureOf = keepingTheLatest((indication: Indication): Measure => {
  const { resolution, rules, isDifference } = indication;
  const { division, lastDigit, step, place, onClock } = resolution;
  const band = acceptanceBand(resolution, rules, isDifference);
  const measure = {
    step,
    place,
    lastUnit: 10 ** place,
    division,
    band,
    scatter: isGiven(lastDigit) ? HAIR : scatterOf(lastDigit) * division * (isDifference ? Math.SQRT2 : 1),
    badly: {
      scatter: BADLY * division * (isDifference ? Math.SQRT2 : 1),
      // What is written for an accepted estimate may be half a step off it.
      least: band + (judgedAtMarks(resolution) ? 0 : step / 2),
      most: worstEstimate(indication),
    },
    otherPlace: null,
  };
  return onClock ? { ...measure, onClock } : measure;
});

/** How somebody reads who takes a division of the scale for another size. */
export function measureWith(indication: Indication, division: number): Measure {
  const { lastDigit } = indication.resolution;
  const { band, division: real, place: otherPlace, badly } = measureOf(indication);
  const { step, place } = stepOfDivision(division, estimateIn(lastDigit));
  return {
    step,
    place,
    lastUnit: 10 ** place,
    division,
    band: (band * division) / real,
    scatter: scatterOf(lastDigit) * division,
    badly: {
      scatter: (badly.scatter * division) / real,
      least: (badly.least * division) / real,
      most: (badly.most * division) / real,
    },
    otherPlace,
  };
}
