import { describe, expect, it } from 'vitest';
import {
  byDifferences,
  covarianceOfMeans,
  errorOfMean,
  meanOf,
  rectangle,
  resultOf,
  standardOf,
  workedSample,
} from './by-hand.ts';
import { SOLID_BY_DIMENSIONS } from './solid-by-dimensions.ts';

const [MM, G] = [rectangle(0.01), rectangle(0.01)];

const BODIES = [
  {
    name: 'a cylinder',
    index: 1,
    f: ([h = 0, d = 0, m = 0]: readonly number[]) => m / ((Math.PI * (d / 20) ** 2 * h) / 10),
    repeats: [
      [60.1, 60.12, 60.1],
      [24.98, 25.02, 25.0],
      [34.92, 34.91, 34.92],
    ],
  },
  {
    name: 'a sphere',
    index: 2,
    f: ([d = 0, m = 0]: readonly number[]) => m / ((4 / 3) * Math.PI * (d / 20) ** 3),
    repeats: [
      [35.04, 34.92, 34.98, 35.02],
      [55.82, 55.83, 55.82, 55.82],
    ],
  },
  {
    name: 'a tube',
    index: 3,
    f: ([h = 0, o = 0, b = 0, m = 0]: readonly number[]) => m / ((Math.PI * ((o / 20) ** 2 - (b / 20) ** 2) * h) / 10),
    repeats: [
      [20.04, 20.02, 20.04],
      [18.02, 18.0, 18.02],
      [12.04, 12.02, 12.06],
      [24.14, 24.14, 24.15],
    ],
  },
  {
    name: 'a hexagonal bar: six triangles of height s ÷ 2, less its bore',
    index: 4,
    f: ([h = 0, s = 0, b = 0, m = 0]: readonly number[]) => {
      const side = s / 10 / Math.sqrt(3);
      return m / (((6 * side * (s / 20)) / 2 - Math.PI * (b / 20) ** 2) * (h / 10));
    },
    repeats: [
      [25.02, 25.04, 25.02],
      [17.0, 16.98, 17.02],
      [8.04, 8.02, 8.04],
      [42.74, 42.75, 42.74],
    ],
  },
  {
    name: 'a cone: a third of its cylinder',
    index: 5,
    f: ([h = 0, d = 0, m = 0]: readonly number[]) => (3 * m) / ((Math.PI * (d / 20) ** 2 * h) / 10),
    repeats: [
      [48.2, 48.6, 48.4],
      [40.02, 40.1, 39.96],
      [19.44, 19.44, 19.43],
    ],
  },
] as const;

describe('density from dimensions', () => {
  it.each(BODIES)('of $name', ({ index, f, repeats }) => {
    const found = resultOf(workedSample(SOLID_BY_DIMENSIONS, index), 'density');
    const reading = repeats.map((_, i) => (i === repeats.length - 1 ? G : MM));
    expect(found.value).toBeCloseTo(f(repeats.map(meanOf)), 8);
    expect(standardOf(found) / byDifferences(f, repeats, reading)).toBeCloseTo(1, 5);
    expect(found.comparison).toMatchObject({ agrees: true });
  });

  it('of a block takes the zero off each dimension, with its own reading error', () => {
    const found = resultOf(workedSample(SOLID_BY_DIMENSIONS), 'volume');
    const repeats = [
      [79.96, 80.02, 79.98],
      [40.04, 40.0, 40.02],
      [6.12, 6.18, 6.14],
    ];
    const edges = repeats.map((edge) => meanOf(edge) - 0.02);
    const [l = NaN, w = NaN, h = NaN] = edges;
    expect(found.value).toBeCloseTo((l * w * h) / 1000, 10);
    const relative = edges.map((edge, i) => (errorOfMean(repeats[i] ?? []) ** 2 + 2 * MM ** 2) / edge ** 2);
    const crossed = [
      [0, 1],
      [0, 2],
      [1, 2],
    ].map(
      ([i = 0, k = 0]) =>
        (2 * covarianceOfMeans(repeats[i] ?? [], repeats[k] ?? [])) / ((edges[i] ?? NaN) * (edges[k] ?? NaN)),
    );
    const variance = [...relative, ...crossed].reduce((a, b) => a + b);
    expect(standardOf(found)).toBeCloseTo(found.value * Math.sqrt(variance), 10);
  });
});
