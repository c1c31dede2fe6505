import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { databaseOf } from '../src/database.ts';
import { Person } from '../src/models/people.ts';
import { asStudent, makeSchool, startTestServer, Visitor, type TestServer } from './harness.ts';

const said: string[] = [];
let server: TestServer;
let world: Awaited<ReturnType<typeof makeSchool>>;

beforeAll(async () => {
  server = await startTestServer({ log: { write: (line) => said.push(line) } });
  world = await makeSchool('harbour');
});
afterAll(() => server.stop());

describe('the log', () => {
  it('tells where something went wrong, and nothing that anybody has typed', async () => {
    const { code, id: classId } = world.schoolClass;
    const [studentId = ''] = world.students;
    const student = await asStudent(server.base, code, studentId);
    const { body } = await student.post(`/classes/${classId}/rounds`, { subjectIds: ['cylinder-50'] });
    const refuse = (table: string): Promise<unknown> =>
      databaseOf(Person).query(`alter table ${table} add constraint not_now check (false) not valid`);
    await refuse('attempts');
    await refuse('run_events');
    await refuse('people');
    const run = randomUUID();
    await student.post(`/classes/${classId}/runs`, {
      id: run,
      protocolId: 'solid-by-displacement',
      specimen: 'Brass bush',
    });
    const answers = [
      await student.post(`/classes/${classId}/attempts`, {
        id: randomUUID(),
        taskId: body.tasks[0].id,
        kind: 'reading',
        entry: '23.45 mL',
        eyeHeight: 0,
        actions: [],
        hints: 0,
        timeTaken: 1,
      }),
      await student.post(`/classes/${classId}/runs/${run}/events`, {
        events: [
          {
            id: randomUUID(),
            address: { kind: 'cell', quantity: 'mass', members: { trial: '1' } },
            text: '54.31',
            person: studentId,
            deviceTime: new Date().toISOString(),
          },
        ],
      }),
    ];
    const guest = await new Visitor(server.base).open();
    await guest.post('/session/teacher', { email: world.teacher.email, password: 'guessed at' });
    await guest.get('/links/a-token-of-a-link');
    expect(answers.map(({ status }) => status)).toEqual([500, 500]);
    const log = said.join('');
    expect(log.match(/request failed/g)).toHaveLength(2);
    expect(log).toContain('/classes/:classId/attempts');
    expect(log).toContain('not_now');
    expect(log).toMatch(/record-attempt|attempt-store/);
    for (const word of ['23.45', '54.31', 'Ada', 'Moss', world.teacher.email, 'guessed at', studentId, 'a-token'])
      expect(log, word).not.toContain(word);
  });
});
