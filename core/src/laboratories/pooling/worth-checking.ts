import { tooSmallTogether } from '../../statistics/consensus.ts';
import { contrast, type Contrast } from '../../statistics/contrast.ts';

/** A group’s result with what it was made with. */
export interface ResultMadeWith {
  readonly group: string;
  readonly value: number;
  /** Codes of the tools of the cabinet. */
  readonly tools: readonly string[];
  /** The choice made of each option, by the option. */
  readonly choices: Readonly<Record<string, string>>;
}

/** Something that some groups used and others did not, and how their results lie. */
export interface Factor extends Contrast {
  readonly kind: 'tool' | 'choice';
  /** Code of the tool, or the option. */
  readonly name: string;
  /** Of an option, what was chosen; null of a tool. */
  readonly choice: string | null;
  readonly with: readonly string[];
  readonly without: readonly string[];
  /** Whether the results lie apart by more than chance would bring any of all that was looked at. */
  readonly isWorthChecking: boolean;
}

/** So many groups there must be on either side. */
export const FEWEST_EACH_WAY = 3;
const CHANCE = 0.05;

interface Split {
  readonly kind: Factor['kind'];
  readonly name: string;
  readonly choice: string | null;
  readonly has: readonly boolean[];
}

function splitsOf(results: readonly ResultMadeWith[]): Split[] {
  const codes = [...new Set(results.flatMap(({ tools }) => tools))].sort();
  const options = [...new Set(results.flatMap(({ choices }) => Object.keys(choices)))].sort();
  const tools = codes.map((code): Split => ({
    kind: 'tool',
    name: code,
    choice: null,
    has: results.map((one) => one.tools.includes(code)),
  }));
  const chosen = options.flatMap((option) => {
    const all = [...new Set(results.map(({ choices }) => choices[option] ?? ''))].filter((one) => one !== '').sort();
    // Of two choices the second says the same as the first.
    return (all.length === 2 ? all.slice(0, 1) : all).map((choice): Split => ({
      kind: 'choice',
      name: option,
      choice,
      has: results.map(({ choices }) => choices[option] === choice),
    }));
  });
  return [...tools, ...chosen];
}

/**
 * What may have made results lie apart: each tool and each choice that at least three groups had and three had not, the least likely
 * by chance first. That several are looked at is allowed for (Holm), so that a class in which nothing is the matter is sent to check
 * something once in twenty times. It points to where to look, and proves nothing.
 * @param results of different groups, all of one quantity in one unit.
 */
export function worthChecking(results: readonly ResultMadeWith[]): Factor[] {
  const values = results.map(({ value }) => value);
  const groups = (has: readonly boolean[], wanted: boolean): string[] =>
    results.flatMap(({ group }, i) => (has[i] === wanted ? [group] : []));
  const found = splitsOf(results)
    .map((split) => ({ ...split, with: groups(split.has, true), without: groups(split.has, false) }))
    .filter((split) => Math.min(split.with.length, split.without.length) >= FEWEST_EACH_WAY)
    .map(({ has, ...split }) => ({ ...split, ...contrast(values, has) }));
  const worth = new Set(
    tooSmallTogether(
      found.map(({ chance }) => chance),
      CHANCE,
    ),
  );
  return found.map((factor, i) => ({ ...factor, isWorthChecking: worth.has(i) })).sort((a, b) => a.chance - b.chance);
}
