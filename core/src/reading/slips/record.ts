import type { Instrument } from '../../instruments/instrument.ts';
import { writtenAtPlace } from '../../numbers/rounding.ts';
import { lastMarkPassed } from '../../scales/linear-scale.ts';
import { estimateFor, readingStep, stopsAtMarks } from '../expected-reading.ts';
import type { ReadingTask } from '../reading-task.ts';
import { instrumentOf } from '../reading-task.ts';
import type { FormSlip } from './slip.ts';

const everywhere = (): boolean => true;
/** Tools that give every digit, with nothing to estimate. */
const isExact = (task: ReadingTask): boolean => estimateFor(instrumentOf(task), task.rules) === null;

const DROPPED: Readonly<Record<Instrument['reads'], string>> = {
  scale:
    'The marks give the certain digits; one more is estimated between them. On a mark, that digit is a written zero.',
  display: 'A display is written with every digit it shows; the last one is the uncertain one, and it counts.',
  ring: 'The ring’s volume is known to its last decimal; written with fewer, the number claims less than the tool gives.',
  vernier: 'The vernier gives its least count for certain; every digit down to it is written.',
  beams: 'The lines give the certain digits; one more is estimated between them, and on a line it is a written zero.',
  thimble:
    'The thimble gives hundredths, and the digit beyond them is estimated or read from the sleeve; all of them are written.',
};

const ZERO_DROPPED: Readonly<Record<Instrument['reads'], string>> = {
  scale: 'Exactly on a mark means that the estimated digit is zero, and a measured zero is written.',
  display: 'A zero at the end of a display is a measured digit; without it the number claims ten times less.',
  ring: 'The zeros after the point are known, since the maker adjusted the ring to them; a known zero is written.',
  vernier: 'A zero that the vernier shows is a measured digit, and is written.',
  beams: 'Exactly on a line means that the estimated digit is zero, and a measured zero is written.',
  thimble: 'A zero at the end was measured; without it the number claims ten times less.',
};

function withoutLastDigit(text: string): string | null {
  return text.includes('.') ? text.slice(0, -1).replace(/\.$/, '') : null;
}

/** Where estimating adds no place, nothing is left out of the digits: the reading stops at the last mark. Null elsewhere, and on a mark. */
function lastMarkFor(text: string, task: ReadingTask): string | null {
  const instrument = instrumentOf(task);
  if (!stopsAtMarks(instrument, task.rules) || instrument.reads !== 'scale') return null;
  const { place } = readingStep(instrument, task.rules);
  const mark = writtenAtPlace(lastMarkPassed(instrument.scale, Number(text)), place);
  return mark === text ? null : mark;
}

export const droppedDigit: FormSlip = {
  id: 'dropped-digit',
  stage: 'form',
  name: 'The last digit is missing',
  baseRate: 0.12,
  why: (task) => DROPPED[instrumentOf(task).reads],
  lookAt: (task) => (isExact(task) ? 'every digit the tool gives' : 'the part of a space beyond the last mark passed'),
  appliesTo: everywhere,
  misrecorded: (text, unit, task) => {
    const cut = lastMarkFor(text, task) ?? withoutLastDigit(text);
    return cut === null ? null : `${cut} ${unit}`;
  },
};

export const trailingZeroDropped: FormSlip = {
  id: 'trailing-zero-dropped',
  stage: 'form',
  name: 'The zero was not written',
  baseRate: 0.35,
  why: (task) => ZERO_DROPPED[instrumentOf(task).reads],
  lookAt: () => 'the last digit: a zero is a reading too',
  appliesTo: everywhere,
  misrecorded: (text, unit) =>
    text.includes('.') && text.endsWith('0') ? `${withoutLastDigit(text) ?? text} ${unit}` : null,
};

export const extraDigit: FormSlip = {
  id: 'extra-digit',
  stage: 'form',
  name: 'More digits than the tool gives',
  baseRate: 0.06,
  why: (task) =>
    isExact(task)
      ? 'The tool ends where it can still tell; digits added to it were not measured.'
      : 'One digit is estimated beyond the marks by this class’s rules; a further one was not measured.',
  lookAt: () => 'the smallest division: it decides the last digit',
  appliesTo: everywhere,
  misrecorded: (text, unit) => `${text.includes('.') ? text : `${text}.`}0 ${unit}`,
};

const MEASURES: Readonly<Record<string, string>> = {
  mL: 'volume',
  g: 'mass',
  mm: 'length',
  cm: 'length',
  in: 'length',
  '°C': 'temperature',
  'g/mL': 'density',
};

export const unitMissing: FormSlip = {
  id: 'unit-missing',
  stage: 'form',
  name: 'No unit',
  baseRate: 0.1,
  why: () => 'A number without its unit is not a measurement yet.',
  lookAt: () => 'the unit printed on the tool',
  appliesTo: everywhere,
  misrecorded: (text) => text,
};

export const unitWrong: FormSlip = {
  id: 'unit-wrong',
  stage: 'form',
  name: 'The unit does not fit',
  baseRate: 0.05,
  why: (task) =>
    `This tool measures ${MEASURES[instrumentOf(task).unit] ?? 'something else'}, and the unit you wrote is of another kind.`,
  lookAt: () => 'the unit printed on the tool',
  appliesTo: everywhere,
  misrecorded: (text, unit) => `${text} ${unit === 'g' || unit.startsWith('g/') ? 'mL' : 'g'}`,
};
