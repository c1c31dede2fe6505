import { randomUUID } from 'node:crypto';
import type { NewGroup } from '@green-beam/contract';
import { isReadingPlace, type Address, type RunEvent } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeStudent, streamOf, type Visitor } from './harness.ts';
import { beginTogether, entryOf, openNotebook, worked, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, stranger, teacher, classId, students } = {} as Notebook;
let cleo = '';

beforeAll(async () => {
  notebook = await openNotebook(null);
  ({ ada, ben, stranger, teacher, classId, students } = notebook);
  const { body } = await teacher.get(`/classes/${classId}/classmates`);
  cleo = (body as { id: string; label: string }[]).find(({ id }) => !students.includes(id))?.id ?? '';
});
afterAll(() => notebook.server.stop());

const own = (memberIds: readonly (string | undefined)[], more: Partial<NewGroup> = {}): Record<string, unknown> => ({
  runId: randomUUID(),
  memberIds,
  ...more,
});

function opening(groups: readonly Record<string, unknown>[], more: object = {}): Record<string, unknown> {
  return { id: randomUUID(), protocolId: 'solid-by-displacement', specimen: 'Bronze deck nail', groups, ...more };
}

const open = (body: unknown): ReturnType<Visitor['post']> => teacher.post(`/classes/${classId}/openings`, body);
const page = (runId: unknown): string => `/classes/${classId}/runs/${String(runId)}`;
const textsOf = (events: readonly RunEvent[]): string[] =>
  events
    .filter(({ address }) => isReadingPlace(address))
    .map(({ address, text }) => `${JSON.stringify(address)} ${text}`);

describe('a laboratory that is opened for the class', () => {
  it('is there for each of its groups at once, and the board shows who is where from nothing on', async () => {
    const stream = await streamOf(ada, `/classes/${classId}/events`);
    const body = opening([own([students[0], students[1]])], { dueAt: '2026-12-01T08:00:00.000Z' });
    const made = await open(body);
    expect(made.status).toBe(201);
    expect(await stream.until(/event: run/)).toBeTruthy();
    stream.close();
    const [group] = made.body.atWork;
    expect(group).toMatchObject({ lastAt: null, given: null, handedInAt: null, readings: { done: 0 } });
    expect(group.members.map(({ id }: { id: string }) => id).sort()).toEqual([...students.slice(0, 2)].sort());
    expect(made.body.without).toMatchObject([{ id: cleo, excused: false }]);

    const listed = (await ben.get(`/classes/${classId}/runs`)).body.find(
      ({ id }: { id: string }) => id === group.runId,
    );
    expect(listed).toMatchObject({ dueAt: '2026-12-01T08:00:00.000Z', isGiven: false, asked: [] });
    expect(listed.members).toHaveLength(2);
    expect((await stranger.get(page(group.runId))).status).toBe(403);

    const mass = entryOf(students[0], 'mass.1', '54.31');
    expect((await ada.post(`${page(group.runId)}/events`, { events: [mass] })).status).toBe(200);
    const volume: Address = { kind: 'cell', quantity: 'volume', members: { trial: '1' }, author: students[1]! };
    await ben.post(`${page(group.runId)}/events`, { events: [entryOf(students[1], volume, '6.2 mL')] });
    const board = (await teacher.get(`/classes/${classId}/openings/${made.body.id}`)).body;
    expect(board.atWork[0].readings.done).toBe(1);
    expect(Date.parse(board.atWork[0].lastAt)).toBeGreaterThan(Date.now() - 60_000);
    const calculated = (id: string | undefined): number =>
      board.atWork[0].members.find((member: { id: string }) => member.id === id).calculated.done;
    expect([calculated(students[0]), calculated(students[1])]).toEqual([0, 1]);
    // Sent again since the answer was lost: it is opened once.
    const again = await open(body);
    expect(again.body.atWork).toHaveLength(1);
    expect(again.body.atWork[0].readings.done).toBe(1);
  });

  it('takes in who came late, and lets nobody go who has written', async () => {
    const made = (await open(opening([own([students[0], students[1]])]))).body;
    const runId = made.atWork[0].runId as string;
    const put = (memberIds: readonly (string | undefined)[]): ReturnType<Visitor['send']> =>
      teacher.send('PUT', `/classes/${classId}/openings/${made.id}/groups/${runId}`, { memberIds });
    expect((await put([students[0], students[1], cleo])).body.without).toEqual([]);
    expect((await stranger.get(page(runId))).status).toBe(200);
    expect((await put([students[0], students[1]])).status).toBe(200);
    expect((await stranger.get(page(runId))).status).toBe(403);
    await ada.post(`${page(runId)}/events`, { events: [entryOf(students[0], 'mass.1', '54.31')] });
    expect(await put([students[1]])).toMatchObject({ status: 409, body: { field: 'memberIds' } });
    expect(await put([])).toMatchObject({ status: 400, body: { field: 'memberIds' } });
    expect(await put([randomUUID()])).toMatchObject({ status: 400, body: { field: 'memberIds' } });
    expect(
      (
        await teacher.send('PUT', `/classes/${classId}/openings/${made.id}/groups/${randomUUID()}`, {
          memberIds: [cleo],
        })
      ).status,
    ).toBe(404);
  });

  it('opens a page again that was closed, for who comes to its group, and closes it when they go', async () => {
    const made = (await open(opening([own([students[0]])]))).body;
    const runId = made.atWork[0].runId as string;
    const put = (memberIds: readonly (string | undefined)[]): ReturnType<Visitor['send']> =>
      teacher.send('PUT', `/classes/${classId}/openings/${made.id}/groups/${runId}`, { memberIds });
    expect((await ada.post(`${page(runId)}/hand-in`)).body.handedInAt).not.toBeNull();
    expect((await put([students[0], cleo])).body.atWork[0].handedInAt).toBeNull();
    const mass = entryOf(cleo, 'mass.1', '54.31');
    expect((await stranger.get(page(runId))).body.mayWrite).toBe(true);
    expect((await ada.get(page(runId))).body.mayWrite).toBe(false);
    expect((await put([students[0]])).body.atWork[0].handedInAt).not.toBeNull();
    await put([students[0], cleo]);
    expect((await stranger.post(`${page(runId)}/events`, { events: [mass] })).status).toBe(200);
  });

  it('excuses who need not do it, and moves the day', async () => {
    const made = (await open(opening([own([students[0]])]))).body;
    const change = (body: object): ReturnType<Visitor['send']> =>
      teacher.send('PATCH', `/classes/${classId}/openings/${made.id}`, body);
    expect((await change({ excused: [cleo] })).body.without).toContainEqual(
      expect.objectContaining({ id: cleo, excused: true }),
    );
    expect((await change({ dueAt: '2026-12-24T12:00:00.000Z' })).body).toMatchObject({
      dueAt: '2026-12-24T12:00:00.000Z',
      without: expect.arrayContaining([expect.objectContaining({ id: cleo, excused: true })]) as unknown,
    });
    expect((await change({ excused: [] })).body.dueAt).toBe('2026-12-24T12:00:00.000Z');
    expect((await change({ dueAt: null })).body.dueAt).toBeNull();
    expect(await change({ excused: [randomUUID()] })).toMatchObject({ status: 400, body: { field: 'excused' } });
    expect(await change({ dueAt: 'tomorrow' })).toMatchObject({ status: 400, body: { field: 'dueAt' } });
    const more = await teacher.post(`/classes/${classId}/openings/${made.id}/groups`, { groups: [own([cleo])] });
    expect(more.status).toBe(201);
    expect(more.body.atWork).toHaveLength(2);
    expect(more.body.without.some(({ id }: { id: string }) => id === cleo)).toBe(false);
  });

  it.each<[string, () => object, string]>([
    ['a laboratory that is not there', () => opening([own([students[0]])], { protocolId: 'nothing' }), 'protocolId'],
    ['nobody in a group', () => opening([own([])]), 'groups[0].memberIds'],
    ['no group', () => opening([]), 'groups'],
    ['somebody twice', () => opening([own([students[0]]), own([students[0]])]), 'groups'],
    ['somebody of another class', () => opening([own([randomUUID()])]), 'groups'],
    ['no name of the piece', () => opening([own([students[0]])], { specimen: ' ' }), 'specimen'],
    [
      'a page to copy that is not there',
      () => opening([own([students[0]], { given: 'copied', from: randomUUID() })]),
      'groups',
    ],
    ['no page to copy', () => opening([own([students[0]], { given: 'copied' })]), 'groups'],
    ['an example that is not there', () => opening([own([students[0]], { given: 'drawn', sample: 9 })]), 'groups'],
    [
      'an unknown kind of readings',
      () => opening([own([students[0]], { given: 'guessed' as never })]),
      'groups[0].given',
    ],
  ])('refuses %s, by its name', async (_what, body, field) => {
    expect(await open(body())).toMatchObject({ status: 400, body: { field } });
  });

  it('has ids of its own: a run of another opening, or one that students began, is not taken', async () => {
    const runId = await beginTogether(notebook);
    expect((await open(opening([{ runId, memberIds: [students[0]] }]))).status).toBe(409);
    const first = opening([own([students[0]])]);
    await open(first);
    expect((await open({ ...first, protocolId: 'solid-by-dimensions' })).status).toBe(409);
  });
});

describe('readings that are given', () => {
  it('are there and locked, different for each student, and what is calculated is the student’s', async () => {
    const body = opening([own([students[0]], { given: 'drawn' }), own([students[1]], { given: 'drawn' })]);
    const made = await open(body);
    expect(made.status).toBe(201);
    expect(made.body.atWork).toMatchObject([
      { given: 'drawn', lastAt: null },
      { given: 'drawn', lastAt: null },
    ]);
    for (const { readings } of made.body.atWork) expect(readings.done).toBe(readings.of);
    const idOf = (person: string | undefined): string =>
      made.body.atWork.find(({ members }: { members: { id: string }[] }) => members[0]?.id === person).runId;
    const [mine, hers] = [(await ada.get(page(idOf(students[0])))).body, (await ben.get(page(idOf(students[1])))).body];
    expect(mine.isGiven).toBe(true);
    expect(textsOf(mine.events)).not.toEqual(textsOf(hers.events));
    expect(mine.arrangement.byStudent).toContain('density');
    expect(worked(mine).results.length).toBeGreaterThan(0);
    expect((await ada.get(page(idOf(students[1])))).status).toBe(403);

    const write = (address: Address | string, text: string, more: object = {}): ReturnType<Visitor['post']> =>
      ada.post(`${page(idOf(students[0]))}/events`, { events: [entryOf(students[0], address, text, more)] });
    const standing = mine.events.find(
      ({ address }: RunEvent) => address.kind === 'cell' && address.quantity === 'mass',
    );
    for (const [address, text] of [
      ['mass.1', '99.99'],
      ['mass.9', '54.31'],
      ['tool.mass', 'digital-balance-tenth'],
      [{ kind: 'adjustment', quantity: 'mass', members: { trial: '1' } } as Address, '1.00'],
      [
        { kind: 'link', quantity: 'mass', members: { trial: '1' } } as Address,
        '{"quantity":"mass","members":{"trial":"2"}}',
      ],
    ] as const)
      expect(await write(address, text, { reason: 'so' })).toMatchObject({ status: 403, body: { field: 'address' } });
    expect(await write('mass.1', '', { replaces: standing.id })).toMatchObject({ status: 403 });
    const trial = { trial: '1' };
    expect(
      (await write({ kind: 'cell', quantity: 'volume', members: trial, author: students[0]! }, '6.2 mL')).status,
    ).toBe(200);
    expect((await write('excluded.2', 'a bubble')).status).toBe(200);
    // The same sent once more draws nothing anew.
    await open(body);
    expect(textsOf((await ada.get(page(idOf(students[0])))).body.events)).toEqual(textsOf(mine.events));
  });

  it('can be those of a group, or typed by the teacher, for somebody who was away', async () => {
    const runId = await beginTogether(notebook);
    const events = [
      entryOf(students[0], 'mass.1', '54.31'),
      entryOf(students[0], 'before.1', '18.4'),
      entryOf(students[0], 'after.1', '24.6'),
      entryOf(students[0], 'answer.tool', 'the cylinder', {
        address: { kind: 'answer', question: 'tool', author: students[0] },
      }),
      entryOf(students[0], 'excluded.2', 'a bubble'),
    ];
    expect((await ada.post(`${page(runId)}/events`, { events })).status).toBe(200);
    const first = events[0] as { id: string };
    const struck = entryOf(students[0], 'mass.1', '54.30', { replaces: first.id, reason: 'looked again' });
    await ada.post(`${page(runId)}/events`, { events: [struck] });
    const made = await open(opening([own([cleo], { given: 'copied', from: runId })]));
    expect(made.status).toBe(201);
    const given = (await stranger.get(page(made.body.atWork[0].runId))).body;
    expect(given.events.map(({ text }: RunEvent) => text).sort()).toEqual(['18.4', '24.6', '54.30']);
    // Nobody asks why readings that were given are the same.
    expect((await teacher.get(page(made.body.atWork[0].runId))).body.alike).toEqual([]);

    const empty = await beginTogether(notebook);
    expect(await open(opening([own([cleo], { given: 'copied', from: empty })]))).toMatchObject({
      status: 400,
      body: { field: 'groups' },
    });
    const other = await beginTogether(notebook, 'solid-by-dimensions');
    expect(await open(opening([own([cleo], { given: 'copied', from: other })]))).toMatchObject({
      status: 400,
      body: { field: 'groups' },
    });
  });
});

it('tells the teacher which groups have the same readings, and whose repeats are very even', async () => {
  const dora = await makeStudent(notebook.schoolClass, 'Dora', 'Elm');
  const made = (await open(opening([own([students[0]]), own([students[1]]), own([cleo]), own([dora])]))).body;
  const values: Record<number, string[]> = {
    0: ['18.4', '17.6', '19.2', '18.8', '18.1'],
    1: ['18.4', '17.6', '19.2', '18.8', '18.1'],
    2: ['18.5', '18.5', '18.5', '18.5', '18.5'],
  };
  const writers = [ada, ben, stranger];
  for (const [i, writer] of writers.entries()) {
    const person = [students[0], students[1], cleo][i];
    const runId = made.atWork.find(({ members }: { members: { id: string }[] }) => members[0]?.id === person).runId;
    const events = values[i]!.flatMap((text, trial) => [
      entryOf(person, `before.${trial + 1}`, text),
      entryOf(person, `after.${trial + 1}`, (Number(text) + 6.2).toFixed(1)),
    ]);
    expect((await writer.post(`${page(runId)}/events`, { events })).status).toBe(200);
  }
  const board = (await teacher.get(`/classes/${classId}/openings/${made.id}`)).body;
  const groupOf = (person: string | undefined): { alike: number[]; tooEven: { quantity: string; own: number }[] } =>
    board.atWork.find(({ members }: { members: { id: string }[] }) => members[0]?.id === person);
  expect(groupOf(students[0]).alike).toHaveLength(1);
  expect(groupOf(students[1]).alike).toHaveLength(1);
  expect(groupOf(cleo)).toMatchObject({ alike: [] });
  expect(groupOf(cleo).tooEven.map(({ quantity, own: s }) => [quantity, s])).toEqual([
    ['before', 0],
    ['after', 0],
  ]);
});
