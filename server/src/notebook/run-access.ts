import type { Request } from 'express';
import { checkNotArchived, classInReach, type ClassAccess } from '../auth/access.ts';
import { RunMember, RunRow } from '../models/notebook.ts';
import { notFound, Refusal } from '../refusal.ts';
import { authorFor, handedIn, inForce } from '../hand-ins/in-force.ts';
import { idFrom } from '../validated.ts';

/** A run somebody may read, and whether they may write in it. */
export interface RunAccess extends ClassAccess {
  readonly run: RunRow;
  readonly member: boolean;
  /** Whether the caller was asked to join its group, and has not yet. */
  readonly asked: boolean;
  readonly mayWrite: boolean;
}

/** @throws Refusal for whoever is not of the group, and once the page is handed in. */
export function checkMayWrite({ member, mayWrite, schoolClass }: RunAccess): void {
  if (mayWrite) return;
  if (!member) throw new Refusal(403, 'You can read this page, but not write on it.');
  checkNotArchived(schoolClass);
  throw handedIn();
}

/** @throws Refusal for whoever is not of the group. Whether they have handed in already is looked at when they do. */
export function checkMayHandIn(access: RunAccess): void {
  if (!access.member) checkMayWrite(access);
  checkNotArchived(access.schoolClass);
}

/** A page for who may at least join its group. @throws Refusal for everybody else. */
export async function runOrAsked(request: Request): Promise<RunAccess> {
  const access = await classInReach(request);
  const { caller, as, schoolClass } = access;
  const run = await RunRow.findOne({ where: { classId: schoolClass.id, id: idFrom(request, 'runId') } });
  if (!run) throw notFound();
  const people = [caller.personId, ...caller.partners];
  const members = await RunMember.findAll({ where: { classId: run.classId, runId: run.id, personId: people } });
  const member = members.some(({ joinedAt }) => joinedAt !== null);
  const asked = members.some(({ personId, joinedAt }) => personId === caller.personId && joinedAt === null);
  if (as === 'student' && !member && !asked) throw new Refusal(403, 'This page belongs to another group.');
  const mayWrite = member && !schoolClass.archivedAt && !run.handedInAt && (await somebodyWrites(run, people));
  return { ...access, run, member, asked, mayWrite };
}

/** Whether somebody of these has not handed in their report. */
async function somebodyWrites(run: RunRow, people: readonly string[]): Promise<boolean> {
  const reports = await inForce(run);
  return people.some((person) => !reports.some(({ author }) => author === authorFor(run, person)));
}

/** Members of the group read and write; the class's teachers read; other students are refused, and who was asked joins first. */
export async function runInReach(request: Request): Promise<RunAccess> {
  const access = await runOrAsked(request);
  if (access.as === 'student' && !access.member)
    throw new Refusal(403, 'You were asked to join this group. Join it first.', 'join');
  return access;
}
