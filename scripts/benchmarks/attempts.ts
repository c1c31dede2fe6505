import { randomUUID } from 'node:crypto';
import autocannon from 'autocannon';
import pg from 'pg';
import { answerTo, instrumentIds, practiceTask, unitAsked, type Situation } from '../../core/src/index.ts';
import { classOf, post, type SignedIn } from './students.ts';

const BASE = process.env['BASE_URL'] ?? '';
const STUDENTS = 200;
/** Held open to the server, and to the database. */
const CONNECTIONS = 32;
const DATABASE_CONNECTIONS = 8;
const SECONDS = 8;
const TOOLS = instrumentIds();

/** One entry of one student, ready to be sent. */
interface Sending {
  readonly student: SignedIn;
  readonly body: string;
}

function sending(student: SignedIn, taskId: string, entry: string): Sending {
  const attempt = {
    id: randomUUID(),
    taskId,
    kind: 'reading',
    entry,
    eyeHeight: 0,
    actions: [],
    hints: 0,
    timeTaken: 5000,
  };
  return { student, body: JSON.stringify(attempt) };
}

/** Every other item is right at once, the others at the second try; the tools are dealt out to the students in turn. */
async function entriesOf(students: readonly SignedIn[], pool: pg.Pool): Promise<Sending[]> {
  const all: Sending[][] = [];
  for (const [i, student] of students.entries()) {
    const subjectIds = [TOOLS[i % TOOLS.length]];
    const { id } = await post<{ id: string }>(BASE, student, `/classes/${student.classId}/rounds`, { subjectIds });
    const { rows } = await pool.query<{ id: string; subject_id: string; situation: Situation }>(
      'select id, subject_id, situation from tasks where class_id = $1 and round_id = $2 order by position',
      [student.classId, id],
    );
    all.push(
      rows.flatMap((row, position) => {
        const task = practiceTask(row.subject_id, row.situation);
        const { text } = answerTo(task);
        const right = sending(student, row.id, `${text} ${unitAsked(task)}`);
        return position % 2 === 0 ? [right] : [sending(student, row.id, `${text}7`), right];
      }),
    );
  }
  // One entry of each student after the other, as in a classroom.
  const longest = Math.max(...all.map((entries) => entries.length));
  return Array.from({ length: longest }, (_, i) => all.flatMap((entries) => entries.slice(i, i + 1))).flat();
}

/** Answered attempts through HTTP, judged and stored. */
async function throughHttp(entries: readonly Sending[]): Promise<number> {
  let next = 0;
  const start = performance.now();
  let last = start;
  const options: autocannon.Options = {
    url: BASE,
    connections: CONNECTIONS,
    amount: entries.length,
    requests: [
      {
        method: 'POST',
        setupRequest: (request) => {
          const { student, body } = entries[next++ % entries.length] as Sending;
          return { ...request, path: `/api/classes/${student.classId}/attempts`, headers: student.headers, body };
        },
      },
    ],
  };
  const result = await new Promise<autocannon.Result>((done, fail) => {
    autocannon(options, (error, all) => (error ? fail(error as Error) : done(all))).on(
      'response',
      () => (last = performance.now()),
    );
  });
  if (result.non2xx > result['2xx'] / 100)
    throw new Error(`${result.non2xx} of ${entries.length} requests were refused; the figure would not count.`);
  return (1000 * result['2xx']) / (last - start);
}

/** The same rows inserted with nothing else around them. */
async function bare(pool: pg.Pool): Promise<number> {
  const { rows } = await pool.query('select * from attempts order by server_order desc limit 1');
  const columns = Object.keys(rows[0]).filter((name) => name !== 'server_order' && name !== 'created_at');
  const values = columns.map((name) =>
    ['situation', 'picture', 'actions', 'remarks', 'diagnosis'].includes(name)
      ? JSON.stringify(rows[0][name])
      : rows[0][name],
  );
  const statement = `insert into attempts (${columns.join(', ')}) values (${columns.map((_, i) => `$${i + 1}`).join(', ')})`;
  const start = performance.now();
  let done = 0;
  let tries = 1000;
  const work = async (): Promise<void> => {
    while (performance.now() - start < SECONDS * 1000) {
      await pool.query(
        statement,
        columns.map((name, i) => (name === 'id' ? randomUUID() : name === 'try_number' ? (tries += 1) : values[i])),
      );
      done += 1;
    }
  };
  await Promise.all(Array.from({ length: DATABASE_CONNECTIONS }, work));
  return done / ((performance.now() - start) / 1000);
}

const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'], max: DATABASE_CONNECTIONS });
const entries = await entriesOf(await classOf(BASE, STUDENTS), pool);
const http = await throughHttp(entries);
const alone = await bare(pool);
await pool.end();
process.stdout.write(
  `answered attempts through HTTP with storage, ${STUDENTS} students, ${TOOLS.length} tools: ${Math.round(http)} per second of ${entries.length}\n`,
);
process.stdout.write(
  `the same insert bare with pg: ${Math.round(alone)} per second (ratio ${(alone / http).toFixed(1)})\n`,
);
