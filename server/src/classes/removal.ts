import { addMonths } from 'date-fns';
import { Op, type Transaction } from 'sequelize';
import { endSessionsOf } from '../auth/session.ts';
import { databaseOf } from '../database.ts';
import { Attempt, Round, Task } from '../models/bench.ts';
import { SchoolClass, Student } from '../models/classes.ts';
import { Person, School } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { Tape } from '../models/tapes.ts';
import { TogetherAnswerRow } from '../models/together.ts';
import { StudentBelief } from '../models/tutor.ts';

function inTransaction<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
  const sequelize = databaseOf(SchoolClass);
  return sequelize.transaction(work);
}

/** Forgets people who are in no class any more: their names, their tapes and their sessions. Who goes on in another class stays. */
async function forgetWhoIsNowhere(people: readonly string[], transaction: Transaction): Promise<void> {
  const elsewhere = await Student.findAll({ attributes: ['personId'], where: { personId: [...people] }, transaction });
  const stay = new Set(elsewhere.map(({ personId }) => personId));
  const gone = people.filter((personId) => !stay.has(personId));
  await Tape.destroy({ where: { personId: gone }, transaction });
  await Person.update(
    { givenName: null, familyName: null, deletedAt: new Date() },
    { where: { id: gone }, transaction },
  );
  await endSessionsOf(people, transaction);
}

/**
 * Removes a student's name, PIN, rounds, attempts, tapes, marked reports and what they read together with their class, also from classes of earlier years. What they wrote in group runs stays,
 * under a neutral label.
 */
export function deleteStudent(personId: string): Promise<void> {
  return inTransaction(async (transaction) => {
    const places = await Student.findAll({ attributes: ['classId'], where: { personId }, transaction });
    const where = { classId: places.map(({ classId }) => classId), personId };
    await Attempt.destroy({ where, transaction });
    await Task.destroy({ where, transaction });
    await Round.destroy({ where, transaction });
    await StudentBelief.destroy({ where, transaction });
    await TogetherAnswerRow.destroy({ where, transaction });
    for (const table of ['practice_days', 'slip_days'])
      await databaseOf(Student).query(`delete from ${table} where person_id = :personId`, {
        replacements: { personId },
        transaction,
      });
    await HandIn.destroy({ where: { classId: where.classId, author: personId }, transaction });
    await Student.destroy({ where, transaction });
    await forgetWhoIsNowhere([personId], transaction);
  });
}

/** When a class that was archived is deleted, as its school says; null while it is kept. */
export function deletedOn({ archivedAt }: SchoolClass, { keepArchivedMonths }: School): Date | null {
  return archivedAt && keepArchivedMonths ? addMonths(archivedAt, keepArchivedMonths) : null;
}

/** Deletes classes that have been archived for longer than their school says. */
export async function deleteOutdated(now: Date = new Date()): Promise<void> {
  const schools = await School.findAll({ where: { keepArchivedMonths: { [Op.not]: null } } });
  for (const school of schools) {
    const archived = await SchoolClass.findAll({ where: { schoolId: school.id, archivedAt: { [Op.not]: null } } });
    for (const schoolClass of archived) {
      const end = deletedOn(schoolClass, school);
      if (end && end < now) await deleteClass(schoolClass);
    }
  }
}

/** Removes a class with everything in it, and the names of students who are in no other. */
export function deleteClass(schoolClass: SchoolClass): Promise<void> {
  return inTransaction(async (transaction) => {
    const students = await Student.findAll({ where: { classId: schoolClass.id }, transaction });
    await schoolClass.destroy({ transaction });
    await forgetWhoIsNowhere(
      students.map(({ personId }) => personId),
      transaction,
    );
  });
}
