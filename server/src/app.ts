import { randomBytes } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import sirv from 'sirv';
import type { Sequelize } from 'sequelize';
import { csrf, sessions } from './auth/sessions.ts';
import type { Config } from './config.ts';
import { heldUp } from './held-up.ts';
import type { Drawing } from './drawing/drawing.ts';
import type { ClassEvents } from './live/class-events.ts';
import { LARGEST_IMPORT, plainJson } from './plain-json.ts';
import { notFound, refusalHandler } from './refusal.ts';
import { benchRoutes } from './routes/bench.ts';
import { cabinetRoutes } from './routes/cabinet.ts';
import { classRoutes } from './routes/classes.ts';
import { lessonRoutes } from './routes/lesson.ts';
import { lessonPlanRoutes } from './routes/lesson-plans.ts';
import { liveRoutes } from './routes/live.ts';
import { notebookRoutes } from './routes/notebook.ts';
import { labSheetRoutes } from './routes/lab-sheets.ts';
import { classResultsRoutes } from './routes/class-results.ts';
import { openingRoutes } from './routes/openings.ts';
import { reportRoutes } from './routes/reports.ts';
import { rulesRoutes } from './routes/rules.ts';
import { schoolRoutes } from './routes/school.ts';
import { setRoundRoutes } from './routes/set-rounds.ts';
import { shelfRoutes } from './routes/shelf.ts';
import { sheetRoutes } from './routes/sheets.ts';
import { sessionRoutes } from './routes/session.ts';
import { tapeRoutes } from './routes/tapes.ts';
import { togetherRoutes } from './routes/together.ts';

/** What the application is made of. */
export interface Parts {
  readonly config: Config;
  readonly sequelize: Sequelize;
  readonly events: ClassEvents;
  readonly drawing: Drawing;
  readonly logger: Logger;
}

/** In seconds. */
const A_YEAR = 365 * 24 * 3600;

const NONCES = new WeakMap<ServerResponse, string>();

/** A fresh nonce for each answer, the same in its header and its page. */
function nonceOf(response: ServerResponse): string {
  const nonce = NONCES.get(response) ?? randomBytes(16).toString('base64');
  NONCES.set(response, nonce);
  return nonce;
}

const styleNonce = (_request: unknown, response: ServerResponse): string => `'nonce-${nonceOf(response)}'`;

const contentSecurityPolicy = (secure: boolean) => ({
  useDefaults: false,
  directives: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    // React and KaTeX position things with style attributes; a style element is let in by its nonce only.
    styleSrc: ["'self'", styleNonce],
    styleSrcAttr: ["'unsafe-inline'"],
    imgSrc: ["'self'", 'data:'],
    fontSrc: ["'self'"],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
    ...(secure ? { upgradeInsecureRequests: [] } : {}),
  },
});

/** Reads what is sent. A laboratory with its whole history may be larger than anything else. */
function bodies(): express.RequestHandler {
  const usual = express.Router().use(express.json({ limit: '300kb' }), plainJson());
  const large = express.Router().use(express.json({ limit: '2mb' }), plainJson(LARGEST_IMPORT));
  return (request, response, next) =>
    (/^\/classes\/[^/]+\/runs\/import$/.test(request.path) ? large : usual)(request, response, next);
}

function api(parts: Parts): express.Router {
  const { config, sequelize, events, drawing } = parts;
  const { protection, tokenFor } = csrf(config);
  const routes = express.Router();

  routes.get('/health', async (_request, response) => {
    await sequelize.query('select 1');
    response.json({ ok: true, delay: heldUp() });
  });

  routes.use(bodies(), cookieParser(), sessions(config, sequelize), protection);
  routes.use((_request, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  routes.use(
    sessionRoutes(config, tokenFor),
    classRoutes(sequelize, drawing),
    schoolRoutes(),
    rulesRoutes(),
    setRoundRoutes(drawing),
    cabinetRoutes(),
    sheetRoutes(drawing),
    benchRoutes(drawing),
    shelfRoutes(),
    notebookRoutes(drawing),
    openingRoutes(drawing),
    classResultsRoutes(),
    labSheetRoutes(drawing),
    reportRoutes(sequelize),
    tapeRoutes(),
    lessonRoutes(),
    lessonPlanRoutes(),
    togetherRoutes(),
    liveRoutes(events),
  );
  routes.use(() => {
    throw notFound();
  });
  routes.use(refusalHandler(parts.logger));
  return routes;
}

/** Puts the application together: security headers, the interface under /api, and the built pages. */
export function createApp(parts: Parts): Express {
  const { config } = parts;
  const app = express();
  app.set('trust proxy', config.proxies);
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: contentSecurityPolicy(config.secureCookies),
      strictTransportSecurity: config.secureCookies,
      crossOriginOpenerPolicy: config.secureCookies ? { policy: 'same-origin' } : false,
      originAgentCluster: config.secureCookies,
    }),
  );
  // What is written anew for every answer is compressed at little cost.
  app.use(compression({ level: 1 }));
  app.use('/api', api(parts));
  const assets = join(config.pages, 'assets');
  // The build has compressed them already.
  app.use(
    '/assets',
    sirv(assets, { brotli: true, gzip: true, immutable: true, maxAge: A_YEAR }),
    (_request, response) => {
      response.status(404).end();
    },
  );
  app.use(express.static(config.pages, { index: false, maxAge: 0 }));
  app.get('/{*path}', async (_request, response) => {
    const page = await readFile(join(config.pages, 'index.html'), 'utf8');
    response
      .set('cache-control', 'no-store')
      .type('html')
      .send(page.replace('STYLE_NONCE', nonceOf(response)));
  });
  return app;
}
