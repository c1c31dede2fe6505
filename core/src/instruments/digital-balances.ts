import type { DigitalBalance } from './instrument.ts';

function balance(id: string, capacity: number, division: number): DigitalBalance {
  return {
    id,
    name: `${division} g digital balance`,
    skill: 'digital-balances',
    family: 'digital-balances',
    unit: 'g',
    range: [0, capacity],
    division,
    tolerance: { a: division, b: division },
  };
}

/** Balances with a display; the last digit is the uncertain one. */
export const DIGITAL_BALANCES: readonly DigitalBalance[] = [
  balance('digital-balance-gram', 2000, 1),
  balance('digital-balance-tenth', 400, 0.1),
  balance('digital-balance-hundredth', 200, 0.01),
  balance('digital-balance-milligram', 120, 0.001),
];
