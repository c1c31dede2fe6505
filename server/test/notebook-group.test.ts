import { randomUUID } from 'node:crypto';
import { type Address } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { streamOf, type Visitor } from './harness.ts';
import { openNotebook, type Notebook, entryOf } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, stranger, teacher, classId, students, runId } = {} as Notebook;

beforeAll(async () => {
  notebook = await openNotebook();
  ({ ada, ben, stranger, teacher, classId, students, runId } = notebook);
});
afterAll(() => notebook.server.stop());

const path = (): string => `/classes/${classId}/runs/${runId}`;

const event = (place: string | Address, text: string, more: object = {}): Record<string, unknown> =>
  entryOf(students[0], place, text, more);

describe('handing in', () => {
  it('is for the group, closes the page, and is undone by the teacher', async () => {
    expect((await teacher.post(`${path()}/hand-in`)).status).toBe(403);
    expect((await stranger.post(`${path()}/hand-in`)).status).toBe(403);
    const stream = await streamOf(teacher, `/classes/${classId}/events`);
    const handed = await ben.post(`${path()}/hand-in`);
    expect(handed).toMatchObject({ status: 200, body: { mayWrite: false, mayGiveBack: false } });
    expect(Date.parse(handed.body.handedInAt)).toBeGreaterThan(Date.now() - 60_000);
    expect(await stream.until(/event: run/)).toContain(runId);
    stream.close();

    const late = await ada.post(`${path()}/events`, { events: [event('mass.5', '54.30')] });
    expect(late).toMatchObject({ status: 409, body: { message: expect.stringContaining('handed in') } });
    expect((await ada.post(`${path()}/hand-in`)).status).toBe(409);
    expect((await ada.post(`${path()}/give-back`)).status).toBe(403);

    expect((await teacher.get(path())).body.mayGiveBack).toBe(true);
    expect((await teacher.post(`${path()}/give-back`)).body).toMatchObject({ handedInAt: null, mayGiveBack: false });
    expect((await ada.post(`${path()}/events`, { events: [event('mass.5', '54.30')] })).status).toBe(200);
  });

  it('is taken back by the group until the teacher has opened the page', async () => {
    await ada.post(`${path()}/hand-in`);
    expect((await stranger.post(`${path()}/take-back`)).status).toBe(403);
    expect((await teacher.post(`${path()}/take-back`)).status).toBe(403);
    expect((await ben.get(path())).body).toMatchObject({ handIns: [{ mayTakeBack: true }], mayWrite: false });
    expect((await ben.post(`${path()}/take-back`)).body).toMatchObject({ handIns: [], mayWrite: true });
    await ada.post(`${path()}/hand-in`);
    await teacher.get(path());
    expect((await ben.get(path())).body.handIns).toMatchObject([{ mayTakeBack: false }]);
    expect(await ben.post(`${path()}/take-back`)).toMatchObject({
      status: 409,
      body: { message: expect.stringContaining('opened') as string },
    });
    await teacher.post(`${path()}/give-back`);
  });

  it('and an entry never come past each other: what is acknowledged was written before', async () => {
    for (let i = 0; i < 12; i += 1) {
      const writing = Array.from({ length: 6 }, (_, n) =>
        ada.post(`${path()}/events`, { events: [event(`mass.${n + 1}`, `5${i}.${n}`)] }),
      );
      const [handed, ...written] = await Promise.all([ben.post(`${path()}/hand-in`), ...writing]);
      const { events, handedInAt } = (await ada.get(path())).body;
      const stored = new Set(events.map((one: { id: string }) => one.id));
      for (const { status, body } of written) {
        expect([200, 409]).toContain(status);
        if (status === 200) expect(stored).toContain(body.events[0].id);
      }
      expect(handed.status).toBe(200);
      const count = Number(events.length);
      expect((await ada.post(`${path()}/events`, { events: [event('mass.1', '1')] })).status).toBe(409);
      expect((await ada.get(path())).body.events).toHaveLength(count);
      expect(handedInAt).not.toBeNull();
      await ben.post(`${path()}/take-back`);
    }
  });

  it('does not refuse what was stored before and is sent again', async () => {
    const sent = event('mass.6', '54.36');
    await ada.post(`${path()}/events`, { events: [sent] });
    await ada.post(`${path()}/hand-in`);
    expect((await ada.post(`${path()}/events`, { events: [sent] })).body.events).toHaveLength(1);
    await ada.post(`${path()}/take-back`);
  });

  it('and everything else stops while the class is archived', async () => {
    await teacher.send('PATCH', `/classes/${classId}`, { archived: true });
    expect((await ada.post(`${path()}/hand-in`)).body.message).toContain('archived');
    expect((await ada.post(`${path()}/events`, { events: [event('mass.6', '54.30')] })).body.message).toContain(
      'archived',
    );
    expect((await ada.get(path())).body.mayWrite).toBe(false);
    await teacher.send('PATCH', `/classes/${classId}`, { archived: false });
    expect((await ada.get(path())).body.mayWrite).toBe(true);
  });
});

describe('a group', () => {
  const begin = (visitor: Visitor, body: object = {}) =>
    visitor.post(`/classes/${classId}/runs`, {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Cork bung',
      memberIds: [students[1]],
      ...body,
    });

  it('has those who are at the screen; who else was named is asked, and is no member before', async () => {
    const begun = await begin(stranger);
    expect(begun.body).toMatchObject({ members: ['Cleo F.'], asked: ['Ben R.'] });
    const page = `/classes/${classId}/runs/${begun.body.id}`;
    expect((await ben.get(`/classes/${classId}/runs/asked`)).body).toMatchObject([{ id: begun.body.id }]);
    expect((await ben.get(`/classes/${classId}/runs`)).body.map(({ id }: { id: string }) => id)).not.toContain(
      begun.body.id,
    );
    expect((await ben.get(page)).body.field).toBe('join');
    const written = event('mass.1', '3.14', { person: students[1] });
    expect((await ben.post(`${page}/events`, { events: [written] })).status).toBe(403);
    expect((await ada.post(`${page}/members`, { personId: students[0] })).status).toBe(403);

    expect((await ben.post(`${page}/members`, { personId: students[1] })).body).toMatchObject({
      members: ['Ben R.', 'Cleo F.'],
      asked: [],
    });
    expect((await ben.post(`${page}/events`, { events: [written] })).status).toBe(200);
    expect((await ben.get(`/classes/${classId}/runs/asked`)).body).toEqual([]);
  });

  it('is left alone by who says no', async () => {
    const begun = await begin(stranger);
    const page = `/classes/${classId}/runs/${begun.body.id}`;
    expect((await ben.send('DELETE', `${page}/members/me`)).status).toBe(204);
    expect((await ben.get(page)).status).toBe(403);
    expect((await stranger.get(page)).body).toMatchObject({ members: ['Cleo F.'], asked: [] });
    // Whoever has joined does not fall out by it.
    expect((await stranger.send('DELETE', `${page}/members/me`)).status).toBe(204);
    expect((await stranger.get(page)).status).toBe(200);
  });

  it('is joined later with the PIN at a member’s screen, and by nobody else', async () => {
    const begun = await begin(stranger, { memberIds: [] });
    const page = `/classes/${classId}/runs/${begun.body.id}`;
    expect((await stranger.post(`${page}/members`, { personId: students[1] })).body.field).toBe('personId');
    await stranger.post('/session/partners', { studentId: students[1], pin: '1357' });
    expect((await stranger.post(`${page}/members`, { personId: students[1] })).body.members).toContain('Ben R.');
    expect((await ben.get(page)).status).toBe(200);
    await stranger.send('DELETE', `/session/partners/${students[1]!}`);
  });

  it('is begun once, however often it is sent', async () => {
    const id = randomUUID();
    const all = await Promise.all([1, 2, 3].map(() => begin(stranger, { id })));
    expect(all.map(({ status }) => status)).toEqual([201, 201, 201]);
    expect((await stranger.get(`/classes/${classId}/runs/${id}`)).body.asked).toEqual(['Ben R.']);
    expect((await begin(ada, { id })).body.field).toBe('id');
  });
});
