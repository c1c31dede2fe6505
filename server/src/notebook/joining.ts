import { Op } from 'sequelize';
import type { Caller } from '../auth/session.ts';
import { RunMember, type RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { checkMayWrite, type RunAccess } from './run-access.ts';

/** Pages whose group somebody was asked to join. */
export function askedToJoin(classId: string, personId: string): Promise<RunMember[]> {
  return RunMember.findAll({ where: { classId, personId, joinedAt: null } });
}

/**
 * Lets somebody join a group who has signed in or entered the PIN at this screen: they were asked, or a member is at the screen too.
 * @throws Refusal naming the person.
 */
export async function joinGroup(access: RunAccess, personId: string): Promise<void> {
  const { caller, run } = access;
  if (![caller.personId, ...caller.partners].includes(personId))
    throw new Refusal(403, 'Whoever joins must enter the PIN on this computer.', 'personId');
  const key = { classId: run.classId, runId: run.id, personId };
  const [joined] = await RunMember.update({ joinedAt: new Date() }, { where: { ...key, joinedAt: null } });
  if (joined > 0 || (await RunMember.findOne({ where: key }))) return;
  checkMayWrite(access);
  await RunMember.bulkCreate([{ ...key, joinedAt: new Date() }], { ignoreDuplicates: true });
}

/** Takes somebody out of a group that they were asked to join, and have not. */
export async function declineToJoin({ classId, personId }: Caller, run: RunRow): Promise<void> {
  if (classId === null) return;
  await RunMember.destroy({ where: { classId, runId: run.id, personId, joinedAt: { [Op.is]: null } } });
}
