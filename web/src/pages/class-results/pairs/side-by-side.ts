import type { ClassResults, GroupToPool, PairSide } from '@green-beam/contract';
import { betweenTwo, type BetweenTwo } from '@green-beam/core';
import { comparedResults, type ResultRow } from '../result-rows.ts';

/** One result of two groups. */
export interface ResultOfBoth {
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly first: ResultRow;
  readonly second: ResultRow;
  readonly between: BetweenTwo;
}

/** Results that both groups of a pair have. */
export function resultsOfBoth(found: ClassResults, [first, second]: readonly [PairSide, PairSide]): ResultOfBoth[] {
  return comparedResults(found).flatMap(({ key, name, unit, rows }) => {
    const [a, b] = [first, second].map((side) => rows.find(({ group }) => group.letter === side.letter));
    if (!a || !b) return [];
    const between = betweenTwo(
      { group: first.letter, value: a.result.value, variance: a.result.variance },
      { group: second.letter, value: b.result.value, variance: b.result.variance },
    );
    return [{ key, name, unit, first: a, second: b, between }];
  });
}

/** What two groups did differently, and what they shared: tools by their codes, and choices in words. */
export interface DoneDifferently {
  readonly toolsOfFirst: readonly string[];
  readonly toolsOfSecond: readonly string[];
  readonly toolsOfBoth: readonly string[];
  readonly choices: readonly { readonly name: string; readonly first: string; readonly second: string }[];
}

/** Null where one of the two has no result. */
export function doneDifferently(
  { groups, options }: ClassResults,
  sides: readonly [PairSide, PairSide],
): DoneDifferently | null {
  const groupOf = ({ letter }: PairSide): GroupToPool | undefined => groups.find((group) => group.letter === letter);
  const [first, second] = [groupOf(sides[0]), groupOf(sides[1])];
  if (!first || !second) return null;
  return {
    toolsOfFirst: first.tools.filter((code) => !second.tools.includes(code)),
    toolsOfSecond: second.tools.filter((code) => !first.tools.includes(code)),
    toolsOfBoth: first.tools.filter((code) => second.tools.includes(code)),
    choices: options.flatMap(({ id, name, choices }) => {
      const [a, b] = [first.choices[id], second.choices[id]];
      if (a === b) return [];
      const inWords = (choice: string | undefined): string => choices.find((one) => one.id === choice)?.name ?? '—';
      return [{ name, first: inWords(a), second: inWords(b) }];
    }),
  };
}
