import { randomUUID } from 'node:crypto';
import { answerTo, CORE_VERSION, type Situation } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { taskOf } from '../src/bench/show.ts';
import { knownOf } from '../src/bench/tutor.ts';
import { Attempt, Task } from '../src/models/bench.ts';
import { rulesOf } from '../src/rules.ts';
import { openClassroom, streamOf, type Visitor, type TestServer } from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let classId = '';
let schoolId = '';
let studentId = '';

beforeAll(async () => {
  ({
    server,
    student,
    studentId,
    classId,
    school: { id: schoolId },
    teacherSignedIn: teacher,
  } = await openClassroom());
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;

function attempt(taskId: string, entry: string, more: object = {}): Record<string, unknown> {
  return {
    id: randomUUID(),
    taskId,
    kind: 'reading',
    entry,
    eyeHeight: 0,
    actions: [{ kind: 'eye', at: 900, to: 0 }],
    hints: 0,
    timeTaken: 5000,
    ...more,
  };
}

async function round(): Promise<{ id: string; unit: string; picture: { scaleSide: string; opaque: boolean } }[]> {
  const { status, body } = await student.post(url('/rounds'), { subjectIds: ['cylinder-50'] });
  expect(status).toBe(201);
  return body.tasks;
}

async function rightAnswer(taskId: string): Promise<{ text: string; value: number }> {
  const row = (await Task.findOne({ where: { classId, id: taskId } }))!;
  const { situation } = row;
  return {
    text: answerTo(taskOf(row, await rulesOf(classId, row.rulesVersion))).text,
    value: (situation as Situation).value,
  };
}

/** Pictures whose drawing is in the unit of the reading: what is read is there to be seen. */
const IN_ITS_OWN_UNIT = ['display', 'caliper', 'micrometer'];

describe('a round', () => {
  it('has ten readings and gives nothing away in any answer before the task is closed', async () => {
    const { body, text } = await student.post(url('/rounds'), {});
    expect(body.tasks).toHaveLength(10);
    const current = await student.get(url('/rounds/current'));
    for (const task of body.tasks) {
      const { value } = await rightAnswer(task.id);
      const wrong = await student.post(url('/attempts'), attempt(task.id, '0.3 mL'));
      const record = await student.get(url('/record'));
      for (const seen of [text, current.text, wrong.text, record.text]) {
        expect(/"(seed|value|situation|accepts|predicted|aim)"/.exec(seen)?.[0]).toBeUndefined();
        // A surface on a mark is a round number, which may stand somewhere by chance; a display shows its number, and jaws are drawn in mm.
        if (String(value).length >= 6 && !IN_ITS_OWN_UNIT.includes(task.picture.kind))
          expect(seen.includes(String(value))).toBe(false);
      }
      expect(wrong.body).toMatchObject({ closed: false, answer: null, strip: [] });
      expect(record.body.page.attempts[0]).toMatchObject({ expected: null, offBy: null });
    }
  });

  it('stores everything an attempt was judged by', async () => {
    const [task] = await round();
    const { text } = await rightAnswer(task!.id);
    const sent = attempt(task!.id, `${text} mL`, { eyeHeight: 1.5, hints: 2 });
    const { body } = await student.post(url('/attempts'), sent);
    expect(body).toMatchObject({ verdict: 'sound', closed: true, tryNumber: 1 });
    const row = (await Attempt.findOne({ where: { classId, id: sent['id'] as string } }))!;
    expect(row).toMatchObject({
      entry: `${text} mL`,
      hints: 2,
      timeTaken: 5000,
      tryNumber: 1,
      rulesVersion: 1,
      coreVersion: CORE_VERSION,
    });
    expect(row.situation).toMatchObject({ eyeHeight: 1.5 });
    expect(row.picture).toMatchObject({ kind: 'liquid-column' });
    expect(row.actions).toEqual([{ kind: 'eye', at: 900, to: 0 }]);
  });

  it('judges by where the eye is at Enter', async () => {
    // Before a scale at the back the surface would seem to sink instead.
    const near = (await round()).find(({ picture }) => picture.scaleSide === 'near' && !picture.opaque)!;
    const { value } = await rightAnswer(near.id);
    const shifted = (value + (12.35 * 80) / 300 / (1000 / (Math.PI * 10.85 ** 2))).toFixed(1);
    const { body } = await student.post(url('/attempts'), attempt(near.id, `${shifted} mL`, { eyeHeight: 80 }));
    expect(body.slips[0].id).toBe('eye-high');
  });

  it('gives tries that come at once their numbers one after the other, and stores no third', async () => {
    const [task] = await round();
    const sent = ['0.3 mL', '0.4 mL', '0.5 mL', '0.6 mL'].map((entry) => attempt(task!.id, entry));
    const answers = await Promise.all(sent.map((body) => student.post(url('/attempts'), body)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 409, 409]);
    const taken = answers.filter(({ status }) => status === 200).map(({ body }) => [body.tryNumber, body.closed]);
    expect(taken.sort()).toEqual([
      [1, false],
      [2, true],
    ]);
    expect(await Attempt.count({ where: { classId, taskId: task!.id } })).toBe(2);
  });

  it('stores an entry that is sent many times at once only once, and answers each alike', async () => {
    const [task] = await round();
    const body = attempt(task!.id, '0.3 mL');
    const answers = await Promise.all(Array.from({ length: 6 }, () => student.post(url('/attempts'), body)));
    expect(new Set(answers.map(({ status, text }) => `${status} ${text}`)).size).toBe(1);
    expect(answers[0]!.status).toBe(200);
    expect(await Attempt.count({ where: { classId, taskId: task!.id } })).toBe(1);
  });

  it('refuses an entry whose number another one has', async () => {
    const [first, second] = await round();
    const body = attempt(first!.id, '0.3 mL');
    await student.post(url('/attempts'), body);
    const answer = await student.post(url('/attempts'), { ...body, taskId: second!.id });
    expect([answer.status, answer.body.field]).toEqual([409, 'id']);
  });

  it('shows the answer after the second try, and no third is taken', async () => {
    const [task] = await round();
    await student.post(url('/attempts'), attempt(task!.id, '0.3 mL'));
    const second = await student.post(url('/attempts'), attempt(task!.id, '0.4 mL'));
    expect(second.body).toMatchObject({ closed: true, tryNumber: 2 });
    expect(second.body.answer.text).toBe((await rightAnswer(task!.id)).text);
    const third = await student.post(url('/attempts'), attempt(task!.id, '0.5 mL'));
    expect(third.status).toBe(409);
  });

  it('shows the answer to who asks for it, and records that', async () => {
    const [task] = await round();
    const { body } = await student.post(url('/attempts'), attempt(task!.id, '', { kind: 'shown' }));
    expect(body).toMatchObject({ verdict: 'shown', closed: true });
    expect(body.answer.reveal.at(-1).soFar).toBe(`${(await rightAnswer(task!.id)).text} mL`);
  });

  it('stores an attempt sent twice once, and two tabs at the same moment cannot both close a task', async () => {
    const [task] = await round();
    const { text } = await rightAnswer(task!.id);
    const sent = attempt(task!.id, `${text} mL`);
    const answers = await Promise.all([student.post(url('/attempts'), sent), student.post(url('/attempts'), sent)]);
    expect(answers.map((answer) => answer.status)).toEqual([200, 200]);
    expect(await Attempt.count({ where: { classId, taskId: task!.id } })).toBe(1);
    const [, other] = await round();
    const right = (await rightAnswer(other!.id)).text;
    const tabs = await Promise.all([
      student.post(url('/attempts'), attempt(other!.id, `${right} mL`)),
      student.post(url('/attempts'), attempt(other!.id, `${right} mL`)),
    ]);
    expect(tabs.map((answer) => answer.status).sort()).toEqual([200, 409]);
  });

  it.each(['abc', '', '12,4', '１２．４ mL', '−3 mL', '1e400 mL', '3.3e1 mL', 'x'.repeat(10_000), '<script>'])(
    'takes “%.12s” without falling over, and keeps it',
    async (entry) => {
      const [task] = await round();
      const sent = attempt(task!.id, entry);
      const { status, body } = await student.post(url('/attempts'), sent);
      expect(status).toBe(200);
      expect(['slip', 'record', 'unexplained', 'unreadable', 'sound']).toContain(body.verdict);
      expect((await Attempt.findOne({ where: { classId, id: sent['id'] as string } }))!.entry).toBe(entry);
    },
  );

  it.each([
    ['subjectIds', '/rounds', { subjectIds: ['teapot'] }],
    ['eyeHeight', '/attempts', { eyeHeight: 4000 }],
    ['eyeHeight', '/attempts', { eyeHeight: undefined }],
    ['kind', '/attempts', { kind: 'guess' }],
    ['taskId', '/attempts', { taskId: 'none' }],
    ['timeTaken', '/attempts', { timeTaken: -1 }],
  ])('names %s when it is wrong', async (field, path, wrong) => {
    const [task] = await round();
    const { status, body } = await student.post(url(path), path === '/rounds' ? wrong : attempt(task!.id, '1', wrong));
    expect(status).toBe(400);
    expect(body.field).toBe(field);
  });

  it('does not take an attempt on somebody else’s task', async () => {
    const [task] = await round();
    expect((await teacher.post(url('/attempts'), attempt(task!.id, '1 mL'))).status).toBe(404);
  });
});

describe('what the teacher sees', () => {
  it('counts readings and slips, and opens the picture as it was', async () => {
    const { body: board } = await teacher.get(url('/board'));
    const cell = board
      .find((row: { id: string }) => row.id === studentId)
      .skills.find((one: { skill: string }) => one.skill === 'graduated-cylinders');
    expect(cell.readings).toBeGreaterThan(10);
    expect(cell.slips.map((slip: { id: string }) => slip.id)).toContain('eye-high');
    const { body: record } = await teacher.get(url(`/students/${studentId}/record`));
    expect(record.page.attempts[0].picture.kind).toBe('liquid-column');
    expect(record.page.attempts[0].expected).toEqual({ text: expect.stringMatching(/^\d+\.\d+$/), unit: 'mL' });
    const older = await teacher.get(url(`/students/${studentId}/record?before=${record.page.next}`));
    expect(older.body.page.attempts.length).toBeGreaterThan(0);
  });

  it('hears of an attempt', async () => {
    const [task] = await round();
    const stream = await streamOf(teacher, url('/events'));
    const sent = attempt(task!.id, '1 mL');
    await student.post(url('/attempts'), sent);
    const heard = await stream.until(/event: attempt/);
    expect(heard).toContain(sent['id']);
    stream.close();
  });
});

it('attempts cannot be rewritten', async () => {
  const row = (await Attempt.findOne({ where: { classId } }))!;
  await expect(row.update({ entry: 'other' })).rejects.toThrow('append-only');
});

describe('what is believed of a student', () => {
  it('follows the first tries, and is forgotten with the student', async () => {
    const { readings: before } = (await knownOf({ classId, schoolId, personId: studentId }, server.drawing)).reading;
    for (const task of (await round()).slice(0, 3)) {
      await student.post(url('/attempts'), attempt(task.id, '3.3 g'));
      await student.post(url('/attempts'), attempt(task.id, '3.3 g'));
    }
    const { readings, belief } = (await knownOf({ classId, schoolId, personId: studentId }, server.drawing)).reading;
    expect(readings).toBe(before + 3);
    expect(Object.values(belief).reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);
  });
});

describe('how a tool was handled', () => {
  /** A reading whose situation is as wanted. */
  async function placed(instrumentId: string, situation: Task['situation']): Promise<Task> {
    const { body } = await student.post(url('/rounds'), { subjectIds: [instrumentId] });
    const task = (await Task.findOne({ where: { classId, id: body.tasks[0].id } }))!;
    return task.update({ situation });
  }

  it('is said beside the verdict, kept with the attempt, and shown to the teacher', async () => {
    const task = await placed('burette-50', {
      value: 24.38,
      from: 1.12,
      left: 'funnel',
      eyeHeight: 40,
      surface: 'wetting',
    });
    const { body } = await student.post(
      url('/attempts'),
      attempt(task.id, '23.26 mL', { actions: [{ kind: 'drain', at: 900 }] }),
    );
    expect(body).toMatchObject({ verdict: 'sound', closed: true, remarks: [{ id: 'funnel-left' }] });
    const record = await teacher.get(url(`/students/${studentId}/record`));
    expect(record.body.page.attempts[0].remarks).toEqual([
      { id: 'funnel-left', text: expect.stringContaining('funnel') },
    ]);
  });

  it('decides what is judged: a thing laid at the wood’s end, a bulb taken out', async () => {
    const ruler = await placed('ruler-millimetre', {
      value: 84.6,
      from: 23.4,
      loose: true,
      endOffset: 5,
      eyeHeight: 0,
    });
    const laid = await student.post(
      url('/attempts'),
      attempt(ruler.id, '79.6 mm', { actions: [{ kind: 'lay', at: 900, to: 0 }] }),
    );
    expect(laid.body.slips[0].id).toBe('end-not-zero');
    const stored = (await Attempt.findOne({ where: { classId, id: laid.body.attemptId } }))!;
    expect(stored.situation).toMatchObject({ from: -5 });
    const thermometer = await placed('thermometer-degree', { value: 80, settled: false, shown: 20, eyeHeight: 0 });
    const read = await student.post(
      url('/attempts'),
      attempt(thermometer.id, '80.0 °C', { actions: [{ kind: 'lower', at: 100 }], timeTaken: 60_000 }),
    );
    expect(read.body.verdict).toBe('sound');
  });

  it.each([
    [
      'from',
      'ruler-millimetre',
      { value: 84.6, from: 23.4, loose: true, eyeHeight: 0 },
      [{ kind: 'lay', at: 900, to: 99_999 }],
    ],
    ['actions[0].kind', 'ruler-millimetre', { value: 84.6, eyeHeight: 0 }, [{ kind: 'juggle', at: 900 }]],
    ['actions[0].at', 'ruler-millimetre', { value: 84.6, eyeHeight: 0 }, [{ kind: 'lay', at: -1, to: 5 }]],
  ] as const)('that cannot be is refused, naming %s', async (field, instrumentId, situation, actions) => {
    const task = await placed(instrumentId, situation);
    const { status, body } = await student.post(url('/attempts'), attempt(task.id, '84.6 mm', { actions }));
    expect([status, body.field]).toEqual([400, field]);
    expect(await Attempt.count({ where: { classId, taskId: task.id } })).toBe(0);
  });
});
