import { randomUUID } from 'node:crypto';
import { MOST_TAPES } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Tape } from '../src/models/tapes.ts';
import { asStudent, makeStudent, openClassroom, Visitor, type TestServer } from './harness.ts';

let server: TestServer;
let teacher: Visitor;
let student: Visitor;
let other: Visitor;
let classId: string;
let studentId: string;

beforeAll(async () => {
  const room = await openClassroom();
  ({ server, teacherSignedIn: teacher, student, studentId, classId } = room);
  other = await asStudent(server.base, room.schoolClass.code, await makeStudent(room.schoolClass, 'Cleo', 'Fen'));
});
afterAll(() => server.stop());

const put = (who: Visitor, id: string, lines: unknown) => who.send('PUT', `/tapes/${id}`, { lines });

describe('a tape', () => {
  it('is kept as typed, changed in place, and the latest comes first', async () => {
    const [first, second] = [randomUUID(), randomUUID()];
    expect((await put(student, first, ['m = 24.31 g', '', 'm / ('])).status).toBe(201);
    expect((await put(student, second, ['12.4 cm * 3.1 cm'])).status).toBe(201);
    const changed = await put(student, first, ['m = 24.31 g', 'm / 8.4 mL']);
    expect(changed).toMatchObject({ status: 200, body: { id: first, lines: ['m = 24.31 g', 'm / 8.4 mL'] } });
    expect((await student.get('/tapes')).body.map(({ id }: { id: string }) => id)).toEqual([first, second]);
  });

  it('is nobody else’s to see, change or delete', async () => {
    const id = randomUUID();
    await put(student, id, ['1 + 1']);
    for (const who of [other, teacher]) {
      expect((await who.get('/tapes')).body).toEqual([]);
      expect((await who.send('DELETE', `/tapes/${id}`)).status).toBe(404);
      // The same id is another tape under another person.
      expect((await put(who, id, ['2 + 2'])).status).toBe(201);
    }
    expect((await student.get('/tapes')).body.find((tape: { id: string }) => tape.id === id).lines).toEqual(['1 + 1']);
    expect((await student.send('DELETE', `/tapes/${id}`)).status).toBe(204);
    expect((await student.send('DELETE', `/tapes/${id}`)).status).toBe(404);
  });

  it('is for who is signed in', async () => {
    const nobody = new Visitor(server.base);
    await nobody.get('/session');
    expect((await nobody.get('/tapes')).status).toBe(401);
    expect((await put(nobody, randomUUID(), ['1'])).status).toBe(401);
    expect((await nobody.send('DELETE', `/tapes/${randomUUID()}`)).status).toBe(401);
  });

  it.each([
    ['lines', []],
    ['lines', Array.from({ length: 301 }, () => '1')],
    ['lines[0]', ['x'.repeat(2001)]],
    ['lines', 'm = 2 g'],
    ['lines', undefined],
  ])('that cannot be is refused, naming %s', async (field, lines) => {
    const { status, body } = await put(student, randomUUID(), lines);
    expect([status, body.field]).toEqual([400, field]);
  });

  it('with an id that is none is nowhere', async () => {
    expect((await put(student, 'mine', ['1'])).status).toBe(404);
  });

  it('is one of at most so many', async () => {
    const { schoolId } = (await Tape.findOne({ where: { personId: studentId } }))!;
    await Tape.bulkCreate(
      Array.from({ length: MOST_TAPES }, () => ({ personId: studentId, id: randomUUID(), schoolId, lines: ['1'] })),
    );
    const { status, body } = await put(student, randomUUID(), ['1']);
    expect([status, body.message]).toEqual([409, expect.stringContaining(`${MOST_TAPES} tapes`)]);
  });

  it('goes with the student: into the export, and away with them', async () => {
    const { body } = await teacher.get(`/classes/${classId}/students/${studentId}/export`);
    expect(body.student.tapes.length).toBeGreaterThan(0);
    expect((await teacher.send('DELETE', `/classes/${classId}/students/${studentId}`)).status).toBeLessThan(300);
    expect(await Tape.count({ where: { personId: studentId } })).toBe(0);
  });
});
