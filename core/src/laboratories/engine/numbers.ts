import { ExpressionError, namesIn, type Expression } from '../../calculations/expression/expression.ts';
import { evaluateMeasured, exactly, type Measured, type MeasuredResult } from '../../calculations/measured.ts';
import { decimalOf } from '../../numbers/decimal.ts';
import { Rational } from '../../numbers/rational.ts';
import { unambiguousAtPlace, uncertaintyPlace } from '../../numbers/rounding.ts';
import { line } from '../../statistics/line.ts';
import { knownFormula } from '../../uncertainty/graph/evaluate-formula.ts';
import type { AggregateName } from '../formulas/formula.ts';
import type { ResolvedFormula, ResolvedPart, ResolvedTerm } from '../formulas/resolve-formula.ts';
import type { ComputedQuantity, Quantity, QuantityWithUnit } from '../protocol/protocol.ts';
import { addressKey, cellKey, membersOf, type Members } from '../run/address.ts';
import { numberOf, writtenExactly, type Cell, type Place } from './cell.ts';
import { chosenCell, entryCell } from './entry-cell.ts';
import { lookedUpCell } from './looked-up.ts';
import { Missing, NOT_THERE } from './missing.ts';
import { ownCell } from './own-cell.ts';
import { isExcluded, placesOf, toolAt, type Setting } from './setting.ts';

/** One member of what an aggregate is taken over, with its numbers: one for each quantity that it is taken of. */
export interface Gathered {
  readonly members: Members;
  readonly numbers: readonly Measured[];
}

/** The terms of one formula at one place. */
export interface AtPlace {
  readonly formula: ResolvedFormula;
  readonly place: Members;
}

/** So many readings can each be another one. */
const MOST_LINKS = 60;

/** The reading that a link’s text names: its quantity and members, in JSON. Null for what is no such text. */
export function linkFrom(text: string): Place | null {
  try {
    const { quantity, members } = JSON.parse(text) as Partial<Record<keyof Place, unknown>>;
    if (typeof quantity !== 'string' || typeof members !== 'object' || members === null) return null;
    return { quantity, members: members as Members };
  } catch {
    return null;
  }
}

const LIST: readonly AggregateName[] = ['mean', 'sum', 'min', 'max', 'median'];

function isInList(name: AggregateName): name is 'mean' | 'sum' | 'min' | 'max' | 'median' {
  return LIST.includes(name);
}

/** Works out every cell of a run, exactly and with the place of its last digit. */
export class Numbers {
  private readonly cells = new Map<string, Cell>();

  /**
   * @param standardOf the standard uncertainty of a part at a place: for u(x) in a formula.
   * @param goesOnWith what is reckoned with after a student’s own result; as it was written where nothing is given.
   */
  constructor(
    readonly setting: Setting,
    private readonly standardOf: (part: ResolvedPart, at: AtPlace) => number | null,
    private readonly goesOnWith?: (
      quantity: ComputedQuantity,
      members: Members,
      cell: Cell,
      number: Measured,
    ) => Measured,
  ) {}

  /** Works out every cell, each after those it needs. */
  workOut(): void {
    const { layout } = this.setting;
    for (const id of layout.order) {
      const quantity = layout.quantities.get(id);
      if (!quantity) continue;
      for (const place of placesOf(this.setting, quantity.over, quantity.only))
        this.cells.set(cellKey(id, place), this.cell(quantity, place));
    }
  }

  /** The cell of a quantity at a place; members of other dimensions are passed over. */
  cellAt(id: string, place: Members): Cell | undefined {
    const quantity = this.setting.layout.quantities.get(id);
    return quantity && this.cells.get(cellKey(id, membersOf(place, quantity.over)));
  }

  private cell(quantity: Quantity, place: Members): Cell {
    switch (quantity.kind) {
      case 'observed':
        return chosenCell(quantity, this.slotOf(quantity.id, place));
      case 'computed':
        return this.own(quantity, place) ?? this.byTheBook(quantity.id, place);
      case 'looked-up':
        return lookedUpCell(quantity, place, this);
      case 'given':
        if (quantity.value !== undefined) return this.stated(quantity.value);
        return this.entered(quantity, place);
      case 'read':
      case 'counted':
      case 'timed':
      case 'predicted':
        return this.entered(quantity, place);
    }
  }

  /** What the student whose work is looked at has written; null where the quantity is not left to anybody. */
  private own(quantity: ComputedQuantity, members: Members): Cell | null {
    const { own, slots } = this.setting;
    if (!own?.quantities.includes(quantity.id)) return null;
    const slot = slots.get(addressKey({ kind: 'cell', quantity: quantity.id, members, author: own.author }));
    const cell = ownCell(quantity, slot, () => this.byTheBook(quantity.id, members));
    return cell.kind === 'own' && this.goesOnWith
      ? { ...cell, number: this.goesOnWith(quantity, members, cell, cell.number) }
      : cell;
  }

  private slotOf(quantity: string, members: Members): ReturnType<Setting['slots']['get']> {
    return this.setting.slots.get(addressKey({ kind: 'cell', quantity, members }));
  }

  /** A number as the protocol states it, with its digits. */
  private stated(text: string): Cell {
    const { value, place } = evaluateMeasured(knownFormula(text), () => undefined);
    return { kind: 'known', number: { value, place }, text: text.replace(/^exact\((.*)\)$/, '$1') };
  }

  private exactly(text: string): Cell {
    return { kind: 'known', number: exactly(evaluateMeasured(knownFormula(text), () => undefined).value), text };
  }

  /**
   * What was entered at a place; where it says that it is another reading, that one.
   * @param links how many links led here: more than a laboratory has places are a circle.
   */
  private entered(quantity: QuantityWithUnit, place: Members, links = 0): Cell {
    const source = this.linkAt(quantity.id, place);
    if (source) return this.linked(quantity, source, links);
    const { slots, rules } = this.setting;
    const tool = quantity.kind === 'read' ? toolAt(this.setting, quantity, place) : null;
    const cell = entryCell(quantity, this.slotOf(quantity.id, place), {
      tool,
      zeroError: this.hasOwnZero(quantity.id) ? 0 : (tool?.zeroError ?? 0),
      adjustment: slots.get(addressKey({ kind: 'adjustment', quantity: quantity.id, members: place })),
      rules,
    });
    return cell.kind === 'empty' && quantity.usual !== undefined ? this.exactly(quantity.usual) : cell;
  }

  /** Whether a quantity’s zero is read in the run, or it is that zero: then the cabinet’s does not count. */
  hasOwnZero(id: string): boolean {
    return [...this.setting.layout.quantities.values()].some(
      (other) =>
        other.kind === 'read' &&
        other.zeroOf !== undefined &&
        (other.id === id || (other.zeroOf.includes(id) && this.isEntered(other.id))),
    );
  }

  /** The reading that a reading is said to be. */
  private linkAt(quantity: string, members: Members): Place | null {
    const text = this.setting.slots.get(addressKey({ kind: 'link', quantity, members }))?.current.text.trim() ?? '';
    return text === '' ? null : linkFrom(text);
  }

  private linked({ unit }: QuantityWithUnit, { quantity: id, members }: Place, links: number): Cell {
    const source = this.setting.layout.quantities.get(id);
    if (source?.kind !== 'read' || source.unit !== unit || links > MOST_LINKS) return { kind: 'empty' };
    const cell = this.entered(source, members, links + 1);
    return cell.kind === 'entry' ? { ...cell, linkedTo: cell.linkedTo ?? { quantity: id, members } } : cell;
  }

  private isEntered(id: string): boolean {
    return [...this.setting.slots.values()].some(
      ({ current: { address, text } }) => address.kind === 'cell' && address.quantity === id && text.trim() !== '',
    );
  }

  private written({ value, place }: Measured): string {
    return place === -Infinity ? writtenExactly(value) : unambiguousAtPlace(value, place, this.setting.rules.rounding);
  }

  /** A number as it is worked out by its formula. */
  byTheBook(id: string, place: Members): Cell {
    const formula = this.setting.layout.formulas.get(id);
    if (!formula) return { kind: 'pending', reason: null };
    const found = this.evaluate(formula.whole.tree, { formula, place });
    if (found instanceof Missing) return { kind: 'pending', reason: found.reason };
    return { kind: 'computed', number: { value: found.value, place: found.place }, text: this.written(found) };
  }

  /** A tree whose names are terms of a formula, at a place; with its steps. */
  evaluate(tree: Expression, at: AtPlace): MeasuredResult | Missing {
    const numbers = new Map<string, Measured>();
    for (const name of namesIn(tree)) {
      const term = at.formula.terms.get(name);
      const number = term ? this.term(term, at) : NOT_THERE;
      if (number instanceof Missing) return number;
      numbers.set(name, number);
    }
    try {
      return evaluateMeasured(tree, (name) => numbers.get(name), this.setting.rules);
    } catch (error) {
      if (error instanceof ExpressionError) return new Missing(error.reason);
      throw error;
    }
  }

  /** The number that a term stands for. */
  term(term: ResolvedTerm, at: AtPlace): Measured | Missing {
    switch (term.kind) {
      case 'cell': {
        const cell = this.cellAt(term.quantity, { ...at.place, ...term.members });
        const number = numberOf(cell);
        if (number) return number;
        return cell?.kind === 'pending' ? new Missing(cell.reason) : NOT_THERE;
      }
      case 'aggregate':
        return this.aggregate(term, at);
      case 'previous': {
        const before = this.before(term.along, at.place);
        if (before instanceof Missing) return before;
        return before === null
          ? this.evaluate(term.first.tree, at)
          : this.evaluate(term.of.tree, { ...at, place: before });
      }
      case 'uncertainty': {
        const standard = this.standardOf(term.of, at);
        return standard === null || !(standard > 0)
          ? new Missing('It has no uncertainty yet.')
          : { value: Rational.of(standard), place: uncertaintyPlace(standard, this.setting.rules.uncertaintyFigures) };
      }
    }
  }

  /** The place of the member before; null before the first one. */
  before(along: string, place: Members): Members | null | Missing {
    const members = this.setting.members.get(along) ?? [];
    const index = members.findIndex(({ id }) => id === place[along]);
    const previous = members[index - 1];
    if (!previous) return null;
    const before = { ...place, [along]: previous.id };
    return isExcluded(this.setting, before)
      ? new Missing('The one before does not count, so it is not known how much came on top of it.')
      : before;
  }

  /** What an aggregate is taken of: the members that count and have all their numbers. */
  gather({ of, reduced }: Extract<ResolvedTerm, { kind: 'aggregate' }>, at: AtPlace): Gathered[] {
    const only = Object.fromEntries(
      reduced.flatMap((dimension) => {
        const members = of.map((part) => part.only[dimension]).find((one) => one !== undefined);
        return members ? [[dimension, members]] : [];
      }),
    );
    return placesOf(this.setting, reduced, only).flatMap((members): Gathered[] => {
      const place = { ...at.place, ...members };
      if (isExcluded(this.setting, place)) return [];
      const numbers: Measured[] = [];
      for (const part of of) {
        const number = this.evaluate(part.tree, { ...at, place });
        if (number instanceof Missing) return [];
        numbers.push({ value: number.value, place: number.place });
      }
      return [{ members, numbers }];
    });
  }

  private aggregate(term: Extract<ResolvedTerm, { kind: 'aggregate' }>, at: AtPlace): Measured | Missing {
    const gathered = this.gather(term, at);
    const firsts = gathered.flatMap(({ numbers }) => numbers[0] ?? []);
    if (term.name === 'count') return exactly(Rational.of(gathered.length));
    const [first] = firsts;
    const last = firsts.at(-1);
    if (!first || !last) return NOT_THERE;
    if (term.name === 'first') return first;
    if (term.name === 'last') return last;
    if (term.name === 'slope' || term.name === 'intercept') return this.line(term.name, gathered);
    if (isInList(term.name)) return this.list(term.name, firsts);
    if (firsts.length < 2) return new Missing('One value has no spread.');
    return this.spread(term.name, firsts);
  }

  /** As an expression’s own function of a list. */
  private list(name: 'mean' | 'sum' | 'min' | 'max' | 'median', numbers: readonly Measured[]): Measured {
    const tree: Expression = {
      kind: 'call',
      name,
      arguments: numbers.map((_, i) => ({ kind: 'name', name: String(i), at: 0 })),
      at: 0,
    };
    const { value, place } = evaluateMeasured(tree, (index) => numbers[Number(index)], this.setting.rules);
    return { value, place };
  }

  /** A spread is written as an uncertainty is; a range keeps the place of its readings. */
  private spread(name: AggregateName, numbers: readonly Measured[]): Measured {
    const n = Rational.of(numbers.length);
    const values = numbers.map(({ value }) => value);
    const coarsest = Math.max(...numbers.map(({ place }) => place));
    const ordered = [...values].sort((a, b) => a.compare(b));
    const [least = Rational.ZERO, most = Rational.ZERO] = [ordered[0], ordered.at(-1)];
    if (name === 'range') return { value: most.minus(least), place: coarsest };
    const mean = values.reduce((sum, value) => sum.plus(value), Rational.ZERO).dividedBy(n);
    const deviations = values.map((value) => value.minus(mean));
    const atUncertainty = (value: Rational): Measured => ({
      value,
      place: value.isZero() ? coarsest : uncertaintyPlace(value, this.setting.rules.uncertaintyFigures),
    });
    if (name === 'averageDeviation')
      return atUncertainty(
        deviations.reduce((sum, deviation) => sum.plus(deviation.abs()), Rational.ZERO).dividedBy(n),
      );
    const squares = deviations.reduce((sum, deviation) => sum.plus(deviation.times(deviation)), Rational.ZERO);
    const divisor = n.minus(Rational.ONE).times(name === 'se' ? n : Rational.ONE);
    return atUncertainty(Rational.of(decimalOf(squares.dividedBy(divisor)).sqrt()));
  }

  private line(name: 'slope' | 'intercept', gathered: readonly Gathered[]): Measured | Missing {
    const of = (k: number): number[] => gathered.map(({ numbers }) => numbers[k]?.value.toNumber() ?? NaN);
    const [y, x] = [of(0), of(1)];
    if (gathered.length < 2) return new Missing('One point makes no line.');
    if (x.every((value) => value === x[0]))
      return new Missing('All points have the same value across, so no line can be laid.');
    const found = line(x, y);
    const [value, standard] = name === 'slope' ? [found.slope, found.uSlope] : [found.intercept, found.uIntercept];
    const figures = Math.min(
      ...gathered.flatMap(({ numbers }) =>
        numbers.map((number) => number.value.roundedTo(number.place).magnitude() - number.place + 1),
      ),
    );
    const exact = Rational.of(value);
    // Two points have no scatter: the slope has as many figures as they have.
    const place =
      standard !== null && standard > 0
        ? uncertaintyPlace(standard, this.setting.rules.uncertaintyFigures)
        : exact.magnitude() - figures + 1;
    return { value: exact, place };
  }
}
