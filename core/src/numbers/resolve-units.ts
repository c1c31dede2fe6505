import { conversionFactor, multiplyUnits, parseUnit, sameKind, UnitMismatchError, writtenUnit, type Unit } from '../units/unit.ts';
import { Decimal } from './decimal.ts';
import { ExpressionError, type Expression } from './expression.ts';

/** An expression whose units have been checked: sums have one unit throughout, and what remains is arithmetic on pure numbers. */
export interface Resolved {
  readonly tree: Expression;
  readonly unit: Unit;
}

function scaled(tree: Expression, factor: Decimal): Expression {
  if (factor.equals(1)) return tree;
  const written = { text: factor.toString(), value: factor, place: 0, atLeast: 1, atMost: 1 };
  return { kind: 'binary', operator: '*', left: tree, right: { kind: 'exact', operand: { kind: 'number', written, unit: null } } };
}

/** The same quantity in another unit of its kind. @throws UnitMismatchError naming both units. */
export function inUnit(resolved: Resolved, unit: Unit): Resolved {
  return { tree: scaled(resolved.tree, conversionFactor(resolved.unit, unit)), unit };
}

function isPure(unit: Unit): boolean {
  return Object.keys(unit).length === 0;
}

function integerExponent(tree: Expression): number | null {
  if (tree.kind === 'exact') return integerExponent(tree.operand);
  if (tree.kind === 'negate') {
    const inner = integerExponent(tree.operand);
    return inner === null ? null : -inner;
  }
  return tree.kind === 'number' && tree.written.value.isInteger() ? tree.written.value.toNumber() : null;
}

function resolvePower(left: Resolved, right: Resolved): Resolved {
  if (!isPure(right.unit)) throw new UnitMismatchError(writtenUnit(right.unit), '');
  const tree: Expression = { kind: 'binary', operator: '^', left: left.tree, right: right.tree };
  if (isPure(left.unit)) return { tree, unit: {} };
  const power = integerExponent(right.tree);
  if (power === null) throw new ExpressionError(`A quantity in ${writtenUnit(left.unit)} can only be raised to a whole power.`);
  return { tree, unit: multiplyUnits({}, left.unit, power) };
}

function resolveCall(node: Extract<Expression, { kind: 'call' }>, resolve: (tree: Expression) => Resolved): Resolved {
  const parts = node.arguments.map(resolve);
  const first = parts[0];
  if (!first) throw new ExpressionError(`${node.name} needs an argument.`);
  const keepsUnit = node.name === 'abs' || node.name === 'min' || node.name === 'max' || node.name === 'mean';
  if (keepsUnit) return { tree: { ...node, arguments: parts.map((part) => inUnit(part, first.unit).tree) }, unit: first.unit };
  const tree: Expression = { ...node, arguments: [first.tree] };
  if (node.name !== 'sqrt') {
    if (!isPure(first.unit)) throw new UnitMismatchError(writtenUnit(first.unit), '');
    return { tree, unit: {} };
  }
  const powers = Object.entries(first.unit);
  if (powers.some(([, power]) => power % 2 !== 0)) throw new ExpressionError(`The square root of ${writtenUnit(first.unit)} has no unit here.`);
  return { tree, unit: Object.fromEntries(powers.map(([name, power]) => [name, power / 2])) };
}

/**
 * Checks the units of an expression and works out that of its result. Terms of a sum that differ (cm and mm) are brought to the
 * unit of the first by an exact factor.
 * @param unitOf the unit of each name.
 * @throws UnitMismatchError naming both units; UnknownUnitError; ExpressionError.
 */
export function resolveUnits(tree: Expression, unitOf: (name: string) => Unit): Resolved {
  const resolve = (node: Expression): Resolved => {
    switch (node.kind) {
      case 'number':
        return { tree: { ...node, unit: null }, unit: node.unit === null ? {} : parseUnit(node.unit) };
      case 'name':
        return { tree: node, unit: unitOf(node.name) };
      case 'pi':
        return { tree: node, unit: {} };
      case 'exact':
      case 'negate': {
        const inner = resolve(node.operand);
        return { tree: { ...node, operand: inner.tree }, unit: inner.unit };
      }
      case 'call':
        return resolveCall(node, resolve);
      case 'binary': {
        const [left, right] = [resolve(node.left), resolve(node.right)];
        if (node.operator === '^') return resolvePower(left, right);
        if (node.operator === '*' || node.operator === '/') {
          const unit = multiplyUnits(left.unit, right.unit, node.operator === '*' ? 1 : -1);
          return { tree: { ...node, left: left.tree, right: right.tree }, unit };
        }
        if (!sameKind(left.unit, right.unit)) throw new UnitMismatchError(writtenUnit(left.unit), writtenUnit(right.unit));
        return { tree: { ...node, left: left.tree, right: inUnit(right, left.unit).tree }, unit: left.unit };
      }
    }
  };
  return resolve(tree);
}
