import { aside } from '../sight/aside.ts';
import { pictureOf, readingTask, type RulerPicture } from '@green-beam/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apparentX, cameToRest, closeView, eyeAsideAt, eyeX } from './geometry.ts';

function ruler(id: string, value: number, from?: number): RulerPicture {
  const picture = pictureOf(readingTask(id, { value, ...(from === undefined ? {} : { from }) }));
  if (picture.kind !== 'ruler') throw new Error('a ruler is drawn as one');
  return picture;
}

describe('the ruler’s close view', () => {
  it.each([
    ['ruler-millimetre', 84.6],
    ['ruler-half-centimetre', 34.2],
    ['ruler-centimetre', 71.3],
    ['ruler-decimetre', 34],
    ['ruler-inch', 4.31],
  ])('%s: the end that is read lies in it, with lines on both sides', (id, value) => {
    const picture = ruler(id, value);
    const view = closeView(picture, 760);
    const at = (picture.thing.toX - view.fromX) * view.scale;
    expect(at).toBeGreaterThan(0);
    expect(at).toBeLessThan(760);
    const lines = picture.marks.map(({ x }) => (x - view.fromX) * view.scale).filter((x) => x > 0 && x < 760);
    expect(lines.some((x) => x < at)).toBe(true);
    expect(lines.some((x) => x > at)).toBe(true);
  });

  it('keeps the thing’s length in millimetres true, wherever it begins', () => {
    const { thing, marks } = ruler('ruler-inch', 2.5, 3);
    expect(thing.toX - thing.fromX).toBeCloseTo(2.5 * 25.4, 3);
    expect(thing.fromX).toBeCloseTo(marks.find(({ label }) => label === '3')!.x, 3);
  });
});

describe('the eye beside a ruler', () => {
  const picture = ruler('ruler-millimetre', 84.6);
  const view = closeView(picture, 760);

  it('shifts the end by g·h ÷ D to its own side', () => {
    expect(aside(picture, { height: 60 })).toBeCloseTo((4 * 60) / 300, 9);
    const markAt = picture.thing.toX;
    expect(
      apparentX(picture, view, { height: 60, markAt }) - apparentX(picture, view, { height: 0, markAt }),
    ).toBeCloseTo(0.8 * view.scale, 6);
  });

  it('is dragged to where it is drawn, wherever the thing has been laid', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -900, max: 900 }),
        fc.double({ min: 20, max: 200, noNaN: true }),
        (tenths, markAt) => {
          expect(eyeAsideAt(picture, view, markAt, eyeX(picture, view, { height: tenths / 10, markAt }))).toBeCloseTo(
            tenths / 10,
            6,
          );
        },
      ),
    );
  });
});

describe('a thing that is laid', () => {
  const picture = ruler('ruler-millimetre', 84.6, 13.4);
  const zero = picture.marks[0]!.x;
  const withLeftAt = (x: number, height = 0, by: 'drag' | 'key' = 'drag'): number =>
    cameToRest(picture, { height, markAt: picture.thing.toX + x - picture.thing.fromX }, by);

  it('comes to lie against a line near which it is let go, and stays where it is between them', () => {
    expect(withLeftAt(zero + 0.12)).toBeCloseTo(zero + 84.6, 6);
    expect(withLeftAt(zero + 7.9)).toBeCloseTo(zero + 8 + 84.6, 6);
    expect(withLeftAt(zero + 7.5)).toBeCloseTo(zero + 7.5 + 84.6, 6);
    expect(withLeftAt(zero + 0.1, 0, 'key')).toBeCloseTo(zero + 0.1 + 84.6, 6);
    expect(withLeftAt(zero + 0.04, 0, 'key')).toBeCloseTo(zero + 84.6, 6);
  });

  it('comes to lie where it seems to be against the line, from an eye to the side', () => {
    expect(withLeftAt(zero - 0.8, 60)).toBeCloseTo(zero - 0.8 + 84.6, 6);
  });

  it('is seen close at the end that is looked at', () => {
    for (const end of ['left', 'right'] as const) {
      const view = closeView(picture, 760, end, 120);
      const at = apparentX(picture, view, { height: 0, markAt: 120 });
      expect(at).toBeGreaterThan(0);
      expect(at).toBeLessThan(760);
    }
  });
});
