import { ExpressionError, namesIn, type Expression } from '../../calculations/expression/expression.ts';
import { ExpressionParser } from '../../calculations/expression/parse-expression.ts';
import { tokenise, type Token } from '../../calculations/expression/tokens.ts';
import { plainText } from '../../numbers/plain-text.ts';
import { shortened } from '../../numbers/written-number.ts';

/** What is taken over the members of dimensions. */
export const AGGREGATES = [
  'mean',
  'sum',
  'min',
  'max',
  'median',
  'count',
  'sd',
  'se',
  'range',
  'averageDeviation',
  'first',
  'last',
  'slope',
  'intercept',
] as const;
export type AggregateName = (typeof AGGREGATES)[number];

/** Aggregates of two quantities: y against x. */
const OF_TWO: readonly AggregateName[] = ['slope', 'intercept'];
/** Those that an expression has as well, for a list of numbers. */
const OF_A_LIST: readonly AggregateName[] = ['mean', 'sum', 'min', 'max', 'median'];

/**
 * What a name in a formula stands for. In the formula’s expression a term is one name, its own text: `mean(length over trial)`.
 */
export type Term =
  | { readonly kind: 'quantity'; readonly quantity: string }
  /** At these members of its dimensions. */
  | { readonly kind: 'members'; readonly quantity: string; readonly members: readonly string[] }
  | {
      readonly kind: 'aggregate';
      readonly name: AggregateName;
      readonly of: readonly Expression[];
      readonly over: readonly string[];
    }
  /** At the member before; before the first member there is `first`. */
  | { readonly kind: 'previous'; readonly of: Expression; readonly over: string; readonly first: Expression }
  /** The standard uncertainty of it. */
  | { readonly kind: 'uncertainty'; readonly of: Expression };

/** A formula over dimensions: an expression whose names are its terms. */
export interface Formula {
  readonly text: string;
  readonly tree: Expression;
  readonly terms: ReadonlyMap<string, Term>;
}

const LONGEST = 1000;

/** Reads the terms that an expression does not have by itself. */
class FormulaParser extends ExpressionParser {
  readonly terms = new Map<string, Term>();

  constructor(
    private readonly text: string,
    tokens: readonly Token[],
  ) {
    super(tokens);
  }

  protected override named(name: string, at: number): Expression {
    if (name === 'pi' || name === 'π') return super.named(name, at);
    if (this.take('[')) return this.term(at, { kind: 'members', quantity: name, members: this.members(name) });
    if (this.peek().text !== '(') return this.term(at, { kind: 'quantity', quantity: name });
    if (name === 'previous') return this.previous(at);
    if (name === 'u') return this.uncertainty(at);
    const aggregate = AGGREGATES.find((candidate) => candidate === name);
    return aggregate ? this.aggregate(aggregate, at) : super.named(name, at);
  }

  /** A term as one name: its own text, from its first character to where the parser stands. */
  private term(at: number, term: Term): Expression {
    const name = this.text.slice(at, this.peek().at).trim();
    this.terms.set(name, term);
    return { kind: 'name', name, at };
  }

  private members(name: string): string[] {
    const members: string[] = [];
    do {
      const token = this.peek();
      if (token.kind !== 'name' && token.kind !== 'number')
        throw new ExpressionError(`A member is missing in the brackets behind ${shortened(name)}.`, token.at);
      members.push(token.text);
      this.index += 1;
    } while (this.take(','));
    if (!this.take(']'))
      throw new ExpressionError(`The bracket behind ${shortened(name)} is not closed.`, this.peek().at);
    return members;
  }

  private word(what: string): string {
    const token = this.peek();
    if (token.kind !== 'name') throw new ExpressionError(`${what} is missing.`, token.at);
    this.index += 1;
    return token.text;
  }

  private takeOver(): boolean {
    const token = this.peek();
    if (token.kind !== 'name' || token.text !== 'over') return false;
    this.index += 1;
    return true;
  }

  private aggregate(name: AggregateName, at: number): Expression {
    const before = this.index;
    this.take('(');
    const of = [this.sum()];
    while (this.take(',')) of.push(this.sum());
    if (!this.takeOver()) {
      if (!OF_A_LIST.includes(name))
        throw new ExpressionError(`${name} needs what it is taken over, as in ${name}(x over trial).`, at);
      this.index = before;
      return super.named(name, at);
    }
    const over = [this.word('A dimension')];
    while (this.take(',')) over.push(this.word('A dimension'));
    this.expect(')', at + name.length);
    const wanted = OF_TWO.includes(name) ? 2 : 1;
    if (of.length !== wanted)
      throw new ExpressionError(
        `${name} is taken of ${wanted === 2 ? 'two quantities, y and x' : 'one quantity'}, not of ${of.length}.`,
        at,
      );
    return this.term(at, { kind: 'aggregate', name, of, over });
  }

  private previous(at: number): Expression {
    this.take('(');
    const of = this.sum();
    if (!this.takeOver())
      throw new ExpressionError('previous needs its sequence, as in previous(mass over fill, empty).', at);
    const over = this.word('A dimension');
    if (!this.take(','))
      throw new ExpressionError(
        'previous needs what stands before the first, as in previous(mass over fill, empty).',
        at,
      );
    const first = this.sum();
    this.expect(')', at + 'previous'.length);
    return this.term(at, { kind: 'previous', of, over, first });
  }

  private uncertainty(at: number): Expression {
    this.take('(');
    const of = this.sum();
    this.expect(')', at + 1);
    return this.term(at, { kind: 'uncertainty', of });
  }
}

/** The terms that an expression names, each once. */
function termsOf(tree: Expression, terms: Formula['terms']): Term[] {
  return namesIn(tree).flatMap((name) => terms.get(name) ?? []);
}

/** Every quantity that a formula uses, in whatever term, each once. */
export function quantitiesIn(tree: Expression, terms: Formula['terms']): string[] {
  const found = termsOf(tree, terms).flatMap((term): string[] => {
    switch (term.kind) {
      case 'quantity':
      case 'members':
        return [term.quantity];
      case 'aggregate':
        return term.of.flatMap((part) => quantitiesIn(part, terms));
      case 'previous':
        return [...quantitiesIn(term.of, terms), ...quantitiesIn(term.first, terms)];
      case 'uncertainty':
        return quantitiesIn(term.of, terms);
    }
  });
  return [...new Set(found)];
}

/**
 * Reads a formula: the grammar of an expression, with `mean(d over trial)` and the other aggregates, `mass[full]`,
 * `previous(m over fill, m0)` and `u(x)`.
 * @throws ExpressionError that points at the character.
 */
export function parseFormula(typed: string): Formula {
  if (typed.length > LONGEST)
    throw new ExpressionError(`A formula has at most ${LONGEST} characters, not ${typed.length}.`, LONGEST);
  const text = plainText(typed);
  const parser = new FormulaParser(text, tokenise(text, 'point', '[]'));
  const tree = parser.whole();
  return { text: typed, tree, terms: parser.terms };
}
