import { describe, expect, it } from 'vitest';
import { parseUnit } from '../../units/unit.ts';
import { UnreadableEntryError } from './entry.ts';
import { parseEntry } from './parse-entry.ts';

const mL = parseUnit('mL');

describe('taking an entry apart', () => {
  it.each([
    ['52.6 mL', 52.6, -1, 'fits'],
    ['52,6ml', 52.6, -1, 'fits'],
    ['５２．６ mL', 52.6, -1, 'fits'],
    ['52.6 cm³', 52.6, -1, 'fits'],
    ['52.6 cc', 52.6, -1, 'fits'],
    ['0.0526 L', 52.6, -1, 'fits'],
    ['5.26e1 mL', 52.6, -1, 'fits'],
    ['40 mL', 40, 0, 'fits'],
    ['− 3.4 mL', -3.4, -1, 'fits'],
    ['52.6', 52.6, -1, 'missing'],
    ['52.6 g', 52.6, -1, 'wrong'],
    ['52.6 mls', 52.6, -1, 'fits'],
    ['52.6 mL.', 52.6, -1, 'fits'],
    ['52.6 c.c.', 52.6, -1, 'fits'],
    ['52.6 ccm', 52.6, -1, 'fits'],
    ['52·6 mL', 52.6, -1, 'fits'],
    ['5.26·10¹ mL', 52.6, -1, 'fits'],
    ['52.6 ± 0.2 mL', 52.6, -1, 'fits'],
    ['52.6 mL ± 0.2 mL', 52.6, -1, 'fits'],
    ['(52.6 ± 0.2) mL', 52.6, -1, 'fits'],
    ['52.6 +/- 0.2 mL', 52.6, -1, 'fits'],
    ['52.6 mL ± 2 %', 52.6, -1, 'fits'],
    ['52.6 ± 0.2', 52.6, -1, 'missing'],
  ])('%s', (typed, value, place, unit) => {
    expect(parseEntry(typed, mL)).toMatchObject({ value, place, unit, otherUnit: typed.endsWith(' L') ? {} : null });
  });

  it.each([
    '21.4 °C',
    '21.4 ºC',
    '21.4 ˚C',
    '21.4 ∘C',
    '21.4 ⁰C',
    '21.4 ℃',
    '21.4 degrees C',
    '21.4 deg C',
    '21.4 Celsius',
    '21,4 C',
  ])('%s is in degrees Celsius', (typed) => {
    expect(parseEntry(typed, parseUnit('°C'))).toMatchObject({ value: 21.4, place: -1, unit: 'fits' });
  });

  it.each([
    ['4½ in', 4.5, 2],
    ['4 1/2 in', 4.5, 2],
    ['½ in', 0.5, 2],
    ['4 5/16"', 4.31, 16],
    ['69/16 in', 4.31, 16],
    ['4 9/32 in.', 4.28, 32],
  ])('%s is so many inches', (typed, value, fractionOf) => {
    expect(parseEntry(typed, parseUnit('in'))).toMatchObject({ value, place: -2, unit: 'fits', fractionOf });
  });

  it('keeps what another unit of the same kind says, and how far its zeros may only hold places', () => {
    expect(parseEntry('400 mm', parseUnit('cm'))).toMatchObject({
      value: 40,
      place: -1,
      surePlace: 1,
      otherUnit: { symbol: 'mm', factor: 0.1, isPowerOfTen: true },
    });
    expect(parseEntry('294.6 K', parseUnit('°C'))).toMatchObject({ otherUnit: { symbol: 'K', isPowerOfTen: false } });
    expect(parseEntry('294.6 K', parseUnit('°C')).value).toBeCloseTo(21.45, 10);
  });

  it.each(['52.6 bananas', '52.6 mLL', '52.6 ml³²¹'])('does not understand the unit of “%s”, and says so', (typed) => {
    expect(() => parseEntry(typed, mL)).toThrow(/^The unit “.*” is not known here. Write it as mL\.$/);
  });

  it.each(['', '   ', 'mL', 'mL 52.6', '5.2.6 mL', '52.6,1 mL', '1e400 mL', '9'.repeat(10_000)])(
    'refuses “%.12s” with a message',
    (typed) => {
      expect(() => parseEntry(typed, mL)).toThrow(UnreadableEntryError);
    },
  );
});
