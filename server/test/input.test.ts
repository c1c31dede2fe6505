import { randomUUID } from 'node:crypto';
import { answerTo } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { taskOf } from '../src/bench/show.ts';
import { Attempt, Task } from '../src/models/bench.ts';
import { rulesOf } from '../src/rules.ts';
import { openClassroom, type Answer, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let classId = '';
let open: string[] = [];

beforeAll(async () => {
  ({ server, student, classId } = await openClassroom());
});
afterAll(() => server.stop());

async function expectedText(taskId: string): Promise<string> {
  const task = (await Task.findOne({ where: { classId, id: taskId } }))!;
  return answerTo(taskOf(task, await rulesOf(classId, task.rulesVersion))).text;
}

async function nextTask(): Promise<string> {
  if (open.length === 0)
    open = (await student.post(`/classes/${classId}/rounds`, { subjectIds: ['cylinder-50'] })).body.tasks.map(
      (task: { id: string }) => task.id,
    );
  const taskId = open.pop()!;
  // The entries below all say 12.3 mL: a picture that happens to stand there would make them right.
  return (await expectedText(taskId)).startsWith('12') ? nextTask() : taskId;
}

async function answer(taskId: string, entry: string, more: object = {}): Promise<Answer> {
  return student.post(`/classes/${classId}/attempts`, {
    id: randomUUID(),
    taskId,
    kind: 'reading',
    entry,
    eyeHeight: 0,
    actions: [],
    hints: 0,
    timeTaken: 1000,
    ...more,
  });
}

describe('whatever is typed gets a verdict, and is stored as it was typed', () => {
  it.each([
    ['nothing', '', 'unreadable'],
    ['blanks', '   ', 'unreadable'],
    ['words', 'about half', 'unreadable'],
    ['two numbers', '12 13 mL', 'unreadable'],
    ['two points', '12.3.4 mL', 'unreadable'],
    ['ten thousand characters', 'x'.repeat(10_000), 'unreadable'],
    ['ten thousand digits', '9'.repeat(10_000), 'unreadable'],
    ['an unknown unit', '12.3 cubits', null],
    ['a wrong unit', '12.3 g', null],
    ['no unit', '12.3', null],
    ['a minus sign', '−12.3 mL', null],
    ['a hyphen', '-12.3 mL', null],
    ['an en dash', '–12.3 mL', null],
    ['an exponent', '1.23e1 mL', null],
    ['a huge exponent', '1e300 mL', null],
    ['a decimal comma', '12,3 mL', null],
    ['full-width digits', '１２．３ ｍＬ', null],
    ['Arabic-Indic digits', '١٢٫٣ mL', null],
    ['markup', '<img src=x onerror=alert(1)> 12.3 mL', null],
    ['a quotation mark', "12.3'; drop table attempts; -- mL", null],
    ['a null character', '12.3\u0000 mL', null],
    ['a lone surrogate', '12.3\ud800 mL', null],
    ['litres', '0.0123 L', null],
  ])('%s', async (_, entry, verdict) => {
    const { status, body } = await answer(await nextTask(), entry);
    expect(status).toBe(200);
    expect(body.verdict).toMatch(verdict ?? /^(slip|record|unexplained|unreadable)$/);
    if (body.verdict === 'unreadable') expect(body.message).toMatch(/\w/);
    const stored = await Attempt.findOne({ where: { classId, id: body.attemptId } });
    // PostgreSQL holds neither a null character nor half a surrogate pair; both stay visible as something else.
    expect(stored?.entry).toBe(entry.replace('\u0000', '\u2400').replace('\ud800', '\ufffd'));
  });

  it.each([
    ['as the class writes it', (text: string) => `${text} mL`],
    ['with a decimal comma', (text: string) => `${text.replace('.', ',')} mL`],
    ['with small letters', (text: string) => `${text} ml`],
    ['in cubic centimetres', (text: string) => `${text} cm³`],
    ['with a plus sign', (text: string) => `+${text} mL`],
    ['with a thin space', (text: string) => `${text}\u2009mL`],
    ['without a space', (text: string) => `${text}mL`],
  ])('the right reading %s is sound', async (_, spell) => {
    const taskId = await nextTask();
    expect((await answer(taskId, spell(await expectedText(taskId)))).body.verdict).toBe('sound');
  });
});

describe('a body that cannot be one names its field', () => {
  it.each([
    ['id', { id: 'mine' }],
    ['taskId', { taskId: 7 }],
    ['kind', { kind: 'guess' }],
    ['entry', { entry: 'x'.repeat(20_001) }],
    ['eyeHeight', { eyeHeight: 1000 }],
    ['eyeHeight', { eyeHeight: null }],
    ['timeTaken', { timeTaken: 'long' }],
    ['hints', { hints: -1 }],
    ['actions', { actions: 'none' }],
  ])('%s', async (field, wrong) => {
    const { status, body } = await answer(await nextTask(), '1 mL', wrong);
    expect(status).toBe(400);
    expect(body.field).toContain(field);
    expect(body.message).toMatch(/\w/);
  });

  it('and so does no body, or one that is no JSON', async () => {
    expect((await student.post(`/classes/${classId}/attempts`, {})).body.field).toBe('id');
    const response = await fetch(`${server.base}/classes/${classId}/attempts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: student.cookies, 'x-csrf-token': student.token },
      body: '{"id":',
    });
    expect(response.status).toBe(400);
    const large = await fetch(`${server.base}/classes/${classId}/attempts`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: student.cookies, 'x-csrf-token': student.token },
      body: JSON.stringify({ entry: 'x'.repeat(400_000) }),
    });
    expect(large.status).toBe(413);
  });

  it.each([
    ['{"__proto__": {"isAdmin": true}}', '__proto__'],
    ['{"subjectIds": [{"constructor": {"prototype": 1}}]}', 'subjectIds[0].constructor'],
    ['{"a\\u0000b": 1}', 'a\u0000b'],
    [`${'{"a":'.repeat(17)}1${'}'.repeat(17)}`, Array.from({ length: 17 }, () => 'a').join('.')],
    [JSON.stringify({ subjectIds: Array.from({ length: 20_001 }, () => 0) }), 'subjectIds[19998]'],
    ['[1, 2]', null],
  ])('nor does %.40s reach a schema', async (sent, field) => {
    const response = await fetch(`${server.base}/classes/${classId}/rounds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: student.cookies, 'x-csrf-token': student.token },
      body: sent,
    });
    expect([response.status, ((await response.json()) as { field: unknown }).field]).toEqual([400, field]);
  });

  it('a round names a tool that is not on the bench', async () => {
    for (const instrumentId of ['cylinder-51', 'sundial', '__proto__']) {
      const { status, body } = await student.post(`/classes/${classId}/rounds`, { subjectIds: [instrumentId] });
      expect([status, body.field]).toEqual([400, 'subjectIds']);
    }
  });
});
