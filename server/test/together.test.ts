import { randomUUID } from 'node:crypto';
import type { TogetherAtFront, TogetherNow, TogetherSummary } from '@green-beam/contract';
import { asOperated, expectedReading, predictedEntries, type ReadingTask } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { deleteStudent } from '../src/classes/removal.ts';
import { TogetherAnswerRow, TogetherRow } from '../src/models/together.ts';
import { rulesOf } from '../src/rules.ts';
import { taskOfRoom } from '../src/together/task-of-room.ts';
import {
  asStudent,
  asTeacher,
  makeSchool,
  makeStudent,
  PIN,
  startTestServer,
  streamOf,
  type Answer,
  type TestServer,
  type Visitor,
} from './harness.ts';

let server: TestServer;
let teacher: Visitor;
let classId = '';
let code = '';
const ids: Record<'ada' | 'ben' | 'cleo', string> = { ada: '', ben: '', cleo: '' };
const at = {} as Record<'ada' | 'ben' | 'cleo', Visitor>;

beforeAll(async () => {
  server = await startTestServer();
  const school = await makeSchool('harbour');
  classId = school.schoolClass.id;
  code = school.schoolClass.code;
  [ids.ada = '', ids.ben = ''] = school.students;
  ids.cleo = await makeStudent(school.schoolClass, 'Cleo', 'Fen');
  teacher = await asTeacher(server.base, school.teacher.email);
  for (const name of ['ada', 'ben', 'cleo'] as const) at[name] = await asStudent(server.base, code, ids[name]);
});
afterAll(() => server.stop());

const path = (rest = ''): string => `/classes/${classId}/together${rest}`;
const begin = (body: object): Promise<Answer & { body: TogetherAtFront }> =>
  teacher.post(path(), { id: randomUUID(), ...body });
const answer = (who: keyof typeof ids, roundId: string, entry: string, eyeHeight = 0): Promise<Answer> =>
  at[who].post(path(`/${roundId}/answers`), { personId: ids[who], entry, eyeHeight });
const now = async (who: keyof typeof ids): Promise<TogetherNow> =>
  (await at[who].get(path('/now'))).body as TogetherNow;
const front = async (roundId: string): Promise<TogetherAtFront> =>
  (await teacher.get(path(`/${roundId}`))).body as TogetherAtFront;

/** What is really there, as only the server knows. */
async function truth(roundId: string): Promise<ReadingTask> {
  const row = await TogetherRow.findOne({ where: { classId, id: roundId } });
  return taskOfRoom(row!, await rulesOf(classId, row!.rulesVersion))!;
}

describe('one picture for the whole class', () => {
  let roundId = '';
  let right = '';

  it('is begun once, however often it is sent, and offered to everybody with an eye of their own', async () => {
    const asked = { id: randomUUID(), kind: 'picture', instrumentId: 'burette-50' };
    expect((await teacher.post(path(), asked)).status).toBe(201);
    expect((await teacher.post(path(), asked)).status).toBe(201);
    expect(await TogetherRow.count({ where: { classId } })).toBe(1);
    roundId = asked.id;
    const [ada, ben] = [await now('ada'), await now('ben')];
    expect(ada.round).toMatchObject({ id: roundId, number: 1, state: 'reading', unit: 'mL', division: 0.1 });
    const eyes = [ada, ben].map(({ readers }) => (readers[0]?.picture as { eye: { height: number } }).eye.height);
    for (const eye of eyes) expect(Math.abs(eye)).toBeGreaterThanOrEqual(25);
    expect(eyes[0]).not.toBe(eyes[1]);
    right = expectedReading(await truth(roundId)).text;
  });

  /** Where the marks of a picture lie says nothing, whatever the digits. */
  const withoutPictures = (text: string): string =>
    JSON.stringify(JSON.parse(text), (key, value: unknown) => (key === 'picture' ? undefined : value));

  it('tells nobody the answer, the others’ answers, or a slip, while it is read', async () => {
    await answer('ada', roundId, `${right} mL`);
    const [entry = ''] = predictedEntries(asOperated(await truth(roundId), { eyeHeight: 60 }), { id: 'eye-high' });
    const { status, body } = await answer('ben', roundId, entry, 60);
    expect(status).toBe(200);
    expect(body).toEqual({ counts: true });
    const ben = await now('ben');
    expect(ben).toMatchObject({ dots: [], answer: null });
    expect(ben.readers).toEqual([expect.objectContaining({ entry, dot: null, verdict: null, slips: [] })]);
    for (const told of [await teacher.get(path(`/${roundId}`)), await at.cleo.get(path('/now'))])
      expect(withoutPictures(told.text)).not.toMatch(new RegExp(`(?<![\\d.:])${right}(?!\\d)`));
    expect(await front(roundId)).toMatchObject({ answered: 2, of: 3, answers: [], answer: null });
    const { body: list } = await teacher.get(path());
    expect((list as TogetherSummary[])[0]).toMatchObject({ answered: 2, slips: [] });
  });

  it('is answered by those at the screen and by nobody else; what is no reading is refused by its field', async () => {
    const forBen = await at.ada.post(path(`/${roundId}/answers`), {
      personId: ids.ben,
      entry: '1 mL',
      eyeHeight: 0,
    });
    expect(forBen.status).toBe(403);
    const byTeacher = await teacher.post(path(`/${roundId}/answers`), {
      personId: ids.ben,
      entry: '1 mL',
      eyeHeight: 0,
    });
    expect(byTeacher.status).toBe(403);
    expect(await answer('ada', roundId, 'about half')).toMatchObject({ status: 400, body: { field: 'entry' } });
    expect(await answer('ada', roundId, '12 mL', 900)).toMatchObject({ status: 400, body: { field: 'eyeHeight' } });
    expect(await answer('ada', randomUUID(), '12 mL')).toMatchObject({ status: 404 });
    await at.ada.post('/session/partners', { studentId: ids.cleo, pin: PIN });
    const partner = await at.ada.post(path(`/${roundId}/answers`), {
      personId: ids.cleo,
      entry: '9.99 mL',
      eyeHeight: 0,
    });
    expect(partner.status).toBe(200);
    expect((await now('ada')).readers.map(({ personId }) => personId)).toEqual([ids.ada, ids.cleo]);
  });

  it('can be answered anew until Stop, and the first is kept; what comes later does not count', async () => {
    await answer('cleo', roundId, `${right} mL`);
    expect((await teacher.post(path(`/${roundId}/answer`))).status).toBe(409);
    expect((await teacher.post(path(`/${roundId}/stop`))).status).toBe(200);
    expect((await answer('cleo', roundId, '1.23 mL')).body).toEqual({ counts: false });
    const { answers, answered } = await front(roundId);
    expect(answered).toBe(3);
    expect(answers.find(({ personId }) => personId === ids.cleo)).toMatchObject({
      label: 'Cleo F.',
      first: '9.99 mL',
      entry: `${right} mL`,
      late: '1.23 mL',
      verdict: 'sound',
      dot: { value: Number(right), place: -2, sound: null },
    });
    expect(answers.find(({ personId }) => personId === ids.ben)?.slips[0]?.id).toBe('eye-high');
  });

  it('after Stop shows everybody’s dots to everybody, and each their own slip, but not the answer', async () => {
    const ben = await now('ben');
    expect(ben.dots).toHaveLength(3);
    expect(ben.dots.map(({ value }) => value)).toEqual([...ben.dots.map(({ value }) => value)].sort((a, b) => a - b));
    expect(ben.readers[0]).toMatchObject({ verdict: 'slip', dot: { sound: null } });
    expect(ben.readers[0]?.slips[0]?.id).toBe('eye-high');
    expect(ben.answer).toBeNull();
    const cleo = await now('cleo');
    expect(cleo.readers[0]).toMatchObject({ late: '1.23 mL', slips: [] });
  });

  it('is read again as a second one over the first; the first is shown with it', async () => {
    const { body } = await begin({ kind: 'again', over: roundId });
    expect(body.round).toMatchObject({ number: 2, seriesId: roundId, state: 'reading' });
    expect(body.before).toHaveLength(1);
    expect(body.before[0]?.dots).toHaveLength(3);
    expect(expectedReading(await truth(body.round.id)).text).toBe(right);
    await answer('ben', body.round.id, `${right} mL`);
    await teacher.post(path(`/${body.round.id}/stop`));
    const { body: shown } = await teacher.post(path(`/${body.round.id}/answer`));
    expect((shown as TogetherAtFront).answer).toMatchObject({ text: right });
    expect((await now('ada')).answer?.text).toBe(right);
    expect((shown as TogetherAtFront).answers[0]?.dot).toMatchObject({ sound: true });
    const first = await teacher.post(path(`/${roundId}/answer`));
    expect((first.body as TogetherAtFront).answers.map(({ dot }) => dot?.sound).sort()).toEqual([false, true, true]);
  });

  it('is read on another tool at the same thing, compared in one unit', async () => {
    const { body: rule } = await begin({ kind: 'picture', instrumentId: 'ruler-centimetre', value: 5.23 });
    await answer('ada', rule.round.id, '5.22 cm');
    const { body } = await begin({ kind: 'other-tool', over: rule.round.id, instrumentId: 'micrometer-hundredth' });
    expect(body.message).toMatch(/0.*25/);
    const { body: caliper } = await begin({
      kind: 'other-tool',
      over: rule.round.id,
      instrumentId: 'caliper-twentieth',
    });
    expect(caliper.round.unit).toBe('mm');
    expect((await truth(caliper.round.id)).situation.value).toBe(52.3);
    expect(caliper.before[0]?.dots[0]).toMatchObject({ value: 52.2, place: -1 });
    const balance = await begin({ kind: 'other-tool', over: rule.round.id, instrumentId: 'digital-balance-gram' });
    expect(balance).toMatchObject({ status: 400, body: { field: 'instrumentId' } });
  });

  it('puts away what was open before', async () => {
    const { body } = await begin({ kind: 'picture', instrumentId: 'cylinder-50', value: 36 });
    expect(body.onMark).toBe(true);
    expect((await now('ada')).round.id).toBe(body.round.id);
    expect(await front(roundId)).toMatchObject({ over: true });
    await teacher.post(path(`/${body.round.id}/end`));
    expect(await now('ada')).toBeNull();
  });

  it.each([
    [{ kind: 'picture' }, 'instrumentId'],
    [{ kind: 'picture', instrumentId: 'burette-50', value: 61 }, 'value'],
    [{ kind: 'picture', instrumentId: 'burette-50', value: 'half' }, 'value'],
    [{ kind: 'picture', instrumentId: 'sundial' }, 'instrumentId'],
    [{ kind: 'front', unit: 'mL' }, 'title'],
    [{ kind: 'front', title: 'Burette' }, 'unit'],
    [{ kind: 'front', title: 'Burette', unit: 'furlong' }, 'unit'],
    [{ kind: 'guess' }, 'kind'],
  ])('%j is refused by its field', async (body, field) => {
    expect(await begin(body)).toMatchObject({ status: 400, body: { field } });
  });
});

describe('a real tool at the front', () => {
  let roundId = '';

  it('is read without a picture, and nothing is judged until its type and value are said', async () => {
    const { body } = await begin({ kind: 'front', title: 'the burette by the window', unit: 'mL' });
    roundId = body.round.id;
    expect((await now('ada')).readers[0]?.picture).toBeNull();
    await answer('ada', roundId, '27.54 mL', 80);
    await answer('ben', roundId, '28.46 mL');
    await teacher.post(path(`/${roundId}/stop`));
    const { answers, round } = await front(roundId);
    expect(round.division).toBeNull();
    expect(answers.map(({ verdict, slips, dot }) => [verdict, slips.length, dot?.sound])).toEqual([
      [null, 0, null],
      [null, 0, null],
    ]);
  });

  it('is judged once they are, and never by where an eye was', async () => {
    expect(await teacher.post(path(`/${roundId}/answer`), {})).toMatchObject({ status: 400, body: { field: 'value' } });
    expect(await teacher.post(path(`/${roundId}/answer`), { instrumentId: 'burette-50', value: 99 })).toMatchObject({
      status: 400,
      body: { field: 'value' },
    });
    expect(
      await teacher.post(path(`/${roundId}/answer`), { instrumentId: 'ruler-millimetre', value: 20 }),
    ).toMatchObject({
      status: 400,
      body: { field: 'instrumentId' },
    });
    const { body } = await teacher.post(path(`/${roundId}/answer`), { instrumentId: 'burette-50', value: 27.54 });
    const { answers, answer: shown, round } = body as TogetherAtFront;
    expect(shown).toMatchObject({ value: 27.54 });
    expect(round.division).toBe(0.1);
    expect(answers.find(({ personId }) => personId === ids.ada)?.verdict).toBe('sound');
    const ben = answers.find(({ personId }) => personId === ids.ben);
    expect(ben?.slips.map(({ id }) => id)).not.toContain('eye-high');
    expect(ben?.slips).not.toEqual([]);
  });

  it('of no known type has a value and no slips', async () => {
    const { body } = await begin({ kind: 'front', title: 'spring balance', unit: 'N' });
    await answer('ada', body.round.id, '2.35 N');
    await teacher.post(path(`/${body.round.id}/stop`));
    const shown = await teacher.post(path(`/${body.round.id}/answer`), { value: 2.4 });
    expect(shown.body).toMatchObject({ answer: { value: 2.4 } });
    expect((shown.body as TogetherAtFront).answers[0]).toMatchObject({
      verdict: null,
      dot: { value: 2.35, place: -2 },
    });
  });
});

it('a hundred answers of one student leave one, and those that race with Stop are counted or late, never both', async () => {
  const { body } = await begin({ kind: 'picture', instrumentId: 'cylinder-50', value: 32.6 });
  const { id } = body.round;
  const sent = Array.from({ length: 12 }, (_, i) => answer(i % 2 === 0 ? 'ada' : 'ben', id, `3${i % 10}.5 mL`));
  const stop = teacher.post(path(`/${id}/stop`));
  await Promise.all([...sent, stop]);
  const rows = await TogetherAnswerRow.findAll({ where: { classId, roundId: id } });
  expect(rows).toHaveLength(2);
  const { answered } = await front(id);
  expect(answered).toBe(rows.filter(({ entry }) => entry !== null).length);
});

it('the teacher hears of each answer, and students only of begin and Stop', async () => {
  const [byTeacher, byBen] = [
    await streamOf(teacher, `/classes/${classId}/events`),
    await streamOf(at.ben, `/classes/${classId}/events`),
  ];
  const { body } = await begin({ kind: 'picture', instrumentId: 'cylinder-50', value: 32.6 });
  await answer('ada', body.round.id, '32.6 mL');
  expect(await byTeacher.until(/together-answer\n[^\n]+\n/)).toContain(`{"id":"${body.round.id}","count":1}`);
  await teacher.post(path(`/${body.round.id}/stop`));
  const heard = await byBen.until(/event: together\n[^]*event: together\n/);
  expect(heard).not.toContain('together-answer');
  byTeacher.close();
  byBen.close();
});

it('is kept with the class, goes into its file, and can be deleted', async () => {
  const { body: list } = await teacher.get(path());
  const before = (list as TogetherSummary[]).length;
  expect(before).toBeGreaterThan(5);
  const exported = (await teacher.get(`/classes/${classId}/export`)).body;
  expect(exported.together).toHaveLength(before);
  const own = (await at.ada.get(`/classes/${classId}/own-data`)).body;
  expect(
    own.together.flatMap(({ answers }: { answers: { person: string }[] }) => answers.map(({ person }) => person)),
  ).toEqual(expect.arrayContaining([ids.ada]));
  expect(JSON.stringify(own.together)).not.toContain(ids.ben);
  const [latest] = list as TogetherSummary[];
  expect((await teacher.send('DELETE', path(`/${latest!.round.id}`))).status).toBe(204);
  expect((await teacher.get(path(`/${latest!.round.id}`))).status).toBe(404);
});

it('what a student read goes with them', async () => {
  await deleteStudent(ids.ben);
  expect(await TogetherAnswerRow.count({ where: { personId: ids.ben } })).toBe(0);
});
