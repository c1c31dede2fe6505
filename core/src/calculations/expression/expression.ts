import type { Operation } from '../../units/unit.ts';
import type { WrittenNumber } from '../../numbers/written-number.ts';

export const FUNCTION_NAMES = [
  'sqrt',
  'ln',
  'log10',
  'exp',
  'sin',
  'cos',
  'tan',
  'abs',
  'min',
  'max',
  'mean',
  'median',
  'sum',
] as const;
export type FunctionName = (typeof FUNCTION_NAMES)[number];
export type BinaryOperator = '+' | '-' | '*' | '/' | '^';

/** Where a part stands in the text it was read from: the character (from 0) of its number, name or operator. */
interface Placed {
  readonly at: number;
}

/**
 * The syntax tree that formulas and expressions share. One tree yields the value, the place, the unit, the gradient and the
 * typeset form, each by a walk of its own.
 */
export type Expression =
  | ({ readonly kind: 'number'; readonly written: WrittenNumber; readonly unit: string | null } & Placed)
  | ({ readonly kind: 'name'; readonly name: string } & Placed)
  | ({ readonly kind: 'pi' } & Placed)
  | ({ readonly kind: 'exact'; readonly operand: Expression } & Placed)
  | ({ readonly kind: 'negate'; readonly operand: Expression } & Placed)
  | ({
      readonly kind: 'binary';
      readonly operator: BinaryOperator;
      readonly left: Expression;
      readonly right: Expression;
    } & Placed)
  | ({ readonly kind: 'call'; readonly name: FunctionName; readonly arguments: readonly Expression[] } & Placed)
  /** The same quantity in another unit; nobody types it, units that have to agree bring it in. */
  | ({ readonly kind: 'convert'; readonly operand: Expression; readonly operations: readonly Operation[] } & Placed);

export type BinaryNode = Extract<Expression, { kind: 'binary' }>;
export type CallNode = Extract<Expression, { kind: 'call' }>;

/** The expression cannot be understood or evaluated. Its message ends with the character it points to, where one is to blame. */
export class ExpressionError extends Error {
  override readonly name = 'ExpressionError';
  /** @param reason the message without the place. @param at the character it points to, from 0. */
  constructor(
    readonly reason: string,
    readonly at: number | null = null,
  ) {
    super(at === null ? reason : `${reason.replace(/\.$/, '')} (at character ${at + 1}).`);
  }
}

/** The parts of a node, in order. */
export function partsOf(node: Expression): readonly Expression[] {
  switch (node.kind) {
    case 'binary':
      return [node.left, node.right];
    case 'call':
      return node.arguments;
    case 'negate':
    case 'exact':
    case 'convert':
      return [node.operand];
    case 'number':
    case 'pi':
    case 'name':
      return [];
  }
}

/** Every name in the tree, each once, in the order of first use. */
export function namesIn(tree: Expression): string[] {
  const names = new Set<string>();
  const visit = (node: Expression): void => {
    if (node.kind === 'name') names.add(node.name);
    partsOf(node).forEach(visit);
  };
  visit(tree);
  return [...names];
}

/** True for a ten as it is written in a power of ten, measured by nobody. */
export function isTen(tree: Expression): boolean {
  return tree.kind === 'exact'
    ? isTen(tree.operand)
    : tree.kind === 'number' && tree.unit === null && tree.written.text === '10';
}

/** True where some number in it is written with decimals, as the logarithm −7.00 is. */
export function isWrittenWithDecimals(tree: Expression): boolean {
  switch (tree.kind) {
    case 'number':
      return tree.written.text.includes('.');
    case 'binary':
      return isWrittenWithDecimals(tree.left) || isWrittenWithDecimals(tree.right);
    case 'call':
      return tree.arguments.some(isWrittenWithDecimals);
    case 'negate':
    case 'convert':
      return isWrittenWithDecimals(tree.operand);
    case 'exact':
    case 'name':
    case 'pi':
      return false;
  }
}

/** A whole number that stands for itself: the exponent of a square, possibly negative; null for anything else. */
export function wholeNumberIn(tree: Expression): number | null {
  if (tree.kind === 'exact') return wholeNumberIn(tree.operand);
  if (tree.kind === 'negate') {
    const inner = wholeNumberIn(tree.operand);
    return inner === null ? null : -inner;
  }
  return tree.kind === 'number' && tree.unit === null && tree.written.value.isInteger()
    ? tree.written.value.toNumber()
    : null;
}
