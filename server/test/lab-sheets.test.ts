import { randomUUID } from 'node:crypto';
import { protocol } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LabSheetVersion } from '../src/models/lab-sheets.ts';
import { createClass } from '../src/classes/create-class.ts';
import { asTeacher, makeSchool, makeTeacher, Visitor, type Answer } from './harness.ts';
import { entryOf, openNotebook, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, teacher, classId, students } = {} as Notebook;
let colleague: Visitor;
let elsewhere: Visitor;
let parallelId = '';

beforeAll(async () => {
  notebook = await openNotebook(null);
  ({ ada, teacher, classId, students } = notebook);
  const { base } = notebook.server;
  const { schoolId } = notebook.schoolClass;
  const other = await makeTeacher(schoolId, 'colleague@sheets.example', 'teacher');
  parallelId = (await createClass({ schoolId, teacherId: other.personId, name: 'Parallel 9' })).id;
  colleague = await asTeacher(base, other.email);
  const inland = await makeSchool('inland');
  elsewhere = await asTeacher(base, inland.teacher.email);
});
afterAll(() => notebook.server.stop());

const LAB = protocol('mass-per-item');
const draftOf = (more: object = {}): Record<string, unknown> => ({
  ...LAB,
  title: 'What does one bead weigh?',
  ...more,
});
const newId = (): string => `own-${randomUUID()}`;

async function begin(draft: unknown = draftOf(), as: Visitor = teacher): Promise<Answer> {
  const made = await as.post('/lab-sheets', { id: newId(), draft });
  expect(made.status).toBe(201);
  return made;
}

const use = ({ body }: Answer): Promise<Answer> =>
  teacher.post(`/lab-sheets/${body.id}/use`, { revision: body.revision });
const save = ({ body }: Answer, draft: unknown): Promise<Answer> =>
  teacher.send('PUT', `/lab-sheets/${body.id}/draft`, { draft, revision: body.revision });
const change = ({ body }: Answer, to: object): Promise<Answer> => teacher.send('PATCH', `/lab-sheets/${body.id}`, to);
const offeredTo = async (visitor: Visitor, id: string): Promise<{ id: string; title: string; isOwn: boolean }[]> =>
  (await visitor.get(`/classes/${id}/laboratories`)).body.filter(({ isOwn }: { isOwn: boolean }) => isOwn);
const beginRun = (protocolId: string): Promise<Answer> =>
  ada.post(`/classes/${classId}/runs`, { id: randomUUID(), protocolId, specimen: 'Beads', memberIds: [] });

describe('a lab sheet', () => {
  it('is kept as far as it has come, however much is missing', async () => {
    const made = await begin({ title: 'Half written', quantities: [{ kind: 'read' }] });
    expect(made.body).toMatchObject({
      title: 'Half written',
      state: 'draft',
      version: null,
      isMine: true,
      revision: 1,
    });
    const saved = await save(made, { title: 'Half written', purpose: 'Later.' });
    expect(saved.body).toMatchObject({ revision: 2, draft: { title: 'Half written', purpose: 'Later.' } });
    const listed = (await teacher.get('/lab-sheets')).body;
    expect(listed[0]).toMatchObject({ id: made.body.id, state: 'draft' });
  });

  it('sent twice is kept once, and not under an id of somebody else', async () => {
    const body = { id: newId(), draft: draftOf() };
    await teacher.post('/lab-sheets', body);
    await teacher.post('/lab-sheets', body);
    const same = (await teacher.get('/lab-sheets')).body.filter(({ id }: { id: string }) => id === body.id);
    expect(same).toHaveLength(1);
    expect((await colleague.post('/lab-sheets', body)).status).toBe(409);
  });

  it('is never overwritten by a window that has not seen the latest', async () => {
    const made = await begin();
    expect((await save(made, draftOf({ purpose: 'First.' }))).status).toBe(200);
    // The same again, since its answer was lost, is no other window’s.
    const again = await save(made, draftOf({ purpose: 'First.' }));
    expect([again.status, again.body.revision]).toEqual([200, 2]);
    const late = await save(made, draftOf({ purpose: 'Second.' }));
    expect([late.status, late.body.field]).toEqual([409, 'revision']);
    expect((await teacher.get(`/lab-sheets/${made.body.id}`)).body.draft.purpose).toBe('First.');
  });

  it.each([
    ['draft', { id: newId() }],
    ['draft', { id: newId(), draft: 'title' }],
    ['draft', { id: newId(), draft: [] }],
    ['draft', { id: newId(), draft: { title: 'x'.repeat(260_000) } }],
    ['id', { id: 'mass-per-item', draft: {} }],
  ])('is refused by the name of what is wrong: %s', async (field, body) => {
    const answer = await teacher.post('/lab-sheets', body);
    expect([answer.status, answer.body.field]).toEqual([400, field]);
  });

  it('is not put in use while anything is wrong, and every place is named', async () => {
    const quantities = LAB.quantities.map((one) =>
      one.id === 'each' ? { ...one, formula: 'slope(loadMass, washer over load)' } : one,
    );
    const made = await begin(draftOf({ quantities, purpose: '' }));
    const answer = await use(made);
    expect(answer.status).toBe(422);
    expect(answer.body.faults.map(({ path }: { path: string }) => path)).toEqual(['purpose', 'quantities[3].formula']);
    expect((await teacher.get(`/lab-sheets/${made.body.id}`)).body).toMatchObject({ state: 'draft', version: null });
  });

  it('is tried with its own values before it is used', async () => {
    const made = await begin(draftOf({ samples: [{ entries: { washers: ['5', '10', '20'] } }] }));
    const answer = await use(made);
    expect(answer.status).toBe(422);
    expect(answer.body.faults[0].path).toBe('samples[0].entries.mass');
  });
});

describe('a lab sheet in use', () => {
  it('is offered to the classes of its teacher, and a group does it', async () => {
    const made = await begin();
    expect((await beginRun(made.body.id)).body).toMatchObject({ field: 'protocolId' });
    expect((await use(made)).body).toMatchObject({ state: 'in-use', version: 1, hasChanges: false });
    expect((await offeredTo(ada, classId)).map(({ id }) => id)).toContain(made.body.id);
    const run = (await beginRun(made.body.id)).body;
    expect(run.protocol).toMatchObject({ id: made.body.id, version: 1, title: 'What does one bead weigh?' });
    const count = entryOf(students[0], { kind: 'cell', quantity: 'washers', members: { load: '1' } }, '5');
    expect((await ada.post(`/classes/${classId}/runs/${run.id}/events`, { events: [count] })).status).toBe(200);
  });

  it('changes for who begins later only: a version never changes', async () => {
    const made = await begin();
    await use(made);
    const before = (await beginRun(made.body.id)).body;
    const saved = await save(await teacher.get(`/lab-sheets/${made.body.id}`), draftOf({ purpose: 'Another.' }));
    expect(saved.body).toMatchObject({ state: 'in-use', version: 1, hasChanges: true });
    expect((await beginRun(made.body.id)).body.protocol.version).toBe(1);
    expect((await use(saved)).body).toMatchObject({ version: 2, hasChanges: false });
    expect((await beginRun(made.body.id)).body.protocol).toMatchObject({ version: 2, purpose: 'Another.' });
    const later = (await ada.get(`/classes/${classId}/runs/${before.id}`)).body;
    expect(later.protocol).toMatchObject({ version: 1, purpose: LAB.purpose });
    await expect(LabSheetVersion.update({ version: 9 }, { where: { id: made.body.id, version: 1 } })).rejects.toThrow(
      /append-only/,
    );
  });

  it('opened for a class stays the version it was opened with, for who comes later too', async () => {
    const made = await begin();
    await use(made);
    const group = (memberId: string | undefined): object => ({ runId: randomUUID(), memberIds: [memberId] });
    const opened = await teacher.post(`/classes/${classId}/openings`, {
      id: randomUUID(),
      protocolId: made.body.id,
      specimen: 'Beads',
      groups: [group(students[0])],
    });
    expect(opened.body).toMatchObject({ title: 'What does one bead weigh?' });
    await use(await save(await teacher.get(`/lab-sheets/${made.body.id}`), draftOf({ title: 'Renamed' })));
    const url = `/classes/${classId}/openings/${opened.body.id}`;
    const more = await teacher.post(`${url}/groups`, { groups: [group(students[1])] });
    expect(more.body.title).toBe('What does one bead weigh?');
    const versions = await Promise.all(
      more.body.atWork.map(async ({ runId }: { runId: string }) => {
        const { body } = await teacher.get(`/classes/${classId}/runs/${runId}`);
        return body.protocol.version as number;
      }),
    );
    expect(versions).toEqual([1, 1]);
  });

  it('is done no more once it is retired, and can come back', async () => {
    const made = await begin();
    expect((await change(made, { isRetired: true })).status).toBe(409);
    await use(made);
    const run = (await beginRun(made.body.id)).body;
    expect((await change(made, { isRetired: true })).body.state).toBe('retired');
    expect((await offeredTo(ada, classId)).map(({ id }) => id)).not.toContain(made.body.id);
    expect((await beginRun(made.body.id)).status).toBe(400);
    expect((await ada.get(`/classes/${classId}/runs/${run.id}`)).status).toBe(200);
    expect((await change(made, { isRetired: false })).body.state).toBe('in-use');
    expect((await beginRun(made.body.id)).status).toBe(201);
  });

  it('is deleted only before it was ever used', async () => {
    const made = await begin();
    await use(made);
    expect((await teacher.send('DELETE', `/lab-sheets/${made.body.id}`)).status).toBe(409);
    const draft = await begin();
    expect((await teacher.send('DELETE', `/lab-sheets/${draft.body.id}`)).status).toBe(204);
    expect((await teacher.get(`/lab-sheets/${draft.body.id}`)).status).toBe(404);
  });
});

describe('who sees a lab sheet', () => {
  it('is who wrote it; once it is shared, every class of the school, as it is in use', async () => {
    const made = await begin();
    await use(made);
    await save(await teacher.get(`/lab-sheets/${made.body.id}`), draftOf({ purpose: 'Not yet.' }));
    const url = `/lab-sheets/${made.body.id}`;
    expect((await colleague.get(url)).status).toBe(404);
    expect((await offeredTo(colleague, parallelId)).map(({ id }) => id)).not.toContain(made.body.id);
    expect((await change(made, { isShared: true })).body.isShared).toBe(true);
    const seen = (await colleague.get(url)).body;
    expect(seen).toMatchObject({ isMine: false, hasChanges: false, by: 'Tea Cher', draft: { purpose: LAB.purpose } });
    expect((await offeredTo(colleague, parallelId)).map(({ id }) => id)).toContain(made.body.id);
    for (const [method, path, body] of [
      ['PUT', `${url}/draft`, { draft: {}, revision: 1 }],
      ['POST', `${url}/use`, { revision: 1 }],
      ['PATCH', url, { isShared: false }],
      ['DELETE', url, undefined],
    ] as const)
      expect([method, (await colleague.send(method, path, body)).status]).toEqual([method, 403]);
    expect((await elsewhere.get(url)).status).toBe(404);
    expect((await elsewhere.get('/lab-sheets')).body).toEqual([]);
  });

  it('is no student, no visitor and nobody of another school', async () => {
    const nobody = await new Visitor(notebook.server.base).open();
    const url = `/lab-sheets/${(await begin()).body.id}`;
    const routes = [
      ['GET', '/lab-sheets', undefined],
      ['POST', '/lab-sheets', { id: newId(), draft: {} }],
      ['GET', url, undefined],
      ['PUT', `${url}/draft`, { draft: {}, revision: 1 }],
      ['POST', `${url}/use`, { revision: 1 }],
      ['PATCH', url, { isShared: true }],
      ['DELETE', url, undefined],
    ] as const;
    for (const [method, path, body] of routes) {
      expect([path, (await nobody.send(method, path, body)).status]).toEqual([path, 401]);
      expect([path, (await ada.send(method, path, body)).status]).toEqual([path, 403]);
    }
    expect((await elsewhere.send('DELETE', url)).status).toBe(404);
  });

  it('is the heir of a teacher who leaves the school', async () => {
    const { schoolId } = notebook.schoolClass;
    const { base } = notebook.server;
    const [leaving, head] = await Promise.all([
      makeTeacher(schoolId, 'leaving@sheets.example', 'teacher'),
      makeTeacher(schoolId, 'head@sheets.example', 'administrator'),
    ]);
    const made = await begin(draftOf(), await asTeacher(base, leaving.email));
    const administrator = await asTeacher(base, head.email);
    const removed = await administrator.post(`/school/teachers/${leaving.personId}/removal`, { heirId: head.personId });
    expect(removed.status).toBeLessThan(300);
    expect((await administrator.get(`/lab-sheets/${made.body.id}`)).body).toMatchObject({ isMine: true });
  });
});
