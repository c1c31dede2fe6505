/** Members of dimensions, by the dimension’s id. */
export type Members = Readonly<Record<string, string>>;

/** The parts of a report that are written, not worked out. */
export const REPORT_SECTIONS = ['purpose', 'causes', 'conclusion'] as const;
export type ReportSection = (typeof REPORT_SECTIONS)[number];

/** Where an entry of a run belongs. */
export type Address =
  /** What was read, counted, timed, seen, given or predicted. `author` where it is one student’s own calculation. */
  | { readonly kind: 'cell'; readonly quantity: string; readonly members: Members; readonly author?: string }
  /** Somebody has asked to be shown how a cell of their own is worked out. */
  | { readonly kind: 'shown'; readonly quantity: string; readonly members: Members; readonly author: string }
  /** The tool a quantity is read on, at members of those dimensions that its tools differ by. */
  | { readonly kind: 'tool'; readonly quantity: string; readonly members: Members }
  | { readonly kind: 'option'; readonly option: string }
  /** The members a run has of a dimension whose members are chosen. */
  | { readonly kind: 'members'; readonly dimension: string }
  /** A repeat that does not count, and why: everywhere, or at members of other dimensions only. */
  | { readonly kind: 'excluded'; readonly dimension: string; readonly member: string; readonly within: Members }
  /** Something added to a reading, with its reason. */
  | { readonly kind: 'adjustment'; readonly quantity: string; readonly members: Members }
  /** A reading that was not taken again: it is the one at another place. */
  | { readonly kind: 'link'; readonly quantity: string; readonly members: Members }
  /** What the results are compared with: a material or a number. */
  | { readonly kind: 'accepted' }
  | { readonly kind: 'specimen' }
  | { readonly kind: 'answer'; readonly question: string; readonly author?: string }
  /** Whether a statement holds, or what it should say. */
  | { readonly kind: 'statement'; readonly statement: string; readonly author?: string }
  /** What somebody writes in their report, in their own words. */
  | { readonly kind: 'report'; readonly section: ReportSection; readonly author?: string };

function inOrder(members: Members): [string, string][] {
  return Object.entries(members).sort(([a], [b]) => (a < b ? -1 : 1));
}

/** One text for one place, whatever the order in which its members were named. */
export function addressKey(address: Address): string {
  const parts = Object.entries(address as Readonly<Record<string, string | Members | undefined>>)
    .filter(([, part]) => part !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([name, part]) => [name, typeof part === 'object' ? inOrder(part) : part]);
  return JSON.stringify(parts);
}

/** A quantity at members, as one text. */
export function cellKey(quantity: string, members: Members): string {
  return `${quantity}|${inOrder(members)
    .map(([dimension, member]) => `${dimension}=${member}`)
    .join('|')}`;
}

/** The members of some dimensions only. */
export function membersOf(members: Members, dimensions: readonly string[]): Members {
  return Object.fromEntries(
    dimensions.flatMap((dimension) => {
      const member = members[dimension];
      return member === undefined ? [] : [[dimension, member]];
    }),
  );
}
