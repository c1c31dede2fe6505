import { Rational } from '../../numbers/rational.ts';
import { withoutDustBeyond } from '../../numbers/rounding.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { decimalsOf, lastMarkPassed, multipleOf } from '../../scales/linear-scale.ts';
import type { Indication } from './indication.ts';
import { keepingTheLatest } from './latest.ts';
import { isEstimate, isGiven, type ReadingStep, type Resolution } from './resolution.ts';

/** A difference of two readings is accepted within this many times the band of one. */
const DIFFERENCE_BAND = 1.5;

/** Half the width of the accepted band about the true value, in the instrument's unit; 0 where the last digit is given. */
export function acceptanceBand(
  { division, lastDigit }: Resolution,
  { acceptance }: HouseRules,
  difference = false,
): number {
  if (lastDigit === 'coincidence') return division;
  if (isGiven(lastDigit)) return 0;
  return (acceptance / 10) * division * (difference ? DIFFERENCE_BAND : 1);
}

/** How far off the truth an estimate is at most, in divisions. */
const WORST_ESTIMATE = 0.5;

/** How far off the truth badly made estimates reach, in the instrument's unit: of a difference both are made badly. */
export function worstEstimate({ resolution, isDifference }: Pick<Indication, 'resolution' | 'isDifference'>): number {
  return isEstimate(resolution.lastDigit) ? WORST_ESTIMATE * resolution.division * (isDifference ? 2 : 1) : 0;
}

/** Whether a wrong reading is further from the right one than any estimate, with the band about it: only then something else must be behind it. */
export function isBeyondEstimates(indication: Indication, offBy: number): boolean {
  const { resolution, rules, isDifference } = indication;
  return Math.abs(offBy) > worstEstimate(indication) + acceptanceBand(resolution, rules, isDifference) + HAIR;
}

/** Whether a number can have been read at all: what was read for it lies on the scale, or where the mark itself stands. */
export function isOnScale({ tool, mark, subtracted, resolution }: Indication, number: number): boolean {
  if (mark === null) return true;
  const [least, most] = tool.range;
  const read = number + subtracted;
  // What is taken off a mark can have further digits than the answer is written with.
  const room = HAIR + (judgedAtMarks(resolution) ? 10 ** resolution.place / 2 : 0);
  return read >= Math.min(least, mark) - room && read <= Math.max(most, mark) + room;
}

/** Room for the rounding of doubles when a reading lies exactly on the edge of a band. */
export const HAIR = 1e-9;

/** Under half-division and nearest-division either neighbour is right this near to the midpoint, in divisions. */
const NEAR_MIDPOINT = 0.2;

/** A number of steps as it is written: free of dust, and rounded where the step has more places than are written. */
function stepped(count: number, { step, place }: ReadingStep): number {
  return withoutDustBeyond(count * step, Math.max(0, -place));
}

/** Steps on either side of a point that are right for it where no tenth is estimated. */
function neighbours(value: number, { step, division }: Resolution): number[] {
  const below = Math.floor(value / step + HAIR);
  const fromMidpoint = Math.abs(value - (below + 0.5) * step);
  return fromMidpoint <= NEAR_MIDPOINT * division + HAIR ? [below, below + 1] : [Math.round(value / step + HAIR)];
}

/** Every reading of one point that counts as right, lowest first. */
export function acceptedReadings(
  resolution: Resolution,
  rules: HouseRules,
  value: number,
  difference = false,
): number[] {
  const { step, lastDigit } = resolution;
  const nearest = Math.round(value / step + HAIR);
  const written = (count: number): number => stepped(count, resolution);
  switch (lastDigit) {
    case 'coincidence':
      // The line beside the one that coincides cannot be told from it.
      return [nearest - 1, nearest, nearest + 1].map(written);
    case 'displayed':
    case 'known':
      return [written(nearest)];
    case 'half-division':
    case 'nearest-division':
      return neighbours(value, resolution).map(written);
    case 'tenths': {
      const band = acceptanceBand(resolution, rules, difference) + HAIR;
      const reach = Math.ceil(band / step) + 1;
      const within: number[] = [];
      for (let count = nearest - reach; count <= nearest + reach; count += 1) {
        const accepted = written(count);
        if (Math.abs(accepted - value) <= band) within.push(accepted);
      }
      return within.length > 0 ? within : [written(nearest)];
    }
  }
}

/** Halves and whole divisions are read at the marks. */
export function judgedAtMarks({ lastDigit }: Resolution): boolean {
  return lastDigit === 'half-division' || lastDigit === 'nearest-division';
}

/** A reading less what is taken off it, to the place that is written. */
export function lessWhatIsTakenOff(
  { resolution, rules }: Pick<Indication, 'resolution' | 'rules'>,
  reading: number | string,
  off: number | string,
): Rational {
  return Rational.of(reading).minus(Rational.of(off)).roundedTo(resolution.place, rules.rounding);
}

/** Every number that counts as right, lowest first: readings, less what is taken off; none that is off the scale. */
export const acceptedAnswers = keepingTheLatest((indication: Indication): readonly number[] =>
  answersAnywhere(indication).filter((answer) => isOnScale(indication, answer)),
);

function answersAnywhere(indication: Indication): number[] {
  const { resolution, rules, answer, subtracted, subtractedIsRead, isDifference } = indication;
  if (!judgedAtMarks(resolution)) return acceptedReadings(resolution, rules, answer, isDifference);
  // Halves and whole divisions are judged at the marks; what is taken off follows.
  const offs = subtractedIsRead ? acceptedReadings(resolution, rules, subtracted) : [subtracted];
  const all = acceptedReadings(resolution, rules, answer + subtracted).flatMap((reading) =>
    offs.map((off) => lessWhatIsTakenOff(indication, reading, off).toNumber()),
  );
  return [...new Set(all)].sort((a, b) => a - b);
}

/**
 * A scale on which estimating adds no place (by fives, by tens of whole units, approximate marks): who does not estimate writes the
 * last mark or the nearest one, with every digit in place.
 */
export function stopsAtMarks({ step, place, division, lastDigit }: Resolution): boolean {
  return lastDigit === 'tenths' && step < division && place === -Math.min(decimalsOf(division), 2);
}

/** Marks that stand for a reading where estimating adds no place, as they are written; none on any other tool. */
export function marksBeside({ graduation, resolution }: Indication, seen: number): number[] {
  if (!graduation || !stopsAtMarks(resolution)) return [];
  const { division, place } = resolution;
  const marks = [lastMarkPassed(graduation, seen), multipleOf(division, Math.round(seen / division))];
  return [...new Set(marks.map((mark) => Number(mark.toFixed(Math.max(0, -place)))))];
}
