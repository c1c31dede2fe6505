import type { Expression } from '../../calculations/expression/expression.ts';
import { hasZeroError } from '../../statistics/check-mass.ts';
import { line } from '../../statistics/line.ts';
import { compensatedSum } from '../../statistics/compensated-sum.ts';
import { summarise } from '../../statistics/summarise.ts';
import { conversion, parseUnit, type Operation } from '../../units/unit.ts';
import { knownFormula } from '../../uncertainty/graph/evaluate-formula.ts';
import { Graph } from '../../uncertainty/graph/graph.ts';
import { lower } from '../../uncertainty/graph/lower.ts';
import { affine, CHOOSE, lineOf, weightedSum } from '../../uncertainty/graph/operations.ts';
import type { ResolvedTerm } from '../formulas/resolve-formula.ts';
import type { LookedUpQuantity, Quantity, QuantityWithUnit } from '../protocol/protocol.ts';
import { cellKey, membersOf, type Members } from '../run/address.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';
import { numberOf, type Cell } from './cell.ts';
import { perToolUnit } from './entry-cell.ts';
import { BaseInputs, readingHalfWidth, rectangle, type InputLabel } from './inputs.ts';
import { Missing, type AtPlace, type Gathered, type Numbers } from './numbers.ts';
import { placesOf } from './setting.ts';

type Aggregate = Extract<ResolvedTerm, { kind: 'aggregate' }>;

/** Dimensions whose repeats an outer mean already has in its own scatter. */
type Dropped = ReadonlySet<string>;

const NONE: Dropped = new Set();

function withoutDust(values: readonly number[]): { readonly mean: number; readonly deviations: number[] } {
  const mean = compensatedSum(values) / values.length;
  return { mean, deviations: values.map((value) => value - mean) };
}

/**
 * The numbers of a run once more, in double precision and with the errors they depend on: what is uncertain in them, and how errors
 * change them. A node is made when somebody asks for it.
 */
export class Nodes {
  readonly graph = new Graph();
  readonly inputs = new BaseInputs(this.graph);
  private readonly known = new Map<string, number>();

  constructor(private readonly numbers: Numbers) {}

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
      const formula = this.numbers.setting.layout.formulas.get(quantity.id);
      return formula && this.part(formula.whole.tree, { formula, place }, dropped, quantity.pooledOver);
    }
    if (quantity.kind === 'looked-up') return this.lookedUp(quantity, place, dropped);
    const number = numberOf(cell);
    return number && this.graph.value(number.value.toNumber(), this.errorsOf(quantity, place, cell));
  }

  /** What is uncertain in an entry. */
  private errorsOf(quantity: QuantityWithUnit, place: Members, cell: Cell | undefined): number[] {
    const own = this.identityOf(quantity, place);
    const label = (kind: InputLabel['kind'], tool: string | null = null): InputLabel => ({
      kind,
      quantity: quantity.id,
      members: own,
      tool,
    });
    const simple = (kind: 'given' | 'counted' | 'reading', halfWidth = 0): number[] =>
      halfWidth > 0
        ? [this.inputs.at(`${kind}|${cellKey(quantity.id, own)}`, () => rectangle(label(kind), halfWidth))]
        : [];
    switch (quantity.kind) {
      case 'read':
        return cell?.kind === 'entry' && cell.tool ? this.readingErrors(quantity, own, cell.tool) : [];
      case 'given':
        return simple('given', quantity.halfWidth);
      case 'counted':
        return simple('counted', quantity.halfWidth);
      case 'timed':
        return simple('reading', quantity.halfWidth);
      case 'predicted':
      case 'computed':
      case 'looked-up':
        return [];
    }
  }

  /** Readings are one error where only the repeat differs, and separate where the thing does. */
  private identityOf({ over }: Quantity, place: Members): Members {
    const { dimensions } = this.numbers.setting.layout;
    return membersOf(
      place,
      over.filter((dimension) => dimensions.get(dimension)?.kind !== 'repeat'),
    );
  }

  private readingErrors(quantity: QuantityWithUnit, own: Members, tool: ToolInRun): number[] {
    const { rules } = this.numbers.setting;
    const { instrument, code } = tool;
    const name = code ?? instrument.name;
    const perUnit = perToolUnit(tool, quantity.unit).toNumber();
    const halfWidth = readingHalfWidth(tool, rules) * perUnit;
    const at = cellKey(quantity.id, own);
    const errors: number[] = [];
    if (halfWidth > 0)
      errors.push(
        this.inputs.at(`reading|${instrument.id}|${name}|${at}`, () =>
          rectangle({ kind: 'reading', quantity: quantity.id, members: own, tool: name }, halfWidth),
        ),
      );
    errors.push(...this.toolErrors(tool, perUnit, quantity.id, at));
    return errors;
  }

  /** What the tool itself is off by: its zero, known to one reading of it, and what its maker allows where the class counts that. */
  private toolErrors(tool: ToolInRun, perUnit: number, quantity: string, at: string): number[] {
    const { rules, toolTolerance } = this.numbers.setting;
    const { instrument, code, zeroError, tolerance } = tool;
    const name = code ?? instrument.name;
    const label = (kind: 'zero' | 'tolerance'): InputLabel => ({ kind, quantity: null, members: {}, tool: name });
    const errors: number[] = [];
    const zeroWidth = readingHalfWidth(tool, rules) * perUnit;
    if (
      code !== null &&
      zeroError !== null &&
      hasZeroError(instrument.id) &&
      zeroWidth > 0 &&
      !this.numbers.hasOwnZero(quantity)
    )
      errors.push(this.inputs.at(`zero|${name}|${perUnit}`, () => rectangle(label('zero'), zeroWidth)));
    if (toolTolerance === 'counted' && rules.readingUncertainty !== 'maker-tolerance' && tolerance > 0) {
      // One reading, and one difference of two, each carry the tolerance once.
      const part = tolerance * perUnit;
      const half = (): ReturnType<typeof rectangle> => rectangle(label('tolerance'), part / Math.SQRT2, part / 2);
      errors.push(
        this.inputs.at(`tolerance|${name}|${perUnit}`, half),
        this.inputs.at(`tolerance|${name}|${at}`, half),
      );
    }
    return errors;
  }

  private lookedUp(quantity: LookedUpQuantity, place: Members, dropped: Dropped): number | undefined {
    const found = this.numbers.lookedUp(quantity, place);
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

  private kindOf(dimension: string): string | undefined {
    return this.numbers.setting.layout.dimensions.get(dimension)?.kind;
  }

  private arePlaces(dimension: string): boolean {
    const found = this.numbers.setting.layout.dimensions.get(dimension);
    return found !== undefined && found.kind !== 'case' && found.places === true;
  }

  /** A mean, with the scatter of what it is taken of. */
  private mean(
    name: string,
    term: Aggregate,
    at: AtPlace,
    gathered: readonly Gathered[],
    dropped: Dropped,
    pooledOver: readonly string[],
  ): number {
    const repeated = term.reduced.filter((dimension) => this.kindOf(dimension) !== 'case');
    const adds = repeated.length > 0 && gathered.length > 1;
    // Of nested repeats only the outermost counts: the inner scatter is already in it.
    const inner: Dropped = adds ? new Set([...dropped, ...repeated]) : dropped;
    const [part] = term.of;
    const nodes = gathered.map(({ members }) =>
      part ? this.part(part.tree, { ...at, place: { ...at.place, ...members } }, inner) : NaN,
    );
    const isDropped = term.over.some((dimension) => dropped.has(dimension));
    const inputs = adds && !isDropped ? this.repeats(name, term, at, gathered, nodes, repeated, pooledOver) : [];
    return this.graph.apply(weightedSum(1 / nodes.length), nodes, [
      ...inputs,
      ...this.placesOnce(name, term, at, dropped, isDropped),
    ]);
  }

  /** The error that repeats leave in their mean. */
  private repeats(
    name: string,
    term: Aggregate,
    at: AtPlace,
    gathered: readonly Gathered[],
    nodes: readonly number[],
    repeated: readonly string[],
    pooledOver: readonly string[],
  ): number[] {
    const { rules } = this.numbers.setting;
    const members = membersOf(at.place, term.over);
    const quantity = this.quantityOf(term, at);
    const label: InputLabel = { kind: 'repeats', quantity, members, tool: null };
    const values = nodes.map((node) => this.graph.valueOf(node));
    const n = values.length;
    const { deviations } = withoutDust(values);
    const range = Math.max(...values) - Math.min(...values);
    const key = `repeats|${name}|${cellKey('', members)}`;
    if (rules.repeatUncertainty === 'half-range') {
      const half = range / 2;
      return half > 0
        ? [
            this.inputs.at(key, () => ({
              label,
              shape: 'normal',
              standard: half,
              width: half,
              degreesOfFreedom: Infinity,
              unknownFreedom: true,
            })),
          ]
        : [];
    }
    const pooled = n === 2 && pooledOver.length > 0 ? this.pooled(term, at, pooledOver) : null;
    const scatter = pooled?.variance ?? compensatedSum(deviations.map((one) => one * one)) / (n - 1);
    // The errors of reading that differ from one member of a sequence to the next are told already.
    const told = repeated.some((dimension) => this.kindOf(dimension) === 'sequence') ? this.expected(nodes) : 0;
    const left = Math.max(0, scatter - told);
    const standard = Math.sqrt(left / n);
    if (!(standard > 0)) return [];
    const scale = scatter > 0 && !pooled ? Math.sqrt(left / scatter) : 0;
    const together = `${repeated.join(',')}|${cellKey('', members)}|${gathered.map((one) => cellKey('', one.members)).join(';')}`;
    return [
      this.inputs.at(key, () => ({
        label,
        shape: 't',
        standard,
        width: standard,
        degreesOfFreedom: pooled?.degreesOfFreedom ?? n - 1,
        unknownFreedom: rules.repeatUncertainty === 'larger-of-the-two',
        ...(pooled
          ? {}
          : {
              together: {
                scatter: together,
                weights: deviations.map((deviation) => (scale * deviation) / Math.sqrt(n * (n - 1))),
              },
            }),
      })),
    ];
  }

  /** What scatter the errors that the values carry already would bring: Σ u²·Σ(slope − mean slope)² ÷ (n − 1). */
  private expected(nodes: readonly number[]): number {
    const slopes = nodes.map((node) => this.graph.slopesOf(node));
    const inputs = new Set(slopes.flatMap((of) => [...of.keys()]));
    return compensatedSum(
      [...inputs].map((input) => {
        const { deviations } = withoutDust(slopes.map((of) => of.get(input) ?? 0));
        const standard = this.inputs.all[input]?.standard ?? 0;
        return (standard ** 2 * compensatedSum(deviations.map((one) => one * one))) / (nodes.length - 1);
      }),
    );
  }

  /** The scatter of pairs, pooled over the members of other dimensions. */
  private pooled(
    term: Aggregate,
    at: AtPlace,
    over: readonly string[],
  ): { readonly variance: number; readonly degreesOfFreedom: number } | null {
    const along = over.filter((dimension) => term.over.includes(dimension));
    if (along.length === 0) return null;
    let [squares, freedom] = [0, 0];
    for (const place of placesOf(this.numbers.setting, along)) {
      const gathered = this.numbers.gather(term, { ...at, place: { ...at.place, ...place } });
      if (gathered.length < 2) continue;
      const { deviations } = withoutDust(gathered.map(({ numbers }) => numbers[0]?.value.toNumber() ?? NaN));
      squares += compensatedSum(deviations.map((one) => one * one));
      freedom += gathered.length - 1;
    }
    return freedom === 0 ? null : { variance: squares / freedom, degreesOfFreedom: freedom };
  }

  /**
   * Places that are the same in every repeat: how they differ is no scatter of the repeats, and stands in the mean once, as the
   * standard error of the places’ own means.
   */
  private placesOnce(name: string, term: Aggregate, at: AtPlace, dropped: Dropped, isDropped: boolean): number[] {
    const places = term.reduced.filter((dimension) => this.arePlaces(dimension));
    if (places.length === 0 || !isDropped) return [];
    const repeated = term.over.filter((dimension) => dropped.has(dimension));
    const [part] = term.of;
    if (!part) return [];
    const means = placesOf(this.numbers.setting, places).flatMap((place) => {
      const found = placesOf(this.numbers.setting, repeated).flatMap((repeat) => {
        const number = this.numbers.evaluate(part.tree, { ...at, place: { ...at.place, ...repeat, ...place } });
        return number instanceof Missing ? [] : [number.value.toNumber()];
      });
      return found.length === 0 ? [] : [compensatedSum(found) / found.length];
    });
    const { standardError } = means.length > 1 ? summarise(means) : { standardError: null };
    if (standardError === null || standardError === 0) return [];
    const members = membersOf(
      at.place,
      term.over.filter((dimension) => !dropped.has(dimension)),
    );
    return [
      this.inputs.at(`places|${name}|${cellKey('', members)}`, () => ({
        label: { kind: 'repeats', quantity: this.quantityOf(term, at), members, tool: null },
        shape: 't',
        standard: standardError,
        width: standardError,
        degreesOfFreedom: means.length - 1,
        unknownFreedom: false,
      })),
    ];
  }

  /** The quantity that a mean is taken of; where it is taken of something worked out on the way, the one that is worked out. */
  private quantityOf({ of }: Aggregate, { formula }: AtPlace): string {
    const [part] = of;
    const isQuantity = part?.tree.kind === 'name' && this.numbers.setting.layout.quantities.has(part.tree.name);
    return isQuantity ? part.tree.name : formula.id;
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
    const { deviations, mean } = withoutDust(x);
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
              label: { kind: 'line', quantity: this.quantityOf(term, at), members, tool: null },
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
