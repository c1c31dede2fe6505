import type { Admission, AdmissionState } from '@green-beam/contract';
import { Op } from 'sequelize';
import { hashSecret } from '../auth/passwords.ts';
import { databaseOf } from '../database.ts';
import { Student, type SchoolClass } from '../models/classes.ts';
import { AdmissionRow } from '../models/lesson.ts';
import { Person } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';
import { notifyLesson } from '../live/notify-lesson.ts';

/** So many may wait for an answer: a class, not a crowd. */
const MOST_WAITING = 30;
/** Nobody waits longer than a school day, in ms. */
const WAITS = 24 * 3600 * 1000;

/** Notes that somebody asks to be let into a class. The same one sent twice asks once. */
export async function askToBeAdmitted(schoolClass: SchoolClass, asked: Admission): Promise<void> {
  const { id: classId, schoolId } = schoolClass;
  if (await AdmissionRow.findOne({ where: { personId: asked.id, classId } })) return;
  if ((await AdmissionRow.count({ where: { classId } })) >= MOST_WAITING)
    throw new Refusal(429, 'Many wait already to be let into this class. Ask your teacher.');
  const pinHash = await hashSecret(asked.pin);
  await databaseOf(AdmissionRow).transaction(async (transaction) => {
    await Person.create(
      { id: asked.id, schoolId, givenName: asked.firstName, familyName: asked.lastName || null },
      { transaction },
    );
    await AdmissionRow.create({ personId: asked.id, classId, pinHash }, { transaction });
  });
  await notifyLesson(classId, asked.id);
}

/** What has become of it. */
export async function admissionState(classId: string, personId: string): Promise<AdmissionState> {
  if (await Student.findOne({ where: { classId, personId } })) return { state: 'admitted' };
  return { state: (await AdmissionRow.findOne({ where: { classId, personId } })) ? 'waiting' : 'refused' };
}

/** Puts somebody who asked on the class’s list, with the PIN they have chosen, or forgets them. */
export async function answerAdmission(
  { id: classId, schoolId }: SchoolClass,
  personId: string,
  admit: boolean,
): Promise<void> {
  await databaseOf(AdmissionRow).transaction(async (transaction) => {
    const asked = await AdmissionRow.findOne({
      where: { classId, personId },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!asked) throw notFound();
    if (admit) await Student.create({ classId, schoolId, personId, pinHash: asked.pinHash }, { transaction });
    await asked.destroy({ transaction });
    if (!admit) await Person.destroy({ where: { id: personId }, transaction });
  });
  await notifyLesson(classId, personId);
}

/** Forgets whom nobody has answered. */
export async function forgetUnanswered(): Promise<void> {
  const old = await AdmissionRow.findAll({ where: { askedAt: { [Op.lt]: new Date(Date.now() - WAITS) } } });
  await Person.destroy({ where: { id: old.map(({ personId }) => personId) } });
}
