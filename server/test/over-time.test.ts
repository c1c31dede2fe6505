import { randomUUID } from 'node:crypto';
import type { BenchRound, OverTime } from '@green-beam/contract';
import { addDays, format, startOfISOWeek } from 'date-fns';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { deleteStudent } from '../src/classes/removal.ts';
import { seedDemo } from '../src/demo/seed.ts';
import { overTime } from '../src/classes/over-time.ts';
import { DEMO_CLASS } from '../src/demo/people.ts';
import { openDatabase } from '../src/database.ts';
import { practised, slipped } from '../src/migrations/0034-practice-days.ts';
import { asStudent, makeStudent, openClassroom, type Classroom, type Visitor } from './harness.ts';

let room: Classroom;
let sequelize: ReturnType<typeof openDatabase>;

beforeAll(async () => {
  room = await openClassroom();
  sequelize = openDatabase(room.server.databaseUrl, 2);
});
afterAll(async () => {
  await sequelize.close();
  await room.server.stop();
});

/** What the rows say that are kept, and what the attempts say that are counted anew. */
async function keptAndCounted(): Promise<[unknown[], unknown[]][]> {
  return Promise.all(
    Object.entries({ practice_days: practised, slip_days: slipped }).map(
      async ([table, counting]): Promise<[unknown[], unknown[]]> => {
        const [kept] = await sequelize.query(`select * from ${table} order by 1, 2, 3, 4, 5`);
        const [counted] = await sequelize.query(counting('attempts'));
        return [kept, counted];
      },
    ),
  );
}

async function practises(student: Visitor, entries: readonly string[]): Promise<void> {
  const { body } = await student.post(`/classes/${room.classId}/rounds`, { subjectIds: ['cylinder-50'] });
  const tasks = (body as BenchRound).tasks;
  for (const [i, entry] of entries.entries()) {
    const attempt = {
      id: randomUUID(),
      taskId: tasks[i]?.id,
      kind: 'reading',
      entry,
      eyeHeight: 0,
      actions: [],
      hints: 0,
    };
    const { status } = await student.post(`/classes/${room.classId}/attempts`, {
      ...attempt,
      timeTaken: 7000 * (i + 1),
    });
    expect(status).toBe(200);
  }
}

describe('what a class practised, day by day', () => {
  it('is kept with each attempt, and is what counting anew finds', async () => {
    const ids = await Promise.all(
      ['Cleo', 'Dev'].map((name) => makeStudent(room.schoolClass, name, `F ${randomUUID()}`)),
    );
    const students = await Promise.all(ids.map((id) => asStudent(room.server.base, room.schoolClass.code, id)));
    await Promise.all(students.map((student) => practises(student, ['1 mL', 'nothing to read', '2.5 mL'])));
    await practises(students[0]!, ['3 mL']);
    const [days, slips] = await keptAndCounted();
    expect(days?.[0].length).toBeGreaterThan(0);
    // Whether one of these entries is a slip depends on what was drawn.
    for (const both of [days, slips]) expect(both?.[0]).toEqual(both?.[1]);
    const { body } = await room.teacherSignedIn.get(`/classes/${room.classId}/over-time`);
    const { weeks, practised, students: shown } = body as OverTime;
    expect(weeks).toHaveLength(12);
    expect(weeks.at(-1)).toBe(format(startOfISOWeek(new Date()), 'yyyy-MM-dd'));
    // An entry that cannot be read is no reading; the time of the two others is 7 and 21 s, and of the third 7 s.
    expect(practised.find(({ personId }) => personId === ids[0])).toMatchObject({
      week: 11,
      readings: 3,
      timed: 3,
      timeTaken: 35_000,
    });
    expect(shown.map(({ id }) => id)).toEqual(expect.arrayContaining(ids));
    await deleteStudent(ids[0]!);
    const [rows] = await sequelize.query(`select 1 from practice_days where person_id = '${ids[0]}'`);
    expect(rows).toEqual([]);
  });

  it('of the sample class is what its attempts say, and falls into the last weeks', async () => {
    await seedDemo(sequelize, { fresh: false });
    for (const [kept, counted] of await keptAndCounted()) {
      expect(kept.length).toBeGreaterThan(0);
      expect(kept).toEqual(counted);
    }
    const { practised, slips, weeks } = await overTime(sequelize, DEMO_CLASS);
    expect(new Set(practised.map(({ week }) => week)).size).toBeGreaterThanOrEqual(3);
    expect(practised.every(({ week }) => week >= 0 && week < weeks.length)).toBe(true);
    expect(slips.every(({ made, students }) => made >= students && students > 0)).toBe(true);
    expect(practised.every(({ readings, sound }) => sound <= readings)).toBe(true);
  }, 120_000);

  it('begins and ends where its weeks do', async () => {
    const later = await overTime(sequelize, DEMO_CLASS, addDays(new Date(), 12 * 7 + 1));
    expect(later.practised).toEqual([]);
  });
});
