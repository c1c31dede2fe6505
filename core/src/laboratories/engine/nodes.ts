import type { Expression } from '../../calculations/expression/expression.ts';
import type { Measured } from '../../calculations/measured.ts';
import { compensatedSum } from '../../statistics/compensated-sum.ts';
import { line } from '../../statistics/line.ts';
import { conversion, parseUnit, type Operation } from '../../units/unit.ts';
import { knownFormula } from '../../uncertainty/graph/evaluate-formula.ts';
import { Graph } from '../../uncertainty/graph/graph.ts';
import { lower } from '../../uncertainty/graph/lower.ts';
import { affine, CHOOSE, lineOf, weightedSum } from '../../uncertainty/graph/operations.ts';
import type { ResolvedTerm } from '../formulas/resolve-formula.ts';
import type { ComputedQuantity, LookedUpQuantity, QuantityWithUnit } from '../protocol/protocol.ts';
import { cellKey, membersOf, type Members } from '../run/address.ts';
import { numberOf, type Cell } from './cell.ts';
import { EntryErrors } from './entry-errors.ts';
import { BaseInputs, rectangle } from './inputs.ts';
import { lookedUp } from './looked-up.ts';
import { Missing } from './missing.ts';
import type { AtPlace, Gathered, Numbers } from './numbers.ts';
import { deviationsOf, quantityTakenOf, RepeatErrors, type Dropped } from './repeat-errors.ts';

type Aggregate = Extract<ResolvedTerm, { kind: 'aggregate' }>;

const NONE: Dropped = new Set();

/**
 * The numbers of a run once more, in double precision and with the errors they depend on: what is uncertain in them, and how errors
 * change them. A node is made when somebody asks for it.
 */
export class Nodes {
  readonly graph = new Graph();
  readonly inputs = new BaseInputs(this.graph);
  private readonly known = new Map<string, number>();
  private readonly entryErrors: EntryErrors;
  private readonly repeatErrors: RepeatErrors;

  constructor(private readonly numbers: Numbers) {
    this.entryErrors = new EntryErrors(numbers, this.inputs);
    this.repeatErrors = new RepeatErrors(numbers, this.graph, this.inputs);
  }

  /** The node of a quantity’s number at a place; undefined where it has none. */
  cell(id: string, place: Members, dropped: Dropped = NONE): number | undefined {
    const { setting } = this.numbers;
    const quantity = setting.layout.quantities.get(id);
    const cell = this.numbers.cellAt(id, place);
    if (!quantity || quantity.kind === 'observed' || !numberOf(cell)) return undefined;
    const at = membersOf(place, quantity.over);
    const key = `${cellKey(id, at)}|${[...dropped].sort().join(',')}`;
    const before = this.known.get(key);
    if (before !== undefined) return before;
    const node = this.made(quantity, at, cell, dropped);
    if (node !== undefined) this.known.set(key, node);
    return node;
  }

  private made(
    quantity: QuantityWithUnit,
    place: Members,
    cell: Cell | undefined,
    dropped: Dropped,
  ): number | undefined {
    if (quantity.kind === 'computed') {
      if (cell?.kind === 'own') return this.own(quantity, place, cell.number, dropped);
      return this.byTheBook(quantity, place, dropped);
    }
    if (quantity.kind === 'looked-up') return this.lookedUp(quantity, place, dropped);
    const number = numberOf(cell);
    return number && this.graph.value(number.value.toNumber(), this.entryErrors.of(quantity, place, cell));
  }

  private byTheBook({ id, pooledOver }: ComputedQuantity, place: Members, dropped: Dropped): number | undefined {
    const formula = this.numbers.setting.layout.formulas.get(id);
    return formula && this.part(formula.whole.tree, { formula, place }, dropped, pooledOver);
  }

  /** What a student has worked out: the value as it was written, with what is uncertain in it by the book. */
  private own(quantity: ComputedQuantity, place: Members, { value }: Measured, dropped: Dropped): number | undefined {
    const known = numberOf(this.numbers.byTheBook(quantity.id, place));
    const node = known && this.byTheBook(quantity, place, dropped);
    if (node === undefined) return this.graph.value(value.toNumber());
    return this.graph.apply(affine(1, value.toNumber() - this.graph.valueOf(node)), [node]);
  }

  private lookedUp(quantity: LookedUpQuantity, place: Members, dropped: Dropped): number | undefined {
    const found = lookedUp(quantity, place, this.numbers);
    if (found instanceof Missing) return undefined;
    const parts = new Map<string, number>();
    for (const { name, quantity: of, unit } of found.arguments) {
      const node = this.cell(of.id, place, dropped);
      if (node === undefined) return undefined;
      parts.set(name, this.inUnit(node, conversion(parseUnit(of.unit), parseUnit(unit))));
    }
    const own = lower(knownFormula(found.formula), this.graph, (name) => parts.get(name));
    const node = this.inUnit(own, conversion(parseUnit(found.lookUp.unit), parseUnit(quantity.unit)));
    const { halfWidth = 0 } = found;
    if (halfWidth === 0) return node;
    const members = membersOf(place, quantity.over);
    const input = this.inputs.at(`looked-up|${cellKey(quantity.id, members)}`, () =>
      rectangle({ kind: 'looked-up', quantity: quantity.id, members, tool: null }, halfWidth),
    );
    return this.graph.apply(affine(1, 0), [node], [input]);
  }

  private inUnit(node: number, operations: readonly Operation[]): number {
    return operations.reduce(
      (of, operation) =>
        this.graph.apply(
          'times' in operation ? affine(operation.times.toNumber(), 0) : affine(1, operation.plus.toNumber()),
          [of],
        ),
      node,
    );
  }

  /** The node of a tree whose names are terms. */
  part(tree: Expression, at: AtPlace, dropped: Dropped = NONE, pooledOver: readonly string[] = []): number {
    return lower(tree, this.graph, (name) => {
      const term = at.formula.terms.get(name);
      return term && this.term(name, term, at, dropped, pooledOver);
    });
  }

  private term(
    name: string,
    term: ResolvedTerm,
    at: AtPlace,
    dropped: Dropped,
    pooledOver: readonly string[],
  ): number | undefined {
    switch (term.kind) {
      case 'cell':
        return this.cell(term.quantity, { ...at.place, ...term.members }, dropped);
      case 'aggregate':
        return this.aggregate(name, term, at, dropped, pooledOver);
      case 'previous': {
        const before = this.numbers.before(term.along, at.place);
        if (before instanceof Missing) return undefined;
        return before === null
          ? this.part(term.first.tree, at, dropped)
          : this.part(term.of.tree, { ...at, place: before }, dropped);
      }
      case 'uncertainty':
        return this.constant(term, at);
    }
  }

  private constant(term: ResolvedTerm, at: AtPlace): number | undefined {
    const number = this.numbers.term(term, at);
    return number instanceof Missing ? undefined : this.graph.value(number.value.toNumber());
  }

  private aggregate(
    name: string,
    term: Aggregate,
    at: AtPlace,
    dropped: Dropped,
    pooledOver: readonly string[],
  ): number | undefined {
    const gathered = this.numbers.gather(term, at);
    const nodesOf = (index: number, without: Dropped): number[] =>
      gathered.map(({ members }) => {
        const part = term.of[index];
        return part ? this.part(part.tree, { ...at, place: { ...at.place, ...members } }, without) : NaN;
      });
    switch (term.name) {
      case 'mean':
        return this.mean(name, term, at, gathered, dropped, pooledOver);
      case 'sum':
        return this.graph.apply(weightedSum(1), nodesOf(0, dropped));
      case 'min':
      case 'max':
      case 'median':
        return this.graph.apply(CHOOSE[term.name], nodesOf(0, dropped));
      case 'first':
        return nodesOf(0, dropped)[0];
      case 'last':
        return nodesOf(0, dropped).at(-1);
      case 'slope':
      case 'intercept':
        return this.line(term.name, term, at, gathered, [nodesOf(0, dropped), nodesOf(1, dropped)]);
      case 'count':
      case 'sd':
      case 'se':
      case 'range':
      case 'averageDeviation':
        return this.constant(term, at);
    }
  }

  /** A mean, with the scatter of what it is taken of. Of nested repeats only the outermost counts: the inner scatter is in it already. */
  private mean(
    name: string,
    term: Aggregate,
    at: AtPlace,
    gathered: readonly Gathered[],
    dropped: Dropped,
    pooledOver: readonly string[],
  ): number {
    const repeated = gathered.length > 1 ? this.repeatErrors.repeatedIn(term) : [];
    const inner: Dropped = new Set([...dropped, ...repeated]);
    const [part] = term.of;
    const nodes = gathered.map(({ members }) =>
      part ? this.part(part.tree, { ...at, place: { ...at.place, ...members } }, inner) : NaN,
    );
    const errors = this.repeatErrors.of({ name, term, at, gathered, nodes }, dropped, pooledOver);
    return this.graph.apply(weightedSum(1 / nodes.length), nodes, errors);
  }

  /** Slope or intercept, with the scatter of the points about their line. */
  private line(
    name: 'slope' | 'intercept',
    term: Aggregate,
    at: AtPlace,
    gathered: readonly Gathered[],
    [ys, xs]: readonly [number[], number[]],
  ): number {
    const [y, x] = [ys, xs].map((nodes) => nodes.map((node) => this.graph.valueOf(node))) as [number[], number[]];
    const { residual, degreesOfFreedom } = line(x, y);
    const deviations = deviationsOf(x);
    const mean = compensatedSum(x) / x.length;
    const squares = compensatedSum(deviations.map((one) => one * one));
    const weights = deviations.map((deviation) => {
      const slope = deviation / squares;
      return (residual ?? 0) * (name === 'slope' ? slope : 1 / x.length - mean * slope);
    });
    const standard = Math.sqrt(compensatedSum(weights.map((one) => one * one)));
    const members = membersOf(at.place, term.over);
    const of = term.of.map(({ tree }) => (tree.kind === 'name' ? tree.name : '')).join(',');
    const scatter = `line|${of}|${cellKey('', members)}|${gathered.map((one) => cellKey('', one.members)).join(';')}`;
    const inputs =
      standard > 0
        ? [
            this.inputs.at(`${name}|${scatter}`, () => ({
              label: { kind: 'line', quantity: quantityTakenOf(term, at, this.numbers), members, tool: null },
              shape: 't',
              standard,
              width: standard,
              degreesOfFreedom,
              unknownFreedom: false,
              together: { scatter, weights },
            })),
          ]
        : [];
    return this.graph.apply(lineOf(name), [...ys, ...xs], inputs);
  }
}
