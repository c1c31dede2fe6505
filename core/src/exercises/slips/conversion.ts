import { decimalOf } from '../../numbers/decimal.ts';
import { conversionFactor, parseUnit, temperatureScale } from '../../units/unit.ts';
import type { WorkingExercise } from '../exercise.ts';
import type { Line, WorkingSlip } from './slip.ts';

interface Asked {
  readonly number: string;
  readonly from: string;
  readonly to: string;
}

/** What is to be converted into what; null for an exercise that is no conversion. */
function askedOf({ kind, given, formula }: WorkingExercise): Asked | null {
  const [, number = '', from = ''] = /^(\S+) (.+)$/.exec(given['quantity'] ?? '') ?? [];
  return kind === 'convert-units' ? { number, from, to: (formula.split('->')[1] ?? '').trim() } : null;
}

const LONG = 30;

function scaled({ number, to }: Asked, from: string, into: string, power: number): Line {
  const factor = conversionFactor(parseUnit(from), parseUnit(into));
  const exact = decimalOf(power === 1 ? factor : conversionFactor(parseUnit(into), parseUnit(from)))
    .toSignificantDigits(LONG)
    .toFixed();
  return { line: `${number} * exact(${exact})`, unit: to };
}

function isTemperature({ from }: Asked): boolean {
  return temperatureScale(parseUnit(from)) !== null;
}

export const factorInverted: WorkingSlip = {
  id: 'factor-inverted',
  stage: 'working',
  name: 'The factor upside down',
  baseRate: 0.18,
  why: () =>
    'You multiplied instead of dividing, or divided instead of multiplying. Write the factor so that the old unit cancels.',
  lookAt: () => 'which unit is on top in the factor, and whether the old one cancels',
  reworked: ({ exercise }) => {
    const asked = askedOf(exercise);
    return asked === null || isTemperature(asked) ? [] : [scaled(asked, asked.from, asked.to, -1)];
  },
};

export const notConverted: WorkingSlip = {
  id: 'not-converted',
  stage: 'working',
  name: 'Left in the old unit',
  baseRate: 0.08,
  why: () => 'This is the quantity as it was given. In another unit the number changes too.',
  lookAt: () => 'the unit that is asked for',
  reworked: ({ exercise }) => {
    const asked = askedOf(exercise);
    return asked === null ? [] : [{ line: `${asked.number} ${asked.from}` }];
  },
};

const RAISED = /^(\p{L}+)\^([23])$/u;

export const factorPowerForgotten: WorkingSlip = {
  id: 'factor-power-forgotten',
  stage: 'working',
  name: 'The square or cube of the factor forgotten',
  baseRate: 0.2,
  why: () => 'An area is a length times a length. Use the factor twice, and three times for a volume.',
  lookAt: () => 'the exponent of the unit',
  reworked: ({ exercise }) => {
    const asked = askedOf(exercise);
    const [from, to] = [RAISED.exec(asked?.from ?? '')?.[1], RAISED.exec(asked?.to ?? '')?.[1]];
    return asked === null || from === undefined || to === undefined ? [] : [scaled(asked, from, to, 1)];
  },
};

/** Temperatures without what is to be added, with the offset added the wrong way, and with the two steps exchanged. */
const MISTAKEN: Readonly<
  Record<string, { readonly forgotten: string; readonly turned: string; readonly order: string | null }>
> = {
  '°C K': { forgotten: 't', turned: 't - exact(273.15)', order: null },
  '°F °C': { forgotten: 't / exact(1.8)', turned: '(t + exact(32)) / exact(1.8)', order: 't / exact(1.8) - exact(32)' },
  '°C °F': { forgotten: 't * exact(1.8)', turned: 't * exact(1.8) - exact(32)', order: '(t + exact(32)) * exact(1.8)' },
};

function temperature(exercise: WorkingExercise, which: 'forgotten' | 'turned' | 'order'): Line[] {
  const asked = askedOf(exercise);
  if (asked === null || !isTemperature(asked)) return [];
  const scales = `${temperatureScale(parseUnit(asked.from)) ?? ''} ${temperatureScale(parseUnit(asked.to)) ?? ''}`;
  const formula = MISTAKEN[scales]?.[which] ?? null;
  return formula === null ? [] : [{ line: formula.replace('t', () => asked.number), unit: asked.to }];
}

export const offsetForgotten: WorkingSlip = {
  id: 'offset-forgotten',
  stage: 'working',
  name: 'The zero of the other scale forgotten',
  baseRate: 0.16,
  why: () =>
    'The two scales have their zeros at different temperatures. You need the offset between them, not only the size of the degree.',
  lookAt: () => 'what each scale shows for freezing water',
  reworked: ({ exercise }) => temperature(exercise, 'forgotten'),
};

export const offsetTurned: WorkingSlip = {
  id: 'offset-turned',
  stage: 'working',
  name: 'The offset added the wrong way',
  baseRate: 0.12,
  why: () => 'You added the offset instead of subtracting it, or subtracted it instead of adding it.',
  lookAt: () => 'what each scale shows for freezing water',
  reworked: ({ exercise }) => temperature(exercise, 'turned'),
};

export const offsetOrder: WorkingSlip = {
  id: 'offset-order',
  stage: 'working',
  name: 'Offset and factor in the wrong order',
  baseRate: 0.12,
  why: () =>
    'The 32 is in degrees Fahrenheit. Subtract it before you turn them into degrees Celsius, or add it at the end the other way.',
  lookAt: () => 'which scale the 32 degrees belong to',
  reworked: ({ exercise }) => temperature(exercise, 'order'),
};
