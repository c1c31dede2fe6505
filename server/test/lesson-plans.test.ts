import { randomUUID } from 'node:crypto';
import type { PlanDraft, PlanPage, PlanSummary } from '@green-beam/contract';
import { subMinutes } from 'date-fns';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LessonPlanRow } from '../src/models/lesson-plans.ts';
import { RunEventRow } from '../src/models/notebook.ts';
import type { Answer, Visitor } from './harness.ts';
import { entryOf, openNotebook, type Notebook } from './notebook-entries.ts';
import { samplePlan } from './sample-plan.ts';

let notebook: Notebook;
let { ada, teacher, classId } = {} as Notebook;
const url = (path = ''): string => `/classes/${classId}/plans${path}`;
const draft = samplePlan();

const save = (id: string, revision: number, changed: PlanDraft): Promise<Answer> =>
  teacher.send('PUT', url(`/${id}`), { revision, draft: changed });

async function made(): Promise<PlanPage> {
  const { status, body } = await teacher.post(url(), { id: randomUUID(), draft });
  expect(status).toBe(201);
  return body as PlanPage;
}

beforeAll(async () => {
  notebook = await openNotebook();
  ({ ada, teacher, classId } = notebook);
});
afterAll(() => notebook.server.stop());

describe('the plan of a lesson', () => {
  it('is kept as it was made, once, and listed', async () => {
    const page = await made();
    expect(page).toMatchObject({ title: 'Monday', begins: '10:00', groups: 2, revision: 1, beganAt: null, real: [] });
    expect(page.draft).toEqual(draft);
    expect((await teacher.post(url(), { id: page.id, draft })).status).toBe(201);
    expect(await teacher.post(url(), { id: page.id, draft: { ...draft, title: 'Another' } })).toMatchObject({
      status: 409,
      body: { field: 'id' },
    });
    const listed = (await teacher.get(url())).body as PlanSummary[];
    expect(listed.filter(({ id }) => id === page.id)).toHaveLength(1);
  });

  it('is never written over by another window', async () => {
    const { id } = await made();
    expect((await save(id, 1, { ...draft, minutes: 50 })).body).toMatchObject({ revision: 2, draft: { minutes: 50 } });
    expect(await save(id, 1, { ...draft, minutes: 45 })).toMatchObject({ status: 409, body: { field: 'revision' } });
    // What is sent again since its answer was lost is saved already.
    expect((await save(id, 1, { ...draft, minutes: 50 })).status).toBe(200);
    const all = await Promise.all([40, 41, 42, 43].map((minutes) => save(id, 2, { ...draft, minutes })));
    expect(all.filter(({ status }) => status === 200)).toHaveLength(1);
  });

  it('is no student’s business', async () => {
    const { id } = await made();
    expect((await ada.get(url())).status).toBe(403);
    expect((await ada.get(url(`/${id}`))).status).toBe(403);
    expect((await ada.post(url(`/${id}/run`), { runs: true })).status).toBe(403);
  });

  it.each<[string, Partial<Record<keyof PlanDraft, unknown>>, string]>([
    ['no name', { title: ' ' }, 'draft.title'],
    ['no time of day', { begins: '25:00' }, 'draft.begins'],
    ['no groups', { groups: 0 }, 'draft.groups'],
    ['half a group', { groups: 2.5 }, 'draft.groups'],
    ['no laboratory', { stations: [] }, 'draft.stations'],
    ['a step of no time', { steps: [{ ...draft.steps[0]!, minutes: 0 }] }, 'draft.steps[0].minutes'],
    ['something before the lesson', { placed: [{ ...draft.placed[0]!, start: -3 }] }, 'draft.placed[0].start'],
    [
      'a tool that is none',
      { placed: [{ ...draft.placed[0]!, tools: { balances: 'B-01' } }] },
      'draft.placed[0].tools',
    ],
  ])('with %s is refused by its field', async (_, wrong, field) => {
    const answer = await teacher.post(url(), { id: randomUUID(), draft: { ...draft, ...wrong } });
    expect(answer).toMatchObject({ status: 400, body: { field } });
  });

  it('begins once, also when it is pressed twice, and can be stopped', async () => {
    const { id } = await made();
    const [first, again] = [
      await teacher.post(url(`/${id}/run`), { runs: true }),
      await teacher.post(url(`/${id}/run`), { runs: true }),
    ];
    expect(first.body.beganAt).toEqual(expect.any(String));
    expect(again.body.beganAt).toBe(first.body.beganAt);
    expect((await teacher.post(url(`/${id}/run`), { runs: false })).body.beganAt).toBeNull();
  });

  it('is deleted', async () => {
    const { id } = await made();
    expect((await teacher.send('DELETE', url(`/${id}`))).status).toBe(204);
    expect((await teacher.get(url(`/${id}`))).status).toBe(404);
    expect((await save(id, 1, draft)).status).toBe(404);
  });

  it('is in the export of its class', async () => {
    const { id } = await made();
    const { body } = await teacher.get(`/classes/${classId}/export`);
    expect((body.plans as { id: string }[]).find((one) => one.id === id)).toMatchObject({ title: 'Monday', groups: 2 });
  });
});

describe('how a lesson went', () => {
  const person = async (who: Visitor): Promise<string> =>
    ((await who.get('/session')).body as { signedIn: { person: { id: string } } }).signedIn.person.id;

  it('is seen by what a group wrote in each step, and by nothing of before', async () => {
    const { id } = await made();
    const author = await person(ada);
    const created = { id: randomUUID(), protocolId: 'solid-by-displacement', specimen: 'Basalt pebble' };
    const runId: string = (await ada.post(`/classes/${classId}/runs`, created)).body.id;
    const entries = [
      entryOf(author, 'mass.1', '17.31'),
      entryOf(author, 'before.1', '21.4'),
      entryOf(author, 'after.1', '27.8'),
    ];
    expect((await ada.post(`/classes/${classId}/runs/${runId}/events`, { events: entries })).status).toBe(200);
    const now = new Date();
    await RunEventRow.sequelize!.query('alter table run_events disable trigger user');
    const times = [19, 9, 4];
    for (const [i, entry] of entries.entries())
      await RunEventRow.update(
        { deviceTime: subMinutes(now, times[i]!) },
        { where: { classId, id: entry.id as string } },
      );
    await RunEventRow.sequelize!.query('alter table run_events enable trigger user');
    await LessonPlanRow.update({ beganAt: subMinutes(now, 20) }, { where: { classId, id } });
    const { real } = (await teacher.get(url(`/${id}`))).body as PlanPage;
    expect(real.map(({ group, step, from, to }) => [group, step, Math.round(from), Math.round(to)])).toEqual([
      [0, 'solid-by-displacement/mass', 1, 1],
      [0, 'solid-by-displacement/before', 11, 11],
      [0, 'solid-by-displacement/after', 16, 16],
    ]);
    await LessonPlanRow.update({ beganAt: now }, { where: { classId, id } });
    const later = (await teacher.get(url(`/${id}`))).body as PlanPage;
    expect(later.real.map(({ step }) => step)).toEqual(['solid-by-displacement/before', 'solid-by-displacement/after']);
  });
});
