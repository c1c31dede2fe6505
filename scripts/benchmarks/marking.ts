import pg from 'pg';
import { asTeacher } from './as-teacher.ts';

const REPORTS = 200;
const OPENS_IN = 300;
const REPORT_IN = 1000;
const TIMES = 15;

/** Copies pages of the sample class with their reports, until so many wait. */
async function fillQueue(pool: pg.Pool): Promise<void> {
  const { rows } = await pool.query<{ class_id: string; run_id: string; author: string }>(
    `select class_id, run_id, author from hand_ins where author <> 'group' and ended_at is null and returned_at is null`,
  );
  for (let i = 0; i < REPORTS - rows.length; i += 1) {
    const { class_id: classId, run_id: runId, author } = rows[i % rows.length] as (typeof rows)[number];
    const copied = await pool.query<{ id: string }>(
      `insert into runs (class_id, id, school_id, protocol_id, protocol, specimen, rules_version, started_by, started_at, arrangement, results_by, methods_shared)
       select class_id, gen_random_uuid(), school_id, protocol_id, protocol, specimen, rules_version, started_by, started_at, arrangement, results_by, methods_shared
       from runs where class_id = $1 and id = $2 returning id`,
      [classId, runId],
    );
    const id = copied.rows[0]?.id;
    await pool.query(
      `insert into run_members (class_id, run_id, person_id, joined_at)
       select class_id, $3, person_id, joined_at from run_members where class_id = $1 and run_id = $2`,
      [classId, runId, id],
    );
    await pool.query(
      `insert into run_events (class_id, id, run_id, school_id, person_id, address, text, device_time, core_version)
       select class_id, gen_random_uuid(), $3, school_id, person_id, address, text, device_time, core_version
       from run_events where class_id = $1 and run_id = $2 order by server_order`,
      [classId, runId, id],
    );
    await pool.query(
      `insert into hand_ins (class_id, run_id, author, number, handed_in_at, up_to, proposal)
       select class_id, $3, author, 1, handed_in_at, (select max(server_order) from run_events where run_id = $3), proposal
       from hand_ins where class_id = $1 and run_id = $2 and author = $4`,
      [classId, runId, id, author],
    );
  }
}

function told(what: string, times: number[], aim: number): void {
  times.sort((a, b) => a - b);
  const [median, late] = [0.5, 0.95].map((part) => Math.round(times[Math.floor(part * (times.length - 1))] ?? 0));
  process.stdout.write(`${what}: ${median} ms, ${late} ms at the 95th percentile (aim: under ${aim} ms)\n`);
}

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'] });
await fillQueue(pool);
await pool.end();
const { browser, page } = await asTeacher();
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};
const classId = ((await (await page.request.get('/api/classes')).json()) as { id: string }[])[0]?.id ?? '';
const [answers, opened, next]: number[][] = [[], [], []];
for (let i = 0; i < TIMES; i += 1) {
  answers?.push(await timed(() => page.request.get(`/api/classes/${classId}/reports`)));
  await page.goto('/class');
  await page.getByRole('link', { name: 'Laboratories' }).click();
  await page.getByRole('heading', { name: 'Class work' }).waitFor();
  opened?.push(
    await timed(async () => {
      await page.getByRole('link', { name: 'Marking', exact: true }).click();
      await page.getByText(/\d+ waiting/).waitFor();
    }),
  );
}
told(`a list of ${REPORTS} reports, at the server`, answers ?? [], OPENS_IN);
told(`the same, on the page`, opened ?? [], OPENS_IN);
await page.getByRole('link', { name: 'Begin marking' }).click();
const left = page.getByText(/^\d+ left:/);
await left.waitFor();
for (let i = 0; i < TIMES; i += 1) {
  const before = parseInt((await left.textContent()) ?? '', 10);
  next?.push(
    await timed(async () => {
      await page.keyboard.press('n');
      await page.getByText(new RegExp(`^${before - 1} left:`)).waitFor();
    }),
  );
}
told('the next report by one key', next ?? [], OPENS_IN);
const report = page.url().split('/').slice(-2);
const whole: number[] = [];
for (let i = 0; i < TIMES; i += 1)
  whole.push(
    await timed(async () => {
      await page.goto(`/notebook/${report[0] ?? ''}/report`);
      await page.getByRole('heading', { name: 'Equipment' }).waitFor();
      await page.locator('.katex').first().waitFor();
    }),
  );
told('a whole report, opened by its address and ready to be printed', whole, REPORT_IN);
await browser.close();
