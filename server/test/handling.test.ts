import { randomUUID } from 'node:crypto';
import { riderPlace, instrumentById, type BeamBalance, type Situation } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Attempt, Round, Task } from '../src/models/bench.ts';
import { openClassroom, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let classId = '';
let schoolId = '';
let studentId = '';

beforeAll(async () => {
  const room = await openClassroom();
  ({ server, student, classId, studentId, teacherSignedIn: teacher } = room);
  schoolId = room.school.id;
});
afterAll(() => server.stop());

/** A reading to be taken by hand, as it stands in the database. */
async function given(instrumentId: string, situation: Situation): Promise<string> {
  const [roundId, id] = [randomUUID(), randomUUID()];
  await Round.create({ classId, id: roundId, schoolId, personId: studentId, subjectIds: [instrumentId] });
  await Task.create({
    classId,
    id,
    schoolId,
    roundId,
    personId: studentId,
    position: 0,
    subjectId: instrumentId,
    seed: 1,
    situation,
    rulesVersion: 1,
    coreVersion: 'test',
  });
  return id;
}

type Action = readonly [kind: string, to?: number];

const enter = (taskId: string, entry: string, actions: readonly Action[], timeTaken = 20_000) =>
  student.post(`/classes/${classId}/attempts`, {
    id: randomUUID(),
    taskId,
    kind: 'reading',
    entry,
    eyeHeight: 0,
    actions: actions.map(([kind, to], i) => ({ kind, at: 100 * i, to: to ?? null })),
    timeTaken,
  });

const remarked = (body: { remarks: { id: string }[] }): string[] => body.remarks.map(({ id }) => id);

describe('what was done with a tool', () => {
  it('is judged as it stood at Enter, and what is to be said of it is kept with the attempt', async () => {
    const taskId = await given('micrometer-hundredth', {
      value: 7.734,
      zeroError: -0.02,
      thing: 'slate tile',
      loose: true,
    });
    const { body } = await enter(taskId, '7.714 mm', [
      ['take-thing'],
      ['click'],
      ['slide', -0.02],
      ['put-thing'],
      ['slide', 7.694],
    ]);
    expect([body.verdict, remarked(body)]).toEqual(['sound', ['forced']]);
    expect(body.remarks[0].text).toContain('0.020 mm');
    const stored = (await Attempt.findOne({ where: { classId, taskId } }))!;
    expect(stored.remarks).toEqual(body.remarks);
    expect(stored.situation).toMatchObject({ value: 7.714 });
    const own = (await student.get(`/classes/${classId}/record`)).body.page.attempts[0];
    const seen = (await teacher.get(`/classes/${classId}/students/${studentId}/record`)).body.page.attempts[0];
    expect([remarked(own), remarked(seen)]).toEqual([['forced'], ['forced']]);
    // The picture that is kept shows the thimble where it was.
    expect(seen.picture.openX).toBeCloseTo(7.694, 4);
  });

  it('on a beam balance: a rider between notches, a pointer off its mark, a vessel left in, are each told', async () => {
    const tool = instrumentById('beam-balance-tenth') as BeamBalance;
    const ride = (...grams: number[]): Action[] =>
      grams.map((gram, i) => [`rider-${i + 1}`, riderPlace(tool.beams[i]!, gram)]);
    const situation: Situation = {
      value: 46.3,
      container: 20.4,
      thing: 'brass bush',
      vessel: 'glass dish',
      loose: true,
    };
    const slips = async (entry: string, actions: readonly Action[]): Promise<string> => {
      const { body } = await enter(await given('beam-balance-tenth', situation), entry, actions);
      return body.slips.map(({ id }: { id: string }) => id).join('+') || body.verdict;
    };
    expect(await slips('46.30 g', [['put-thing'], ...ride(0, 40, 6.3)])).toBe('sound');
    expect(await slips('66.70 g', [['put-vessel'], ['put-thing'], ...ride(0, 60, 6.7)])).toBe('container-included');
    expect(await slips('48.30 g', [['put-thing'], ...ride(0, 38, 8.3)])).toBe('not-seated');
    expect(await slips('44.40 g', [['put-thing'], ...ride(0, 40, 4.4)])).toBe('not-balanced');
  });

  it('on a digital balance: read at once it has not settled, and what disturbed it is said with its size', async () => {
    const situation: Situation = { value: 18.46, thing: 'cork bung', spoilt: 'off-centre', loose: true };
    const early = await enter(
      await given('digital-balance-hundredth', situation),
      '18.01 g',
      [['switch-on'], ['centre'], ['put-thing']],
      400,
    );
    expect(early.body.slips.map(({ id }: { id: string }) => id)).toEqual(['unsettled']);
    const late = await enter(await given('digital-balance-hundredth', situation), '18.50 g', [
      ['switch-on'],
      ['tare'],
      ['put-thing'],
    ]);
    expect([late.body.verdict, remarked(late.body)]).toEqual(['sound', ['left-wrong']]);
    expect(late.body.remarks[0].text).toContain('0.04 g');
  });

  it('that is no deed known here is refused by name, and nothing is stored', async () => {
    const taskId = await given('caliper-tenth', { value: 24.6, loose: true });
    const { status, body } = await enter(taskId, '24.6 mm', [['hammer', 3]]);
    expect([status, body.field]).toEqual([400, 'actions[0].kind']);
    expect(await Attempt.count({ where: { classId, taskId } })).toBe(0);
  });

  it('an entry that cannot be read is remarked on by nothing', async () => {
    const { body } = await enter(await given('caliper-tenth', { value: 24.6, loose: true }), 'about an inch', []);
    expect([body.verdict, body.remarks]).toEqual(['unreadable', []]);
  });
});
