import type { Expression } from '../../calculations/expression/expression.ts';
import { decimalOf } from '../../numbers/decimal.ts';
import { conversionFactor, parseUnit, temperatureScale, writtenUnit, type Unit } from '../../units/unit.ts';
import { isConversion, type CalculationTask, type Known, type Reworking } from '../number-task.ts';
import type { WorkingSlip } from './slip.ts';
import { combined, exactNumber } from './trees.ts';

interface Asked {
  readonly name: string;
  readonly quantity: Known;
  readonly from: Unit;
  readonly to: Unit;
}

/** What is to be converted into what; null for what is no conversion. */
function askedOf(task: CalculationTask): Asked | null {
  const { formula, known, to } = task;
  const quantity = formula.kind === 'name' ? known.get(formula.name) : undefined;
  return isConversion(task) && formula.kind === 'name' && quantity && to !== null
    ? { name: formula.name, quantity, from: quantity.unit, to }
    : null;
}

const LONG = 30;

/** A calculation with the bare number of what is given, taken to come to the unit asked for. */
function withNumber({ name, quantity, to }: Asked, formula: (number: Expression) => Expression): Reworking {
  return {
    formula: formula({ kind: 'name', name, at: 0 }),
    known: new Map([[name, { ...quantity, unit: {} }]]),
    unit: to,
    asItIs: true,
  };
}

function scaled(asked: Asked, from: Unit, into: Unit, power: 1 | -1): Reworking {
  const factor = power === 1 ? conversionFactor(from, into) : conversionFactor(into, from);
  const exact = exactNumber(decimalOf(factor).toSignificantDigits(LONG).toFixed());
  return withNumber(asked, (number) => combined('*', number, exact));
}

function isTemperature({ from }: Asked): boolean {
  return temperatureScale(from) !== null;
}

export const factorInverted: WorkingSlip = {
  id: 'factor-inverted',
  stage: 'working',
  name: 'The factor upside down',
  baseRate: 0.18,
  why: () =>
    'You multiplied instead of dividing, or divided instead of multiplying. Write the factor so that the old unit cancels.',
  lookAt: () => 'which unit is on top in the factor, and whether the old one cancels',
  reworked: (task) => {
    const asked = askedOf(task);
    return asked === null || isTemperature(asked) ? [] : [scaled(asked, asked.from, asked.to, -1)];
  },
};

/** The numbers as they stand, whatever their units, taken to come to the unit asked for. */
function withBareNumbers({ formula, known }: CalculationTask, unit: Unit): Reworking {
  const bare = new Map([...known].map(([name, { value, place }]) => [name, { value, place, unit: {} }] as const));
  return { formula, known: bare, unit, asItIs: true };
}

export const notConverted: WorkingSlip = {
  id: 'not-converted',
  stage: 'working',
  name: 'Left in the old unit',
  baseRate: 0.08,
  why: (task) =>
    isConversion(task)
      ? 'This is the quantity as it was given. In another unit the number changes too.'
      : 'You calculated with numbers in different units. Bring them to one unit first.',
  lookAt: (task) =>
    isConversion(task) ? 'the unit that is asked for' : 'the unit of each number, and the one asked for',
  reworked: (task) => {
    if (isConversion(task)) return [{ formula: task.formula, asItIs: true }];
    return task.to === null || '%' in task.to ? [] : [withBareNumbers(task, task.to)];
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
  reworked: (task) => {
    const asked = askedOf(task);
    const [from, to] = [asked?.from ?? {}, asked?.to ?? {}].map((unit) => RAISED.exec(writtenUnit(unit))?.[1]);
    return asked === null || from === undefined || to === undefined
      ? []
      : [scaled(asked, parseUnit(from), parseUnit(to), 1)];
  },
};

type Mistake = (t: Expression) => Expression;

const plus = (t: Expression, offset: string): Expression => combined('+', t, exactNumber(offset));
const minus = (t: Expression, offset: string): Expression => combined('-', t, exactNumber(offset));
const times = (t: Expression): Expression => combined('*', t, exactNumber('1.8'));
const divided = (t: Expression): Expression => combined('/', t, exactNumber('1.8'));

/** Temperatures without what is to be added, with the offset added the wrong way, and with the two steps exchanged. */
const MISTAKEN: Readonly<
  Record<string, { readonly forgotten: Mistake; readonly turned: Mistake; readonly order: Mistake | null }>
> = {
  '°C K': { forgotten: (t) => t, turned: (t) => minus(t, '273.15'), order: null },
  '°F °C': {
    forgotten: divided,
    turned: (t) => divided(plus(t, '32')),
    order: (t) => minus(divided(t), '32'),
  },
  '°C °F': { forgotten: times, turned: (t) => minus(times(t), '32'), order: (t) => times(plus(t, '32')) },
};

function temperature(task: CalculationTask, which: 'forgotten' | 'turned' | 'order'): Reworking[] {
  const asked = askedOf(task);
  if (asked === null || !isTemperature(asked)) return [];
  const scales = `${temperatureScale(asked.from) ?? ''} ${temperatureScale(asked.to) ?? ''}`;
  const mistake = MISTAKEN[scales]?.[which] ?? null;
  return mistake === null ? [] : [withNumber(asked, mistake)];
}

export const offsetForgotten: WorkingSlip = {
  id: 'offset-forgotten',
  stage: 'working',
  name: 'The zero of the other scale forgotten',
  baseRate: 0.16,
  why: () =>
    'The two scales have their zeros at different temperatures. You need the offset between them, not only the size of the degree.',
  lookAt: () => 'what each scale shows for freezing water',
  reworked: (task) => temperature(task, 'forgotten'),
};

export const offsetTurned: WorkingSlip = {
  id: 'offset-turned',
  stage: 'working',
  name: 'The offset added the wrong way',
  baseRate: 0.12,
  why: () => 'You added the offset instead of subtracting it, or subtracted it instead of adding it.',
  lookAt: () => 'what each scale shows for freezing water',
  reworked: (task) => temperature(task, 'turned'),
};

export const offsetOrder: WorkingSlip = {
  id: 'offset-order',
  stage: 'working',
  name: 'Offset and factor in the wrong order',
  baseRate: 0.12,
  why: () =>
    'The 32 is in degrees Fahrenheit. Subtract it before you turn them into degrees Celsius, or add it at the end the other way.',
  lookAt: () => 'which scale the 32 degrees belong to',
  reworked: (task) => temperature(task, 'order'),
};
