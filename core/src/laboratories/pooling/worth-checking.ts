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

/** A tool, or a choice of how a laboratory is done. */
export interface MadeWith {
  readonly kind: 'tool' | 'choice';
  /** Code of the tool, or the option. */
  readonly name: string;
  /** Of an option, what was chosen; null of a tool. */
  readonly choice: string | null;
}

/** What parts the groups in two, and how the results of the two sides lie. */
export interface Factor extends Contrast {
  /** What these groups had, and no other. Several where they always went together. */
  readonly had: readonly MadeWith[];
  /** What all the others had, and none of these: the results do not tell on which side the fault is. */
  readonly against: readonly MadeWith[];
  readonly with: readonly string[];
  readonly without: readonly string[];
  /** Whether the results lie apart by more than chance would bring any of all that was looked at. */
  readonly isWorthChecking: boolean;
}

/** So many groups there must be on either side. */
export const FEWEST_EACH_WAY = 3;
const CHANCE = 0.05;

/** Everything groups were made with, each with who had it. */
function everything(results: readonly ResultMadeWith[]): (MadeWith & { readonly has: readonly boolean[] })[] {
  const codes = [...new Set(results.flatMap(({ tools }) => tools))].sort();
  const options = [...new Set(results.flatMap(({ choices }) => Object.keys(choices)))].sort();
  return [
    ...codes.map((code) => ({
      kind: 'tool' as const,
      name: code,
      choice: null,
      has: results.map(({ tools }) => tools.includes(code)),
    })),
    ...options.flatMap((option) =>
      [...new Set(results.flatMap(({ choices }) => choices[option] ?? []))].sort().map((choice) => ({
        kind: 'choice' as const,
        name: option,
        choice,
        has: results.map(({ choices }) => choices[option] === choice),
      })),
    ),
  ];
}

interface Parting {
  readonly has: readonly boolean[];
  readonly had: MadeWith[];
  readonly against: MadeWith[];
}

/** The ways in which groups are parted, each once, from the side with fewer groups that has something. */
function partings(results: readonly ResultMadeWith[]): Parting[] {
  const found = new Map<string, Parting>();
  const count = (has: readonly boolean[]): number => has.filter(Boolean).length;
  // Of two sides the smaller comes first.
  const all = everything(results).sort((a, b) => count(a.has) - count(b.has));
  for (const { has, ...thing } of all) {
    const other = found.get(has.map((one) => !one).join());
    if (other) {
      other.against.push(thing);
      continue;
    }
    const known = found.get(has.join());
    if (known) known.had.push(thing);
    else found.set(has.join(), { has, had: [thing], against: [] });
  }
  return [...found.values()];
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
  const found = partings(results)
    .map((parting) => ({ ...parting, with: groups(parting.has, true), without: groups(parting.has, false) }))
    .filter((parting) => Math.min(parting.with.length, parting.without.length) >= FEWEST_EACH_WAY)
    .map(({ has, ...parting }) => ({ ...parting, ...contrast(values, has) }));
  const worth = new Set(
    tooSmallTogether(
      found.map(({ chance }) => chance),
      CHANCE,
    ),
  );
  return found.map((factor, i) => ({ ...factor, isWorthChecking: worth.has(i) })).sort((a, b) => a.chance - b.chance);
}
