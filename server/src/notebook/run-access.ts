import type { Request } from 'express';
import { checkNotArchived, classInReach, type ClassAccess } from '../auth/access.ts';
import { RunMember, RunRow } from '../models/notebook.ts';
import { notFound, Refusal } from '../refusal.ts';
import { idFrom } from '../validated.ts';

/** A run somebody may read, and whether they may write in it. */
export interface RunAccess extends ClassAccess {
  readonly run: RunRow;
  readonly member: boolean;
  readonly mayWrite: boolean;
}

/** @throws Refusal for whoever is not of the group, and once the page is handed in. */
export function checkMayWrite({ member, mayWrite, schoolClass }: RunAccess): void {
  if (mayWrite) return;
  if (!member) throw new Refusal(403, 'You can read this page, but not write on it.');
  checkNotArchived(schoolClass);
  throw new Refusal(409, 'This page has been handed in. Your teacher can return it.');
}

/** Members of the group read and write; the class's teachers read; other students are refused. */
export async function runInReach(request: Request): Promise<RunAccess> {
  const access = await classInReach(request);
  const run = await RunRow.findOne({ where: { classId: access.schoolClass.id, id: idFrom(request, 'runId') } });
  if (!run) throw notFound();
  const people = [access.caller.personId, ...access.caller.partners];
  const member = (await RunMember.count({ where: { classId: run.classId, runId: run.id, personId: people } })) > 0;
  if (access.as === 'student' && !member) throw new Refusal(403, 'This page belongs to another group.');
  return { ...access, run, member, mayWrite: member && !access.schoolClass.archivedAt && !run.handedInAt };
}
