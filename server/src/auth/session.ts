import { promisify } from 'node:util';
import { TEACHER_IDLE_MINUTES, type Role, type SessionState, type SignedIn } from '@green-beam/contract';
import type { Request } from 'express';
import type { InferAttributes, Transaction } from 'sequelize';
import { askPrepared, databaseOf } from '../database.ts';
import { notifyLesson } from '../live/notify-lesson.ts';
import { SESSIONS_ENDED } from '../live/class-events.ts';
import { HouseRulesVersion, SchoolClass } from '../models/classes.ts';
import { Person, School } from '../models/people.ts';
import { labelOf } from './labels.ts';

declare module 'express-session' {
  interface SessionData {
    identity?: Identity;
  }
}

/** Somebody who has proved at a screen who they are. */
interface SignedInPerson {
  readonly personId: string;
  /** How often all their sessions had been ended when their PIN or password was looked up. */
  readonly sessionsEnded: number;
}

/** Who a session belongs to. The rest is looked up at every request, so that a removal takes effect at once. */
export interface Identity extends SignedInPerson {
  readonly schoolId: string;
  /** Set for students only. */
  readonly classId: string | null;
  /** Students who have entered their PIN at the same screen. */
  readonly partners: readonly SignedInPerson[];
}

/** Somebody who has given the right PIN or password. */
export type Recognized = Omit<Identity, 'partners'>;

/** A session on a device of one’s own: a weekend and more, in minutes. */
const OWN_DEVICE_IDLE = 7 * 24 * 60;

/** For how many minutes nothing may be asked until a session on a shared laptop ends. */
async function sharedIdleMinutes({ schoolId, classId }: Recognized): Promise<number> {
  if (classId === null) return TEACHER_IDLE_MINUTES;
  return (await School.findByPk(schoolId, { rejectOnEmpty: true })).idleMinutes;
}

/** Whether a session was begun on a laptop that others use too. */
export function isOnSharedLaptop(request: Request): boolean {
  return request.session.cookie.originalMaxAge === null;
}

/** Starts a fresh session for somebody, so that an id known before cannot be used after. */
export async function startSession(
  request: Request,
  recognized: Recognized,
  { shared, partners = [] }: { readonly shared: boolean; readonly partners?: Identity['partners'] },
): Promise<void> {
  const { personId, sessionsEnded, schoolId, classId } = recognized;
  const idleMinutes = shared ? await sharedIdleMinutes(recognized) : OWN_DEVICE_IDLE;
  const { session } = request;
  await promisify(session.regenerate.bind(session))();
  request.session.identity = { personId, sessionsEnded, schoolId, classId, partners };
  request.session.idleMinutes = idleMinutes;
  if (!shared) request.session.cookie.maxAge = OWN_DEVICE_IDLE * 60_000;
  await promisify(request.session.save.bind(request.session))();
  if (classId !== null) await notifyLesson(classId, personId);
}

/** Changes who else is at the screen of a session. */
export async function changePartners(
  request: Request,
  change: (partners: Identity['partners']) => Identity['partners'],
): Promise<void> {
  const { identity } = request.session;
  if (!identity) return;
  request.session.identity = { ...identity, partners: change(identity.partners) };
  await promisify(request.session.save.bind(request.session))();
  if (identity.classId !== null) await notifyLesson(identity.classId, identity.personId);
}

/** Lets a student who has given the right PIN work at the screen of a session. */
export function addPartner(request: Request, { personId, sessionsEnded }: Recognized): Promise<void> {
  return changePartners(request, (partners) => [
    ...partners.filter((one) => one.personId !== personId),
    { personId, sessionsEnded },
  ]);
}

export async function endSession(request: Request): Promise<void> {
  const { identity } = request.session;
  await promisify(request.session.destroy.bind(request.session))();
  if (identity && identity.classId !== null) await notifyLesson(identity.classId, identity.personId);
}

/**
 * Ends every session of some people, takes them out of those in which they are partners, and closes what they stream: after a change or
 * a reset of PIN or password, and when they leave.
 */
export async function endSessionsOf(people: readonly string[], transaction?: Transaction): Promise<void> {
  if (people.length === 0) return;
  await databaseOf(Person).query(
    `with ended as (update people set sessions_ended = sessions_ended + 1 where id in (:people) returning id)
     select pg_notify('${SESSIONS_ENDED}', id::text) from ended`,
    { replacements: { people }, ...(transaction ? { transaction } : {}) },
  );
}

/** Somebody whose account or place on the roster still exists. */
export interface Caller extends Omit<Recognized, 'sessionsEnded'> {
  /** Students who have entered their PIN at the same screen. */
  readonly partners: readonly string[];
  readonly role: Role;
  /** Until when somebody without an account covers a class; null for everybody else. */
  readonly coversUntil: Date | null;
  readonly person: Pick<Person, 'givenName' | 'familyName'>;
}

interface Found extends Pick<Person, 'givenName' | 'familyName'> {
  /** Of an account; null for who has none. */
  readonly role: 'teacher' | 'administrator' | null;
  /** Until when they cover a class. */
  readonly coversUntil: Date | null;
  /** Who of those at the screen is on the roster of the class. */
  readonly here: readonly string[];
  readonly teaches: boolean;
  readonly schoolClass: InferAttributes<SchoolClass> | null;
}

/** Who is behind an identity, and the class they ask for where it is one of their school: at every request, and so in one statement. */
async function find(identity: Identity, asksFor: string | null): Promise<Found | null> {
  const { personId, sessionsEnded, schoolId, classId, partners } = identity;
  const atTheScreen = [identity, ...partners];
  const [found] = await askPrepared<Found>(
    databaseOf(Person),
    `select given_name "givenName", family_name "familyName",
       (select role from accounts where person_id = people.id) role,
       (select max(until) from covers where person_id = people.id and until > now()) "coversUntil",
       array(select signed.id from unnest($4::uuid[], $5::integer[]) signed (id, ended)
         join people one on one.id = signed.id and one.sessions_ended = signed.ended
         join students on class_id = $3 and person_id = signed.id and archived_at is null) here,
       exists(select 1 from class_teachers where class_id = $6 and person_id = $1)
         or exists(select 1 from covers where class_id = $6 and person_id = $1 and until > now()) teaches,
       (select json_build_object('id', id, 'schoolId', school_id, 'name', name, 'code', code, 'codeOpen', code_open,
          'rulesVersion', rules_version, 'metTools', met_tools, 'archivedAt', archived_at,
          'founderId', founder_id)
        from classes where id = $6 and school_id = $2) "schoolClass"
     from people where id = $1 and school_id = $2 and deleted_at is null and sessions_ended = $7`,
    [
      personId,
      schoolId,
      classId,
      atTheScreen.map((one) => one.personId),
      atTheScreen.map((one) => one.sessionsEnded),
      asksFor,
      sessionsEnded,
    ],
  );
  return found ?? null;
}

function callerFrom(
  { personId, schoolId, classId, partners }: Identity,
  { here, role, coversUntil, givenName, familyName }: Found,
): Caller | null {
  const recognized = { personId, schoolId, classId, person: { givenName, familyName } };
  if (classId === null) {
    if (role) return { ...recognized, partners: [], role, coversUntil: null };
    return coversUntil ? { ...recognized, partners: [], role: 'teacher', coversUntil } : null;
  }
  const present = partners.map((one) => one.personId).filter((id) => here.includes(id));
  return here.includes(personId) ? { ...recognized, partners: present, role: 'student', coversUntil: null } : null;
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
    coversUntil: caller.coversUntil?.toISOString() ?? null,
    class: schoolClass ? { id: schoolClass.id, name: schoolClass.name, rulesName: rules?.name ?? '' } : null,
    partners: partners.map((partner) => ({ id: partner.id, name: labelOf(partner, 'short') })),
  };
}

/** What the browser may know of its session. */
export async function sessionState(request: Request, csrfToken: string, demo: boolean): Promise<SessionState> {
  const caller = await callerOf(request);
  return { signedIn: caller ? await shown(caller) : null, csrfToken, demo };
}
