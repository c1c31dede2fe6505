import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pictureOf } from '../bench.ts';
import { readingTask } from '../reading-task.ts';
import type { Situation } from '../situation.ts';
import { describeClock } from './describe-clock.ts';
import type { ClockPicture, Hands } from './clock-picture.ts';

function clock(situation: Situation): ClockPicture {
  return pictureOf(readingTask('clock', situation)) as ClockPicture;
}

function handsOf(value: number): Hands {
  const { hands } = clock({ value, face: 'hands' }).views[0];
  if (!hands) throw new Error('This face has no hands.');
  return hands;
}

/** Times that a face of twelve hours shows once: from one o’clock to one second before one o’clock. */
const TIMES = fc.integer({ min: 3600, max: 13 * 3600 - 1 });

/** What somebody with a protractor makes of three hands: the seconds by the thin one, the others by what they have passed. */
function readByProtractor({ hour, minute, second }: Hands): string {
  const seconds = Math.round(second / 6);
  const minutes = Math.round((minute - second / 60) / 6);
  const hours = Math.round((hour - minute / 12) / 30);
  return [hours === 0 ? 12 : hours, minutes, seconds].join(' ');
}

/** The same time from its seconds since midnight, counted down without dividing. */
function counted(time: number): string {
  let [hours, minutes, seconds] = [0, 0, time];
  while (seconds >= 3600) [hours, seconds] = [hours + 1, seconds - 3600];
  while (seconds >= 60) [minutes, seconds] = [minutes + 1, seconds - 60];
  return [hours > 12 ? hours - 12 : hours, minutes, seconds].join(' ');
}

describe('the hands of a clock', () => {
  it('show the time that they are set to, whichever it is', () => {
    fc.assert(
      fc.property(TIMES, (time) => {
        expect(readByProtractor(handsOf(time))).toBe(counted(time));
      }),
      { numRuns: 3000 },
    );
  });

  it('move together: a turn of the thin hand is a line of the long one, and a turn of that an hour of the short one', () => {
    fc.assert(
      fc.property(TIMES, (time) => {
        const { hour, minute, second } = handsOf(time);
        expect(minute % 6).toBeCloseTo(second / 60, 9);
        expect(hour % 30).toBeCloseTo(minute / 12, 9);
        for (const angle of [hour, minute, second]) {
          expect(angle).toBeGreaterThanOrEqual(0);
          expect(angle).toBeLessThan(360);
        }
      }),
      { numRuns: 1000 },
    );
  });

  it.each<[time: string, value: number, hands: Hands]>([
    ['three o’clock', 10_800, { hour: 90, minute: 0, second: 0 }],
    ['half past nine', 34_200, { hour: 285, minute: 180, second: 0 }],
    ['twelve o’clock', 43_200, { hour: 0, minute: 0, second: 0 }],
    ['a quarter to six and ten seconds', 20_710, { hour: 172.583_333, minute: 271, second: 60 }],
  ])('stand at %s as on every dial', (_time, value, { hour, minute, second }) => {
    const hands = handsOf(value);
    expect(hands.hour).toBeCloseTo(hour, 5);
    expect(hands.minute).toBeCloseTo(minute, 9);
    expect(hands.second).toBe(second);
  });
});

describe('what a clock is looked at for', () => {
  it('is one time, or a start and an end', () => {
    expect(clock({ value: 36_000 }).views.map(({ caption }) => caption)).toEqual(['now']);
    expect(clock({ value: 36_000, from: 34_000 }).views.map(({ caption }) => caption)).toEqual([
      'at the start',
      'at the end',
    ]);
  });

  it('has hands or a display, and never both', () => {
    for (const face of ['hands', 'display'] as const)
      for (const { hands, characters } of clock({ value: 36_061, from: 34_000, face }).views) {
        expect(hands === null).toBe(face === 'display');
        expect(characters === null).toBe(face === 'hands');
      }
  });

  it('shows every digit on a display, with two for the minutes and the seconds', () => {
    expect(clock({ value: 3661, face: 'display' }).views[0].characters).toBe('1:01:01');
    expect(clock({ value: 43_200, face: 'display' }).views[0].characters).toBe('12:00:00');
    expect(clock({ value: 0, face: 'display' }).views[0].characters).toBe('0:00:00');
  });
});

const ORDINALS = ['first', 'second', 'third', 'fourth'];

/** Which of the sixty lines words name: a number’s own, or one of the four after it. */
function lineNamed(words: string): number {
  const number = Number(/\d+/.exec(words)?.[0]) % 12;
  return 5 * number + 1 + ORDINALS.findIndex((ordinal) => words.includes(`${ordinal} line`));
}

/** What somebody who only hears the words makes of them, in seconds since midnight; of a face of twelve hours. */
function readFromWords(words: string): number {
  const [, short = '', long = '', thin = ''] =
    /short hand is (.*?), the long hand is (.*?), and the thin hand is on (.*?)\./.exec(words) ?? [];
  const seconds = lineNamed(thin);
  const minutes = lineNamed(long.split(' and ')[0] ?? '');
  const hours = Number(/\d+/.exec(short)?.[0]) % 12;
  return 3600 * (hours === 0 ? 12 : hours) + 60 * minutes + seconds;
}

describe('a clock in words', () => {
  it('can be read to the second by who does not see it', () => {
    fc.assert(
      fc.property(TIMES, (time) => {
        expect(readFromWords(describeClock(clock({ value: time, face: 'hands' })))).toBe(time);
      }),
      { numRuns: 3000 },
    );
  });

  it('does not say the time itself', () => {
    const words = describeClock(clock({ value: 9 * 3600 + 41 * 60 + 7, face: 'hands' }));
    expect(words).toBe(
      'Now: the short hand is between 9 and 10, the long hand is between the first line after 8 and the second line after 8, and the thin hand is on the second line after 1.',
    );
  });

  it('tells both times in their order, and of a display its characters', () => {
    expect(describeClock(clock({ value: 36_061, from: 34_000, face: 'display' }))).toBe(
      'At the start: the display shows 9:26:40. At the end: the display shows 10:01:01.',
    );
  });

  it('knows a hand that lies on its mark from one between two', () => {
    const words = (value: number): string => describeClock(clock({ value, face: 'hands' }));
    expect(words(10_800)).toContain('short hand is on the number 3, the long hand is on the number 12');
    expect(words(10_801)).toContain('the long hand is between the number 12 and the first line after 12');
    expect(words(43_199)).toContain('short hand is between 11 and 12');
  });
});

describe('a clock that cannot be', () => {
  it.each<[situation: Situation, field: string]>([
    [{ value: 36_000.5 }, 'value'],
    [{ value: -1, face: 'display' }, 'value'],
    [{ value: 3599, face: 'hands' }, 'value'],
    [{ value: 13 * 3600, face: 'hands' }, 'value'],
    [{ value: 36_000, from: 36_001 }, 'from'],
    [{ value: 36_000, from: 35_000.25 }, 'from'],
    [{ value: 36_000, face: 'sundial' as 'hands' }, 'face'],
    [{ value: Number.NaN }, 'value'],
  ])('%j is refused by its field', (situation, field) => {
    expect(() => readingTask('clock', situation)).toThrow(new RegExp(`^${field}: `));
  });
});
