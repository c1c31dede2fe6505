import { OwnWork, workOut, type Address, type Members } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Visitor } from './harness.ts';
import { beginTogether, openNotebook, type Notebook, entryOf } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, teacher, classId, students, runId } = {} as Notebook;

beforeAll(async () => {
  notebook = await openNotebook(null);
  ({ ada, ben, teacher, classId, students, runId } = notebook);
});
afterAll(() => notebook.server.stop());

const path = (): string => `/classes/${classId}/runs/${runId}`;

const trial: Members = { trial: '1' };
const cell = (quantity: string, author?: string): Address => ({
  kind: 'cell',
  quantity,
  members: trial,
  ...(author === undefined ? {} : { author }),
});

async function write(
  visitor: Visitor,
  who: number,
  address: Address,
  text: string,
): Promise<{ status: number; body: { field?: string; message?: string } }> {
  return visitor.post(`${path()}/events`, { events: [entryOf(students[who], address, text)] });
}

describe('calculations that are left to the student', () => {
  it('are each student’s own, and nobody else of the group sees them before it is handed in', async () => {
    for (const [quantity, text] of [
      ['mass', '16.84'],
      ['before', '18.0'],
      ['after', '24.2'],
    ] as const)
      expect((await write(ada, 0, cell(quantity), text)).status).toBe(200);
    expect((await write(ada, 0, cell('volume', students[0]), '24.2 mL')).status).toBe(200);
    expect((await write(ben, 1, cell('volume', students[1]), '6.2 mL')).status).toBe(200);
    const seenBy = async (visitor: Visitor): Promise<string[]> =>
      (await visitor.get(path())).body.events.flatMap(({ address, text }: { address: Address; text: string }) =>
        'author' in address ? [text] : [],
      );
    expect(await seenBy(ada)).toEqual(['24.2 mL']);
    expect(await seenBy(ben)).toEqual(['6.2 mL']);
    expect(await seenBy(teacher)).toEqual(['24.2 mL', '6.2 mL']);
    expect(await seenBy(ada)).toEqual(['24.2 mL']);
  });

  it('are judged from the student’s own readings', async () => {
    const { body } = await ada.get(path());
    const run = workOut(body.protocol, { events: body.events }, body.rules, {
      author: students[0]!,
      quantities: body.arrangement.byStudent,
    });
    expect(new OwnWork(run).at('volume', trial)).toMatchObject({
      state: 'slip',
      slips: [{ id: 'final-as-difference' }],
      right: { text: '6.2', unit: 'mL' },
    });
  });

  it.each([
    ['for somebody else', () => cell('volume', students[1]), 403, 'address.author'],
    ['for the group', () => cell('volume', 'group'), 403, 'address.author'],
    ['without saying whose it is', () => cell('volume'), 400, 'address.quantity'],
    ['of what was read', () => cell('mass', students[0]), 400, 'address.quantity'],
    ['of what the page works out', () => cell('waterDensity', students[0]), 400, 'address.quantity'],
    [
      'of what is shown to somebody else',
      (): Address => ({ kind: 'shown', quantity: 'volume', members: trial, author: students[1]! }),
      403,
      'address.author',
    ],
    [
      'of an answer for somebody else',
      (): Address => ({ kind: 'answer', question: 'tool', author: students[1]! }),
      403,
      'address.author',
    ],
    [
      'of an answer without saying whose it is',
      (): Address => ({ kind: 'answer', question: 'tool' }),
      400,
      'address.author',
    ],
  ])('are refused %s', async (_, address, status, field) => {
    const refused = await write(ada, 0, address(), '6.2 mL');
    expect([refused.status, refused.body.field]).toEqual([status, field]);
  });

  it('leave the group’s results as they are', async () => {
    const { body } = await teacher.get(path());
    const byTheBook = workOut(body.protocol, { events: body.events }, body.rules);
    expect(byTheBook.cellAt('volume', trial)).toMatchObject({ kind: 'computed', text: '6.2' });
  });

  it('are in the data of who wrote them, and in nobody else’s', async () => {
    const { body } = await ada.get(`/classes/${classId}/own-data`);
    expect(JSON.stringify(body)).toContain('24.2 mL');
    expect(JSON.stringify(body)).not.toContain('6.2 mL');
  });

  it('are seen by the partners once all of them have handed in', async () => {
    await ada.post(`${path()}/hand-in`, {});
    await ben.post(`${path()}/hand-in`, {});
    const { body } = await ben.get(path());
    expect(JSON.stringify(body.events)).toContain('24.2 mL');
    expect((await write(ada, 0, cell('density', students[0]), '2.7 g/mL')).status).toBe(409);
  });
});

describe('what a teacher decides for a class', () => {
  const decided = { byStudent: ['meanDensity'], ownWork: 'group', reveals: 'from-the-start', sums: 'page' };
  const place = (): string => `/classes/${classId}/laboratories/solid-by-displacement`;

  it('holds for runs that begin afterwards', async () => {
    const before = (await ada.get(path())).body.arrangement;
    const { status, body } = await teacher.send('PUT', place(), decided);
    expect(status).toBe(200);
    expect(body.find(({ id }: { id: string }) => id === 'solid-by-displacement').arrangement).toEqual(decided);
    expect((await ada.get(path())).body.arrangement).toEqual(before);
    runId = await beginTogether(notebook);
    expect((await ada.get(path())).body.arrangement).toEqual(decided);
    expect(
      (await write(ben, 1, { kind: 'cell', quantity: 'meanDensity', members: {}, author: 'group' }, '2.7 g/mL')).status,
    ).toBe(200);
    expect((await write(ben, 1, { kind: 'answer', question: 'tool' }, 'The cylinder.')).status).toBe(200);
  });

  it.each([
    ['byStudent', { ...decided, byStudent: ['mass'] }, 400],
    ['byStudent', { ...decided, byStudent: 'all' }, 400],
    ['ownWork', { ...decided, ownWork: 'nobody' }, 400],
    ['reveals', { ...decided, reveals: 'never' }, 400],
    ['sums', { ...decided, sums: 'nobody' }, 400],
  ])('is refused by the field: %s', async (field, body, status) => {
    const refused = await teacher.send('PUT', place(), body);
    expect([refused.status, refused.body.field]).toEqual([status, field]);
  });

  it('is decided by teachers only, for laboratories that there are', async () => {
    expect((await ada.send('PUT', place(), decided)).status).toBe(403);
    expect((await teacher.send('PUT', `/classes/${classId}/laboratories/none`, decided)).status).toBe(404);
  });
});

describe('a prediction', () => {
  it('can be changed until what it is about is read, and then stays', async () => {
    runId = await beginTogether(notebook, 'solid-by-apparent-mass');
    const prediction: Address = { kind: 'cell', quantity: 'prediction', members: {} };
    const predict = async (text: string, replaces: unknown = null): Promise<unknown> => {
      const entry = entryOf(students[0], prediction, text, { replaces });
      expect((await ada.post(`${path()}/events`, { events: [entry] })).status).toBe(200);
      return entry['id'];
    };
    const apparent = (liquid: string): Address => ({
      kind: 'cell',
      quantity: 'apparent',
      members: { liquid, trial: '1' },
    });
    const first = await predict('20.1');
    const second = await predict('20.3', first);
    // It is about the brine alone.
    expect((await write(ada, 0, apparent('water'), '21.0')).status).toBe(200);
    await predict('20.2', second);
    expect((await write(ada, 0, apparent('brine'), '20.2')).status).toBe(200);
    const late = await write(ada, 0, prediction, '20.2');
    expect([late.status, late.body.field]).toEqual([409, 'address.quantity']);
  });
});
