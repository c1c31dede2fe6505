import type { DigitalBalance } from './instrument.ts';

/** Balances with a display; the last digit is the uncertain one. */
export const DIGITAL_BALANCES: readonly DigitalBalance[] = [
  {
    id: 'digital-balance-hundredth',
    name: '0.01 g balance',
    skill: 'digital-balances',
    reads: 'display',
    unit: 'g',
    range: [0, 200],
    division: 0.01,
    tolerance: { a: 0.01, b: 0.01 },
  },
];
