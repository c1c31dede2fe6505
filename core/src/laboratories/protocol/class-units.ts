import type { HouseRules } from '../../rules/house-rules.ts';
import type { Protocol, Quantity } from './protocol.ts';

const IN_CUBIC_CENTIMETRES = new WeakMap<Protocol, Protocol>();

function inCubicCentimetres(quantity: Quantity): Quantity {
  return 'unit' in quantity ? { ...quantity, unit: quantity.unit.replace(/\bmL\b/g, 'cm^3') } : quantity;
}

/** A laboratory with its volumes in the unit that the class writes them in; 1 mL is 1 cm³ exactly. */
export function inClassUnits(protocol: Protocol, { volumeUnit }: HouseRules): Protocol {
  if (volumeUnit === 'mL') return protocol;
  const known = IN_CUBIC_CENTIMETRES.get(protocol);
  if (known) return known;
  const changed = { ...protocol, quantities: protocol.quantities.map(inCubicCentimetres) };
  IN_CUBIC_CENTIMETRES.set(protocol, changed);
  return changed;
}
