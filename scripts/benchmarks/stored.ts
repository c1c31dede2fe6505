import pg from 'pg';
import { ask, teacherOf } from './students.ts';

const BASE = process.env['BASE_URL'] ?? '';
const SIZES = [10_000, 100_000, 1_000_000];
const RUNS = 500;
const TIMES = 15;
const AIM = 300;
/** So many days back attempts lie. */
const DAYS = 200;

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'], max: 2 });
const teacher = await teacherOf(BASE);
const { classId } = teacher;

/** Attempts like those of the sample class, spread over its students and the days of a year, until there are so many. */
async function fillUpTo(size: number): Promise<void> {
  const { rows } = await pool.query<{ count: string }>('select count(*) from attempts');
  const missing = size - Number(rows[0]?.count ?? 0);
  // Nobody is told of each of them.
  await pool.query('alter table attempts disable trigger attempts_told');
  const BATCH = 50_000;
  for (let done = 0; done < missing; done += BATCH)
    await pool.query(
      `with source as (
         select array_agg(id) ids, count(*) n from (select id from attempts where class_id = $1 limit 1000) sample
       ), chosen as (
         select ids[1 + (i % n)] id, i from source, generate_series($2::integer, $3::integer) i
       )
       insert into attempts (class_id, id, task_id, school_id, person_id, subject_id, skill, entry, situation, picture, actions, hints,
         time_taken, try_number, verdict, slips, diagnosis, rules_version, core_version, created_at)
       select a.class_id, gen_random_uuid(), a.task_id, a.school_id, a.person_id, a.subject_id, a.skill, a.entry, a.situation, a.picture,
         a.actions, a.hints, a.time_taken, $5::integer + i, a.verdict, a.slips, a.diagnosis, a.rules_version, a.core_version,
         now() - (i % $4) * interval '1 day' - interval '2 hours'
       from chosen join attempts a on a.class_id = $1 and a.id = chosen.id`,
      [classId, done, Math.min(missing, done + BATCH) - 1, DAYS, size],
    );
  await pool.query('alter table attempts enable trigger attempts_told');
  await pool.query('analyze attempts, practice_days, slip_days');
}

/** Copies of the sample groups’ pages with their results, until so many did the same laboratory. @returns one of them. */
async function fillRuns(): Promise<string> {
  const { rows } = await pool.query<{ id: string; opening_id: string }>(
    `select id, opening_id from runs where class_id = $1 and protocol_id = 'glassware-delivery' and opening_id is not null`,
    [classId],
  );
  for (let i = rows.length; i < RUNS; i += 1) {
    const from = rows[i % rows.length]?.id;
    const copied = await pool.query<{ id: string }>(
      `insert into runs (class_id, id, school_id, protocol_id, protocol, specimen, rules_version, started_by, started_at, arrangement, results_by, methods_shared, opening_id, tools, choices, compared)
       select class_id, gen_random_uuid(), school_id, protocol_id, protocol, specimen, rules_version, started_by, started_at, arrangement, results_by, methods_shared, opening_id, tools, choices, compared
       from runs where class_id = $1 and id = $2 returning id`,
      [classId, from],
    );
    await pool.query(
      `insert into run_results select (jsonb_populate_record(null::run_results, to_jsonb(r) || jsonb_build_object('run_id', $3::text))).*
       from run_results r where class_id = $1 and run_id = $2`,
      [classId, from, copied.rows[0]?.id],
    );
    await pool.query(
      `insert into run_members (class_id, run_id, person_id, joined_at)
       select class_id, $3, person_id, joined_at from run_members where class_id = $1 and run_id = $2`,
      [classId, from, copied.rows[0]?.id],
    );
  }
  await pool.query('analyze runs, run_results, run_members');
  return rows[0]?.id ?? '';
}

async function measure(what: string, path: string): Promise<void> {
  const times: number[] = [];
  for (let i = 0; i < TIMES; i += 1) {
    const start = performance.now();
    await ask(BASE, teacher, `/classes/${classId}${path}`);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const [median, late] = [0.5, 0.95].map((part) => Math.round(times[Math.floor(part * (times.length - 1))] ?? NaN));
  process.stdout.write(`  ${what}: ${median} ms, ${late} ms at the 95th percentile (aim: under ${AIM} ms)\n`);
}

const runId = await fillRuns();
for (const size of SIZES) {
  await fillUpTo(size);
  process.stdout.write(`With ${size} attempts in one class:\n`);
  await measure('its overview now', '/board');
  await measure('its overview over time', '/over-time');
  await measure(`class results of ${RUNS} groups`, `/class-results/${runId}`);
}
await pool.end();
