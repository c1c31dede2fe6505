import { randomUUID } from 'node:crypto';
import type { RunEvent } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RunResultRow } from '../src/models/notebook.ts';
import { asTeacher, makeSchool, type Answer, type Visitor } from './harness.ts';
import { entryOf, openNotebook, worked, type Notebook } from './notebook-entries.ts';

let notebook: Notebook;
let { ada, ben, teacher, classId, students, runId } = {} as Notebook;
let elsewhere: Visitor;
let otherClassId = '';

/** What a teacher’s page saves of a run. */
async function saved(): Promise<Record<string, any>> {
  const { body } = await teacher.get(`/classes/${classId}/runs/${runId}`);
  const { specimen, startedAt, protocol: lab, arrangement, rules, rulesName, people, events } = body;
  return {
    format: 'green-beam-run',
    version: 1,
    specimen,
    startedAt,
    protocol: lab,
    arrangement,
    rules: { name: rulesName, rules },
    people: Object.fromEntries(
      Object.entries(people as Record<string, { label: string }>).map(([id, one]) => [id, one.label]),
    ),
    events,
  };
}

beforeAll(async () => {
  notebook = await openNotebook(null);
  ({ ada, ben, teacher, classId, students, runId } = notebook);
  const inland = await makeSchool('inland');
  elsewhere = await asTeacher(notebook.server.base, inland.teacher.email);
  otherClassId = inland.schoolClass.id;
  const url = `/classes/${classId}/runs/${runId}/events`;
  const first = entryOf(students[0], 'mass.1', '54.31');
  const rest = [
    entryOf(students[0], 'tool.mass', 'digital-balance-hundredth'),
    entryOf(students[0], 'before.1', '16.2'),
    entryOf(students[0], 'after.1', '22.3'),
    entryOf(students[0], 'mass.1', '54.32', { replaces: first['id'], reason: 'a digit exchanged' }),
    entryOf(students[0], 'mass.2', '54.30'),
  ];
  const own = { kind: 'cell', quantity: 'volume', members: { trial: '1' }, author: students[1] } as const;
  expect((await ada.post(url, { events: [first, ...rest] })).status).toBe(200);
  expect((await ben.post(url, { events: [entryOf(students[1], own, '6.1 mL')] })).status).toBe(200);
});
afterAll(() => notebook.server.stop());

const take = (file: unknown, id: string = randomUUID(), as = teacher, into = classId): Promise<Answer> =>
  as.post(`/classes/${into}/runs/import`, { id, file });

const asWritten = (events: readonly RunEvent[]): unknown[] =>
  events.map(({ address, text, reason, deviceTime, person, replaces }) => [
    address,
    text,
    reason,
    deviceTime,
    person,
    events.findIndex(({ id }) => id === replaces),
  ]);

describe('a run from a file', () => {
  it('is the same run: entries, order, people, corrections, rules and results', async () => {
    const file = await saved();
    const { status, body } = await take(file);
    expect(status).toBe(201);
    const page = (await teacher.get(`/classes/${classId}/runs/${body.id as string}`)).body;
    expect(asWritten(page.events)).toEqual(asWritten(file['events']));
    expect(page.events.map(({ id }: RunEvent) => id)).not.toContain(file['events'][0].id);
    expect(page.rules).toEqual(file['rules'].rules);
    expect(page.arrangement).toEqual(file['arrangement']);
    expect(worked(page).results.map(({ text, quoted }) => [text, quoted])).toEqual(
      worked({ ...file, rules: file['rules'].rules } as never).results.map(({ text, quoted }) => [text, quoted]),
    );
    expect(await RunResultRow.count({ where: { runId: body.id } })).toBe(
      await RunResultRow.count({ where: { runId } }),
    );
    expect((await ada.get(`/classes/${classId}/runs/${body.id as string}`)).body.mayWrite).toBe(true);
  });

  it('sent twice is taken in once', async () => {
    const [file, id] = [await saved(), randomUUID()];
    expect((await take(file, id)).status).toBe(201);
    expect((await take(file, id)).status).toBe(201);
    const { body } = await teacher.get(`/classes/${classId}/runs/${id}`);
    expect(body.events).toHaveLength(file['events'].length);
  });

  it('of another school is that of who takes it in, with the rules it was worked by', async () => {
    const file = await saved();
    file['people'] = Object.fromEntries(Object.keys(file['people']).map((id) => [id, 'Zoe Q.']));
    file['rules'] = { name: 'Half a division', rules: { ...file['rules'].rules, combine: 'plain-sum' } };
    const { status, body } = await take(file, randomUUID(), elsewhere, otherClassId);
    expect(status).toBe(201);
    const page = (await elsewhere.get(`/classes/${otherClassId}/runs/${body.id as string}`)).body;
    expect(page.rulesName).toBe('Half a division');
    expect(new Set(page.events.map(({ person }: RunEvent) => person)).size).toBe(1);
    expect(page.events.map(({ text }: RunEvent) => text)).toEqual(file['events'].map(({ text }: RunEvent) => text));
    // The class itself goes on by its own.
    expect((await elsewhere.get(`/classes/${otherClassId}/rules`)).body.name).not.toBe('Half a division');
  });

  it('by hundreds of entries is taken in whole', async () => {
    const file = await saved();
    const base = file['events'][0] as RunEvent;
    let replaces: string | null = null;
    file['events'] = Array.from({ length: 1500 }, (_, i) => {
      const entry = { ...base, id: randomUUID(), text: `54.${10 + (i % 90)}`, replaces };
      replaces = entry.id;
      return entry;
    });
    const { status, body } = await take(file);
    expect(status).toBe(201);
    expect((await teacher.get(`/classes/${classId}/runs/${body.id as string}`)).body.events).toHaveLength(1500);
  });

  it.each<[string, RegExp, (file: Record<string, any>) => void]>([
    ['file.format', /no saved laboratory/, (file) => (file['format'] = 'other')],
    ['file.version', /not known here/, (file) => (file['version'] = 2)],
    ['file.startedAt', /no date/, (file) => (file['startedAt'] = 'yesterday')],
    ['file.events[1].text', /4000/, (file) => (file['events'][1].text = 'x'.repeat(5000))],
    ['file.events', /correct/, (file) => (file['events'][0].replaces = randomUUID())],
    ['file.events', /same id/, (file) => file['events'].push(file['events'][0])],
    ['address.quantity', /not a quantity/, (file) => (file['events'][0].address.quantity = 'weight')],
    [
      'file.events',
      /change more than 200 times/,
      (file) =>
        (file['events'] = Array.from({ length: 201 }, () => ({
          ...file['events'][0],
          id: randomUUID(),
          address: { kind: 'option', option: 'material' },
        }))),
    ],
    ['file.people', /names/, (file) => (file['people'] = { a: 7 })],
    ['combine', /combine/, (file) => (file['rules'].rules.combine = 'guessing')],
  ])('is refused by the name of what is wrong: %s', async (field, message, spoil) => {
    const file = await saved();
    spoil(file);
    const { status, body } = await take(file);
    expect([status, body.field]).toEqual([400, field]);
    expect(body.message).toMatch(message);
  });

  it('whose laboratory is wrong is refused with every path', async () => {
    const file = await saved();
    file['protocol'].quantities = file['protocol'].quantities.map((one: { kind: string }) =>
      one.kind === 'computed' ? { ...one, formula: 'nothing' } : one,
    );
    const { status, body } = await take(file);
    expect(status).toBe(422);
    expect(body.faults.length).toBeGreaterThan(1);
    expect(body.faults[0].path).toMatch(/^protocol\.quantities\[\d+\]\.formula$/);
  });

  it('is for teachers of the class', async () => {
    const file = await saved();
    expect((await take(file, randomUUID(), ada)).status).toBe(403);
    expect((await take(file, randomUUID(), elsewhere)).status).toBe(404);
  });
});

describe('what is sent', () => {
  it('may be large only where a whole laboratory is taken in', async () => {
    const large = { id: randomUUID(), file: { note: 'x'.repeat(400_000) } };
    expect((await take(large.file)).status).toBe(400);
    expect((await teacher.post(`/classes/${classId}/runs`, large)).status).toBe(413);
    expect((await take({ note: 'x'.repeat(2_100_000) })).status).toBe(413);
  });
});
