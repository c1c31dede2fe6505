import { compensatedSum } from '../../statistics/compensated-sum.ts';
import { summarise } from '../../statistics/summarise.ts';
import type { Graph } from '../../uncertainty/graph/graph.ts';
import type { ResolvedTerm } from '../formulas/resolve-formula.ts';
import { cellKey, membersOf } from '../run/address.ts';
import type { BaseInputs, InputLabel } from './inputs.ts';
import { Missing } from './missing.ts';
import type { AtPlace, Gathered, Numbers } from './numbers.ts';
import { placesOf } from './setting.ts';

type Aggregate = Extract<ResolvedTerm, { kind: 'aggregate' }>;

/** Dimensions whose repeats an outer mean already has in its own scatter. */
export type Dropped = ReadonlySet<string>;

/** A mean in a formula at a place: its own text, the term, and what it is taken of. */
export interface MeanAtPlace {
  readonly name: string;
  readonly term: Aggregate;
  readonly at: AtPlace;
  readonly gathered: readonly Gathered[];
  /** The nodes of what it is taken of, in the order of `gathered`. */
  readonly nodes: readonly number[];
}

/** The quantity that an aggregate is taken of; where it is taken of something worked out on the way, the one that is worked out. */
export function quantityTakenOf({ of }: Aggregate, { formula }: AtPlace, numbers: Numbers): string {
  const [part] = of;
  const isQuantity = part?.tree.kind === 'name' && numbers.setting.layout.quantities.has(part.tree.name);
  return isQuantity ? part.tree.name : formula.id;
}

/** Deviations from the mean, in the order of the values. */
export function deviationsOf(values: readonly number[]): number[] {
  const mean = compensatedSum(values) / values.length;
  return values.map((value) => value - mean);
}

function sumOfSquares(values: readonly number[]): number {
  return compensatedSum(values.map((value) => value * value));
}

/** The errors that repeats leave in their mean. */
export class RepeatErrors {
  constructor(
    private readonly numbers: Numbers,
    private readonly graph: Graph,
    private readonly inputs: BaseInputs,
  ) {}

  /** The errors that belong to a mean itself. @param dropped dimensions whose repeats an outer mean has in its own scatter. */
  of(mean: MeanAtPlace, dropped: Dropped, pooledOver: readonly string[]): number[] {
    const { term, gathered } = mean;
    if (term.over.some((dimension) => dropped.has(dimension))) return this.placesOnce(mean, dropped);
    return gathered.length > 1 && this.repeatedIn(term).length > 0 ? this.repeats(mean, pooledOver) : [];
  }

  /** The dimensions of a mean that are the same thing, or the same kind of thing, again. */
  repeatedIn({ reduced }: Aggregate): string[] {
    const { dimensions } = this.numbers.setting.layout;
    return reduced.filter((dimension) => dimensions.get(dimension)?.kind !== 'case');
  }

  private repeats(mean: MeanAtPlace, pooledOver: readonly string[]): number[] {
    const { name, term, at, gathered, nodes } = mean;
    const members = membersOf(at.place, term.over);
    const key = `repeats|${name}|${cellKey('', members)}`;
    const label: InputLabel = {
      kind: 'repeats',
      quantity: quantityTakenOf(term, at, this.numbers),
      members,
      tool: null,
    };
    const values = nodes.map((node) => this.graph.valueOf(node));
    const rule = this.numbers.setting.rules.repeatUncertainty;
    if (rule === 'half-range') {
      const half = (Math.max(...values) - Math.min(...values)) / 2;
      const error = { label, standard: half, width: half, degreesOfFreedom: Infinity, unknownFreedom: true };
      return half > 0 ? [this.inputs.at(key, () => ({ ...error, shape: 'normal' }))] : [];
    }
    const n = values.length;
    const deviations = deviationsOf(values);
    const pooled = n === 2 && pooledOver.length > 0 ? this.pooled(mean, pooledOver) : null;
    const scatter = pooled?.variance ?? sumOfSquares(deviations) / (n - 1);
    const left = Math.max(0, scatter - this.told(mean));
    const standard = Math.sqrt(left / n);
    if (!(standard > 0)) return [];
    const error = {
      label,
      standard,
      width: standard,
      degreesOfFreedom: pooled?.degreesOfFreedom ?? n - 1,
      unknownFreedom: rule === 'larger-of-the-two',
    };
    if (pooled) return [this.inputs.at(key, () => ({ ...error, shape: 't' }))];
    const scale = Math.sqrt(left / scatter / n / (n - 1));
    const same = gathered.map((one) => cellKey('', one.members)).join(';');
    const together = {
      scatter: `${cellKey('', members)}|${same}`,
      weights: deviations.map((deviation) => scale * deviation),
    };
    return [this.inputs.at(key, () => ({ ...error, shape: 't', together }))];
  }

  /**
   * What scatter the reading errors bring that differ from one member of a sequence to the next: Σ u²·Σ(slope − mean slope)² ÷ (n − 1).
   * They are in the values already. Of differences of running totals that is 2u²(n + 1) ÷ n.
   */
  private told({ term, nodes }: MeanAtPlace): number {
    const { dimensions } = this.numbers.setting.layout;
    if (!term.reduced.some((dimension) => dimensions.get(dimension)?.kind === 'sequence')) return 0;
    const slopes = nodes.map((node) => this.graph.slopesOf(node));
    const inputs = new Set(slopes.flatMap((of) => [...of.keys()]));
    return compensatedSum(
      [...inputs].map((input) => {
        const standard = this.inputs.all[input]?.standard ?? 0;
        return (
          (standard ** 2 * sumOfSquares(deviationsOf(slopes.map((of) => of.get(input) ?? 0)))) / (nodes.length - 1)
        );
      }),
    );
  }

  /** The scatter of pairs, pooled over the members of other dimensions. */
  private pooled(
    { term, at }: MeanAtPlace,
    over: readonly string[],
  ): { readonly variance: number; readonly degreesOfFreedom: number } | null {
    const along = over.filter((dimension) => term.over.includes(dimension));
    if (along.length === 0) return null;
    let [squares, freedom] = [0, 0];
    for (const place of placesOf(this.numbers.setting, along)) {
      const gathered = this.numbers.gather(term, { ...at, place: { ...at.place, ...place } });
      if (gathered.length < 2) continue;
      squares += sumOfSquares(deviationsOf(gathered.map(({ numbers }) => numbers[0]?.value.toNumber() ?? NaN)));
      freedom += gathered.length - 1;
    }
    return freedom === 0 ? null : { variance: squares / freedom, degreesOfFreedom: freedom };
  }

  /**
   * Places that are the same in every repeat: how they differ is no scatter of the repeats, and stands in the mean once, as the
   * standard error of the places’ own means.
   */
  private placesOnce({ name, term, at }: MeanAtPlace, dropped: Dropped): number[] {
    const { setting } = this.numbers;
    const places = term.reduced.filter((id) => {
      const dimension = setting.layout.dimensions.get(id);
      return dimension !== undefined && dimension.kind !== 'case' && dimension.places === true;
    });
    const [part] = term.of;
    if (places.length === 0 || !part) return [];
    const repeated = term.over.filter((dimension) => dropped.has(dimension));
    const means = placesOf(setting, places).flatMap((place) => {
      const found = placesOf(setting, repeated).flatMap((repeat) => {
        const number = this.numbers.evaluate(part.tree, { ...at, place: { ...at.place, ...repeat, ...place } });
        return number instanceof Missing ? [] : [number.value.toNumber()];
      });
      return found.length === 0 ? [] : [compensatedSum(found) / found.length];
    });
    const standard = means.length > 1 ? (summarise(means).standardError ?? 0) : 0;
    if (standard === 0) return [];
    const members = membersOf(
      at.place,
      term.over.filter((dimension) => !dropped.has(dimension)),
    );
    return [
      this.inputs.at(`places|${name}|${cellKey('', members)}`, () => ({
        label: { kind: 'repeats', quantity: quantityTakenOf(term, at, this.numbers), members, tool: null },
        shape: 't',
        standard,
        width: standard,
        degreesOfFreedom: means.length - 1,
        unknownFreedom: false,
      })),
    ];
  }
}
