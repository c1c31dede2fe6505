import type { NewRun } from '@green-beam/contract';
import type { ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import { laboratoryToBegin } from '../lab-sheets/known.ts';
import { Student } from '../models/classes.ts';
import { RunMember, RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { arrangementFor } from './laboratories.ts';

/**
 * Begins a laboratory. Whoever has signed in or entered the PIN at this screen joins its group; the others are asked. The same one sent
 * twice is begun once.
 */
export async function beginRun({ schoolClass, caller }: ClassAccess, begun: NewRun): Promise<RunRow> {
  const { id, protocolId, specimen, memberIds } = begun;
  const { id: classId, schoolId } = schoolClass;
  const here = [caller.personId, ...caller.partners];
  const members = [...new Set([caller.personId, ...memberIds])];
  const students = members.filter((personId) => caller.role === 'student' || personId !== caller.personId);
  if ((await Student.count({ where: { classId, personId: students, archivedAt: null } })) < students.length)
    throw new Refusal(400, 'Somebody in the group is not in this class.', 'memberIds');
  const lab = await laboratoryToBegin(schoolClass, protocolId);
  const arrangement = await arrangementFor(classId, lab);
  const now = new Date();
  return databaseOf(RunRow).transaction(async (transaction) => {
    const [run, isNew] = await RunRow.findOrCreate({
      where: { classId, id },
      defaults: {
        classId,
        id,
        schoolId,
        protocolId: lab.id,
        protocol: lab,
        arrangement,
        specimen,
        rulesVersion: schoolClass.rulesVersion,
        startedBy: caller.personId,
        startedAt: now,
      },
      transaction,
    });
    if (!isNew && run.startedBy !== caller.personId) throw new Refusal(409, 'This id is in use already.', 'id');
    if (isNew)
      await RunMember.bulkCreate(
        members.map((personId) => ({ classId, runId: id, personId, joinedAt: here.includes(personId) ? now : null })),
        { transaction },
      );
    return run;
  });
}
