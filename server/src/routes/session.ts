import {
  admission,
  classCode,
  demoSignIn,
  partnerSignIn,
  passwordChange,
  pinChange,
  studentSignIn,
  teacherSignIn,
  linkUse,
  type AdmissionState,
  type ClassDoor,
  type LinkDoor,
  type Role,
} from '@green-beam/contract';
import { Router, type Request, type Response } from 'express';
import { signedIn, signedInWithAccount } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { openLink } from '../auth/one-time-links.ts';
import { changePin, recognizeStudent } from '../classes/pins.ts';
import {
  addPartner,
  changePartners,
  endSession,
  isOnSharedLaptop,
  sessionState,
  startSession,
  type Recognized,
} from '../auth/session.ts';
import type { Csrf } from '../auth/sessions.ts';
import { guessingFrom } from '../auth/sign-in-limits.ts';
import { takeUpLink } from '../auth/take-up-link.ts';
import { changePassword, recognizeTeacher } from '../auth/teacher-accounts.ts';
import { rosterOf } from '../classes/roster.ts';
import type { Config } from '../config.ts';
import { admissionState, askToBeAdmitted } from '../lesson/admissions.ts';
import { recognizeCover } from '../lesson/covers.ts';
import { SchoolClass } from '../models/classes.ts';
import { Account, Person, School } from '../models/people.ts';
import { withinRate } from '../quotas.ts';
import { Refusal } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function openClass(code: string): Promise<SchoolClass> {
  const schoolClass = await SchoolClass.findOne({ where: { code, codeOpen: true, archivedAt: null } });
  if (!schoolClass)
    throw new Refusal(404, 'There is no open class with this code. Check the code with your teacher.', 'code');
  return schoolClass;
}

async function demoPerson(role: Role): Promise<Recognized> {
  const { DEMO_STUDENT, DEMO_TEACHER, DEMO_ADMINISTRATOR, DEMO_SCHOOL, DEMO_CLASS } = await import('../demo/people.ts');
  const personId = { student: DEMO_STUDENT, teacher: DEMO_TEACHER, administrator: DEMO_ADMINISTRATOR }[role];
  const { sessionsEnded } = await Person.findByPk(personId, { rejectOnEmpty: true });
  return { personId, sessionsEnded, schoolId: DEMO_SCHOOL, classId: role === 'student' ? DEMO_CLASS : null };
}

/** Signing in and out, class codes, partners and one-time links. */
export function sessionRoutes(config: Config, tokenFor: Csrf['tokenFor']): Router {
  const routes = Router();
  const answer = async (request: Request, response: Response): Promise<void> => {
    response.json(await sessionState(request, tokenFor(request, response), config.demo));
  };

  routes.get('/session', async (request, response) => {
    await answer(request, response);
  });

  routes.post('/session/teacher', async (request, response) => {
    const { shared, ...entered } = await validated(request, teacherSignIn);
    await startSession(request, await recognizeTeacher(request, entered), { shared });
    await answer(request, response);
  });

  routes.post('/session/class', async (request, response) => {
    const { code } = await validated(request, classCode);
    const schoolClass = await guessingFrom(request, () => openClass(code));
    const roster = await rosterOf(schoolClass.id, 'present');
    const { idleMinutes } = await School.findByPk(schoolClass.schoolId, { rejectOnEmpty: true });
    const door: ClassDoor = {
      className: schoolClass.name,
      idleMinutes,
      students: roster.map(({ personId, person }) => ({ id: personId, label: labelOf(person, 'short') })),
    };
    response.json(door);
  });

  routes.post('/session/student', async (request, response) => {
    const { code, shared, ...entered } = await validated(request, studentSignIn);
    const schoolClass = await guessingFrom(request, () => openClass(code));
    await startSession(request, await recognizeStudent(request, schoolClass.id, entered), { shared });
    await answer(request, response);
  });

  routes.post('/session/admission', async (request, response) => {
    const asked = await validated(request, admission);
    const schoolClass = await guessingFrom(request, () => openClass(asked.code));
    await withinRate('admission', request.ip ?? '');
    await askToBeAdmitted(schoolClass, asked);
    response.status(202).json({ state: 'waiting' } satisfies AdmissionState);
  });

  routes.get('/session/admission/:code/:personId', async (request, response) => {
    const schoolClass = await guessingFrom(request, () => openClass(request.params.code.toUpperCase()));
    response.json(await admissionState(schoolClass.id, idFrom(request, 'personId')));
  });

  routes.post('/session/cover/:token', async (request, response) => {
    const cover = await guessingFrom(request, () => recognizeCover(request.params.token));
    await startSession(request, cover, { shared: true });
    await answer(request, response);
  });

  routes.post('/session/partners', async (request, response) => {
    const caller = await signedIn(request);
    if (caller.classId === null) throw new Refusal(403, 'Only students work with partners.');
    const entered = await validated(request, partnerSignIn);
    if (entered.studentId === caller.personId) throw new Refusal(400, 'You are signed in already.', 'studentId');
    await addPartner(request, await recognizeStudent(request, caller.classId, entered));
    await answer(request, response);
  });

  routes.delete('/session/partners/:studentId', async (request, response) => {
    await signedIn(request);
    const gone = idFrom(request, 'studentId');
    await changePartners(request, (partners) => partners.filter(({ personId }) => personId !== gone));
    await answer(request, response);
  });

  routes.post('/session/pin', async (request, response) => {
    const { personId: studentId, classId } = await signedIn(request);
    if (classId === null) throw new Refusal(403, 'Only students have a PIN. Change your password instead.');
    const entered = await validated(request, pinChange);
    const partners = request.session.identity?.partners ?? [];
    const shared = isOnSharedLaptop(request);
    await startSession(request, await changePin(request, classId, { ...entered, studentId }), { shared, partners });
    await answer(request, response);
  });

  routes.post('/session/password', async (request, response) => {
    const { personId } = await signedInWithAccount(request);
    const entered = await validated(request, passwordChange);
    const shared = isOnSharedLaptop(request);
    await startSession(request, await changePassword(request, personId, entered), { shared });
    await answer(request, response);
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
    await startSession(request, await takeUpLink(link, await validated(request, linkUse)), { shared: true });
    await answer(request, response);
  });

  if (config.demo) {
    routes.post('/session/demo', async (request, response) => {
      const { role } = await validated(request, demoSignIn);
      await startSession(request, await demoPerson(role), { shared: true });
      await answer(request, response);
    });
  }

  return routes;
}
