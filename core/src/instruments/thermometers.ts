import type { Thermometer } from './instrument.ts';

interface ThermometerScale {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly division: number;
  readonly labelEvery: number;
  readonly mediumEvery: number;
  readonly perUnit: number;
}

function thermometer({
  id,
  name,
  from,
  to,
  division,
  labelEvery,
  mediumEvery,
  perUnit,
}: ThermometerScale): Thermometer {
  return {
    id,
    name,
    skill: 'thermometers',
    family: 'thermometers',
    unit: '°C',
    range: [from, to],
    division,
    tolerance: { a: division, b: division },
    scale: { from, to, division, labelEvery, mediumEvery, direction: 'up' },
    body: { perUnit, gap: 3 },
  };
}

/** Liquid-in-glass thermometers with a spirit thread; lengths of scale typical of laboratory ones (ISO 1770). */
export const THERMOMETERS: readonly Thermometer[] = [
  thermometer({
    id: 'thermometer-degree',
    name: '1 °C thermometer',
    from: -10,
    to: 110,
    division: 1,
    labelEvery: 10,
    mediumEvery: 5,
    perUnit: 1.8,
  }),
  thermometer({
    id: 'thermometer-two-degree',
    name: '2 °C thermometer',
    from: -20,
    to: 120,
    division: 2,
    labelEvery: 20,
    mediumEvery: 10,
    perUnit: 1,
  }),
  thermometer({
    id: 'thermometer-tenth',
    name: '0.1 °C thermometer',
    from: -1,
    to: 51,
    division: 0.1,
    labelEvery: 1,
    mediumEvery: 0.5,
    perUnit: 7,
  }),
];
