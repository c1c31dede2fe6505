import type { Instrument } from '../../instruments/instrument.ts';
import { secondsIn, writtenTime } from '../../numbers/clock-time.ts';
import { Rational } from '../../numbers/rational.ts';
import type { RoundingRule } from '../../numbers/rounding-rule.ts';
import { writtenAtPlace } from '../../numbers/rounding.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { acceptedAnswers, judgedAtMarks, lessWhatIsTakenOff } from './acceptance.ts';
import type { Indication } from './indication.ts';
import type { ReadingStep } from './resolution.ts';

/** The right reading of a task, as it should be written. */
export interface ExpectedReading {
  readonly text: string;
  readonly unit: string;
  /** Power of ten of the last digit. */
  readonly place: number;
  /** Lowest and highest reading that count as right. */
  readonly accepts: readonly [string, string];
}

/** The unit the class writes an instrument's readings in: mL or cm³ for volumes, and so for densities. */
export function writtenUnitOf(instrument: Instrument, rules: HouseRules): string {
  return instrument.unit.replace('mL', rules.volumeUnit);
}

/** Writes a value as a reading: rounded to the tool's step, with every digit to its place. */
export function writtenReading({ resolution, rules }: Pick<Indication, 'resolution' | 'rules'>, value: number): string {
  const { step, place, onClock } = resolution;
  const steps = value / step;
  if (!onClock && place <= 0 && isWhole(step / 10 ** place) && isClearOfTies(steps))
    return (Math.round(steps) * step).toFixed(-place);
  const exactStep = Rational.of(step);
  const count = Rational.of(value).dividedBy(exactStep).roundedTo(0);
  return writtenTo(resolution, count.times(exactStep), rules.rounding);
}

/** Room for the rounding of doubles, in steps. */
const DUST = 1e-6;

function isWhole(number: number): boolean {
  return Math.abs(number - Math.round(number)) < DUST;
}

/** Whether doubles tell to which side a number is rounded to a whole one, and that is not zero, which has a sign of its own. */
function isClearOfTies(number: number): boolean {
  return Math.abs(number) > 0.5 + DUST && Math.abs(number) < 1e9 && Math.abs((Math.abs(number) % 1) - 0.5) > DUST;
}

/** A number as it is written on a tool: in decimals, or as hours, minutes and seconds. */
export function writtenTo(
  { place, onClock }: Pick<ReadingStep, 'place' | 'onClock'>,
  value: Rational | number,
  rule?: RoundingRule,
): string {
  return onClock ? writtenTime(Rational.of(value), place, rule) : writtenAtPlace(value, place, rule);
}

/** The number that a written reading says, in the instrument’s unit: `46.0`, and `0:31:33` in seconds. */
export function numberWritten(text: string): number {
  return secondsIn(text) ?? Number(text);
}

/** As `writtenReading`, in binary arithmetic, for the predictions of slips, where a tie in rounding decides nothing. */
export function roughlyWritten(value: number, { step, place, onClock }: ReadingStep): string {
  if (onClock) return writtenTo({ place, onClock }, Math.round(value));
  return (Math.round(value / step) * step + 0).toFixed(Math.max(0, -place));
}

/** The right answer as it is written. */
function writtenAnswer(indication: Indication): string {
  const { resolution, rules, answer, subtracted, subtractedIsRead } = indication;
  if (subtracted === 0 || !judgedAtMarks(resolution)) return writtenReading(indication, answer);
  const reading = writtenReading(indication, answer + subtracted);
  const off = subtractedIsRead ? writtenReading(indication, subtracted) : subtracted;
  return writtenAtPlace(lessWhatIsTakenOff(indication, reading, off), resolution.place, rules.rounding);
}

/** What a careful observer with a level eye would write, and the band about the true value that is accepted. */
export function expectedFrom(indication: Indication): ExpectedReading {
  const { tool, rules, resolution } = indication;
  const accepted = acceptedAnswers(indication);
  const [lowest = 0, highest = 0] = [accepted[0], accepted.at(-1)];
  return {
    text: writtenAnswer(indication),
    unit: writtenUnitOf(tool, rules),
    place: resolution.place,
    accepts: [writtenTo(resolution, lowest), writtenTo(resolution, highest)],
  };
}
