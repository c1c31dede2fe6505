import type { Quantity } from '@green-beam/core';
import { unitText } from '../../../numbers/unit-text.ts';

/** A quantity’s name with its unit, where it has one: `Water after, mL`. */
export function withUnit(quantity: Quantity): string {
  const unit = 'unit' in quantity ? unitText(quantity.unit) : '';
  return unit === '' ? quantity.name : `${quantity.name}, ${unit}`;
}
