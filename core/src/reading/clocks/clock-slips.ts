import { marksCounted, roundedUp } from '../slips/counting.ts';
import { differenceSlips, initialAlone } from '../slips/difference.ts';
import { unscattered, type CorrectionSlip, type Counted, type CountSlip, type Slip } from '../slips/slip.ts';
import { startOf, type ClockIndication } from './clock-indication.ts';
import { partsOfTime, timeOf, type TimeParts } from './time-parts.ts';

/** Times that are read off the hands instead of the right one, each as likely as the others. */
function readAs(read: (parts: TimeParts) => readonly TimeParts[]): CountSlip<ClockIndication>['counted'] {
  return ({ situation }, seen): Counted[] => {
    if (situation.face === 'display') return [];
    const wrong = read(partsOfTime(seen)).map(timeOf);
    return wrong.map((time) => unscattered(time, 1 / wrong.length));
  };
}

const hourAfter = (hours: number): number => (hours === 12 ? 1 : hours + 1);

const handsExchanged: CountSlip<ClockIndication> = {
  id: 'hands-exchanged',
  stage: 'count',
  name: 'Hour hand and minute hand exchanged',
  baseRate: 0.08,
  why: () => 'You read the hours from the long hand and the minutes from the short hand.',
  lookAt: () => 'the short, broad hand first: it shows the hours',
  counted: readAs(({ hours, minutes, seconds }) => [
    {
      hours: Math.floor(minutes / 5) || 12,
      minutes: Math.floor(((hours % 12) * 60 + minutes + seconds / 60) / 12),
      seconds,
    },
  ]),
};

const numeralAsMinutes: CountSlip<ClockIndication> = {
  id: 'numeral-as-minutes',
  stage: 'count',
  name: 'Number on the face read as minutes',
  baseRate: 0.08,
  why: () => 'The numbers on the face count hours. For the minute hand, each number is five minutes.',
  lookAt: () => 'how many lines there are from one number to the next',
  counted: readAs((parts) => (parts.minutes < 10 ? [] : [{ ...parts, minutes: Math.floor(parts.minutes / 5) }])),
};

const hourRoundedUp: CountSlip<ClockIndication> = {
  id: 'rounded-up',
  stage: 'count',
  name: roundedUp.name,
  baseRate: 0.1,
  why: () => 'The hour hand has not reached the next number yet. The hour is the last number it passed.',
  lookAt: () => 'the number that the short hand has passed',
  counted: readAs((parts) => (parts.minutes < 30 ? [] : [{ ...parts, hours: hourAfter(parts.hours) }])),
};

const marksCountedOnFaces: CountSlip<ClockIndication> = {
  id: 'marks-counted',
  stage: 'count',
  name: marksCounted.name,
  baseRate: 0.06,
  why: () => 'You counted the mark you started from as one, so you came to one too many.',
  lookAt: () => 'the spaces from the number that was passed to the hand',
  counted: readAs(({ hours, minutes, seconds }) => [
    ...(seconds % 5 === 0 ? [] : [{ hours, minutes, seconds: seconds + 1 }]),
    ...(minutes % 5 === 0 ? [] : [{ hours, minutes: minutes + 1, seconds }]),
  ]),
};

/** Wrong times that come out, each as likely as the others and none of them the right one. */
function comingOut(values: readonly number[], right: number): { value: number; part: number }[] {
  const wrong = [...new Set(values.map(Math.round))].filter((value) => value !== right);
  return wrong.map((value) => ({ value, part: 1 / wrong.length }));
}

/** The digits of a time written side by side, as one number in tens: 12:41:23 → 124123. */
function sideBySide(time: number): number {
  const { hours, minutes, seconds } = partsOfTime(time);
  return hours * 10_000 + minutes * 100 + seconds;
}

/** What stands in the columns of such a number, taken for hours, minutes and seconds: 3173 → 31 min 73 s. */
function fromColumns(number: number): number {
  return timeOf({
    hours: Math.floor(number / 10_000),
    minutes: Math.floor(number / 100) % 100,
    seconds: number % 100,
  });
}

/** 0:31:33 written as 31.33 min, and 1:31:33 as 1.3133 h too. */
function asDecimals(time: number): number[] {
  const { hours, minutes, seconds } = partsOfTime(time);
  const inMinutes = 60 * (Math.floor(time / 60) + seconds / 100);
  return hours === 0 ? [inMinutes] : [inMinutes, 3600 * (hours + minutes / 100 + seconds / 10_000)];
}

const sixtyAsHundred: CorrectionSlip<ClockIndication> = {
  id: 'sixty-as-hundred',
  stage: 'correction',
  name: 'Counted to a hundred instead of sixty',
  baseRate: 0.2,
  why: () =>
    'An hour has 60 minutes and a minute has 60 seconds. You counted 100: 31 min 33 s are 31.55 min, not 31.33 min.',
  lookAt: () => 'the column you borrowed from, or the decimal point: a borrowed minute is 60 seconds',
  corrected: (indication, reading) => {
    const start = startOf(indication);
    const elapsed = reading - (start ?? 0);
    if (start === null || elapsed < 0) return [];
    const inColumns = fromColumns(sideBySide(reading) - sideBySide(start));
    return comingOut([...asDecimals(elapsed), inColumns], elapsed);
  },
};

const finalAsElapsed: CorrectionSlip<ClockIndication> = {
  id: 'final-as-delivered',
  stage: 'correction',
  name: 'Only the final reading',
  baseRate: 0.08,
  why: () => 'The time that passed is the end minus the start. You wrote the end alone.',
  lookAt: () => 'both clocks: subtract the start from the end',
  corrected: (indication, reading) => (startOf(indication) === null ? [] : [{ value: reading, part: 1 }]),
};

const initialAsElapsed = initialAlone<ClockIndication>(
  { id: 'initial-as-delivered', name: 'Only the initial reading', baseRate: 0.03 },
  startOf,
  {
    why: 'The time that passed is the end minus the start. You wrote the start alone.',
    lookAt: 'both clocks: subtract the start from the end',
  },
);

/** A borrowed minute is sixty seconds, a borrowed hour sixty minutes: what comes out where one is not taken off. */
function withoutBorrow(_: ClockIndication, final: number, initial: number): number[] {
  const [end, start] = [partsOfTime(final), partsOfTime(initial)];
  const minuteBorrowed = end.seconds < start.seconds;
  const hourBorrowed = end.minutes - (minuteBorrowed ? 1 : 0) < start.minutes;
  return [...(minuteBorrowed ? [final - initial + 60] : []), ...(hourBorrowed ? [final - initial + 3600] : [])];
}

export const CLOCK_SLIPS: readonly Slip<ClockIndication>[] = [
  handsExchanged,
  numeralAsMinutes,
  hourRoundedUp,
  marksCountedOnFaces,
  sixtyAsHundred,
  finalAsElapsed,
  initialAsElapsed,
  ...differenceSlips(startOf, withoutBorrow),
];
