import { createHash } from 'node:crypto';
import pg from 'pg';
import { QueryTypes, type Sequelize } from 'sequelize';
import { Umzug } from 'umzug';
import * as firstLight from './migrations/0001-first-light.ts';
import * as handingIn from './migrations/0002-handing-in.ts';
import * as studentsArchive from './migrations/0003-students-archive.ts';
import * as roundTools from './migrations/0004-round-tools.ts';
import * as tutor from './migrations/0005-tutor.ts';
import * as setRounds from './migrations/0006-set-rounds.ts';
import * as sheets from './migrations/0007-sheets.ts';
import * as cabinet from './migrations/0008-cabinet.ts';
import * as rulesTold from './migrations/0009-rules-told.ts';
import * as exercises from './migrations/0010-exercises.ts';
import * as tapes from './migrations/0011-tapes.ts';
import * as setRoundsTold from './migrations/0012-set-rounds-told.ts';
import * as shelf from './migrations/0013-shelf.ts';
import * as notifyClass from './migrations/0014-notify-class.ts';
import * as beliefsBehind from './migrations/0015-beliefs-behind.ts';
import * as oneTryAtATime from './migrations/0016-one-try-at-a-time.ts';
import * as picturesFollow from './migrations/0017-pictures-follow.ts';
import * as guesses from './migrations/0018-guesses.ts';
import * as signingIn from './migrations/0019-signing-in.ts';
import * as joining from './migrations/0020-joining.ts';
import * as teachersLeave from './migrations/0021-teachers-leave.ts';
import * as allowances from './migrations/0022-allowances.ts';
import * as asItShouldBe from './migrations/0023-as-it-should-be.ts';
import * as retention from './migrations/0024-retention.ts';
import * as lesson from './migrations/0025-lesson.ts';
import * as laboratories from './migrations/0026-laboratories.ts';
import * as arrangements from './migrations/0027-arrangements.ts';
import * as openings from './migrations/0028-openings.ts';
import * as reports from './migrations/0029-reports.ts';
import * as labSheets from './migrations/0030-lab-sheets.ts';
import * as classResults from './migrations/0031-class-results.ts';
import * as together from './migrations/0032-together.ts';
import * as toolsCompared from './migrations/0033-tools-compared.ts';
import * as practiceDays from './migrations/0034-practice-days.ts';
import * as resultPairs from './migrations/0035-result-pairs.ts';
import * as lessonPlans from './migrations/0036-lesson-plans.ts';
import * as givenTables from './migrations/0037-given-tables.ts';

/** All there are, in order. None is changed once it has been run anywhere: what is to be different is a further one. */
export const MIGRATIONS = [
  firstLight,
  handingIn,
  studentsArchive,
  roundTools,
  tutor,
  setRounds,
  sheets,
  cabinet,
  rulesTold,
  exercises,
  tapes,
  setRoundsTold,
  shelf,
  notifyClass,
  beliefsBehind,
  oneTryAtATime,
  picturesFollow,
  guesses,
  signingIn,
  joining,
  teachersLeave,
  allowances,
  asItShouldBe,
  retention,
  lesson,
  laboratories,
  arrangements,
  openings,
  reports,
  labSheets,
  classResults,
  together,
  toolsCompared,
  practiceDays,
  resultPairs,
  lessonPlans,
  givenTables,
];

/** What a migration does, as a short text that is another one when it is changed. */
export function checksumOf(up: string): string {
  return createHash('sha256').update(up).digest('hex');
}

/** The table of what has been run; earlier versions wrote down the names alone. */
const OWN_TABLE = `
create table if not exists migrations (name text primary key);
alter table migrations add column if not exists checksum text;
alter table migrations add column if not exists run_at timestamptz default now();
`;

/**
 * Has a database been brought to its shape by the very migrations that are here?
 * @throws Error naming one that was changed since, or one of a later version.
 */
async function checkWhatWasRun(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string; checksum: string | null }>(
    'select name, checksum from migrations order by name',
    { type: QueryTypes.SELECT },
  );
  for (const { name, checksum } of rows) {
    const here = MIGRATIONS.find((migration) => migration.name === name);
    if (!here)
      throw new Error(
        `the database has been changed by ${name}, of a later version. Start that version, or restore a backup.`,
      );
    if (checksum !== null && checksum !== checksumOf(here.up))
      throw new Error(`${name} is not what was run on this database. See “A migration differs” in docs/operating.md.`);
    if (checksum === null)
      await sequelize.query('update migrations set checksum = :checksum where name = :name', {
        replacements: { name, checksum: checksumOf(here.up) },
      });
  }
  return rows.map(({ name }) => name);
}

/** Brings the database to the present shape; each migration runs once, and is written down in its own transaction. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  await sequelize.query(OWN_TABLE);
  const done = await checkWhatWasRun(sequelize);
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: () =>
        sequelize.transaction(async (transaction) => {
          await sequelize.query(up, { transaction });
          await sequelize.query('insert into migrations (name, checksum) values (:name, :checksum)', {
            replacements: { name, checksum: checksumOf(up) },
            transaction,
          });
        }),
    })),
    storage: {
      executed: () => Promise.resolve(done),
      // Written down with what was done, not after it.
      logMigration: () => Promise.resolve(),
      unlogMigration: () => Promise.resolve(),
    },
    logger: undefined,
  });
  await umzug.up();
}

/** Any number nobody else locks. */
const STARTING = 471_000_001;

/** Runs the start-up work of one server at a time, when several start on the same database. */
export async function oneAtATime(databaseUrl: string, work: () => Promise<void>): Promise<void> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [STARTING]);
    await work();
  } finally {
    await client.end();
  }
}
