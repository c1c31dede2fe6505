import { partsOf, type Expression } from './expression.ts';

/** A node with other parts, as many as it has. */
export function withParts(node: Expression, parts: readonly Expression[]): Expression {
  const [first = node, second = first] = parts;
  switch (node.kind) {
    case 'binary':
      return { ...node, left: first, right: second };
    case 'call':
      return { ...node, arguments: parts };
    case 'negate':
    case 'exact':
    case 'convert':
      return { ...node, operand: first };
    case 'number':
    case 'pi':
    case 'name':
      return node;
  }
}

/**
 * The tree with one node exchanged, once for each node that can be.
 * @param exchange what stands there instead; null where the node stays.
 */
export function eachExchanged(tree: Expression, exchange: (node: Expression) => Expression | null): Expression[] {
  const here = exchange(tree);
  const parts = partsOf(tree);
  return [
    ...(here === null ? [] : [here]),
    ...parts.flatMap((part, i) =>
      eachExchanged(part, exchange).map((other) =>
        withParts(
          tree,
          parts.map((one, j) => (i === j ? other : one)),
        ),
      ),
    ),
  ];
}

/**
 * The tree with every node exchanged that can be, from the outside in; what has been exchanged stays as it is.
 * @returns null where none can be.
 */
export function allExchanged(tree: Expression, exchange: (node: Expression) => Expression | null): Expression | null {
  const here = exchange(tree);
  if (here !== null) return here;
  const parts = partsOf(tree);
  const others = parts.map((part) => allExchanged(part, exchange));
  return others.every((other) => other === null)
    ? null
    : withParts(
        tree,
        parts.map((part, i) => others[i] ?? part),
      );
}

/** True where two trees are the same calculation, wherever they were read from. */
export function isSameTree(a: Expression, b: Expression): boolean {
  const [first, second] = [partsOf(a), partsOf(b)];
  if (a.kind !== b.kind || first.length !== second.length) return false;
  if (a.kind === 'name' && b.kind === 'name' && a.name !== b.name) return false;
  if (a.kind === 'number' && b.kind === 'number' && (a.written.text !== b.written.text || a.unit !== b.unit))
    return false;
  if (a.kind === 'binary' && b.kind === 'binary' && a.operator !== b.operator) return false;
  if (a.kind === 'call' && b.kind === 'call' && a.name !== b.name) return false;
  return first.every((part, i) => {
    const other = second[i];
    return other !== undefined && isSameTree(part, other);
  });
}
