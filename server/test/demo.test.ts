import { evaluateRun, PRACTICE_SLIPS } from '@green-beam/core';
import { differenceInDays, differenceInMinutes, subMinutes } from 'date-fns';
import { Op } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../src/database.ts';
import { DEMO_CLASS, DEMO_CLASS_CODE, DEMO_OTHER_CLASS, DEMO_PIN, HERON_STUDENTS } from '../src/demo/people.ts';
import { seedDemo } from '../src/demo/seed.ts';
import { boardOf } from '../src/classes/board.ts';
import { stuckOn } from '../src/classes/lately.ts';
import { Attempt, Task } from '../src/models/bench.ts';
import { Student } from '../src/models/classes.ts';
import { RunEventRow, RunRow } from '../src/models/notebook.ts';
import { School } from '../src/models/people.ts';
import { rulesOf } from '../src/rules.ts';
import { eventOf } from '../src/notebook/show-run.ts';
import { asStudent, startTestServer, type TestServer } from './harness.ts';

const NOW = new Date('2026-03-20T11:00:00Z');
let server: TestServer;
let sequelize: ReturnType<typeof openDatabase>;

beforeAll(async () => {
  server = await startTestServer();
  sequelize = openDatabase(server.databaseUrl, 4);
  await seedDemo(sequelize, { fresh: false, now: NOW });
}, 120_000);
afterAll(async () => {
  await sequelize.close();
  await server.stop();
});

describe('the sample class', () => {
  it('has 24 students and three weeks of attempts on school days', async () => {
    expect(await Student.count({ where: { classId: DEMO_CLASS } })).toBe(24);
    const attempts = await Attempt.findAll({
      attributes: ['createdAt', 'personId'],
      where: { classId: DEMO_CLASS },
      raw: true,
    });
    expect(attempts.length).toBeGreaterThan(500);
    const days = attempts.map(({ createdAt }) => differenceInDays(NOW, createdAt));
    expect(Math.max(...days)).toBeGreaterThan(12);
    expect(Math.max(...days)).toBeLessThanOrEqual(21);
    expect(attempts.every(({ createdAt }) => ![0, 6].includes(createdAt.getDay()) && createdAt < NOW)).toBe(true);
    expect(new Set(attempts.map((attempt) => attempt.personId)).size).toBeGreaterThan(18);
  });

  it('shows habits that differ from student to student', async () => {
    const board = await boardOf(sequelize, DEMO_CLASS);
    const first = board.flatMap(({ skills }) => skills[0]?.slips[0]?.id ?? []);
    expect(new Set(first).size).toBeGreaterThanOrEqual(4);
    const known = new Set(PRACTICE_SLIPS.map((slip) => slip.id));
    for (const { skills } of board)
      for (const { slips } of skills) for (const { id } of slips) expect(known).toContain(id);
    const share = board.flatMap(({ skills }) => skills.map(({ readings, sound }) => sound / readings));
    expect(Math.min(...share)).toBeLessThan(0.75);
    expect(Math.max(...share)).toBeGreaterThan(0.85);
  });

  it('has a lesson under way: one student is stuck, two have stopped, three are away', async () => {
    const today = await Attempt.findAll({
      where: { classId: DEMO_CLASS, createdAt: { [Op.gt]: subMinutes(NOW, 15) } },
      order: [['serverOrder', 'DESC']],
    });
    const open = await Task.findAll({ where: { classId: DEMO_CLASS, closedAt: null } });
    const named = (which: (personId: string) => boolean): string[] =>
      HERON_STUDENTS.filter(({ id }) => which(id))
        .map(({ givenName }) => givenName)
        .sort();
    const entriesOf = (id: string): Attempt[] => today.filter(({ personId }) => personId === id);
    expect(named((id) => entriesOf(id).length === 0)).toEqual(['Ines', 'Tereza', 'Vaida']);
    expect(named((id) => stuckOn(entriesOf(id).map(({ slips }) => slips)) !== null)).toEqual(['Bao']);
    expect(named((id) => entriesOf(id).length > 0 && open.some(({ personId }) => personId === id))).toEqual([
      'Kofi',
      'Umut',
    ]);
    for (const one of HERON_STUDENTS.filter(({ givenName }) => ['Kofi', 'Umut'].includes(givenName)))
      expect(differenceInMinutes(NOW, entriesOf(one.id)[0]!.createdAt)).toBeGreaterThanOrEqual(10);
  });

  it('has two finished laboratories with a mistake in each, and one that is running', async () => {
    const runs = await RunRow.findAll({ where: { classId: DEMO_CLASS } });
    expect(runs.filter((run) => run.handedInAt !== null)).toHaveLength(2);
    expect(runs.filter((run) => run.handedInAt === null)).toHaveLength(1);
    for (const run of runs) {
      const events = (await RunEventRow.findAll({ where: { runId: run.id }, order: [['serverOrder', 'ASC']] })).map(
        eventOf,
      );
      const { result, findings } = evaluateRun(run.protocol, { events }, await rulesOf(DEMO_CLASS, run.rulesVersion));
      if (run.handedInAt === null) expect(result?.summary.n).toBe(1);
      else {
        expect(result?.summary.n).toBeGreaterThanOrEqual(3);
        expect(result?.comparison).not.toBeNull();
      }
      if (run.specimen === 'Bronze deck nail')
        expect(findings.map((finding) => finding.message)).toContainEqual(
          expect.stringContaining('Trial 4: The 50 mL cylinder is written with 1 decimal'),
        );
    }
  });

  it('is seeded once, and anew when asked', async () => {
    const before = await Attempt.count({ where: { classId: DEMO_OTHER_CLASS } });
    await seedDemo(sequelize, { fresh: false, now: NOW });
    expect(await School.count()).toBe(1);
    expect(await Attempt.count({ where: { classId: DEMO_OTHER_CLASS } })).toBe(before);
    const ines = await Student.findOne({ where: { classId: DEMO_CLASS } });
    await ines!.update({ archivedAt: new Date() });
    await seedDemo(sequelize, { fresh: true, now: NOW });
    expect(await Student.count({ where: { classId: DEMO_CLASS, archivedAt: null } })).toBe(24);
    expect(await Attempt.count({ where: { classId: DEMO_OTHER_CLASS } })).toBe(before);
  }, 120_000);

  it('can be entered with the class code and the PIN', async () => {
    const someone = (await Student.findAll({ where: { classId: DEMO_CLASS } })).find(
      (student) => student.pinHash !== null,
    );
    const visitor = await asStudent(server.base, DEMO_CLASS_CODE, someone!.personId, DEMO_PIN);
    expect((await visitor.get(`/classes/${DEMO_CLASS}/record`)).status).toBe(200);
  });
});
