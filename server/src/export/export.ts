import { CORE_VERSION, GROUP } from '@green-beam/core';
import { labelOf } from '../auth/labels.ts';
import { metTools } from '../bench/met-tools.ts';
import { knownOf } from '../bench/tutor.ts';
import { isFor } from '../bench/set-rounds.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { DOMAINS } from '../drawing/knowledge.ts';
import { Attempt, Round, SetRound, Task } from '../models/bench.ts';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { HouseRulesVersion, Student, type SchoolClass } from '../models/classes.ts';
import { Op } from 'sequelize';
import { Opening, RunEventRow, RunMember, RunResultRow, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { visibleTo } from '../notebook/own-work.ts';
import { rubricOf } from '../hand-ins/rubric.ts';
import { Tape } from '../models/tapes.ts';
import { LessonPlanRow } from '../models/lesson-plans.ts';
import { PairNote, ResultPair } from '../models/result-pairs.ts';
import { TogetherAnswerRow, TogetherRow } from '../models/together.ts';
import { rosterOf } from '../classes/roster.ts';

/** The format is described in docs/export.md. */
const FORMAT = 'green-beam-export';

async function attemptsOf(classId: string, personId: string): Promise<unknown[]> {
  const rows = await Attempt.findAll({ where: { classId, personId }, order: [['serverOrder', 'ASC']] });
  return rows.map(
    ({
      id,
      taskId,
      subjectId,
      entry,
      enteredBy,
      situation,
      actions,
      hints,
      timeTaken,
      tryNumber,
      verdict,
      diagnosis,
      rulesVersion,
      coreVersion,
      createdAt,
    }) => ({
      id,
      taskId,
      subjectId,
      entry,
      enteredBy,
      situation,
      actions,
      hints,
      timeTaken,
      tryNumber,
      verdict,
      diagnosis,
      rulesVersion,
      coreVersion,
      at: createdAt,
    }),
  );
}

/**
 * Reports that were handed in, each time.
 * @param personId whose they are, without marks that have not been returned; everybody’s where nobody is named.
 */
async function reportsOf(
  classId: string,
  runIds: readonly string[],
  personId?: string,
): Promise<Map<string, unknown[]>> {
  const rows = await HandIn.findAll({
    where: { classId, runId: [...runIds], ...(personId === undefined ? {} : { author: [personId, GROUP] }) },
    order: [['handedInAt', 'ASC']],
  });
  const found = new Map<string, unknown[]>();
  for (const { runId, author, number, handedInAt, upTo, marking, returnedAt, mayImprove, endedAt } of rows) {
    const isSeen = personId === undefined || (returnedAt !== null && returnedAt <= new Date());
    const report = {
      author,
      number,
      at: handedInAt,
      upTo: Number(upTo),
      marking: isSeen ? marking : null,
      returnedAt: isSeen ? returnedAt : null,
      mayImprove: isSeen && mayImprove,
      endedAt,
    };
    found.set(runId, [...(found.get(runId) ?? []), report]);
  }
  return found;
}

/** Laboratories that were opened for a class. */
async function openingsPart(classId: string): Promise<unknown[]> {
  const openings = await Opening.findAll({ where: { classId }, order: [['openedAt', 'ASC']] });
  return openings.map(({ id, protocolId, protocolVersion, specimen, openedAt, dueAt, excused }) => ({
    id,
    protocolId,
    protocolVersion,
    specimen,
    openedAt,
    dueAt,
    excused,
  }));
}

/** @param personId whose own work is in it; everybody’s where nobody is named. */
async function runsOf(classId: string, runIds: readonly string[], personId?: string): Promise<unknown[]> {
  const runs = await RunRow.findAll({ where: { classId, id: [...runIds] }, order: [['startedAt', 'ASC']] });
  const rows = await RunEventRow.findAll({ where: { classId, runId: [...runIds] }, order: [['serverOrder', 'ASC']] });
  const events = personId === undefined ? rows : visibleTo([personId], rows);
  const results = await RunResultRow.findAll({
    where: { classId, runId: [...runIds] },
    order: [['position', 'ASC']],
  });
  const reports = await reportsOf(classId, runIds, personId);
  return runs.map(({ id, protocol, specimen, arrangement, rulesVersion, startedAt, handedInAt, openingId, given }) => ({
    id,
    protocol,
    arrangement,
    specimen,
    rulesVersion,
    startedAt,
    handedInAt,
    openingId,
    given,
    reports: reports.get(id) ?? [],
    results: results
      .filter(({ runId }) => runId === id)
      .map(({ quantity, members, unit, value, place, sizes }) => ({ quantity, members, unit, value, place, sizes })),
    events: events
      .filter((event) => event.runId === id)
      .map(
        ({
          id: eventId,
          address,
          text,
          replaces,
          reason,
          personId,
          deviceTime,
          clockAhead,
          serverOrder,
          coreVersion,
        }) => ({
          id: eventId,
          address,
          text,
          replaces,
          reason,
          person: personId,
          deviceTime,
          clockAhead,
          order: Number(serverOrder),
          coreVersion,
        }),
      ),
  }));
}

async function roundsOf(classId: string, personId: string): Promise<unknown[]> {
  const rounds = await Round.findAll({ where: { classId, personId }, order: [['createdAt', 'ASC']] });
  const tasks = await Task.findAll({
    attributes: ['classId', 'id', 'roundId', 'position'],
    where: { classId, personId },
    order: [['position', 'ASC']],
  });
  return rounds.map(({ id, setRoundId, sheetCode, subjectIds, createdAt, takenUpAt }) => ({
    id,
    setRoundId,
    sheetCode,
    subjectIds,
    at: createdAt,
    takenUpAt,
    tasks: tasks.filter((task) => task.roundId === id).map((task) => task.id),
  }));
}

async function beliefOf(student: Student, drawing: Drawing): Promise<unknown> {
  const known = await knownOf(student, drawing);
  return DOMAINS.map((domain) => {
    const { belief, onceLikely, readings } = known[domain];
    return { domain, habits: belief, onceLikely, readings };
  }).filter(({ readings }) => readings > 0);
}

async function tapesOf(personId: string): Promise<unknown[]> {
  const tapes = await Tape.findAll({ where: { personId }, order: [['changedAt', 'ASC']] });
  return tapes.map(({ id, lines, changedAt }) => ({ id, lines, at: changedAt }));
}

/** Groups that looked at each other’s results, and what each wrote; of one student, what they have written themselves. */
async function pairsPart(classId: string, personId?: string): Promise<unknown[]> {
  const notes = await PairNote.findAll({
    where: { classId, ...(personId === undefined ? {} : { author: personId }) },
    order: [['writtenAt', 'ASC']],
  });
  const pairs = await ResultPair.findAll({ where: { classId }, order: [['openedAt', 'ASC']] });
  return pairs
    .map(({ id, runA, runB, openedAt, endedAt }) => ({
      id,
      runs: [runA, runB],
      at: openedAt,
      endedAt,
      notes: notes
        .filter(({ pairId }) => pairId === id)
        .map(({ runId, author, text, writtenAt }) => ({ run: runId, person: author, text, at: writtenAt })),
    }))
    .filter((pair) => personId === undefined || pair.notes.length > 0);
}

/** Lessons that were planned for the class. */
async function plansPart(classId: string): Promise<unknown[]> {
  const plans = await LessonPlanRow.findAll({ where: { classId }, order: [['savedAt', 'ASC']] });
  return plans.map(({ id, draft, savedAt, beganAt }) => ({ id, ...draft, at: savedAt, beganAt }));
}

/** What the class has read together; of one student, what they have written themselves. */
async function togetherPart(classId: string, personId?: string): Promise<unknown[]> {
  const rounds = await TogetherRow.findAll({ where: { classId }, order: [['startedAt', 'ASC']] });
  const answers = await TogetherAnswerRow.findAll({
    where: { classId, ...(personId === undefined ? {} : { personId }) },
    order: [['answeredAt', 'ASC']],
  });
  return rounds
    .map(({ id, seriesId, number, kind, instrumentId, situation, title, unit, value, rulesVersion, startedAt }) => ({
      id,
      seriesId,
      number,
      kind,
      instrumentId,
      situation,
      title,
      unit,
      value,
      rulesVersion,
      at: startedAt,
      answers: answers
        .filter(({ roundId }) => roundId === id)
        .map(({ personId: person, firstEntry, entry, late, eyeHeight, diagnosis, answeredAt, coreVersion }) => ({
          person,
          firstEntry,
          entry,
          late,
          eyeHeight,
          diagnosis,
          coreVersion,
          at: answeredAt,
        })),
    }))
    .filter((round) => personId === undefined || round.answers.length > 0);
}

async function studentPart(student: Student, drawing: Drawing): Promise<Record<string, unknown>> {
  const { classId, personId, person, archivedAt } = student;
  return {
    id: personId,
    name: person ? labelOf(person, 'full') : null,
    archivedAt,
    rounds: await roundsOf(classId, personId),
    attempts: await attemptsOf(classId, personId),
    belief: await beliefOf(student, drawing),
    tapes: await tapesOf(personId),
  };
}

/** Rounds that were set; of one student’s, those that were for them. */
async function setRoundsPart(classId: string, personId?: string): Promise<unknown[]> {
  const rows = await SetRound.findAll({ where: { classId }, order: [['createdAt', 'ASC']] });
  return rows
    .filter((row) => personId === undefined || isFor(row, personId))
    .map(
      ({
        id,
        title,
        subjectIds,
        length,
        aims,
        tries,
        hints,
        onPaper,
        dueAt,
        studentIds,
        rulesVersion,
        withdrawnAt,
        createdAt,
        toolIds,
        given,
      }) => ({
        id,
        title,
        subjectIds,
        toolIds,
        given,
        length,
        aims,
        tries,
        hints,
        onPaper,
        dueAt,
        students: personId === undefined ? studentIds : null,
        rulesVersion,
        withdrawnAt,
        at: createdAt,
      }),
    );
}

/** The class’s tools with what was found about them. */
async function cabinetPart(classId: string): Promise<unknown[]> {
  const [tools, notes] = await Promise.all([
    Tool.findAll({ where: { classId }, order: [['code', 'ASC']] }),
    ToolNoteRow.findAll({ where: { classId }, order: [['createdAt', 'ASC']] }),
  ]);
  return tools.map(({ id, code, instrumentId, kind, keeper, tolerance, state }) => ({
    id,
    code,
    instrumentId,
    kind,
    keeper,
    tolerance,
    state,
    notes: notes
      .filter((note) => note.toolId === id)
      .map(({ kind: of, reading, nominal, remark, createdAt }) => ({
        kind: of,
        reading,
        nominal,
        remark,
        at: createdAt,
      })),
  }));
}

async function rulesPart(classId: string): Promise<unknown[]> {
  const versions = await HouseRulesVersion.findAll({ where: { classId }, order: [['version', 'ASC']] });
  return versions.map(({ version, name, rules }) => ({ version, name, rules }));
}

/** Everything kept of one student, as JSON. */
export async function exportStudent(
  schoolClass: SchoolClass,
  personId: string,
  drawing: Drawing,
): Promise<Record<string, unknown> | null> {
  const student = await Student.findOne({
    where: { classId: schoolClass.id, personId },
    include: { model: Person, as: 'person' },
  });
  if (!student) return null;
  const memberships = await RunMember.findAll({
    where: { classId: schoolClass.id, personId, joinedAt: { [Op.not]: null } },
  });
  return {
    format: FORMAT,
    version: 3,
    core: CORE_VERSION,
    class: { id: schoolClass.id, name: schoolClass.name },
    student: await studentPart(student, drawing),
    setRounds: await setRoundsPart(schoolClass.id, personId),
    houseRules: await rulesPart(schoolClass.id),
    together: await togetherPart(schoolClass.id, personId),
    pairs: await pairsPart(schoolClass.id, personId),
    runs: await runsOf(
      schoolClass.id,
      memberships.map((membership) => membership.runId),
      personId,
    ),
  };
}

/** Everything kept of one class, as JSON. */
export async function exportClass(schoolClass: SchoolClass, drawing: Drawing): Promise<Record<string, unknown>> {
  const students = await rosterOf(schoolClass.id, 'all');
  const runs = await RunRow.findAll({ attributes: ['id'], where: { classId: schoolClass.id } });
  return {
    format: FORMAT,
    version: 3,
    core: CORE_VERSION,
    class: { id: schoolClass.id, name: schoolClass.name },
    students: await Promise.all(students.map((student) => studentPart(student, drawing))),
    setRounds: await setRoundsPart(schoolClass.id),
    metTools: metTools(schoolClass),
    cabinet: await cabinetPart(schoolClass.id),
    houseRules: await rulesPart(schoolClass.id),
    rubric: await rubricOf(schoolClass.id),
    openings: await openingsPart(schoolClass.id),
    together: await togetherPart(schoolClass.id),
    pairs: await pairsPart(schoolClass.id),
    plans: await plansPart(schoolClass.id),
    runs: await runsOf(
      schoolClass.id,
      runs.map((run) => run.id),
    ),
  };
}
