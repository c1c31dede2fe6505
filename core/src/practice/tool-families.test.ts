import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../instruments/catalogue.ts';
import { FIRST_TOOLS, toolFamilies, toolsNamed } from './tool-families.ts';

describe('tools by what is learned on them', () => {
  it('has every tool in one family, and no family without one', () => {
    const shown = toolFamilies().flatMap(({ tools }) => tools.map(({ id }) => id));
    expect([...shown].sort()).toEqual([...instrumentIds()].sort());
    expect(new Set(shown).size).toBe(shown.length);
  });

  it('knows a tool by its id, and a family by its skill’s', () => {
    expect(toolsNamed('micrometer-hundredth')).toEqual(['micrometer-hundredth']);
    expect(toolsNamed('micrometers')).toEqual(['micrometer-hundredth', 'micrometer-thousandth']);
    expect(toolsNamed('clock')).toEqual(['clock']);
    expect(toolsNamed('conversions')).toEqual([]);
    expect(toolsNamed('astrolabe')).toEqual([]);
  });

  it('begins with tools of the catalogue', () => {
    expect(FIRST_TOOLS.map((id) => instrumentById(id).id)).toEqual(FIRST_TOOLS);
  });
});
