import { randomUUID } from 'node:crypto';
import type { NewYear } from '@green-beam/contract';
import type { Transaction } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { endSessionsOf } from '../auth/session.ts';
import { databaseOf } from '../database.ts';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { ClassTeacher, HouseRulesVersion, SchoolClass, Student } from '../models/classes.ts';
import { Refusal } from '../refusal.ts';
import { newClassCode } from './codes.ts';

/** The tools with what was last found of their zero; what was found before stays with the old class. */
async function copyCabinet(
  from: SchoolClass,
  to: SchoolClass,
  changedBy: string,
  transaction: Transaction,
): Promise<void> {
  const classId = to.id;
  const tools = await Tool.findAll({ where: { classId: from.id }, transaction });
  const zeros = await ToolNoteRow.findAll({
    where: { classId: from.id, kind: 'zero' },
    order: [['createdAt', 'ASC']],
    transaction,
  });
  const lastZero = new Map(zeros.map((note) => [note.toolId, note]));
  for (const { id, schoolId, code, instrumentId, kind, keeper, tolerance, state } of tools) {
    const copy = { classId, id: randomUUID(), schoolId, code, instrumentId, kind, keeper, tolerance, state, changedBy };
    await Tool.create(copy, { transaction });
    const zero = lastZero.get(id);
    if (!zero) continue;
    const { reading, remark, personId, createdAt } = zero;
    await ToolNoteRow.create(
      {
        classId,
        id: randomUUID(),
        schoolId,
        toolId: copy.id,
        kind: 'zero',
        reading,
        nominal: null,
        remark,
        personId,
        createdAt,
      },
      { transaction },
    );
  }
}

async function copyRules(from: SchoolClass, to: SchoolClass, transaction: Transaction): Promise<void> {
  const present = await HouseRulesVersion.findOne({
    where: { classId: from.id, version: from.rulesVersion },
    transaction,
    rejectOnEmpty: true,
  });
  const { name, rules } = present;
  await HouseRulesVersion.create({ classId: to.id, schoolId: to.schoolId, version: 1, name, rules }, { transaction });
}

/** The students keep their PINs; those who were chosen go on in the new class. */
async function moveStudents(
  from: SchoolClass,
  to: SchoolClass,
  studentIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const students = await Student.findAll({
    where: { classId: from.id, personId: [...studentIds], archivedAt: null },
    transaction,
  });
  if (students.length < new Set(studentIds).size)
    throw new Refusal(404, 'Somebody in this list is not in the class any more. Load the page again.', 'studentIds');
  await Student.bulkCreate(
    students.map(({ personId, schoolId, pinHash, pinIsFirst }) => ({
      classId: to.id,
      personId,
      schoolId,
      pinHash,
      pinIsFirst,
    })),
    { transaction },
  );
}

/**
 * Begins a new school year: a class with the same teachers, rules and equipment, and those students who go on. The old class is
 * archived, with all that was done in it. The same one sent twice is begun once.
 */
export async function beginYear(
  { schoolClass: old, caller }: ClassAccess,
  { id, name, studentIds }: NewYear,
): Promise<SchoolClass> {
  const everybody = await Student.findAll({ attributes: ['personId'], where: { classId: old.id } });
  return databaseOf(SchoolClass).transaction(async (transaction) => {
    const from = await SchoolClass.findByPk(old.id, {
      transaction,
      lock: transaction.LOCK.UPDATE,
      rejectOnEmpty: true,
    });
    const { schoolId } = from;
    const founderId = from.founderId ?? caller.personId;
    const [to, isNew] = await SchoolClass.findOrCreate({
      where: { id },
      defaults: { id, schoolId, name, code: newClassCode(), founderId },
      transaction,
    });
    if (!isNew) {
      if (to.schoolId !== schoolId || to.founderId !== founderId)
        throw new Refusal(409, 'This id is in use already.', 'id');
      return to;
    }
    if (from.archivedAt) throw new Refusal(409, 'This class is archived. Its new year has begun already.');
    const teachers = await ClassTeacher.findAll({ where: { classId: from.id }, transaction });
    await ClassTeacher.bulkCreate(
      teachers.map(({ personId }) => ({ classId: id, personId })),
      { transaction },
    );
    await copyRules(from, to, transaction);
    await copyCabinet(from, to, caller.personId, transaction);
    await moveStudents(from, to, studentIds, transaction);
    await from.update({ archivedAt: new Date() }, { transaction });
    await endSessionsOf(
      everybody.map(({ personId }) => personId),
      transaction,
    );
    return to;
  });
}
