import { scaleReadingOf, type ScaleReading } from './scale-reading.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import { leadingDigit } from '../scales/linear-scale.ts';
import { askedFor, takenOff } from './correction.ts';
import { estimateFor } from './expected-reading.ts';
import type { Estimate } from '../rules/house-rules.ts';

const ESTIMATE_HINTS = {
  'half-division':
    'Judge whether it is nearer to the mark, the middle of the space, or the next mark: this class writes halves.',
  'nearest-division': 'Take the nearest mark: this class writes no digit beyond the marks.',
} as const;

/** How a space is parted in the mind when a digit is estimated beyond the marks. */
const PARTED = { 1: 'ten parts', 2: 'two halves, and each of them into ten parts', 5: 'five parts' } as const;

function estimateHint(estimate: Estimate, division: number): string {
  if (estimate !== 'tenths') return ESTIMATE_HINTS[estimate];
  if (division === 1 / 16) return 'Write the sixteenths as a decimal, or leave them as a fraction.';
  return `Part the space beyond that mark into ${PARTED[leadingDigit(division)]} in your mind: the digit you estimate is the last one you write.`;
}

function whatIsRead({ tool }: ScaleReading, { situation, rules }: ReadingTask): string {
  if (tool.body.kind === 'rule') return 'Look at both ends of the thing: where it begins is not always the zero line.';
  if (tool.body.kind === 'thread') return 'Look at the end of the thread: its lowest point counts.';
  if (tool.body.kind === 'float')
    return rules.hydrometerMark === 'meniscus-top'
      ? 'Look at the top of the climb on the stem: this class reads there.'
      : 'Look along the level surface, not up the climb on the stem.';
  if (situation.opaque)
    return rules.opaqueLiquids === 'upper-edge'
      ? 'Nothing shows through: this class reads the upper edge.'
      : 'Nothing shows through: this class still judges the lowest point.';
  const surface =
    situation.surface === 'domed'
      ? 'the top of the dome'
      : situation.surface === 'flat'
        ? 'the flat surface'
        : 'the lowest point of the curve';
  return `Look at ${surface}, in the middle of the tube.`;
}

function firstHint({ tool }: ScaleReading): string {
  if (tool.body.kind === 'rule') return 'Bring the eye straight over the end that you read.';
  return tool.body.kind === 'thread'
    ? 'Wait until the thread rests, with the bulb still in the liquid; then level the beam.'
    : 'Level the beam: move the eye until the surface closes to one line.';
}

function countHint({ tool }: ScaleReading): string {
  if (tool.scale.direction === 'down')
    return 'The numbers grow downward: start from the label above and count the marks going down.';
  return tool.scale.from < 0
    ? 'Start from the label passed last, going away from zero, and count the marks passed.'
    : 'Start from the label passed last and count the marks passed since.';
}

function weighedHint(task: ReadingTask): string[] {
  const { container = 0, empty = 0, vessel = 'vessel' } = task.situation;
  if (container > 0)
    return [`The ${vessel} is weighed with it: weigh it alone too, or tare with it on, and take it off.`];
  return empty === 0 ? correctionHint(task) : ['Look at what it shows with nothing on it.'];
}

function correctionHint(task: ReadingTask): string[] {
  if (takenOff(task) === 0) return [];
  return [
    askedFor(task) === 'delivered'
      ? 'Take the reading it began with off the one it ended with.'
      : 'Take into account how far this tool is off, and which way.',
  ];
}

/** Hints in the reading order; they name what to do and never a number of this picture. */
export function hintsFor(task: ReadingTask): string[] {
  const instrument = instrumentOf(task);
  const reading = scaleReadingOf(task);
  if (instrument.reads === 'ring')
    return [
      'The ring stands for one volume; nothing is counted.',
      'Look for how well that volume is known: it decides the decimals.',
      'Add the unit.',
    ];
  if (instrument.reads === 'vernier') {
    return [
      'Count the vernier’s lines and the main divisions they cover: the difference of one of each is the least count.',
      'Take the last main mark before the vernier’s own zero, not before the edge of the slide.',
      'Look for the one line of the vernier that lies on a main mark; the lines beside it leave it to both sides.',
      'Multiply its number by the least count, and add.',
      ...correctionHint(task),
      'Write the unit printed on the tool.',
    ];
  }
  if (instrument.reads === 'thimble') {
    return [
      'Read the sleeve: whole millimetres on one side of the datum line, halves on the other.',
      'A half counts only when its line is uncovered.',
      'Read the thimble where the datum line meets it: one division is a hundredth of a millimetre.',
      instrument.sleeveLines > 0
        ? 'The line of the sleeve’s vernier that lies on a thimble line gives the thousandths.'
        : estimateHint(estimateFor(instrument, task.rules) ?? 'nearest-division', instrument.division),
      ...correctionHint(task),
      'Write the unit printed on the tool.',
    ];
  }
  if (instrument.reads === 'beams') {
    return [
      'With nothing on it the pointer has to rest on its mark; else turn the zero screw, or take off what it shows then.',
      'Begin with the largest rider: notch by notch until the pointer drops, then one notch back.',
      'Every notched rider has to sit in its notch; only the last one slides.',
      'Judge the centre of the swing, and read only when it lies on the mark.',
      'Add up the riders, then read the sliding one like any scale.',
      estimateHint(estimateFor(instrument, task.rules) ?? 'nearest-division', instrument.division),
      ...weighedHint(task),
      'Write the unit printed on the tool.',
    ];
  }
  if (!reading)
    return [
      instrument.unit === 'g' ? 'Wait for the stability mark.' : 'Close the jaws first and see what it shows.',
      'Write every digit shown, zeros too.',
      ...weighedHint(task),
      'Add the unit.',
    ];
  return [
    firstHint(reading),
    whatIsRead(reading, task),
    'Take two neighbouring labels and count the spaces between them: that gives one division.',
    countHint(reading),
    estimateHint(estimateFor(instrument, task.rules) ?? 'nearest-division', instrument.division),
    ...correctionHint(task),
    'Write the unit printed on the tool.',
  ];
}
