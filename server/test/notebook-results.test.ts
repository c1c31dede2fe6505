import { randomUUID } from 'node:crypto';
import { CORE_VERSION, type Address } from '@green-beam/core';
import { renewResults } from '../src/notebook/renew-results.ts';
import { RunResultRow, RunRow } from '../src/models/notebook.ts';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openNotebook, type Notebook, entryOf, worked } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, teacher, classId, students, runId } = {} as Notebook;

beforeAll(async () => {
  notebook = await openNotebook();
  ({ ada, ben, teacher, classId, students, runId } = notebook);
});
afterAll(() => notebook.server.stop());

const path = (): string => `/classes/${classId}/runs/${runId}`;

const event = (place: string | Address, text: string, more: object = {}): Record<string, unknown> =>
  entryOf(students[0], place, text, more);

describe('the results of a run', () => {
  const kept = async (): Promise<RunResultRow[]> =>
    RunResultRow.findAll({ where: { classId, runId }, order: [['position', 'ASC']] });

  it('are kept with its entries, and are what the log comes to', async () => {
    const entries = [
      ['mass.1', '54.31'],
      ['before.1', '21.4'],
      ['after.1', '27.8'],
      ['mass.2', '54.30'],
      ['before.2', '22.0'],
      ['after.2', '28.1'],
    ] as const;
    await ada.post(`${path()}/events`, { events: entries.map(([place, text]) => event(place, text)) });
    const { body } = await ada.get(path());
    const [row] = await kept();
    const [result] = worked(body).results;
    expect(row).toMatchObject({ quantity: 'meanDensity', members: {}, unit: 'g/mL', value: result!.value, place: -1 });
    expect(row!.sizes['quadrature']).toBe(result!.methods[0]!.size);
    const { own, tools, given } = row!.variance!;
    expect([tools, given]).toEqual([{}, {}]);
    expect(Math.sqrt(own)).toBeCloseTo(result!.methods[0]!.uncertainty, 12);
  });

  it('are the same when they are built anew, and are built where another version made them', async () => {
    const before = (await kept()).map((row) => row.get());
    await RunResultRow.destroy({ where: { runId } });
    await RunRow.update({ resultsBy: '0.0.1' }, { where: { id: runId } });
    await renewResults(notebook.server.drawing);
    expect((await kept()).map((row) => row.get())).toEqual(before);
    expect((await RunRow.findOne({ where: { id: runId } }))!.resultsBy).toBe(CORE_VERSION);
  });

  it('belong to the log they stand with, however many write at once', async () => {
    const texts = ['54.31', '54.32', '54.33', '54.34', '54.35', '54.36'];
    await Promise.all(texts.map((text, i) => ada.post(`${path()}/events`, { events: [event(`mass.${i + 1}`, text)] })));
    const { body } = await ada.get(path());
    const [row] = await kept();
    expect(row!.value).toBe(worked(body).results[0]!.value);
  });
});

describe('a laboratory over chosen things', () => {
  let glass = '';
  const write = async (address: Address, text: string): Promise<{ status: number; field: string | null }> => {
    const { status, body } = await ada.post(`${glass}/events`, { events: [event(address, text)] });
    return { status, field: body.field ?? null };
  };
  const members: Address = { kind: 'members', dimension: 'tool' };

  beforeAll(async () => {
    const begun = await ada.post(`/classes/${classId}/runs`, {
      id: randomUUID(),
      protocolId: 'glassware-delivery',
      specimen: 'Water',
    });
    glass = `/classes/${classId}/runs/${begun.body.id}`;
    const tool = { code: 'Z-11', instrumentId: 'cylinder-50', kind: 'real', keeper: 'shelf', tolerance: 0.4 };
    await teacher.post(`/classes/${classId}/cabinet`, tool);
  });

  it('has as many as it wants, of its own or of the cabinet, as the cabinet knows them', async () => {
    expect(await write(members, JSON.stringify([{ id: 'beaker' }]))).toEqual({ status: 400, field: 'text' });
    expect(await write(members, JSON.stringify([{ id: 'beaker' }, { id: 'beaker' }]))).toEqual({
      status: 400,
      field: 'text',
    });
    expect(await write(members, JSON.stringify([{ id: 'beaker' }, { id: 'bucket' }]))).toEqual({
      status: 400,
      field: 'text',
    });
    expect(await write(members, 'all of them')).toEqual({ status: 400, field: 'text' });
    const chosen = [{ id: 'beaker' }, { id: 'Z-11', tool: 'cylinder-50; Z-11; 7' }];
    expect((await write(members, JSON.stringify(chosen))).status).toBe(200);
    const { setting } = worked((await ada.get(glass)).body);
    expect(setting.members.get('tool')).toMatchObject([
      { id: 'beaker' },
      { id: 'Z-11', name: 'Z-11, 50 mL cylinder', tool: { code: 'Z-11', zeroError: null, tolerance: 0.4 } },
    ]);
  });

  it('takes entries for what was chosen, and by the options that were chosen', async () => {
    const before = (tool: string): Address => ({ kind: 'cell', quantity: 'before', members: { tool, trial: '1' } });
    const running: Address = { kind: 'cell', quantity: 'running', members: { tool: 'Z-11', trial: '1' } };
    expect((await write(before('Z-11'), '61.24')).status).toBe(200);
    expect(await write(before('burette'), '61.24')).toEqual({ status: 400, field: 'address.members.tool' });
    expect(await write(running, '81.0')).toEqual({ status: 400, field: 'address.quantity' });
    expect(await write({ kind: 'option', option: 'vessel' }, 'sideways')).toEqual({ status: 400, field: 'text' });
    expect((await write({ kind: 'option', option: 'vessel' }, 'onTop')).status).toBe(200);
    expect((await write(running, '81.0')).status).toBe(200);
    // What was written before the choice stays in the log.
    const { body } = await ada.get(glass);
    expect(body.events.map(({ text }: { text: string }) => text)).toContain('61.24');
  });

  it('takes a reading over from the step before, and nothing that is no reading', async () => {
    const link = (trial: string): Address => ({ kind: 'link', quantity: 'running', members: { tool: 'Z-11', trial } });
    const source = (quantity: string, trial: string): string =>
      JSON.stringify({ quantity, members: { tool: 'Z-11', trial } });
    expect((await write(link('2'), source('running', '1'))).status).toBe(200);
    expect(await write(link('3'), source('volume', '1'))).toEqual({ status: 400, field: 'text' });
    expect(await write(link('3'), source('running', '99'))).toEqual({ status: 400, field: 'address.members.trial' });
    expect(await write(link('2'), source('running', '2'))).toEqual({ status: 400, field: 'text' });
    const added = { ...link('2'), kind: 'adjustment' } as Address;
    expect(await write(added, '0.05')).toEqual({ status: 400, field: 'reason' });
    const why = event(added, '0.05', { reason: 'a drop beside the vessel' });
    expect((await ada.post(`${glass}/events`, { events: [why] })).status).toBe(200);
    // An id that another page has used: nothing is stored, and the results stay as they were.
    const kept = await RunResultRow.findAll({ where: { classId, runId }, raw: true });
    const used = { ...event('mass.7', '99.99'), id: why['id'] };
    expect((await ada.post(`${path()}/events`, { events: [used] })).status).toBe(409);
    expect(await RunResultRow.findAll({ where: { classId, runId }, raw: true })).toEqual(kept);
  });
});

describe('two groups with the same readings', () => {
  it('are told to the teacher alone', async () => {
    const readings = ['1', '2', '3'].flatMap((trial, i) => [
      event(`before.${trial}`, `1${i}.3`),
      event(`after.${trial}`, `2${i}.7`),
    ]);
    const paths: string[] = [];
    for (const [visitor, person] of [
      [ada, students[0]],
      [ben, students[1]],
    ] as const) {
      const protocolId = 'solid-by-displacement';
      const { body } = await visitor.post(`/classes/${classId}/runs`, {
        id: randomUUID(),
        protocolId,
        specimen: 'Tin',
      });
      paths.push(`/classes/${classId}/runs/${body.id}`);
      const events = readings.map((one) => ({ ...one, id: randomUUID(), person }));
      expect((await visitor.post(`${paths.at(-1)!}/events`, { events })).status).toBe(200);
    }
    const [first, second] = paths as [string, string];
    expect((await teacher.get(first)).body.alike).toEqual([
      { matching: 6, of: 6, specimen: 'Tin', members: ['Ben R.'] },
    ]);
    expect((await ada.get(first)).body.alike).toEqual([]);
    await ben.post(`${second}/events`, {
      events: [event('after.4', '28.1', { person: students[1] }), event('before.4', '22.4', { person: students[1] })],
    });
    expect((await teacher.get(second)).body.alike).toHaveLength(1);
    await ada.post(`${first}/events`, { events: [event('after.4', '28.2')] });
    expect((await teacher.get(second)).body.alike).toEqual([]);
  });
});
