import type { HouseRules } from '../../rules/house-rules.ts';
import {
  ExpressionError,
  FUNCTION_NAMES,
  type BinaryOperator,
  type Expression,
  type FunctionName,
} from './expression.ts';
import { plainText } from '../../numbers/plain-text.ts';
import { parseTime } from './time-of-day.ts';
import { tokenise, type Token } from './tokens.ts';
import { parseWrittenNumber, shortened, UnreadableNumberError } from '../../numbers/written-number.ts';

const LONGEST = 4000;
const DEEPEST = 120;

/** Recursive descent over the tokens, one method per precedence level: sum, product, sign, power, atom. */
export class ExpressionParser {
  protected index = 0;
  private depth = 0;

  constructor(private readonly tokens: readonly Token[]) {}

  whole(): Expression {
    const tree = this.sum();
    const rest = this.peek();
    if (rest.kind !== 'end') throw this.unexpected(rest);
    return tree;
  }

  /** What stands where the expression should go on or end. */
  protected unexpected(rest: Token): ExpressionError {
    const before = this.tokens[this.index - 1];
    if (rest.kind === 'name' && (before?.kind === 'number' || before?.kind === 'time')) {
      return new ExpressionError(`“${shortened(rest.text)}” is not a unit known here. To multiply, write *.`, rest.at);
    }
    if (rest.text === ',')
      return new ExpressionError(
        `The comma was not expected there. It separates the numbers of a list, as in mean(4.7, 4.9).`,
        rest.at,
      );
    return new ExpressionError(`“${shortened(rest.text)}” was not expected there.`, rest.at);
  }

  protected peek(): Token {
    return this.tokens[this.index] ?? { kind: 'end', text: '', at: 0 };
  }

  protected take(symbol: string): Token | null {
    const next = this.peek();
    if (next.kind !== 'symbol' || next.text !== symbol) return null;
    this.index += 1;
    return next;
  }

  protected expect(symbol: string, openedAt: number): void {
    if (this.take(symbol)) return;
    if (this.peek().kind === 'name') throw this.unexpected(this.peek());
    throw new ExpressionError(
      `A parenthesis is opened ${openedAt === 0 ? 'at the beginning' : `after ${openedAt} ${openedAt === 1 ? 'character' : 'characters'}`} and not closed.`,
      this.peek().at,
    );
  }

  private chain(operators: readonly BinaryOperator[], operand: () => Expression): Expression {
    let left = operand();
    for (;;) {
      const { text, kind, at } = this.peek();
      const operator = kind === 'symbol' ? operators.find((candidate) => candidate === text) : undefined;
      if (!operator) return left;
      this.index += 1;
      left = { kind: 'binary', operator, left, right: operand(), at };
    }
  }

  private deeper<Result>(what: string, work: () => Result): Result {
    this.depth += 1;
    if (this.depth > DEEPEST) throw new ExpressionError(`More than ${DEEPEST} ${what}.`, this.peek().at);
    const result = work();
    this.depth -= 1;
    return result;
  }

  protected sum(): Expression {
    return this.deeper('levels of parentheses', () => this.chain(['+', '-'], () => this.product()));
  }

  private product(): Expression {
    return this.chain(['*', '/'], () => this.signed());
  }

  private signed(): Expression {
    const { at } = this.peek();
    let negative = false;
    for (;;) {
      if (this.take('-')) negative = !negative;
      else if (!this.take('+')) break;
    }
    const operand = this.power();
    return negative ? { kind: 'negate', operand, at } : operand;
  }

  private power(): Expression {
    const base = this.atom();
    const sign = this.take('^');
    if (!sign) return base;
    return {
      kind: 'binary',
      operator: '^',
      left: base,
      right: this.deeper('powers stacked', () => this.signed()),
      at: sign.at,
    };
  }

  private atom(): Expression {
    const token = this.peek();
    if (token.kind === 'end')
      throw new ExpressionError('The expression ends too early. A number or a name is missing.', token.at);
    this.index += 1;
    if (token.kind === 'number') return { kind: 'number', written: numberIn(token), unit: token.unit, at: token.at };
    if (token.kind === 'time') return { kind: 'number', ...parseTime(token.text, token.at), at: token.at };
    if (token.kind === 'name') return this.named(token.text, token.at);
    if (token.text !== '(')
      throw new ExpressionError(`A number or a name is missing before “${token.text}”.`, token.at);
    const inside = this.sum();
    this.expect(')', token.at);
    return this.inUnit(inside);
  }

  /** A unit behind a parenthesis stands for what is in it. */
  private inUnit(inside: Expression): Expression {
    const token = this.peek();
    if (token.kind !== 'unit') return inside;
    this.index += 1;
    const one: Expression = { kind: 'number', written: parseWrittenNumber('1'), unit: token.text, at: token.at };
    const unit: Expression = { kind: 'exact', operand: one, at: token.at };
    return { kind: 'binary', operator: '*', left: inside, right: unit, at: token.at };
  }

  protected named(name: string, at: number): Expression {
    if (name === 'pi' || name === 'π') return { kind: 'pi', at };
    if (this.peek().text !== '(') return { kind: 'name', name, at };
    this.take('(');
    const given = [this.sum()];
    while (this.take(',') ?? this.take(';')) given.push(this.sum());
    this.expect(')', at + name.length);
    const [first] = given;
    if (name === 'exact' && first && given.length === 1) return this.inUnit({ kind: 'exact', operand: first, at });
    const known = FUNCTION_NAMES.find((candidate) => candidate === name);
    if (!known) throw new ExpressionError(`“${shortened(name)}” is not a function here.`, at);
    checkArgumentCount(known, given.length, at);
    return { kind: 'call', name: known, arguments: given, at };
  }
}

function numberIn({ text, at }: Token): ReturnType<typeof parseWrittenNumber> {
  try {
    return parseWrittenNumber(text);
  } catch (error) {
    if (error instanceof UnreadableNumberError) throw new ExpressionError(error.message, at);
    throw error;
  }
}

const OF_MANY: readonly FunctionName[] = ['min', 'max', 'mean', 'median', 'sum'];

function checkArgumentCount(name: FunctionName, count: number, at: number): void {
  if (!OF_MANY.includes(name) && count !== 1)
    throw new ExpressionError(`${name} takes one argument, not ${count}.`, at);
}

/**
 * Reads a formula or an expression: `+ - * / ^`, parentheses, the functions of `FUNCTION_NAMES`, `pi`, `exact(…)`, names, numbers
 * with an optional unit (`24.31 g / (18.6 mL - 9.2 mL)`), powers of ten (`1.50 × 10³`), and times (`12:41:20`).
 * @param mark with a decimal comma, `4,70` is a number, and the numbers of a list are parted by semicolons.
 * @throws ExpressionError that points at the character of the text as it was typed.
 */
export function parseExpression(typed: string, mark: HouseRules['decimalMark'] = 'point'): Expression {
  if (typed.length > LONGEST)
    throw new ExpressionError(
      `The expression has ${typed.length} characters; at most ${LONGEST} can be read.`,
      LONGEST,
    );
  return new ExpressionParser(tokenise(plainText(typed), mark)).whole();
}
