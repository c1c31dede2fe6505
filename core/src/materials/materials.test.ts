import { describe, expect, it } from 'vitest';
import { materialById, MATERIALS } from './materials.ts';
import { waterDensity } from './water-density.ts';

describe('the table of materials', () => {
  it('has an id of its own for each, and a range in order', () => {
    expect(new Set(MATERIALS.map((material) => material.id)).size).toBe(MATERIALS.length);
    for (const { id, density } of MATERIALS) {
      expect(id).toMatch(/^[a-z]+(-[a-z]+)*$/);
      expect(density[0]).toBeGreaterThan(0);
      expect(density[1]).toBeGreaterThanOrEqual(density[0]);
    }
  });

  it.each([
    ['tin', 7.29, 7.29],
    ['brass', 8.4, 8.7],
    ['bronze', 8.7, 8.9],
    ['nickel', 8.91, 8.91],
    ['slate', 2.7, 2.8],
    ['basalt', 2.8, 3.0],
    ['acrylic', 1.17, 1.2],
    ['cork', 0.2, 0.26],
    ['ebony', 1.0, 1.2],
    ['beeswax', 0.95, 0.97],
    ['lamp-oil', 0.78, 0.82],
    ['glycerol', 1.261, 1.261],
    ['lead', 11.34, 11.34],
    ['aluminium', 2.7, 2.7],
    ['soda-glass', 2.46, 2.54],
  ])('%s lies between %d and %d g/cm³', (id, least, most) => {
    expect(materialById(id)?.density).toEqual([least, most]);
  });

  it('keeps solids and liquids apart', () => {
    expect(MATERIALS.filter((material) => material.phase === 'liquid').map((material) => material.id)).toContain(
      'brine',
    );
    expect(materialById('cork')?.phase).toBe('solid');
  });

  it('does not know what is not in it', () => {
    expect(materialById('unobtainium')).toBeUndefined();
    expect(materialById('')).toBeUndefined();
  });

  it('agrees with what floats in water at room temperature', () => {
    const floats = MATERIALS.filter(({ phase, density }) => phase === 'solid' && density[1] < waterDensity(20)).map(
      (material) => material.id,
    );
    expect(floats).toEqual([
      'polypropylene',
      'polyethylene-hd',
      'balsa',
      'cork',
      'pine',
      'oak',
      'paraffin-wax',
      'beeswax',
    ]);
  });
});
