import type { WrittenNumber } from './written-number.ts';

export const FUNCTION_NAMES = ['sqrt', 'ln', 'log10', 'exp', 'sin', 'cos', 'tan', 'abs', 'min', 'max', 'mean'] as const;
export type FunctionName = (typeof FUNCTION_NAMES)[number];
export type BinaryOperator = '+' | '-' | '*' | '/' | '^';

/**
 * The syntax tree that formulas and expressions share. One tree yields the value, the place, the unit, the gradient and the
 * typeset form, each by a walk of its own.
 */
export type Expression =
  | { readonly kind: 'number'; readonly written: WrittenNumber; readonly unit: string | null }
  | { readonly kind: 'name'; readonly name: string }
  | { readonly kind: 'pi' }
  | { readonly kind: 'exact'; readonly operand: Expression }
  | { readonly kind: 'negate'; readonly operand: Expression }
  | { readonly kind: 'binary'; readonly operator: BinaryOperator; readonly left: Expression; readonly right: Expression }
  | { readonly kind: 'call'; readonly name: FunctionName; readonly arguments: readonly Expression[] };

/** The expression cannot be understood or evaluated; `at` is the character (from 0) it points to, where one is to blame. */
export class ExpressionError extends Error {
  override readonly name = 'ExpressionError';
  constructor(
    message: string,
    readonly at: number | null = null,
  ) {
    super(message);
  }
}

/** Every name in the tree, each once, in the order of first use. */
export function namesIn(tree: Expression): string[] {
  const names = new Set<string>();
  const visit = (node: Expression): void => {
    if (node.kind === 'name') names.add(node.name);
    else if (node.kind === 'binary') [node.left, node.right].forEach(visit);
    else if (node.kind === 'call') node.arguments.forEach(visit);
    else if (node.kind === 'negate' || node.kind === 'exact') visit(node.operand);
  };
  visit(tree);
  return [...names];
}
