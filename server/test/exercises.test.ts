import { randomUUID } from 'node:crypto';
import {
  EXERCISE_KINDS,
  isExerciseTask,
  rightEntry,
  slipEntries,
  EXERCISE_SLIPS,
  type ExerciseTask,
} from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { taskOf } from '../src/bench/show.ts';
import { Attempt, Task } from '../src/models/bench.ts';
import { knownOf } from '../src/bench/tutor.ts';
import { rulesOf } from '../src/rules.ts';
import { openClassroom, type TestServer, type Visitor } from './harness.ts';

let server: TestServer;
let teacher: Visitor;
let student: Visitor;
let classId: string;
let schoolId: string;
let studentId: string;

beforeAll(async () => {
  ({
    server,
    teacherSignedIn: teacher,
    student,
    classId,
    studentId,
    school: { id: schoolId },
  } = await openClassroom());
});
afterAll(() => server.stop());

const url = (path: string): string => `/classes/${classId}${path}`;
const ALL = EXERCISE_KINDS.map(({ id }) => id);

interface Drawn {
  readonly id: string;
  readonly picture: { readonly kind: string; readonly exercise: string };
}

async function round(subjectIds: readonly string[]): Promise<Drawn[]> {
  const { status, body } = await student.post(url('/rounds'), { subjectIds });
  expect(status).toBe(201);
  return body.tasks;
}

async function stored(taskId: string): Promise<ExerciseTask> {
  const row = (await Task.findOne({ where: { classId, id: taskId } }))!;
  const task = taskOf(row, await rulesOf(classId, row.rulesVersion));
  if (!isExerciseTask(task)) throw new Error('That is a reading.');
  return task;
}

const entered = (taskId: string, entry: string, more: object = {}): object => ({
  id: randomUUID(),
  taskId,
  kind: 'reading',
  entry,
  eyeHeight: 0,
  actions: [],
  hints: 0,
  timeTaken: 4000,
  ...more,
});

describe('a round of exercises', () => {
  it('is of the kinds named, and gives nothing away before an exercise is closed', async () => {
    const { body, text } = await student.post(url('/rounds'), { subjectIds: ALL });
    expect(body.tasks).toHaveLength(10);
    for (const task of body.tasks as Drawn[]) {
      expect(task.picture.kind).toBe('exercise');
      const wrong = await student.post(
        url('/attempts'),
        entered(task.id, task.picture.exercise === 'spot-the-error' ? '1a' : '777 km'),
      );
      const record = await student.get(url('/record'));
      for (const seen of [text, wrong.text, record.text])
        expect(/"(formula|given|faults|called|slip|seed)":|"(solution|expected)":\{/.exec(seen)?.[0]).toBeUndefined();
    }
  });

  it('is found again in the place of numbers, and the bench keeps its own', async () => {
    const [first] = await round(['round-number']);
    expect((await student.get(url('/rounds/current?place=numbers'))).body.tasks[0].id).toBe(first!.id);
    const bench = (await student.get(url('/rounds/current'))).body;
    expect(bench === null || bench.tasks.every(({ picture }: Drawn) => picture.kind !== 'exercise')).toBe(true);
  });

  it('mixes with readings where both are named', async () => {
    const tasks = await round(['cylinder-50', 'add-subtract']);
    expect(new Set(tasks.map(({ picture }) => (picture.kind === 'exercise' ? 'exercise' : 'reading')))).toEqual(
      new Set(['exercise', 'reading']),
    );
  });

  it('sets nothing twice', async () => {
    const tasks = [
      ...(await round(['choose-statement'])),
      ...(await round(['choose-statement'])),
      ...(await round(['count-figures'])),
    ];
    const told = await Promise.all(
      tasks.map(async ({ id }) => JSON.stringify({ ...(await stored(id)).exercise, level: 0 })),
    );
    expect(new Set(told).size).toBe(told.length);
  });

  it('refuses a kind that is not there, naming the field', async () => {
    const { status, body } = await student.post(url('/rounds'), { subjectIds: ['long-division'] });
    expect([status, body.field]).toEqual([400, 'subjectIds']);
  });
});

describe('an answer', () => {
  it.each(ALL)('to %s: the right one closes the exercise, and shows how it is worked out', async (kind) => {
    const [task] = await round([kind]);
    const { body } = await student.post(url('/attempts'), entered(task!.id, rightEntry(await stored(task!.id))));
    expect(body).toMatchObject({ verdict: 'sound', closed: true, strip: [] });
    expect(body.answer.solution.by).toMatch(/^(working|words|options|faults)$/);
    const row = (await Attempt.findOne({ where: { classId, taskId: task!.id } }))!;
    expect(row).toMatchObject({
      subjectId: kind,
      skill: EXERCISE_KINDS.find(({ id }) => id === kind)!.skill,
      verdict: 'sound',
    });
  });

  it.each(['mixed-steps', 'convert-units', 'count-figures', 'exact-or-measured', 'spot-the-error'])(
    'to %s: a wrong one is told its slip, and the second closes it',
    async (kind) => {
      const [task] = await round([kind]);
      const exercise = await stored(task!.id);
      const wrong = EXERCISE_SLIPS.flatMap((slip) =>
        slipEntries(exercise, slip)
          .slice(0, 1)
          .map((entry) => ({ slip: slip.id, entry })),
      )[0]!;
      const first = await student.post(url('/attempts'), entered(task!.id, wrong.entry));
      expect(first.body).toMatchObject({ closed: false, answer: null });
      expect(first.body.slips[0]).toMatchObject({ id: wrong.slip });
      expect(first.body.slips[0].why).toMatch(/\.$/);
      const second = await student.post(url('/attempts'), entered(task!.id, wrong.entry));
      expect(second.body).toMatchObject({ closed: true, tryNumber: 2 });
      expect(second.body.answer.text).not.toBe('');
    },
  );

  it('that cannot be read costs no try, and says what is wrong with it', async () => {
    const [table] = await round(['spot-the-error']);
    for (const [entry, message] of [
      ['', 'You have marked nothing'],
      ['99a', 'no cell 99'],
      ['<script>', '“<script>” is not'],
    ] as const) {
      const { status, body } = await student.post(url('/attempts'), entered(table!.id, entry));
      expect([status, body.verdict, body.closed]).toEqual([200, 'unreadable', false]);
      expect(body.message).toContain(message);
    }
  });

  it('counts for the board, the record and the tutor, with habits of reading left alone', async () => {
    const before = await knownOf({ classId, schoolId, personId: studentId }, server.drawing);
    const [task] = await round(['add-subtract']);
    await student.post(url('/attempts'), entered(task!.id, rightEntry(await stored(task!.id))));
    const [row] = (await teacher.get(url('/board'))).body.filter(({ id }: { id: string }) => id === studentId);
    expect(row.skills.find(({ skill }: { skill: string }) => skill === 'calculations').readings).toBeGreaterThan(0);
    const record = (await student.get(url('/record'))).body;
    expect(record.page.attempts[0]).toMatchObject({
      subjectId: 'add-subtract',
      question: expect.any(String),
      picture: { kind: 'exercise' },
    });
    const after = await knownOf({ classId, schoolId, personId: studentId }, server.drawing);
    expect(after.calculating.readings).toBe(before.calculating.readings + 1);
    expect(after.reading).toEqual(before.reading);
  });

  it('grows harder with what goes right', async () => {
    for (let i = 0; i < 7; i += 1) {
      const [task] = await round(['multiply-divide']);
      await student.post(url('/attempts'), entered(task!.id, rightEntry(await stored(task!.id))));
    }
    const levels = await Promise.all(
      (await round(['multiply-divide'])).map(async ({ id }) => (await stored(id)).exercise.level),
    );
    expect(Math.min(...levels)).toBeGreaterThan(1);
  });
});

describe('a round that a teacher sets', () => {
  it('holds exercises beside readings, aimed at what is named', async () => {
    const set = await teacher.post(url('/set-rounds'), {
      title: 'Figures and glass',
      subjectIds: ['cylinder-50', 'multiply-divide'],
      length: 4,
      aims: ['meniscus-edge', 'decimals-in-product'],
      tries: 2,
    });
    expect(set.status).toBe(201);
    expect(set.body[0]).toMatchObject({ place: 'bench', subjectIds: ['cylinder-50', 'multiply-divide'] });
    const { body } = await student.post(url('/rounds'), { setRoundId: set.body[0].id });
    expect(body.tasks.map(({ picture }: Drawn) => picture.kind)).toEqual([
      'liquid-column',
      'exercise',
      'liquid-column',
      'exercise',
    ]);
  });

  it('of exercises alone is worked in the place of numbers', async () => {
    const { body } = await teacher.post(url('/set-rounds'), {
      title: 'Conversions',
      subjectIds: ['convert-units'],
      length: 3,
      aims: ['factor-power-forgotten'],
    });
    expect(body[0].place).toBe('numbers');
    const own = (await student.post(url('/rounds'), { setRoundId: body[0].id })).body;
    expect((await student.get(url('/rounds/current?place=numbers'))).body.id).toBe(own.id);
  });

  it('cannot aim at a slip that its kinds do not show', async () => {
    const { status, body } = await teacher.post(url('/set-rounds'), {
      title: 'Wrong',
      subjectIds: ['count-figures'],
      length: 3,
      aims: ['percent-of-measured'],
    });
    expect([status, body.field]).toEqual([400, 'aims']);
  });

  it('on paper has exercises with their answers in the key, and takes what was written', async () => {
    const { body } = await teacher.post(url('/set-rounds'), {
      title: 'On paper',
      subjectIds: ['cylinder-50', 'choose-statement', 'spot-the-error', 'round-number'],
      length: 6,
      tries: 1,
      onPaper: true,
    });
    const printed = (await teacher.post(url(`/set-rounds/${body[0].id}/sheets`))).body;
    const sheet = printed.sheets.find(({ readings }: { readings: unknown[] }) => readings.length === 6);
    expect(sheet.readings.some(({ picture }: Drawn) => picture.kind === 'exercise')).toBe(true);
    const shown = (await teacher.get(url(`/sheets/${sheet.code}`))).body;
    const answers = shown.readings.map(({ taskId }: { taskId: string }, i: number) => ({
      id: randomUUID(),
      taskId,
      entry: `${sheet.readings[i].answer.text} ${sheet.readings[i].unit}`.trim(),
    }));
    const taken = (await teacher.post(url(`/sheets/${sheet.code}/answers`), { answers })).body;
    expect(taken.readings.map(({ result }: { result: { verdict: string } }) => result.verdict)).toEqual(
      Array.from({ length: 6 }, () => 'sound'),
    );
  });
});
