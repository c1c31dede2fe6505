import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal, decimalOf } from '../numbers/decimal.ts';
import { RADIANS_PER_DEGREE } from './symbols.ts';
import {
  conversionFactor,
  dimensionOf,
  isUnitSymbol,
  multiplyUnits,
  parseUnit,
  sameKind,
  UnitMismatchError,
  UnknownUnitError,
  writtenUnit,
} from './unit.ts';

const factor = (from: string, to: string): string =>
  decimalOf(conversionFactor(parseUnit(from), parseUnit(to))).toString();

describe('exact factors', () => {
  it.each([
    ['in', 'cm', '2.54'],
    ['ft', 'in', '12'],
    ['mi', 'ft', '5280'],
    ['lb', 'g', '453.59237'],
    ['lb', 'oz', '16'],
    ['mL', 'cm^3', '1'],
    ['L', 'mL', '1000'],
    ['L', 'dm^3', '1'],
    ['m', 'mm', '1000'],
    ['km', 'mi', String(1000 / 1609.344)],
    ['μm', 'mm', '0.001'],
    ['g/mL', 'kg/m^3', '1000'],
    ['h', 's', '3600'],
    ['min', 's', '60'],
    ['%', '1', '0.01'],
    ['Gg', 'kg', '1000000'],
    ['pm', 'nm', '0.001'],
  ])('one %s is so many %s', (from, to, expected) => {
    expect(Number(factor(from, to))).toBeCloseTo(Number(expected), 12);
  });

  it('squares and cubes the factor of a length', () => {
    expect(factor('in^2', 'cm^2')).toBe('6.4516');
    expect(factor('in^3', 'cm^3')).toBe('16.387064');
  });

  it('there and back is one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('mm', 'in', 'ft', 'km', 'μm'),
        fc.constantFrom('cm', 'mi', 'dm', 'nm'),
        (from, to) => {
          const there = conversionFactor(parseUnit(from), parseUnit(to));
          expect(there.times(conversionFactor(parseUnit(to), parseUnit(from))).toNumber()).toBeCloseTo(1, 14);
        },
      ),
    );
  });

  it('does not turn one kind into another, and names both', () => {
    expect(() => factor('mL', 'g')).toThrow(UnitMismatchError);
    expect(() => factor('mL', 'g')).toThrow('mL and g are units of different kinds.');
    expect(() => factor('g', '1')).toThrow('g and a pure number');
  });
});

describe('spellings', () => {
  it.each([
    ['g cm⁻³', 'g/cm^3'],
    ['g*cm^-3', 'g/cm^3'],
    ['g/cm3', 'g/cm^3'],
    ['cm²', 'cm^2'],
    ['um', 'μm'],
    ['', ''],
    ['1', ''],
    ['1/s', '1/s'],
    ['mL/mL', ''],
    ['m m', 'm^2'],
  ])('“%s” is written %s', (typed, written) => {
    expect(writtenUnit(parseUnit(typed))).toBe(written);
  });

  it.each(['cubit', 'g//mL', 'g/', '3', 'mL/x', 'G', 'm^', '^2', '<b>', 'x'.repeat(5000)])(
    '“%.20s” is none',
    (typed) => {
      expect(() => parseUnit(typed)).toThrow(UnknownUnitError);
    },
  );

  it('names a long text shortly', () => {
    const message = (() => {
      try {
        parseUnit('x'.repeat(5000));
      } catch (error) {
        return (error as Error).message;
      }
      return '';
    })();
    expect(message.length).toBeGreaterThan(10);
    expect(message.length).toBeLessThan(120);
  });

  it('knows single symbols', () => {
    expect(['mL', 'cm', '°C', '%'].map(isUnitSymbol)).toEqual([true, true, true, true]);
    expect(['g/mL', 'furlong', ''].map(isUnitSymbol)).toEqual([false, false, false]);
  });
});

describe('kinds', () => {
  it('a volume is a length cubed', () => {
    expect(dimensionOf(parseUnit('mL'))).toEqual({
      length: 3,
      mass: 0,
      time: 0,
      temperature: 0,
      amount: 0,
      current: 0,
    });
    expect(sameKind(parseUnit('mL'), parseUnit('cm3'))).toBe(true);
    expect(sameKind(parseUnit('g/mL'), parseUnit('kg/L'))).toBe(true);
    expect(sameKind(parseUnit('g'), parseUnit('mL'))).toBe(false);
    expect(sameKind(parseUnit('s'), parseUnit('°C'))).toBe(false);
  });

  it('multiplying by a unit and dividing by it again leaves it as it was', () => {
    const units = ['g', 'mL', 'cm^2', 'g/mL', 's'].map(parseUnit);
    fc.assert(
      fc.property(
        fc.constantFrom(...units),
        fc.constantFrom(...units),
        fc.integer({ min: 1, max: 3 }),
        (a, b, power) => {
          expect(multiplyUnits(multiplyUnits(a, b, power), b, -power)).toEqual(a);
        },
      ),
    );
  });
});

it('a degree is π ÷ 180 radians, to the last digit that is kept', () => {
  expect(RADIANS_PER_DEGREE).toBe(
    Decimal.clone({ precision: 80 }).acos(-1).div(180).toSignificantDigits(60).toString(),
  );
});
