import { randomUUID } from 'node:crypto';
import { type Address } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { streamOf } from './harness.ts';
import { openNotebook, type Notebook, entryOf, placeOf, worked } from './notebook-entries.ts';

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

describe('a group’s page', () => {
  it('keeps what both write, in the server’s order, and folds to one table', async () => {
    const first = event('after.1', '27.0');
    await ada.post(`${path()}/events`, { events: [event('mass.1', '54.31'), event('before.1', '21.4'), first] });
    await ben.post(`${path()}/events`, {
      events: [event('after.1', '27.8', { replaces: first['id'], reason: 'read the mark below', person: students[1] })],
    });
    const { body } = await ada.get(path());
    expect(body.events.map((one: { text: string }) => one.text)).toEqual(['54.31', '21.4', '27.0', '27.8']);
    const run = worked(body);
    expect(run.cellAt('density', { trial: '1' })).toMatchObject({ text: '8.5' });
    expect(run.cellAt('after', { trial: '1' })).toMatchObject({ text: '27.8', struck: [{ text: '27.0' }] });
  });

  it('stores an entry sent twice once', async () => {
    const sent = event('mass.2', '54.30');
    const before = (await ada.get(path())).body.events.length;
    await ada.post(`${path()}/events`, { events: [sent] });
    const { status, body } = await ada.post(`${path()}/events`, { events: [sent] });
    expect(status).toBe(200);
    expect(body.events).toHaveLength(1);
    expect((await ada.get(path())).body.events).toHaveLength(Number(before) + 1);
  });

  it('keeps two corrections of the same entry as a conflict', async () => {
    const first = event('before.3', '20.0');
    await ada.post(`${path()}/events`, { events: [first] });
    await ada.post(`${path()}/events`, { events: [event('before.3', '20.1', { replaces: first['id'] })] });
    await ben.post(`${path()}/events`, {
      events: [event('before.3', '20.2', { replaces: first['id'], person: students[1] })],
    });
    const { body } = await teacher.get(path());
    expect(worked(body).cellAt('before', { trial: '3' })).toMatchObject({
      event: { text: '20.1' },
      rivals: [{ text: '20.2' }],
    });
  });

  it('can be read by the teacher, not written, and is closed to other groups', async () => {
    expect((await teacher.get(path())).body.mayWrite).toBe(false);
    expect((await teacher.post(`${path()}/events`, { events: [event('mass.3', '1')] })).status).toBe(403);
    expect((await stranger.get(path())).status).toBe(403);
    expect((await stranger.get(`/classes/${classId}/runs`)).body).toEqual([]);
    expect((await teacher.get(`/classes/${classId}/runs`)).body).toHaveLength(1);
  });

  it('does not let one write for another who has not entered the PIN', async () => {
    const forged = await ada.post(`${path()}/events`, { events: [event('mass.3', '1', { person: students[1] })] });
    expect(forged).toMatchObject({ status: 403, body: { field: 'person' } });
    expect((await ada.post('/session/partners', { studentId: students[1], pin: '0000' })).status).toBe(401);
    expect((await ada.post('/session/partners', { studentId: students[1], pin: '1357' })).status).toBe(200);
    expect(
      (await ada.post(`${path()}/events`, { events: [event('mass.3', '54.32', { person: students[1] })] })).status,
    ).toBe(200);
  });

  it('is told to whoever looks at the class', async () => {
    const stream = await streamOf(teacher, `/classes/${classId}/events`);
    await ada.post(`${path()}/events`, { events: [event('answer.tool', 'The cylinder.')] });
    expect(await stream.until(/event: run/)).toContain(runId);
    stream.close();
  });

  it('takes the tool of a column, a trial left out and answers, but no tool for what is not read', async () => {
    const slots = [
      ['tool.before', 'cylinder-100'],
      ['excluded.3', 'an air bubble'],
      ['answer.repeats', 'They agree.'],
      ['temperature', '21'],
      ['accepted', 'bronze'],
      ['behaviour', 'sank'],
    ] as const;
    expect(
      (await ada.post(`${path()}/events`, { events: slots.map(([slot, text]) => event(slot, text)) })).status,
    ).toBe(200);
    const { body } = await ben.get(path());
    const { setting, cellAt, counts } = worked(body);
    expect(cellAt('before', { trial: '1' })).toMatchObject({
      tool: { instrument: { id: 'cylinder-100' }, code: null },
    });
    expect(setting.exclusions).toMatchObject([{ member: '3', reason: 'an air bubble', by: students[0] }]);
    expect(['1', '3'].map((member) => counts({ trial: member }))).toEqual([true, false]);
  });

  it.each([
    ['address.quantity', { address: placeOf('volume.1') }],
    ['address.members.trial', { address: placeOf('mass.99') }],
    ['address.members.trial', { address: placeOf('mass') }],
    [
      'address.members.method',
      { address: { kind: 'cell', quantity: 'mass', members: { trial: '1', method: 'fine' } } },
    ],
    ['address', { address: 'drop table' }],
    ['address.kind', { address: { kind: 'rules' } }],
    ['address.question', { address: placeOf('answer.whatever') }],
    ['address.member', { address: placeOf('excluded.99') }],
    ['address.member', { address: placeOf('excluded.0') }],
    ['address.dimension', { address: { kind: 'excluded', dimension: 'method', member: '1', within: {} } }],
    ['address.quantity', { address: placeOf('tool.volume') }],
    ['address.quantity', { address: placeOf('tool.answer') }],
    ['address.members.trial', { address: placeOf('behaviour.1') }],
    ['address.option', { address: { kind: 'option', option: 'vessel' } }],
    ['address.dimension', { address: { kind: 'members', dimension: 'trial' } }],
    ['address.statement', { address: { kind: 'statement', statement: 'whatever' } }],
    ['text', { address: { kind: 'statement', statement: 'wet' }, text: '9' }],
    ['text', { address: { kind: 'link', quantity: 'before', members: { trial: '2' } }, text: 'the one before' }],
    ['text', { address: placeOf('behaviour'), text: 'exploded' }],
    ['text', { address: placeOf('tool.before'), text: 'cylinder-50; Z-99; 0' }],
    ['text', { address: placeOf('tool.before'), text: 'a cylinder' }],
    ['replaces', { replaces: '5a17a4b0-0000-4000-8000-000000000001' }],
    ['deviceTime', { deviceTime: 'yesterday' }],
    ['text', { text: 'x'.repeat(4001) }],
  ])('names %s when it is wrong: %j', async (field, wrong) => {
    const { status, body } = await ada.post(`${path()}/events`, { events: [event('mass.4', '1', wrong)] });
    expect(status).toBe(400);
    expect(body.field).toContain(field);
  });

  it.each([0, 101])('takes between one and a hundred entries at once, not %d', async (count) => {
    const { status, body } = await ada.post(`${path()}/events`, {
      events: Array.from({ length: count }, () => event('mass.1', '1')),
    });
    expect(status).toBe(400);
    expect(body.field).toBe('events');
  });

  it('names what is wrong with a new laboratory', async () => {
    expect(
      (await ada.post(`/classes/${classId}/runs`, { id: randomUUID(), protocolId: 'alchemy', specimen: 'x' })).body
        .field,
    ).toBe('protocolId');
    expect(
      (
        await ada.post(`/classes/${classId}/runs`, {
          id: randomUUID(),
          protocolId: 'solid-by-displacement',
          specimen: '',
        })
      ).body.field,
    ).toBe('specimen');
    expect(
      (
        await ada.post(`/classes/${classId}/runs`, {
          id: randomUUID(),
          protocolId: 'solid-by-displacement',
          specimen: 'x',
          memberIds: [randomUUID()],
        })
      ).body.field,
    ).toBe('memberIds');
  });
});

describe('a tool of the cabinet', () => {
  it('has the zero error that the cabinet knows of, whatever the browser says', async () => {
    const tool = { code: 'B-07', instrumentId: 'digital-balance-hundredth', kind: 'real', keeper: 'window' };
    const added = await teacher.post(`/classes/${classId}/cabinet`, tool);
    const made = added.body.find(({ code }: { code: string }) => code === tool.code);
    const noted = await teacher.post(`/classes/${classId}/cabinet/${made.id}/notes`, {
      id: randomUUID(),
      kind: 'zero',
      reading: 0.03,
    });
    expect([added.status, noted.status]).toEqual([201, 201]);
    const named = event('tool.mass', 'digital-balance-hundredth; B-07; 5; 9');
    const { status, body } = await ada.post(`${path()}/events`, { events: [named] });
    expect([status, body.events[0].text]).toEqual([200, 'digital-balance-hundredth; B-07; 0.03; ; 1']);
    expect(worked((await ben.get(path())).body).cellAt('mass', { trial: '1' })).toMatchObject({
      tool: { code: 'B-07', zeroError: 0.03 },
    });
    await ada.post(`${path()}/events`, { events: [event('tool.mass', '', { replaces: named['id'] })] });
  });
});

describe('a cell that was left empty', () => {
  it('can be written again, with what emptied it or without', async () => {
    const first = event('after.5', '28.0');
    const emptied = event('after.5', '', { replaces: first['id'] });
    const again = event('after.5', '28.1');
    for (const one of [first, emptied, again])
      expect((await ada.post(`${path()}/events`, { events: [one] })).status).toBe(200);
    const { body } = await ben.get(path());
    expect(worked(body).cellAt('after', { trial: '5' })).toMatchObject({
      kind: 'entry',
      text: '28.1',
      rivals: [],
      struck: [{ text: '28.0' }, { text: '' }],
    });
  });
});

describe('the rules of an open page', () => {
  const rules = `/rules`;

  it('change by a recorded action of a teacher, and not by themselves', async () => {
    const before = (await teacher.get(path())).body;
    expect(before).toMatchObject({ newerRules: null, rulesChanges: [] });
    expect((await teacher.post(`${path()}${rules}`)).body.message).toContain('already');
    const { version } = (await teacher.get(`/classes/${classId}/rules`)).body;
    await teacher.post(`/classes/${classId}/rules`, {
      name: 'Plain sums',
      rules: { combine: 'plain-sum' },
      after: version,
    });
    expect((await ada.get(path())).body).toMatchObject({ rules: { combine: before.rules.combine }, newerRules: null });
    expect((await teacher.get(path())).body.newerRules).toBe('Plain sums');
    expect((await ada.post(`${path()}${rules}`)).status).toBe(403);
    expect(
      (await ada.post(`${path()}/events`, { events: [event({ kind: 'rules' } as never, '1')] })).body.field,
    ).toContain('address');

    const stream = await streamOf(ada, `/classes/${classId}/events`);
    const changed = await teacher.post(`${path()}${rules}`);
    expect(changed).toMatchObject({
      status: 200,
      body: { rulesName: 'Plain sums', rules: { combine: 'plain-sum' }, newerRules: null },
    });
    expect(await stream.until(/event: run/)).toContain(runId);
    stream.close();
    const after = (await ada.get(path())).body;
    expect(after.rulesChanges).toEqual([{ by: expect.any(String), at: expect.any(String), name: 'Plain sums' }]);
    expect(after.events).toEqual(before.events);
  });

  it('stay as they are once the page is handed in', async () => {
    const { version } = (await teacher.get(`/classes/${classId}/rules`)).body;
    await teacher.post(`/classes/${classId}/rules`, {
      name: 'Extremes',
      rules: { combine: 'extremes' },
      after: version,
    });
    await ada.post(`${path()}/hand-in`);
    expect((await teacher.get(path())).body.newerRules).toBeNull();
    const refused = await teacher.post(`${path()}${rules}`);
    expect(refused).toMatchObject({ status: 409, body: { message: expect.stringContaining('handed in') } });
    expect((await ada.get(path())).body.rules.combine).toBe('plain-sum');
    await teacher.post(`${path()}/give-back`);
  });
});

describe('the other methods', () => {
  it('are the teacher’s to see, and the group’s once they are shared', async () => {
    expect((await ada.get(path())).body).toMatchObject({ showsMethods: false, sharesMethods: null });
    expect((await teacher.get(path())).body).toMatchObject({ showsMethods: true, sharesMethods: false });
    expect((await ada.post(`${path()}/methods`, { shared: true })).status).toBe(403);
    expect((await teacher.post(`${path()}/methods`, { shared: 'perhaps' })).body.field).toBe('shared');
    expect((await teacher.post(`${path()}/methods`, { shared: true })).body.sharesMethods).toBe(true);
    expect((await ada.get(path())).body.showsMethods).toBe(true);
  });
});

describe('the clock of a device', () => {
  it('that is far off is noted beside the entry, and has no say in the order', async () => {
    const [early, late] = [event('temperature', '20'), event('temperature', '21')];
    for (const [one, hours] of [
      [early, 5],
      [late, -5],
    ] as const) {
      const deviceTime = new Date(Date.now() + hours * 3_600_000).toISOString();
      const body = { events: [{ ...one, deviceTime, replaces: one === late ? early['id'] : null }] };
      expect((await ada.send('POST', `${path()}/events`, body, { 'x-device-time': deviceTime })).status).toBe(200);
    }
    const { events } = (await ben.get(path())).body;
    const kept = events
      .filter(({ address }: { address: Address }) => 'quantity' in address && address.quantity === 'temperature')
      .slice(-2);
    expect(kept.map(({ text }: { text: string }) => text)).toEqual(['20', '21']);
    expect(kept.map(({ clockAhead }: { clockAhead: number }) => Math.round(clockAhead / 3600))).toEqual([5, -5]);
    expect(events[0].clockAhead).toBeNull();
  });
});
