import { Decimal as DefaultDecimal } from 'decimal.js';
import type { Rational } from './rational.ts';

/** Decimal arithmetic for digits a person typed: 60 significant digits, so that no intermediate step is ever short of guard digits. */
export const Decimal = DefaultDecimal.clone({ precision: 60, toExpNeg: -400, toExpPos: 400, defaults: true });
export type Decimal = DefaultDecimal;

/** An exact number to 60 significant digits, for roots, logarithms and the like. */
export function decimalOf(exact: Rational): Decimal {
  const [above, below] = exact.parts();
  return new Decimal(above).div(below);
}
