import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import pg from 'pg';
import { afterEach, describe, expect, it } from 'vitest';
import { databaseOf } from '../src/database.ts';
import { checksumOf, migrate, MIGRATIONS } from '../src/migrate.ts';
import { Person } from '../src/models/people.ts';
import { asStudent, firstReading, startTestServer, type TestServer } from './harness.ts';

/** The beginnings of the checksums of all that have been run anywhere: none of them changes any more, and new ones follow. */
const SHIPPED: Readonly<Record<string, string>> = {
  '0001-first-light': '473b633f1b98',
  '0002-handing-in': 'f3f3a348f48a',
  '0003-students-archive': '38a96ecf8171',
  '0004-round-tools': 'ee61f2290f82',
  '0005-tutor': '5ad56a2b43a7',
  '0006-set-rounds': 'd617aef561ec',
  '0007-sheets': '8cc05e9e57dc',
  '0008-cabinet': '5c0d341b00f2',
  '0009-rules-told': '83c489ec7bc4',
  '0010-exercises': '8f1579b1979d',
  '0011-tapes': 'bc2be26cbe33',
  '0012-set-rounds-told': '02b0473e5f84',
  '0013-shelf': 'b9f6fc52a96d',
  '0014-notify-class': '78ad4ce22554',
  '0015-beliefs-behind': '22804963e0fd',
  '0016-one-try-at-a-time': 'f1a5da386c95',
  '0017-pictures-follow': 'ea8692a55715',
  '0018-guesses': '544530a3508a',
  '0019-signing-in': 'a62db805392a',
  '0020-joining': '11cc51d46360',
  '0021-teachers-leave': 'dcfbab171592',
  '0022-allowances': 'eae36b39794a',
  '0023-as-it-should-be': '9f21631c475a',
  '0024-retention': '4ebbcf49f6e1',
  '0025-lesson': 'f56bb8317fee',
  '0026-laboratories': '902afdee24a2',
  '0027-arrangements': '6a83ad0387dc',
  '0028-openings': 'cf739d04bd97',
  '0029-reports': '876d4570f317',
  '0030-lab-sheets': '1d4a63e04dfa',
  '0031-class-results': 'c4625e066e6b',
  '0032-together': '25261c888bab',
  '0033-tools-compared': '3736bd7c7f1a',
  '0034-practice-days': 'b5d01ca547b5',
  '0035-result-pairs': '92026a399b61',
  '0036-lesson-plans': 'a0aa0d3fdd7c',
  '0037-given-tables': 'cf1139994fd9',
};

let server: TestServer | null = null;
afterEach(async () => {
  await server?.stop();
  server = null;
});

it('no migration is changed once it has been run somewhere', () => {
  expect(Object.fromEntries(MIGRATIONS.map(({ name, up }) => [name, checksumOf(up).slice(0, 12)]))).toEqual(SHIPPED);
});

describe('a database of an earlier version', () => {
  /** Whole databases as pg_dump wrote them, each filled with sample data by the version of that commit, for two students. */
  it.each([
    ['c23f350', 'the first one'],
    ['b3ab7c8', 'with rounds that are set'],
    ['2654a08', 'with a cabinet, before remarks'],
    ['4116111', 'with exercises'],
    ['c18c9ea', 'with a shelf and plain words'],
  ])('%s, %s, is brought to the present shape with all that is in it', async (commit) => {
    const text = gunzipSync(readFileSync(resolve(import.meta.dirname, 'earlier-database', `whole-${commit}.sql.gz`)));
    const counts = new Map<string, number>();
    server = await startTestServer({
      before: async (databaseUrl) => {
        const client = new pg.Client({ connectionString: databaseUrl });
        await client.connect();
        await client.query(text.toString());
        for (const table of ['people', 'attempts', 'tasks', 'runs', 'run_events', 'students']) {
          const { rows } = await client.query<{ n: string }>(`select count(*) n from public.${table}`);
          counts.set(table, Number(rows[0]?.n));
        }
        await client.end();
      },
    });
    for (const [table, count] of counts) {
      const [[row]] = (await databaseOf(Person).query(`select count(*) n from ${table}`)) as [{ n: string }[], unknown];
      expect([table, Number(row?.n)]).toEqual([table, count]);
    }

    const ines = '5a17a4b0-0000-4000-8000-000001100000';
    const classId = '5a17a4b0-0000-4000-8000-000000000010';
    const student = await asStudent(server.base, 'HRN-947', ines, '2468');
    const { body: record } = await student.get(`/classes/${classId}/record`);
    expect(record.page.attempts.length).toBeGreaterThan(5);
    const { body: round, status } = await student.post(`/classes/${classId}/rounds`, {});
    expect(status).toBe(201);
    const answered = await student.post(`/classes/${classId}/attempts`, firstReading(round.tasks[0].id));
    expect(answered.status).toBe(200);
    const { body: runs } = await student.get(`/classes/${classId}/runs`);
    expect(runs.length).toBeGreaterThan(1);
    for (const { id } of runs as { id: string }[])
      expect((await student.get(`/classes/${classId}/runs/${id}`)).body.events.length).toBeGreaterThan(3);
    const { body: asked } = await student.get(`/classes/${classId}/runs/asked`);
    expect(asked).toEqual([]);
  });
});

describe('a migration', () => {
  it('that differs from what was run is found out before anything is done', async () => {
    server = await startTestServer();
    const sequelize = databaseOf(Person);
    await sequelize.query(`update migrations set checksum = 'another' where name = '0008-cabinet'`);
    await expect(migrate(sequelize)).rejects.toThrow(/0008-cabinet is not what was run.*operating\.md/);
    await sequelize.query(`update migrations set checksum = null where name = '0008-cabinet'`);
    await expect(migrate(sequelize)).resolves.toBeUndefined();
  });

  it('of a later version keeps this one from starting', async () => {
    server = await startTestServer();
    const sequelize = databaseOf(Person);
    await sequelize.query(`insert into migrations (name) values ('9999-from-the-future')`);
    await expect(migrate(sequelize)).rejects.toThrow(/9999-from-the-future, of a later version/);
  });

  it('is written down with what it does, or neither is done', async () => {
    server = await startTestServer();
    const sequelize = databaseOf(Person);
    await sequelize.query(`delete from migrations where name = '0022-allowances'`);
    await expect(migrate(sequelize)).rejects.toThrow();
    const [rows] = await sequelize.query(`select name from migrations where name = '0022-allowances'`);
    expect(rows).toEqual([]);
  });
});
