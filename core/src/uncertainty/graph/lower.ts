import { ExpressionError, wholeNumberIn, type Expression } from '../../calculations/expression/expression.ts';
import type { Graph } from './graph.ts';
import {
  ADD,
  affine,
  CHOOSE,
  DIVIDE,
  MULTIPLY,
  OF_ONE,
  POWER,
  SUBTRACT,
  weightedSum,
  wholePower,
} from './operations.ts';

const BINARY = { '+': ADD, '-': SUBTRACT, '*': MULTIPLY, '/': DIVIDE, '^': POWER } as const;
const LARGEST_POWER = 20;

/**
 * Adds a unit-free expression to a graph.
 * @param nodeOf the node of each name.
 * @returns the node of the whole.
 * @throws ExpressionError for a name that has no node.
 */
export function lower(tree: Expression, graph: Graph, nodeOf: (name: string) => number | undefined): number {
  const visit = (node: Expression): number => {
    switch (node.kind) {
      case 'number':
        return graph.value(node.written.value.toNumber());
      case 'pi':
        return graph.value(Math.PI);
      case 'exact':
        return visit(node.operand);
      case 'negate':
        return graph.apply(affine(-1, 0), [visit(node.operand)]);
      case 'convert':
        return node.operations.reduce(
          (of, operation) =>
            graph.apply(
              'times' in operation ? affine(operation.times.toNumber(), 0) : affine(1, operation.plus.toNumber()),
              [of],
            ),
          visit(node.operand),
        );
      case 'name': {
        const named = nodeOf(node.name);
        if (named === undefined)
          throw new ExpressionError(`The formula uses ${node.name}, which is not among the inputs.`, node.at);
        return named;
      }
      case 'call': {
        const parts = node.arguments.map(visit);
        const { name } = node;
        if (name === 'min' || name === 'max' || name === 'median') return graph.apply(CHOOSE[name], parts);
        if (name === 'sum') return graph.apply(weightedSum(1), parts);
        if (name === 'mean') return graph.apply(weightedSum(1 / parts.length), parts);
        const operation = OF_ONE[name];
        if (!operation) throw new ExpressionError(`${name} has no value here.`, node.at);
        return graph.apply(operation, parts);
      }
      case 'binary': {
        const whole = node.operator === '^' ? wholeNumberIn(node.right) : null;
        if (whole !== null && Math.abs(whole) <= LARGEST_POWER)
          return graph.apply(wholePower(whole), [visit(node.left)]);
        return graph.apply(BINARY[node.operator], [visit(node.left), visit(node.right)]);
      }
    }
  };
  return visit(tree);
}
