import type { Domain } from '@green-beam/core';
import { askPrepared, databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { DOMAINS, NOTHING_KNOWN, type FirstTry, type Knowledge, type Known } from '../drawing/knowledge.ts';
import { StudentBelief } from '../models/tutor.ts';
import { rulesOf } from '../rules.ts';

/** A student of a class. */
interface StudentOf {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
}

/** What was kept of what is known. */
type KeptBelief = Pick<StudentBelief, 'domain' | 'belief' | 'onceLikely' | 'readings' | 'reaches'>;

/** A first try as it is stored. */
interface StoredTry extends Omit<FirstTry, 'rules'> {
  readonly order: string;
  readonly rulesVersion: number;
  readonly settled: boolean;
}

/** An entry older than this cannot be overtaken any more by one that was begun before it and is stored after it. */
const SETTLED = '1 minute';
/** So many entries are looked at in one go. */
const AT_ONCE = 500;

/** First tries after an entry, the oldest first. A second try knows what the first one was told; only what is written unprompted tells a habit. */
async function firstTriesAfter({ classId, personId }: StudentOf, reaches: string): Promise<StoredTry[]> {
  return askPrepared<StoredTry>(
    databaseOf(StudentBelief),
    `select a.server_order "order", a.subject_id "subjectId", t.situation drawn, a.situation read, a.entry,
       a.rules_version "rulesVersion",
       a.created_at < now() - interval '${SETTLED}' settled
     from attempts a join tasks t on t.class_id = a.class_id and t.id = a.task_id
     where a.class_id = $1 and a.person_id = $2 and a.server_order > $3
       and a.try_number = 1 and a.verdict not in ('shown', 'unreadable')
     order by a.server_order limit ${AT_ONCE}`,
    [classId, personId, reaches],
  );
}

async function withRules(classId: string, tries: readonly StoredTry[]): Promise<FirstTry[]> {
  return Promise.all(
    tries.map(async ({ subjectId, drawn, read, entry, rulesVersion }) => ({
      subjectId,
      drawn,
      read,
      entry,
      rules: await rulesOf(classId, rulesVersion),
    })),
  );
}

/**
 * What is known of a student: what was kept, and what the entries since then tell. Kept is what no late entry can change any more.
 */
export async function knownOf(student: StudentOf, drawing: Drawing): Promise<Knowledge> {
  const { classId, personId } = student;
  const learnedFrom = async (known: Knowledge, tries: readonly StoredTry[]): Promise<Knowledge> =>
    tries.length === 0 ? known : drawing.learnedFrom(known, await withRules(classId, tries));
  const rows = await askPrepared<KeptBelief>(
    databaseOf(StudentBelief),
    `select domain, belief, once_likely "onceLikely", readings, reaches from beliefs where class_id = $1 and person_id = $2`,
    [classId, personId],
  );
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
    known = await learnedFrom(known, settled);
    if (last) {
      reaches = last.order;
      await keep(student, known, reaches);
    }
    if (settled.length < AT_ONCE) return learnedFrom(known, tries.slice(settled.length));
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
