import {
  CLOCK,
  CLOCK_TO_THE_MINUTE,
  conversion,
  differenceUnit,
  gatheredProduct,
  isPure,
  multiplyUnits,
  parseUnit,
  sameKind,
  sameUnit,
  temperatureScale,
  UnitMismatchError,
  UnknownUnitError,
  writtenUnit,
  type Unit,
} from '../units/unit.ts';
import {
  ExpressionError,
  isTen,
  isWrittenWithDecimals,
  namesIn,
  type BinaryNode,
  type CallNode,
  type Expression,
  type FunctionName,
} from './expression/expression.ts';
import { evaluateMeasured } from './measured.ts';
import { Rational } from '../numbers/rational.ts';

/** An expression whose units have been checked: sums have one unit throughout, and what remains is arithmetic on pure numbers. */
export interface Resolved {
  readonly tree: Expression;
  readonly unit: Unit;
}

/** The same, with the unit of each part of the tree: for showing a working. */
export interface ResolvedParts extends Resolved {
  readonly unitOf: (part: Expression) => Unit;
}

type Part = Resolved;

function inUnitOf({ tree, unit: from }: Part, unit: Unit): Part {
  if (sameUnit(from, unit)) return { tree, unit };
  const operations = conversion(from, unit);
  return { tree: operations.length === 0 ? tree : { kind: 'convert', operand: tree, operations, at: tree.at }, unit };
}

const PURE: Unit = {};

/** Functions of quantities of one kind whose result is one as well. */
const KEEPS_UNIT: readonly FunctionName[] = ['abs', 'min', 'max', 'mean', 'median', 'sum'];

/** Resolves the parts of one tree. */
class Resolver {
  /** @param units where the unit of each part is noted, if anybody asks for it: most results are never asked for their working. */
  constructor(
    private readonly unitOfName: (name: string) => Unit,
    private readonly units: Map<Expression, Unit> | null,
  ) {}

  whole(tree: Expression, wanted: Unit | undefined): Part {
    const part = this.resolve(tree);
    return wanted === undefined ? part : this.inUnit(part, wanted, tree.at);
  }

  resolve(node: Expression): Part {
    const part = this.part(node);
    this.units?.set(part.tree, part.unit);
    return part;
  }

  /** A part in another unit of its kind, known to the map as such. @throws UnitMismatchError at the character. */
  inUnit(part: Part, unit: Unit, at: number): Part {
    if (!sameKind(part.unit, unit)) throw new UnitMismatchError(writtenUnit(unit), writtenUnit(part.unit), at);
    const moved = inUnitOf(part, unit);
    this.units?.set(moved.tree, moved.unit);
    return moved;
  }

  private part(node: Expression): Part {
    switch (node.kind) {
      case 'number':
        return literal(node);
      case 'name':
        return { tree: node, unit: this.unitOfName(node.name) };
      case 'pi':
        return { tree: node, unit: PURE };
      case 'exact':
      case 'negate':
      case 'convert': {
        const inner = this.resolve(node.operand);
        return { tree: { ...node, operand: inner.tree }, unit: inner.unit };
      }
      case 'call':
        return this.call(node);
      case 'binary': {
        const [left, right] = [this.resolve(node.left), this.resolve(node.right)];
        if (node.operator === '^') return this.power(node, left, right);
        return node.operator === '+' || node.operator === '-'
          ? this.sum(node, left, right)
          : this.product(node, left, right);
      }
    }
  }

  private product(node: BinaryNode, left: Part, right: Part): Part {
    const [a, b] = [this.plain(left, right), this.plain(right, left)];
    const { unit, factor } = gatheredProduct(a.unit, b.unit, node.operator === '*' ? 1 : -1);
    const tree: Expression = { ...node, left: a.tree, right: b.tree };
    const operations = factor.equals(Rational.ONE) ? [] : [{ times: factor }];
    if (operations.length === 0) return { tree, unit };
    this.units?.set(tree, multiplyUnits(a.unit, b.unit, node.operator === '*' ? 1 : -1));
    return { tree: { kind: 'convert', operand: tree, operations, at: node.at }, unit };
  }

  /** Percent of something with a unit is a part of it. */
  private plain(part: Part, other: Part): Part {
    return '%' in part.unit && !isPure(other.unit)
      ? this.inUnit(part, multiplyUnits(part.unit, { '%': 1 }, -(part.unit['%'] ?? 0)), part.tree.at)
      : part;
  }

  private sum(node: BinaryNode, left: Part, right: Part): Part {
    const unit = this.unitOfSum(node, left.unit, right.unit);
    const [first, second] = [temperatureScale(left.unit), temperatureScale(right.unit)];
    const forLeft = unit.terms ?? (first === null && second !== null ? differenceUnit(second) : left.unit);
    const forRight = unit.terms ?? (first === null ? right.unit : second === null ? differenceUnit(first) : left.unit);
    return {
      tree: {
        ...node,
        left: this.inUnit(left, forLeft, node.at).tree,
        right: this.inUnit(right, forRight, node.at).tree,
      },
      unit: unit.result,
    };
  }

  /** The unit of a sum, and that of its terms where it is the same for both. */
  private unitOfSum(
    { operator, at }: BinaryNode,
    left: Unit,
    right: Unit,
  ): { readonly result: Unit; readonly terms?: Unit } {
    if (!sameKind(left, right)) throw new UnitMismatchError(writtenUnit(left), writtenUnit(right), at);
    const [first, second] = [temperatureScale(left), temperatureScale(right)];
    if (first === null && second === null) {
      // A time is as fine as the coarser of two that are written with colons.
      const [unit = left] = [CLOCK_TO_THE_MINUTE, CLOCK].flatMap((clock) =>
        [left, right].filter((one) => clock in one),
      );
      return { result: unit, terms: unit };
    }
    if (first !== null && second !== null) {
      if (operator === '-') return { result: differenceUnit(first) };
      if (first !== second)
        throw new ExpressionError(
          `Temperatures in ${first} and ${second} cannot be added. Write a difference as Δ${second}.`,
          at,
        );
      return { result: left };
    }
    if (first === null && operator === '-')
      throw new ExpressionError(`A temperature in ${second ?? ''} cannot be subtracted from a difference.`, at);
    return { result: first === null ? right : left };
  }

  private power(node: BinaryNode, left: Part, right: Part): Part {
    const exponent = this.number(right, node.at);
    const tree: Expression = { ...node, left: left.tree, right: exponent };
    // 10³ by itself counts places and measures nothing.
    if (isPure(left.unit))
      return {
        tree:
          isTen(node.left) && !isWrittenWithDecimals(node.right)
            ? { kind: 'exact', operand: tree, at: node.left.at }
            : tree,
        unit: PURE,
      };
    return { tree, unit: this.raisedUnit(left.unit, right.tree, node.at) };
  }

  /** A unit to a power that leaves whole powers of its symbols: (cm³)^(1/3) is cm. */
  private raisedUnit(unit: Unit, exponent: Expression, at: number): Unit {
    const power = namesIn(exponent).length > 0 ? null : evaluateMeasured(exponent, () => undefined).value.toNumber();
    const powers = Object.entries(unit).map(([symbol, one]) => [symbol, one * (power ?? NaN)] as const);
    const whole = powers.map(([symbol, one]) => [symbol, Math.round(one)] as const);
    if (
      power === null ||
      Math.abs(power) > 20 ||
      powers.some(([, one], i) => Math.abs(one - (whole[i]?.[1] ?? 0)) > 1e-9)
    )
      throw new ExpressionError(
        `${writtenUnit(unit)} has no such power; a unit is raised so that its powers stay whole.`,
        at,
      );
    return multiplyUnits(PURE, Object.fromEntries(whole));
  }

  /** A pure number; percent become one. */
  private number(part: Part, at: number): Expression {
    return this.inUnit(part, PURE, at).tree;
  }

  private call(node: CallNode): Part {
    const parts = node.arguments.map((argument) => this.resolve(argument));
    const first = parts[0];
    if (!first) throw new ExpressionError(`${node.name} needs an argument.`, node.at);
    if (KEEPS_UNIT.includes(node.name))
      return {
        tree: { ...node, arguments: parts.map((part) => this.inUnit(part, first.unit, part.tree.at).tree) },
        unit: first.unit,
      };
    if (node.name !== 'sqrt') return { tree: { ...node, arguments: [this.number(first, node.at)] }, unit: PURE };
    const powers = Object.entries(first.unit);
    if (powers.some(([, power]) => power % 2 !== 0))
      throw new ExpressionError(`The square root of ${writtenUnit(first.unit)} has no unit here.`, node.at);
    return {
      tree: { ...node, arguments: [first.tree] },
      unit: Object.fromEntries(powers.map(([name, power]) => [name, power / 2])),
    };
  }
}

/** A number with its unit taken off; 100 % is one by definition. */
function literal(node: Extract<Expression, { kind: 'number' }>): Part {
  const unit = node.unit === null ? PURE : unitAt(node.unit, node.at);
  const tree: Expression = { ...node, unit: null };
  return {
    tree: node.unit === '%' && node.written.text === '100' ? { kind: 'exact', operand: tree, at: node.at } : tree,
    unit,
  };
}

function unitAt(text: string, at: number): Unit {
  try {
    return parseUnit(text);
  } catch (error) {
    if (error instanceof UnknownUnitError)
      throw new ExpressionError(`${error.message} It stands after the number.`, at);
    throw error;
  }
}

/**
 * Checks the units of an expression and works out that of its result. Terms of a sum that differ (cm and mm) are brought to the
 * unit of the first, factors that can cancel (mL and cm³) are made to; both by exact factors.
 * @param unitOfName the unit of each name.
 * @param wanted the unit the result is to be in, if a certain one is.
 * @throws UnitMismatchError naming both units; ExpressionError pointing at the character.
 */
export function resolveUnits(tree: Expression, unitOfName: (name: string) => Unit, wanted?: Unit): Resolved {
  return new Resolver(unitOfName, null).whole(tree, wanted);
}

/** As `resolveUnits`, with the unit of each part. */
export function resolveParts(tree: Expression, unitOfName: (name: string) => Unit, wanted?: Unit): ResolvedParts {
  const units = new Map<Expression, Unit>();
  const { tree: resolved, unit } = new Resolver(unitOfName, units).whole(tree, wanted);
  return { tree: resolved, unit, unitOf: (part) => units.get(part) ?? PURE };
}
