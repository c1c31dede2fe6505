import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingTask } from '../reading-task.ts';
import { parseUnit } from '../../units/unit.ts';
import { diagnose } from './diagnose.ts';
import { UnreadableEntryError } from './entry.ts';
import { parseEntry } from './parse-entry.ts';

const clock = parseUnit('h:min:s');

/** Place of the last second, and of a time that is known to the minute. */
const [SECONDS, MINUTES] = [0, 2];

describe('a time as people write it', () => {
  it.each([
    ['0:31:33', 1893, SECONDS],
    ['00:31:33', 1893, SECONDS],
    ['0:31:33 h', 1893, SECONDS],
    ['0:31:33 h:min:s', 1893, SECONDS],
    ['0:31:33 hh:mm:ss', 1893, SECONDS],
    ['31:33 min', 1893, SECONDS],
    ['31:33 min:s', 1893, SECONDS],
    ['31:33 mm:ss', 1893, SECONDS],
    ['31 min 33 s', 1893, SECONDS],
    ['31min33s', 1893, SECONDS],
    ['31 mins 33 secs', 1893, SECONDS],
    ['31 minutes 33 seconds', 1893, SECONDS],
    ['31′ 33″', 1893, SECONDS],
    ['31\' 33"', 1893, SECONDS],
    ['1893 s', 1893, SECONDS],
    ['31.55 min', 1893, SECONDS],
    ['31,55 min', 1893, SECONDS],
    ['1 h 5 min', 3900, MINUTES],
    ['1 h 5 min 0 s', 3900, SECONDS],
    ['1:05 h', 3900, MINUTES],
    ['31 min', 1860, MINUTES],
    ['9:41:07', 34_867, SECONDS],
    ['9:41:7', 34_867, SECONDS],
  ])('%s', (typed, value, place) => {
    expect(parseEntry(typed, clock)).toMatchObject({ value, place, unit: 'fits' });
  });

  it.each(['31:33', '9:41', '12:05', '1893', '31.55'])('%s could be several times, so it is asked about', (typed) => {
    expect(() => parseEntry(typed, clock)).toThrow(UnreadableEntryError);
    expect(() => parseEntry(typed, clock)).toThrow(/can be (minutes|hours)/);
  });

  it('says both ways to write what could be two times', () => {
    expect(() => parseEntry('9:41', clock)).toThrow('write 0:9:41 or 9:41:00.');
  });

  it.each(['0:31:33 g', '1893 mm'])('%s has the unit of something else', (typed) => {
    expect(parseEntry(typed, clock).unit).toBe('wrong');
  });

  it('is the same time by colons, by names and in seconds, whatever it is', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 11 }),
        fc.integer({ min: 0, max: 59 }),
        fc.integer({ min: 0, max: 59 }),
        (h, m, s) => {
          const two = (part: number): string => String(part).padStart(2, '0');
          const time = h * 3600 + m * 60 + s;
          for (const typed of [`${h}:${two(m)}:${two(s)}`, `${h} h ${m} min ${s} s`, `${time} s`])
            expect(parseEntry(typed, clock).value).toBe(time);
        },
      ),
    );
  });
});

describe('how a time is judged', () => {
  const task = readingTask('clock', { value: 34_867 + 1893, from: 34_867 });
  const found = (entry: string): string => {
    const { verdict, slips } = diagnose(task, entry);
    return slips[0] ? `${verdict}: ${slips[0].ids.join(' + ')}` : verdict;
  };

  it.each(['0:31:33', '31 min 33 s', '31.55 min', '1893 s'])('%s is right', (entry) => {
    expect(found(entry)).toBe('sound');
  });

  it.each([
    ['31.33 min', 'slip: sixty-as-hundred'],
    ['10:12:40', 'slip: final-as-delivered'],
    ['9:41:07', 'slip: initial-as-delivered'],
    ['19:53:47', 'slip: difference-added'],
    ['-0:31:33', 'slip: difference-turned'],
    ['31 min', 'slip: dropped-digit'],
  ])('%s is named', (entry, what) => {
    expect(found(entry)).toBe(what);
  });
});
