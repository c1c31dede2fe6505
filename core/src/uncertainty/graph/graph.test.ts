import { describe, expect, it } from 'vitest';
import { formulaAtInputs } from '../propagate.ts';
import { evaluateFormula } from './evaluate-formula.ts';

describe('the slopes of a formula', () => {
  it.each([
    ['m / (b - a)', { m: 54.3, a: 21.4, b: 27.8 }],
    ['pi / 6 * d^3', { d: 1.8 }],
    ['sqrt(a * b) + ln(a) - exp(b / 10)', { a: 2.3, b: 1.7 }],
    ['sin(a) * cos(b) / tan(a)', { a: 0.7, b: 1.1 }],
    ['mean(a, b, a) ^ b', { a: 2.2, b: 1.3 }],
    ['max(a, b) - abs(-a) + log10(b)', { a: 2.2, b: 3.3 }],
  ])('%s: each is that of a central difference', (formula, inputs) => {
    const values: Readonly<Record<string, number>> = inputs;
    const { graph, node } = formulaAtInputs(
      formula,
      Object.fromEntries(Object.entries(values).map(([name, value]) => [name, { value, standard: 1 }])),
    );
    Object.entries(values).forEach(([name, value], i) => {
      const h = 1e-6 * Math.abs(value);
      const [up, down] = [h, -h].map((step) => evaluateFormula(formula, { ...values, [name]: value + step }));
      expect(graph.slopesOf(node).get(i)).toBeCloseTo(((up ?? NaN) - (down ?? NaN)) / (2 * h), 5);
    });
  });
});
