import { GROUP } from '@green-beam/core';
import { Op, type Transaction } from 'sequelize';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import type { RunAccess } from '../notebook/run-access.ts';
import { Refusal } from '../refusal.ts';
import { authorFor, inForce, mayTakeBack, type RunKey } from '../hand-ins/in-force.ts';
import { keepProposal } from './proposals.ts';

const alreadyIn = (): Refusal => new Refusal(409, 'This report has been handed in already.');

/** Who hands in, among those at this screen. @throws Refusal for everybody else. */
function whoHandsIn({ caller, run }: RunAccess, personId: string | null): string {
  const person = personId ?? caller.personId;
  if (![caller.personId, ...caller.partners].includes(person))
    throw new Refusal(403, 'Everybody hands in their own report. Enter your PIN first.', 'personId');
  return authorFor(run, person);
}

async function authorsOf(run: RunRow, transaction: Transaction): Promise<string[]> {
  if (run.arrangement.ownWork === 'group') return [GROUP];
  const members = await RunMember.findAll({
    where: { classId: run.classId, runId: run.id, joinedAt: { [Op.not]: null } },
    transaction,
  });
  return members.map(({ personId }) => personId);
}

/** The page is closed once everybody has handed in, and open again when somebody goes on, or comes to the group. */
export async function closeOrOpen(run: RunRow, transaction: Transaction): Promise<void> {
  const [reports, authors] = [await inForce(run, transaction), await authorsOf(run, transaction)];
  const everybody = authors.every((author) => reports.some((report) => report.author === author));
  await run.update({ handedInAt: everybody ? (run.handedInAt ?? new Date()) : null }, { transaction });
}

/** Works on a page that nobody else writes on meanwhile. */
async function locked<Answer>(
  { classId, id }: RunKey,
  work: (run: RunRow, transaction: Transaction) => Promise<Answer>,
): Promise<Answer> {
  return databaseOf(RunRow).transaction(async (transaction) => {
    const run = await RunRow.findOne({ where: { classId, id }, transaction, lock: transaction.LOCK.UPDATE });
    if (!run) throw new Refusal(404, 'This page is not there any more.');
    return work(run, transaction);
  });
}

/**
 * Hands in a report: how far the log has come belongs to it, and its author writes on the page no more.
 * @param personId whose report it is, among those at this screen; null for who is signed in.
 */
export async function handIn(access: RunAccess, personId: string | null, drawing: Drawing): Promise<void> {
  const { caller } = access;
  const author = whoHandsIn(access, personId);
  const { classId, id: runId } = access.run;
  const key = { classId, runId, author };
  const number = await locked(access.run, async (run, transaction) => {
    const before = await HandIn.findAll({ where: key, transaction });
    if (before.some(({ endedAt }) => endedAt === null)) throw alreadyIn();
    const last = await RunEventRow.max<string | null, RunEventRow>('serverOrder', {
      where: { classId, runId },
      transaction,
    });
    const next = before.length + 1;
    await HandIn.create(
      { ...key, number: next, handedInBy: caller.personId, upTo: String(last ?? 0) },
      { transaction },
    );
    await closeOrOpen(run, transaction);
    return next;
  });
  await keepProposal({ ...key, number }, drawing);
}

/** Lets an author go on with a report. @throws Refusal (409) once a teacher has opened it and has not returned it. */
export async function takeBack(access: RunAccess, personId: string | null): Promise<void> {
  const author = whoHandsIn(access, personId);
  await locked(access.run, async (run, transaction) => {
    const report = (await inForce(run, transaction)).find((one) => one.author === author);
    if (!report) throw new Refusal(409, 'This report is not handed in.');
    if (!mayTakeBack(report))
      throw new Refusal(409, 'Your teacher has opened this report. Ask your teacher to return it.');
    await report.update({ endedAt: new Date() }, { transaction });
    await closeOrOpen(run, transaction);
  });
}

/** Lets everybody of a page go on, whether or not anything was marked: a teacher returns it. */
export async function reopen(run: RunRow): Promise<void> {
  await locked(run, async (found, transaction) => {
    const { classId, id: runId } = found;
    await HandIn.update({ endedAt: new Date() }, { where: { classId, runId, endedAt: null }, transaction });
    await found.update({ handedInAt: null }, { transaction });
  });
}

/** A teacher has looked at what is handed in on a page: from then on it is not taken back. */
export async function openedByTeacher({ classId, id: runId }: RunRow): Promise<void> {
  await HandIn.update({ openedAt: new Date() }, { where: { classId, runId, endedAt: null, openedAt: null } });
}
