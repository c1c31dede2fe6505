import { describe, expect, it } from 'vitest';
import { meniscusProfile, wallHeight } from './meniscus.ts';

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
