import { describe, expect, it } from 'vitest';
import { parseUnit } from '../../units/unit.ts';
import { parseEntry, UnreadableEntryError } from './entry.ts';

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
    ['52.6 bananas', 52.6, -1, 'wrong'],
  ])('%s', (typed, value, place, unit) => {
    expect(parseEntry(typed, mL)).toMatchObject({ value, place, unit });
  });

  it.each(['', '   ', 'mL', 'mL 52.6', '5.2.6 mL', '52.6,1 mL', '1e400 mL', '9'.repeat(10_000)])(
    'refuses “%.12s” with a message',
    (typed) => {
      expect(() => parseEntry(typed, mL)).toThrow(UnreadableEntryError);
    },
  );
});
