import { pictureOf, readingTask, type RulerPicture } from '@green-beam/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apparentX, aside, closeView, eyeAsideAt, eyeX } from './geometry.ts';

function ruler(id: string, value: number, from?: number): RulerPicture {
  const picture = pictureOf(readingTask(id, { value, ...(from === undefined ? {} : { from }) }));
  if (picture.kind !== 'ruler') throw new Error('a ruler is drawn as one');
  return picture;
}

describe('the ruler’s close view', () => {
  it.each([['ruler-millimetre', 84.6], ['ruler-half-centimetre', 34.2], ['ruler-centimetre', 71.3], ['ruler-decimetre', 34], ['ruler-inch', 4.31]])('%s: the end that is read lies in it, with lines on both sides', (id, value) => {
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
    expect(apparentX(picture, view, { height: 60, markAt: 0 }) - apparentX(picture, view, { height: 0, markAt: 0 })).toBeCloseTo(0.8 * view.scale, 6);
  });

  it('is dragged to where it is drawn', () => {
    fc.assert(fc.property(fc.integer({ min: -900, max: 900 }), (tenths) => {
      expect(eyeAsideAt(picture, view, eyeX(picture, view, { height: tenths / 10, markAt: 0 }))).toBeCloseTo(tenths / 10, 6);
    }));
  });
});
