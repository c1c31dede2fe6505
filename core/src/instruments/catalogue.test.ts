import { describe, expect, it } from 'vitest';
import { marksOf } from '../scales/linear-scale.ts';
import { instrumentById, instrumentIds, UnknownInstrumentError } from './catalogue.ts';
import type { GraduatedGlass } from './instrument.ts';
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
    ['cylinder-1000', 10, 100, 5, 10, 63],
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
