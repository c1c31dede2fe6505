import { writtenAtPlace } from '../../numbers/rounding.ts';
import { CLOCK } from '../../units/unit.ts';
import { lastMarkPassed } from '../../scales/linear-scale.ts';
import { stopsAtMarks } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { isGiven } from '../indication/resolution.ts';
import type { FormSlip } from './slip.ts';

/** Tools that give every digit, with nothing to estimate. */
function isExact({ resolution: { lastDigit } }: Indication): boolean {
  return isGiven(lastDigit) || lastDigit === 'coincidence';
}

function withoutLastDigit(text: string): string | null {
  return text.includes('.') ? text.slice(0, -1).replace(/\.$/, '') : null;
}

/** Where estimating adds no place, nothing is left out of the digits: the reading stops at the last mark. Null elsewhere, and on a mark. */
function lastMarkFor(text: string, { graduation, resolution }: Indication): string | null {
  if (!graduation || !stopsAtMarks(resolution)) return null;
  const mark = writtenAtPlace(lastMarkPassed(graduation, Number(text)), resolution.place);
  return mark === text ? null : mark;
}

export const droppedDigit: FormSlip = {
  id: 'dropped-digit',
  stage: 'form',
  name: 'The last digit is missing',
  baseRate: 0.12,
  why: ({ words }) => words.digit,
  lookAt: (indication) =>
    isExact(indication) ? 'every digit the tool gives' : 'the part of a space beyond the last mark passed',
  misrecorded: (text, unit, indication) => {
    if (unit === CLOCK) return `${text.replace(/:\d\d$/, '')} h:min`;
    const cut = lastMarkFor(text, indication) ?? withoutLastDigit(text);
    return cut === null ? null : `${cut} ${unit}`;
  },
};

export const trailingZeroDropped: FormSlip = {
  id: 'trailing-zero-dropped',
  stage: 'form',
  name: 'The zero was not written',
  baseRate: 0.35,
  why: ({ words }) => words.zero,
  lookAt: () => 'the last digit: a zero is a reading too',
  misrecorded: (text, unit) =>
    text.includes('.') && text.endsWith('0') ? `${withoutLastDigit(text) ?? text} ${unit}` : null,
};

export const extraDigit: FormSlip = {
  id: 'extra-digit',
  stage: 'form',
  name: 'More digits than the tool gives',
  baseRate: 0.06,
  why: (indication) =>
    isExact(indication)
      ? 'The tool shows no further digits. The ones you added were not measured.'
      : 'In this class you estimate one digit beyond the marks. A further digit was not measured.',
  lookAt: () => 'the smallest division: it decides the last digit',
  misrecorded: (text, unit) => `${text.includes('.') ? text : `${text}.`}0 ${unit}`,
};

const MEASURES: Readonly<Record<string, string>> = {
  mL: 'volume',
  g: 'mass',
  mm: 'length',
  cm: 'length',
  in: 'length',
  '°C': 'temperature',
  [CLOCK]: 'time',
  'g/mL': 'density',
};

export const unitMissing: FormSlip = {
  id: 'unit-missing',
  stage: 'form',
  name: 'No unit',
  baseRate: 0.1,
  why: () => 'A number without its unit is not a measurement yet.',
  lookAt: () => 'the unit printed on the tool',
  // The colons say which numbers are hours, minutes and seconds.
  misrecorded: (text, unit) => (unit === CLOCK ? null : text),
};

export const unitWrong: FormSlip = {
  id: 'unit-wrong',
  stage: 'form',
  name: 'The unit does not fit',
  baseRate: 0.05,
  why: ({ tool }) =>
    tool.unit === CLOCK
      ? 'A clock measures time. You wrote the unit of something else.'
      : `This tool measures ${MEASURES[tool.unit] ?? 'something else'} in ${tool.unit}. You wrote another unit.`,
  lookAt: () => 'the unit printed on the tool',
  misrecorded: (text, unit) => `${text} ${unit === 'g' || unit.startsWith('g/') ? 'mL' : 'g'}`,
};

/** Slips of the record: made on every tool. */
export const FORM_SLIPS: readonly FormSlip[] = [droppedDigit, trailingZeroDropped, extraDigit, unitMissing, unitWrong];
