import type { NewPairNote, NewPairs, PairSide, ResultPairShown } from '@green-beam/contract';
import { Op, type WhereOptions } from 'sequelize';
import { checkNotArchived, type ClassAccess } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { databaseOf } from '../database.ts';
import { RunMember, type RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { PairNote, ResultPair } from '../models/result-pairs.ts';
import { checkRoom } from '../quotas.ts';
import { notFound, Refusal } from '../refusal.ts';

/** A group’s page among those that did the same, as pairs name it. */
export interface LetteredRun {
  readonly id: string;
  readonly letter: string;
}

/** Pairs in which one of some pages is. */
function among(runIds: string | readonly string[]): WhereOptions {
  return { [Op.or]: [{ runA: runIds }, { runB: runIds }] };
}

/** Of some pages, those that are handed in: a group’s, or by at least one of those who write on their own. */
export async function handedInOf(classId: string, runIds: readonly string[]): Promise<ReadonlySet<string>> {
  const found = await HandIn.findAll({ attributes: ['runId'], where: { classId, runId: [...runIds], endedAt: null } });
  return new Set(found.map(({ runId }) => runId));
}

/** Whether a group is in a pair that can still be written on. */
export async function isPaired(classId: string, runId: string): Promise<boolean> {
  return (await ResultPair.count({ where: { [Op.and]: [{ classId, endedAt: null }, among(runId)] } })) > 0;
}

async function membersOf(classId: string, runIds: readonly string[]): Promise<ReadonlyMap<string, string[]>> {
  const rows = await RunMember.findAll({ where: { classId, runId: [...runIds] }, raw: true });
  const found = new Map<string, string[]>(runIds.map((id) => [id, []]));
  for (const { runId, personId } of rows) found.get(runId)?.push(personId);
  return found;
}

/** @throws Refusal where two groups look at each other’s results already; what is sent again is no second pair. */
async function checkNotPairedTwice(
  classId: string,
  letters: ReadonlyMap<string, string>,
  pairs: NewPairs['pairs'],
): Promise<void> {
  const keyOf = (runs: readonly string[]): string => [...runs].sort().join(' ');
  const open = await ResultPair.findAll({ where: { classId, endedAt: null } });
  const known = new Map(open.map(({ id, runA, runB }) => [keyOf([runA, runB]), id]));
  pairs.forEach(({ id, runs }, i) => {
    const key = keyOf(runs);
    const other = known.get(key);
    if (other !== undefined && other !== id) {
      const names = runs.map((run) => letters.get(run) ?? '').join(' and ');
      throw new Refusal(409, `Groups ${names} are paired already.`, `pairs[${i}].runs`);
    }
    known.set(key, id);
  });
}

/**
 * Opens pairs of groups that did the same laboratory and have handed in. What is sent twice is opened once.
 * @param runs the pages of all groups that did the same.
 * @throws Refusal naming the pair.
 */
export async function openPairs(
  { schoolClass, caller }: ClassAccess,
  runs: readonly LetteredRun[],
  { pairs }: NewPairs,
): Promise<void> {
  checkNotArchived(schoolClass);
  const classId = schoolClass.id;
  const letters = new Map(runs.map(({ id, letter }) => [id, letter]));
  const ids = pairs.flatMap((pair) => pair.runs);
  const [handedIn, members] = await Promise.all([handedInOf(classId, ids), membersOf(classId, ids)]);
  await checkRoom('pairs of groups', ResultPair, { classId }, pairs.length);
  pairs.forEach(({ runs: [a = '', b = ''] }, i) => {
    const field = `pairs[${i}].runs`;
    const [first, second] = [letters.get(a), letters.get(b)];
    if (first === undefined || second === undefined)
      throw new Refusal(400, 'Both groups must have done the same laboratory with the same thing.', field);
    if (a === b) throw new Refusal(400, `Group ${first} cannot be paired with itself.`, field);
    const waiting = [a, b].filter((id) => !handedIn.has(id)).map((id) => letters.get(id) ?? '');
    if (waiting.length > 0) throw new Refusal(409, `Group ${waiting.join(' and ')} has not handed in yet.`, field);
    if (members.get(a)?.some((person) => members.get(b)?.includes(person)))
      throw new Refusal(400, `Somebody is in group ${first} and in group ${second}.`, field);
  });
  await checkNotPairedTwice(classId, letters, pairs);
  await databaseOf(ResultPair).transaction(async (transaction) => {
    for (const {
      id,
      runs: [runA = '', runB = ''],
    } of pairs)
      await ResultPair.findOrCreate({
        where: { classId, id },
        defaults: { classId, id, runA, runB, openedBy: caller.personId },
        transaction,
      });
  });
}

async function pairOf(classId: string, pairId: string): Promise<ResultPair> {
  const pair = await ResultPair.findOne({ where: { classId, id: pairId } });
  if (!pair) throw notFound();
  return pair;
}

/** Ends a pair: it is still read, and nobody writes on it. */
export async function endPair({ schoolClass }: ClassAccess, pairId: string): Promise<void> {
  const pair = await pairOf(schoolClass.id, pairId);
  if (!pair.endedAt) await pair.update({ endedAt: new Date() });
}

/**
 * Writes what a group says of the difference; the earlier note is kept beside it.
 * @throws Refusal for who is in neither group, and when the pair has ended.
 */
export async function writePairNote(
  { schoolClass, caller }: ClassAccess,
  pairId: string,
  { id, personId, text }: NewPairNote,
): Promise<void> {
  checkNotArchived(schoolClass);
  const classId = schoolClass.id;
  const pair = await pairOf(classId, pairId);
  const membership = [caller.personId, ...caller.partners].includes(personId)
    ? await RunMember.findOne({
        where: { classId, runId: [pair.runA, pair.runB], personId, joinedAt: { [Op.not]: null } },
      })
    : null;
  if (!membership) throw new Refusal(403, 'Only a student of one of the two groups can write here.', 'personId');
  if (pair.endedAt) throw new Refusal(409, 'Your teacher has ended this. Your text is still in the field.');
  await checkRoom('explanations', PairNote, { classId, pairId }, 1);
  await PairNote.findOrCreate({
    where: { classId, id },
    defaults: { classId, id, pairId, runId: membership.runId, author: personId, text },
  });
}

/**
 * The pairs among groups that did the same, the latest first.
 * @param own the caller’s own page, for a student, who sees no other pair; null for a teacher.
 */
export async function pairsShown(
  classId: string,
  runs: readonly LetteredRun[],
  own: string | null,
): Promise<ResultPairShown[]> {
  const letters = new Map(runs.map(({ id, letter }) => [id, letter]));
  const pairs = await ResultPair.findAll({
    where: { [Op.and]: [{ classId }, among(own ?? [...letters.keys()])] },
    order: [
      ['openedAt', 'DESC'],
      ['id', 'ASC'],
    ],
  });
  if (pairs.length === 0) return [];
  const [notes, members] = await Promise.all([
    PairNote.findAll({ where: { classId, pairId: pairs.map(({ id }) => id) }, order: [['writtenAt', 'ASC']] }),
    membersOf(classId, [...new Set(pairs.flatMap(({ runA, runB }) => [runA, runB]))]),
  ]);
  const people = await Person.findAll({
    where: { id: [...new Set([...[...members.values()].flat(), ...notes.map(({ author }) => author)])] },
  });
  const labels = new Map(people.map((person) => [person.id, labelOf(person, 'short')]));
  const sideOf = (pair: ResultPair, runId: RunRow['id']): PairSide => {
    const note = notes.findLast((one) => one.pairId === pair.id && one.runId === runId);
    return {
      letter: letters.get(runId) ?? '',
      names: (members.get(runId) ?? []).map((person) => labels.get(person) ?? '').sort(),
      isOwn: runId === own,
      note: note ? { text: note.text, by: labels.get(note.author) ?? '', at: note.writtenAt.toISOString() } : null,
    };
  };
  return pairs.map((pair) => {
    const [first, second] = pair.runB === own ? [pair.runB, pair.runA] : [pair.runA, pair.runB];
    return { id: pair.id, sides: [sideOf(pair, first), sideOf(pair, second)], isOpen: pair.endedAt === null };
  });
}
