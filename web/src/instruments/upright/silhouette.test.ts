import { drawTask, instrumentById, instrumentIds, pictureOf, type LiquidColumnPicture } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { BURETTE_LOOK } from '../burettes/burette-look.ts';
import { GLASS_LOOK } from '../graduated-glass/glass-look.ts';
import { HYDROMETER_LOOK } from '../hydrometers/hydrometer-look.tsx';
import { RING_LOOK } from '../rings/ring-look.ts';
import { THERMOMETER_LOOK } from '../thermometers/thermometer-look.tsx';
import type { Look } from './look.ts';
import type { Silhouette } from './shape.ts';

const LOOKS = {
  'graduated-glass': GLASS_LOOK,
  burettes: BURETTE_LOOK,
  rings: RING_LOOK,
  thermometers: THERMOMETER_LOOK,
  hydrometers: HYDROMETER_LOOK,
};

function isUpright(family: string): family is keyof typeof LOOKS {
  return family in LOOKS;
}

function lookOf(id: string): Look {
  const { family } = instrumentById(id);
  if (!isUpright(family)) throw new Error(`${id} does not stand upright`);
  return LOOKS[family];
}

function pictured(id: string): LiquidColumnPicture {
  return pictureOf(drawTask(id, { seed: 3 })) as LiquidColumnPicture;
}

function silhouetteOf(picture: LiquidColumnPicture): Silhouette {
  return lookOf(picture.instrumentId).silhouette(picture);
}

/** The points of a path of straight lines. */
function points(path: string): [number, number][] {
  return [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
}

const UPRIGHT = instrumentIds().filter((id) => isUpright(instrumentById(id).family));

describe('the outline of a whole tool', () => {
  it.each(UPRIGHT)('%s: stands straight, as high as its picture, and as wide as it says', (id) => {
    const picture = pictured(id);
    const { inside, solid, halfWidth } = silhouetteOf(picture);
    for (const path of [inside, solid]) {
      const all = points(path);
      expect(all.length).toBeGreaterThan(3);
      const highest = Math.min(...all.map(([, y]) => y));
      expect(highest).toBeGreaterThanOrEqual(0);
      for (const [x, y] of all) {
        expect(Math.abs(x)).toBeLessThanOrEqual(halfWidth + 0.006);
        expect(y).toBeLessThanOrEqual(picture.height + 4);
      }
    }
    // Mirrored about its axis.
    const sum = points(inside).reduce((total, [x]) => total + x, 0);
    expect(sum).toBeCloseTo(0, 1);
  });

  it.each(['cylinder-10', 'cylinder-500', 'burette-25', 'burette-50', 'graduated-pipette-10'])(
    '%s: is as wide inside as its bore, along the whole scale',
    (id) => {
      const picture = pictured(id);
      const widths = points(silhouetteOf(picture).inside)
        .filter(([, y]) => y <= picture.floorY + 1e-6)
        .map(([x]) => Math.abs(x));
      for (const width of widths) expect(width).toBeCloseTo(picture.bore / 2, 1);
    },
  );

  it.each([
    ['volumetric-pipette-10', 10],
    ['volumetric-pipette-25', 25],
  ] as const)('%s: its bulb is wider than its stem, and a larger one’s is wider', (id, volume) => {
    const picture = pictured(id);
    const widest = Math.max(...points(silhouetteOf(picture).inside).map(([x]) => x));
    expect(widest).toBeGreaterThan(picture.bore);
    expect(widest).toBeLessThan(volume);
  });
});
