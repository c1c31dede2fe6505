import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leastCount, lineAt, vernierDivision, vernierReading, type Vernier } from './vernier.ts';

const TENTH: Vernier = { lines: 10, spans: 9, main: 1 };
const TWENTIETH: Vernier = { lines: 20, spans: 39, main: 1 };
const FIFTIETH: Vernier = { lines: 50, spans: 49, main: 1 };
const SLEEVE: Vernier = { lines: 10, spans: 9, main: 0.01 };

describe('a vernier', () => {
  it.each([
    [TENTH, 0.9, 0.1],
    [TWENTIETH, 1.95, 0.05],
    [FIFTIETH, 0.98, 0.02],
    [SLEEVE, 0.009, 0.001],
  ] as const)('%j has divisions of %f and a least count of %f', (vernier, division, count) => {
    expect(vernierDivision(vernier)).toBeCloseTo(division, 9);
    expect(leastCount(vernier)).toBeCloseTo(count, 9);
  });

  it.each([
    [FIFTIETH, 31.28, 31, 14],
    [FIFTIETH, 31, 31, 0],
    [FIFTIETH, 30.995, 31, 0],
    [TWENTIETH, 7.35, 7, 7],
    [TENTH, 0.8, 0, 8],
    [TENTH, -0.2, -1, 8],
    [FIFTIETH, -0.02, -1, 49],
  ] as const)('%j at %f: main %i, line %i', (vernier, position, main, line) => {
    expect(vernierReading(vernier, position)).toEqual({ main, line });
  });

  it.each([TENTH, TWENTIETH, FIFTIETH])(
    '%j: the line it names is the one that lies nearest to a main mark',
    (vernier) => {
      fc.assert(
        fc.property(fc.double({ min: 0, max: 150, noNaN: true }), (position) => {
          const { line } = vernierReading(vernier, position);
          const offMark = (one: number): number => {
            const at = lineAt(vernier, position, one) / vernier.main;
            return Math.abs(at - Math.round(at));
          };
          const nearest = Math.min(...Array.from({ length: vernier.lines }, (_, one) => offMark(one)));
          expect(offMark(line)).toBeLessThanOrEqual(nearest + 1e-6);
        }),
      );
    },
  );
});
