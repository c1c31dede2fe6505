import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { expectedReading } from '../expected-reading.ts';
import { hintsFor } from '../in-words.ts';
import { readingTask } from '../reading-task.ts';
import { revealOf } from '../in-words.ts';
import type { Situation } from '../situation.ts';

const steps = (id: string, situation: Situation, rules = {}): string[] =>
  revealOf(readingTask(id, situation, rules)).map(({ text }) => text);
const SLIDES = [
  'caliper-tenth',
  'caliper-twentieth',
  'caliper-fiftieth',
  'micrometer-hundredth',
  'micrometer-thousandth',
] as const;

describe('a caliper read aloud', () => {
  it('goes from the least count to the main mark, the coinciding line, and the sum', () => {
    expect(steps('caliper-fiftieth', { value: 31.28 })).toEqual([
      '50 lines over 49 mm: the least count is 0.02 mm',
      'The last main mark before the vernier’s zero: 31 mm',
      'Line 14 lies on a main mark: 14 × 0.02 = 0.28, together 31.28',
      'The unit: mm',
    ]);
    expect(steps('caliper-twentieth', { value: 7.35 })[2]).toBe(
      'Line 7 lies on a main mark: 7 × 0.05 = 0.35, together 7.35',
    );
    expect(steps('caliper-tenth', { value: 12 })[2]).toBe('Line 0 lies on a main mark: 0 × 0.1 = 0.0, together 12.0');
  });

  it('takes a zero error off with its sign, or adds the correction where the class says so', () => {
    expect(steps('caliper-fiftieth', { value: 31.28, zeroError: -0.04 }).at(-2)).toBe(
      'Take off the zero error −0.04: 31.24 becomes 31.28',
    );
    expect(steps('caliper-fiftieth', { value: 31.28, zeroError: 0.04 }).at(-2)).toBe(
      'Take off the zero error +0.04: 31.32 becomes 31.28',
    );
    expect(
      steps('caliper-fiftieth', { value: 31.28, zeroError: 0.04 }, { zeroWording: 'add-the-zero-correction' }).at(-2),
    ).toBe('Add the correction −0.04: 31.32 becomes 31.28');
    expect(steps('caliper-fiftieth', { value: 31.28, zeroError: 0.04, ask: 'observed' })).toHaveLength(4);
  });
});

describe('a micrometer read aloud', () => {
  it('counts the half when it is uncovered, and not before', () => {
    expect(steps('micrometer-hundredth', { value: 7.234 })[1]).toBe('On the sleeve 7 mm, and no half beyond it: 7.0');
    expect(steps('micrometer-hundredth', { value: 7.734 })[1]).toBe('On the sleeve 7 mm and the half beyond it: 7.5');
    expect(steps('micrometer-hundredth', { value: 7.734 })[2]).toBe('The thimble has passed 23 divisions: 7.73');
    expect(steps('micrometer-hundredth', { value: 7.734 })[3]).toBe('About 4 tenths of a division beyond it: 7.734');
  });

  it('ends at the nearest line where the class reads to lines, and at the sleeve’s vernier where there is one', () => {
    expect(steps('micrometer-hundredth', { value: 7.734 }, { micrometerEstimate: 'nearest-line' })[3]).toBe(
      'The nearest line: 7.73',
    );
    expect(steps('micrometer-thousandth', { value: 7.734 })[3]).toBe(
      'Line 4 of the sleeve’s vernier lies on a thimble line: 7.734',
    );
  });
});

describe('reading aloud ends at what is expected', () => {
  it.each(SLIDES)('%s: for any size and any zero error', (id) => {
    const most = id.startsWith('caliper') ? 14_000 : 2400;
    fc.assert(
      fc.property(fc.integer({ min: 100, max: most }), fc.integer({ min: -3, max: 3 }), (hundredths, digits) => {
        const least = {
          'caliper-tenth': 0.1,
          'caliper-twentieth': 0.05,
          'caliper-fiftieth': 0.02,
          'micrometer-hundredth': 0.001,
          'micrometer-thousandth': 0.001,
        }[id];
        const task = readingTask(id, {
          value: hundredths / 100,
          ...(digits === 0 ? {} : { zeroError: Number((digits * least).toFixed(3)) }),
        });
        const { text, unit } = expectedReading(task);
        expect(revealOf(task).at(-1)?.soFar).toBe(`${text} ${unit}`);
        expect(revealOf(task).at(-2)?.soFar).toBe(text);
      }),
    );
  });

  it.each(SLIDES)('%s: its hints name no number of the picture', (id) => {
    const hints = hintsFor(readingTask(id, { value: 17.36, zeroError: 0.1 }));
    expect(hints.length).toBeGreaterThan(4);
    for (const hint of hints) expect(hint).not.toMatch(/\d/);
  });
});
