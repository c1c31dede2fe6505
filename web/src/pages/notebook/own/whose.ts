import type { RunPage, SignedIn } from '@green-beam/contract';
import { GROUP, type Address, type Arrangement, type ReportSection } from '@green-beam/core';

/**
 * Whose calculations and answers are looked at: the writer’s own; for a teacher, those of whom the teacher has chosen, or of the first
 * in the group.
 */
export function authorOf(
  { arrangement, group }: Pick<RunPage, 'arrangement' | 'group'>,
  { role }: Pick<SignedIn, 'role'>,
  writer: string,
  chosen: string | null,
): string {
  if (arrangement.ownWork === 'group') return GROUP;
  if (role === 'student' || group.includes(writer)) return writer;
  return chosen ?? group[0] ?? GROUP;
}

/** The place of an answer, with whose it is where everybody gives their own. */
export function answerAt(question: string, author: string, { ownWork }: Arrangement): Address {
  return { kind: 'answer', question, ...(ownWork === 'each-student' ? { author } : {}) };
}

/** The same for what somebody says of a statement. */
export function statementAt(statement: string, author: string, { ownWork }: Arrangement): Address {
  return { kind: 'statement', statement, ...(ownWork === 'each-student' ? { author } : {}) };
}

/** The same for a part of the report. */
export function sectionAt(section: ReportSection, author: string, { ownWork }: Arrangement): Address {
  return { kind: 'report', section, ...(ownWork === 'each-student' ? { author } : {}) };
}
