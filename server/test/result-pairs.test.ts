import { randomUUID } from 'node:crypto';
import type { ClassResults, RunPage } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PairNote } from '../src/models/result-pairs.ts';
import type { Visitor } from './harness.ts';
import { entryOf, openNotebook, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, stranger, teacher, classId, students } = {} as Notebook;
let [adas, bens, others, another] = ['', '', '', ''];

const idOf = async (who: Visitor): Promise<string> =>
  ((await who.get('/session')).body as { signedIn: { person: { id: string } } }).signedIn.person.id;

/** A page of somebody’s own with two trials. */
async function page(who: Visitor, specimen: string, mass: string): Promise<string> {
  const person = await idOf(who);
  const created = { id: randomUUID(), protocolId: 'solid-by-displacement', specimen };
  const runId: string = (await who.post(`/classes/${classId}/runs`, created)).body.id;
  const entries = ['1', '2'].flatMap((trial) => [
    entryOf(person, `mass.${trial}`, mass),
    entryOf(person, `before.${trial}`, '21.4'),
    entryOf(person, `after.${trial}`, '27.8'),
  ]);
  expect((await who.post(`/classes/${classId}/runs/${runId}/events`, { events: entries })).status).toBe(200);
  return runId;
}

const handIn = async (who: Visitor, runId: string): Promise<void> =>
  expect((await who.post(`/classes/${classId}/runs/${runId}/hand-in`, {})).status).toBe(200);

const open = (runs: readonly string[], id = randomUUID()): ReturnType<Visitor['post']> =>
  teacher.post(`/classes/${classId}/class-results/${adas}/pairs`, { pairs: [{ id, runs }] });

const found = async (who: Visitor, runId: string): Promise<ClassResults> =>
  (await who.get(`/classes/${classId}/class-results/${runId}`)).body as ClassResults;

const write = async (who: Visitor, pairId: string, text: string, personId?: string): ReturnType<Visitor['post']> =>
  who.post(`/classes/${classId}/pairs/${pairId}/notes`, {
    id: randomUUID(),
    personId: personId ?? (await idOf(who)),
    text,
  });

beforeAll(async () => {
  notebook = await openNotebook();
  ({ ada, ben, stranger, teacher, classId, students } = notebook);
  adas = await page(ada, 'Basalt pebble', '17.31');
  bens = await page(ben, 'Basalt pebble', '18.92');
  others = await page(stranger, 'Basalt pebble', '17.40');
  another = await page(stranger, 'Cork bung', '12.40');
});
afterAll(() => notebook.server.stop());

describe('two groups that look at each other’s results', () => {
  const pairId = randomUUID();

  it('are paired only once both have handed in, and when they did the same', async () => {
    await handIn(ada, adas);
    expect(await open([adas, bens])).toMatchObject({
      status: 409,
      body: {
        field: 'pairs[0].runs',
        message: expect.stringMatching(/^Group [A-C] has not handed in yet\.$/) as string,
      },
    });
    await handIn(ben, bens);
    await handIn(stranger, another);
    expect((await open([adas, another])).status).toBe(400);
    expect((await open([adas, adas])).body).toMatchObject({
      message: expect.stringContaining('with itself') as string,
    });
    expect((await open([adas])).body).toMatchObject({ field: 'pairs[0].runs' });
    expect((await found(teacher, adas)).pairs).toEqual([]);

    expect((await open([adas, bens], pairId)).status).toBe(201);
    // Sent twice over a weak network: opened once.
    const again = await open([adas, bens], pairId);
    expect((again.body as ClassResults).pairs).toHaveLength(1);
    // The same two once more, the other way round, are no second pair.
    expect(await open([bens, adas])).toMatchObject({ status: 409, body: { field: 'pairs[0].runs' } });
  });

  it('see each other’s names and nobody else’s, on their own pages alone', async () => {
    const [pair] = (await found(ben, bens)).pairs;
    expect(pair).toMatchObject({ id: pairId, isOpen: true });
    expect(pair?.sides.map(({ isOwn, names }) => [isOwn, names.length])).toEqual([
      [true, 1],
      [false, 1],
    ]);
    expect(((await ben.get(`/classes/${classId}/runs/${bens}`)).body as RunPage).isPaired).toBe(true);
    await handIn(stranger, others);
    expect((await found(stranger, others)).pairs).toEqual([]);
    expect(((await stranger.get(`/classes/${classId}/runs/${others}`)).body as RunPage).isPaired).toBe(false);
  });

  it('write what explains the difference; each sees what the other wrote last, and nothing is written over', async () => {
    expect((await write(ada, pairId, '  Ours was still wet.  ')).status).toBe(201);
    expect((await write(ada, pairId, 'Theirs was still wet.')).status).toBe(201);
    const [pair] = (await found(ben, bens)).pairs;
    expect(pair?.sides[0].note).toBeNull();
    expect(pair?.sides[1].note).toMatchObject({ text: 'Theirs was still wet.' });
    expect(await PairNote.count({ where: { classId, pairId } })).toBe(2);
    const [ofTeacher] = (await found(teacher, adas)).pairs;
    expect(ofTeacher?.sides.map(({ note }) => note?.text ?? null).sort()).toEqual(
      ['Theirs was still wet.', null].sort(),
    );
  });

  it('nobody else writes for them, and an empty note names its field', async () => {
    expect((await write(stranger, pairId, 'Let me in.')).status).toBe(403);
    expect((await write(stranger, pairId, 'As somebody else.', students[0])).status).toBe(403);
    expect((await write(teacher, pairId, 'A word from the teacher.')).status).toBe(403);
    expect((await write(ada, pairId, '   ')).body).toMatchObject({ field: 'text' });
    expect((await write(ada, pairId, 'x'.repeat(1001))).body).toMatchObject({ field: 'text' });
    expect((await write(ada, randomUUID(), 'To nobody.')).status).toBe(404);
  });

  it('are ended by the teacher: what was written stays to be read', async () => {
    expect((await ada.post(`/classes/${classId}/pairs/${pairId}/end`, {})).status).toBe(403);
    expect((await teacher.post(`/classes/${classId}/pairs/${pairId}/end`, {})).status).toBe(204);
    expect((await write(ben, pairId, 'Too late.')).status).toBe(409);
    const [pair] = (await found(ben, bens)).pairs;
    expect(pair).toMatchObject({ isOpen: false });
    expect(pair?.sides[1].note?.text).toBe('Theirs was still wet.');
    expect(((await ben.get(`/classes/${classId}/runs/${bens}`)).body as RunPage).isPaired).toBe(false);
  });

  it('are exported: of a student, what they wrote themselves', async () => {
    const ofClass = (await teacher.get(`/classes/${classId}/export`)).body as { pairs: { notes: unknown[] }[] };
    expect(ofClass.pairs).toHaveLength(1);
    expect(ofClass.pairs[0]?.notes).toHaveLength(2);
    const ofBen = (await teacher.get(`/classes/${classId}/students/${students[1] ?? ''}/export`)).body as {
      pairs: unknown[];
    };
    expect(ofBen.pairs).toEqual([]);
  });
});
