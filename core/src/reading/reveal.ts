import type { RingTool } from '../instruments/instrument.ts';
import { labelPassed, lastMarkPassed, leadingDigit, nextBeyond } from '../scales/linear-scale.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { beamReadingOf, displayReadingOf } from './balance-reading.ts';
import { askedFor, takenOff } from './correction.ts';
import { expectedReading, readingStep, writtenReading } from './expected-reading.ts';
import { drawnAt } from './picture.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import { scaleReadingOf, type ScaleReading } from './scale-reading.ts';
import { caliperReadingOf, micrometerReadingOf } from './slide-reading.ts';
import { caliperSteps, micrometerSteps } from './slide-steps.ts';
import { displaySteps, riderSteps } from './weighing-steps.ts';

/** One step of reading aloud, with what lights up on the picture in drawing units. */
export interface RevealStep {
  readonly kind: 'division' | 'label' | 'marks' | 'estimate' | 'correction' | 'unit';
  readonly text: string;
  readonly fromY: number | null;
  readonly toY: number | null;
  /** The digits that are certain by now. */
  readonly soFar: string;
}

function trimmed(value: number): string {
  return String(Number(value.toFixed(6))).replace('-', '−');
}

/** The part of a space, as it is estimated: in tenths, on a scale by twos in its unit, on one by fives in fifths. */
function beyondTheMark(part: number, division: number, unit: string): string {
  if (division === 1 / 16) return `About ${Math.round((part / division) * 10)} tenths of a space beyond it`;
  const digit = leadingDigit(division);
  if (part < division / 1000) return digit === 5 ? 'Exactly on the mark' : 'Exactly on the mark: write the zero';
  if (digit === 2 || division >= 10)
    return `About ${trimmed(part)} ${unit} of the ${trimmed(division)} ${unit} to the next mark`;
  const count = Math.round((part / division) * (digit === 5 ? 5 : 10));
  return `About ${count} ${digit === 5 ? (count === 1 ? 'fifth' : 'fifths') : count === 1 ? 'tenth' : 'tenths'} of a space beyond it`;
}

const spoken = (text: string): string => text.replace('-', '−');

/** How the mark itself is read, before anything is taken off. */
function readingSteps(scaleReading: ScaleReading, task: ReadingTask): RevealStep[] {
  const { tool, value } = scaleReading;
  const { scale } = tool;
  const text = writtenReading(task, value);
  const reading = Number(text);
  const { unit } = expectedReading(task);
  const size = Math.abs(reading);
  const inside = (label: number): number =>
    label + scale.labelEvery > scale.to + 1e-9 && label - scale.labelEvery >= scale.from
      ? label - scale.labelEvery
      : label;
  const label = reading < 0 ? labelPassed(scale, reading) : Math.max(inside(labelPassed(scale, reading)), scale.from);
  const mark = lastMarkPassed(scale, reading);
  const y = (at: number): number => drawnAt(scaleReading, at);
  const next = nextBeyond(scale.labelEvery, label + (reading < 0 && label === 0 ? -1e-6 : 0));
  const spaces = Math.round(scale.labelEvery / scale.division);
  const passed = Math.round(Math.abs(mark - label) / scale.division);
  const markPlace = Math.max(Math.floor(Math.log10(scale.division) + 1e-9), readingStep(tool, task.rules).place);
  const soFar = spoken(writtenAtPlace(mark, markPlace));
  const beyond =
    scale.direction === 'down'
      ? 'The label above'
      : reading < 0
        ? 'The label passed, going down from zero'
        : tool.body.kind === 'rule'
          ? 'The label to the left'
          : 'The label below';
  const steps: RevealStep[] = [
    {
      kind: 'division',
      text: `${trimmed(scale.labelEvery)} ${unit} over ${spaces === 1 ? 'one space' : `${spaces} spaces`}: one division is ${trimmed(scale.division)} ${unit}`,
      fromY: y(label),
      toY: y(Math.min(Math.max(next, scale.from), scale.to)),
      soFar: '',
    },
    {
      kind: 'label',
      text: `${beyond}: ${scale.labelDecimals === undefined ? trimmed(label) : label.toFixed(scale.labelDecimals)}`,
      fromY: y(label),
      toY: y(label),
      soFar: '',
    },
    {
      kind: 'marks',
      text:
        passed === 0
          ? `No further mark passed: ${soFar}`
          : `${passed} ${passed === 1 ? 'mark' : 'marks'} further: ${soFar}`,
      fromY: y(label),
      toY: y(mark),
      soFar,
    },
  ];
  if (readingStep(tool, task.rules).step >= scale.division) return steps;
  return [
    ...steps,
    {
      kind: 'estimate',
      text: `${beyondTheMark(size - Math.abs(mark), scale.division, unit)}: ${spoken(text)}`,
      fromY: y(mark),
      toY: y(reading),
      soFar: spoken(text),
    },
  ];
}

/** What is taken off the reading, in the words of the class. */
function correctionStep(reading: ScaleReading, task: ReadingTask): RevealStep[] {
  const off = takenOff(task);
  if (off === 0) return [];
  const { text, place } = expectedReading(task);
  const read = spoken(writtenReading(task, reading.value));
  const taken = writtenAtPlace(Math.abs(off), place);
  const sum =
    askedFor(task) === 'corrected' && task.rules.zeroWording === 'add-the-zero-correction'
      ? `Add the correction ${off > 0 ? '−' : '+'}${taken}`
      : null;
  const difference =
    askedFor(task) === 'delivered'
      ? `Less the ${reading.tool.body.kind === 'rule' ? 'mark it begins at' : 'initial reading'}, ${writtenReading(task, off)}`
      : `Take off the error ${off > 0 ? '+' : '−'}${taken}`;
  return [
    {
      kind: 'correction',
      text: `${sum ?? difference}: ${read} becomes ${spoken(text)}`,
      fromY: null,
      toY: null,
      soFar: spoken(text),
    },
  ];
}

function ringSteps({ volume, tolerance, made, unit }: RingTool, text: string): RevealStep[] {
  return [
    {
      kind: 'label',
      text: `The ring marks one volume: ${volume} ${unit}, made to ${made === 'to-deliver' ? 'deliver' : 'contain'}`,
      fromY: null,
      toY: null,
      soFar: '',
    },
    {
      kind: 'estimate',
      text: `Its maker answers for ±${tolerance.b} ${unit}, so the digits go on to there: ${text}`,
      fromY: null,
      toY: null,
      soFar: text,
    },
  ];
}

/** How the right answer is come by, in the reading order: division, certain digits, estimated digit, what is taken off, unit. */
export function revealOf(task: ReadingTask): RevealStep[] {
  const { text, unit } = expectedReading(task);
  const instrument = instrumentOf(task);
  const reading = scaleReadingOf(task);
  const unitStep: RevealStep = {
    kind: 'unit',
    text: `The unit: ${unit}`,
    fromY: null,
    toY: null,
    soFar: `${spoken(text)} ${unit}`,
  };
  if (instrument.reads === 'ring') return [...ringSteps(instrument, text), unitStep];
  const [caliper, micrometer] = [caliperReadingOf(task), micrometerReadingOf(task)];
  if (caliper) return [...caliperSteps(caliper, task), unitStep];
  if (micrometer) return [...micrometerSteps(micrometer, task), unitStep];
  const [beams, display] = [beamReadingOf(task), displayReadingOf(task)];
  if (beams) return [...riderSteps(beams, task), unitStep];
  if (display) return [...displaySteps(display, task), unitStep];
  if (!reading) return [unitStep];
  return [...readingSteps(reading, task), ...correctionStep(reading, task), unitStep];
}
