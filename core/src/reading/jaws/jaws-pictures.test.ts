import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { acceptedAnswers } from '../indication/acceptance.ts';
import { expectedReading } from '../expected-reading.ts';
import { diagnose } from '../judging/diagnose.ts';
import { pictureOf } from '../bench.ts';
import { indicationOf, readingTask } from '../reading-task.ts';
import { SituationError } from '../indication/situation-error.ts';
import type { CaliperPicture } from '../calipers/caliper-picture.ts';
import type { MicrometerPicture } from '../micrometers/micrometer-picture.ts';
import { onThimble } from '../micrometers/micrometer-indication.ts';

const CALIPERS = ['caliper-tenth', 'caliper-twentieth', 'caliper-fiftieth'] as const;

describe('a caliper’s picture', () => {
  it.each([
    ['caliper-tenth', 11, 9, ['0', '5', '10']],
    ['caliper-twentieth', 21, 39, ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '0']],
    ['caliper-fiftieth', 51, 49, ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9', '0']],
  ] as const)('%s: has %i lines over %i mm, numbered %j', (id, lines, length, labels) => {
    const { vernierMarks, marks } = pictureOf(readingTask(id, { value: 20 })) as CaliperPicture;
    expect(vernierMarks).toHaveLength(lines);
    expect(vernierMarks.at(-1)!.x).toBeCloseTo(length, 3);
    expect(vernierMarks.flatMap(({ label }) => label ?? [])).toEqual(labels);
    // The main scale is numbered in centimetres and runs on, so that the vernier always lies on it.
    expect(marks.find(({ label }) => label === '5')!.x).toBe(50);
    expect(marks.at(-1)!.x).toBeGreaterThanOrEqual(150 + length);
  });

  it('shows the jaws closed only where there may be something to see', () => {
    expect(pictureOf(readingTask('caliper-tenth', { value: 20 }))).toMatchObject({ closedX: null, slideX: 20 });
    expect(pictureOf(readingTask('caliper-tenth', { value: 20, zeroError: -0.2 }))).toMatchObject({
      closedX: -0.2,
      slideX: 19.8,
    });
  });

  it('says nothing but positions', () => {
    for (const id of [...CALIPERS, 'micrometer-hundredth', 'micrometer-thousandth']) {
      const text = JSON.stringify(pictureOf(readingTask(id, { value: 17.3583, zeroError: 0.1 })));
      expect(text).not.toMatch(/"(value|seed|expected|accepts|situation|aim)"/);
      expect(text).not.toContain('17.3583');
    }
  });
});

describe('a micrometer’s picture', () => {
  it('uncovers a half-millimetre line exactly when it counts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 24_999 }), (thousandths) => {
        const value = thousandths / 1000;
        const { marks, openX } = pictureOf(readingTask('micrometer-hundredth', { value })) as MicrometerPicture;
        const uncovered = marks.filter(({ x }) => x <= openX + 1e-9);
        const { sleeve } = onThimble(value);
        expect(uncovered.at(-1)!.x).toBeCloseTo(sleeve, 9);
        expect(uncovered.filter(({ side }) => side === 'above')).toHaveLength(Math.floor(value + 1e-9) + 1);
        expect(uncovered.at(-1)!.side).toBe(value % 1 >= 0.5 - 1e-9 ? 'below' : 'above');
      }),
      { numRuns: 300 },
    );
  });

  it('has its lines numbered each five millimetres, and a vernier of ten lines over nine divisions where it has one', () => {
    const plain = pictureOf(readingTask('micrometer-hundredth', { value: 3 })) as MicrometerPicture;
    const fine = pictureOf(readingTask('micrometer-thousandth', { value: 3 })) as MicrometerPicture;
    expect(plain.marks.flatMap(({ label }) => label ?? [])).toEqual(['0', '5', '10', '15', '20', '25']);
    expect(plain.sleeveLines).toEqual([]);
    expect(fine.sleeveLines).toHaveLength(11);
    expect(fine.sleeveLines.at(-1)).toBe(9);
  });

  it('takes a position apart and puts it together again', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.4, max: 25, noNaN: true }), (position) => {
        const { sleeve, divisions } = onThimble(position);
        expect(sleeve + divisions / 100).toBeCloseTo(position, 9);
        expect(divisions).toBeGreaterThanOrEqual(-1e-6);
        expect(divisions).toBeLessThan(50 + 1e-6);
      }),
    );
  });
});

describe('what is accepted', () => {
  it.each([
    ['caliper-tenth', 31.3, [31.2, 31.3, 31.4]],
    ['caliper-twentieth', 31.3, [31.25, 31.3, 31.35]],
    ['caliper-fiftieth', 31.28, [31.26, 31.28, 31.3]],
    ['micrometer-thousandth', 7.234, [7.233, 7.234, 7.235]],
    ['micrometer-hundredth', 7.234, [7.232, 7.233, 7.234, 7.235, 7.236]],
  ] as const)('on a %s at %f is the line beside it as well, and no more', (id, value, accepted) => {
    expect(acceptedAnswers(indicationOf(readingTask(id, { value })))).toEqual(accepted);
  });

  it('follows the class’s rule for micrometers', () => {
    const lines = { micrometerEstimate: 'nearest-line' } as const;
    expect(expectedReading(readingTask('micrometer-hundredth', { value: 7.234 }, lines)).text).toBe('7.23');
    expect(diagnose(readingTask('micrometer-hundredth', { value: 7.234 }, lines), '7.23 mm').verdict).toBe('sound');
    expect(diagnose(readingTask('micrometer-hundredth', { value: 7.234 }, lines), '7.234 mm').verdict).toBe('record');
    expect(
      acceptedAnswers(indicationOf(readingTask('micrometer-hundredth', { value: 7.2349, zeroError: 0.02 }, lines))),
    ).toEqual([7.23, 7.24]);
    expect(expectedReading(readingTask('micrometer-thousandth', { value: 7.234 }, lines)).text).toBe('7.234');
  });

  it.each([
    ['caliper-tenth', { value: 151 }, 'value'],
    ['caliper-tenth', { value: 20, zeroError: 3 }, 'zeroError'],
    ['caliper-tenth', { value: Number.NaN }, 'value'],
    ['micrometer-hundredth', { value: 26 }, 'value'],
    ['micrometer-hundredth', { value: -1 }, 'value'],
    ['micrometer-hundredth', { value: 5, eyeHeight: 30 }, 'eyeHeight'],
    ['caliper-tenth', { value: 5, surface: 'wetting' as const }, 'surface'],
  ] as const)('a %s at %j is refused, naming %s', (id, situation, field) => {
    expect(() => readingTask(id, situation)).toThrow(SituationError);
    expect(() => readingTask(id, situation)).toThrow(new RegExp(`^${field}: `));
  });
});
