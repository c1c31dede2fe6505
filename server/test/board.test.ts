import { randomUUID } from 'node:crypto';
import type { BenchRound, BoardRow, Lately } from '@green-beam/contract';
import { answerTo } from '@green-beam/core';
import { differenceInMinutes } from 'date-fns';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { taskOf } from '../src/bench/show.ts';
import { Task } from '../src/models/bench.ts';
import { rulesOf } from '../src/rules.ts';
import { sameSomeMinutesAgo } from './entries-ago.ts';
import { asStudent, makeStudent, openClassroom, type Classroom, type Visitor } from './harness.ts';

let room: Classroom;
let personId = '';
let student: Visitor;

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());

// Somebody new for each: nothing has been read yet.
beforeEach(async () => {
  personId = await makeStudent(room.schoolClass, 'Cleo', `Fern ${randomUUID()}`);
  student = await asStudent(room.server.base, room.schoolClass.code, personId);
});

const path = (rest: string): string => `/classes/${room.classId}${rest}`;

async function row(): Promise<BoardRow> {
  const rows = (await room.teacherSignedIn.get(path('/board'))).body as readonly BoardRow[];
  return rows.find(({ id }) => id === personId)!;
}

async function lately(): Promise<Lately> {
  return (await row()).lately;
}

async function takeUp(): Promise<string[]> {
  const { body } = await student.post(path('/rounds/taken-up'), { subjectIds: ['cylinder-50'] });
  return (body as BenchRound).tasks.map(({ id }) => id);
}

async function right(taskId: string): Promise<string> {
  const task = (await Task.findOne({ where: { classId: room.classId, id: taskId } }))!;
  return answerTo(taskOf(task, await rulesOf(room.classId, task.rulesVersion))).text;
}

async function enter(taskId: string, entry: string, kind: 'reading' | 'shown' = 'reading'): Promise<void> {
  const body = { id: randomUUID(), taskId, kind, entry, eyeHeight: 0, actions: [], hints: 0, timeTaken: 4000 };
  expect((await student.post(path('/attempts'), body)).status).toBe(200);
}

const rightly = async (taskId: string): Promise<void> => enter(taskId, `${await right(taskId)} mL`);
/** The right number, without its unit. */
const bare = async (taskId: string): Promise<void> => enter(taskId, await right(taskId));

describe('what a student does this lesson, on the board', () => {
  it('is nothing for who has not begun', async () => {
    expect(await lately()).toEqual({ lastSeen: null, stuckOn: null, underWay: false });
  });

  it('is a round under way, and when the last entry came', async () => {
    const [first = ''] = await takeUp();
    const before = Date.now();
    await rightly(first);
    const { lastSeen, stuckOn, underWay } = await lately();
    expect({ stuckOn, underWay }).toEqual({ stuckOn: null, underWay: true });
    expect(Math.abs(new Date(lastSeen ?? 0).getTime() - before)).toBeLessThan(10_000);
  });

  it('is not under way once every item of the round is closed', async () => {
    for (const taskId of await takeUp()) await enter(taskId, '', 'shown');
    expect((await lately()).underWay).toBe(false);
    // A round that waits on the shelf does not call the teacher: the one taken up last counts.
    const [first = ''] = await takeUp();
    await rightly(first);
    expect((await lately()).underWay).toBe(true);
  });

  it('is being stuck after the same slip three times in a row, whatever was asked for or not understood between', async () => {
    const [a = '', b = '', c = '', d = ''] = await takeUp();
    await bare(a);
    await bare(b);
    expect((await lately()).stuckOn).toBeNull();
    await enter(b, 'I do not know');
    await enter(a, '', 'shown');
    await bare(c);
    expect((await lately()).stuckOn).toEqual({ slip: 'unit-missing', times: 3 });
    await rightly(d);
    expect((await lately()).stuckOn).toBeNull();
  });

  it('forgets what is older than an hour', async () => {
    const [a = '', b = '', c = ''] = await takeUp();
    for (const taskId of [a, b, c]) await bare(taskId);
    expect((await lately()).stuckOn).toMatchObject({ times: 3 });
    const other = await makeStudent(room.schoolClass, 'Dov', 'Reed');
    await sameSomeMinutesAgo({ classId: room.classId, personId }, other, 61);
    personId = other;
    const { stuckOn, lastSeen } = await lately();
    expect(stuckOn).toBeNull();
    expect(differenceInMinutes(new Date(), new Date(lastSeen ?? 0))).toBe(61);
  });
});

describe('the skills of a student, on the board', () => {
  it('count an item once, and as right only at its first try', async () => {
    const [a = '', b = '', c = ''] = await takeUp();
    await rightly(a);
    await bare(b);
    await rightly(b);
    await bare(c);
    const [skill, ...others] = (await row()).skills;
    expect(others).toEqual([]);
    expect(skill).toMatchObject({ skill: 'graduated-cylinders', readings: 3, sound: 1 });
    expect(skill?.slips.map(({ id, count }) => [id, count])).toEqual([['unit-missing', 2]]);
  });
});

describe('the board', () => {
  it('is for teachers of the class', async () => {
    expect((await student.get(path('/board'))).status).toBe(403);
  });
});
