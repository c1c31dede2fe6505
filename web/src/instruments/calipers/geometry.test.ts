import { expectedReading, pictureOf, readingTask, type CaliperPicture } from '@green-beam/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aside } from '../sight/aside.ts';
import { at, coincidingLine, glassView, middleView, vernierLength } from './geometry.ts';

function caliper(id: string, value: number): CaliperPicture {
  const picture = pictureOf(readingTask(id, { value }));
  if (picture.kind !== 'caliper') throw new Error('a caliper is drawn as one');
  return picture;
}

const CALIPERS = ['caliper-tenth', 'caliper-twentieth', 'caliper-fiftieth'] as const;

describe.each(CALIPERS)('the drawing of %s', (id) => {
  it('shows the whole vernier with marks of the main scale on both sides', () => {
    const picture = caliper(id, 63.4);
    const view = middleView(picture, picture.slideX, 780);
    expect(at(view, picture.slideX)).toBeGreaterThan(20);
    expect(at(view, picture.slideX + vernierLength(picture))).toBeLessThan(760);
  });

  it('is the truth: the line drawn nearest to a main mark is the one the answer rests on', () => {
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 7000 }), (fiftieths) => {
        const value = fiftieths / 50;
        const picture = caliper(id, value);
        const view = middleView(picture, picture.slideX, 780);
        const main = picture.marks.map(({ x }) => at(view, x));
        const off = (line: number): number =>
          Math.min(...main.map((x) => Math.abs(x - at(view, picture.slideX + picture.vernierMarks[line]!.x))));
        const lines = picture.vernierMarks.length - 1;
        const nearest = Array.from({ length: lines }, (_, line) => line).reduce(
          (best, line) => (off(line) < off(best) - 1e-9 ? line : best),
          0,
        );
        expect(off(coincidingLine(picture, picture.slideX))).toBeCloseTo(off(nearest), 6);
        const text = Number(expectedReading(readingTask(id, { value })).text);
        const least = 1 / lines;
        const shown = Math.round((text - Math.floor(text + 1e-9)) / least) % lines;
        // Midway between two lines either is as near.
        expect(Math.min(Math.abs(shown - nearest), lines - Math.abs(shown - nearest))).toBeLessThanOrEqual(
          Math.abs(off(nearest) - off(shown)) < 1e-6 ? 1 : 0,
        );
      }),
      { numRuns: 200 },
    );
  });

  it('is large enough under the glass for a line to be told from the one beside it', () => {
    const picture = caliper(id, 63.4);
    const view = glassView(picture.slideX, 5, 780);
    const spacing = picture.marks[1]!.x - picture.marks[0]!.x;
    const division = picture.vernierMarks[1]!.x;
    const least = Math.ceil(division - 1e-9) * spacing - division;
    expect(least * view.scale).toBeGreaterThan(2);
    expect(at(view, picture.slideX + 5)).toBeCloseTo(390, 6);
  });
});

it('an eye to the side moves the vernier by g·h ÷ D', () => {
  expect(aside(caliper('caliper-fiftieth', 20), { height: 80 })).toBeCloseTo((0.3 * 80) / 300, 9);
});
