import { NO_HABIT, PRIOR, updated, type Belief, type ReadingTask } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import { StudentBelief } from '../models/tutor.ts';

/** A slip was a likely habit once it had this probability, and counts as cured below that one. */
const LIKELY = 0.5;
const CURED = 0.1;

/** A belief with the slips that were likely habits at some time. */
export interface Known {
  readonly belief: Belief;
  readonly onceLikely: readonly string[];
  readonly readings: number;
}

export const NOTHING_KNOWN: Known = { belief: PRIOR, onceLikely: [], readings: 0 };

/** What is known after one more reading: as the task was set, as it stood at Enter, and what was written. */
export function learned({ belief, onceLikely, readings }: Known, drawn: ReadingTask, read: ReadingTask, entry: string): Known {
  const after = updated(belief, drawn, read, entry);
  const likely = Object.keys(after).filter((id) => id !== NO_HABIT && (after[id] ?? 0) >= LIKELY);
  return { belief: after, onceLikely: [...new Set([...onceLikely, ...likely])], readings: readings + 1 };
}

/** Slips to be looked at again: likely habits once, and not any more. */
export function toRevisit({ belief, onceLikely }: Known): string[] {
  return onceLikely.filter((id) => (belief[id] ?? 0) < CURED);
}

export async function knownOf(classId: string, personId: string, transaction?: Transaction): Promise<Known> {
  const row = await StudentBelief.findOne({ where: { classId, personId }, transaction });
  return row ?? NOTHING_KNOWN;
}

/** Keeps what is known of a student. */
export async function keep({ classId, personId, schoolId }: { readonly classId: string; readonly personId: string; readonly schoolId: string }, { belief, onceLikely, readings }: Known, transaction?: Transaction): Promise<void> {
  await StudentBelief.upsert({ classId, personId, schoolId, belief, onceLikely: [...onceLikely], readings }, { transaction, returning: false });
}
