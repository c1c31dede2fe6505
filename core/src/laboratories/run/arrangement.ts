import type { Protocol } from '../protocol/protocol.ts';

/** When a student sees the accepted value, the comparison and what the budget says. */
export const REVEALS = ['with-own-answer', 'from-the-start', 'after-handing-in'] as const;
export type Reveal = (typeof REVEALS)[number];

/** What is decided before a run begins, and stays as it is. */
export interface Arrangement {
  /** Ids of the computed quantities that are left to the student. */
  readonly byStudent: readonly string[];
  /** Whether calculations and answers belong to each student, or to the group. */
  readonly ownWork: 'each-student' | 'group';
  readonly reveals: Reveal;
  /** Who adds up the parts of a reading. */
  readonly sums: 'page' | 'student';
}

/** Who is named as the author of what belongs to the group. */
export const GROUP = 'group';

/** Everything is filled in by the book, and answers are the group’s. */
export const BY_THE_BOOK: Arrangement = {
  byStudent: [],
  ownWork: 'group',
  reveals: 'from-the-start',
  sums: 'page',
};

/** What a protocol has where a teacher decides nothing else. */
export function usualArrangement({ byStudent = [] }: Protocol): Arrangement {
  return { byStudent, ownWork: 'each-student', reveals: 'with-own-answer', sums: 'student' };
}

/** The quantities that can be left to the student. */
export function canBeLeft({ quantities }: Protocol): { readonly id: string; readonly name: string }[] {
  const found = new Map<string, string>();
  for (const { kind, id, name } of quantities) if (kind === 'computed' && !found.has(id)) found.set(id, name);
  return [...found].map(([id, name]) => ({ id, name }));
}
