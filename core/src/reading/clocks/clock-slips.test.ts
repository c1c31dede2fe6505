import { describe, expect, it } from 'vitest';
import { careful, elapsed, timesOn, tookOff, withColons } from '../../../test/readers/clock-reader.ts';
import { exchangedLate } from '../../../test/readers/on-paper.ts';
import { proveReaders, type Habits } from '../../../test/readers/prove-readers.ts';
import { diagnose, drawTask, expectedReading, readingTask, revealOf, type ClockPicture } from '../../index.ts';

const HABITS: Habits<ClockPicture> = {
  'hands-exchanged': (reader) =>
    elapsed(reader, undefined, ({ h, m, s }) => ({
      h: Math.floor(m / 5) === 0 ? 12 : Math.floor(m / 5),
      m: Math.floor(((h % 12) + m / 60 + s / 3600) * 5),
      s,
    })),
  'numeral-as-minutes': (reader) => elapsed(reader, undefined, ({ h, m, s }) => ({ h, m: Math.floor(m / 5), s })),
  'rounded-up': (reader) =>
    elapsed(reader, undefined, ({ h, m, s }) => ({ h: m < 30 ? h : h === 12 ? 1 : h + 1, m, s })),
  'marks-counted': (reader) =>
    elapsed(reader, undefined, ({ h, m, s }) => (s % 5 === 0 ? { h, m: m + 1, s } : { h, m, s: s + 1 })),
  'sixty-as-hundred': (reader) => {
    const { start, end } = timesOn(reader);
    if (start === null) return careful(reader);
    const { h, m, s } = tookOff(end, start);
    const inHundreds = withColons(tookOff(end, start, { base: 100 }));
    return reader.random.uniform() < 0.5 || inHundreds === careful(reader)
      ? `${60 * h + m}.${String(s).padStart(2, '0')} min`
      : inHundreds;
  },
  'difference-borrowed': (reader) => {
    const { start, end } = timesOn(reader);
    if (start === null) return careful(reader);
    return withColons(tookOff(end, start, { forgets: end.s < start.s ? 'minute' : 'hour' }));
  },
  'difference-added': (reader) =>
    elapsed(reader, (end, start) => {
      const seconds = end.s + start.s;
      const minutes = end.m + start.m + (seconds >= 60 ? 1 : 0);
      return { h: end.h + start.h + (minutes >= 60 ? 1 : 0), m: minutes % 60, s: seconds % 60 };
    }),
  'difference-turned': (reader) => `-${careful(reader)}`,
  'final-as-delivered': (reader) => withColons(timesOn(reader).end),
  'initial-as-delivered': (reader) => withColons(timesOn(reader).start ?? timesOn(reader).end),
  'dropped-digit': (reader) => `${careful(reader).split(':').slice(0, 2).join(':')} h:min`,
  'extra-digit': (reader) => `${careful(reader)}.0`,
  'unit-wrong': (reader) => `${careful(reader)} g`,
  transposed: (reader) => exchangedLate(careful(reader)).trim(),
};

proveReaders<ClockPicture>({
  family: 'clocks',
  kind: 'clock',
  habits: HABITS,
  careful,
  handled: (task) => task,
  soundInHundred: 100,
  seed: 41,
});

/** From 12:09:50 to 12:41:23: 31 min 33 s, with a minute borrowed. */
const TASK = readingTask('clock', { value: 45_683, from: 43_790 });

describe('how long it took', () => {
  it('is expected in hours, minutes and seconds', () => {
    expect(expectedReading(TASK)).toEqual({
      text: '0:31:33',
      unit: 'h:min:s',
      place: 0,
      accepts: ['0:31:33', '0:31:33'],
    });
  });

  it.each([
    '0:31:33',
    '0:31:33 h:min:s',
    '00:31:33',
    '31:33 min',
    '31:33 min:s',
    '31 min 33 s',
    '31min33s',
    '31′33″',
    '1893 s',
    '31.55 min',
    '31,55 min',
  ])('%s is right', (entry) => {
    expect(diagnose(TASK, entry)).toMatchObject({ verdict: 'sound', slips: [] });
  });

  it.each([
    ['31.33 min', 'sixty-as-hundred'],
    ['31,33 min', 'sixty-as-hundred'],
    ['0:31:73', 'sixty-as-hundred'],
    ['0:32:13', 'sixty-as-hundred'],
    ['0:32:33', 'difference-borrowed'],
    ['0:31 h:min', 'dropped-digit'],
    ['31 min', 'dropped-digit'],
    ['32 min', 'dropped-digit'],
    ['12:41:23', 'final-as-delivered'],
    ['12:09:50', 'initial-as-delivered'],
    ['-0:31:33', 'difference-turned'],
    ['24:51:13', 'difference-added'],
    ['0:31:33.0', 'extra-digit'],
    ['0:31:33 mL', 'unit-wrong'],
    ['0:13:33', 'transposed'],
  ])('%s is told as %s', (entry, slip) => {
    expect(diagnose(TASK, entry).slips[0]?.ids).toEqual([slip]);
  });

  it.each(['31:33', '31.33', '1893', '0:31'])('%s is asked about, not judged', (entry) => {
    const { verdict, message } = diagnose(TASK, entry);
    expect(verdict).toBe('unreadable');
    expect(message).toContain('write');
  });

  it('is worked out column by column', () => {
    expect(
      revealOf(TASK)
        .slice(-4)
        .map(({ text }) => text),
    ).toEqual([
      'Seconds: borrow one minute, which is 60 s: 83 − 50 = 33 s',
      'Minutes: 40 − 9 = 31 min',
      'Hours: 12 − 12 = 0 h. Together 0:31:33',
      expect.any(String),
    ]);
  });

  it('agrees with the two clocks subtracted in seconds', () => {
    for (let seed = 0; seed < 500; seed += 1) {
      const task = drawTask('clock', { seed });
      if (task.family !== 'clocks') throw new Error('no clock');
      const { value, from = 0 } = task.situation;
      const [h = 0, m = 0, s = 0] = expectedReading(task).text.split(':').map(Number);
      expect(h * 3600 + m * 60 + s).toBe(value - from);
    }
  });

  it.each([
    [{ value: 3600.5 }, 'value'],
    [{ value: 1800 }, 'value'],
    [{ value: 86_400, face: 'display' as const }, 'value'],
    [{ value: 4000, from: 4001 }, 'from'],
    [{ value: 4000, face: 'sundial' as 'hands' }, 'face'],
  ])('%o is refused by name', (situation, field) => {
    expect(() => readingTask('clock', situation)).toThrow(field);
  });
});
