import { latexOf, numberLatex, unitLatex } from '../../calculations/expression/latex.ts';
import type { Expression } from '../../calculations/expression/expression.ts';
import type { Measured } from '../../calculations/measured.ts';
import { workedStep, writtenQuantity, shownUnit, type WorkedStep } from '../../calculations/working.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { Unit } from '../../units/unit.ts';
import type { AggregateName, Term } from '../formulas/formula.ts';
import type { ResolvedTerm } from '../formulas/resolve-formula.ts';
import type { ComputedQuantity } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';
import { membersInWords } from './label.ts';
import { Missing } from './missing.ts';
import type { AtPlace, Numbers } from './numbers.ts';

/** What one aggregate of a formula was taken of. */
export interface WorkedAggregate {
  readonly name: AggregateName;
  /** In LaTeX, with the result: `\dfrac{\sum L}{n} = 11.54\,\mathrm{cm}`. */
  readonly latex: string;
  /** The members that count, each with its numbers: one, or two where y is laid against x. */
  readonly rows: readonly {
    readonly name: string;
    readonly numbers: readonly string[];
    readonly values: readonly number[];
  }[];
  /** What its columns are, with their units. */
  readonly headings: readonly string[];
}

/** How a computed number came about, ready to be typeset and read out. */
export interface Working {
  /** `V = V_2 - V_1` and the same with numbers, in LaTeX. */
  readonly symbolic: string;
  readonly substituted: string;
  readonly aggregates: readonly WorkedAggregate[];
  /** Each with the digits it keeps, the guard digits it carries, and why; none where a number is taken over as it is. */
  readonly steps: readonly WorkedStep[];
  readonly unit: string;
}

/** Statistics as they are written in front of what they are taken of. */
const STATISTICS: Readonly<Record<string, string>> = {
  sd: 's',
  se: '\\operatorname{s.e.}',
  averageDeviation: '\\operatorname{a.d.}',
  sum: '\\sum',
};

function isOneName(tree: Expression | undefined): boolean {
  return tree?.kind === 'name';
}

/** Shows how the cells of one run were worked out. */
export class Workings {
  constructor(private readonly numbers: Numbers) {}

  private get rules(): HouseRules {
    return this.numbers.setting.rules;
  }

  /** The working of a computed quantity at a place; null while it has no number. */
  of(quantity: ComputedQuantity, place: Members): Working | null {
    const formula = this.numbers.setting.layout.formulas.get(quantity.id);
    if (!formula) return null;
    const at: AtPlace = { formula, place };
    const found = this.numbers.evaluate(formula.whole.tree, at);
    if (found instanceof Missing) return null;
    const unitOf = (name: string): Unit => formula.terms.get(name)?.unit ?? {};
    return {
      symbolic: `${quantity.symbol} = ${this.symbols(formula.formula.tree, at)}`,
      substituted: `${quantity.symbol} = ${latexOf(formula.formula.tree, (name) => {
        const term = formula.terms.get(name);
        const number = term && this.numbers.term(term, at);
        return number && !(number instanceof Missing) ? this.written(number, unitOf(name)) : this.symbol(name, at);
      })}`,
      aggregates: [...formula.terms].flatMap(([name, term]) =>
        term.kind === 'aggregate' ? (this.aggregate(name, term, at) ?? []) : [],
      ),
      steps: found.steps.map((step) => workedStep(step, formula.whole.unitOf, this.rules)),
      unit: quantity.unit,
    };
  }

  private text(number: Measured, unit: Unit): string {
    return writtenQuantity({ value: number.value, place: number.place, unit }, this.rules);
  }

  private written(number: Measured, unit: Unit): string {
    const shown = shownUnit(unit);
    return `${numberLatex(this.text(number, unit))}${shown === '' ? '' : `\\,${unitLatex(shown)}`}`;
  }

  private symbols(tree: Expression, at: AtPlace): string {
    return latexOf(tree, (name) => this.symbol(name, at));
  }

  private quantitySymbol(id: string): string {
    const quantity = this.numbers.setting.layout.quantities.get(id);
    return quantity && 'symbol' in quantity ? quantity.symbol : `\\mathrm{${id}}`;
  }

  private memberName(member: string): string {
    const found = [...this.numbers.setting.members.values()].flat().find(({ id }) => id === member);
    return `\\text{${found?.name ?? member}}`;
  }

  /** What stands for a term of a formula. */
  private symbol(name: string, at: AtPlace): string {
    const term = at.formula.formula.terms.get(name);
    return term ? this.termSymbol(term, at) : `\\mathrm{${name}}`;
  }

  private termSymbol(term: Term, at: AtPlace): string {
    switch (term.kind) {
      case 'quantity':
        return this.quantitySymbol(term.quantity);
      case 'members':
        return `\\left(${this.quantitySymbol(term.quantity)}\\right)_{${term.members.map((one) => this.memberName(one)).join(', ')}}`;
      case 'uncertainty':
        return `u\\left(${this.symbols(term.of, at)}\\right)`;
      case 'previous':
        return `\\left(${this.symbols(term.of, at)}\\right)_{\\text{before}}`;
      case 'aggregate': {
        const [first = '', second] = term.of.map((tree) => this.symbols(tree, at));
        if (term.name === 'mean')
          return `\\dfrac{\\sum ${isOneName(term.of[0]) ? first : `\\left(${first}\\right)`}}{n}`;
        if (second !== undefined)
          return `\\operatorname{${term.name}}\\left(${first}\\text{ against }${second}\\right)`;
        return `${STATISTICS[term.name] ?? `\\operatorname{${term.name}}`}\\left(${first}\\right)`;
      }
    }
  }

  private aggregate(
    name: string,
    term: Extract<ResolvedTerm, { kind: 'aggregate' }>,
    at: AtPlace,
  ): WorkedAggregate | null {
    const number = this.numbers.term(term, at);
    if (number instanceof Missing) return null;
    const written = at.formula.formula.terms.get(name);
    const trees = written?.kind === 'aggregate' ? written.of : [];
    return {
      name: term.name,
      latex: `${this.symbol(name, at)} = ${this.written(number, term.unit)}`,
      headings: term.of.map(({ unit }, i) => {
        const tree = trees[i];
        const shown = shownUnit(unit);
        return `${tree ? this.symbols(tree, at) : ''}${shown === '' ? '' : `\\;\\left[${unitLatex(shown)}\\right]`}`;
      }),
      rows: this.numbers.gather(term, at).map(({ members, numbers }) => ({
        name: membersInWords(this.numbers.setting, members),
        numbers: numbers.map((one, i) => this.text(one, term.of[i]?.unit ?? {})),
        values: numbers.map(({ value }) => value.toNumber()),
      })),
    };
  }
}
