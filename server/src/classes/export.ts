import { CORE_VERSION } from '@green-beam/core';
import { labelOf } from '../auth/labels.ts';
import { Attempt } from '../models/bench.ts';
import { HouseRulesVersion, Student, type SchoolClass } from '../models/classes.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { rosterOf } from './roster.ts';

/** The format is described in docs/export.md. */
const FORMAT = 'green-beam-export';

async function attemptsOf(classId: string, personId: string): Promise<unknown[]> {
  const rows = await Attempt.findAll({ where: { classId, personId }, order: [['serverOrder', 'ASC']] });
  return rows.map(({ id, taskId, instrumentId, entry, situation, actions, hints, timeTaken, tryNumber, verdict, diagnosis, rulesVersion, coreVersion, createdAt }) => ({
    id, taskId, instrumentId, entry, situation, actions, hints, timeTaken, tryNumber, verdict, diagnosis, rulesVersion, coreVersion, at: createdAt,
  }));
}

async function runsOf(classId: string, runIds: readonly string[]): Promise<unknown[]> {
  const runs = await RunRow.findAll({ where: { classId, id: [...runIds] }, order: [['startedAt', 'ASC']] });
  const events = await RunEventRow.findAll({ where: { classId, runId: [...runIds] }, order: [['serverOrder', 'ASC']] });
  return runs.map(({ id, protocol, specimen, rulesVersion, startedAt, handedInAt }) => ({
    id, protocol, specimen, rulesVersion, startedAt, handedInAt,
    events: events.filter((event) => event.runId === id).map(({ id: eventId, slot, text, replaces, reason, personId, deviceTime, serverOrder, coreVersion }) => ({ id: eventId, slot, text, replaces, reason, person: personId, deviceTime, order: Number(serverOrder), coreVersion })),
  }));
}

async function studentPart(student: Student): Promise<Record<string, unknown>> {
  return { id: student.personId, name: student.person ? labelOf(student.person, 'full') : null, archivedAt: student.archivedAt, attempts: await attemptsOf(student.classId, student.personId) };
}

async function rulesPart(classId: string): Promise<unknown[]> {
  const versions = await HouseRulesVersion.findAll({ where: { classId }, order: [['version', 'ASC']] });
  return versions.map(({ version, name, rules }) => ({ version, name, rules }));
}

/** Everything kept of one student, as JSON. */
export async function exportStudent(schoolClass: SchoolClass, personId: string): Promise<Record<string, unknown> | null> {
  const student = await Student.findOne({ where: { classId: schoolClass.id, personId }, include: { model: Person, as: 'person' } });
  if (!student) return null;
  const memberships = await RunMember.findAll({ where: { classId: schoolClass.id, personId } });
  return {
    format: FORMAT,
    version: 1,
    core: CORE_VERSION,
    class: { id: schoolClass.id, name: schoolClass.name },
    student: await studentPart(student),
    houseRules: await rulesPart(schoolClass.id),
    runs: await runsOf(schoolClass.id, memberships.map((membership) => membership.runId)),
  };
}

/** Everything kept of one class, as JSON. */
export async function exportClass(schoolClass: SchoolClass): Promise<Record<string, unknown>> {
  const students = await rosterOf(schoolClass.id, 'all');
  const runs = await RunRow.findAll({ attributes: ['id'], where: { classId: schoolClass.id } });
  return {
    format: FORMAT,
    version: 1,
    core: CORE_VERSION,
    class: { id: schoolClass.id, name: schoolClass.name },
    students: await Promise.all(students.map(studentPart)),
    houseRules: await rulesPart(schoolClass.id),
    runs: await runsOf(schoolClass.id, runs.map((run) => run.id)),
  };
}
