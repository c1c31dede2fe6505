import { readFileSync } from 'node:fs';
import { createServer as createPlainServer } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { createApp } from './app.ts';
import { forgetOld } from './auth/allowances.ts';
import { deleteOutdated } from './classes/removal.ts';
import { readConfig } from './config.ts';
import { openDatabase } from './database.ts';
import { drawingInThreads } from './drawing/drawing.ts';
import { ClassEvents } from './live/class-events.ts';
import { forgetUnanswered } from './lesson/admissions.ts';
import { forgetEnded } from './lesson/covers.ts';
import { renewResults } from './notebook/renew-results.ts';
import { openLog } from './logger.ts';
import { orSayWhy } from './or-say-why.ts';

const logger = openLog(process.env['LOG_LEVEL'] ?? 'warn');

/**
 * How long an idle connection stays open, in ms: longer than a student thinks between two readings, and than reverse proxies keep one,
 * so that no request goes out on a connection that is being closed.
 */
const KEPT_OPEN = 75_000;

/** In ms. */
const TIDY_EVERY = 3_600_000;

/** Forgets what nobody needs any more, and deletes what a school does not want to be kept longer. */
async function tidyUp(log: typeof logger): Promise<void> {
  try {
    await forgetOld();
    await deleteOutdated();
    await forgetUnanswered();
    await forgetEnded();
  } catch (error) {
    log.error({ err: error }, 'tidying up failed; it is tried again later');
  }
}

/** One of the server's processes: answers requests until it is told to stop. */
async function serve(): Promise<void> {
  const config = readConfig(process.env);
  const sequelize = openDatabase(config.databaseUrl, config.connections);
  const events = new ClassEvents(config.databaseUrl, logger);
  await events.start();
  const tidying = setInterval(() => void tidyUp(logger), TIDY_EVERY);
  void tidyUp(logger);
  const drawing = drawingInThreads({ count: config.drawingThreads, prepares: true, logger });
  const app = createApp({ config, sequelize, events, drawing, logger });
  renewResults(drawing).catch((error: unknown) => logger.error({ err: error }, 'results were not worked out anew'));
  const server = config.tls
    ? createTlsServer({ key: readFileSync(config.tls.key), cert: readFileSync(config.tls.certificate) }, app)
    : createPlainServer(app);
  server.keepAliveTimeout = KEPT_OPEN;
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(config.port, config.host, resolve));

  const stop = async (): Promise<void> => {
    clearInterval(tidying);
    server.close();
    server.closeAllConnections();
    await drawing.close();
    await events.stop();
    await sequelize.close();
    process.exit(0);
  };
  process.once('SIGTERM', () => void stop());
  process.once('SIGINT', () => void stop());
}

orSayWhy(serve());
