import { Op, type Transaction } from 'sequelize';
import type { Caller } from '../auth/session.ts';
import { endSessionsOf } from '../auth/session.ts';
import { databaseOf } from '../database.ts';
import { ClassTeacher, SchoolClass } from '../models/classes.ts';
import { LabSheet } from '../models/lab-sheets.ts';
import { Account, OneTimeLinkRow, Person, School } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';

/** Takes a teacher out of a class whose row is locked. Whoever stays longest becomes its founder when that one leaves. */
async function leave(schoolClass: SchoolClass, personId: string, transaction: Transaction): Promise<void> {
  const classId = schoolClass.id;
  await ClassTeacher.destroy({ where: { classId, personId }, transaction });
  if (schoolClass.founderId !== personId) return;
  const next = await ClassTeacher.findOne({ where: { classId }, transaction });
  await schoolClass.update({ founderId: next?.personId ?? null }, { transaction });
}

/**
 * Removes a teacher from a class. One always stays, also when two leave at the same moment, and whoever made the class is removed only
 * by themselves or by an administrator.
 */
export function removeFromClass(caller: Caller, classId: string, personId: string): Promise<void> {
  return databaseOf(SchoolClass).transaction(async (transaction) => {
    const lock = transaction.LOCK.UPDATE;
    const schoolClass = await SchoolClass.findByPk(classId, { transaction, lock, rejectOnEmpty: true });
    const teachers = await ClassTeacher.findAll({ where: { classId }, transaction });
    if (!teachers.some((teacher) => teacher.personId === personId)) return;
    if (teachers.length === 1)
      throw new Refusal(409, 'A class must have at least one teacher. Add another one first.', 'teacherId');
    if (personId === schoolClass.founderId && personId !== caller.personId && caller.role !== 'administrator')
      throw new Refusal(403, 'This teacher made the class. Only they or the administrator can end that.', 'teacherId');
    await leave(schoolClass, personId, transaction);
  });
}

/** The classes of a teacher that nobody else teaches pass on to an heir, and the lab sheets; the other classes keep their teachers. */
async function passOn(personId: string, heirId: string, transaction: Transaction): Promise<void> {
  await LabSheet.update({ ownerId: heirId }, { where: { ownerId: personId }, transaction });
  const taught = await ClassTeacher.findAll({ where: { personId }, transaction });
  const classes = await SchoolClass.findAll({
    where: { id: taught.map(({ classId }) => classId) },
    order: ['id'],
    transaction,
    lock: transaction.LOCK.UPDATE,
  });
  for (const schoolClass of classes) {
    const classId = schoolClass.id;
    const others = await ClassTeacher.count({ where: { classId, personId: { [Op.ne]: personId } }, transaction });
    if (others === 0) await ClassTeacher.create({ classId, personId: heirId }, { transaction });
    await leave(schoolClass, personId, transaction);
  }
}

/**
 * Removes a teacher from the school: the account, the name, and every session. Classes that would have no teacher pass on.
 * @param heirId who takes them over: a teacher of the school who has taken up the invitation.
 */
export function removeFromSchool(administrator: Caller, personId: string, heirId: string): Promise<void> {
  const { schoolId } = administrator;
  if (personId === administrator.personId)
    throw new Refusal(409, 'You cannot remove yourself. Another administrator can.', 'teacherId');
  if (heirId === personId) throw new Refusal(400, 'Choose somebody who stays.', 'heirId');
  return databaseOf(Account).transaction(async (transaction) => {
    // Of two administrators who remove each other at the same moment, one stays.
    await School.findByPk(schoolId, { transaction, lock: transaction.LOCK.UPDATE });
    const accounts = await Account.findAll({
      where: { schoolId, personId: [administrator.personId, personId, heirId] },
      transaction,
    });
    const has = (id: string): boolean => accounts.some((account) => account.personId === id);
    if (!has(personId) || !has(administrator.personId)) throw notFound();
    if (!has(heirId)) throw new Refusal(400, 'Choose a teacher of your school.', 'heirId');
    await passOn(personId, heirId, transaction);
    await OneTimeLinkRow.destroy({ where: { personId }, transaction });
    await Account.destroy({ where: { personId }, transaction });
    await Person.update(
      { givenName: null, familyName: null, deletedAt: new Date() },
      { where: { id: personId }, transaction },
    );
    await endSessionsOf([personId], transaction);
  });
}
