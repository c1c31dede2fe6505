import type { Clock } from '../../instruments/instrument.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { writtenReading } from '../indication/written.ts';
import { cautionsWith } from '../words/cautions.ts';
import {
  checkClock,
  CLOCK_FIELDS,
  clockIndication,
  clockResolution,
  startOf,
  type ClockIndication,
  type ClockSituation,
} from './clock-indication.ts';
import { clockPicture, type ClockPicture } from './clock-picture.ts';
import { CLOCK_SLIPS } from './clock-slips.ts';
import { describeClock } from './describe-clock.ts';
import { drawClock } from './draw-clock.ts';
import { partsOfTime } from './time-parts.ts';

/** How a time is read off a face, hand by hand. */
function readingSteps(indication: ClockIndication, time: number, when: string): RevealStep[] {
  const written = writtenReading(indication, time);
  if (indication.situation.face === 'display')
    return [revealStep('marks', `${when}every digit shown: ${written}`, written)];
  const { hours, minutes, seconds } = partsOfTime(time);
  const [hour = '', minute = ''] = written.split(':');
  return [
    revealStep('label', `${when}the short hand has passed ${hours}, so the hour is ${hours}`, hour),
    revealStep(
      'marks',
      `${when}the long hand has passed line ${minutes} from the top: ${minutes} min`,
      `${hour}:${minute}`,
    ),
    revealStep('marks', `${when}the thin hand is on line ${seconds}: ${seconds} s`, written),
  ];
}

/** How one time is taken off another, column by column from the seconds on. */
function subtractionSteps(indication: ClockIndication, start: number): RevealStep[] {
  const [from, to] = [partsOfTime(start), partsOfTime(indication.mark)];
  const minuteBorrowed = to.seconds < from.seconds;
  const minutesLeft = to.minutes - (minuteBorrowed ? 1 : 0);
  const hourBorrowed = minutesLeft < from.minutes;
  const [upperSeconds, upperMinutes] = [to.seconds + (minuteBorrowed ? 60 : 0), minutesLeft + (hourBorrowed ? 60 : 0)];
  const upperHours = to.hours - (hourBorrowed ? 1 : 0);
  const column = (upper: number, lower: number, name: string): string =>
    `${upper} − ${lower} = ${upper - lower} ${name}`;
  const right = withMinusSign(writtenReading(indication, indication.answer));
  return [
    revealStep(
      'correction',
      `Seconds: ${minuteBorrowed ? 'borrow one minute, which is 60 s: ' : ''}${column(upperSeconds, from.seconds, 's')}`,
    ),
    revealStep(
      'correction',
      `Minutes: ${hourBorrowed ? 'borrow one hour, which is 60 min: ' : ''}${column(upperMinutes, from.minutes, 'min')}`,
    ),
    revealStep('correction', `Hours: ${column(upperHours, from.hours, 'h')}. Together ${right}`, right),
  ];
}

function steps(indication: ClockIndication): RevealStep[] {
  const start = startOf(indication);
  if (start === null) return readingSteps(indication, indication.mark, '').map(capitalised);
  return [
    ...readingSteps(indication, start, 'At the start '),
    ...readingSteps(indication, indication.mark, 'At the end '),
    ...subtractionSteps(indication, start),
  ];
}

function capitalised(step: RevealStep): RevealStep {
  return { ...step, text: step.text.charAt(0).toUpperCase() + step.text.slice(1) };
}

/** A clock is only looked at. */
type ClockOnBench = Posed<Clock, ClockSituation>;

/** Clocks with hands or with a display: one time, or how long something took. */
export const CLOCKS_FAMILY: Family<Clock, ClockSituation, ClockIndication, ClockOnBench, ClockPicture> = {
  id: 'clocks',
  slips: CLOCK_SLIPS,
  fields: () => CLOCK_FIELDS,
  check: checkClock,
  resolution: clockResolution,
  indicates: clockIndication,
  draw: (_, aimed) => drawClock(aimed),
  laid: (situation) => situation,
  onPaper: (situation) => situation,
  plain: (_, { from: _from, ...situation }, set) => ({
    ...situation,
    ...(set && { value: Math.round(set.value) }),
  }),
  begin: (posed) => posed,
  handle: (bench) => bench,
  waits: (bench) => bench,
  shows: (bench) => clockPicture(clockIndication(bench)),
  stands: ({ situation }) => situation,
  remarks: () => [],
  describe: describeClock,
  fillsWidth: ({ views }) => views.length > 1,
  question: (indication) =>
    startOf(indication) === null
      ? 'What time does the clock show? Write hours, minutes and seconds with colons.'
      : 'A nightlight was lit at the start and went out at the end. How long did it burn? Write hours, minutes and seconds with colons.',
  hints: (indication) => [
    ...(indication.situation.face === 'display'
      ? ['The display shows hours, minutes and seconds, from the left.']
      : [
          'The short hand shows the hour: take the number it passed last.',
          'From one number to the next the minute hand and the seconds hand pass five lines.',
        ]),
    ...(startOf(indication) === null
      ? []
      : ['Take the start off the end. A minute that you borrow is 60 seconds, an hour 60 minutes.']),
    'Write two digits for the minutes and two for the seconds.',
  ],
  steps,
  cautions: () => cautionsWith(undefined),
};
