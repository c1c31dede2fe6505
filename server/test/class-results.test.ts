import { randomUUID } from 'node:crypto';
import type { ClassResults, ClassResultsSummary } from '@green-beam/contract';
import { pool, worthChecking } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RunRow } from '../src/models/notebook.ts';
import { renewResults } from '../src/notebook/renew-results.ts';
import type { Visitor } from './harness.ts';
import { entryOf, openNotebook, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, stranger, teacher, classId, students } = {} as Notebook;
let balances: Record<string, string> = {};

/** A balance of the cabinet. @returns what a log says of it. */
async function balance(code: string): Promise<string> {
  const tool = { code, instrumentId: 'digital-balance-hundredth', kind: 'real', keeper: 'shelf', tolerance: 0.02 };
  const { status } = await teacher.post(`/classes/${classId}/cabinet`, tool);
  expect(status).toBe(201);
  return `digital-balance-hundredth; ${code}`;
}

beforeAll(async () => {
  notebook = await openNotebook();
  ({ ada, ben, stranger, teacher, classId, students } = notebook);
  balances = { 'K-01': await balance('K-01'), 'K-02': await balance('K-02') };
});
afterAll(() => notebook.server.stop());

const idOf = async (who: Visitor): Promise<string> =>
  ((await who.get('/session')).body as { signedIn: { person: { id: string } } }).signedIn.person.id;

/** A page of somebody’s own with two trials. */
async function page(who: Visitor, specimen: string, masses: readonly [string, string], code?: string): Promise<string> {
  const person = await idOf(who);
  const { body } = await who.post(`/classes/${classId}/runs`, {
    id: randomUUID(),
    protocolId: 'solid-by-displacement',
    specimen,
  });
  const runId: string = body.id;
  const entries = [
    ['mass.1', masses[0]],
    ['before.1', '21.4'],
    ['after.1', '27.8'],
    ['mass.2', masses[1]],
    ['before.2', '22.0'],
    ['after.2', '28.4'],
  ].map(([place = '', text = '']) => entryOf(person, place, text));
  const tool = code === undefined ? [] : [entryOf(person, 'tool.mass', balances[code] ?? '')];
  const { status } = await who.post(`/classes/${classId}/runs/${runId}/events`, { events: [...tool, ...entries] });
  expect(status).toBe(200);
  return runId;
}

const results = async (who: Visitor, runId: string): Promise<{ status: number; body: ClassResults }> =>
  who.get(`/classes/${classId}/class-results/${runId}`);

describe('results of a class', () => {
  let first = '';

  beforeAll(async () => {
    first = await page(ada, 'Basalt pebble', ['17.31', '17.30'], 'K-02');
    await page(ben, 'basalt pebble', ['17.11', '17.12'], 'K-01');
    await page(stranger, 'Basalt pebble', ['17.40', '17.41'], 'K-01');
    await page(stranger, 'Another pebble', ['12.40', '12.41']);
  });

  it('are listed by what was measured, with how many groups have a result', async () => {
    const { body } = await teacher.get(`/classes/${classId}/class-results`);
    const list = body as ClassResultsSummary[];
    expect(list.map(({ specimen, groups }) => [specimen.toLowerCase(), groups])).toEqual([
      ['another pebble', 1],
      ['basalt pebble', 3],
    ]);
    expect(list[0]?.title).toBe('Density by displacement');
  });

  it('are put side by side for a teacher: who, on which tools, and what they found', async () => {
    const { status, body } = await results(teacher, first);
    expect(status).toBe(200);
    expect(body).toMatchObject({ title: 'Density by displacement', without: 0 });
    expect(body.groups.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
    const own = body.groups.find(({ runId }) => runId === first);
    expect(own?.names).toHaveLength(1);
    expect(own?.tools).toEqual(['K-02']);
    const [density] = own?.results ?? [];
    expect(density).toMatchObject({ quantity: 'meanDensity', unit: 'g/mL' });
    expect(density?.value).toBeCloseTo(17.305 / 6.4, 6);
    // The balance’s tolerance is a part of its own, as rules that count it have it.
    expect(density?.variance?.own).toBeGreaterThan(0);
    const pooled = pool(
      body.groups.map(({ letter, results: [one] }) => ({
        group: letter,
        value: one?.value ?? NaN,
        variance: one?.variance ?? null,
      })),
    );
    expect(pooled.summary.n).toBe(3);
    expect(pooled.summary.mean).toBeCloseTo((17.305 + 17.115 + 17.405) / 3 / 6.4, 6);
    // Two groups had the one balance, one the other: too few to say anything.
    expect(
      worthChecking(body.groups.map((one) => ({ ...one, group: one.letter, value: one.results[0]?.value ?? NaN }))),
    ).toEqual([]);
  });

  it('are unseen by students before they have handed in, and by other groups for ever', async () => {
    expect(await results(ada, first)).toMatchObject({ status: 403, body: { message: /Hand in your own/ } });
    expect((await results(ben, first)).status).toBe(403);
    expect((await ada.post(`/classes/${classId}/runs/${first}/hand-in`, {})).status).toBe(200);
    const { status, body } = await results(ada, first);
    expect(status).toBe(200);
    expect(body.groups.filter(({ isOwn }) => isOwn)).toMatchObject([{ runId: first, names: null }]);
    for (const other of body.groups.filter(({ isOwn }) => !isOwn))
      expect(other).toMatchObject({ names: null, runId: null });
    expect(JSON.stringify(body)).not.toContain(students[1]);
    expect((await ada.get(`/classes/${classId}/class-results`)).status).toBe(403);
    // Who has looked does not change their page afterwards.
    expect((await ada.post(`/classes/${classId}/runs/${first}/take-back`, {})).status).toBe(409);
  });

  it('leave out readings that were drawn or copied', async () => {
    const opened = await teacher.post(`/classes/${classId}/openings`, {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Given pebble',
      groups: [
        { runId: randomUUID(), memberIds: [students[0]], given: 'drawn' },
        { runId: randomUUID(), memberIds: [students[1]] },
      ],
    });
    const runs = opened.body.atWork as { runId: string; given: string | null }[];
    const own = runs.find(({ given }) => given === null)?.runId ?? '';
    const { body } = await results(teacher, own);
    expect(body).toMatchObject({ groups: [], without: 1 });
  });

  it('keep with a page what it was made with, the same when it is worked out anew', async () => {
    const before = await RunRow.findOne({ where: { classId, id: first } });
    await RunRow.update({ resultsBy: null, tools: [], choices: {} }, { where: { classId, id: first } });
    await renewResults(notebook.server.drawing);
    const after = await RunRow.findOne({ where: { classId, id: first } });
    expect(after?.tools).toEqual(['K-02']);
    expect(after?.choices).toEqual(before?.choices);
  });

  it('are asked for by the page that was begun first, before and after it has a result', async () => {
    const begun = randomUUID();
    await ada.post(`/classes/${classId}/runs`, {
      id: begun,
      protocolId: 'solid-by-displacement',
      specimen: 'Slate chip',
    });
    await page(ben, 'Slate chip', ['9.11', '9.12']);
    const listed = async (): Promise<ClassResultsSummary | undefined> =>
      ((await teacher.get(`/classes/${classId}/class-results`)).body as ClassResultsSummary[]).find(
        ({ specimen }) => specimen === 'Slate chip',
      );
    expect(await listed()).toMatchObject({ runId: begun, groups: 1 });
    expect((await results(teacher, begun)).body).toMatchObject({ without: 1, groups: [{ isOwn: false }] });
    const person = await idOf(ada);
    const entries = [
      ['mass.1', '9.20'],
      ['before.1', '21.4'],
      ['after.1', '24.8'],
    ].map(([place = '', text = '']) => entryOf(person, place, text));
    await ada.post(`/classes/${classId}/runs/${begun}/events`, { events: entries });
    expect(await listed()).toMatchObject({ runId: begun, groups: 2 });
  });

  it('say that there is no such page', async () => {
    expect((await results(teacher, randomUUID())).status).toBe(404);
  });
});
