import {
  evaluateRun,
  poolTools,
  PRACTICE_SLIPS,
  protocolFaults,
  roomSpread,
  sampleFaults,
  worthChecking,
  type Protocol,
} from '@green-beam/core';
import type { TogetherDot } from '@green-beam/contract';
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
import { LabSheet } from '../src/models/lab-sheets.ts';
import { RunResultRow, RunRow } from '../src/models/notebook.ts';
import { TogetherRow } from '../src/models/together.ts';
import { renewResults } from '../src/notebook/renew-results.ts';
import { togetherAtFront, togetherOf } from '../src/together/together-shown.ts';
import { School } from '../src/models/people.ts';
import { parentSheets } from '../src/reports/parent-sheets.ts';
import { reportQueue } from '../src/reports/queue.ts';
import { rulesOf } from '../src/rules.ts';
import { eventsOf, logOf } from '../src/notebook/log.ts';
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

  it('has a lab sheet that a colleague shares, and one that is being written, both without a fault', async () => {
    const sheets = await LabSheet.findAll({ order: [['id', 'ASC']] });
    expect(sheets.map(({ isShared, version }) => [isShared, version])).toEqual([
      [true, 1],
      [false, null],
    ]);
    for (const { draft, id } of sheets) {
      expect([id, protocolFaults(draft)]).toEqual([id, []]);
      expect([id, sampleFaults(draft as unknown as Protocol)]).toEqual([id, []]);
      expect(JSON.stringify(draft)).not.toMatch(/washer/i);
    }
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

  it('has laboratories of ten kinds: finished ones with believable numbers, some with a mistake, and some that are running', async () => {
    const runs = await RunRow.findAll({ where: { classId: DEMO_CLASS } });
    expect(new Set(runs.map(({ protocolId }) => protocolId)).size).toBeGreaterThanOrEqual(10);
    expect(runs.filter((run) => run.handedInAt !== null)).toHaveLength(24);
    expect(runs.filter((run) => run.handedInAt === null)).toHaveLength(6);
    expect(runs.filter(({ arrangement }) => arrangement.byStudent.length > 0)).toHaveLength(6);
    const said = new Map<string, string>();
    for (const run of runs) {
      const events = eventsOf(await logOf({ classId: DEMO_CLASS, runId: run.id }));
      const { results, findings } = evaluateRun(run.protocol, { events }, await rulesOf(DEMO_CLASS, run.rulesVersion));
      if (run.handedInAt !== null) expect([run.specimen, results.length > 0]).toEqual([run.specimen, true]);
      said.set(run.specimen, findings.map(({ severity, message }) => `${severity}: ${message}`).join('\n'));
    }
    expect(said.get('Bronze deck nail')).toContain('trial 4: The 50 mL cylinder is written with 1 decimal');
    expect(said.get('Copper sheet offcuts')).toMatch(/sheet 2, observer 1/);
    expect(said.get('Liquid B from the harbour kit')).toContain('fill 3: it lies further');
    for (const specimen of ['Slate tile, whole', 'Brass bush']) expect(said.get(specimen)).not.toContain('wrong:');
  });

  it('has read one burette together twice, and agrees better the second time', async () => {
    const [second, first] = await togetherOf(DEMO_CLASS);
    expect([first?.round.number, first?.answered, second?.round.number, second?.answered]).toEqual([1, 22, 2, 22]);
    const row = await TogetherRow.findOne({ where: { classId: DEMO_CLASS, id: second!.round.id } });
    const { answers, before } = await togetherAtFront(row!);
    const spreadOf = (dots: readonly (TogetherDot | null)[]): number =>
      roomSpread(
        dots.flatMap((dot) => dot?.value ?? []),
        0.1,
      ).near?.sampleStandardDeviation ?? NaN;
    expect(spreadOf(answers.map(({ dot }) => dot))).toBeLessThan(spreadOf(before[0]?.dots ?? []) / 1.5);
  });

  it('has twelve groups with one balance that shows too little, and their results together name it', async () => {
    await renewResults(server.drawing);
    const runs = await RunRow.findAll({ where: { classId: DEMO_CLASS, specimen: '25 mL of water' } });
    const rows = await RunResultRow.findAll({ where: { classId: DEMO_CLASS, runId: runs.map(({ id }) => id) } });
    const results = rows
      .filter(({ quantity, members }) => quantity === 'meanVolume' && members['tool'] === 'cylinder')
      .flatMap(({ runId, value }) => {
        const run = runs.find(({ id }) => id === runId);
        return run ? [{ group: runId, value, tools: run.tools, choices: run.choices }] : [];
      });
    expect(results).toHaveLength(12);
    const told = worthChecking(results).filter(({ isWorthChecking }) => isWorthChecking);
    expect(told[0]?.had.map(({ name }) => name)).toEqual(['B-04']);
    expect(told[0]?.difference).toBeLessThan(-0.1);
    const tools = poolTools(runs.map(({ id, compared }) => ({ group: id, tools: compared })));
    expect(tools.map(({ member, groups }) => [member, groups])).toEqual([
      ['beaker', 12],
      ['cylinder', 12],
      ['burette', 12],
      ['volumetricPipette', 12],
    ]);
    expect(tools.map(({ precision }) => precision)).toEqual([4, 3, 2, 1]);
  });

  it('has reports that are handed in: most of them complete, one with a slip, one that has come back', async () => {
    const { reports } = await reportQueue(DEMO_CLASS);
    const own = reports.filter(({ author }) => author !== 'group');
    expect(own).toHaveLength(7);
    expect(own.filter(({ proposal }) => proposal?.isComplete)).toHaveLength(5);
    const slips = own.filter(({ proposal }) => proposal?.of.calculation.because !== 'every step follows');
    expect(slips.map(({ label, proposal }) => [label, proposal?.of.calculation.because])).toEqual([
      ['Tomasz B.', 'one slip, counted once'],
    ]);
    expect(own.filter(({ returnedAt }) => returnedAt !== null).map(({ label }) => label)).toEqual(['Ines V.']);
  });

  it('tells parents of each student on a page: what can be done, an example, and reports that have come back', async () => {
    const sheets = await parentSheets(sequelize, DEMO_CLASS);
    expect(sheets).toHaveLength(24);
    const bao = sheets.find(({ name }) => name.startsWith('Bao'));
    expect(bao?.skills.length).toBeGreaterThan(2);
    expect(bao?.example?.wrote).not.toBe(bao?.example?.right);
    expect(bao?.example?.help).toMatch(/\w+/);
    const ines = sheets.find(({ name }) => name.startsWith('Ines'));
    expect(ines?.reports[0]).toMatchObject({
      specimen: 'Nickel washers, six',
      marks: [
        ['Readings', '4 of 4'],
        ['Digits', '4 of 4'],
        ['Calculation', '4 of 4'],
        ['Judgement', '3 of 4'],
        ['Conclusion', '3 of 4'],
      ],
    });
    // What was marked and not returned is told to nobody.
    const emeka = sheets.find(({ name }) => name.startsWith('Emeka'));
    expect(emeka?.reports.map(({ specimen }) => specimen)).not.toContain('Nickel washers, six');
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
