import type { HouseRules } from '../../rules/house-rules.ts';
import { isUnitSymbol } from '../../units/unit.ts';
import { ExpressionError } from './expression.ts';

export type Token =
  | { readonly kind: 'number' | 'time'; readonly text: string; readonly unit: string | null; readonly at: number }
  | { readonly kind: 'name' | 'symbol' | 'unit'; readonly text: string; readonly at: number }
  | { readonly kind: 'end'; readonly text: ''; readonly at: number };

const TIME = /\d+:\d+(?::\d+(?:\.\d+)?)?/y;
const NUMBER = {
  point: /(?:\d{1,3}(?: \d{3})+(?!\d)|\d+)?(?:\.\d*)?/y,
  comma: /(?:\d{1,3}(?: \d{3})+(?!\d)|\d+)?(?:[.,]\d*)?/y,
} as const;
const EXPONENT = /[eE][+-]?\d+/y;
const TIMES_POWER = / ?\* ?10 ?\^ ?(?:([+-]?\d+)|\( ?([+-]?\d+) ?\))(?![\d.])/y;
const NAME = /[\p{L}_][\p{L}\p{N}_′']*/uy;
const UNIT_NAME = /fl\.? ?oz\b|Δ?° ?[CF](?!\p{L})|°|[\p{L}%Δ]+/uy;
const UNIT_POWER = /\^(-?\d{1,2})|\^\((-?\d{1,2})\)|(?<=[a-z])([2-9])(?![\d.])/y;
/** After another factor a minus sign can only belong to a power: `g cm-3`. */
const LATER_POWER = /\^(-?\d{1,2})|\^\((-?\d{1,2})\)|(?<=[a-zL])(-?[1-9])(?![\d.])/y;

function matchAt(pattern: RegExp, text: string, at: number): RegExpExecArray | null {
  pattern.lastIndex = at;
  return pattern.exec(text);
}

/** The unit that begins at a character: its text brought to one form, and where it ends. Null when none begins there. */
function unitAt(text: string, from: number): { readonly unit: string; readonly end: number } | null {
  let unit = '';
  let end = from;
  for (let at = from; ;) {
    const name = matchAt(UNIT_NAME, text, at);
    const symbol = (name?.[0] ?? '').replace(/^fl\.? ?oz$/, 'floz').replace(/ /g, '');
    if (!name || !isUnitSymbol(symbol) || text[at + name[0].length] === '(') return unit === '' ? null : { unit, end };
    const power = matchAt(unit === '' ? UNIT_POWER : LATER_POWER, text, at + name[0].length);
    const powers: readonly (string | undefined)[] = power?.slice(1) ?? [];
    const raised = powers.find((part) => part !== undefined);
    unit += symbol + (raised === undefined ? '' : `^${raised}`);
    end = at + name[0].length + (power?.[0].length ?? 0);
    const joint = text[end];
    const below = joint === '/' && text[end + 1] === '(' ? unitInParentheses(text, end + 1) : null;
    if (below) return { unit: `${unit}/(${below.unit})`, end: below.end };
    if (joint !== '/' && joint !== '*' && joint !== ' ') return { unit, end };
    if (!beginsUnit(text, end + 1)) return { unit, end };
    unit += joint;
    at = end + 1;
  }
}

/** A unit in parentheses, as what stands below a division sign: J/(g*°C). Null for anything else. */
function unitInParentheses(text: string, open: number): { readonly unit: string; readonly end: number } | null {
  const inside = unitAt(text, open + 1);
  return inside && text[inside.end] === ')' ? { unit: inside.unit, end: inside.end + 1 } : null;
}

function beginsUnit(text: string, at: number): boolean {
  const name = matchAt(UNIT_NAME, text, at);
  return (
    name !== null &&
    isUnitSymbol(name[0].replace(/^fl\.? ?oz$/, 'floz').replace(/ /g, '')) &&
    text[at + name[0].length] !== '('
  );
}

/** @param after the symbol before it: what follows an exponent sign is an exponent, and after a division sign nobody can tell how far the divisor goes. */
function numberAt(
  text: string,
  at: number,
  mark: HouseRules['decimalMark'],
  after: string,
): { readonly text: string; readonly end: number } | null {
  const mantissa = matchAt(NUMBER[mark], text, at);
  if (!mantissa || !/\d/.test(mantissa[0])) return null;
  const digits = mantissa[0].replace(/ /g, '').replace(',', '.');
  const end = at + mantissa[0].length;
  const exponent = matchAt(EXPONENT, text, end);
  if (exponent) return { text: digits + exponent[0], end: end + exponent[0].length };
  const power = after === '^' ? null : matchAt(TIMES_POWER, text, end);
  if (power && after === '/')
    throw new ExpressionError(
      `Is ${mantissa[0]} × 10^${power[1] ?? power[2] ?? ''} one number? Write it in parentheses, or as ${digits}e${power[1] ?? power[2] ?? ''}.`,
      at,
    );
  return power
    ? { text: `${digits}e${power[1] ?? power[2] ?? ''}`, end: end + power[0].length }
    : { text: digits, end };
}

/** The last symbol, past any sign of the number that comes. */
function symbolBefore(tokens: readonly Token[]): string {
  const last = tokens.findLast(({ text }) => text !== '-' && text !== '+');
  return last?.kind === 'symbol' ? last.text : '';
}

/** What stands between the numbers and names of an expression. */
const SYMBOLS = '+-*/^(),;';

/**
 * Cuts an expression in plain characters into numbers with their units, names and symbols.
 * @param more symbols of a language that has expressions in it.
 * @throws ExpressionError at a character that belongs to none.
 */
export function tokenise(text: string, mark: HouseRules['decimalMark'] = 'point', more = ''): Token[] {
  const symbols = SYMBOLS + more;
  const tokens: Token[] = [];
  let at = 0;
  while (at < text.length) {
    const character = text[at] ?? '';
    if (character === ' ') {
      at += 1;
      continue;
    }
    const time = matchAt(TIME, text, at);
    if (time) {
      tokens.push({ kind: 'time', text: time[0], unit: null, at });
      at += time[0].length;
      continue;
    }
    const behind = tokens.at(-1)?.text === ')' ? unitAt(text, at) : null;
    if (behind) {
      tokens.push({ kind: 'unit', text: behind.unit, at });
      at = behind.end;
      continue;
    }
    const number = numberAt(text, at, mark, symbolBefore(tokens));
    if (number) {
      const unit = unitAt(text, number.end + (text[number.end] === ' ' ? 1 : 0));
      tokens.push({ kind: 'number', text: number.text, unit: unit?.unit ?? null, at });
      at = unit?.end ?? number.end;
      continue;
    }
    const name = matchAt(NAME, text, at);
    if (name) tokens.push({ kind: 'name', text: name[0], at });
    else if (symbols.includes(character)) tokens.push({ kind: 'symbol', text: character, at });
    else
      throw new ExpressionError(
        `“${String.fromCodePoint(text.codePointAt(at) ?? 0)}” does not belong in an expression.`,
        at,
      );
    at += name?.[0].length ?? 1;
  }
  tokens.push({ kind: 'end', text: '', at: text.length });
  return tokens;
}
