import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { parseUnit } from '../units/unit.ts';
import { numberSlipById } from '../worked-answers/slips/registry.ts';
import type { NumberCell } from './cell.ts';
import type { TableFault, TableFinding } from './finding.ts';
import { judgeCell, type Given, type Judged } from './judge-cell.ts';
import { inputAt, isConstant, numberAt, unitOf, type Relation, type RelationKind } from './relations.ts';
import type { Spot, Understood } from './understand.ts';

/** A column that is worked out, and how. */
export interface Computed {
  readonly target: number;
  readonly relation: Relation;
}

const WRONG: Readonly<Record<RelationKind, TableFault>> = {
  difference: 'wrong-difference',
  sum: 'wrong-sum',
  product: 'wrong-product',
  quotient: 'wrong-quotient',
  mean: 'wrong-mean',
  'percent-error': 'wrong-percent',
};

const SIGNS: Readonly<Partial<Record<RelationKind, string>>> = {
  difference: ' − ',
  sum: ' + ',
  product: ' × ',
  quotient: ' ÷ ',
};

const decimalsOf = (text: string): number => (text.split('.')[1] ?? '').length;

/** What is wrong with a value that was worked out; null where nothing is. */
export function faultOf(
  kind: RelationKind,
  written: NumberCell,
  { isRight, slip, isWritingOnly, right }: Judged,
): TableFault | null {
  // An exact half goes either way: that is a rule of the class, and no mistake of the table.
  if (isRight || slip === 'half-other-way') return null;
  if (slip === 'transposed') return 'digits-exchanged';
  if (slip === 'rounded-between') return 'rounded-between';
  const [has, should] = [written.decimals, decimalsOf(right)];
  if (isWritingOnly && has !== should) {
    if (has > should) return 'too-many-digits';
    return Number(right) === written.value ? 'zero-lost' : 'too-few-digits';
  }
  return WRONG[kind];
}

/** `22.3 − 16.2`, as the table writes numbers. */
function inWords({ kind, constant }: Relation, given: readonly Given[], written: (text: string) => string): string {
  const texts = given.map(({ cell }) => written(cell.text));
  const sign = SIGNS[kind];
  if (sign !== undefined) return texts.join(sign);
  if (kind === 'mean') return `The mean of ${texts.join(', ')}`;
  const accepted = constant ? written(constant.text) : (texts[1] ?? '');
  return `(${texts[0] ?? ''} − ${accepted}) ÷ ${accepted} × 100`;
}

/** What is said behind the right value, where it is not the value itself that is wrong. */
const WHY: Readonly<Partial<Record<TableFault, string>>> = {
  'zero-lost': 'The zero at the end belongs to it.',
  'too-many-digits': 'Further digits say more than the readings do.',
  'too-few-digits': 'A digit that is known is missing.',
  'rounded-between': 'Somebody went on with a rounded number.',
  'digits-exchanged': 'Two digits changed places.',
};

/** The reason of a finding in a value that was worked out. */
export function reasonOf(fault: TableFault, worked: string, right: string, slip: string | null): string {
  const name = slip === null ? undefined : numberSlipById(slip)?.name;
  const why = WHY[fault] ?? (name === undefined ? '' : `It looks like this slip: ${name.toLowerCase()}.`);
  return `${worked} comes to ${right}. ${why}`.trim();
}

/** A number with two neighbouring digits exchanged, in every way that changes it. */
function exchangedDigits(cell: NumberCell): NumberCell[] {
  const { text } = cell;
  return Array.from(text).flatMap((digit, i): NumberCell[] => {
    const next = text[i + 1] === '.' ? i + 2 : i + 1;
    const other = text[next];
    if (!/\d/.test(digit) || other === undefined || !/\d/.test(other) || digit === other) return [];
    const changed = `${text.slice(0, i)}${other}${text.slice(i + 1, next)}${digit}${text.slice(next + 1)}`;
    return [{ ...cell, text: changed, value: Number(changed) }];
  });
}

/** Looks at every value that was worked out. */
export class WorkedCells {
  readonly #rules: HouseRules;

  constructor(
    readonly understood: Understood,
    readonly computed: readonly Computed[],
    /** As the table writes numbers. */
    readonly written: (text: string) => string,
    rules: Partial<HouseRules> | undefined,
  ) {
    this.#rules = { ...completeRules(rules), decimalMark: 'point' };
  }

  #givenAt(relation: Relation, row: number): Given[] | null {
    const given = relation.inputs.map((input): Given | null => {
      const column = this.understood.columns[input];
      const cell = inputAt(column, row);
      return column && cell ? { cell, unit: cell.unit === '' ? unitOf(column) : parseUnit(cell.unit) } : null;
    });
    return given.every((one) => one !== null) ? given : null;
  }

  /** A value worked out again. @param given in the place of what stands in the row. */
  judged({ target, relation }: Computed, row: number, given = this.#givenAt(relation, row)): Judged | null {
    const column = this.understood.columns[target];
    const cell = numberAt(column, row);
    return column && cell && given ? judgeCell(relation, given, cell, unitOf(column), this.#rules) : null;
  }

  /** Whether a value is right with other inputs in its row. @param texts as the table writes numbers; null for what stands there. */
  isRightWith(one: Computed, row: number, texts: readonly (string | null)[]): boolean {
    const given = this.#givenAt(one.relation, row)?.map((before, i) => {
      const text = texts[i];
      if (text === null || text === undefined) return before;
      const pointed = text.replace(',', '.');
      return { ...before, cell: { ...before.cell, text: pointed, value: Number(pointed) } };
    });
    return given !== undefined && this.judged(one, row, given)?.isRight === true;
  }

  /** A mean or a sum at the foot of a column. */
  judgedFoot(kind: 'mean' | 'sum', column: number, cell: NumberCell): { judged: Judged; worked: string } | null {
    const target = this.understood.columns[column];
    const cells = target?.cells.filter((one): one is NumberCell => one.kind === 'number') ?? [];
    if (!target || cells.length < 2) return null;
    const relation: Relation = {
      kind,
      inputs: cells.map((_, i) => i),
      constant: null,
      formula:
        kind === 'mean'
          ? `mean(${cells.map((_, i) => footName(i)).join('; ')})`
          : cells.map((_, i) => footName(i)).join(' + '),
    };
    const unit = unitOf(target);
    const given = cells.map((one) => ({ cell: one, unit }));
    const judged = judgeCell(relation, given, cell, unit, this.#rules, footName);
    return judged && { judged, worked: inWords(relation, given, this.written) };
  }

  /** The reading in which two digits were exchanged, where that and nothing else makes a value right. */
  #exchangedInput(one: Computed, row: number): { readonly input: number; readonly repair: string } | null {
    const given = this.#givenAt(one.relation, row);
    // A mean, a product or a percentage is too coarse: many exchanges would come to it.
    if (!given || !['difference', 'sum'].includes(one.relation.kind)) return null;
    const isComputed = new Set(this.computed.map(({ target }) => target));
    const found = given.flatMap(({ cell, unit }, i) => {
      const input = one.relation.inputs[i] ?? -1;
      const column = this.understood.columns[input];
      if (isComputed.has(input) || !column || isConstant(column)) return [];
      return exchangedDigits(cell).flatMap((changed) => {
        const other = given.map((before, k) => (k === i ? { cell: changed, unit } : before));
        return this.judged(one, row, other)?.isRight ? [{ input, repair: changed.text }] : [];
      });
    });
    return found.find(({ input }) => !this.#isConfirmed(one.relation, input, row)) ?? found[0] ?? null;
  }

  /** Whether the row before or the next one has the same number where readings go on from row to row. */
  #isConfirmed({ inputs: [end, start] }: Relation, input: number, row: number): boolean {
    const { columns } = this.understood;
    const [own, other] =
      input === end
        ? [numberAt(columns[input], row), numberAt(columns[start ?? -1], row + 1)]
        : [numberAt(columns[input], row), numberAt(columns[end ?? -1], row - 1)];
    return own !== null && own.value === other?.value;
  }

  /** Whether a value is nearer to the rest of its column than another one. */
  #isUsual(target: number, value: number, other: number): boolean {
    const values = (this.understood.columns[target]?.cells ?? [])
      .flatMap((cell) => (cell.kind === 'number' ? [cell.value] : []))
      .sort((a, b) => a - b);
    const middle = values[Math.floor(values.length / 2)] ?? 0;
    return Math.abs(value - middle) < Math.abs(other - middle);
  }

  /** What is wrong with the values of a column that is worked out. @param skip rows that are looked at otherwise. */
  findings(one: Computed, skip: ReadonlySet<number>): TableFinding[] {
    const { target, relation } = one;
    const column = this.understood.columns[target];
    return (column?.cells ?? []).flatMap((cell, row): TableFinding[] => {
      const judged = cell.kind === 'number' && !skip.has(row) ? this.judged(one, row) : null;
      if (cell.kind !== 'number' || !judged) return [];
      const fault = faultOf(relation.kind, cell, judged);
      if (fault === null) return [];
      const at: Spot = this.understood.spotOf(row, target);
      const given = this.#givenAt(relation, row) ?? [];
      const [worked, right] = [inWords(relation, given, this.written), this.written(judged.right)];
      if (fault === WRONG[relation.kind] || fault === 'digits-exchanged') {
        const exchanged = this.#exchangedInput(one, row);
        if (exchanged && (fault !== 'digits-exchanged' || this.#isUsual(target, cell.value, Number(judged.right))))
          return [
            {
              ...this.understood.spotOf(row, exchanged.input),
              kind: 'digits-exchanged',
              message: `With ${this.written(exchanged.repair)} here, ${this.written(cell.text)} would be right. Two digits may have changed places.`,
              repair: this.written(exchanged.repair),
            },
          ];
      }
      return [{ ...at, kind: fault, message: reasonOf(fault, worked, right, judged.slip), repair: right }];
    });
  }
}

/** Values of one column, one under the other. */
function footName(index: number): string {
  return `v${index}`;
}
