import type { Expression } from '../../calculations/expression/expression.ts';
import { allExchanged } from '../../calculations/expression/rewrite.ts';
import { taken } from '../../calculations/rulings.ts';
import type { Measured } from '../../calculations/measured.ts';
import { DEFAULT_RULES } from '../../rules/house-rules.ts';
import { Rational } from '../../numbers/rational.ts';
import { parseUnit, sameKind, type Unit } from '../../units/unit.ts';
import { combined, exactNumber } from '../../worked-answers/slips/trees.ts';
import type { Known, Reworking } from '../../worked-answers/number-task.ts';
import { perToolUnit } from '../engine/entry-cell.ts';
import { numberOf, type Cell } from '../engine/cell.ts';
import { Missing } from '../engine/missing.ts';
import type { AtPlace, Numbers } from '../engine/numbers.ts';
import type { AggregateName, Term } from '../formulas/formula.ts';
import type { ResolvedTerm } from '../formulas/resolve-formula.ts';
import type { QuantityWithUnit } from '../protocol/protocol.ts';
import { cellKey, membersOf, type Members } from '../run/address.ts';

/** A number that a calculation needs is not there yet. */
export class NotThereError extends Error {
  override readonly name = 'NotThereError';
}

/** A quantity at a place, as a calculation names it. */
export interface Named {
  readonly quantity: string;
  readonly members: Members;
}

/** Aggregates that an expression has a function for. */
const FUNCTIONS = ['mean', 'sum', 'min', 'max', 'median'] as const;

const VOLUME: Unit = { mL: 1 };

/**
 * The formula of one cell with every term written out: a mean as the mean of its cells, a member before as that cell. So a slip can be
 * made in it as it is made on paper.
 */
export class FormulaAt {
  readonly known = new Map<string, Known>();
  readonly named = new Map<string, Named>();
  /** What a slip would put in the place of a statistic that is one number here, by the slip’s id. */
  readonly otherwise = new Map<string, Reworking[]>();

  /** @param goesInAs what is calculated with where a cell has this number. */
  constructor(
    private readonly numbers: Numbers,
    private readonly goesInAs: (number: Measured) => Measured,
  ) {}

  /** @throws NotThereError while a number is missing. */
  formula(id: string, place: Members): Expression {
    const formula = this.numbers.setting.layout.formulas.get(id);
    if (!formula) throw new NotThereError(id);
    return this.expanded(taken(formula.formula.tree, DEFAULT_RULES, true).tree, { formula, place });
  }

  private expanded(tree: Expression, at: AtPlace): Expression {
    return allExchanged(tree, (node) => (node.kind === 'name' ? this.term(node.name, at) : null)) ?? tree;
  }

  private term(name: string, at: AtPlace): Expression {
    const term = at.formula.formula.terms.get(name);
    const resolved = at.formula.terms.get(name);
    if (!term || !resolved) throw new NotThereError(name);
    switch (resolved.kind) {
      case 'cell':
        return this.cell(resolved.quantity, { ...at.place, ...resolved.members });
      case 'aggregate':
        return term.kind === 'aggregate' ? this.aggregate(name, term, resolved, at) : this.leaf(name, resolved, at);
      case 'previous':
        return term.kind === 'previous' ? this.previous(term, resolved, at) : this.leaf(name, resolved, at);
      case 'uncertainty':
        return this.leaf(name, resolved, at);
    }
  }

  private previous(
    term: Extract<Term, { kind: 'previous' }>,
    resolved: Extract<ResolvedTerm, { kind: 'previous' }>,
    at: AtPlace,
  ): Expression {
    const before = this.numbers.before(resolved.along, at.place);
    if (before instanceof Missing) throw new NotThereError(resolved.along);
    return before === null ? this.expanded(term.first, at) : this.expanded(term.of, { ...at, place: before });
  }

  private aggregate(
    name: string,
    term: Extract<Term, { kind: 'aggregate' }>,
    resolved: Extract<ResolvedTerm, { kind: 'aggregate' }>,
    at: AtPlace,
  ): Expression {
    const gathered = this.numbers.gather(resolved, at);
    const [of] = term.of;
    if (gathered.length === 0 || !of) throw new NotThereError(name);
    if (term.name === 'count') return exactNumber(String(gathered.length));
    const each = gathered.map(({ members }) => this.expanded(of, { ...at, place: { ...at.place, ...members } }));
    const [first] = each;
    if (term.name === 'first' && first) return first;
    const last = each.at(-1);
    if (term.name === 'last' && last) return last;
    const asFunction = FUNCTIONS.find((one) => one === term.name);
    if (asFunction) return { kind: 'call', name: asFunction, arguments: each, at: 0 };
    const leaf = this.leaf(name, resolved, at);
    this.statistic(term.name, leaf, gathered.length);
    return leaf;
  }

  /** What is come to by a slip in a statistic. */
  private statistic(name: AggregateName, leaf: Expression, n: number): void {
    const instead = (slip: string, formula: Expression): void => {
      this.otherwise.set(slip, [...(this.otherwise.get(slip) ?? []), { formula }]);
    };
    const root = (part: Expression): Expression => ({ kind: 'call', name: 'sqrt', arguments: [part], at: 0 });
    const [all, fewer] = [exactNumber(String(n)), exactNumber(String(n - 1))];
    if (name === 'sd') instead('deviation-by-n', combined('*', leaf, root(combined('/', fewer, all))));
    if (name === 'se') instead('root-forgotten', combined('*', leaf, root(all)));
    if (name === 'slope') instead('slope-turned-over', combined('/', exactNumber('1'), leaf));
  }

  /** A term that is one number in the calculation. */
  private leaf(name: string, resolved: ResolvedTerm, at: AtPlace): Expression {
    const number = this.numbers.term(resolved, at);
    if (number instanceof Missing) throw new NotThereError(name);
    const key = `${name} ${cellKey('', membersOf(at.place, resolved.over))}`;
    this.known.set(key, { value: number.value, place: number.place, unit: resolved.unit });
    return { kind: 'name', name: key, at: 0 };
  }

  private cell(id: string, at: Members): Expression {
    const quantity = this.numbers.setting.layout.quantities.get(id);
    const cell = this.numbers.cellAt(id, at);
    const number = numberOf(cell);
    if (!quantity || quantity.kind === 'observed' || !cell || !number) throw new NotThereError(id);
    const members = membersOf(at, quantity.over);
    const key = cellKey(id, members);
    this.known.set(key, this.knownFrom(quantity, cell, number));
    this.named.set(key, { quantity: id, members });
    return { kind: 'name', name: key, at: 0 };
  }

  private knownFrom(quantity: QuantityWithUnit, cell: Cell, number: Measured): Known {
    const unit = parseUnit(quantity.unit);
    const part = this.partOf(quantity, new Set());
    const off = this.zeroTakenOff(quantity, cell);
    const { value, place } = this.goesInAs(number);
    return {
      value,
      place,
      unit,
      column: quantity.id,
      ...(part ? { part } : {}),
      ...(off ? { uncorrected: { value: value.plus(off), place, unit } } : {}),
    };
  }

  /** What a tool shows at zero, in the unit of the quantity, where it has been taken off. */
  private zeroTakenOff({ id, unit }: QuantityWithUnit, cell: Cell): Rational | null {
    if (cell.kind !== 'entry' || !cell.tool || cell.tool.zeroError === null || cell.tool.zeroError === 0) return null;
    if (this.numbers.hasOwnZero(id)) return null;
    return perToolUnit(cell.tool, unit).times(Rational.of(cell.tool.zeroError));
  }

  /** The part a quantity plays, or that of the one it is the mean of. */
  private partOf(quantity: QuantityWithUnit, seen: Set<string>): Known['part'] {
    if (quantity.kind === 'read') {
      if (quantity.container) return 'container';
      if (quantity.zeroOf) return 'zero';
      return sameKind(parseUnit(quantity.unit), VOLUME) ? 'reading' : undefined;
    }
    const formula = quantity.kind === 'computed' ? this.numbers.setting.layout.formulas.get(quantity.id) : undefined;
    const [source, ...others] = formula?.uses ?? [];
    if (source === undefined || others.length > 0 || formula?.formula.tree.kind !== 'name' || seen.has(source))
      return undefined;
    const found = this.numbers.setting.layout.quantities.get(source);
    return found && found.kind !== 'observed' ? this.partOf(found, new Set([...seen, source])) : undefined;
  }
}
