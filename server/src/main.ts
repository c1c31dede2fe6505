import { readFileSync } from 'node:fs';
import { createServer as createPlainServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { DEFAULT_RULES, planForBelief, PRIORS, subjectById, subjectIds } from '@green-beam/core';
import pg from 'pg';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { readConfig, type Config } from './config.ts';
import { openDatabase } from './database.ts';
import { ClassEvents } from './live/class-events.ts';
import { migrate, oneAtATime } from './migrate.ts';
import { offerAdministratorLink } from './auth/first-administrator.ts';

const logger = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });

function addressOf({ tls, host, port }: Config): string {
  return `${tls ? 'https' : 'http'}://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
}

/** Time between two of them, in ms: whoever is here already comes first. */
const PAUSE = 200;

/** Works out what the usual rules let be told apart in each tool and kind of exercise, one at a time, before the first round asks for it. */
function prepareInBackground(): void {
  const ids = subjectIds();
  const next = (): void => {
    const id = ids.pop();
    if (id === undefined) return;
    const subject = subjectById(id);
    planForBelief(PRIORS[subject.domain], { subjects: [subject], count: 1, seed: 1, rules: DEFAULT_RULES });
    setTimeout(next, PAUSE).unref();
  };
  setTimeout(next, PAUSE).unref();
}

/**
 * How long an idle connection stays open, in ms: longer than a student thinks between two readings, and than reverse proxies keep one,
 * so that no request goes out on a connection that is being closed.
 */
const KEPT_OPEN = 75_000;

async function serve(): Promise<void> {
  const config = readConfig(process.env);
  const sequelize = openDatabase(config.databaseUrl);
  await oneAtATime(config.databaseUrl, async () => {
    await migrate(sequelize);
    if (config.demo)
      await (await import('./demo/seed.ts')).seedDemo(sequelize, { fresh: process.env['GREEN_BEAM_FRESH'] === '1' });
  });
  const sessionPool = new pg.Pool({ connectionString: config.databaseUrl, max: 6 });
  sessionPool.on('error', (error) => logger.warn({ err: error }, 'a session connection was lost'));
  const events = new ClassEvents(config.databaseUrl, logger);
  await events.start();
  const app = createApp({ config, sequelize, sessionPool, events, logger });
  const server = config.tls
    ? createTlsServer({ key: readFileSync(config.tls.key), cert: readFileSync(config.tls.certificate) }, app)
    : createPlainServer(app);
  server.keepAliveTimeout = KEPT_OPEN;
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(config.port, config.host, resolve));
  const link = config.demo ? null : await offerAdministratorLink();
  if (link)
    process.stdout.write(
      `There is no administrator yet. Open this link once to begin: ${addressOf(config)}${link.path}\n`,
    );
  process.stdout.write(`Green Beam is ready at ${addressOf(config)}\n`);
  prepareInBackground();

  const stop = async (): Promise<void> => {
    server.close();
    server.closeAllConnections();
    await events.stop();
    await sessionPool.end();
    await sequelize.close();
    process.exit(0);
  };
  process.once('SIGTERM', () => void stop());
  process.once('SIGINT', () => void stop());
}

serve().catch((error: unknown) => {
  process.stderr.write(`Green Beam could not start: ${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
