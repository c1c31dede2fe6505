import { describe, expect, it } from 'vitest';
import { calculate } from './calculate.ts';
import { convert } from './convert.ts';

describe('numbers that could be meant in two ways', () => {
  it.each<[expression: string, text: string, unit: string]>([
    // On base ten a logarithm is measured: two decimals, two figures. Every other exponent is exact.
    ['10^-7.00', '1.0e-7', ''],
    ['10^(-7.00)', '1.0e-7', ''],
    ['10^3 * 2.0', '2.0e3', ''],
    ['27.0^(1/3)', '3.00', ''],
    ['8.00^0.5', '2.83', ''],
    ['(27.0 cm^3)^(1/3)', '3.00', 'cm'],
    ['(4.00 cm^2)^0.5', '2.00', 'cm'],
    // An exact factor or another unit never adds a figure: 9.98 known to the tenths is 10.0.
    ['(9.6 + 0.38) * exact(1)', '10.0', ''],
    ['(9.6 + 0.38) / exact(1)', '10.0', ''],
    ['max(1.25, 1.3)', '1.3', ''],
    ['max(1.35, 1.3)', '1.35', ''],
    ['min(1.25, 1.3)', '1.25', ''],
    // Whole numbers that multiply, divide or stand under a root of quantities are exact; 4π/3 · 1.728 = 7.238.
    ['4/3*pi*(1.20 cm)^3', '7.24', 'cm^3'],
    ['16.8 g / 3', '5.60', 'g'],
    ['16.8 g / 3.', '6', 'g'],
    ['2 * 1.25 cm', '2.50', 'cm'],
    ['sqrt(3) / 2 * 1.25 cm', '1.08', 'cm'],
    ['-2 * 1.25 cm', '-2.50', 'cm'],
    ['1.25 cm + 0 mm', '1.3', 'cm'],
    // Where nothing has a unit they are taken as written, but for those beside π and the hundred of a percentage.
    ['16.235 * 0.217 * 5', '2e1', ''],
    ['4/3*pi*1.20^3', '7.24', ''],
    ['(33.1-27.0)/27.0*100', '23', ''],
    ['100*(33.1-27.0)/27.0', '23', ''],
    ['100 * 4.5', '5e2', ''],
    ['100 / 4.5', '2e1', ''],
    // Among readings a zero is read as far as the others are, to the ones.
    ['mean(10, 11, 12)', '11', ''],
    ['mean(10 g, 11 g, 12 g)', '11', 'g'],
    ['mean(10, 11.5)', '11', ''],
    ['mean(10, 20, 30)', '2e1', ''],
    ['median(10, 11, 12)', '11', ''],
    ['median(9.4, 9.9, 9.6, 9.7)', '9.7', ''],
    ['sum(10, 11, 12)', '33', ''],
    ['10 + 11 + 12', '33', ''],
    ['1500 + 2', '1.5e3', ''],
    ['max(10, 12)', '12', ''],
    // A scale with an arbitrary zero, and times.
    ['20 °C', '20', '°C'],
    ['90 min', '90', 'min'],
    ['3 h', '3', 'h'],
    ['3 h + 20 min', '3', 'h'],
    ['12:41 - 12:09', '0:32', ''],
    ['12:41 - 12:09:47', '0:31', ''],
    ['12:41:20 - 12:09:47', '0:31:33', ''],
    ['0:31:33', '0:31:33', ''],
    // Angles, and further units. 4.18 · 100 · 10 = 4180; 3.0 kW · 2.0 h = 21.6 MJ.
    ['sin(30.0°)', '0.500', ''],
    ['sin(30°)', '0.5', ''],
    ['sin(0.5236 rad)', '0.50000', ''],
    ['cos(60.0 deg)', '0.500', ''],
    ['4.18 J/(g*°C) * 100. g * (31.5 °C - 21.5 °C)', '4.18e3', 'J'],
    ['3.0 kW * 2.0 h', '6.0', 'kW*h'],
    ['exact(2.54) cm', '2.54', 'cm'],
    ['(1.25 + 0.25) cm', '1.50', 'cm'],
  ])('%s is %s %s', (expression, text, unit) => {
    expect(calculate(expression)).toMatchObject({ text, unit });
  });

  it('are said, with how to write them otherwise', () => {
    expect(calculate('4/3*pi*(1.20 cm)^3').notes).toEqual([
      '4 and 3 are taken as exact. A measured one has a point: 4.',
    ]);
    expect(calculate('sin(0.50)').notes).toEqual([
      'An angle without a unit is in radians. Write sin(30°) for degrees.',
    ]);
  });

  it.each([
    ['3 h', 'h:min:s', '3 h', ''],
    ['90 min', 'h:mm', '1:30', ''],
    ['90 min', 'h:min:s', '1:30', ''],
    ['1.5 h', 'h:min:s', '1:30', ''],
    ['0:31:33', 'min', '31.55', 'min'],
    ['31.55 min', 'h:min:s', '0:31:33', ''],
    ['20 °C', 'K', '293', 'K'],
    ['760. mmHg', 'Pa', '1.01e5', 'Pa'],
    ['1.013 bar', 'hPa', '1013', 'hPa'],
    ['2.00 day', 'h', '48.0', 'h'],
    ['180.0°', 'rad', '3.142', 'rad'],
    ['2.50 kW*h', 'MJ', '9.00', 'MJ'],
    ['1.50 mol', 'mmol', '1.50e3', 'mmol'],
  ])('%s in %s is %s', (quantity, unit, text, written) => {
    expect(convert(quantity, unit)).toMatchObject({ text, unit: written });
  });
});

describe('a stated uncertainty', () => {
  it.each<[expression: string, text: string, uncertainty: string, unit: string]>([
    ['5.0 ± 0.1', '5.0', '0.1', ''],
    ['5.0 ± 0.123', '5.0', '0.1', ''],
    ['5 ± 0.1', '5', '0.1', ''],
    ['(10.0 ± 0.1) cm', '10.0', '0.1', 'cm'],
    ['10.0 ± 0.1 cm', '10.0', '0.1', 'cm'],
    ['10.0 +/- 0.1 cm', '10.0', '0.1', 'cm'],
    ['5.0 cm ± 1 mm', '5.0', '0.1', 'cm'],
    ['50 g ± 2 %', '50', '1', 'g'],
    ['52.4 g ± 5 %', '52', '3', 'g'],
    ['50 ± 2 %', '50', '1', ''],
    ['20 % ± 1 %', '20', '1', '%'],
    ['0:31:33 ± 5 s', '0:31:33', '0:00:05', ''],
    ['21.4 °C ± 0.2 K', '21.4', '0.2', '°C'],
    ['24.31 g / 8.4 mL ± 0.05 g/mL', '2.89', '0.05', 'g/mL'],
  ])('%s is %s ± %s %s', (expression, text, uncertainty, unit) => {
    expect(calculate(expression)).toMatchObject({ text, uncertainty, unit });
  });

  it('of zero, or in a unit of another kind, is refused at its place', () => {
    expect(() => calculate('5.0 cm ± 0 cm')).toThrow(/uncertainty of zero/);
    expect(() => calculate('5.0 cm ± 1 g')).toThrow(/cm and g/);
  });
});
