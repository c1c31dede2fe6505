import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import {
  addressKey,
  parseProtocol,
  workOut,
  type Address,
  type Members,
  type RunEvent,
  type WorkedRun,
} from '@green-beam/core';
import type { RunPage } from '@green-beam/contract';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RunResultRow } from '../src/models/notebook.ts';
import { renewResults } from '../src/notebook/renew-results.ts';
import { asStudent, startTestServer, type TestServer, type Visitor } from './harness.ts';

/** Laboratories in every state as the version before dimensions stored them, and what that version showed of each. */
const FOLDER = resolve(import.meta.dirname, 'earlier-database');

type Texts = Readonly<Record<string, string | null>>;

interface RunThen {
  readonly id: string;
  readonly specimen: string;
  readonly handedInAt: string | null;
  readonly rulesName: string;
  readonly rulesChanges: number;
  readonly entries: readonly { readonly id: string; readonly text: string; readonly reason: string | null }[];
  readonly rows: readonly {
    readonly trial: number;
    readonly excluded: string | null;
    readonly cells: Texts;
    readonly struck: Readonly<Record<string, readonly string[]>>;
    readonly rivals: Readonly<Record<string, readonly string[]>>;
  }[];
  readonly instruments: Readonly<Record<string, string>>;
  readonly tools: Readonly<Record<string, string>>;
  readonly notes: Readonly<Record<string, string>>;
  readonly mean: number | null;
  readonly meanText: string | null;
  readonly percentError: string | null;
}

interface Then {
  readonly classId: string;
  readonly code: string;
  readonly studentId: string;
  readonly runs: readonly RunThen[];
}

const then = JSON.parse(readFileSync(resolve(FOLDER, 'runs-7a8ebb8.json'), 'utf8')) as Then;
let server: TestServer;
let student: Visitor;

beforeAll(async () => {
  server = await startTestServer({
    before: async (databaseUrl) => {
      const client = new pg.Client({ connectionString: databaseUrl });
      await client.connect();
      await client.query(gunzipSync(readFileSync(resolve(FOLDER, 'runs-7a8ebb8.sql.gz'))).toString());
      await client.end();
    },
  });
  student = await asStudent(server.base, then.code, then.studentId);
});
afterAll(() => server.stop());

/** The place that a place of then is now: `answer.tool`, `accepted`, `behaviour`. */
function placeOfNote(note: string): Address {
  const [name = '', part] = note.split('.');
  if (part !== undefined) return { kind: 'answer', question: part };
  return name === 'accepted' ? { kind: 'accepted' } : { kind: 'cell', quantity: name, members: {} };
}

async function now({ id }: RunThen): Promise<{ body: RunPage; events: readonly RunEvent[]; worked: WorkedRun }> {
  const body = (await student.get(`/classes/${then.classId}/runs/${id}`)).body as RunPage;
  return { body, events: body.events, worked: workOut(body.protocol, { events: body.events }, body.rules) };
}

const at = (trial: number): Members => ({ trial: String(trial) });

describe.each(then.runs)('a laboratory that was begun earlier: $specimen', (run) => {
  it('has every entry as it was written, and is as far as it was', async () => {
    const { body, events } = await now(run);
    const entries = events.map(({ id, text, reason }) => ({ id, text, reason }));
    expect(entries).toEqual(run.entries);
    expect(body).toMatchObject({
      specimen: run.specimen,
      handedInAt: run.handedInAt,
      rulesName: run.rulesName,
      rulesChanges: expect.objectContaining({ length: run.rulesChanges }),
    });
    expect(() => parseProtocol(body.protocol)).not.toThrow();
  });

  it('shows in every cell what it showed, with what is struck through and what is in conflict', async () => {
    const { worked } = await now(run);
    for (const { trial, cells, struck, rivals, excluded } of run.rows) {
      expect(worked.counts(at(trial))).toBe(excluded === null);
      for (const [quantity, text] of Object.entries(cells)) {
        const cell = worked.cellAt(quantity, at(trial));
        const texts = (list: readonly RunEvent[] = []): string[] => list.map((one) => one.text);
        expect([quantity, trial, cell && 'text' in cell ? cell.text : null]).toEqual([quantity, trial, text]);
        if (cell?.kind !== 'entry') continue;
        expect(texts(cell.struck)).toEqual(struck[quantity] ?? []);
        expect(texts(cell.rivals)).toEqual(rivals[quantity] ?? []);
      }
    }
    for (const [note, text] of Object.entries(run.notes)) {
      const standing = worked.setting.slots.get(addressKey(placeOfNote(note)));
      expect([note, standing?.current.text]).toEqual([note, text]);
    }
  });

  it('is read on the same tools, and has the same mean', async () => {
    const { worked } = await now(run);
    for (const [quantity, instrument] of Object.entries(run.instruments)) {
      const cell = worked.cellAt(quantity, at(1));
      if (cell?.kind !== 'entry') continue;
      expect(cell.tool).toMatchObject({ instrument: { id: instrument }, code: run.tools[quantity] ?? null });
    }
    const [result] = worked.results;
    expect(result?.text ?? null).toBe(run.meanText);
    if (run.mean !== null) expect(result?.value).toBeCloseTo(run.mean, 12);
    expect(result?.comparison?.percentError ?? null).toBe(run.percentError);
  });
});

it('their results are worked out and kept', async () => {
  await renewResults(server.drawing);
  const kept = await RunResultRow.findAll({ where: { classId: then.classId } });
  const expected = then.runs.flatMap(({ id, mean }) =>
    mean === null ? [] : [[id, expect.closeTo(mean, 12) as number]],
  );
  expect(Object.fromEntries(kept.map(({ runId, value }) => [runId, value]))).toEqual(Object.fromEntries(expected));
});

it('an open one is gone on with', async () => {
  const { id } = then.runs.find(({ specimen }) => specimen === 'Given back')!;
  const event = {
    id: '5a17a4b0-0000-4000-8000-00000000aaaa',
    address: { kind: 'cell', quantity: 'mass', members: { trial: '3' } },
    text: '54.31',
    replaces: null,
    reason: null,
    person: then.studentId,
    deviceTime: '2026-03-02T10:00:00.000Z',
  };
  expect((await student.post(`/classes/${then.classId}/runs/${id}/events`, { events: [event] })).status).toBe(200);
});
