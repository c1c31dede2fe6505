import { isUnitSymbol } from '../units/unit.ts';
import { ExpressionError, FUNCTION_NAMES, type BinaryOperator, type Expression, type FunctionName } from './expression.ts';
import { plainText } from './plain-text.ts';
import { parseWrittenNumber, shortened } from './written-number.ts';

type Token =
  | { readonly kind: 'number'; readonly text: string; readonly unit: string | null; readonly at: number }
  | { readonly kind: 'name'; readonly text: string; readonly at: number }
  | { readonly kind: 'symbol'; readonly text: string; readonly at: number }
  | { readonly kind: 'end'; readonly text: ''; readonly at: number };

const LONGEST = 4000;
const DEEPEST = 120;
const NUMBER = /(?:\d+(?:\.\d*)?|\.\d+)(?:[eE][+-]?\d+)?/y;
const NAME = /[\p{L}_][\p{L}\p{N}_′']*/uy;
const UNIT_FACTOR = /([\p{L}%°]+)(\^-?\d+|(?<=[a-z])-?\d)?/uy;

function matchAt(pattern: RegExp, text: string, at: number): RegExpExecArray | null {
  pattern.lastIndex = at;
  return pattern.exec(text);
}

/** The unit written after a number: `g`, `mL`, `cm^2`, `g/mL` (no spaces inside). Returns its text or null. */
function unitAt(text: string, from: number): string | null {
  let at = from;
  for (;;) {
    const factor = matchAt(UNIT_FACTOR, text, at);
    if (!factor || !isUnitSymbol(factor[1] ?? '')) return at === from ? null : text.slice(from, at - 1);
    at += factor[0].length;
    const joint = text[at];
    if (joint !== '/' && joint !== '*') return text.slice(from, at);
    at += 1;
  }
}

function tokenise(text: string): Token[] {
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const character = text[at] ?? '';
    if (character === ' ') {
      at += 1;
      continue;
    }
    const number = matchAt(NUMBER, text, at);
    if (number) {
      const after = at + number[0].length;
      const gap = text[after] === ' ' ? 1 : 0;
      const unit = unitAt(text, after + gap);
      tokens.push({ kind: 'number', text: number[0], unit, at });
      at = after + (unit === null ? 0 : gap + unit.length);
      continue;
    }
    const name = matchAt(NAME, text, at);
    if (name) {
      tokens.push({ kind: 'name', text: name[0], at });
      at += name[0].length;
    } else if ('+-*/^(),'.includes(character)) {
      tokens.push({ kind: 'symbol', text: character, at });
      at += 1;
    } else throw new ExpressionError(`“${character}” at character ${at + 1} does not belong in an expression.`, at);
  }
  tokens.push({ kind: 'end', text: '', at: text.length });
  return tokens;
}

/** Recursive descent over the tokens, one method per precedence level: sum, product, sign, power, atom. */
class Parser {
  private index = 0;
  private depth = 0;

  constructor(private readonly tokens: readonly Token[]) {}

  whole(): Expression {
    const tree = this.sum();
    const rest = this.peek();
    if (rest.kind !== 'end') throw new ExpressionError(`“${rest.text}” at character ${rest.at + 1} was not expected there.`, rest.at);
    return tree;
  }

  private peek(): Token {
    return this.tokens[this.index] ?? { kind: 'end', text: '', at: 0 };
  }

  private take(symbol: string): boolean {
    const next = this.peek();
    if (next.kind !== 'symbol' || next.text !== symbol) return false;
    this.index += 1;
    return true;
  }

  private takeAny(symbols: readonly BinaryOperator[]): BinaryOperator | undefined {
    return symbols.find((symbol) => this.take(symbol));
  }

  private expect(symbol: string, openedAt: number): void {
    if (this.take(symbol)) return;
    const next = this.peek();
    const where = next.kind === 'end' ? 'the end' : `character ${next.at + 1}`;
    throw new ExpressionError(`The parenthesis opened at character ${openedAt + 1} is not closed at ${where}.`, next.at);
  }

  private chain(operators: readonly BinaryOperator[], operand: () => Expression): Expression {
    let left = operand();
    for (let operator = this.takeAny(operators); operator; operator = this.takeAny(operators)) {
      left = { kind: 'binary', operator, left, right: operand() };
    }
    return left;
  }

  private sum(): Expression {
    this.depth += 1;
    if (this.depth > DEEPEST) throw new ExpressionError(`More than ${DEEPEST} levels of parentheses at character ${this.peek().at + 1}.`, this.peek().at);
    const tree = this.chain(['+', '-'], () => this.product());
    this.depth -= 1;
    return tree;
  }

  private product(): Expression {
    return this.chain(['*', '/'], () => this.signed());
  }

  private signed(): Expression {
    let negative = false;
    for (;;) {
      if (this.take('-')) negative = !negative;
      else if (!this.take('+')) break;
    }
    const operand = this.power();
    return negative ? { kind: 'negate', operand } : operand;
  }

  private power(): Expression {
    const base = this.atom();
    if (!this.take('^')) return base;
    this.depth += 1;
    if (this.depth > DEEPEST) throw new ExpressionError(`More than ${DEEPEST} powers stacked at character ${this.peek().at + 1}.`, this.peek().at);
    const exponent = this.signed();
    this.depth -= 1;
    return { kind: 'binary', operator: '^', left: base, right: exponent };
  }

  private atom(): Expression {
    const token = this.peek();
    if (token.kind === 'end') throw new ExpressionError('The expression ends too early; a number or a name is missing.', token.at);
    this.index += 1;
    if (token.kind === 'number') return { kind: 'number', written: parseWrittenNumber(token.text), unit: token.unit };
    if (token.kind === 'name') return this.named(token.text, token.at);
    if (token.text !== '(') throw new ExpressionError(`A number or a name is missing before “${token.text}” at character ${token.at + 1}.`, token.at);
    const inside = this.sum();
    this.expect(')', token.at);
    return inside;
  }

  private named(name: string, at: number): Expression {
    if (name === 'pi' || name === 'π') return { kind: 'pi' };
    if (this.peek().text !== '(') return { kind: 'name', name };
    this.take('(');
    const given = [this.sum()];
    while (this.take(',')) given.push(this.sum());
    this.expect(')', at + name.length);
    const [first] = given;
    if (name === 'exact' && first && given.length === 1) return { kind: 'exact', operand: first };
    const known = FUNCTION_NAMES.find((candidate) => candidate === name);
    if (!known) throw new ExpressionError(`“${shortened(name)}” at character ${at + 1} is not a function here.`, at);
    checkArgumentCount(known, given.length, at);
    return { kind: 'call', name: known, arguments: given };
  }
}

function checkArgumentCount(name: FunctionName, count: number, at: number): void {
  const many = name === 'min' || name === 'max' || name === 'mean';
  if (!many && count !== 1) throw new ExpressionError(`${name} at character ${at + 1} takes one argument, not ${count}.`, at);
}

/**
 * Reads a formula or an expression: `+ - * / ^`, parentheses, the functions of `FUNCTION_NAMES`, `pi`, `exact(…)`, names, and
 * numbers with an optional unit (`24.31 g / (18.6 mL - 9.2 mL)`).
 * @throws ExpressionError that points at the character.
 */
export function parseExpression(typed: string): Expression {
  if (typed.length > LONGEST) throw new ExpressionError(`The expression has ${typed.length} characters; at most ${LONGEST} can be read.`, LONGEST);
  return new Parser(tokenise(plainText(typed))).whole();
}
