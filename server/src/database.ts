import { createHash } from 'node:crypto';
import pg from 'pg';
import { Sequelize, type Model, type ModelStatic } from 'sequelize';
import { defineModels } from './models/define.ts';

/** No statement of a request takes so long, in ms, unless something is wrong. */
const TOO_LONG = 20_000;

/**
 * A connection that hears of its end from the beginning. One that is ended in the moment in which it is made would otherwise take the
 * process with it: Sequelize listens a little later.
 */
class HeardClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config);
    this.on('error', () => undefined);
  }
}

/**
 * Opens the pool and binds the models to it.
 * @param connections that it may hold at most.
 * @param use whether requests are served, which do not wait for ever, or work is done that may take long.
 */
export function openDatabase(url: string, connections: number, use: 'requests' | 'long work' = 'requests'): Sequelize {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: { ...pg, Client: HeardClient },
    logging: false,
    pool: { max: connections, min: 1, acquire: 8000, idle: 30_000 },
    define: { underscored: true, timestamps: false },
    dialectOptions: {
      connectionTimeoutMillis: 4000,
      // The database ends what takes too long; one that does not answer at all is given up on a little later.
      ...(use === 'requests' ? { statement_timeout: TOO_LONG, query_timeout: TOO_LONG + 2000 } : {}),
    },
  });
  defineModels(sequelize);
  return sequelize;
}

/** The database that a model is bound to. @throws Error before it was opened. */
export function databaseOf(model: ModelStatic<Model>): Sequelize {
  const { sequelize } = model;
  if (!sequelize) throw new Error('The database is not open.');
  return sequelize;
}

/** The name under which a connection keeps the plan of a statement. */
const NAMES = new Map<string, string>();

function nameOf(statement: string): string {
  const name = NAMES.get(statement) ?? createHash('sha256').update(statement).digest('hex').slice(0, 32);
  NAMES.set(statement, name);
  return name;
}

/**
 * Asks a statement that comes with many requests, which each connection plans but once: to parse and to plan it takes the database
 * longer than to carry it out. What stands in it is the same each time, and what changes are its values.
 * @param values of $1, $2 and so on.
 */
export async function askPrepared<Row extends object>(
  { connectionManager }: Sequelize,
  statement: string,
  values: readonly unknown[],
): Promise<Row[]> {
  const connection = await connectionManager.getConnection({ type: 'write' });
  try {
    const { rows } = await (connection as pg.Client).query<Row>({
      name: nameOf(statement),
      text: statement,
      values: [...values],
    });
    connectionManager.releaseConnection(connection);
    return rows;
  } catch (error) {
    // What the database itself says leaves the connection as it was; anything else may have broken it.
    if (error instanceof pg.DatabaseError) connectionManager.releaseConnection(connection);
    else await connectionManager.destroyConnection(connection);
    throw error;
  }
}

/** Whether a statement was refused because what it stores is to be unique and is there already. */
export function isTaken(error: unknown): boolean {
  return error instanceof pg.DatabaseError && error.code === '23505';
}
