import normalQuantile from '@stdlib/stats-base-dists-normal-quantile';
import { affine, SUBTRACT } from '../../uncertainty/graph/operations.ts';
import type { PropagationSchool } from '../../uncertainty/propagate.ts';
import { unambiguousAtPlace } from '../../numbers/rounding.ts';
import type { Rational } from '../../numbers/rational.ts';
import { MATERIALS } from '../../materials/materials.ts';
import { conversion, converted, parseUnit } from '../../units/unit.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { holds } from '../protocol/layout.ts';
import type { Comparison, Place, QuantityWithUnit, ResultOf } from '../protocol/protocol.ts';
import { addressKey, membersOf, type Members } from '../run/address.ts';
import { numberOf } from './cell.ts';
import { bends } from './curvature.ts';
import { combineIfPossible, type BudgetEntry, type CombinedUncertainty } from './combine.ts';
import { acceptedFrom, compareWith, quote, type Accepted, type Compared, type Quoted } from './compare.ts';
import { cellInWords, labelInWords } from './label.ts';
import type { Nodes } from './nodes.ts';
import type { Numbers } from './numbers.ts';
import { placesOf, type Setting } from './setting.ts';

const METHODS: readonly PropagationSchool[] = ['quadrature', 'plain-sum', 'extremes'];

/** A result’s uncertainty by one method, as it is quoted. */
export interface MethodResult extends Omit<CombinedUncertainty, 'budget'> {
  /** As it is quoted: the uncertainty times its coverage factor. */
  readonly size: number;
  readonly quoted: Quoted | null;
  readonly budget: readonly (BudgetEntry & { readonly name: string })[];
}

/** One result of a run. */
export interface ResultFound {
  readonly quantity: string;
  readonly members: Members;
  /** `Volume, fine`. */
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly text: string;
  /** Power of ten of the last digit of the text; −Infinity where it is exact. */
  readonly place: number;
  /** By the class’s method: `8.7 ± 0.6`; null while nothing of it is uncertain, or the method has no result. */
  readonly quoted: string | null;
  /** The class’s method. Until a simulation has been run, quadrature stands in for it. */
  readonly method: PropagationSchool;
  readonly methods: readonly MethodResult[];
  /** False where the slopes do not tell the uncertainty, and only a simulation does. */
  readonly isLinear: boolean;
  readonly comparison: Compared | null;
}

/** Two numbers compared: they agree when their difference is not more than chance or limits allow. */
export interface PairFound {
  readonly first: string;
  readonly second: string;
  readonly difference: number;
  readonly uncertainty: number;
  /** How much it may be: two standard uncertainties, more where several pairs are compared, or the limit. */
  readonly allowed: number;
  readonly agree: boolean;
  readonly text: string;
}

/** A candidate for what a thing is made of. */
export interface Candidate {
  readonly name: string;
  readonly density: readonly [least: number, most: number];
  /** How many standard uncertainties it is away from the middle of the range. */
  readonly distance: number;
  readonly possible: boolean;
}

export type ComparisonFound =
  | {
      readonly kind: 'agree';
      readonly id: string;
      readonly name: string;
      readonly unit: string;
      readonly pairs: readonly PairFound[];
    }
  | {
      readonly kind: 'rank';
      readonly id: string;
      readonly name: string;
      readonly unit: string;
      readonly ranked: readonly {
        readonly member: string;
        readonly name: string;
        readonly value: number;
        readonly text: string;
      }[];
    }
  | {
      readonly kind: 'identify';
      readonly id: string;
      readonly name: string;
      readonly unit: string;
      readonly candidates: readonly Candidate[];
    };

/** The method that decides what is quoted; until a simulation has been run, quadrature stands in for it, and is named. */
export function methodOf(rules: HouseRules): PropagationSchool {
  return rules.combine === 'simulation' ? 'quadrature' : rules.combine;
}

/** Two standard uncertainties stand for this chance of a difference that is none. */
const CHANCE_AT_TWO = 0.0455002638963584;

/**
 * How many standard uncertainties a difference may have when one of so many pairs is looked at, so that all together are called
 * different by chance as rarely as one alone is (Bonferroni; Dunn, J. Am. Stat. Assoc. 56 (1961) 52).
 */
function allowedFor(pairs: number): number {
  return pairs <= 1 ? 2 : normalQuantile(1 - CHANCE_AT_TWO / (2 * pairs), 0, 1);
}

function pairsOf<T>(list: readonly T[]): [T, T][] {
  return list.flatMap((first, i) => list.slice(i + 1).map((second): [T, T] => [first, second]));
}

/** What the numbers of a run say: its results, and how they compare. */
export class Results {
  constructor(
    private readonly numbers: Numbers,
    private readonly nodes: Nodes,
  ) {}

  private get setting(): Setting {
    return this.numbers.setting;
  }

  /** Every result that is there. */
  all(): ResultFound[] {
    const { layout } = this.setting;
    return layout.protocol.results
      .filter(({ when }) => holds(when, layout.chosen))
      .flatMap((result) => {
        const quantity = this.quantity(result.quantity);
        if (!quantity) return [];
        return placesOf(this.setting, quantity.over, quantity.only).flatMap(
          (place) => this.result(result, quantity, place) ?? [],
        );
      });
  }

  private quantity(id: string): QuantityWithUnit | undefined {
    const quantity = this.setting.layout.quantities.get(id);
    return quantity && quantity.kind !== 'observed' ? quantity : undefined;
  }

  private result(result: ResultOf, quantity: QuantityWithUnit, place: Members): ResultFound | null {
    const { rules } = this.setting;
    const cell = this.numbers.cellAt(quantity.id, place);
    const number = numberOf(cell);
    const node = this.nodes.cell(quantity.id, place);
    if (!number || node === undefined) return null;
    const known = new Map<PropagationSchool, MethodResult | null>();
    const by = (method: PropagationSchool): MethodResult | null => {
      const before = known.get(method);
      if (before !== undefined) return before;
      const found = this.byMethod(node, number.value, method);
      known.set(method, found);
      return found;
    };
    const method = methodOf(rules);
    const own = by(method);
    const quoted = own?.quoted ?? null;
    // What a student wrote stays as it was written.
    const byUncertainty = rules.meanPlace === 'by-uncertainty' && quoted !== null && cell?.kind !== 'own';
    const place10 = byUncertainty ? quoted.place : number.place;
    const accepted = this.accepted(result, quantity, place);
    const furthest = (own?.uncertainty ?? 0) * (method === 'quadrature' ? 2 : 1);
    const value = number.value.toNumber();
    return {
      quantity: quantity.id,
      members: place,
      name: cellInWords(this.setting, quantity.id, place),
      unit: quantity.unit,
      value,
      text: place10 === -Infinity ? String(value) : unambiguousAtPlace(number.value, place10, rules.rounding),
      place: place10,
      quoted: quoted ? `${quoted.value} ± ${quoted.uncertainty}` : null,
      method,
      // The corners of many readings take their time, and are worked out for who looks at them.
      get methods() {
        return METHODS.flatMap((one) => by(one) ?? []);
      },
      isLinear: !bends(this.nodes, node, by('quadrature')?.uncertainty ?? 0),
      comparison: accepted
        ? compareWith({ value, place: place10, furthest }, accepted, rules, result.goodPercentError)
        : null,
    };
  }

  private byMethod(node: number, value: Rational, method: PropagationSchool): MethodResult | null {
    const { rules } = this.setting;
    const found = combineIfPossible(this.nodes, node, method, rules);
    if (!found) return null;
    const size = found.uncertainty * found.coverageFactor;
    return { ...found, budget: this.budget(found.budget), size, quoted: quote(value, size, rules) };
  }

  /** A budget in words, in which what is called the same is one: slope and intercept share their scatter. */
  private budget(entries: readonly BudgetEntry[]): MethodResult['budget'] {
    const byName = new Map<string, BudgetEntry & { readonly name: string }>();
    for (const entry of entries) {
      const name = labelInWords(this.setting, entry.label);
      byName.set(name, { ...entry, name, share: entry.share + (byName.get(name)?.share ?? 0) });
    }
    return [...byName.values()].sort((a, b) => b.share - a.share);
  }

  private accepted(result: ResultOf, quantity: QuantityWithUnit, place: Members): Accepted | null {
    if (!result.accepted) return null;
    if (result.accepted.kind === 'material') {
      const written = this.setting.slots.get(addressKey({ kind: 'accepted' }))?.current.text ?? '';
      return written.trim() === '' ? null : acceptedFrom(written, quantity.unit);
    }
    const other = this.quantity(result.accepted.quantity);
    const number = other && numberOf(this.numbers.cellAt(other.id, place));
    if (!other || !number) return null;
    const value = converted(number.value, parseUnit(other.unit), parseUnit(quantity.unit)).toNumber();
    return { name: other.name.toLowerCase(), least: value, most: value, middle: value, place: number.place };
  }

  /** How results compare, as far as they are there. */
  comparisons(): ComparisonFound[] {
    const { layout } = this.setting;
    return layout.protocol.comparisons
      .filter(({ when }) => holds(when, layout.chosen))
      .flatMap((comparison) => this.comparison(comparison) ?? []);
  }

  private comparison(comparison: Comparison): ComparisonFound | null {
    switch (comparison.kind) {
      case 'agree':
        return this.agree(comparison);
      case 'rank':
        return this.rank(comparison);
      case 'identify':
        return this.identify(comparison);
    }
  }

  private at({
    quantity,
    at = {},
  }: Place): { readonly quantity: QuantityWithUnit; readonly members: Members; readonly node: number } | null {
    const found = this.quantity(quantity);
    const node = found && this.nodes.cell(found.id, at);
    return found && node !== undefined ? { quantity: found, members: membersOf(at, found.over), node } : null;
  }

  private agree({ id, name, of }: Extract<Comparison, { kind: 'agree' }>): ComparisonFound | null {
    const { rules } = this.setting;
    const there = of.flatMap((place) => this.at(place) ?? []);
    const [first] = there;
    if (!first || there.length < 2) return null;
    const pairs = pairsOf(there);
    const method = methodOf(rules);
    const found = pairs.flatMap(([a, b]): PairFound[] => {
      const inFirst = conversion(parseUnit(b.quantity.unit), parseUnit(a.quantity.unit)).reduce(
        (node, step) =>
          this.nodes.graph.apply('times' in step ? affine(step.times.toNumber(), 0) : affine(1, step.plus.toNumber()), [
            node,
          ]),
        b.node,
      );
      const node = this.nodes.graph.apply(SUBTRACT, [a.node, inFirst]);
      const combined = combineIfPossible(this.nodes, node, method, rules);
      if (!combined) return [];
      const difference = this.nodes.graph.valueOf(node);
      const allowed = combined.uncertainty * (method === 'quadrature' ? allowedFor(pairs.length) : 1);
      const quoted = quote(Math.abs(difference), combined.uncertainty, rules);
      return [
        {
          first: cellInWords(this.setting, a.quantity.id, a.members),
          second: cellInWords(this.setting, b.quantity.id, b.members),
          difference,
          uncertainty: combined.uncertainty,
          allowed,
          agree: Math.abs(difference) <= allowed,
          text: quoted ? `${quoted.value} ± ${quoted.uncertainty}` : String(Math.abs(difference)),
        },
      ];
    });
    return { kind: 'agree', id, name, unit: first.quantity.unit, pairs: found };
  }

  private rank({ id, name, quantity: of, over }: Extract<Comparison, { kind: 'rank' }>): ComparisonFound | null {
    const quantity = this.quantity(of);
    if (!quantity) return null;
    const ranked = (this.setting.members.get(over) ?? []).flatMap(({ id: member, name: called }) => {
      const cell = this.numbers.cellAt(of, { [over]: member });
      const number = numberOf(cell);
      return number && cell && 'text' in cell
        ? [{ member, name: called, value: number.value.toNumber(), text: cell.text }]
        : [];
    });
    if (ranked.length === 0) return null;
    return {
      kind: 'rank',
      id,
      name,
      unit: quantity.unit,
      ranked: ranked.sort((a, b) => Math.abs(a.value) - Math.abs(b.value)),
    };
  }

  private identify({ id, name, of, among }: Extract<Comparison, { kind: 'identify' }>): ComparisonFound | null {
    const { rules } = this.setting;
    const there = this.at(of);
    const combined = there && combineIfPossible(this.nodes, there.node, 'quadrature', rules);
    if (!there || !combined || combined.uncertainty === 0) return null;
    const value = this.nodes.graph.valueOf(there.node);
    const candidates = MATERIALS.filter(({ phase }) => among.includes(phase)).flatMap((material): Candidate[] => {
      const accepted = acceptedFrom(material.id, there.quantity.unit);
      if (!accepted) return [];
      const own = (accepted.most - accepted.least) / 2 / Math.sqrt(3);
      const distance = Math.abs(value - accepted.middle) / Math.hypot(combined.uncertainty, own);
      const outside = Math.max(0, accepted.least - value, value - accepted.most);
      return [
        {
          name: material.name,
          density: [accepted.least, accepted.most],
          distance,
          possible: outside <= 2 * combined.uncertainty,
        },
      ];
    });
    return {
      kind: 'identify',
      id,
      name,
      unit: there.quantity.unit,
      candidates: candidates.sort((a, b) => a.distance - b.distance),
    };
  }
}
