import type { HouseRules } from '../rules/house-rules.ts';
import { parseUnit, UnknownUnitError, zerosAreRead, type Unit } from '../units/unit.ts';
import { partsOf, type Expression } from './expression/expression.ts';
import type { WrittenNumber } from '../numbers/written-number.ts';

type NumberNode = Extract<Expression, { kind: 'number' }>;

/** An expression as it is taken, and what is said of the numbers that could be taken otherwise. */
export interface Taken {
  readonly tree: Expression;
  readonly notes: readonly string[];
}

/** A number that somebody could have counted: whole, written without a point, with no unit. */
function isWhole(node: Expression): node is NumberNode {
  return node.kind === 'number' && node.unit === null && /^\d+$/.test(node.written.text);
}

function someIn(tree: Expression, is: (node: Expression) => boolean): boolean {
  return is(tree) || partsOf(tree).some((part) => someIn(part, is));
}

/** 100 % is one by definition, and measures nothing. */
function isWholePercent({ unit, written }: NumberNode): boolean {
  return unit === '%' && written.text === '100';
}

/** Something in an expression about quantities has a unit or a name. */
function isAboutQuantities(tree: Expression): boolean {
  return someIn(
    tree,
    (node) => node.kind === 'name' || (node.kind === 'number' && node.unit !== null && !isWholePercent(node)),
  );
}

/** A factor of a product, or a divisor of it. */
interface Factor {
  readonly node: Expression;
  readonly divides: boolean;
}

function factorsOf(node: Expression, divides = false): Factor[] {
  if (node.kind !== 'binary' || (node.operator !== '*' && node.operator !== '/')) return [{ node, divides }];
  return [...factorsOf(node.left, divides), ...factorsOf(node.right, divides !== (node.operator === '/'))];
}

/** Whole numbers of a product that are exact: beside π, and a hundred that multiplies a quotient. */
function exactIn(factors: readonly Factor[]): (node: NumberNode) => boolean {
  if (factors.some(({ node }) => node.kind === 'pi')) return () => true;
  const multiplied = factors.filter(({ divides }) => !divides);
  const isQuotient = multiplied.length > 1 && multiplied.length < factors.length;
  return (node) => isQuotient && node.written.text === '100' && multiplied.some((factor) => factor.node === node);
}

function unitNamed(text: string): Unit | null {
  try {
    return parseUnit(text);
  } catch (error) {
    // What it should have been is said where units are resolved.
    if (error instanceof UnknownUnitError) return null;
    throw error;
  }
}

/** The same number with the zeros at its end counted as far as a place. */
function countedTo(written: WrittenNumber, place: number): WrittenNumber {
  const figures = written.atLeast + (written.place - place);
  return { ...written, place, atLeast: figures, atMost: Math.max(figures, written.atMost) };
}

function lastPlace({ place, atMost, atLeast }: WrittenNumber): number {
  return place - (atMost - atLeast);
}

/** Readings that stand together: of a mean, or of a sum of several whole ones. An ambiguous one is as good as the finest of the others, to the ones. */
function alikeReadings(readings: readonly Expression[]): ReadonlyMap<Expression, WrittenNumber> {
  const numbers = readings.filter((node): node is NumberNode => node.kind === 'number');
  const taken = new Map<Expression, WrittenNumber>();
  for (const node of numbers) {
    const others = numbers.filter((other) => other !== node).map(({ written }) => written.place);
    const place = Math.max(0, lastPlace(node.written), Math.min(node.written.place, ...others));
    if (place < node.written.place) taken.set(node, countedTo(node.written, place));
  }
  return taken;
}

function termsOf(node: Expression): Expression[] {
  return node.kind === 'binary' && node.operator === '+' ? [...termsOf(node.left), ...termsOf(node.right)] : [node];
}

const OF_READINGS: readonly string[] = ['mean', 'median', 'min', 'max', 'sum'];

class Rulings {
  readonly exact: string[] = [];
  private readonly alike = new Map<Expression, WrittenNumber>();

  constructor(
    private readonly aboutQuantities: boolean,
    private readonly everyNumberExact: boolean,
  ) {}

  take(node: Expression): Expression {
    switch (node.kind) {
      case 'number':
        return this.number(node);
      case 'pi':
      case 'name':
      case 'exact':
        return node;
      case 'negate':
      case 'convert':
        return { ...node, operand: this.take(node.operand) };
      case 'call':
        return this.call(node);
      case 'binary':
        return this.binary(node);
    }
  }

  private number(node: NumberNode): Expression {
    if (this.everyNumberExact && node.unit === null) return { kind: 'exact', operand: node, at: node.at };
    const written = this.alike.get(node);
    if (written) return { ...node, written };
    const { atLeast, atMost } = node.written;
    if (atLeast !== atMost && zerosAreRead((node.unit === null ? null : unitNamed(node.unit)) ?? {}))
      return { ...node, written: countedTo(node.written, lastPlace(node.written)) };
    return node;
  }

  private call(node: Extract<Expression, { kind: 'call' }>): Expression {
    if (OF_READINGS.includes(node.name)) this.keepAlike(node.arguments);
    const underRoot = node.name === 'sqrt' && this.aboutQuantities;
    return {
      ...node,
      arguments: node.arguments.map((part) => (underRoot ? this.factor(part, () => true) : this.take(part))),
    };
  }

  private keepAlike(readings: readonly Expression[]): void {
    alikeReadings(readings).forEach((written, node) => this.alike.set(node, written));
  }

  private binary(node: Extract<Expression, { kind: 'binary' }>): Expression {
    switch (node.operator) {
      case '*':
      case '/':
        return this.product(node, this.aboutQuantities ? () => true : exactIn(factorsOf(node)));
      case '+': {
        const terms = termsOf(node);
        if (terms.length > 2 && terms.every((term) => term.kind === 'number' && /^\d+$/.test(term.written.text)))
          this.keepAlike(terms);
        return { ...node, left: this.take(node.left), right: this.take(node.right) };
      }
      case '-':
      case '^':
        return { ...node, left: this.take(node.left), right: this.take(node.right) };
    }
  }

  private product(node: Expression, isExact: (node: NumberNode) => boolean): Expression {
    if (node.kind !== 'binary' || (node.operator !== '*' && node.operator !== '/')) return this.factor(node, isExact);
    return { ...node, left: this.product(node.left, isExact), right: this.product(node.right, isExact) };
  }

  private factor(node: Expression, isExact: (node: NumberNode) => boolean): Expression {
    if (node.kind === 'negate') return { ...node, operand: this.factor(node.operand, isExact) };
    if (!isWhole(node) || !isExact(node)) return this.take(node);
    this.exact.push(node.written.text);
    return { kind: 'exact', operand: node, at: node.at };
  }
}

function listed(texts: readonly string[]): string {
  return texts.length < 2 ? texts.join('') : `${texts.slice(0, -1).join(', ')} and ${texts.at(-1) ?? ''}`;
}

function noteOnExact(texts: readonly string[]): string[] {
  const different = [...new Set(texts)];
  if (different.length === 0) return [];
  const are = different.length === 1 ? 'is' : 'are';
  return [`${listed(different)} ${are} taken as exact. A measured one has a point: ${different[0] ?? ''}.`];
}

const AMBIGUOUS: Readonly<Record<HouseRules['bareTrailingZeros'], string>> = {
  flag: 'its zeros are not counted, because they may not be measured. Write a point or a power of ten to make it clear.',
  'not-significant': 'its zeros do not count in this class.',
  'want-point': 'its zeros do not count. This class writes a point after the last measured zero.',
  'want-scientific': 'its zeros do not count. This class writes a power of ten.',
};

/** What is to be said about a number that is taken as it is written. */
function noteOnNumber({ written, unit }: NumberNode, rules: HouseRules): string[] {
  const { text, atLeast, atMost, value } = written;
  if (atLeast !== atMost) return [`${text} has ${atLeast} to ${atMost} figures: ${AMBIGUOUS[rules.bareTrailingZeros]}`];
  const isSingle = unit === null && atMost === 1 && /^\d+$/.test(text) && !value.isZero();
  return isSingle
    ? [`${text} counts as measured, with one figure. If it is a count or a definition, write exact(${text}).`]
    : [];
}

const ANGLES: readonly string[] = ['°', 'deg', 'rad'];
const IN_RADIANS = 'An angle without a unit is in radians. Write sin(30°) for degrees.';

/** The sine, or the like, of an angle that has no unit. */
function isBareAngle(node: Expression): boolean {
  if (node.kind !== 'call' || !['sin', 'cos', 'tan'].includes(node.name)) return false;
  return !node.arguments.some((angle) =>
    someIn(angle, (part) => part.kind === 'name' || (part.kind === 'number' && ANGLES.includes(part.unit ?? ''))),
  );
}

/** Numbers that are measured as far as anybody can tell: neither exact nor an exponent. */
function measuredIn(node: Expression): NumberNode[] {
  if (node.kind === 'number') return isWholePercent(node) ? [] : [node];
  if (node.kind === 'exact') return [];
  if (node.kind === 'binary' && node.operator === '^')
    return node.left.kind === 'number' && node.left.written.text === '10' ? [] : measuredIn(node.left);
  return partsOf(node).flatMap(measuredIn);
}

/**
 * Takes the numbers of an expression that could be meant in two ways as a class does: whole numbers that multiply or divide quantities are
 * exact, zeros that stand among readings are read. All of it is said, and can be written otherwise.
 * @param everyNumberExact true in the formula of a protocol, whose numbers without a unit were measured by nobody.
 */
export function taken(typed: Expression, rules: HouseRules, everyNumberExact = false): Taken {
  const rulings = new Rulings(isAboutQuantities(typed), everyNumberExact);
  const tree = rulings.take(typed);
  const notes = [
    ...noteOnExact(rulings.exact),
    ...(someIn(typed, isBareAngle) ? [IN_RADIANS] : []),
    ...measuredIn(tree).flatMap((node) => noteOnNumber(node, rules)),
  ];
  return { tree, notes: [...new Set(notes)] };
}
