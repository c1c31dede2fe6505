import { createHash } from 'node:crypto';
import type {
  TogetherAtFront,
  TogetherBefore,
  TogetherDot,
  TogetherNow,
  TogetherReader,
  TogetherRound,
  TogetherSummary,
} from '@green-beam/contract';
import {
  asOperated,
  cautionsFor,
  instrumentById,
  pictureOf,
  questionFor,
  roomAnswer,
  standsOnMark,
  valueIn,
  type HouseRules,
  type ReadingTask,
} from '@green-beam/core';
import { Op } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from '../classes/roster.ts';
import { SchoolClass, Student } from '../models/classes.ts';
import { Person } from '../models/people.ts';
import { TogetherAnswerRow, TogetherRow } from '../models/together.ts';
import { rulesByVersion, rulesOf } from '../rules.ts';
import { answerShown, dotOf, slipsBehind, taskOfRoom } from './task-of-room.ts';

/** After so many ms nobody is still reading, even if the teacher has left it open. */
const A_DOUBLE_LESSON = 3 * 3600 * 1000;

/** The nearest an eye begins to the level, in mm, and how much further off it may be. */
const OFF_LEVEL = { least: 25, more: 45 } as const;

/** Where somebody’s eye begins at a picture: off the level, to one side or the other, the same each time. */
function ownEye({ id }: TogetherRow, personId: string): number {
  const [side = 0, far = 0] = createHash('sha256').update(`${id} ${personId}`).digest();
  const height = OFF_LEVEL.least + Math.round((OFF_LEVEL.more * far) / 255);
  return side % 2 === 0 ? height : -height;
}

function toolNameOf({ instrumentId, title }: TogetherRow): string {
  return title === '' && instrumentId !== null ? instrumentById(instrumentId).name : title;
}

function roundShown(row: TogetherRow, task: ReadingTask | null): TogetherRound {
  const { id, seriesId, number, kind, instrumentId, unit, stoppedAt, shownAt, startedAt } = row;
  return {
    id,
    seriesId,
    number,
    kind,
    question: kind === 'picture' && task ? questionFor(task) : `Read at the front: ${row.title}`,
    instrumentId,
    unit,
    division: task ? valueIn(roomAnswer(task).division, instrumentById(task.instrumentId).unit, unit) : null,
    state: shownAt ? 'shown' : stoppedAt ? 'stopped' : 'reading',
    startedAt: startedAt.toISOString(),
  };
}

const bySize = (dots: readonly (TogetherDot | null)[]): TogetherDot[] =>
  dots.filter((dot) => dot !== null).sort((a, b) => a.value - b.value);

function answersOf({ classId, id }: TogetherRow): Promise<TogetherAnswerRow[]> {
  return TogetherAnswerRow.findAll({ where: { classId, roundId: id } });
}

/** What the class reads just now, or has read last and talks about; null where there is nothing. */
function currentRound(classId: string): Promise<TogetherRow | null> {
  return TogetherRow.findOne({
    where: { classId, endedAt: null, startedAt: { [Op.gt]: new Date(Date.now() - A_DOUBLE_LESSON) } },
    order: [
      ['startedAt', 'DESC'],
      ['number', 'DESC'],
    ],
  });
}

/** What is read together just now, for those at a screen. @param personIds who they are. */
export async function togetherNow(classId: string, personIds: readonly string[]): Promise<TogetherNow | null> {
  const row = await currentRound(classId);
  if (!row) return null;
  const rules = await rulesOf(classId, row.rulesVersion);
  const task = taskOfRoom(row, rules);
  const [answers, people] = await Promise.all([answersOf(row), Person.findAll({ where: { id: [...personIds] } })]);
  const stopped = row.stoppedAt !== null;
  const readers = personIds.map((personId): TogetherReader => {
    const person = people.find(({ id }) => id === personId);
    const mine = answers.find((answer) => answer.personId === personId);
    const seen = row.kind === 'picture' && task ? asOperated(task, { eyeHeight: ownEye(row, personId) }) : null;
    return {
      personId,
      name: person ? labelOf(person, 'short') : '',
      picture: seen ? pictureOf(seen) : null,
      entry: mine?.entry ?? null,
      late: mine?.late ?? null,
      eyeHeight: mine?.eyeHeight ?? null,
      dot: stopped && mine ? dotOf(row, mine) : null,
      verdict: stopped ? (mine?.diagnosis?.verdict ?? null) : null,
      slips: stopped && mine ? slipsBehind(task, row, mine) : [],
    };
  });
  return {
    round: roundShown(row, task),
    cautions: task && row.kind === 'picture' ? cautionsFor(task) : [],
    readers,
    dots: stopped ? bySize(answers.map((answer) => dotOf(row, answer))) : [],
    answer: answerShown(row, task),
  };
}

async function readBefore(row: TogetherRow): Promise<TogetherBefore[]> {
  const { classId, seriesId, number } = row;
  const rows = await TogetherRow.findAll({
    where: { classId, seriesId, number: { [Op.lt]: number } },
    order: [['number', 'ASC']],
  });
  return Promise.all(
    rows.map(async (before) => ({
      id: before.id,
      number: before.number,
      toolName: toolNameOf(before),
      dots: bySize((await answersOf(before)).map((answer) => dotOf(before, answer))).map((dot) =>
        inUnit(dot, before, row),
      ),
    })),
  );
}

/** A dot of one reading, in the unit of another. */
function inUnit(dot: TogetherDot, { unit: from }: TogetherRow, { unit: to }: TogetherRow): TogetherDot {
  const value = valueIn(dot.value, from, to);
  const shift = Math.round(Math.log10(valueIn(1, from, to) - valueIn(0, from, to)));
  return { ...dot, value, place: dot.place + shift };
}

/** A reading of the whole class as its teacher sees it. */
export async function togetherAtFront(row: TogetherRow): Promise<TogetherAtFront> {
  const { classId } = row;
  const rules: HouseRules = await rulesOf(classId, row.rulesVersion);
  const task = taskOfRoom(row, rules);
  const [answers, roster, before, schoolClass] = await Promise.all([
    answersOf(row),
    rosterOf(classId, 'present'),
    readBefore(row),
    SchoolClass.findByPk(classId),
  ]);
  const labels = new Map(roster.map(({ personId, person }) => [personId, labelOf(person, 'short')]));
  const isPicture = row.kind === 'picture' && task !== null;
  return {
    round: roundShown(row, task),
    toolName: toolNameOf(row),
    picture: isPicture ? pictureOf(task) : null,
    cautions: isPicture ? cautionsFor(task) : [],
    code: schoolClass?.codeOpen ? schoolClass.code : null,
    onMark: isPicture && standsOnMark(task),
    answered: answers.filter(({ entry }) => entry !== null).length,
    of: roster.length,
    answers: row.stoppedAt
      ? answers.map((answer) => ({
          personId: answer.personId,
          label: labels.get(answer.personId) ?? 'Somebody who has left',
          first: answer.firstEntry,
          entry: answer.entry ?? '',
          late: answer.late,
          dot: dotOf(row, answer),
          verdict: answer.diagnosis?.verdict ?? null,
          slips: slipsBehind(task, row, answer),
        }))
      : [],
    answer: answerShown(row, task),
    before,
    over: row.endedAt !== null,
  };
}

/** The newest so many are listed. */
const LISTED = 100;

/** What a class has read together, the newest first. */
export async function togetherOf(classId: string): Promise<TogetherSummary[]> {
  const rows = await TogetherRow.findAll({ where: { classId }, order: [['startedAt', 'DESC']], limit: LISTED });
  const [answers, rules] = await Promise.all([
    TogetherAnswerRow.findAll({
      attributes: ['classId', 'roundId', 'personId', 'entry', 'diagnosis'],
      where: { classId, roundId: rows.map(({ id }) => id) },
    }),
    rulesByVersion(
      classId,
      rows.map(({ rulesVersion }) => rulesVersion),
    ),
  ]);
  return rows.map((row) => {
    const own = answers.filter(({ roundId, entry }) => roundId === row.id && entry !== null);
    const counts = new Map<string, number>();
    // What is still read is not told, here neither.
    for (const { diagnosis } of row.stoppedAt ? own : [])
      for (const id of diagnosis?.slips[0]?.ids ?? []) counts.set(id, (counts.get(id) ?? 0) + 1);
    return {
      round: roundShown(row, taskOfRoom(row, rules.get(row.rulesVersion) as HouseRules)),
      toolName: toolNameOf(row),
      answered: own.length,
      slips: [...counts].map(([id, count]) => ({ id, count })).sort((a, b) => b.count - a.count),
    };
  });
}

/** Whether somebody may answer: they are in the class, and were not put away. */
export async function isReader(classId: string, personId: string): Promise<boolean> {
  return (await Student.count({ where: { classId, personId, archivedAt: null } })) > 0;
}
