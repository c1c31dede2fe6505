import type { PrintedRound, SetRoundShown, SheetShown } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Attempt, Task } from '../src/models/bench.ts';
import { asStudent, makeStudent, openClassroom, type Classroom, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let other: Visitor;
let teacher: Visitor;
let teacherId = '';
let schoolClass: Classroom['schoolClass'];
let classId = '';
let studentId = '';

beforeAll(async () => {
  const room = await openClassroom();
  ({ server, student, studentId, classId, schoolClass, teacherSignedIn: teacher } = room);
  teacherId = room.teacher.personId;
  other = await asStudent(server.base, schoolClass.code, await makeStudent(schoolClass, 'Cleo', 'Fen'));
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;

async function set(more: Record<string, unknown> = {}): Promise<SetRoundShown> {
  const { status, body } = await teacher.post(url('/set-rounds'), {
    title: 'On paper',
    subjectIds: ['cylinder-50', 'burette-50', 'ruler-millimetre', 'thermometer-degree'],
    length: 4,
    aims: [],
    tries: 3,
    hints: true,
    onPaper: true,
    ...more,
  });
  expect(status, JSON.stringify(body)).toBe(201);
  return body[0];
}

async function print(id: string): Promise<PrintedRound> {
  const { status, body } = await teacher.post(url(`/set-rounds/${id}/sheets`));
  expect(status, JSON.stringify(body)).toBe(200);
  return body;
}

/** One student’s sheet of a fresh round, by their name’s first letters. */
async function sheetOf(name: string, more: Record<string, unknown> = {}): Promise<PrintedRound['sheets'][number]> {
  return (await print((await set(more)).id)).sheets.find((sheet) => sheet.student.startsWith(name))!;
}

const idsOf = (shown: SheetShown): string[] => shown.readings.map((reading) => reading.taskId);
const typed = (taskId: string, entry: string, id: string = crypto.randomUUID()) => ({ id, taskId, entry });

describe('a round on paper', () => {
  it('has a sheet for everybody, each with a code and readings of its own, and a key', async () => {
    const { sheets, className, title } = await print((await set()).id);
    expect([title, className]).toEqual(['On paper', 'harbour 9']);
    expect(sheets.length).toBeGreaterThanOrEqual(2);
    expect(new Set(sheets.map(({ code }) => code)).size).toBe(sheets.length);
    for (const { code } of sheets) expect(code).toMatch(/^[A-Z]{3}-\d{4}$/);
    expect(new Set(sheets.map(({ readings }) => JSON.stringify(readings.map(({ picture }) => picture)))).size).toBe(
      sheets.length,
    );
    for (const { readings } of sheets) {
      expect(readings).toHaveLength(4);
      for (const { answer } of readings)
        expect(Number(answer.text)).toBeGreaterThanOrEqual(Number(answer.accepts[0]) - 1e-9);
    }
  });

  it('shows every picture from the level and at rest, with the wide ones last', async () => {
    const { sheets } = await print((await set({ length: 12 })).id);
    for (const { readings } of sheets) {
      for (const { picture } of readings) if ('eye' in picture) expect(picture.eye.height).toBe(0);
      const wide = readings.map(
        ({ picture }) => picture.kind === 'ruler' || (picture.kind === 'liquid-column' && picture.startY !== null),
      );
      expect(wide).toEqual([...wide].sort((a, b) => Number(a) - Number(b)));
    }
  });

  it('is printed the same however often; who joins later has a sheet then', async () => {
    const { id } = await set();
    const [first, second] = [await print(id), await print(id)];
    expect(second).toEqual(first);
    await makeStudent(schoolClass, 'Zora', 'Quill');
    const { sheets } = await print(id);
    expect(sheets.filter(({ student: name }) => name !== 'Zora Quill')).toEqual(first.sheets);
    expect(sheets).toHaveLength(first.sheets.length + 1);
  });

  it('takes one try and gives no hints, whatever was asked', async () => {
    expect(await set()).toMatchObject({ tries: 1, hints: false, onPaper: true });
  });

  it('is not begun on the bench, and is not the round that lies there', async () => {
    const { id } = await set();
    const { sheets } = await print(id);
    expect((await student.post(url('/rounds'), { setRoundId: id })).status).toBe(404);
    const current = (await student.get(url('/rounds/current'))).body;
    if (current) expect(current.title).not.toBe('On paper');
    const own = (await student.get(url('/set-rounds'))).body.find(
      (one: SetRoundShown) => one.id === id,
    ) as SetRoundShown;
    expect(sheets.map(({ code }) => code)).toContain(own.progress[0]?.sheetCode);
  });

  it('does not aim at what paper cannot show, and says so', async () => {
    const { status, body } = await teacher.post(url('/set-rounds'), {
      title: 'Eyes',
      subjectIds: ['cylinder-50'],
      length: 2,
      aims: ['eye-high'],
      tries: 1,
      onPaper: true,
    });
    expect([status, body.field]).toEqual([400, 'aims']);
    expect(body.message).toContain('on paper');
  });

  it('read on the bench has no sheets', async () => {
    const { id } = await set({ onPaper: false });
    expect((await teacher.post(url(`/set-rounds/${id}/sheets`))).status).toBe(404);
  });
});

describe('what stands on a sheet', () => {
  it('is typed in by a teacher and judged like anything entered on the bench', async () => {
    const sheet = await sheetOf('Ada', { subjectIds: ['cylinder-50'], aims: ['label-above'], length: 2 });
    const before = (await teacher.get(url(`/sheets/${sheet.code}`))).body as SheetShown;
    expect(JSON.stringify(before)).not.toContain(sheet.readings[0]!.answer.text);
    const [first, second] = idsOf(before);
    const right = sheet.readings[0]!.answer.text;
    const [certain = '', estimated = ''] = sheet.readings[1]!.answer.text.split('.');
    const wrong = (10 * Math.floor(Number(certain) / 10) + 10 - (Number(`${certain}.${estimated}`) % 10)).toFixed(1);
    const { status, body } = await teacher.post(url(`/sheets/${sheet.code}/answers`), {
      answers: [typed(first!, `${right} mL`), typed(second!, `${wrong} mL`)],
    });
    expect(status, JSON.stringify(body)).toBe(200);
    expect(body.readings[0].result).toMatchObject({ verdict: 'sound', closed: true });
    expect(body.readings[1].result).toMatchObject({ verdict: 'slip', closed: true });
    expect(body.readings[1].result.slips[0].id).toBe('label-above');
    const stored = (await Attempt.findOne({ where: { classId, taskId: first! } }))!;
    expect(stored).toMatchObject({
      personId: studentId,
      enteredBy: teacherId,
      timeTaken: null,
      tryNumber: 1,
      verdict: 'sound',
    });
    const record = (await student.get(url('/record'))).body;
    expect(record.page.attempts[0]).toMatchObject({ timeTaken: null });
  });

  it('is in the exports, with who typed it in, the round it belongs to, and what was set', async () => {
    const { body } = await teacher.get(url(`/students/${studentId}/export`));
    const typedIn = body.student.attempts.find(
      (attempt: { enteredBy: string | null }) => attempt.enteredBy === teacherId,
    );
    expect(typedIn).toMatchObject({ timeTaken: null });
    const round = body.student.rounds.find((one: { tasks: string[] }) => one.tasks.includes(typedIn.taskId));
    expect(round.sheetCode).toMatch(/^[A-Z]{3}-\d{4}$/);
    expect(body.setRounds.find((one: { id: string }) => one.id === round.setRoundId)).toMatchObject({
      onPaper: true,
      aims: ['label-above'],
      students: null,
    });
    expect(body.student.belief.find(({ domain }: { domain: string }) => domain === 'reading').readings).toBeGreaterThan(
      0,
    );
    expect((await teacher.get(url('/export'))).body.setRounds.length).toBeGreaterThan(5);
  });

  it('is found by its code however that is written, by whose it is, and by nobody else', async () => {
    const { code } = await sheetOf('Ada');
    const plain = code.toLowerCase().replace('-', ' ');
    expect((await student.get(url(`/sheets/${encodeURIComponent(plain)}`))).body.code).toBe(code);
    expect((await other.get(url(`/sheets/${code}`))).status).toBe(404);
    const nowhere = await teacher.get(url('/sheets/AAA-0000'));
    expect([nowhere.status, nowhere.body.field]).toEqual([404, 'code']);
    expect(
      (await other.post(url(`/sheets/${code}/answers`), { answers: [typed(crypto.randomUUID(), '1')] })).status,
    ).toBe(404);
  });

  it('sent twice is taken once; a reading that has an answer keeps it, and nothing of the rest is taken', async () => {
    const { code } = await sheetOf('Ada', { subjectIds: ['cylinder-50'], length: 3 });
    const [first, second] = idsOf((await teacher.get(url(`/sheets/${code}`))).body);
    const answers = [typed(first!, '12.3 mL')];
    const [once, twice] = [
      await student.post(url(`/sheets/${code}/answers`), { answers }),
      await student.post(url(`/sheets/${code}/answers`), { answers }),
    ];
    expect([once.status, twice.status]).toEqual([200, 200]);
    expect(await Attempt.count({ where: { classId, taskId: first! } })).toBe(1);
    const again = await teacher.post(url(`/sheets/${code}/answers`), {
      answers: [typed(second!, '4.5 mL'), typed(first!, '45.6 mL')],
    });
    expect([again.status, again.body.field]).toEqual([409, 'answers[1].entry']);
    expect(again.body.message).toContain('Reading 1');
    expect(await Attempt.count({ where: { classId, taskId: second! } })).toBe(0);
  });

  it('that cannot be read as a reading stays open, and says why', async () => {
    const { code } = await sheetOf('Ada', { subjectIds: ['cylinder-50'], length: 1 });
    const [only] = idsOf((await teacher.get(url(`/sheets/${code}`))).body);
    const { body } = await teacher.post(url(`/sheets/${code}/answers`), { answers: [typed(only!, 'about half')] });
    expect(body.readings[0]).toMatchObject({
      entry: 'about half',
      result: { verdict: 'unreadable', closed: false, answer: null },
    });
    expect((await Task.findOne({ where: { classId, id: only! } }))!.closedAt).toBeNull();
    const after = await teacher.post(url(`/sheets/${code}/answers`), { answers: [typed(only!, '99.9 mL')] });
    expect(after.body.readings[0].result.closed).toBe(true);
  });

  it.each([
    ['answers', {}],
    ['answers', { answers: [] }],
    ['answers[0].id', { answers: [{ id: 'mine', taskId: crypto.randomUUID(), entry: '1' }] }],
    ['answers[0].entry', { answers: [{ id: crypto.randomUUID(), taskId: crypto.randomUUID(), entry: '' }] }],
    ['answers[0].taskId', { answers: [{ id: crypto.randomUUID(), taskId: crypto.randomUUID(), entry: '1 mL' }] }],
  ])('names %s when it is wrong: %j', async (field, body) => {
    const { code } = await sheetOf('Ada', { length: 1 });
    const answer = await teacher.post(url(`/sheets/${code}/answers`), body);
    expect([answer.status, answer.body.field]).toEqual([400, field]);
  });
});
