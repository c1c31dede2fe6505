import { randomUUID } from 'node:crypto';
import { NOT_MARKED, type MarkingChange, type ReportInQueue, type ReportToMark } from '@green-beam/contract';
import type { Address, RunEvent } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Visitor } from './harness.ts';
import { beginTogether, entryOf, openNotebook, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, stranger, teacher, classId, students } = {} as Notebook;
let [adaId, benId] = ['', ''];

beforeAll(async () => {
  notebook = await openNotebook(null);
  ({ ada, ben, stranger, teacher, classId, students } = notebook);
  [adaId, benId] = [students[0] ?? '', students[1] ?? ''];
});
afterAll(() => notebook.server.stop());

type Answered = ReturnType<Visitor['post']>;

const page = (runId: string): string => `/classes/${classId}/runs/${runId}`;
const own = (quantity: string, author: string, trial = '1'): Address => ({
  kind: 'cell',
  quantity,
  members: { trial },
  author,
});
const section = (author: string): Address => ({ kind: 'report', section: 'conclusion', author });
const rich = (text: string): string =>
  JSON.stringify({ type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] });

/** A page of Ada’s and Ben’s with one trial read, and what both have made of it. */
async function written(): Promise<string> {
  const runId = await beginTogether(notebook);
  const events = [
    entryOf(adaId, 'mass.1', '16.84'),
    entryOf(adaId, 'before.1', '18.0'),
    entryOf(adaId, 'after.1', '24.2'),
    entryOf(adaId, own('volume', adaId), '24.2 mL'),
    entryOf(adaId, own('density', adaId), '0.696 g/mL'),
    entryOf(adaId, section(adaId), rich('It would float.')),
  ];
  expect((await ada.post(`${page(runId)}/events`, { events })).status).toBe(200);
  expect((await write(ben, benId, runId, own('volume', benId), '6.2 mL')).status).toBe(200);
  return runId;
}

const write = (who: Visitor, id: string, runId: string, at: Address | string, text: string): Answered =>
  who.post(`${page(runId)}/events`, { events: [entryOf(id, at, text)] });
const handIn = (who: Visitor, runId: string, body: object = {}): Answered => who.post(`${page(runId)}/hand-in`, body);
const queue = async (): Promise<ReportInQueue[]> => (await teacher.get(`/classes/${classId}/reports`)).body.reports;
const report = (runId: string, author: string): string => `/classes/${classId}/reports/${runId}/${author}`;
const marking = (more: Partial<MarkingChange> = {}): MarkingChange => ({ ...NOT_MARKED, number: 1, ...more });
const mark = (runId: string, author: string, change: object): Answered =>
  teacher.send('PUT', `${report(runId, author)}/marking`, change);
const giveBack = (reports: readonly object[], more: object = {}): Answered =>
  teacher.post(`/classes/${classId}/reports/return`, { reports, at: null, mayImprove: false, ...more });

describe('handing in, where each student has a report', () => {
  it('closes the page for who has handed in, and for everybody once all have', async () => {
    const runId = await written();
    const handed = await handIn(ada, runId);
    expect(handed.body).toMatchObject({ mayWrite: false, handedInAt: null, handIns: [{ author: adaId, number: 1 }] });
    expect(await write(ada, adaId, runId, own('density', adaId), '2.7 g/mL')).toMatchObject({ status: 409 });
    expect(await write(ada, adaId, runId, 'mass.2', '16.84')).toMatchObject({ status: 409 });
    expect((await ben.get(page(runId))).body.mayWrite).toBe(true);
    expect((await write(ben, benId, runId, 'mass.2', '16.84')).status).toBe(200);
    expect((await handIn(ada, runId)).status).toBe(409);
    const last = await handIn(ben, runId);
    expect(Date.parse(last.body.handedInAt)).toBeGreaterThan(Date.now() - 60_000);
    expect((await write(ben, benId, runId, 'mass.3', '16.84')).status).toBe(409);
  });

  it('is done by everybody for themselves: partners at the same screen too, strangers and teachers not', async () => {
    const runId = await written();
    expect(await handIn(ada, runId, { personId: benId })).toMatchObject({ status: 403, body: { field: 'personId' } });
    expect((await handIn(stranger, runId)).status).toBe(403);
    expect((await handIn(teacher, runId)).status).toBe(403);
    expect((await handIn(ada, runId, { personId: adaId })).status).toBe(200);
  });

  it('shows partners each other’s work when both have handed in, and not before', async () => {
    const runId = await written();
    const authors = async (who: Visitor): Promise<string[]> =>
      (await who.get(page(runId))).body.events.flatMap(({ address }: RunEvent) =>
        'author' in address && address.author !== undefined ? [address.author] : [],
      );
    await handIn(ada, runId);
    expect(new Set(await authors(ada))).toEqual(new Set([adaId]));
    expect(new Set(await authors(ben))).toEqual(new Set([benId]));
    await handIn(ben, runId);
    expect(new Set(await authors(ada))).toEqual(new Set([adaId, benId]));
  });

  it('is taken back until a teacher has opened the report', async () => {
    const runId = await written();
    const back = (who: Visitor): Answered => who.post(`${page(runId)}/take-back`);
    await handIn(ada, runId);
    expect((await back(ben)).status).toBe(409);
    expect((await back(stranger)).status).toBe(403);
    expect((await back(ada)).body).toMatchObject({ mayWrite: true, handIns: [] });
    await handIn(ada, runId);
    await teacher.get(report(runId, adaId));
    expect(await back(ada)).toMatchObject({
      status: 409,
      body: { message: expect.stringContaining('opened') as string },
    });
  });

  it('an entry and handing in never come past each other', async () => {
    const runId = await written();
    const trials = Array.from({ length: 6 }, (_, i) => String((i % 3) + 1));
    const [handed, ...entries] = await Promise.all([
      handIn(ada, runId),
      ...trials.map((trial) => write(ada, adaId, runId, own('volume', adaId, trial), '6.2 mL')),
    ]);
    expect(handed.status).toBe(200);
    const shown = (await teacher.get(report(runId, adaId))).body as ReportToMark;
    const ids = new Set(shown.page.events.map(({ id }) => id));
    for (const { status, body } of entries) {
      expect([200, 409]).toContain(status);
      if (status === 200) expect(ids.has(body.events[0].id)).toBe(true);
    }
  });
});

describe('marking', () => {
  it('finds each report in the list with what the program sees of it', async () => {
    const runId = await written();
    await handIn(ada, runId);
    const found = (await queue()).find((one) => one.runId === runId);
    expect(found).toMatchObject({ author: adaId, number: 1, isLate: false, marking: NOT_MARKED, returnedAt: null });
    expect(found?.partners).toHaveLength(1);
    expect(found?.proposal?.isComplete).toBe(false);
    expect(found?.proposal?.of.calculation.because).toMatch(/^one slip, counted once/);
  });

  it('shows the report as it was handed in, whatever the group has written since', async () => {
    const runId = await written();
    await handIn(ada, runId);
    await write(ben, benId, runId, 'mass.2', '99.99');
    const { body } = await teacher.get(report(runId, adaId));
    expect(body.page.events.map(({ text }: RunEvent) => text)).not.toContain('99.99');
    expect(body.page.mayWrite).toBe(false);
    expect(body.earlier).toEqual([]);
    expect((await teacher.get(report(runId, benId))).status).toBe(404);
    expect((await teacher.get(report(randomUUID(), adaId))).status).toBe(404);
  });

  it('keeps points and comments, which nobody else sees before it is returned', async () => {
    const runId = await written();
    await handIn(ada, runId);
    const comments = [
      {
        id: randomUUID(),
        at: { kind: 'cell', quantity: 'volume', members: { trial: '1' } },
        text: 'Look at this again.',
      },
      { id: randomUUID(), at: null, text: 'Good use of the spread.' },
      { id: randomUUID(), at: { kind: 'report', section: 'conclusion', more: 'nothing' }, text: 'Would it float?' },
    ];
    expect(
      (await mark(runId, adaId, marking({ points: { readings: 4, judgement: 0 }, comments } as never))).status,
    ).toBe(204);
    const shown = (await teacher.get(report(runId, adaId))).body as ReportToMark;
    expect(shown.marking.points).toEqual({ readings: 4, judgement: 0 });
    expect(shown.marking.comments[2]?.at).toEqual({ kind: 'report', section: 'conclusion' });
    expect((await ada.get(page(runId))).body.returned).toEqual([]);

    const one = { runId, author: adaId, number: 1 };
    await giveBack([one], { at: '2999-01-01T08:00:00.000Z' });
    expect((await ada.get(page(runId))).body.returned).toEqual([]);
    expect((await giveBack([one])).status).toBe(200);
    const { returned } = (await ada.get(page(runId))).body;
    expect(returned).toMatchObject([
      { number: 1, author: adaId, mayImprove: false, marking: { points: { readings: 4 } } },
    ]);
    expect(returned[0].marking.comments).toHaveLength(3);
    const listed = async (who: Visitor): Promise<object> =>
      (await who.get(`/classes/${classId}/runs`)).body.find(({ id }: { id: string }) => id === runId);
    expect(await listed(ada)).toMatchObject({ isBack: true, handedInAt: expect.any(String) as string });
    expect(await listed(ben)).toMatchObject({ isBack: false, handedInAt: null });
    expect((await ben.get(page(runId))).body.returned).toEqual([]);
    expect((await ada.post(`${page(runId)}/take-back`)).status).toBe(409);
  });

  it('returned to be improved, it is handed in again: what changed is to be seen, and the first mark stays', async () => {
    const runId = await written();
    await handIn(ada, runId);
    await mark(runId, adaId, marking({ points: { calculation: 2 }, isDone: true }));
    await giveBack([{ runId, author: adaId, number: 1 }], { mayImprove: true });
    expect((await ada.get(page(runId))).body.handIns).toMatchObject([{ author: adaId, mayTakeBack: true }]);
    expect((await ada.post(`${page(runId)}/take-back`)).body.mayWrite).toBe(true);
    const first = (await ada.get(page(runId))).body.events.find(
      ({ address }: RunEvent) => address.kind === 'cell' && address.quantity === 'volume',
    );
    const better = entryOf(adaId, own('volume', adaId), '6.2 mL', { replaces: first.id });
    expect((await ada.post(`${page(runId)}/events`, { events: [better] })).status).toBe(200);
    await handIn(ada, runId);
    const { body } = await teacher.get(report(runId, adaId));
    expect(body).toMatchObject({ number: 2, marking: NOT_MARKED });
    expect(body.earlier).toMatchObject([{ number: 1, marking: { points: { calculation: 2 } } }]);
    const since = body.page.events.filter(({ order }: RunEvent) => (order ?? 0) > body.earlier[0].upTo);
    expect(since.map(({ text }: RunEvent) => text)).toEqual(['6.2 mL']);
    // The list has both: the mark that is kept, and what is to be marked.
    expect((await queue()).filter((one) => one.runId === runId)).toMatchObject([
      { number: 1, isInForce: false, marking: { points: { calculation: 2 } } },
      { number: 2, isInForce: true, marking: NOT_MARKED },
    ]);
    expect(await mark(runId, adaId, marking({ number: 1 }))).toMatchObject({ status: 409, body: { field: 'number' } });
    expect((await giveBack([{ runId, author: adaId, number: 1 }])).status).toBe(409);
    // The first mark is still the student’s to see.
    expect((await ada.get(page(runId))).body.returned).toMatchObject([{ number: 1 }]);
  });

  it('comes with what the other groups found, where it was opened for several', async () => {
    const [first, second] = [randomUUID(), randomUUID()];
    const opened = await teacher.post(`/classes/${classId}/openings`, {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Bronze deck nail',
      groups: [
        { runId: first, memberIds: [adaId] },
        { runId: second, memberIds: [benId] },
      ],
    });
    expect(opened.status).toBe(201);
    const read = (who: Visitor, id: string, runId: string, after: string): Answered =>
      who.post(`${page(runId)}/events`, {
        events: [entryOf(id, 'mass.1', '54.30'), entryOf(id, 'before.1', '18.0'), entryOf(id, 'after.1', after)],
      });
    expect((await read(ada, adaId, first, '24.2')).status).toBe(200);
    expect((await read(ben, benId, second, '24.0')).status).toBe(200);
    await handIn(ada, first);
    const { others } = (await teacher.get(report(first, adaId))).body as ReportToMark;
    expect(others).toMatchObject([{ runId: second, specimen: 'Bronze deck nail', unit: 'g/mL' }]);
    expect(others[0]!.value).toBeCloseTo(54.3 / 6, 6);
    // A group that has begun by itself is held against nobody.
    const alone = await written();
    await handIn(ada, alone);
    expect((await teacher.get(report(alone, adaId))).body.others).toEqual([]);
  });

  it.each<[string, object, string]>([
    ['five points', { points: { readings: 5 } }, 'points'],
    ['half a point', { points: { readings: 0.5 } }, 'points'],
    ['a criterion that the class has not', { points: { beauty: 1 } }, 'points'],
    ['an empty comment', { comments: [{ id: randomUUID(), at: null, text: ' ' }] }, 'comments[0].text'],
    [
      'a quotation of a page',
      { comments: [{ id: randomUUID(), at: null, quote: 'x'.repeat(121), text: 'x' }] },
      'comments[0].quote',
    ],
    ['a comment nowhere', { comments: [{ id: randomUUID(), at: { kind: 'moon' }, text: 'x' }] }, 'comments[0].at.kind'],
    ['no number', { number: null }, 'number'],
  ])('refuses %s, by its name', async (_what, change, field) => {
    const runId = await written();
    await handIn(ada, runId);
    expect(await mark(runId, adaId, { ...marking(), ...change })).toMatchObject({ status: 400, body: { field } });
  });

  it('offers the commonest comments first', async () => {
    const comment = (text: string): object => ({ id: randomUUID(), at: null, text });
    for (const texts of [['Would it float?', 'Units, please.'], ['Would it float?']]) {
      const runId = await written();
      await handIn(ada, runId);
      await mark(runId, adaId, { ...marking(), comments: texts.map(comment) });
    }
    const { comments } = (await teacher.get(`/classes/${classId}/reports`)).body;
    expect(comments.indexOf('Would it float?')).toBeLessThan(comments.indexOf('Units, please.'));
  });
});

it('a student’s data have their own reports, with marks only once they are returned', async () => {
  const runId = await written();
  await handIn(ada, runId);
  await handIn(ben, runId);
  await mark(runId, adaId, marking({ points: { readings: 4 } }));
  const reportsIn = async (who: Visitor, what: string): Promise<object[]> =>
    (await who.get(`/classes/${classId}/${what}`)).body.runs.find((run: { id: string }) => run.id === runId).reports;
  expect(await reportsIn(ada, 'own-data')).toMatchObject([{ author: adaId, number: 1, marking: null }]);
  expect(await reportsIn(teacher, 'export')).toMatchObject([
    { author: adaId, marking: { points: { readings: 4 } } },
    { author: benId, marking: null },
  ]);
  await giveBack([{ runId, author: adaId, number: 1 }]);
  expect(await reportsIn(ada, 'own-data')).toMatchObject([{ marking: { points: { readings: 4 } } }]);
});

describe('what a class is marked by', () => {
  const put = (rubric: object): Answered => teacher.send('PUT', `/classes/${classId}/rubric`, rubric);
  const criterion = { id: 'care', name: 'Care', sees: null };

  it('is five criteria with points, until the teacher decides otherwise', async () => {
    const before = (await teacher.get(`/classes/${classId}/rubric`)).body;
    expect(before).toMatchObject({ scale: 'points' });
    expect(before.criteria.map(({ id }: { id: string }) => id)).toEqual([
      'readings',
      'digits',
      'calculation',
      'judgement',
      'conclusion',
    ]);
    expect((await put({ scale: 'letters', criteria: [criterion] })).body).toEqual({
      scale: 'letters',
      criteria: [criterion],
    });
    expect((await put(before)).body).toEqual(before);
  });

  it.each<[string, object, string]>([
    ['no criterion', { scale: 'points', criteria: [] }, 'criteria'],
    ['two of the same id', { scale: 'points', criteria: [criterion, criterion] }, 'criteria'],
    ['one without a name', { scale: 'points', criteria: [{ ...criterion, name: '' }] }, 'criteria[0].name'],
    [
      'one the program should see and cannot',
      { scale: 'points', criteria: [{ ...criterion, sees: 'beauty' }] },
      'criteria[0].sees',
    ],
    ['another scale', { scale: 'stars', criteria: [criterion] }, 'scale'],
  ])('refuses %s, by its name', async (_what, rubric, field) => {
    expect(await put(rubric)).toMatchObject({ status: 400, body: { field } });
  });
});
