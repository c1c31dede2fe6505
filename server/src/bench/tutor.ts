import {
  isExerciseTask,
  NO_HABIT,
  PRIORS,
  updated,
  type Belief,
  type Domain,
  type PracticeTask,
} from '@green-beam/core';
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

/** What is known of a student’s habits, at the tools and on paper. */
export type Knowledge = Readonly<Record<Domain, Known>>;

const nothing = (domain: Domain): Known => ({ belief: PRIORS[domain], onceLikely: [], readings: 0 });

export const NOTHING_KNOWN: Knowledge = { reading: nothing('reading'), calculating: nothing('calculating') };

/** Which of the two an item tells something of. */
export function domainOf(task: PracticeTask): Domain {
  return isExerciseTask(task) ? 'calculating' : 'reading';
}

/** What is known after one more item: as the task was set, as it stood at Enter, and what was written. */
export function learned(knowledge: Knowledge, drawn: PracticeTask, read: PracticeTask, entry: string): Knowledge {
  const domain = domainOf(read);
  const { belief, onceLikely, readings } = knowledge[domain];
  const after = updated(belief, drawn, read, entry);
  const likely = Object.keys(after).filter((id) => id !== NO_HABIT && (after[id] ?? 0) >= LIKELY);
  return {
    ...knowledge,
    [domain]: { belief: after, onceLikely: [...new Set([...onceLikely, ...likely])], readings: readings + 1 },
  };
}

/** Slips to be looked at again: likely habits once, and not any more. */
export function toRevisit({ belief, onceLikely }: Known): string[] {
  return onceLikely.filter((id) => (belief[id] ?? 0) < CURED);
}

export async function knownOf(classId: string, personId: string, transaction?: Transaction): Promise<Knowledge> {
  const rows = await StudentBelief.findAll({ where: { classId, personId }, transaction });
  const of = (domain: Domain): Known => rows.find((row) => row.domain === domain) ?? NOTHING_KNOWN[domain];
  return { reading: of('reading'), calculating: of('calculating') };
}

/** Keeps what is known of a student in one domain. */
export async function keep(
  { classId, personId, schoolId }: { readonly classId: string; readonly personId: string; readonly schoolId: string },
  domain: Domain,
  { belief, onceLikely, readings }: Known,
  transaction?: Transaction,
): Promise<void> {
  await StudentBelief.upsert(
    { classId, personId, domain, schoolId, belief, onceLikely: [...onceLikely], readings },
    { transaction, returning: false },
  );
}
