import {
  isExerciseTask,
  NO_HABIT,
  practiceTask,
  PRIORS,
  updated,
  type Belief,
  type Domain,
  type PracticeTask,
} from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import { databaseOf } from '../database.ts';
import type { Attempt, Task } from '../models/bench.ts';
import { StudentBelief } from '../models/tutor.ts';
import { rulesOf } from '../rules.ts';

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

/** Habits are believed of apart, in each of these. */
export const DOMAINS: readonly Domain[] = ['reading', 'calculating'];

const nothing = (domain: Domain): Known => ({ belief: PRIORS[domain], onceLikely: [], readings: 0 });

export const NOTHING_KNOWN: Knowledge = { reading: nothing('reading'), calculating: nothing('calculating') };

/** Which of the two an item tells something of. */
function domainOf(task: PracticeTask): Domain {
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

/** A student of a class. */
interface StudentOf {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
}

interface FirstTry {
  readonly server_order: string;
  readonly subject_id: string;
  readonly drawn: Task['situation'];
  readonly read: Attempt['situation'];
  readonly entry: string;
  readonly rules_version: number;
  readonly settled: boolean;
}

/** An entry older than this cannot be overtaken any more by one that was begun before it and is stored after it. */
const SETTLED = '1 minute';
/** So many entries are looked at in one go. */
const AT_ONCE = 500;

/** First tries after an entry, the oldest first. A second try knows what the first one was told; only what is written unprompted tells a habit. */
async function firstTriesAfter({ classId, personId }: StudentOf, reaches: string): Promise<FirstTry[]> {
  const sequelize = databaseOf(StudentBelief);
  return sequelize.query<FirstTry>(
    `select a.server_order, a.subject_id, t.situation drawn, a.situation read, a.entry, a.rules_version,
       a.created_at < now() - interval '${SETTLED}' settled
     from attempts a join tasks t on t.class_id = a.class_id and t.id = a.task_id
     where a.class_id = :classId and a.person_id = :personId and a.server_order > :reaches
       and a.try_number = 1 and a.verdict not in ('shown', 'unreadable')
     order by a.server_order limit :atOnce`,
    { replacements: { classId, personId, reaches, atOnce: AT_ONCE }, type: QueryTypes.SELECT },
  );
}

async function foldedIn(knowledge: Knowledge, { classId }: StudentOf, tries: readonly FirstTry[]): Promise<Knowledge> {
  let known = knowledge;
  for (const { subject_id: subjectId, drawn, read, entry, rules_version: version } of tries) {
    const rules = await rulesOf(classId, version);
    known = learned(known, practiceTask(subjectId, drawn, rules), practiceTask(subjectId, read, rules), entry);
  }
  return known;
}

/**
 * What is known of a student: what was kept, and what the entries since then tell. Kept is what no late entry can change any more.
 */
export async function knownOf(student: StudentOf): Promise<Knowledge> {
  const { classId, personId } = student;
  const rows = await StudentBelief.findAll({ where: { classId, personId } });
  const of = (domain: Domain): Known => {
    const row = rows.find((one) => one.domain === domain);
    return row ? { belief: row.belief, onceLikely: row.onceLikely, readings: row.readings } : NOTHING_KNOWN[domain];
  };
  let known: Knowledge = { reading: of('reading'), calculating: of('calculating') };
  let reaches = rows[0]?.reaches ?? '0';
  for (;;) {
    const tries = await firstTriesAfter(student, reaches);
    const unsettled = tries.findIndex((one) => !one.settled);
    const settled = unsettled < 0 ? tries : tries.slice(0, unsettled);
    const last = settled.at(-1);
    known = await foldedIn(known, student, settled);
    if (last) {
      reaches = last.server_order;
      await keep(student, known, reaches);
    }
    if (settled.length < AT_ONCE) return foldedIn(known, student, tries.slice(settled.length));
  }
}

/** Keeps what is known of a student, and up to which entry it reaches. */
export async function keep(student: StudentOf, known: Knowledge, reaches: string): Promise<void> {
  const { classId, personId, schoolId } = student;
  await StudentBelief.bulkCreate(
    DOMAINS.map((domain) => {
      const { belief, onceLikely, readings } = known[domain];
      return { classId, personId, domain, schoolId, belief, onceLikely: [...onceLikely], readings, reaches };
    }),
    { updateOnDuplicate: ['belief', 'onceLikely', 'readings', 'reaches'], returning: false },
  );
}
