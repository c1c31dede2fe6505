import { DEFAULT_RULES, expectedReading, readingTask, type Situation } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Attempt, Task } from '../src/models/bench.ts';
import { HouseRulesVersion } from '../src/models/classes.ts';
import { openClassroom, streamOf, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let classId = '';

beforeAll(async () => {
  ({ server, student, classId, teacherSignedIn: teacher } = await openClassroom());
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;
const present = async (): Promise<number> => (await teacher.get(url('/rules'))).body.version;
const change = async (rules: unknown, more: Record<string, unknown> = {}) =>
  teacher.post(url('/rules'), { name: 'Halves', rules, after: await present(), ...more });

async function firstTask(): Promise<Task> {
  const { body } = await student.post(url('/rounds'), { subjectIds: ['cylinder-50'] });
  return (await Task.findOne({ where: { classId, id: body.tasks[0].id } }))!;
}

describe('a change of house rules', () => {
  it('is heard by everybody in the class', async () => {
    const stream = await streamOf(student, url('/events'));
    const { body } = await change({ rounding: 'half-even' });
    expect(await stream.until(/event: rules/)).toContain(`"${body.version}"`);
    stream.close();
  });

  it('may quote rounded factors, and names one that is not true', async () => {
    expect((await change({ quotedFactors: ['1 lb = 454 g'] })).body.rules.quotedFactors).toEqual(['1 lb = 454 g']);
    const refused = await change({ quotedFactors: ['1 lb = 545 g'] });
    expect(refused.status).toBe(400);
    expect(refused.body.field).toBe('quotedFactors');
  });

  it('is a new version; readings set before keep the rules they were set by', async () => {
    const before = await firstTask();
    const { status, body } = await change({ estimate: 'half-division', volumeUnit: 'cm³' });
    expect(status).toBe(201);
    expect(body).toMatchObject({
      name: 'Halves',
      rules: { ...DEFAULT_RULES, estimate: 'half-division', volumeUnit: 'cm³' },
    });
    const after = await firstTask();
    expect([before.rulesVersion, after.rulesVersion]).toEqual([body.version - 1, body.version]);

    const old = expectedReading(readingTask('cylinder-50', before.situation as Situation));
    const attempt = {
      id: crypto.randomUUID(),
      taskId: before.id,
      kind: 'reading',
      entry: `${old.text} mL`,
      eyeHeight: 0,
      timeTaken: 100,
    };
    expect((await student.post(url('/attempts'), attempt)).body.verdict).toBe('sound');
    const halves = expectedReading(readingTask('cylinder-50', after.situation as Situation, body.rules));
    expect(halves.unit).toBe('cm³');
    expect(
      (
        await student.post(url('/attempts'), {
          ...attempt,
          id: crypto.randomUUID(),
          taskId: after.id,
          entry: `${halves.text} cm³`,
        })
      ).body.verdict,
    ).toBe('sound');
    expect((await Attempt.findAll({ where: { classId } })).map((row) => row.rulesVersion).sort()).toEqual([
      before.rulesVersion,
      after.rulesVersion,
    ]);
  });

  it('leaves every earlier version as it was', async () => {
    await change({ acceptance: 3 });
    const versions = await HouseRulesVersion.findAll({ where: { classId }, order: [['version', 'ASC']] });
    expect(versions.map((row) => row.version)).toEqual(versions.map((_, i) => i + 1));
    expect(versions[0]!.rules).toEqual(DEFAULT_RULES);
  });

  it.each([
    ['estimate', { estimate: 'thirds' }],
    ['acceptance', { acceptance: 7 }],
    ['goodPercentError', { goodPercentError: -2 }],
    ['colour', { colour: 'green' }],
    ['coverage', { combine: 'plain-sum', coverage: 'expanded-k-2' }],
    ['coverage', { repeatUncertainty: 'half-range', coverage: 'students-t-95' }],
    ['estimateByFamily.burettes', { estimateByFamily: { burettes: 'thirds' } }],
  ])('names %s when it is wrong or contradicts another', async (field, rules) => {
    const before = await present();
    const { status, body } = await change(rules);
    expect([status, body.field]).toEqual([400, field]);
    expect(await present()).toBe(before);
  });

  it.each([
    ['name', { name: ' ' }],
    ['rules', { rules: 'all' }],
    ['after', { after: 'now' }],
  ])('names %s when it is missing', async (field, wrong) => {
    const { status, body } = await change({}, wrong);
    expect([status, body.field]).toEqual([400, field]);
  });

  it('made from an older version is refused, so that nobody’s change is lost unseen', async () => {
    const version = await present();
    expect((await change({ acceptance: 1 })).status).toBe(201);
    const { status, body } = await teacher.post(url('/rules'), { name: 'Late', rules: {}, after: version });
    expect(status).toBe(409);
    expect(body.message).toContain('in the meantime');
  });

  it('is not for students', async () => {
    expect((await student.post(url('/rules'), { name: 'Ours', rules: {}, after: 1 })).status).toBe(403);
  });
});
