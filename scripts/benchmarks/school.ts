import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { answerTo, instrumentIds, practiceTask, unitAsked, type Situation } from '../../core/src/index.ts';
import { classOf, post, type SignedIn } from './students.ts';

const BASE = process.env['BASE_URL'] ?? '';
const STUDENTS = 1000;
const IN_A_CLASS = 25;
const BEGINNERS = 200;
const STREAMS = 300;
const DRAWING = 93;
/** Each student answers once in so many ms, for so long. */
const EVERY = 15_000;
const LASTING = 60_000;
const IDLE = 10_000;
const TOOLS = instrumentIds();

const say = (line: string): void => void process.stdout.write(`${line}\n`);

function spread(times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (part: number): string => `${Math.round(sorted[Math.ceil(part * sorted.length) - 1] ?? NaN)} ms`;
  return `median ${at(0.5)}, 99th percentile ${at(0.99)}, slowest ${at(1)}`;
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** How long the server’s thread was held up since the last call, in ms: the 99.9th percentile. */
async function delay(): Promise<number> {
  const response = await fetch(`${BASE}/api/health`);
  return ((await response.json()) as { delay: number }).delay;
}

function begin(student: SignedIn, i: number): Promise<{ id: string }> {
  return post(BASE, student, `/classes/${student.classId}/rounds`, { subjectIds: [TOOLS[i % TOOLS.length]] });
}

/** Right entries for the items of a student, one after the other. */
async function entriesFor(student: SignedIn, i: number, pool: pg.Pool): Promise<object[]> {
  const { id } = await begin(student, i);
  const { rows } = await pool.query<{ id: string; subject_id: string; situation: Situation }>(
    'select id, subject_id, situation from tasks where class_id = $1 and round_id = $2 order by position',
    [student.classId, id],
  );
  return rows.map((row) => {
    const task = practiceTask(row.subject_id, row.situation);
    const entry = `${answerTo(task).text} ${unitAsked(task)}`;
    const { id: taskId } = row;
    return { id: randomUUID(), taskId, kind: 'reading', entry, eyeHeight: 0, actions: [], hints: 0, timeTaken: 5000 };
  });
}

function openStream({ classId, headers }: SignedIn): Promise<() => void> {
  return new Promise((opened, fail) => {
    const request = get(`${BASE}/api/classes/${classId}/events`, { headers, agent: false }, (response) => {
      response.resume();
      opened(() => request.destroy());
    });
    request.on('error', fail);
  });
}

async function inTurn<One>(
  all: readonly One[],
  together: number,
  work: (one: One, i: number) => Promise<void>,
): Promise<void> {
  let next = 0;
  const worker = async (): Promise<void> => {
    for (let i = next++; i < all.length; i = next++) await work(all[i] as One, i);
  };
  await Promise.all(Array.from({ length: together }, worker));
}

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'], max: 4 });
const school: SignedIn[] = [];
const signing = await timed(async () => {
  await inTurn(Array.from({ length: STUDENTS / IN_A_CLASS }), 4, async () => {
    // One teacher makes more classes here than any may in so short a time.
    await pool.query('delete from allowances');
    school.push(...(await classOf(BASE, IN_A_CLASS)));
  });
});
say(`${STUDENTS} students signed in within ${(signing / 1000).toFixed(1)} s`);

await delay();
await pause(IDLE);
say(`held up while nothing is asked: ${(await delay()).toFixed(1)} ms at the 99.9th percentile`);

const firsts = await Promise.all(school.slice(0, BEGINNERS).map((student, i) => timed(() => begin(student, i))));
say(`${BEGINNERS} begin at once, until each has the first picture: ${spread(firsts)}`);
say(`held up meanwhile: ${(await delay()).toFixed(1)} ms at the 99.9th percentile`);

const entries: object[][] = [];
await inTurn(school, 4, async (student, i) => {
  entries[i] = await entriesFor(student, i, pool);
});
const streams = await Promise.all(school.slice(0, STREAMS).map(openStream));
await delay();
const attempts: number[] = [];
const draws: number[] = [];
await Promise.all([
  ...school.map(async (student, i) => {
    await pause((EVERY * i) / STUDENTS);
    for (const entry of (entries[i] ?? []).slice(0, LASTING / EVERY)) {
      const next = pause(EVERY);
      attempts.push(await timed(() => post(BASE, student, `/classes/${student.classId}/attempts`, entry)));
      await next;
    }
  }),
  ...school.slice(-DRAWING).map(async (student, i) => {
    await pause((LASTING * i) / DRAWING);
    draws.push(await timed(() => begin(student, i)));
  }),
]);
say(
  `${STUDENTS} students answer every ${EVERY / 1000} s, ${STREAMS} streams open: ${attempts.length} answers, ${spread(attempts)}`,
);
say(`${DRAWING} of them draw a round meanwhile: ${spread(draws)}`);
say(`held up meanwhile: ${(await delay()).toFixed(1)} ms at the 99.9th percentile`);
streams.forEach((close) => close());
await pool.end();
