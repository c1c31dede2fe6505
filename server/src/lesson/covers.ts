import { createHash, randomBytes } from 'node:crypto';
import type { CoverLink, NewCover } from '@green-beam/contract';
import { Op } from 'sequelize';
import { endSessionsOf, type Recognized } from '../auth/session.ts';
import { databaseOf } from '../database.ts';
import { SchoolClass } from '../models/classes.ts';
import { Cover } from '../models/lesson.ts';
import { Person } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';

/** A cover is for a day, in ms. */
const LONGEST = 24 * 3600 * 1000;

const hashed = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Makes a link with which somebody without an account teaches a class until a time. */
export async function makeCover(schoolClass: SchoolClass, { id, name, until }: NewCover): Promise<CoverLink> {
  const { id: classId, schoolId } = schoolClass;
  const end = new Date(until);
  const left = end.getTime() - Date.now();
  if (!(left > 0 && left <= LONGEST)) throw new Refusal(400, 'A cover ends within a day from now.', 'until');
  const token = randomBytes(24).toString('base64url');
  const [givenName = '', ...rest] = name.split(' ');
  await databaseOf(Cover).transaction(async (transaction) => {
    await Person.create({ id, schoolId, givenName, familyName: rest.join(' ') || null }, { transaction });
    await Cover.create({ classId, id, personId: id, tokenHash: hashed(token), until: end }, { transaction });
  });
  return { path: `/cover/${token}`, until: end.toISOString() };
}

/** Recognizes whoever covers a class by the link. @throws Refusal when it is unknown or has ended. */
export async function recognizeCover(token: string): Promise<Recognized> {
  const cover = await Cover.findOne({
    where: { tokenHash: hashed(token), until: { [Op.gt]: new Date() } },
    include: { model: Person, as: 'person', required: true, where: { deletedAt: null } },
  });
  if (!cover?.person) throw new Refusal(410, 'This link has ended. Ask the teacher of the class for a new one.');
  const { personId, person } = cover;
  return { personId, sessionsEnded: person.sessionsEnded, schoolId: person.schoolId, classId: null };
}

/** Ends a cover before its time. */
export async function endCover(classId: string, id: string): Promise<void> {
  const cover = await Cover.findOne({ where: { classId, id } });
  if (!cover) throw notFound();
  await cover.destroy();
  await endSessionsOf([cover.personId]);
}

/** Forgets covers that have ended, with their names. */
export async function forgetEnded(): Promise<void> {
  const ended = await Cover.findAll({ where: { until: { [Op.lt]: new Date() } } });
  await Cover.destroy({ where: { id: ended.map(({ id }) => id) } });
  await Person.update(
    { givenName: null, familyName: null, deletedAt: new Date() },
    { where: { id: ended.map(({ personId }) => personId) } },
  );
}
