import type { Request } from 'express';
import type { SchoolClass } from '../models/classes.ts';
import { notFound, Refusal } from '../refusal.ts';
import { idFrom } from '../validated.ts';
import { callerOf, callerOfClass, type Caller } from './session.ts';

/** A class somebody may enter, and as what. */
export interface ClassAccess {
  readonly schoolClass: SchoolClass;
  readonly caller: Caller;
  readonly as: 'student' | 'teacher';
}

const nobody = (): Refusal => new Refusal(401, 'Sign in first. What you wrote is still in this browser.');

/** @throws Refusal (401) when nobody is signed in. */
export async function signedIn(request: Request): Promise<Caller> {
  const caller = await callerOf(request);
  if (!caller) throw nobody();
  return caller;
}

/** @throws Refusal (403) for students. */
export async function signedInTeacher(request: Request): Promise<Caller> {
  const caller = await signedIn(request);
  if (caller.role === 'student') throw new Refusal(403, 'This page is for teachers.');
  return caller;
}

const notForCovers = (): Refusal =>
  new Refusal(403, 'Whoever covers a class for a day cannot do this. Its own teachers can.');

/** @throws Refusal (403) for students, and for who only covers a class. */
export async function signedInWithAccount(request: Request): Promise<Caller> {
  const caller = await signedInTeacher(request);
  if (caller.coversUntil) throw notForCovers();
  return caller;
}

/** @throws Refusal (403) for everybody but the school's administrator. */
export async function signedInAdministrator(request: Request): Promise<Caller> {
  const caller = await signedIn(request);
  if (caller.role !== 'administrator') throw new Refusal(403, 'This page is for the school’s administrator.');
  return caller;
}

/**
 * The one place where reach into a class is decided. Another school's class is nowhere (404); a class of one's own school to which
 * one does not belong is refused (403); administrators reach every class of their school.
 */
export async function classInReach(request: Request): Promise<ClassAccess> {
  const found = await callerOfClass(request, idFrom(request, 'classId'));
  if (!found) throw nobody();
  const { caller, schoolClass, teaches } = found;
  if (!schoolClass) throw notFound();
  if (caller.role === 'student') {
    if (caller.classId !== schoolClass.id) throw new Refusal(403, 'You are not in this class.');
    return { schoolClass, caller, as: 'student' };
  }
  if (!teaches && caller.role !== 'administrator')
    throw new Refusal(403, 'You do not teach this class. Ask one of its teachers to add you.');
  return { schoolClass, caller, as: 'teacher' };
}

/** As `classInReach`, for its teachers only. */
export async function classTaught(request: Request): Promise<ClassAccess> {
  const access = await classInReach(request);
  if (access.as !== 'teacher') throw new Refusal(403, 'This page is for teachers.');
  return access;
}

/** As `classTaught`, for what whoever covers the class for a day has no business with. */
export async function classKept(request: Request): Promise<ClassAccess> {
  const access = await classTaught(request);
  if (access.caller.coversUntil) throw notForCovers();
  return access;
}

/** Refuses to change a class that has been put away. */
export function checkNotArchived(schoolClass: SchoolClass): void {
  if (schoolClass.archivedAt)
    throw new Refusal(409, 'This class is archived. Its teacher can bring it back under Class.');
}
