import type { SetRoundShown } from '@green-beam/contract';
import { expectedReading, readingTask, type Situation } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Task } from '../src/models/bench.ts';
import { asStudent, makeStudent, openClassroom, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let other: Visitor;
let teacher: Visitor;
let classId = '';
let studentId = '';
let otherId = '';

beforeAll(async () => {
  const room = await openClassroom();
  ({ server, student, studentId, classId, teacherSignedIn: teacher } = room);
  otherId = await makeStudent(room.schoolClass, 'Cleo', 'Fen');
  other = await asStudent(server.base, room.schoolClass.code, otherId);
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;
const BASE = {
  title: 'Burettes',
  subjectIds: ['burette-50'],
  length: 3,
  aims: ['upside-down'],
  tries: 1,
  hints: false,
};

async function set(more: Record<string, unknown> = {}): Promise<SetRoundShown> {
  const { status, body } = await teacher.post(url('/set-rounds'), { ...BASE, ...more });
  expect(status, JSON.stringify(body)).toBe(201);
  return body[0];
}

const begin = (who: Visitor, setRoundId: string) => who.post(url('/rounds'), { setRoundId });

async function answer(who: Visitor, taskId: string, wrong = false) {
  const row = (await Task.findOne({ where: { classId, id: taskId } }))!;
  const { text, unit } = expectedReading(readingTask(row.subjectId, row.situation as Situation));
  return who.post(url('/attempts'), {
    id: crypto.randomUUID(),
    taskId,
    kind: 'reading',
    entry: wrong ? '999 mL' : `${text} ${unit}`,
    eyeHeight: 0,
    timeTaken: 900,
  });
}

describe('a round that is set', () => {
  it('is drawn as the teacher wants it: tools, number, aim, tries, hints', async () => {
    const { id } = await set();
    const { status, body } = await begin(student, id);
    expect(status).toBe(201);
    expect(body.title).toBe('Burettes');
    expect(body.tasks).toHaveLength(3);
    for (const task of body.tasks)
      expect(task).toMatchObject({ tries: 1, hints: [], picture: { instrumentId: 'burette-50' } });
    const closed = (await answer(student, body.tasks[0].id, true)).body;
    expect(closed).toMatchObject({ closed: true, tryNumber: 1 });
    expect(closed.answer.text).toMatch(/^\d+\.\d\d$/);
  });

  it('is the same round however often it is begun, in two tabs at the same moment too', async () => {
    const { id } = await set({ title: 'Twice' });
    const [first, second] = await Promise.all([begin(other, id), begin(other, id)]);
    expect([first.status, second.status]).toEqual([201, 201]);
    expect(first.body.id).toBe(second.body.id);
    expect((await begin(other, id)).body.id).toBe(first.body.id);
  });

  it('shows the teacher how far everybody has come, and a student only their own part', async () => {
    const { id } = await set({ title: 'Progress', length: 2 });
    const { body: round } = await begin(student, id);
    await answer(student, round.tasks[0].id);
    await answer(student, round.tasks[1].id, true);
    const shown = (await teacher.get(url('/set-rounds'))).body.find(
      (one: SetRoundShown) => one.id === id,
    ) as SetRoundShown;
    expect(shown.progress.find((one) => one.studentId === studentId)).toMatchObject({
      done: 2,
      rightAtFirst: 1,
      finishedAt: expect.any(String),
    });
    expect(shown.progress.find((one) => one.studentId === otherId)).toMatchObject({ done: 0, finishedAt: null });
    const own = (await student.get(url('/set-rounds'))).body.find(
      (one: SetRoundShown) => one.id === id,
    ) as SetRoundShown;
    expect(own.progress.map((one) => one.studentId)).toEqual([studentId]);
  });

  it('for some students is nowhere for the others', async () => {
    const { id } = await set({ title: 'For one', studentIds: [studentId] });
    expect((await other.get(url('/set-rounds'))).body.map((one: SetRoundShown) => one.id)).not.toContain(id);
    expect((await begin(other, id)).status).toBe(404);
    expect((await begin(student, id)).status).toBe(201);
  });

  it('can have a method of its own, which changes nothing for the class', async () => {
    const before = (await teacher.get(url('/rules'))).body;
    const shown = await set({ title: 'Halves', subjectIds: ['cylinder-50'], aims: [], preset: 'half-a-division' });
    expect(shown.rulesName).toBe('Half a division');
    const { body: round } = await begin(student, shown.id);
    expect(round.tasks[0].unit).toBe('cm³');
    expect(round.rules).toMatchObject({ name: 'Half a division', rules: { estimate: 'half-division' } });
    expect((await teacher.get(url('/rules'))).body).toEqual(before);
    const changed = await teacher.post(url('/rules'), {
      name: 'Wider',
      rules: { acceptance: 3 },
      after: before.version,
    });
    expect(changed.status).toBe(201);
    expect(changed.body.version).toBeGreaterThan(Number(before.version) + 1);
  });

  it('withdrawn is not begun any more, and who was in it goes on: nothing is lost', async () => {
    const { id } = await set({ title: 'Taken back' });
    const { body: round } = await begin(student, id);
    expect((await teacher.post(url(`/set-rounds/${id}/withdraw`))).status).toBe(200);
    expect((await answer(student, round.tasks[0].id)).body.verdict).toBe('sound');
    const late = await begin(other, id);
    expect(late.status).toBe(409);
    expect(late.body.message).toContain('has withdrawn this practice set');
    expect((await other.get(url('/set-rounds'))).body.map((one: SetRoundShown) => one.id)).not.toContain(id);
  });

  it('past its date is still taken, and its lateness can be seen', async () => {
    const { id } = await set({ title: 'Late', length: 1, dueAt: '2020-01-01T12:00:00.000Z' });
    const { body: round } = await begin(student, id);
    expect((await answer(student, round.tasks[0].id)).status).toBe(200);
    const shown = (await teacher.get(url('/set-rounds'))).body.find(
      (one: SetRoundShown) => one.id === id,
    ) as SetRoundShown;
    expect(Date.parse(shown.progress.find((one) => one.studentId === studentId)!.finishedAt!)).toBeGreaterThan(
      Date.parse(shown.dueAt!),
    );
  });

  it.each([
    ['title', { title: '' }],
    ['subjectIds', { subjectIds: ['teapot'] }],
    ['length', { length: 0 }],
    ['length', { length: 31 }],
    ['length', { length: 2.5 }],
    ['aims', { aims: ['sleepy'] }],
    ['aims', { aims: ['sign-lost'] }],
    ['tries', { tries: 9 }],
    ['dueAt', { dueAt: 'tomorrow-ish' }],
    ['studentIds', { studentIds: [] }],
    ['studentIds', { studentIds: [crypto.randomUUID()] }],
    ['preset', { preset: 'guesswork' }],
  ])('names %s when it is wrong: %j', async (field, wrong) => {
    const { status, body } = await teacher.post(url('/set-rounds'), { ...BASE, ...wrong });
    expect([status, body.field]).toEqual([400, field]);
  });

  it.each([
    [
      'without a fault',
      [
        ['Start / mL', 'End / mL'],
        ['0.35', '18.62'],
        ['1.20', '20.45'],
        ['0.60', '19.13'],
      ],
      'table',
    ],
    ['of one line', [['Start / mL']], 'table.cells'],
    ['with an endless cell', [['Start / mL'], ['1'.repeat(200)]], 'table.cells[1][0]'],
    ['of many lines', [['Start', 'End'], ...Array.from({ length: 45 }, () => ['0.35', '18.62'])], 'table'],
  ])('cannot be a table %s', async (_, cells, field) => {
    const { status, body } = await teacher.post(url('/set-rounds'), { ...BASE, aims: [], table: { cells } });
    expect([status, body.field]).toEqual([400, field]);
  });

  it('that is not there is nowhere', async () => {
    expect((await begin(student, crypto.randomUUID())).status).toBe(404);
    expect((await teacher.post(url(`/set-rounds/${crypto.randomUUID()}/withdraw`))).status).toBe(404);
    expect((await student.post(url('/rounds'), { setRoundId: 'none' })).body.field).toBe('setRoundId');
  });
});

describe('a table whose faults are to be found', () => {
  const cells = [
    ['Run', 'Start / mL', 'End / mL', 'Run out'],
    ['1', '0.35', '18.62', '18.27'],
    ['2', '1.20', '20.45', '19.35'],
    ['3', '0.60', '19.13', '18.53'],
  ];
  const SET = { ...BASE, title: 'Find the errors', aims: [], tries: 2 };

  it('is the same for everybody, gives nothing away, and is judged by what is wrong in it', async () => {
    const { id, subjectIds, length, place } = await set({ ...SET, table: { cells } });
    expect({ subjectIds, length, place }).toEqual({ subjectIds: ['spot-the-error'], length: 1, place: 'numbers' });
    const [own, others] = [await begin(student, id), await begin(other, id)];
    expect(own.status).toBe(201);
    const [task] = own.body.tasks;
    expect(task.picture.answered).toMatchObject({ by: 'marks', headings: cells[0], rows: cells.slice(1) });
    expect(task.picture).toEqual(others.body.tasks[0].picture);
    expect(JSON.stringify(task)).not.toMatch(/19\.25|fault|called/);
    const attempt = (who: Visitor, taskId: string, entry: string) =>
      who.post(url('/attempts'), {
        id: crypto.randomUUID(),
        taskId,
        kind: 'reading',
        entry,
        eyeHeight: 0,
        timeTaken: 900,
      });
    const half = (await attempt(student, task.id, '12c')).body;
    expect(half).toMatchObject({ verdict: 'slip', closed: false });
    expect((await attempt(student, task.id, '4a 12c')).body).toMatchObject({ verdict: 'sound', closed: true });
  });

  it('has no fault where its teacher takes the table for right', async () => {
    const { id } = await set({ ...SET, table: { cells, left: ['0 3 unit-missing'] } });
    const { body } = await begin(other, id);
    const answered = await other.post(url('/attempts'), {
      id: crypto.randomUUID(),
      taskId: body.tasks[0].id,
      kind: 'reading',
      entry: '12c',
      eyeHeight: 0,
      timeTaken: 900,
    });
    expect(answered.body).toMatchObject({ verdict: 'sound', closed: true });
  });
});
