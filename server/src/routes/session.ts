import {
  classCode,
  demoSignIn,
  partnerSignIn,
  studentSignIn,
  teacherSignIn,
  linkUse,
  type ClassDoor,
  type LinkDoor,
} from '@green-beam/contract';
import { Router, type Request } from 'express';
import { signedIn } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { openLink } from '../auth/one-time-links.ts';
import { hashSecret, secretMatches } from '../auth/passwords.ts';
import { endSession, sessionState, startSession } from '../auth/session.ts';
import { accountOf, guessing, guessingFrom } from '../auth/sign-in-limits.ts';
import { takeUpLink } from '../auth/take-up-link.ts';
import { rosterOf } from '../classes/roster.ts';
import type { Config } from '../config.ts';
import { SchoolClass, Student } from '../models/classes.ts';
import { Account, Person, School } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function openClass(code: string): Promise<SchoolClass> {
  const schoolClass = await SchoolClass.findOne({ where: { code, codeOpen: true, archivedAt: null } });
  if (!schoolClass)
    throw new Refusal(404, 'There is no open class with this code. Check the code with your teacher.', 'code');
  return schoolClass;
}

/** Checks a PIN, or sets it the first time. @throws Refusal naming the PIN. */
async function checkPin(request: Request, classId: string, studentId: string, pin: string): Promise<Student> {
  const student = await Student.findOne({ where: { classId, personId: studentId, archivedAt: null } });
  if (!student) throw new Refusal(404, 'This name is not on the class list.', 'studentId');
  const right = await guessing(request, accountOf('student', studentId), 'your teacher', async () => {
    if (student.pinHash === null) return student.update({ pinHash: await hashSecret(pin) });
    return (await secretMatches(pin, student.pinHash)) ? student : null;
  });
  if (!right)
    throw new Refusal(401, 'This PIN is wrong for this name. Try again, or ask your teacher to reset it.', 'pin');
  return right;
}

async function checkPassword(request: Request, email: string, password: string): Promise<Account> {
  const right = await guessing(request, accountOf('teacher', email), 'your administrator', async () => {
    const account = await Account.findOne({ where: { email } });
    return (await secretMatches(password, account?.passwordHash ?? null)) ? account : null;
  });
  if (!right)
    throw new Refusal(
      401,
      'E-mail or password is wrong. Try again, or ask your administrator for a new link.',
      'password',
    );
  return right;
}

async function demoIdentity(
  role: 'student' | 'teacher' | 'administrator',
): Promise<Parameters<typeof startSession>[1]> {
  const { DEMO_STUDENT, DEMO_TEACHER, DEMO_ADMINISTRATOR, DEMO_SCHOOL, DEMO_CLASS } = await import('../demo/people.ts');
  const personId = { student: DEMO_STUDENT, teacher: DEMO_TEACHER, administrator: DEMO_ADMINISTRATOR }[role];
  return { personId, schoolId: DEMO_SCHOOL, classId: role === 'student' ? DEMO_CLASS : null, partners: [] };
}

/** Signing in and out, class codes, partners and one-time links. */
export function sessionRoutes(config: Config, csrfToken: (request: Request) => string): Router {
  const routes = Router();
  const answer = async (request: Request) => sessionState(request, csrfToken(request), config.demo);

  routes.get('/session', async (request, response) => {
    response.json(await answer(request));
  });

  routes.post('/session/teacher', async (request, response) => {
    const { email, password } = await validated(request, teacherSignIn);
    const account = await checkPassword(request, email, password);
    await startSession(request, {
      personId: account.personId,
      schoolId: account.schoolId,
      classId: null,
      partners: [],
    });
    response.json(await answer(request));
  });

  routes.post('/session/class', async (request, response) => {
    const { code } = await validated(request, classCode);
    const schoolClass = await guessingFrom(request, () => openClass(code));
    const roster = await rosterOf(schoolClass.id, 'present');
    const door: ClassDoor = {
      className: schoolClass.name,
      students: roster.map((student) => ({
        id: student.personId,
        label: labelOf(student.person, 'short'),
        hasPin: student.pinHash !== null,
      })),
    };
    response.json(door);
  });

  routes.post('/session/student', async (request, response) => {
    const { code, studentId, pin } = await validated(request, studentSignIn);
    const schoolClass = await guessingFrom(request, () => openClass(code));
    await checkPin(request, schoolClass.id, studentId, pin);
    await startSession(request, {
      personId: studentId,
      schoolId: schoolClass.schoolId,
      classId: schoolClass.id,
      partners: [],
    });
    response.json(await answer(request));
  });

  routes.post('/session/partners', async (request, response) => {
    const caller = await signedIn(request);
    if (caller.classId === null) throw new Refusal(403, 'Only students work with partners.');
    const { studentId, pin } = await validated(request, partnerSignIn);
    if (studentId === caller.personId) throw new Refusal(400, 'You are signed in already.', 'studentId');
    await checkPin(request, caller.classId, studentId, pin);
    request.session.identity = {
      personId: caller.personId,
      schoolId: caller.schoolId,
      classId: caller.classId,
      partners: [...new Set([...caller.partners, studentId])],
    };
    response.json(await answer(request));
  });

  routes.delete('/session/partners/:studentId', async (request, response) => {
    const caller = await signedIn(request);
    const gone = idFrom(request, 'studentId');
    request.session.identity = {
      personId: caller.personId,
      schoolId: caller.schoolId,
      classId: caller.classId,
      partners: caller.partners.filter((id) => id !== gone),
    };
    response.json(await answer(request));
  });

  routes.delete('/session', async (request, response) => {
    await endSession(request);
    response.status(204).end();
  });

  routes.get('/links/:token', async (request, response) => {
    const link = await guessingFrom(request, () => openLink(request.params.token));
    const person = link.personId ? await Person.findByPk(link.personId) : null;
    const [account, school] = await Promise.all([
      person ? Account.findByPk(person.id) : null,
      person ? School.findByPk(person.schoolId) : null,
    ]);
    const door: LinkDoor = {
      purpose: link.purpose,
      email: account?.email ?? null,
      name: person ? labelOf(person, 'full') : null,
      schoolName: school?.name ?? null,
    };
    response.json(door);
  });

  routes.post('/links/:token', async (request, response) => {
    const link = await guessingFrom(request, () => openLink(request.params.token));
    const account = await takeUpLink(link, await validated(request, linkUse));
    await startSession(request, {
      personId: account.personId,
      schoolId: account.schoolId,
      classId: null,
      partners: [],
    });
    response.json(await answer(request));
  });

  if (config.demo) {
    routes.post('/session/demo', async (request, response) => {
      const { role } = await validated(request, demoSignIn);
      await startSession(request, await demoIdentity(role));
      response.json(await answer(request));
    });
  }

  return routes;
}
