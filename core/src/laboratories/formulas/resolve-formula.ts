import { ExpressionError, partsOf, type Expression } from '../../calculations/expression/expression.ts';
import { resolveParts, resolveUnits, type ResolvedParts } from '../../calculations/resolve-units.ts';
import { taken } from '../../calculations/rulings.ts';
import { DEFAULT_RULES } from '../../rules/house-rules.ts';
import { differenceUnit, multiplyUnits, temperatureScale, type Unit } from '../../units/unit.ts';
import { parseFormula, quantitiesIn, type AggregateName, type Formula, type Term } from './formula.ts';

/** What a formula may know of a quantity. */
export interface KnownQuantity {
  readonly unit: Unit;
  readonly over: readonly string[];
  /** The members it stands at, of those dimensions where it does not stand at all of them. */
  readonly only: Readonly<Record<string, readonly string[]>>;
}

/** The names that a formula of a protocol can use. */
export interface Scope {
  quantity(id: string): KnownQuantity | undefined;
  isDimension(id: string): boolean;
  /** The dimension of these that has the member; undefined for none. */
  dimensionOfMember(member: string, among: readonly string[]): string | undefined;
}

/** A part of a formula in one unit, and where it stands. */
export interface ResolvedPart {
  readonly tree: Expression;
  readonly unit: Unit;
  readonly over: readonly string[];
  readonly only: Readonly<Record<string, readonly string[]>>;
}

type Standing = Pick<ResolvedPart, 'unit' | 'over' | 'only'>;

export type ResolvedTerm = Standing &
  (
    | { readonly kind: 'cell'; readonly quantity: string; readonly members: Readonly<Record<string, string>> }
    | {
        readonly kind: 'aggregate';
        readonly name: AggregateName;
        readonly of: readonly ResolvedPart[];
        readonly reduced: readonly string[];
      }
    | { readonly kind: 'previous'; readonly of: ResolvedPart; readonly along: string; readonly first: ResolvedPart }
    | { readonly kind: 'uncertainty'; readonly of: ResolvedPart }
  );

/** A formula whose terms and units are known, ready to be worked out cell by cell. */
export interface ResolvedFormula {
  /** The quantity it is the formula of. */
  readonly id: string;
  readonly formula: Formula;
  readonly whole: ResolvedParts;
  readonly terms: ReadonlyMap<string, ResolvedTerm>;
  /** The quantities it uses. */
  readonly uses: readonly string[];
}

const PURE: Unit = {};

function isDifference(name: AggregateName): boolean {
  return ['sd', 'se', 'range', 'averageDeviation'].includes(name);
}

/** A spread of temperatures is a difference of temperatures. */
function asDifference(unit: Unit): Unit {
  const scale = temperatureScale(unit);
  return scale === null ? unit : differenceUnit(scale);
}

function together(parts: readonly Standing[]): Pick<Standing, 'over' | 'only'> {
  const only: Record<string, readonly string[]> = {};
  for (const part of parts) {
    for (const [dimension, members] of Object.entries(part.only)) {
      const known = only[dimension];
      only[dimension] = known ? known.filter((member) => members.includes(member)) : members;
    }
  }
  return { over: [...new Set(parts.flatMap(({ over }) => over))], only };
}

function without(only: Standing['only'], dimensions: readonly string[]): Standing['only'] {
  return Object.fromEntries(Object.entries(only).filter(([dimension]) => !dimensions.includes(dimension)));
}

/** Resolves the terms of one formula, each once. */
class TermResolver {
  readonly resolved = new Map<string, ResolvedTerm>();

  constructor(
    private readonly formula: Formula,
    private readonly scope: Scope,
  ) {}

  named(name: string, at: number): ResolvedTerm {
    const known = this.resolved.get(name);
    if (known) return known;
    const term = this.formula.terms.get(name);
    if (!term) throw new ExpressionError(`${name} is not known here.`, at);
    const resolved = this.term(term, at);
    this.resolved.set(name, resolved);
    return resolved;
  }

  part(tree: Expression, wanted?: Unit): ResolvedPart {
    const standing = together(this.termsIn(tree));
    const { tree: inUnits, unit } = resolveUnits(
      taken(tree, DEFAULT_RULES, true).tree,
      (name) => this.named(name, tree.at).unit,
      wanted,
    );
    return { tree: inUnits, unit, ...standing };
  }

  termsIn(tree: Expression): ResolvedTerm[] {
    const found: ResolvedTerm[] = [];
    const visit = (node: Expression): void => {
      if (node.kind === 'name') found.push(this.named(node.name, node.at));
      partsOf(node).forEach(visit);
    };
    visit(tree);
    return found;
  }

  private quantity(id: string, at: number): KnownQuantity {
    const known = this.scope.quantity(id);
    if (!known) throw new ExpressionError(`${id} is not a quantity of this laboratory.`, at);
    return known;
  }

  private dimension(id: string, at: number): void {
    if (!this.scope.isDimension(id)) throw new ExpressionError(`${id} is not a dimension of this laboratory.`, at);
  }

  private term(term: Term, at: number): ResolvedTerm {
    switch (term.kind) {
      case 'quantity':
        return { kind: 'cell', ...this.quantity(term.quantity, at), quantity: term.quantity, members: {} };
      case 'members':
        return this.members(term, at);
      case 'aggregate':
        return this.aggregate(term, at);
      case 'previous': {
        this.dimension(term.over, at);
        const of = this.part(term.of);
        const first = this.part(term.first, of.unit);
        if (!of.over.includes(term.over))
          throw new ExpressionError(`previous goes along ${term.over}, and its quantity does not stand over it.`, at);
        if (first.over.includes(term.over))
          throw new ExpressionError(`What stands before the first of ${term.over} cannot stand over it.`, at);
        return { kind: 'previous', of, along: term.over, first, unit: of.unit, ...together([of, first]) };
      }
      case 'uncertainty': {
        const of = this.part(term.of);
        return { kind: 'uncertainty', of, unit: asDifference(of.unit), over: of.over, only: of.only };
      }
    }
  }

  private members({ quantity, members }: Extract<Term, { kind: 'members' }>, at: number): ResolvedTerm {
    const known = this.quantity(quantity, at);
    const fixed: Record<string, string> = {};
    for (const member of members) {
      const dimension = this.scope.dimensionOfMember(member, known.over);
      if (dimension === undefined || dimension in fixed)
        throw new ExpressionError(`${quantity} does not stand at a member “${member}”.`, at);
      if (known.only[dimension]?.includes(member) === false)
        throw new ExpressionError(`${quantity} does not stand at “${member}”.`, at);
      fixed[dimension] = member;
    }
    const rest = Object.keys(fixed);
    return {
      kind: 'cell',
      quantity,
      members: fixed,
      unit: known.unit,
      over: known.over.filter((dimension) => !rest.includes(dimension)),
      only: without(known.only, rest),
    };
  }

  private aggregate({ name, of, over }: Extract<Term, { kind: 'aggregate' }>, at: number): ResolvedTerm {
    for (const dimension of over) this.dimension(dimension, at);
    const parts = of.map((tree) => this.part(tree));
    const [first, second] = parts;
    if (!first) throw new ExpressionError(`${name} needs an argument.`, at);
    const standing = together(parts);
    const missing = over.find((dimension) => !standing.over.includes(dimension));
    if (missing !== undefined)
      throw new ExpressionError(
        `${name} is taken over ${missing}, and what it is taken of does not stand over it.`,
        at,
      );
    const unit =
      name === 'count'
        ? PURE
        : name === 'slope' && second
          ? multiplyUnits(asDifference(first.unit), asDifference(second.unit), -1)
          : isDifference(name)
            ? asDifference(first.unit)
            : first.unit;
    return {
      kind: 'aggregate',
      name,
      of: parts,
      reduced: over,
      unit,
      over: standing.over.filter((dimension) => !over.includes(dimension)),
      only: without(standing.only, over),
    };
  }
}

/**
 * Reads a computed quantity’s formula and checks it: every name, every unit, and that it stands over no dimension that its quantity
 * does not stand over.
 * @throws ExpressionError or UnitMismatchError pointing at the character.
 */
export function resolveFormula(id: string, text: string, own: KnownQuantity, scope: Scope): ResolvedFormula {
  const formula = parseFormula(text);
  const resolver = new TermResolver(formula, scope);
  const terms = resolver.termsIn(formula.tree);
  for (const { over, only } of terms) {
    const extra = over.find((dimension) => !own.over.includes(dimension));
    if (extra !== undefined)
      throw new ExpressionError(
        `${id} does not stand over ${extra}, and part of its formula does. Reduce it, as in mean(… over ${extra}), or take one member.`,
      );
    for (const [dimension, members] of Object.entries(only)) {
      const gone = own.only[dimension]?.find((member) => !members.includes(member));
      if (!own.only[dimension] || gone !== undefined)
        throw new ExpressionError(
          `${id} stands at members of ${dimension} where part of its formula does not; it stands only at ${members.join(', ')}.`,
        );
    }
  }
  const tree = taken(formula.tree, DEFAULT_RULES, true).tree;
  const whole = resolveParts(tree, (name) => resolver.named(name, tree.at).unit, own.unit);
  return { id, formula, whole, terms: resolver.resolved, uses: quantitiesIn(formula.tree, formula.terms) };
}
