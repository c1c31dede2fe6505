import { describe, expect, it } from 'vitest';
import { marksOf } from '../scales/linear-scale.ts';
import { instrumentById, instrumentIds, UnknownInstrumentError } from './catalogue.ts';
import type { GraduatedGlass } from './instrument.ts';
import { meniscusProfile, wallHeight } from './meniscus.ts';
import { SKILLS } from '../skills/skills.ts';

const graduated = (id: string): GraduatedGlass => {
  const found = instrumentById(id);
  if (found.family !== 'graduated-glass') throw new Error(`${id} is no graduated glass`);
  return found;
};
const boreOf = (id: string): number => {
  const { body } = graduated(id);
  if (body.kind === 'conical-flask') throw new Error(`${id} is no cylinder`);
  return body.bore;
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
    expect([scale.division, scale.labelEvery, tolerance.a, tolerance.b, boreOf(id)]).toEqual([
      division,
      labelEvery,
      a,
      b,
      bore,
    ]);
    expect(marksOf(scale)).toHaveLength(Math.round(scale.to / division) + 1);
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
