import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { UnitMismatchError } from '../units/unit.ts';
import type { Calculation } from './calculate.ts';
import type { Conversion } from './convert.ts';
import { ExpressionError, FUNCTION_NAMES } from './expression/expression.ts';
import { LAST } from './last-result.ts';
import { workOut } from './work-out.ts';
import type { QuantityValue } from './working.ts';

/** A line of a tape, worked out. */
export interface TapeLine {
  /** What the result is called, where the line gives it a name: `m` of `m = 24.31 g`. */
  readonly name: string | null;
  /** Null for an empty line and for one with a mistake in it. */
  readonly calculation: Calculation | Conversion | null;
  /** What is wrong with the line, and the character (from 0) it points to. */
  readonly mistake: { readonly message: string; readonly at: number | null } | null;
}

const NAMED = /^(\s*([\p{L}_][\p{L}\p{N}_′']*)\s*=)(.*)$/su;
const RESERVED: readonly string[] = [...FUNCTION_NAMES, 'exact', 'pi', 'π', LAST];

const EMPTY: TapeLine = { name: null, calculation: null, mistake: null };

/** The line without its result: what is wrong, pointing into the whole line. */
function mistaken(error: unknown, from: number): TapeLine['mistake'] {
  if (error instanceof ExpressionError)
    return { message: error.reason, at: error.at === null ? null : from + error.at };
  if (error instanceof UnitMismatchError)
    return { message: error.reason, at: error.at === null ? null : from + error.at };
  throw error;
}

/**
 * Works out a short tape, line by line: `m = 24.31 g`, `V = 18.6 mL - 9.2 mL`, `m / V`, `m / V -> kg/m^3`. A name stands for its line’s
 * result with all its digits; `last` for that of the line before. A line with a mistake leaves its name without a value.
 * @throws HouseRuleError.
 */
export function calculateTape(lines: readonly string[], rules?: Partial<HouseRules>): TapeLine[] {
  const house = completeRules(rules);
  let names: ReadonlyMap<string, QuantityValue> = new Map();
  return lines.map((line): TapeLine => {
    const [, head = '', name = null, rest = line] = NAMED.exec(line) ?? [];
    if (rest.trim() === '' && name === null) return EMPTY;
    try {
      if (name !== null && RESERVED.includes(name))
        throw new ExpressionError(`“${name}” already has a meaning. Use another name.`, -head.length);
      const { calculation, quantity } = workOut(rest, house, names);
      names = new Map([...names, [LAST, quantity], ...(name === null ? [] : [[name, quantity] as const])]);
      return { name, calculation, mistake: null };
    } catch (error) {
      names = new Map([...names].filter(([known]) => known !== LAST && known !== name));
      return { name, calculation: null, mistake: mistaken(error, head.length) };
    }
  });
}
