import { describe, expect, it } from 'vitest';
import { marksOf } from '../scales/linear-scale.ts';
import { instrumentById, instrumentIds, UnknownInstrumentError } from './catalogue.ts';
import { along, millimetresPerMillilitre, valueAlong } from './along-scale.ts';
import type { ScaleTool, Tube } from './instrument.ts';
import { meniscusProfile, wallHeight } from './meniscus.ts';
import { SKILLS } from '../skills/skills.ts';

const graduated = (id: string): ScaleTool => {
  const found = instrumentById(id);
  if (found.reads !== 'scale') throw new Error(`${id} has no scale`);
  return found;
};
const tube = (id: string): Tube => {
  const { body } = graduated(id);
  if (body.kind !== 'tube') throw new Error(`${id} is no tube`);
  return body;
};

describe('the catalogue', () => {
  it('has an id of its own for every tool, and finds each by it', () => {
    expect(new Set(instrumentIds()).size).toBe(instrumentIds().length);
    for (const id of instrumentIds()) expect(instrumentById(id).id).toBe(id);
  });

  it('gives every tool a skill of the registry, a range in order and a tolerance', () => {
    for (const id of instrumentIds()) {
      const { skill, range, tolerance, division } = instrumentById(id);
      expect(SKILLS.map((one) => one.id)).toContain(skill);
      expect(range[1]).toBeGreaterThan(range[0]);
      expect(tolerance.b).toBeGreaterThanOrEqual(tolerance.a);
      expect(division).toBeGreaterThan(0);
    }
  });

  it.each(['', 'cylinder-51', '__proto__', 'cylinder-50 '])('names “%s” as unknown', (id) => {
    expect(() => instrumentById(id)).toThrow(UnknownInstrumentError);
    expect(() => instrumentById(id)).toThrow(`“${id}”`);
  });

  it.each([
    ['cylinder-10', 0.1, 1, 0.1, 0.2, 11.6],
    ['cylinder-50', 1, 10, 0.5, 1, 21.7],
    ['cylinder-100', 1, 10, 0.5, 1, 27.8],
    ['cylinder-25', 0.5, 5, 0.25, 0.5, 16.6],
    ['cylinder-250', 2, 20, 1, 2, 39.9],
    ['cylinder-500', 5, 50, 2.5, 5, 51],
  ])('%s: divisions of %d, labels each %d, tolerance %d or %d, bore %d', (id, division, labelEvery, a, b, bore) => {
    const { scale, tolerance } = graduated(id);
    expect([scale.division, scale.labelEvery, tolerance.a, tolerance.b, tube(id).bore]).toEqual([
      division,
      labelEvery,
      a,
      b,
      bore,
    ]);
    expect(marksOf(scale)).toHaveLength(Math.round(scale.to / division) + 1);
  });
});

describe('places along a tool', () => {
  const tools = instrumentIds()
    .map(instrumentById)
    .filter((tool) => tool.reads === 'scale');

  it.each(tools.map((tool) => [tool.id, tool] as const))('%s: a value’s place leads back to the value', (_, tool) => {
    for (let i = 0; i <= 20; i += 1) {
      const value = tool.range[0] + (i / 20) * (tool.range[1] - tool.range[0]);
      expect(valueAlong(tool, along(tool, value))).toBeCloseTo(value, 9);
    }
  });

  it.each(tools.map((tool) => [tool.id, tool] as const))('%s: numbers grow the way its scale says', (_, tool) => {
    const [low, high] = tool.range.map((value) => along(tool, value)) as [number, number];
    expect(high > low).toBe(tool.scale.direction === 'up');
  });

  it('marks of a sloping flask lie ever further apart, those of a float ever closer toward the dense end', () => {
    const gaps = (id: string): number[] => {
      const tool = graduated(id);
      return marksOf(tool.scale)
        .slice(1)
        .map(({ at }, i) => Math.abs(along(tool, at) - along(tool, marksOf(tool.scale)[i]!.at)));
    };
    expect(gaps('conical-flask-250')).toEqual([...gaps('conical-flask-250')].sort((a, b) => a - b));
    expect(gaps('hydrometer-1000')).toEqual([...gaps('hydrometer-1000')].sort((a, b) => b - a));
  });

  it('a sloping flask holds what a cone of its sizes does, by slices', () => {
    const flask = graduated('conical-flask-250');
    let [volume, height] = [0, 0];
    for (const slice = 0.01; volume < 150_000; height += slice)
      volume += Math.PI * (40 - (26 / 105) * (height + slice / 2)) ** 2 * slice;
    expect(along(flask, 150)).toBeCloseTo(height, 1);
  });

  it('a float sinks to where it displaces its own mass', () => {
    const float = graduated('hydrometer-1000');
    // Stem immersed from the lowest mark up: mass ÷ area × (1 ÷ ρ − 1 ÷ ρ at the lowest mark).
    const perMass = along(float, 1) / (1 / 1 - 1 / 1.1);
    expect(along(float, 1.05)).toBeCloseTo(perMass * (1 / 1.05 - 1 / 1.1), 9);
  });
});

describe('true sizes', () => {
  it('a millilitre is as long as its volume over the area of the bore', () => {
    expect(millimetresPerMillilitre(20 / Math.sqrt(Math.PI))).toBeCloseTo(10, 12);
    expect(millimetresPerMillilitre(21.7)).toBeCloseTo(2.704, 3);
  });

  it('water climbs as high as the formula says: about 2 mL on the 100 mL cylinder', () => {
    const { bore } = tube('cylinder-100');
    expect(wallHeight('wetting', bore / 2)).toBeCloseTo(3.8 * (1 - Math.exp(-13.9 / 3.8)), 12);
    expect(wallHeight('wetting', bore / 2) / millimetresPerMillilitre(bore)).toBeCloseTo(2.2, 1);
    expect(wallHeight('flat', bore / 2)).toBe(0);
    expect(wallHeight('domed', bore / 2)).toBeLessThan(0);
  });
});

describe('the profile of a surface', () => {
  it.each(['wetting', 'domed'] as const)(
    'of a %s liquid starts level in the middle and is steepest at the wall',
    (surface) => {
      const profile = meniscusProfile(surface, 10.85);
      expect(profile[0]!.map(Math.abs)).toEqual([0, 0]);
      expect(profile.at(-1)![0]).toBeCloseTo(10.85, 9);
      expect(profile.at(-1)![1]).toBeCloseTo(wallHeight(surface, 10.85), 9);
      const slopes = profile.slice(1).map(([x, z], i) => Math.abs((z - profile[i]![1]) / (x - profile[i]![0])));
      expect(slopes).toEqual([...slopes].sort((a, b) => a - b));
    },
  );

  it('satisfies the equation it is taken from: z″ + z′ ÷ x = (z + c) ÷ a²', () => {
    const z = (x: number): number => meniscusProfile('wetting', x, 1).at(-1)![1];
    expect(z(4)).toBeGreaterThan(0);
    const points = meniscusProfile('wetting', 10.85, 400);
    const curvature = (i: number): number => {
      const [[x0, z0], [x1, z1], [x2, z2]] = [points[i - 1]!, points[i]!, points[i + 1]!];
      const [left, right] = [(z1 - z0) / (x1 - x0), (z2 - z1) / (x2 - x1)];
      return (right - left) / ((x2 - x0) / 2) + (left + right) / 2 / x1;
    };
    const offset = curvature(200) * 2.7 ** 2 - points[200]![1];
    for (const i of [100, 150, 250, 300]) expect(curvature(i) * 2.7 ** 2 - points[i]![1]).toBeCloseTo(offset, 2);
  });

  it('of a flat liquid is flat', () => {
    expect(meniscusProfile('flat', 10).every(([, z]) => z === 0)).toBe(true);
  });
});
