import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import type { ScaleTool } from '../../instruments/instrument.ts';
import { wallHeight } from './meniscus.ts';
import { marksOf } from '../../scales/linear-scale.ts';
import { indicationOf, readingTask } from '../reading-task.ts';
import { millimetresPerMillilitre } from './geometry.ts';
import type { ScaleIndication } from './scale-indication.ts';

const graduated = (id: string): ScaleTool => {
  const found = instrumentById(id);
  if (!('scale' in found)) throw new Error(`${id} has no scale`);
  return found;
};

/** Places along a tool, whatever it stands at. */
const along = ({ id, range }: ScaleTool): Pick<ScaleIndication, 'along' | 'valueAt'> =>
  indicationOf(readingTask(id, { value: range[1] })) as ScaleIndication;

describe('places along a tool', () => {
  const tools = instrumentIds()
    .map(instrumentById)
    .filter((tool) => 'scale' in tool);

  it.each(tools.map((tool) => [tool.id, tool] as const))('%s: a value’s place leads back to the value', (_, tool) => {
    for (let i = 0; i <= 20; i += 1) {
      const value = tool.range[0] + (i / 20) * (tool.range[1] - tool.range[0]);
      expect(along(tool).valueAt(along(tool).along(value))).toBeCloseTo(value, 9);
    }
  });

  it.each(tools.map((tool) => [tool.id, tool] as const))('%s: numbers grow the way its scale says', (_, tool) => {
    const [low, high] = tool.range.map((value) => along(tool).along(value)) as [number, number];
    expect(high > low).toBe(tool.scale.direction === 'up');
  });

  it('marks of a sloping flask lie ever further apart, those of a float ever closer toward the dense end', () => {
    const gaps = (id: string): number[] => {
      const tool = graduated(id);
      return marksOf(tool.scale)
        .slice(1)
        .map(({ at }, i) => Math.abs(along(tool).along(at) - along(tool).along(marksOf(tool.scale)[i]!.at)));
    };
    expect(gaps('conical-flask-250')).toEqual([...gaps('conical-flask-250')].sort((a, b) => a - b));
    expect(gaps('hydrometer-1000')).toEqual([...gaps('hydrometer-1000')].sort((a, b) => b - a));
  });

  it('a sloping flask holds what a cone of its sizes does, by slices', () => {
    const flask = graduated('conical-flask-250');
    let [volume, height] = [0, 0];
    for (const slice = 0.01; volume < 150_000; height += slice)
      volume += Math.PI * (40 - (26 / 105) * (height + slice / 2)) ** 2 * slice;
    expect(along(flask).along(150)).toBeCloseTo(height, 1);
  });

  it('a float sinks to where it displaces its own mass', () => {
    const float = graduated('hydrometer-1000');
    // Stem immersed from the lowest mark up: mass ÷ area × (1 ÷ ρ − 1 ÷ ρ at the lowest mark).
    const perMass = along(float).along(1) / (1 / 1 - 1 / 1.1);
    expect(along(float).along(1.05)).toBeCloseTo(perMass * (1 / 1.05 - 1 / 1.1), 9);
  });
});

describe('true sizes', () => {
  it('a millilitre is as long as its volume over the area of the bore', () => {
    expect(millimetresPerMillilitre(20 / Math.sqrt(Math.PI))).toBeCloseTo(10, 12);
    expect(millimetresPerMillilitre(21.7)).toBeCloseTo(2.704, 3);
  });

  it('water climbs as high as the formula says: about 2 mL on the 100 mL cylinder', () => {
    const bore = 27.8;
    expect(wallHeight('wetting', bore / 2)).toBeCloseTo(3.8 * (1 - Math.exp(-13.9 / 3.8)), 12);
    expect(wallHeight('wetting', bore / 2) / millimetresPerMillilitre(bore)).toBeCloseTo(2.2, 1);
    expect(wallHeight('flat', bore / 2)).toBe(0);
    expect(wallHeight('domed', bore / 2)).toBeLessThan(0);
  });
});
