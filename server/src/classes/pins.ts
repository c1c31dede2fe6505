import { randomInt } from 'node:crypto';
import type { Request } from 'express';
import { renew } from '../auth/allowances.ts';
import { hashSecret, secretMatches } from '../auth/passwords.ts';
import { endSessionsOf, type Recognized } from '../auth/session.ts';
import { accountOf, guessing } from '../auth/sign-in-limits.ts';
import { databaseOf } from '../database.ts';
import { Student } from '../models/classes.ts';
import { Person } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { rosterOf, type NamedStudent } from './roster.ts';

const FIRST_PIN_DIGITS = 6;

/** What a student enters at a door. */
interface Entered {
  readonly studentId: string;
  readonly pin: string;
  /** Their own PIN, the first time. */
  readonly newPin?: string | undefined;
}

async function studentOf(classId: string, personId: string): Promise<NamedStudent> {
  const student = await Student.findOne({
    where: { classId, personId, archivedAt: null },
    include: { model: Person, as: 'person', required: true, where: { deletedAt: null } },
  });
  if (!student) throw new Refusal(404, 'This name is not on the class list.', 'studentId');
  return student as NamedStudent;
}

/** Puts another PIN in the place of the one that was entered; of two who do so at the same moment, one is refused. */
async function replacePin(student: NamedStudent, pin: string, newPin: string): Promise<void> {
  if (newPin === pin) throw new Refusal(400, 'Choose another PIN than the one you had.', 'newPin');
  const { classId, personId, pinHash } = student;
  const [changed] = await Student.update(
    { pinHash: await hashSecret(newPin), pinIsFirst: false },
    { where: { classId, personId, pinHash } },
  );
  if (changed === 0) throw new Refusal(409, 'This PIN was changed a moment ago. Sign in again.', 'pin');
}

async function withRightPin(request: Request, classId: string, studentId: string, pin: string): Promise<NamedStudent> {
  const student = await studentOf(classId, studentId);
  const right = await guessing(request, accountOf('student', studentId), 'your teacher', async () =>
    (await secretMatches(pin, student.pinHash)) ? student : null,
  );
  if (!right)
    throw new Refusal(401, 'This PIN is wrong for this name. Try again, or ask your teacher for a new one.', 'pin');
  return right;
}

/**
 * Recognizes a student by the PIN. The first one, which was handed out, only serves to choose one’s own.
 * @throws Refusal naming the PIN; naming the new one, once the first is right and their own is missing.
 */
export async function recognizeStudent(
  request: Request,
  classId: string,
  { studentId, pin, newPin }: Entered,
): Promise<Recognized> {
  const student = await withRightPin(request, classId, studentId, pin);
  if (student.pinIsFirst) {
    if (newPin === undefined) throw new Refusal(409, 'This is your first PIN. Choose a PIN of your own now.', 'newPin');
    await replacePin(student, pin, newPin);
  }
  const { schoolId, person } = student;
  return { personId: studentId, sessionsEnded: person.sessionsEnded, schoolId, classId };
}

/** Changes a student’s PIN, and ends all their sessions. @throws Refusal naming the PIN. */
export async function changePin(
  request: Request,
  classId: string,
  { studentId, pin, newPin }: Entered & { readonly newPin: string },
): Promise<Recognized> {
  const student = await withRightPin(request, classId, studentId, pin);
  await replacePin(student, pin, newPin);
  await endSessionsOf([studentId]);
  const { schoolId, person } = student;
  return { personId: studentId, sessionsEnded: person.sessionsEnded + 1, schoolId, classId };
}

/** A PIN that works once, to be handed to a student. */
interface FirstPin {
  readonly student: NamedStudent;
  readonly pin: string;
}

function drawnPin(): string {
  return String(randomInt(10 ** FIRST_PIN_DIGITS)).padStart(FIRST_PIN_DIGITS, '0');
}

/**
 * Gives students first PINs; those they had stop working, and their sessions end.
 * @throws Refusal when somebody is not in the class.
 */
export async function handOutFirstPins(classId: string, studentIds: readonly string[]): Promise<FirstPin[]> {
  const students = (await rosterOf(classId, 'present')).filter(({ personId }) => studentIds.includes(personId));
  if (students.length < new Set(studentIds).size)
    throw new Refusal(404, 'Somebody in this list is not in the class any more. Load the page again.', 'studentIds');
  const drawn = await Promise.all(
    students.map(async (student) => {
      const pin = drawnPin();
      return { student, pin, pinHash: await hashSecret(pin) };
    }),
  );
  await databaseOf(Student).transaction(async (transaction) => {
    for (const { student, pinHash } of drawn) await student.update({ pinHash, pinIsFirst: true }, { transaction });
    await endSessionsOf(
      students.map(({ personId }) => personId),
      transaction,
    );
  });
  await Promise.all(students.map(({ personId }) => renew(accountOf('student', personId))));
  return drawn.map(({ student, pin }) => ({ student, pin }));
}
