import type { Role, SessionState, SignedIn } from '@green-beam/contract';
import type { Request } from 'express';
import type { InferAttributes, Transaction } from 'sequelize';
import { askPrepared, databaseOf } from '../database.ts';
import { HouseRulesVersion, SchoolClass } from '../models/classes.ts';
import { Person, School } from '../models/people.ts';
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
  await databaseOf(Person).query(`delete from sessions where sess -> 'identity' ->> 'personId' = :personId`, {
    replacements: { personId },
    ...(transaction ? { transaction } : {}),
  });
}

/** Somebody whose account or place on the roster still exists. */
export interface Caller extends Identity {
  readonly role: Role;
  readonly person: Pick<Person, 'givenName' | 'familyName'>;
}

interface Found extends Pick<Person, 'givenName' | 'familyName'> {
  /** Of an account; null for who has none. */
  readonly role: 'teacher' | 'administrator' | null;
  /** Who of those at the screen is on the roster of the class. */
  readonly here: readonly string[];
  readonly teaches: boolean;
  readonly schoolClass: InferAttributes<SchoolClass> | null;
}

/** Who is behind an identity, and the class they ask for where it is one of their school: at every request, and so in one statement. */
async function find(
  { personId, schoolId, classId, partners }: Identity,
  asksFor: string | null,
): Promise<Found | null> {
  const [found] = await askPrepared<Found>(
    databaseOf(Person),
    `select given_name "givenName", family_name "familyName",
       (select role from accounts where person_id = people.id) role,
       array(select person_id from students where class_id = $3 and person_id = any($4) and archived_at is null) here,
       exists(select 1 from class_teachers where class_id = $5 and person_id = $1) teaches,
       (select json_build_object('id', id, 'schoolId', school_id, 'name', name, 'code', code, 'codeOpen', code_open,
          'rulesVersion', rules_version, 'metTools', met_tools, 'archivedAt', archived_at)
        from classes where id = $5 and school_id = $2) "schoolClass"
     from people where id = $1 and school_id = $2 and deleted_at is null`,
    [personId, schoolId, classId, [personId, ...partners], asksFor],
  );
  return found ?? null;
}

function callerFrom(identity: Identity, { here, role, givenName, familyName }: Found): Caller | null {
  const person = { givenName, familyName };
  if (identity.classId === null) return role ? { ...identity, role, person } : null;
  const partners = identity.partners.filter((id) => here.includes(id));
  return here.includes(identity.personId) ? { ...identity, partners, role: 'student', person } : null;
}

/** Somebody, and the class they ask for. */
export interface CallerOfClass {
  readonly caller: Caller;
  /** Null where their school has no such class. */
  readonly schoolClass: SchoolClass | null;
  /** Whether they are one of its teachers. */
  readonly teaches: boolean;
}

/** The person behind a request, and the class it is about; null when nobody is signed in or the account is gone. */
export async function callerOfClass(request: Request, classId: string): Promise<CallerOfClass | null> {
  const { identity } = request.session;
  const found = identity ? await find(identity, classId) : null;
  const caller = identity && found ? callerFrom(identity, found) : null;
  if (!caller || !found) return null;
  const row = found.schoolClass;
  const schoolClass = row && SchoolClass.build(row, { isNewRecord: false, raw: true });
  return { caller, schoolClass, teaches: found.teaches };
}

/** The person behind a request, or null when nobody is signed in or the account is gone. */
export async function callerOf(request: Request): Promise<Caller | null> {
  const { identity } = request.session;
  const found = identity ? await find(identity, null) : null;
  return identity && found ? callerFrom(identity, found) : null;
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
