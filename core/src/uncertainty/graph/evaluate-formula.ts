import type { Expression } from '../../calculations/expression/expression.ts';
import { parseExpression } from '../../calculations/expression/parse-expression.ts';
import { resolveUnits } from '../../calculations/resolve-units.ts';
import { Graph } from './graph.ts';
import { lower } from './lower.ts';

const KNOWN = new Map<string, Expression>();

/** The tree of one of the application’s own formulas without units, read once. */
export function knownFormula(formula: string): Expression {
  const before = KNOWN.get(formula);
  if (before) return before;
  const { tree } = resolveUnits(parseExpression(formula), () => ({}));
  KNOWN.set(formula, tree);
  return tree;
}

/** The value of one of the application’s own formulas, in double precision. */
export function evaluateFormula(formula: string, values: Readonly<Record<string, number>>): number {
  const graph = new Graph();
  return graph.valueOf(
    lower(knownFormula(formula), graph, (name) => {
      const value = values[name];
      return value === undefined ? undefined : graph.value(value);
    }),
  );
}
