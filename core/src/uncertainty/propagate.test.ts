import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UncertaintyInputError } from './input.ts';
import { propagate } from './propagate.ts';

describe('what cannot be propagated', () => {
  const a = { value: 2, standard: 0.1 };
  const three = { a, b: a, c: a };

  it.each([
    ['sqrt(x)', { x: { value: 0, standard: 0.1 } }, 'x'],
    ['y + 1 / x ^ 0.5 * 0', { x: { value: 0, standard: 0.1 }, y: a }, 'formula'],
  ])('%s has no finite slope, and says where', (formula, inputs, input) => {
    expect(() => propagate(formula, inputs)).toThrow(expect.objectContaining({ name: 'UncertaintyInputError', input }));
  });

  it('goes by the slope of x where |x| has a corner, and minds no slope of what is certain', () => {
    expect(propagate('abs(x)', { x: { value: 0, standard: 0.1 } }).uncertainty).toBeCloseTo(0.1, 12);
    expect(propagate('sqrt(x) + y', { x: { value: 0 }, y: a }).uncertainty).toBeCloseTo(0.1, 12);
  });

  it.each<[correlations: [string, string, number][], says: RegExp]>([
    // The determinant is 1 + 2·0.9·0.9·(−0.9) − 3·0.81 = −2.888.
    [
      [
        ['a', 'b', 0.9],
        ['b', 'c', 0.9],
        ['a', 'c', -0.9],
      ],
      /cannot all be true together/,
    ],
    [
      [
        ['a', 'b', 0.9],
        ['b', 'a', 0.8],
      ],
      /both 0.9 and 0.8/,
    ],
    [
      [
        ['a', 'b', 1],
        ['b', 'c', 1],
        ['a', 'c', 0.5],
      ],
      /cannot all be true together/,
    ],
  ])('refuses correlations %j', (correlations, says) => {
    expect(() => propagate('a + b + c', three, { correlations })).toThrow(says);
  });

  it('takes correlations on the edge of what can be', () => {
    const correlations: [string, string, number][] = [
      ['a', 'b', 1],
      ['b', 'c', 1],
      ['a', 'c', 1],
      ['c', 'a', 1],
    ];
    expect(propagate('a + b + c', three, { correlations }).uncertainty).toBeCloseTo(0.3, 12);
    // The determinant of a correlation of −1/2 between each two of three is 0: their sum does not vary at all.
    const half: [string, string, number][] = [
      ['a', 'b', -0.5],
      ['b', 'c', -0.5],
      ['a', 'c', -0.5],
    ];
    expect(propagate('a + b + c', three, { correlations: half }).uncertainty).toBeCloseTo(0, 7);
  });
});

describe('a budget', () => {
  it.each([
    ['x * y', { x: { value: 0, halfWidth: 1 }, y: { value: 0, halfWidth: 2 } }],
    ['x ^ 2', { x: { value: 0, halfWidth: 1 } }],
    ['sqrt(x) + y', { x: { value: 1, halfWidth: 1 }, y: { value: 0, halfWidth: 2 } }],
    ['m / V', { m: { value: 54.3, halfWidth: 0.01 }, V: { value: 6.2, halfWidth: 0.4 } }],
  ])('of the extremes of %s sums to 1', (formula, inputs) => {
    const { budget, uncertainty } = propagate(formula, inputs, { school: 'extremes' });
    expect(uncertainty).toBeGreaterThan(0);
    expect(budget.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  it('without correlations says so where some were given', () => {
    const correlations: [string, string, number][] = [['a', 'b', 0.5]];
    const inputs = { a: { value: 1, halfWidth: 0.1 }, b: { value: 1, halfWidth: 0.1 } };
    expect(propagate('a + b', inputs, { school: 'plain-sum', correlations }).notes).toHaveLength(1);
    expect(propagate('a + b', inputs, { school: 'quadrature', correlations }).notes).toEqual([]);
    expect(propagate('a + b', inputs, { school: 'plain-sum' }).notes).toEqual([]);
  });
});

describe('propagating uncertainty', () => {
  const density = {
    m: { value: 54.31, halfWidth: 0.01 },
    a: { value: 21.4, halfWidth: 0.5 },
    b: { value: 27.8, halfWidth: 0.5 },
  };

  it('gives a density by displacement the textbook quadrature', () => {
    const { value, uncertainty } = propagate('m / (b - a)', density);
    const V = 6.4;
    const uV = Math.sqrt(2) * (0.5 / Math.sqrt(3));
    const relative = Math.hypot(0.01 / Math.sqrt(3) / 54.31, uV / V);
    expect(value).toBeCloseTo(54.31 / V, 12);
    expect(uncertainty).toBeCloseTo((54.31 / V) * relative, 12);
  });

  it('adds widths plainly for sums and relative widths for products', () => {
    expect(propagate('a + b', density, { school: 'plain-sum' }).uncertainty).toBeCloseTo(1, 12);
    const product = propagate('a * b', density, { school: 'plain-sum' });
    expect(product.uncertainty / product.value).toBeCloseTo(0.5 / 21.4 + 0.5 / 27.8, 12);
  });

  it('takes half of what lies between the extremes', () => {
    const { uncertainty } = propagate('m / (b - a)', density, { school: 'extremes' });
    expect(uncertainty).toBeCloseTo((54.32 / 5.4 - 54.3 / 7.4) / 2, 12);
  });

  it('meets the end-gauge figures of the Guide (JCGM 100:2008, H.1.3.2 to H.1.4, in nm)', () => {
    const { uncertainty } = propagate('lS + d - lS0 * (da * th + aS * dt)', {
      lS: { value: 50000623, standard: 25 },
      d: { value: 215, standard: 9.7 },
      lS0: { value: 50000623 },
      da: { value: 0, standard: 0.58e-6 },
      th: { value: -0.1, standard: 0.41 },
      aS: { value: 11.5e-6, standard: 1.2e-6 },
      dt: { value: 0, standard: 0.029 },
    });
    expect(uncertainty).toBeCloseTo(31.8, 0);
  });

  it('treats an input that appears twice as one input', () => {
    expect(propagate('x - x', { x: { value: 3, standard: 0.1 } }).uncertainty).toBe(0);
    expect(propagate('x * x', { x: { value: 3, standard: 0.1 } }).uncertainty).toBeCloseTo(0.6, 12);
  });

  it('takes correlations into account, with shares that sum to one', () => {
    const inputs = { a: { value: 5, standard: 0.3 }, b: { value: 4, standard: 0.3 } };
    expect(propagate('a - b', inputs, { correlations: [['a', 'b', 1]] }).uncertainty).toBeCloseTo(0, 12);
    const half = propagate('a - b', inputs, { correlations: [['a', 'b', 0.5]] });
    expect(half.uncertainty).toBeCloseTo(0.3, 12);
    expect(half.budget.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  it('gives zero shares when nothing is uncertain', () => {
    expect(propagate('a + 1', { a: { value: 2 } })).toEqual({
      value: 3,
      uncertainty: 0,
      budget: [{ name: 'a', share: 0 }],
      notes: [],
    });
  });

  it('takes a triangle for narrower than a rectangle', () => {
    expect(propagate('a', { a: { value: 1, halfWidth: 0.6, shape: 'triangular' } }).uncertainty).toBeCloseTo(
      0.6 / Math.sqrt(6),
      14,
    );
  });

  it('shares always sum to one, and scaling every width scales the uncertainty', () => {
    const width = fc.double({ min: 0.001, max: 1, noNaN: true });
    fc.assert(
      fc.property(width, width, width, (wm, wa, wb) => {
        const inputs = (k: number) => ({
          m: { value: 54, standard: k * wm },
          a: { value: 21, standard: k * wa },
          b: { value: 28, standard: k * wb },
        });
        const [one, two] = [propagate('m / (b - a)', inputs(1)), propagate('m / (b - a)', inputs(2))];
        expect(one.budget.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
        expect(two.uncertainty / one.uncertainty).toBeCloseTo(2, 10);
      }),
    );
  });

  it.each([
    ['m / V', { m: { value: 1 } }, 'V'],
    ['m', { m: { value: NaN } }, 'm'],
    ['m', { m: { value: 1, standard: -1 } }, 'standard'],
    ['m', { m: { value: 1, halfWidth: 1, shape: 'normal' as const } }, 'normal'],
    ['1 / m', { m: { value: 0 } }, 'formula'],
  ])('%s with unusable inputs names %s', (formula, inputs, named) => {
    expect(() => propagate(formula, inputs)).toThrow(UncertaintyInputError);
    expect(() => propagate(formula, inputs)).toThrow(named);
  });
});
