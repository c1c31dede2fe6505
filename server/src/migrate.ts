import pg from 'pg';
import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
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

const MIGRATIONS = [
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
];

/** Brings the database to the present shape; each migration runs once, in its own transaction. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: () => sequelize.transaction((transaction) => sequelize.query(up, { transaction })),
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
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
