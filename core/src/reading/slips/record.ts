import type { ReadingTask } from '../reading-task.ts';
import { instrumentOf } from '../reading-task.ts';
import type { FormSlip } from './slip.ts';

const everywhere = (): boolean => true;
const isDisplay = (task: ReadingTask): boolean => instrumentOf(task).reads === 'display';

function withoutLastDigit(text: string): string | null {
  return text.includes('.') ? text.slice(0, -1).replace(/\.$/, '') : null;
}

export const droppedDigit: FormSlip = {
  id: 'dropped-digit',
  stage: 'form',
  name: 'The last digit is missing',
  baseRate: 0.12,
  why: (task) =>
    isDisplay(task)
      ? 'A display is written with every digit it shows; the last one is the uncertain one, and it counts.'
      : 'The marks give the certain digits; one more is estimated between them. On a mark, that digit is a written zero.',
  lookAt: (task) => (isDisplay(task) ? 'every digit of the display' : 'the part of a space beyond the last mark passed'),
  appliesTo: everywhere,
  misrecorded: (text, unit) => {
    const cut = withoutLastDigit(text);
    return cut === null ? null : `${cut} ${unit}`;
  },
};

export const trailingZeroDropped: FormSlip = {
  id: 'trailing-zero-dropped',
  stage: 'form',
  name: 'The zero was not written',
  baseRate: 0.35,
  why: (task) =>
    isDisplay(task)
      ? 'A zero at the end of a display is a measured digit; without it the number claims ten times less.'
      : 'Exactly on a mark means that the estimated digit is zero, and a measured zero is written.',
  lookAt: () => 'the last digit: a zero is a reading too',
  appliesTo: everywhere,
  misrecorded: (text, unit) => (text.includes('.') && text.endsWith('0') ? `${withoutLastDigit(text) ?? text} ${unit}` : null),
};

export const extraDigit: FormSlip = {
  id: 'extra-digit',
  stage: 'form',
  name: 'More digits than the tool gives',
  baseRate: 0.06,
  why: (task) => (isDisplay(task) ? 'The display ends where the balance can still tell; digits added to it were not measured.' : 'One digit is estimated beyond the marks by this class’s rules; a further one was not measured.'),
  lookAt: () => 'the smallest division: it decides the last digit',
  appliesTo: everywhere,
  misrecorded: (text, unit) => `${text.includes('.') ? text : `${text}.`}0 ${unit}`,
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
  why: (task) => `This tool measures ${isDisplay(task) ? 'mass' : 'volume'}, and the unit you wrote is of another kind.`,
  lookAt: () => 'the unit printed on the tool',
  appliesTo: everywhere,
  misrecorded: (text, unit) => `${text} ${unit === 'g' ? 'mL' : 'g'}`,
};
