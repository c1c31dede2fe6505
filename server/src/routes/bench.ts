import {
  newAttempt,
  newRound,
  type AttemptPage,
  type BenchRound,
  type SkillSummary,
  type StudentRecord,
} from '@green-beam/contract';
import { Router, type Request } from 'express';
import { Op, QueryTypes } from 'sequelize';
import { checkNotArchived, classInReach, classTaught } from '../auth/access.ts';
import { beginSetRound } from '../bench/begin-set-round.ts';
import { practisedTools } from '../bench/met-tools.ts';
import { ownPractice } from '../bench/own-practice.ts';
import { createRound, withTasks, type RoundOfTasks } from '../bench/create-round.ts';
import { recordAttempt } from '../bench/record-attempt.ts';
import { checkSubjects } from '../bench/set-rounds.ts';
import { attemptShown, benchTask, stripMarks } from '../bench/show.ts';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Student } from '../models/classes.ts';
import { Attempt, Round, SetRound, Task } from '../models/bench.ts';
import { withinRate } from '../quotas.ts';
import { notFound } from '../refusal.ts';
import { namedRulesOf, rulesByVersion, rulesOf } from '../rules.ts';
import { idFrom, validated } from '../validated.ts';

async function roundShown({ round, tasks, isNew }: RoundOfTasks): Promise<BenchRound> {
  const { classId, id: roundId } = round;
  const taskId = tasks.map((task) => task.id);
  const attempts = isNew ? [] : await Attempt.findAll({ where: { classId, taskId }, order: [['serverOrder', 'ASC']] });
  const rules = await rulesByVersion(
    classId,
    tasks.map((task) => task.rulesVersion),
  );
  const closed = new Set(tasks.filter((task) => task.closedAt).map((task) => task.id));
  const version = tasks[0]?.rulesVersion ?? 1;
  const set = round.setRoundId
    ? await SetRound.findOne({ attributes: ['classId', 'id', 'title'], where: { classId, id: round.setRoundId } })
    : null;
  return {
    id: roundId,
    title: set?.title ?? null,
    subjectIds: round.subjectIds,
    rules: { version, ...(await namedRulesOf(classId, version)) },
    tasks: tasks.map((task) => benchTask(task, rules.get(task.rulesVersion) ?? neverMissing(), attempts)),
    strip: stripMarks(attempts.filter((attempt) => closed.has(attempt.taskId))),
  };
}

function neverMissing(): never {
  throw notFound();
}

const PAGE = 30;

/** A person's attempts, newest first. `mayKnow` decides whether answers of tasks still open are given. */
async function attemptPage(
  classId: string,
  personId: string,
  request: Request,
  knowsAll: boolean,
): Promise<AttemptPage> {
  const before =
    typeof request.query['before'] === 'string' && /^\d{1,18}$/.test(request.query['before'])
      ? request.query['before']
      : null;
  const rows = await Attempt.findAll({
    where: { classId, personId, ...(before ? { serverOrder: { [Op.lt]: before } } : {}) },
    order: [['serverOrder', 'DESC']],
    limit: PAGE + 1,
  });
  const page = rows.slice(0, PAGE);
  const rules = await rulesByVersion(
    classId,
    page.map((row) => row.rulesVersion),
  );
  const open = knowsAll
    ? []
    : await Task.findAll({ attributes: ['id'], where: { classId, id: page.map((row) => row.taskId), closedAt: null } });
  const openIds = new Set(open.map((task) => task.id));
  return {
    attempts: page.map((row) =>
      attemptShown(row, rules.get(row.rulesVersion) ?? neverMissing(), !openIds.has(row.taskId)),
    ),
    next: rows.length > PAGE ? (page.at(-1)?.serverOrder ?? null) : null,
  };
}

async function skillSummaries(classId: string, personId: string): Promise<SkillSummary[]> {
  const sequelize = databaseOf(Attempt);
  const replacements = { classId, personId };
  const skills = await sequelize.query<{ skill: string; readings: number; sound: number }>(
    `select skill, count(distinct task_id)::int readings, count(*) filter (where verdict = 'sound' and try_number = 1)::int sound
     from attempts where class_id = :classId and person_id = :personId group by skill order by skill`,
    { replacements, type: QueryTypes.SELECT },
  );
  const slips = await sequelize.query<{ skill: string; id: string; count: number }>(
    `select skill, slip id, count(*)::int count from attempts, unnest(slips) slip
     where class_id = :classId and person_id = :personId group by skill, slip order by count desc`,
    { replacements, type: QueryTypes.SELECT },
  );
  return skills.map((skill) => ({
    ...skill,
    slips: slips.filter((slip) => slip.skill === skill.skill).map(({ id, count }) => ({ id, count })),
  }));
}

async function recordOf(
  classId: string,
  personId: string,
  request: Request,
  knowsAll: boolean,
): Promise<StudentRecord> {
  const [skills, page] = await Promise.all([
    skillSummaries(classId, personId),
    attemptPage(classId, personId, request, knowsAll),
  ]);
  return { skills, page };
}

/** Rounds, attempts and records. */
export function benchRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.get('/classes/:classId/rounds/current', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    const place = request.query['place'] === 'numbers' ? 'numbers' : 'bench';
    const round = await Round.findOne({
      where: { classId: schoolClass.id, personId: caller.personId, sheetCode: null, place },
      order: [['takenUpAt', 'DESC']],
    });
    response.json(round ? await roundShown(await withTasks(round)) : null);
  });

  routes.post('/classes/:classId/rounds', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    checkNotArchived(schoolClass);
    await withinRate('round', caller.personId);
    const { subjectIds, setRoundId } = await validated(request, newRound);
    const person = { classId: schoolClass.id, schoolId: schoolClass.schoolId, personId: caller.personId };
    if (setRoundId !== null) {
      const round = await beginSetRound(person, setRoundId, schoolClass.rulesVersion, drawing);
      response.status(201).json(await roundShown(round));
      return;
    }
    checkSubjects(subjectIds);
    const rules = await rulesOf(schoolClass.id, schoolClass.rulesVersion);
    const mixed = practisedTools(schoolClass);
    const { rulesVersion } = schoolClass;
    const round = await createRound({ ...person, subjectIds, mixed, rules, rulesVersion, set: null }, drawing);
    response.status(201).json(await roundShown(round));
  });

  routes.post('/classes/:classId/rounds/taken-up', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    checkNotArchived(schoolClass);
    await withinRate('round', caller.personId);
    const { subjectIds } = await validated(request, newRound);
    checkSubjects(subjectIds);
    const { id: classId, schoolId, rulesVersion } = schoolClass;
    const round = await ownPractice(
      {
        classId,
        schoolId,
        personId: caller.personId,
        subjectIds,
        mixed: practisedTools(schoolClass),
        rules: await rulesOf(classId, rulesVersion),
        rulesVersion,
      },
      drawing,
    );
    response.json(await roundShown(round));
  });

  routes.post('/classes/:classId/attempts', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    checkNotArchived(schoolClass);
    const { taskId, ...entered } = await validated(request, newAttempt);
    response.json(await recordAttempt({ classId: schoolClass.id, personId: caller.personId, taskId }, entered));
  });

  routes.get('/classes/:classId/record', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    response.json(await recordOf(schoolClass.id, caller.personId, request, false));
  });

  routes.get('/classes/:classId/students/:studentId/record', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    const studentId = idFrom(request, 'studentId');
    if ((await Student.count({ where: { classId: schoolClass.id, personId: studentId } })) === 0) throw notFound();
    response.json(await recordOf(schoolClass.id, studentId, request, true));
  });

  return routes;
}
