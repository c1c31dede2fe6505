import { instrumentById, pictureOf, readingTask, type LiquidColumnPicture, type Situation } from '@green-beam/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GLASS_LOOK } from '../graduated-glass/glass-look.ts';
import type { Seen } from '../sight/sight.ts';
import {
  apparentOnScale,
  apparentY,
  bodyShift,
  climbingFilm,
  closeView,
  contactRing,
  eyeHeightAt,
  eyeY,
  liquidOutline,
} from './geometry.ts';
import { withLook, type Upright } from './look.ts';

function cylinder(situation: Situation): Upright {
  const column = pictureOf(readingTask('cylinder-50', situation)) as LiquidColumnPicture;
  return withLook(column, GLASS_LOOK);
}

function picture(scaleSide: 'near' | 'far' = 'near'): Upright {
  return cylinder({ value: 30, scaleSide });
}

const at = (height: number, markAt = picture().surfaceY): Seen => ({ height, markAt });

describe('parallax', () => {
  it('shifts the surface against a near scale by g·h ÷ D, upward for a high eye', () => {
    const near = picture();
    expect(near.surfaceY - apparentOnScale(near, at(60))).toBeCloseTo((12.35 * 60) / 300, 9);
    expect(apparentOnScale(near, at(0))).toBe(near.surfaceY);
  });

  it('shifts it the other way against a far scale', () => {
    const far = picture('far');
    expect(far.surfaceY - apparentOnScale(far, at(60))).toBeCloseTo((-12.35 * 60) / 300, 9);
  });
});

describe('the eye on its rail', () => {
  it.each(
    ['cylinder-50', 'beaker-50', 'beaker-250', 'beaker-500', 'conical-flask-250'].flatMap((id) =>
      ['lowest', 'highest'].map((end) => [id, end] as const),
    ),
  )('of a %s stays in the picture at the %s mark, as far as it can be dragged', (id, end) => {
    const [least, most] = instrumentById(id).range;
    const value = end === 'lowest' ? least + 0.1 * (most - least) : most;
    const vessel = withLook(pictureOf(readingTask(id, { value })) as LiquidColumnPicture, GLASS_LOOK);
    const view = closeView(vessel, vessel.surfaceY, 380, 564);
    expect(eyeY(vessel, view, at(90, vessel.surfaceY))).toBeGreaterThanOrEqual(16 - 1e-6);
    expect(eyeY(vessel, view, at(-90, vessel.surfaceY))).toBeLessThanOrEqual(548 + 1e-6);
  });

  it('lies on the true slope, and dragging is the inverse of drawing', () => {
    const view = closeView(picture(), picture().surfaceY, 380, 544);
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 900 }), (tenths) => {
        const height = tenths / 10;
        expect(eyeHeightAt(picture(), view, picture().surfaceY, eyeY(picture(), view, at(height)))).toBeCloseTo(
          height,
          6,
        );
      }),
    );
    const rise = eyeY(picture(), view, at(0)) - eyeY(picture(), view, at(60));
    const seen = (apparentY(picture(), at(0)) - apparentY(picture(), at(60))) * view.scale;
    expect((rise - seen) / 490).toBeCloseTo(60 / 300, 9);
  });
});

describe('a vessel that ends in the view', () => {
  it.each([
    ['cylinder-50', 8],
    ['beaker-250', 60],
    ['conical-flask-250', 60],
  ])('%s has its liquid on its floor, wherever the eye is', (id, value) => {
    const vessel = withLook(pictureOf(readingTask(id, { value })) as LiquidColumnPicture, GLASS_LOOK);
    const view = closeView(vessel, vessel.surfaceY, 380, 564);
    for (const height of [-90, -35, 0, 60, 90]) {
      const seen = at(height, vessel.surfaceY);
      const column = (apparentY(vessel, seen) - view.topY) * view.scale;
      const lowest = column + (vessel.floorY - vessel.surfaceY) * view.scale;
      expect(lowest).toBeCloseTo((vessel.floorY - view.topY) * view.scale + bodyShift(vessel, view, seen), 9);
    }
  });
});

describe('the liquid', () => {
  const view = closeView(picture(), picture().surfaceY, 380, 544);
  const pointsOf = (path: string): [number, number][] =>
    [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

  it('closes its ring to a line at the level and opens it off the level', () => {
    expect(contactRing(picture(), view, at(0)).ry).toBe(0);
    expect(contactRing(picture(), view, at(60)).ry / view.scale).toBeCloseTo((10.85 * 60) / 300, 6);
    expect(contactRing(picture(), view, at(-60)).ry).toBeCloseTo(contactRing(picture(), view, at(60)).ry, 9);
  });

  it('draws the curve from wall to wall, lowest at the reading mark, and meets the ring at the wall', () => {
    const curve = pointsOf(liquidOutline(picture(), view).curve);
    expect(Math.max(...curve.map(([, y]) => y))).toBe(0);
    expect(curve.find(([, y]) => y === 0)?.[0]).toBe(0);
    const [x, y] = curve.at(-1) ?? [NaN, NaN];
    expect(x / view.scale).toBeCloseTo(21.7 / 2, 2);
    const ring = contactRing(picture(), view, at(0));
    expect(y + (picture().surfaceY - view.topY) * view.scale).toBeCloseTo(ring.cy, 1);
    expect(curve[0]).toEqual([-x, y]);
  });

  it('bends the near half of the ring down for an eye above the level, up for one below', () => {
    const { curve } = liquidOutline(picture(), view);
    const arc = (eyeHeight: number): string => climbingFilm(picture(), view, at(eyeHeight), curve).slice(curve.length);
    const [rx, ry] = [
      contactRing(picture(), view, at(30)).rx.toFixed(2),
      contactRing(picture(), view, at(30)).ry.toFixed(2),
    ];
    expect(arc(30)).toMatch(`A${rx} ${ry} 0 0 1 -${rx}`);
    expect(arc(-30)).toMatch(`A${rx} ${ry} 0 0 0 -${rx}`);
  });

  it('stands as high at the wall as the formula for the climb says, and is filled down to the floor', () => {
    const [, atWall] = pointsOf(liquidOutline(picture(), view).curve).at(-1) ?? [NaN, NaN];
    expect(-atWall / view.scale).toBeCloseTo(3.8 * (1 - Math.exp(-10.85 / 3.8)), 2);
    const low = cylinder({ value: 3 });
    const floor = Math.max(...pointsOf(liquidOutline(low, view).body).map(([, y]) => y));
    expect(floor / view.scale).toBeCloseTo(3000 / (Math.PI * 10.85 ** 2), 1);
  });
});

it('the close view leaves the tube only as far as the eye needs', () => {
  for (const value of [0.5, 25, 50]) {
    const made = cylinder({ value });
    const view = closeView(made, made.surfaceY, 380, 544);
    const below = view.topY + view.height / view.scale - made.height;
    expect(view.topY).toBeGreaterThanOrEqual(2);
    expect(below <= 1e-9 || eyeY(made, view, at(-90, made.surfaceY)) > 527).toBe(true);
    expect(made.surfaceY).toBeGreaterThan(view.topY);
  }
});
