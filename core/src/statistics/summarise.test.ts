import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal as UsualDecimal } from '../numbers/decimal.ts';
import { summarise } from './summarise.ts';

/** Room for every digit of a small double and of its square, so that what is zero comes out as zero. */
const Decimal = UsualDecimal.clone({ precision: 400 });
type Decimal = UsualDecimal;

/** The same figures in decimal arithmetic from the exact values of the doubles. */
function exactly(values: readonly number[]): { mean: Decimal; deviation: Decimal; average: Decimal } {
  const all = values.map((value) => new Decimal(toExactText(value)));
  const sum = (list: readonly Decimal[]): Decimal => list.reduce((total, value) => total.plus(value), new Decimal(0));
  const mean = sum(all).div(all.length);
  const deviation = sum(all.map((value) => value.minus(mean).pow(2)))
    .div(all.length - 1)
    .sqrt();
  return { mean, deviation, average: sum(all.map((value) => value.minus(mean).abs())).div(all.length) };
}

/** A double is a dyadic fraction: its decimal expansion ends. */
function toExactText(value: number): string {
  let scale = 0;
  let scaled = value;
  while (!Number.isInteger(scaled)) {
    scaled *= 2;
    scale += 1;
  }
  return new Decimal(scaled).div(new Decimal(2).pow(scale)).toFixed();
}

function expectClose(found: number | null, exact: Decimal): void {
  if (exact.isZero()) expect(found).toBe(0);
  else expect(new Decimal(found ?? NaN).minus(exact).abs().div(exact.abs()).toNumber()).toBeLessThan(1e-12);
}

describe('summarising repeats', () => {
  it('gives the figures of a worked example', () => {
    const summary = summarise([2, 4, 4, 4, 5, 5, 7, 9]);
    expect(summary).toMatchObject({ n: 8, mean: 5, median: 4.5, range: 7, averageDeviation: 1.5 });
    expect(summary.sampleStandardDeviation).toBeCloseTo(Math.sqrt(32 / 7), 14);
    expect(summary.standardError).toBeCloseTo(Math.sqrt(32 / 7 / 8), 14);
  });

  it('meets a certified value for numbers that differ in their last digit (10000000.2 ± 0.1)', () => {
    const values = [10000000.2, ...Array.from({ length: 500 }, () => [10000000.1, 10000000.3]).flat()];
    const exact = exactly(values);
    const summary = summarise(values);
    expectClose(summary.mean, exact.mean);
    expectClose(summary.sampleStandardDeviation, exact.deviation);
    expectClose(summary.averageDeviation, exact.average);
  });

  it.each([[[1e8 + 0.1, -1e8, 0.2]], [[1e15, 3.5, -1e15]], [[0.1, 0.2, 0.3]]])('holds to 1e-12 on %j', (values) => {
    const exact = exactly(values);
    const summary = summarise(values);
    expectClose(summary.mean, exact.mean);
    expectClose(summary.sampleStandardDeviation, exact.deviation);
    expectClose(summary.averageDeviation, exact.average);
  });

  it('holds to 1e-12 on offset data', () => {
    const offset = fc.integer({ min: -7, max: 9 }).map((power) => 10 ** power);
    fc.assert(
      fc.property(
        offset,
        fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 12 }),
        (base, steps) => {
          const values = steps.map((step) => base * (1 + step / 1e6));
          const exact = exactly(values);
          const summary = summarise(values);
          expectClose(summary.mean, exact.mean);
          expectClose(summary.sampleStandardDeviation, exact.deviation);
        },
      ),
    );
  });

  it('gives one value no spread', () => {
    expect(summarise([8.7])).toEqual({
      n: 1,
      mean: 8.7,
      median: 8.7,
      range: null,
      averageDeviation: null,
      sampleStandardDeviation: null,
      standardError: null,
    });
  });

  it('names what cannot be summarised', () => {
    expect(() => summarise([])).toThrow('values');
    expect(() => summarise([1, NaN])).toThrow('values[1]');
  });
});
