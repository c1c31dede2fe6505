import type { Role, SessionState, SignedIn } from '@green-beam/contract';
import type { Request } from 'express';
import type { Transaction } from 'sequelize';
import { HouseRulesVersion, SchoolClass, Student } from '../models/classes.ts';
import { Account, Person, School } from '../models/people.ts';
import { labelOf } from './labels.ts';

declare module 'express-session' {
  interface SessionData {
    identity?: Identity;
  }
}

/** Who a session belongs to. The rest is looked up at every request, so that a removal takes effect at once. */
export interface Identity {
  readonly personId: string;
  readonly schoolId: string;
  /** Set for students only. */
  readonly classId: string | null;
  /** Students who have entered their PIN at the same screen. */
  readonly partners: readonly string[];
}

/** Starts a fresh session for somebody, so that an id known before cannot be used after. */
export function startSession(request: Request, identity: Identity): Promise<void> {
  return new Promise((resolve, reject) => {
    request.session.regenerate((error: Error | null) => {
      if (error) {
        reject(error);
        return;
      }
      request.session.identity = identity;
      request.session.save((failed: Error | null) => (failed ? reject(failed) : resolve()));
    });
  });
}

export function endSession(request: Request): Promise<void> {
  return new Promise((resolve, reject) =>
    request.session.destroy((error: Error | null) => (error ? reject(error) : resolve())),
  );
}

/** Ends every session of a person, after a reset of PIN or password. */
export async function endSessionsOf(personId: string, transaction?: Transaction): Promise<void> {
  await Person.sequelize?.query(`delete from sessions where sess -> 'identity' ->> 'personId' = :personId`, {
    replacements: { personId },
    ...(transaction ? { transaction } : {}),
  });
}

/** Somebody whose account or place on the roster still exists. */
export interface Caller extends Identity {
  readonly role: Role;
  readonly person: Person;
}

/** The person behind a request, or null when nobody is signed in or the account is gone. */
export async function callerOf(request: Request): Promise<Caller | null> {
  const { identity } = request.session;
  if (!identity) return null;
  const { personId, classId, partners } = identity;
  const [person, here, account] = await Promise.all([
    Person.findOne({ where: { id: personId, schoolId: identity.schoolId, deletedAt: null } }),
    classId === null
      ? []
      : Student.findAll({ where: { classId, personId: [personId, ...partners], archivedAt: null } }),
    classId === null ? Account.findByPk(personId) : null,
  ]);
  if (!person) return null;
  if (classId !== null) {
    const isHere = (id: string): boolean => here.some((student) => student.personId === id);
    return isHere(personId) ? { ...identity, partners: partners.filter(isHere), role: 'student', person } : null;
  }
  return account ? { ...identity, role: account.role, person } : null;
}

async function shown(caller: Caller): Promise<SignedIn> {
  const [school, schoolClass, partners] = await Promise.all([
    School.findByPk(caller.schoolId, { rejectOnEmpty: true }),
    caller.classId === null ? null : SchoolClass.findByPk(caller.classId),
    Person.findAll({ where: { id: [...caller.partners], deletedAt: null } }),
  ]);
  const rules = schoolClass
    ? await HouseRulesVersion.findOne({ where: { classId: schoolClass.id, version: schoolClass.rulesVersion } })
    : null;
  return {
    role: caller.role,
    person: { id: caller.personId, name: labelOf(caller.person, caller.role === 'student' ? 'short' : 'full') },
    school: { id: school.id, name: school.name },
    class: schoolClass ? { id: schoolClass.id, name: schoolClass.name, rulesName: rules?.name ?? '' } : null,
    partners: partners.map((partner) => ({ id: partner.id, name: labelOf(partner, 'short') })),
  };
}

/** What the browser may know of its session. */
export async function sessionState(request: Request, csrfToken: string, demo: boolean): Promise<SessionState> {
  const caller = await callerOf(request);
  return { signedIn: caller ? await shown(caller) : null, csrfToken, demo };
}
