import type { GroupChange, OpeningChange } from '@green-beam/contract';
import { databaseOf } from '../database.ts';
import { Student } from '../models/classes.ts';
import { Opening, RunEventRow, RunMember, type RunRow } from '../models/notebook.ts';
import { closeOrOpen } from '../reports/hand-in.ts';
import { Refusal } from '../refusal.ts';

/** Changes until when a laboratory is to be handed in, or who does not have to do it. */
export async function changeOpening(opening: Opening, { dueAt, excused }: OpeningChange): Promise<void> {
  const { classId } = opening;
  const named = [...new Set(excused ?? [])];
  if ((await Student.count({ where: { classId, personId: named } })) < named.length)
    throw new Refusal(400, 'Somebody who is excused is not in this class.', 'excused');
  await opening.update({
    ...(dueAt === undefined ? {} : { dueAt: dueAt === null ? null : new Date(dueAt) }),
    ...(excused === undefined ? {} : { excused: named }),
  });
}

/**
 * Says who belongs to a group from now on. Whoever has written on its page stays.
 * @throws Refusal naming what is wrong.
 */
export async function changeGroup(run: RunRow, { memberIds }: GroupChange): Promise<void> {
  const { classId, id: runId } = run;
  const wanted = [...new Set(memberIds)];
  if (wanted.length === 0) throw new Refusal(400, 'There is nobody in this group.', 'memberIds');
  if ((await Student.count({ where: { classId, personId: wanted, archivedAt: null } })) < wanted.length)
    throw new Refusal(400, 'Somebody in the group is not in this class.', 'memberIds');
  await databaseOf(RunMember).transaction(async (transaction) => {
    const members = await RunMember.findAll({ where: { classId, runId }, transaction, lock: true });
    const leaving = members.filter(({ personId }) => !wanted.includes(personId)).map(({ personId }) => personId);
    const wrote = await RunEventRow.count({ where: { classId, runId, personId: leaving }, transaction });
    if (wrote > 0) throw new Refusal(409, 'Somebody who has written on this page stays in its group.', 'memberIds');
    await RunMember.destroy({ where: { classId, runId, personId: leaving }, transaction });
    await RunMember.bulkCreate(
      wanted.map((personId) => ({ classId, runId, personId, joinedAt: new Date() })),
      { updateOnDuplicate: ['joinedAt'], transaction },
    );
    // This tells whoever looks at the page or at the board, too.
    await closeOrOpen(run, transaction);
  });
}
