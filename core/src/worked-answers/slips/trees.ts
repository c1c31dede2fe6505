import {
  partsOf,
  wholeNumberIn,
  type BinaryNode,
  type BinaryOperator,
  type Expression,
} from '../../calculations/expression/expression.ts';
import { parseWrittenNumber } from '../../numbers/written-number.ts';
import type { CalculationTask, Known } from '../number-task.ts';

/** An exact number in a formula. */
export function exactNumber(text: string): Expression {
  const written = parseWrittenNumber(text);
  return { kind: 'exact', operand: { kind: 'number', written, unit: null, at: 0 }, at: 0 };
}

export function combined(operator: BinaryOperator, left: Expression, right: Expression): BinaryNode {
  return { kind: 'binary', operator, left, right, at: 0 };
}

export function isBinary(node: Expression, operator: BinaryOperator): node is BinaryNode {
  return node.kind === 'binary' && node.operator === operator;
}

/** The quantities that a part of a formula is made of. */
export function knownIn(node: Expression, known: CalculationTask['known']): Known[] {
  if (node.kind === 'name') {
    const found = known.get(node.name);
    return found ? [found] : [];
  }
  return partsOf(node).flatMap((part) => knownIn(part, known));
}

/** True where everything in a part plays this part: the mass of a container, or the mean of several such masses. */
export function isAll(node: Expression, part: Known['part'], known: CalculationTask['known']): boolean {
  const found = knownIn(node, known);
  return found.length > 0 && found.every((one) => one.part === part);
}

/** The factors of a product, above and below the line. */
export function factorsOf(node: Expression): Expression[] {
  return isBinary(node, '*') || isBinary(node, '/') ? [...factorsOf(node.left), ...factorsOf(node.right)] : [node];
}

export function isExactly(node: Expression, whole: number): boolean {
  return wholeNumberIn(node) === whole;
}
