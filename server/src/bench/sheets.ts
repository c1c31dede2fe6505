import type { NewSheetAnswers, PrintedReading, PrintedRound, PrintedSheet, SheetShown } from '@green-beam/contract';
import {
  answerTo,
  expectedReading,
  isExerciseTask,
  questionOn,
  shownItem,
  subjectById,
  type HouseRules,
  type PracticeTask,
} from '@green-beam/core';
import type { ClassAccess } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { rosterOf, type NamedStudent } from '../classes/roster.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Attempt, Round, SetRound, Task } from '../models/bench.ts';
import { Person } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';
import { rulesByVersion, rulesOf } from '../rules.ts';
import { ownRound } from './begin-set-round.ts';
import { recordAttempt } from './record-attempt.ts';
import { isFor } from './set-rounds.ts';
import { attemptResult, taskOf } from './show.ts';

function printedReading(row: Task, rules: HouseRules): PrintedReading {
  const task = taskOf(row, rules);
  const { text, unit } = answerTo(task);
  return {
    question: questionOn(task),
    tool: [subjectById(row.subjectId).name, ...(row.toolCode ? [row.toolCode] : [])].join(', '),
    picture: shownItem(task),
    unit,
    answer: { text, accepts: acceptedOf(task) },
  };
}

/** What is accepted beside the right answer: a band for a reading, nothing else for an exercise. */
function acceptedOf(task: PracticeTask): readonly [string, string] {
  if (!isExerciseTask(task)) return expectedReading(task).accepts;
  const { text } = answerTo(task);
  return [text, text];
}

async function tasksOf(classId: string, roundId: string): Promise<Task[]> {
  return Task.findAll({ where: { classId, roundId }, order: [['position', 'ASC']] });
}

/** Sheets drawn together. */
const TOGETHER = 4;

/**
 * The sheets of a round on paper, with their key: drawn at the first call for everybody it is for, and the same ones ever after. Who
 * joins the class later has a sheet at the next call.
 * @throws Refusal when it is not on paper (404), was taken back (409), or nobody is there to print for (409).
 */
export async function printedRound(
  { schoolClass }: ClassAccess,
  setRoundId: string,
  drawing: Drawing,
): Promise<PrintedRound> {
  const { id: classId, schoolId } = schoolClass;
  const set = await SetRound.findOne({ where: { classId, id: setRoundId } });
  if (!set?.onPaper) throw notFound();
  const roster = (await rosterOf(classId, 'present')).filter(({ personId }) => isFor(set, personId));
  if (roster.length === 0) throw new Refusal(409, 'Nobody is in this class yet, so there is no sheet to print.');
  const sheetOf = async ({ personId, person }: NamedStudent): Promise<PrintedSheet> => {
    const { round, tasks } = await ownRound({ classId, schoolId, personId }, set, schoolClass.rulesVersion, drawing);
    const rules = await rulesByVersion(
      classId,
      tasks.map((task) => task.rulesVersion),
    );
    return {
      code: round.sheetCode ?? '',
      student: labelOf(person, 'full'),
      readings: tasks.map((task) => printedReading(task, rules.get(task.rulesVersion) ?? missing())),
    };
  };
  const sheets: PrintedSheet[] = [];
  // A few at a time: while the database stores some the next are drawn, and between them the server answers others.
  for (let first = 0; first < roster.length; first += TOGETHER)
    sheets.push(...(await Promise.all(roster.slice(first, first + TOGETHER).map(sheetOf))));
  return {
    title: set.title,
    className: schoolClass.name,
    dueAt: set.dueAt?.toISOString() ?? null,
    rules: await rulesOf(classId, set.rulesVersion ?? schoolClass.rulesVersion),
    sheets,
  };
}

function missing(): never {
  throw notFound();
}

/** A code as it may be written by hand: small letters, no dash, spaces. */
function tidied(code: string): string {
  const plain = code.toUpperCase().replace(/[^A-Z0-9]/g, '');
  return `${plain.slice(0, 3)}-${plain.slice(3)}`;
}

/** The round a sheet belongs to. A student finds their own only. @throws Refusal (404). */
async function roundBySheet({ schoolClass, caller, as }: ClassAccess, code: string): Promise<Round> {
  const round = await Round.findOne({ where: { classId: schoolClass.id, sheetCode: tidied(code) } });
  if (!round || (as === 'student' && round.personId !== caller.personId))
    throw new Refusal(404, 'No sheet of this class has that code. It is at the top right of the sheet.', 'code');
  return round;
}

/** A sheet as its answers are typed in: what was taken already, with its verdict. */
export async function sheetShown(access: ClassAccess, code: string): Promise<SheetShown> {
  const round = await roundBySheet(access, code);
  const { classId, id: roundId, personId, setRoundId } = round;
  const [tasks, set, person] = await Promise.all([
    tasksOf(classId, roundId),
    SetRound.findOne({ where: { classId, id: setRoundId ?? '' } }),
    Person.findByPk(personId),
  ]);
  const attempts = await Attempt.findAll({
    where: { classId, taskId: tasks.map((task) => task.id) },
    order: [['serverOrder', 'ASC']],
  });
  const rules = await rulesByVersion(
    classId,
    tasks.map((task) => task.rulesVersion),
  );
  return {
    code: round.sheetCode ?? '',
    title: set?.title ?? '',
    student: person ? labelOf(person, 'full') : '',
    readings: tasks.map((row) => {
      const own = rules.get(row.rulesVersion) ?? missing();
      const onTask = attempts.filter((attempt) => attempt.taskId === row.id);
      const last = onTask.at(-1);
      const { question, tool, unit } = printedReading(row, own);
      return {
        taskId: row.id,
        question,
        tool,
        unit,
        entry: last?.entry ?? null,
        result: last ? attemptResult(last, own, Boolean(row.closedAt), onTask) : null,
      };
    }),
  };
}

/**
 * Takes what stands on a sheet; every answer is judged like one given on the bench. Sent twice it is taken once.
 * @throws Refusal naming the answer: one that is not of this sheet (400), or a reading that has an answer already (409).
 */
export async function takeSheetAnswers(
  access: ClassAccess,
  code: string,
  { answers }: NewSheetAnswers,
): Promise<SheetShown> {
  const { classId, id: roundId, personId } = await roundBySheet(access, code);
  const tasks = await tasksOf(classId, roundId);
  const sent = await Attempt.findAll({
    attributes: ['id'],
    where: { classId, id: answers.map((answer) => answer.id) },
  });
  answers.forEach(({ id, taskId }, i) => {
    const task = tasks.find((one) => one.id === taskId);
    if (!task) throw new Refusal(400, 'That reading is not on this sheet.', `answers[${i}].taskId`);
    if (task.closedAt && !sent.some((one) => one.id === id))
      throw new Refusal(
        409,
        `Reading ${task.position + 1} has an answer already. Load the sheet again to see it. Nothing was saved.`,
        `answers[${i}].entry`,
      );
  });
  for (const { id, taskId, entry } of answers) {
    await recordAttempt(
      { classId, personId, taskId },
      {
        id,
        kind: 'reading',
        entry,
        eyeHeight: 0,
        actions: [],
        hints: 0,
        timeTaken: null,
        enteredBy: access.caller.personId,
      },
    );
  }
  return sheetShown(access, code);
}
