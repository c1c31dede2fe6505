import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isClockTime, secondsIn, writtenTime } from './clock-time.ts';
import { Rational } from './rational.ts';

describe('seconds as hours, minutes and seconds', () => {
  it.each([
    [0, '0:00:00'],
    [59, '0:00:59'],
    [60, '0:01:00'],
    [1893, '0:31:33'],
    [3599, '0:59:59'],
    [3600, '1:00:00'],
    [86_399, '23:59:59'],
    [360_000, '100:00:00'],
    [-1893, '-0:31:33'],
  ])('%d', (seconds, text) => {
    expect(writtenTime(Rational.of(seconds), 0)).toBe(text);
    expect(secondsIn(text)).toBe(seconds);
  });

  it('carries what is rounded up into the minutes and the hours', () => {
    const almost = Rational.of(35_999).plus(Rational.of(9).dividedBy(Rational.of(10)));
    expect(writtenTime(almost, 0)).toBe('10:00:00');
    expect(writtenTime(almost, -1)).toBe('9:59:59.9');
    expect(writtenTime(Rational.of(3570), 1)).toBe('0:59:30');
    expect(writtenTime(Rational.of(3597), 1)).toBe('1:00:00');
  });

  it('comes back from its text, however many seconds there are', () => {
    fc.assert(
      fc.property(fc.integer({ min: -500_000, max: 500_000 }), (seconds) => {
        const text = writtenTime(Rational.of(seconds), 0);
        expect(secondsIn(text)).toBe(seconds === 0 ? 0 : seconds);
        expect(isClockTime(text)).toBe(true);
      }),
    );
  });
});

describe('what is no time', () => {
  it.each(['', '31:33', '1:2:3:4', 'a:bb:cc', '1:00:00 h', '1:00', '1::00', '1.5:00:00', '1:000:00'])(
    '“%s”',
    (text) => {
      expect(secondsIn(text)).toBeNull();
      expect(isClockTime(text)).toBe(false);
    },
  );

  it('is told from a time with more than fifty-nine of something', () => {
    expect(secondsIn('0:31:73')).toBe(1933);
    expect(isClockTime('0:31:73')).toBe(false);
    expect(isClockTime('0:60:00')).toBe(false);
    expect(isClockTime('0:59:59.9')).toBe(true);
  });
});
