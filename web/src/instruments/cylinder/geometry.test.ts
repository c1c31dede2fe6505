import { pictureOf, readingTask, type LiquidColumnPicture } from '@green-beam/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apparentOnScale, apparentY, closeView, eyeHeightAt, eyeY, liquidOutline } from './geometry.ts';

function picture(scaleSide: 'near' | 'far' = 'near'): LiquidColumnPicture {
  const made = pictureOf(readingTask('cylinder-50', { value: 30, scaleSide }));
  if (made.kind !== 'liquid-column') throw new Error('a cylinder has a column');
  return made;
}

describe('parallax', () => {
  it('shifts the surface against a near scale by g·h ÷ D, upward for a high eye', () => {
    const near = picture();
    expect(near.surfaceY - apparentOnScale(near, 60)).toBeCloseTo((12.35 * 60) / 300, 9);
    expect(apparentOnScale(near, 0)).toBe(near.surfaceY);
  });

  it('shifts it the other way against a far scale', () => {
    const far = picture('far');
    expect(far.surfaceY - apparentOnScale(far, 60)).toBeCloseTo((-12.35 * 60) / 300, 9);
  });
});

describe('the eye on its rail', () => {
  it('lies on the true slope, and dragging is the inverse of drawing', () => {
    const view = closeView(picture(), 380, 544);
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 900 }), (tenths) => {
        const height = tenths / 10;
        expect(eyeHeightAt(picture(), view, eyeY(picture(), view, height))).toBeCloseTo(height, 6);
      }),
    );
    const rise = eyeY(picture(), view, 0) - eyeY(picture(), view, 60);
    const seen = (apparentY(picture(), 0) - apparentY(picture(), 60)) * view.scale;
    expect((rise - seen) / 490).toBeCloseTo(60 / 300, 9);
  });
});

describe('the liquid', () => {
  it('closes its ring to a line at the level and opens it off the level', () => {
    const view = closeView(picture(), 380, 544);
    expect(liquidOutline(picture(), view, 0).ring.ry).toBe(0);
    expect(liquidOutline(picture(), view, 60).ring.ry / view.scale).toBeCloseTo((10.85 * 60) / 300, 6);
  });

  it('draws the curve through the reading mark', () => {
    const view = closeView(picture(), 380, 544);
    const ys = [...liquidOutline(picture(), view, 0).curve.matchAll(/ (-?[\d.]+)/g)].map((match) => Number(match[1]));
    expect(Math.max(...ys)).toBeCloseTo((picture().surfaceY - view.topY) * view.scale, 1);
  });
});

it('the close view never leaves the tube', () => {
  for (const value of [0.5, 25, 50]) {
    const made = pictureOf(readingTask('cylinder-50', { value }));
    if (made.kind !== 'liquid-column') throw new Error('a cylinder has a column');
    const view = closeView(made, 380, 544);
    expect(view.topY).toBeGreaterThanOrEqual(2);
    expect(view.topY + view.height / view.scale).toBeLessThanOrEqual(made.height + 1e-9);
    expect(made.surfaceY).toBeGreaterThan(view.topY);
  }
});
