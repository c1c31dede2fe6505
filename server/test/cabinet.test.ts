import type { ToolShown } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Task } from '../src/models/bench.ts';
import { asTeacher, makeTeacher, openClassroom, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let colleague: Visitor;
let classId = '';

beforeAll(async () => {
  const room = await openClassroom();
  ({ server, student, classId, teacherSignedIn: teacher } = room);
  await makeTeacher(room.school.id, 'head@harbour.example', 'administrator');
  colleague = await asTeacher(server.base, 'head@harbour.example');
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;

async function added(tool: Record<string, unknown>): Promise<ToolShown> {
  const { status, body } = await teacher.post(url('/cabinet'), tool);
  expect(status, JSON.stringify(body)).toBe(201);
  return body.find(({ code }: ToolShown) => code === tool['code']);
}

const note = (who: Visitor, toolId: string, more: Record<string, unknown>) =>
  who.post(url(`/cabinet/${toolId}/notes`), { id: crypto.randomUUID(), ...more });

describe('a cabinet', () => {
  it('keeps tools by their codes, with what was found about them over time', async () => {
    const { id, version, state, zeroError } = await added({
      code: 'C-01',
      instrumentId: 'caliper-twentieth',
      keeper: 'bench 1',
    });
    expect([version, state, zeroError]).toEqual([1, 'fit', null]);
    await note(teacher, id, { kind: 'zero', reading: 0.05 });
    const { body } = await note(colleague, id, { kind: 'zero', reading: -0.1, remark: 'dropped on Monday' });
    const tool: ToolShown = body.find((one: ToolShown) => one.id === id);
    expect(tool.zeroError).toBe(-0.1);
    expect(tool.notes.map(({ reading, remark }) => [reading, remark])).toEqual([
      [-0.1, 'dropped on Monday'],
      [0.05, ''],
    ]);
    expect(tool.notes[0]!.by).toBe('Tea Cher');
  });

  it('stores a note sent twice once', async () => {
    const { id } = await added({ code: 'C-02', instrumentId: 'caliper-tenth' });
    const once = { id: crypto.randomUUID(), kind: 'zero', reading: 0.1 };
    await teacher.post(url(`/cabinet/${id}/notes`), once);
    const { body } = await teacher.post(url(`/cabinet/${id}/notes`), once);
    expect(body.find((one: ToolShown) => one.id === id).notes).toHaveLength(1);
  });

  it('tells the later of two who change a tool, and overwrites nothing', async () => {
    const { id } = await added({ code: 'M-01', instrumentId: 'micrometer-hundredth', keeper: 'bench 1' });
    expect((await colleague.send('PATCH', url(`/cabinet/${id}`), { keeper: 'bench 2', after: 1 })).status).toBe(200);
    const late = await teacher.send('PATCH', url(`/cabinet/${id}`), { keeper: 'bench 3', state: 'watch', after: 1 });
    expect([late.status, late.body.field]).toEqual([409, 'after']);
    expect(late.body.message).toContain('Tea Cher changed M-01 while you were writing');
    const now: ToolShown = (await teacher.get(url('/cabinet'))).body.find((one: ToolShown) => one.id === id);
    expect([now.keeper, now.state, now.version]).toEqual(['bench 2', 'fit', 2]);
    expect((await teacher.send('PATCH', url(`/cabinet/${id}`), { state: 'watch', after: 2 })).status).toBe(200);
  });

  it.each<[string, Record<string, unknown>, number]>([
    ['code', { code: '', instrumentId: 'caliper-tenth' }, 400],
    ['code', { code: 'c-01', instrumentId: 'caliper-tenth' }, 409],
    ['code', { code: '=SUM(A1)', instrumentId: 'caliper-tenth' }, 400],
    ['instrumentId', { code: 'X-1', instrumentId: 'sextant' }, 400],
    ['tolerance', { code: 'X-1', instrumentId: 'caliper-tenth', tolerance: -1 }, 400],
    ['state', { code: 'X-1', instrumentId: 'caliper-tenth', state: 'lost' }, 400],
    ['kind', { code: 'X-1', instrumentId: 'caliper-tenth', kind: 'borrowed' }, 400],
  ])('names %s when it is wrong: %j', async (field, tool, status) => {
    const answer = await teacher.post(url('/cabinet'), tool);
    expect([answer.status, answer.body.field]).toEqual([status, field]);
  });

  it.each<[string, Record<string, unknown>]>([
    ['nominal', { kind: 'check', reading: 500.01, nominal: 500 }],
    ['nominal', { kind: 'check', reading: 100.01 }],
    ['reading', { kind: 'check', reading: 10, nominal: 100 }],
    ['reading', { kind: 'zero', reading: 9 }],
    ['reading', { kind: 'zero' }],
    ['kind', { reading: 0.1 }],
  ])('names %s of a note that cannot be: %j', async (field, wrong) => {
    const { body } = await teacher.get(url('/cabinet'));
    const balance: ToolShown =
      body.find(({ code }: ToolShown) => code === 'B-09') ??
      (await added({ code: 'B-09', instrumentId: 'digital-balance-hundredth' }));
    const answer = await note(teacher, balance.id, wrong);
    expect([answer.status, answer.body.field]).toEqual([400, field]);
    expect(answer.body.message).toMatch(/^[A-Z\d].*\.$/);
  });

  it('has no zero error to note of a cylinder', async () => {
    const { id } = await added({ code: 'Z-01', instrumentId: 'cylinder-50' });
    expect((await note(teacher, id, { kind: 'zero', reading: 1 })).body.field).toBe('kind');
    expect((await teacher.send('DELETE', url(`/cabinet/${id}`))).status).toBe(200);
    expect((await teacher.send('DELETE', url(`/cabinet/${id}`))).status).toBe(404);
  });
});

describe('a list of tools', () => {
  it('is added whole, with zero errors, or not at all', async () => {
    const good = [
      { code: 'L-1', instrumentId: 'caliper-tenth', zeroError: -0.1 },
      { code: 'L-2', instrumentId: 'burette-50' },
    ];
    const wrong = await teacher.post(url('/cabinet/list'), {
      rows: [
        ...good,
        { code: 'l-1', instrumentId: 'caliper-tenth' },
        { code: 'C-01', instrumentId: 'caliper-tenth' },
        { code: 'L-3', instrumentId: 'burette-50', zeroError: 1 },
        { instrumentId: 'burette-50' },
      ],
    });
    expect(wrong.status).toBe(422);
    expect(wrong.body.errors.map(({ row, field }: { row: number; field: string }) => [row, field])).toEqual([
      [3, 'code'],
      [4, 'code'],
      [5, 'zeroError'],
      [6, 'code'],
    ]);
    const { status, body } = await teacher.post(url('/cabinet/list'), { rows: good });
    expect([status, body.added]).toEqual([201, 2]);
    const tools: ToolShown[] = (await teacher.get(url('/cabinet'))).body;
    expect(tools.find(({ code }) => code === 'L-1')!.zeroError).toBe(-0.1);
  });

  it('that is empty is refused', async () => {
    expect((await teacher.post(url('/cabinet/list'), { rows: [] })).body.field).toBe('rows');
  });
});

describe('tools that may be used', () => {
  it('are seen by students without who keeps them, and without those out of use', async () => {
    const broken = await added({ code: 'M-09', instrumentId: 'micrometer-hundredth', state: 'out-of-use' });
    const { body } = await student.get(url('/tools'));
    expect(body.map(({ code }: ToolShown) => code)).not.toContain('M-09');
    expect(Object.keys(body[0]).sort()).toEqual(['code', 'id', 'instrumentId', 'zeroError']);
    const refused = await teacher.post(url('/set-rounds'), { title: 'Broken', length: 2, toolIds: [broken.id] });
    expect([refused.status, refused.body.field, refused.body.message]).toEqual([400, 'toolIds', 'M-09 is out of use.']);
  });

  it('give a round the errors they have', async () => {
    const caliper = await added({ code: 'C-07', instrumentId: 'caliper-twentieth' });
    const ruler = await added({ code: 'R-07', instrumentId: 'ruler-millimetre' });
    await note(teacher, caliper.id, { kind: 'zero', reading: -0.15 });
    const { body } = await teacher.post(url('/set-rounds'), {
      title: 'Our own',
      length: 8,
      toolIds: [caliper.id, ruler.id],
    });
    expect(body[0]).toMatchObject({
      toolCodes: ['C-07', 'R-07'],
      subjectIds: ['caliper-twentieth', 'ruler-millimetre'],
    });
    const round = (await student.post(url('/rounds'), { setRoundId: body[0].id })).body;
    const codes = round.tasks.map(({ toolCode }: { toolCode: string }) => toolCode);
    expect(new Set(codes)).toEqual(new Set(['C-07', 'R-07']));
    const rows = await Task.findAll({ where: { classId, roundId: round.id } });
    for (const { subjectId, situation } of rows)
      expect('zeroError' in situation ? situation.zeroError : undefined).toBe(
        subjectId === 'caliper-twentieth' ? -0.15 : undefined,
      );
  });

  it('have to be of this class’s cabinet', async () => {
    const refused = await teacher.post(url('/set-rounds'), {
      title: 'Nobody’s',
      length: 2,
      toolIds: [crypto.randomUUID()],
    });
    expect([refused.status, refused.body.field]).toEqual([400, 'toolIds']);
  });

  it('go out with the class’s data', async () => {
    const { body } = await teacher.get(url('/export'));
    expect(body.cabinet.find(({ code }: ToolShown) => code === 'C-07').notes).toMatchObject([
      { kind: 'zero', reading: -0.15 },
    ]);
  });
});
