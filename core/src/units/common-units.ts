import { parseUnit, sameKind, UnknownUnitError, writtenUnit, type Unit } from './unit.ts';

/** Units a school laboratory writes, from small to large within each kind. */
const COMMON: readonly Unit[] = [
  ...['μm', 'mm', 'cm', 'm', 'km', 'in', 'ft', 'mi'],
  ...['mm^2', 'cm^2', 'm^2', 'in^2', 'ft^2'],
  ...['mm^3', 'cm^3', 'mL', 'dm^3', 'L', 'm^3', 'in^3', 'fl oz', 'cup', 'qt', 'gal'],
  ...['mg', 'g', 'kg', 'oz', 'lb'],
  ...['g/cm^3', 'g/mL', 'kg/L', 'kg/m^3', 'lb/gal', 'oz/in^3'],
  ...['°C', 'K', '°F'],
  ...['s', 'min', 'h', 'h:min:s'],
  ...['Pa', 'hPa', 'kPa', 'Torr', 'atm'],
  ...['cm/s', 'm/s', 'km/h', 'mi/h'],
  ...['mL/s', 'mL/min', 'L/min'],
  ...['%'],
].map(parseUnit);

/** The other units of the same kind that are commonly written; none for a unit that cannot be read. */
export function unitsLike(unit: string): string[] {
  try {
    const wanted = parseUnit(unit);
    return COMMON.filter((other) => sameKind(other, wanted))
      .map(writtenUnit)
      .filter((written) => written !== writtenUnit(wanted));
  } catch (error) {
    if (error instanceof UnknownUnitError) return [];
    throw error;
  }
}
