import { pictureOf, readingTask, type LiquidColumnPicture } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { BURETTE_LOOK } from '../burettes/burette-look.ts';
import { GLASS_LOOK } from '../graduated-glass/glass-look.ts';
import { RING_LOOK } from '../rings/ring-look.ts';
import { THERMOMETER_LOOK } from '../thermometers/thermometer-look.tsx';
import { closeView, printedWidth } from './geometry.ts';
import { withLook, type Look, type Upright } from './look.ts';
import { markLength, scaleShift } from './printed-scale.tsx';

const picture = (id: string, look: Look, more: object = {}): Upright =>
  withLook(pictureOf(readingTask(id, { value: 30, ...more })) as LiquidColumnPicture, look);

describe('the printed lines', () => {
  it.each([
    ['cylinder-50', GLASS_LOOK],
    ['burette-50', BURETTE_LOOK],
    ['thermometer-degree', THERMOMETER_LOOK],
  ] as const)('%s: are long at labels, shorter between, and stay on what they are printed on', (id, look) => {
    const tool = picture(id, look);
    const [long, medium, short] = (['long', 'medium', 'short'] as const).map((rank) => markLength(tool, rank));
    expect(long).toBeGreaterThan(medium!);
    expect(medium).toBeGreaterThan(short!);
    expect(long).toBeLessThan(1);
  });

  it('run all around a neck with one ring', () => {
    const ring = picture('volumetric-flask-100', RING_LOOK, { value: 100 });
    expect(markLength(ring, 'long')).toBeGreaterThan(0.9);
  });

  it('of two scales leave room between them for both numerals', () => {
    const two = picture('cylinder-100', GLASS_LOOK, { secondScale: true });
    const pixels = printedWidth(two) * closeView(two, two.surfaceY, 380, 564).scale;
    const between = pixels * (1 - 2 * markLength(two, 'long'));
    // Three digits of 26 and of 22 pixels, each six tenths as wide as high, and the gaps beside them.
    expect(between).toBeGreaterThan(3 * 0.6 * (26 + 22) + 30);
  });

  it('slide only where they lie behind the liquid', () => {
    const seen = { height: 60, markAt: 0 };
    const near = picture('cylinder-50', GLASS_LOOK);
    const far = picture('cylinder-50', GLASS_LOOK, { scaleSide: 'far' });
    const view = closeView(near, near.surfaceY, 380, 564);
    expect(Math.abs(scaleShift(near, view, seen))).toBe(0);
    expect(scaleShift(far, view, seen)).toBeCloseTo((-60 * 2 * far.eye.gap * view.scale) / 300, 6);
  });
});
