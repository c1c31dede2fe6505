import { randomUUID } from 'node:crypto';
import type { NewSetRound, SetRoundProgress, SetRoundShown } from '@green-beam/contract';
import {
  practiceSlipById,
  PRACTICE_SLIPS,
  PRESETS,
  shownOnPaper,
  isExerciseKind,
  subjectIds,
  TableError,
  tableExercise,
  type HouseRules,
  type TableExercise,
} from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { addRules } from '../classes/change-rules.ts';
import { rosterOf } from '../classes/roster.ts';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Attempt, SetRound } from '../models/bench.ts';
import { Tool } from '../models/cabinet.ts';
import { HouseRulesVersion } from '../models/classes.ts';
import { Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { meetTools } from './met-tools.ts';
import { placeOf } from './place.ts';

interface Counted {
  readonly set_round_id: string;
  readonly person_id: string;
  readonly done: number;
  readonly right_at_first: number;
  readonly finished_at: Date | null;
  readonly sheet_code: string | null;
}

/** How far everybody has come in every set round of a class. */
async function counts(classId: string): Promise<Counted[]> {
  const sequelize = databaseOf(Attempt);
  return sequelize.query<Counted>(
    `select rounds.set_round_id, rounds.person_id, rounds.sheet_code, count(tasks.closed_at)::int done,
       count(*) filter (where exists (select 1 from attempts where attempts.class_id = tasks.class_id and attempts.task_id = tasks.id and try_number = 1 and verdict = 'sound'))::int right_at_first,
       case when count(*) = count(tasks.closed_at) then max(tasks.closed_at) end finished_at
     from rounds join tasks on tasks.class_id = rounds.class_id and tasks.round_id = rounds.id
     where rounds.class_id = :classId and rounds.set_round_id is not null
     group by rounds.set_round_id, rounds.person_id, rounds.sheet_code`,
    { replacements: { classId }, type: QueryTypes.SELECT },
  );
}

/** Whether a round was set for somebody. */
export function isFor({ studentIds }: SetRound, personId: string): boolean {
  return studentIds === null || studentIds.includes(personId);
}

/** Rounds set in a class, newest first: with everybody’s progress for teachers, with their own for a student. */
export async function setRoundsShown({ schoolClass, caller, as }: ClassAccess): Promise<SetRoundShown[]> {
  const { id: classId } = schoolClass;
  const [all, roster, counted, rules, tools] = await Promise.all([
    SetRound.findAll({ where: { classId }, order: [['createdAt', 'DESC']] }),
    rosterOf(classId, 'present'),
    counts(classId),
    HouseRulesVersion.findAll({ attributes: ['version', 'name'], where: { classId } }),
    Tool.findAll({ attributes: ['classId', 'id', 'code'], where: { classId }, order: [['code', 'ASC']] }),
  ]);
  const seen = as === 'teacher' ? all : all.filter((round) => isFor(round, caller.personId) && !round.withdrawnAt);
  const people = as === 'teacher' ? roster : roster.filter(({ personId }) => personId === caller.personId);
  const progressOf = (round: SetRound): SetRoundProgress[] =>
    people
      .filter(({ personId }) => isFor(round, personId))
      .map(({ personId, person }) => {
        const own = counted.find((count) => count.set_round_id === round.id && count.person_id === personId);
        return {
          studentId: personId,
          label: labelOf(person, 'short'),
          done: own?.done ?? 0,
          rightAtFirst: own?.right_at_first ?? 0,
          finishedAt: own?.finished_at?.toISOString() ?? null,
          sheetCode: own?.sheet_code ?? null,
        };
      });
  return seen.map((round) => ({
    id: round.id,
    title: round.title,
    subjectIds: round.subjectIds,
    place: placeOf(round.subjectIds),
    toolCodes: tools.filter(({ id }) => round.toolIds.includes(id)).map(({ code }) => code),
    length: round.length,
    aims: round.aims,
    tries: round.tries,
    hints: round.hints,
    dueAt: round.dueAt?.toISOString() ?? null,
    rulesName: rules.find((row) => row.version === round.rulesVersion)?.name ?? null,
    onPaper: round.onPaper,
    withdrawn: Boolean(round.withdrawnAt),
    setAt: round.createdAt.toISOString(),
    progress: progressOf(round),
  }));
}

/** @throws Refusal naming what is neither a tool nor a kind of exercise. */
export function checkSubjects(ids: readonly string[]): void {
  const known = subjectIds();
  const unknown = ids.find((id) => !known.includes(id));
  if (unknown !== undefined)
    throw new Refusal(400, `“${unknown}” is neither a tool on the bench nor a kind of exercise.`, 'subjectIds');
}

/** Checks what the schema cannot know: that tools, slips, students and rules are there, and that the aims can be met. */
async function check({ schoolClass }: ClassAccess, body: NewSetRound, drawing: Drawing): Promise<void> {
  checkSubjects(body.subjectIds);
  const slip = body.aims.find((id) => !PRACTICE_SLIPS.some((known) => known.id === id));
  const moving = body.onPaper ? body.aims.find((id) => !shownOnPaper(id)) : undefined;
  if (slip !== undefined) throw new Refusal(400, `“${slip}” is not a slip known here.`, 'aims');
  if (moving !== undefined)
    throw new Refusal(
      400,
      `“${practiceSlipById(moving).name}” cannot happen on paper, where the eye and the tool do not move.`,
      'aims',
    );
  const roster = new Set((await rosterOf(schoolClass.id, 'present')).map(({ personId }) => personId));
  if (body.studentIds?.length === 0)
    throw new Refusal(400, 'Choose at least one student, or the whole class.', 'studentIds');
  if (body.studentIds?.some((id) => !roster.has(id)))
    throw new Refusal(400, 'One of the students is not in this class.', 'studentIds');
  if (body.preset !== null && !PRESETS.some(({ id }) => id === body.preset))
    throw new Refusal(400, `“${body.preset}” is not a method known here.`, 'preset');
  const rules =
    PRESETS.find(({ id }) => id === body.preset)?.rules ?? (await rulesOf(schoolClass.id, schoolClass.rulesVersion));
  if (body.aims.length > 0) await drawing.checkAims(body.subjectIds, body.aims, rules);
}

/** The kinds of the tools named, or the kinds chosen where none is. @throws Refusal for a tool that is not to be used. */
async function kindsOf(classId: string, { toolIds, subjectIds: kinds }: NewSetRound): Promise<string[]> {
  if (toolIds.length === 0) return kinds;
  const tools = await Tool.findAll({ where: { classId, id: toolIds } });
  if (tools.length < new Set(toolIds).size)
    throw new Refusal(400, 'One of the tools does not belong to this class.', 'toolIds');
  const broken = tools.find(({ state }) => state === 'out-of-use');
  if (broken) throw new Refusal(400, `${broken.code} is out of use.`, 'toolIds');
  // Beside the very tools, exercises may be set as well.
  return [...new Set([...tools.map(({ instrumentId }) => instrumentId), ...kinds.filter(isExerciseKind)])];
}

/** The exercise that a teacher’s table makes. @throws Refusal for a table in which nothing is to be found. */
function exerciseOf({ table }: NewSetRound, rules: HouseRules): TableExercise[] | null {
  if (table === null) return null;
  try {
    const { cells, answers, left } = table;
    return [tableExercise(cells, { rules, answers, left })];
  } catch (error) {
    if (error instanceof TableError) throw new Refusal(400, error.message.replace(/^table: /, ''), 'table');
    throw error;
  }
}

/** Sets a round. @throws Refusal naming the field. */
export async function setRound(access: ClassAccess, body: NewSetRound, drawing: Drawing): Promise<SetRound> {
  await check(access, body, drawing);
  const { id: classId, schoolId } = access.schoolClass;
  const preset = PRESETS.find(({ id }) => id === body.preset);
  const rulesVersion = preset ? await addRules({ classId, schoolId }, preset.name, preset.rules) : null;
  const { title, toolIds, aims, dueAt, studentIds, onPaper } = body;
  const given = exerciseOf(body, preset?.rules ?? (await rulesOf(classId, access.schoolClass.rulesVersion)));
  const [subjectIds, length] = given ? [['spot-the-error'], given.length] : [await kindsOf(classId, body), body.length];
  // Paper answers once, and gives no hints.
  const { tries, hints } = onPaper ? { tries: 1, hints: false } : body;
  await meetTools(classId, subjectIds);
  return SetRound.create({
    classId,
    schoolId,
    id: randomUUID(),
    setBy: access.caller.personId,
    title,
    subjectIds,
    toolIds,
    length,
    aims,
    tries,
    hints,
    dueAt: dueAt === null ? null : new Date(dueAt),
    studentIds,
    onPaper,
    given,
    rulesVersion,
  });
}
