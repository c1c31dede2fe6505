import type { BenchRound, ShelfShown } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { asStudent, asTeacher, makeSchool, startTestServer, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let path = '';

beforeAll(async () => {
  server = await startTestServer();
  const { schoolClass, students, teacher: who } = await makeSchool('shelf');
  path = `/classes/${schoolClass.id}`;
  student = await asStudent(server.base, schoolClass.code, students[0]!);
  teacher = await asTeacher(server.base, who.email);
});
afterAll(() => server.stop());

async function take(...subjectIds: string[]): Promise<BenchRound> {
  const answer = await student.post(`${path}/rounds/taken-up`, { subjectIds });
  expect(answer.status).toBe(200);
  return answer.body as BenchRound;
}

const toolsOf = (round: BenchRound): string[] => [
  ...new Set(round.tasks.map(({ picture }) => ('instrumentId' in picture ? picture.instrumentId : ''))),
];

async function shelf(): Promise<ShelfShown> {
  return (await student.get(`${path}/shelf`)).body as ShelfShown;
}

/** Asks for the answers of the next few items, one after the other. */
async function work(round: BenchRound, count: number): Promise<void> {
  const open = round.tasks.filter(({ state }) => state !== 'closed');
  for (const { id } of open.slice(0, count)) {
    const body = {
      id: crypto.randomUUID(),
      taskId: id,
      kind: 'shown',
      entry: '',
      eyeHeight: 0,
      actions: [],
      hints: 0,
      timeTaken: 900,
    };
    expect((await student.post(`${path}/attempts`, body)).status).toBe(200);
  }
}

describe('the shelf of tools', () => {
  it('begins with tools that need no handling, before the class has met any', async () => {
    expect((await shelf()).met).toEqual([]);
    const tools = toolsOf(await take());
    expect(tools.length).toBeGreaterThan(1);
    for (const tool of tools) expect(['ruler-millimetre', 'cylinder-50', 'cylinder-100']).toContain(tool);
  });

  it('gives any tool at any moment, and keeps what was put aside', async () => {
    const micrometer = await take('micrometer-hundredth');
    expect(toolsOf(micrometer)).toEqual(['micrometer-hundredth']);
    await work(micrometer, 3);
    const clock = await take('clock');
    expect(clock.id).not.toBe(micrometer.id);
    expect((await shelf()).aside).toContainEqual({ subjectIds: ['micrometer-hundredth'], done: 3, of: 10 });

    const again = await take('micrometer-hundredth');
    expect(again.id).toBe(micrometer.id);
    expect(again.tasks.filter(({ state }) => state === 'closed')).toHaveLength(3);
    // What is worked now is what the page opens with.
    const current = (await student.get(`${path}/rounds/current`)).body as BenchRound;
    expect(current.id).toBe(micrometer.id);

    await work(again, 10);
    expect((await take('micrometer-hundredth')).id).not.toBe(micrometer.id);
  });

  it('tells how one stands with each tool', async () => {
    expect((await shelf()).standing).toEqual([{ toolId: 'micrometer-hundredth', readings: 10, rightAtFirst: 0 }]);
  });

  it('gives who just goes on the tools that a teacher has ticked or set', async () => {
    const met = async (toolId: string, isMet: boolean): Promise<readonly string[]> =>
      ((await teacher.post(`${path}/shelf/met`, { toolId, met: isMet })).body as ShelfShown).met;
    expect(await met('clock', true)).toEqual(['clock']);
    expect(await met('clock', true)).toEqual(['clock']);
    // The mix that was begun goes on as it was drawn; the next one has the new tools.
    const begun = await take();
    expect(toolsOf(begun)).not.toContain('clock');
    await work(begun, 10);
    expect(toolsOf(await take())).toEqual(['clock']);
    const set = { title: 'Burettes', subjectIds: ['burette-50'], length: 5, aims: [], tries: 2, hints: true };
    expect((await teacher.post(`${path}/set-rounds`, set)).status).toBe(201);
    expect((await shelf()).met).toEqual(['burette-50', 'clock']);
    expect(await met('burette-50', false)).toEqual(['clock']);
  });

  it('notes a tool that is set only once, and keeps what a teacher has ticked off', async () => {
    await teacher.post(`${path}/shelf/met`, { toolId: 'caliper-tenth', met: true });
    const set = {
      title: 'Length',
      subjectIds: ['caliper-tenth', 'ruler-inch'],
      length: 5,
      aims: [],
      tries: 2,
      hints: true,
    };
    expect((await teacher.post(`${path}/set-rounds`, set)).status).toBe(201);
    const { met } = await shelf();
    expect(met.filter((id) => id === 'caliper-tenth')).toHaveLength(1);
    expect(met).toContain('ruler-inch');
  });

  it('is exported with the class', async () => {
    const { met } = await shelf();
    const { body } = await teacher.get(`${path}/export`);
    expect(body.metTools).toEqual(met);
    const rounds = body.students.flatMap((one: { rounds: readonly object[] }) => one.rounds);
    expect(rounds.length).toBeGreaterThan(0);
    for (const { at, takenUpAt } of rounds)
      expect(new Date(takenUpAt).getTime()).toBeGreaterThanOrEqual(new Date(at).getTime());
  });

  it('is ticked by teachers of the class alone, while it is not archived', async () => {
    const tick = { toolId: 'clock', met: true };
    expect((await student.post(`${path}/shelf/met`, tick)).status).toBe(403);
    const elsewhere = await makeSchool('elsewhere');
    const stranger = await asTeacher(server.base, elsewhere.teacher.email);
    expect((await stranger.post(`${path}/shelf/met`, tick)).status).toBe(404);
    expect((await stranger.get(`${path}/shelf`)).status).toBe(404);
    await teacher.send('PATCH', path, { archived: true });
    const refused = await teacher.post(`${path}/shelf/met`, tick);
    expect(refused.status).toBe(409);
    expect(refused.body.message).toContain('archived');
    await teacher.send('PATCH', path, { archived: false });
  });

  it('names what is no tool', async () => {
    const answer = await teacher.post(`${path}/shelf/met`, { toolId: 'astrolabe' });
    expect(answer.status).toBe(400);
    expect(answer.body).toMatchObject({ field: 'toolId', message: '“astrolabe” is not a tool on the bench.' });
  });
});
