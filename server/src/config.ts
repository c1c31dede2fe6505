import { availableParallelism } from 'node:os';

/** Settings, read once from the environment. */
export interface Config {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  /** One-click demonstration sign-in; only `npm run demo` sets it. */
  readonly demo: boolean;
  readonly sessionSecret: string;
  /** Sent over TLS only; on where a certificate or a proxy with one stands in front. */
  readonly secureCookies: boolean;
  /** How many proxies stand in front, for the address of a request. */
  readonly proxies: number;
  readonly tls: { readonly key: string; readonly certificate: string } | null;
  /** Server processes on this machine: one on each core but one, which the database has. */
  readonly processes: number;
  /** Connections to the database that each of them may hold for requests; one more hears of events. */
  readonly connections: number;
  /** Threads in each of them that draw rounds: as many as there are cores that no process has. */
  readonly drawingThreads: number;
  /** Folder of the built pages. */
  readonly pages: string;
}

function required(name: string, value: string | undefined): string {
  if (!value) throw new Error(`${name} is not set; start with npm start, npm run demo or npm run dev.`);
  return value;
}

/** In bytes: what is shorter can be guessed by who has seen a signed cookie. */
const SHORTEST_SECRET = 32;

function secret(value: string): string {
  const length = Buffer.byteLength(value);
  if (length < SHORTEST_SECRET)
    throw new Error(`SESSION_SECRET: that is ${length} bytes; it has at least ${SHORTEST_SECRET}, chosen by chance.`);
  return value;
}

function wholeNumber(name: string, value: string | undefined, otherwise: number): number {
  const number = value === undefined || value === '' ? otherwise : Number(value);
  if (!Number.isInteger(number) || number < 0 || number > 65535)
    throw new Error(`${name}: “${String(value)}” is not a whole number from 0 to 65535.`);
  return number;
}

/** Connections that all processes together may hold; PostgreSQL allows 100 unless it is told otherwise. */
const CONNECTIONS = 80;
/** More than so many bring one process nothing. */
const MOST = 16;

function share(processes: number, connections: number): number {
  const each = Math.floor(connections / processes) - 1;
  if (each < 1)
    throw new Error(`DATABASE_CONNECTIONS: ${connections} are too few for ${processes} processes, which need 2 each.`);
  return Math.min(MOST, each);
}

export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const { TLS_KEY: key, TLS_CERT: certificate } = environment;
  const tls = key && certificate ? { key, certificate } : null;
  const proxies = wholeNumber('PROXIES', environment['PROXIES'], 0);
  const cores = availableParallelism();
  const processes = Math.max(1, wholeNumber('PROCESSES', environment['PROCESSES'], cores - 1));
  return {
    databaseUrl: required('DATABASE_URL', environment['DATABASE_URL']),
    host: environment['HOST'] ?? '127.0.0.1',
    port: wholeNumber('PORT', environment['PORT'], 4710),
    demo: environment['GREEN_BEAM_DEMO'] === '1',
    sessionSecret: secret(required('SESSION_SECRET', environment['SESSION_SECRET'])),
    secureCookies: tls !== null || proxies > 0,
    proxies,
    tls,
    processes,
    connections: share(
      processes,
      wholeNumber('DATABASE_CONNECTIONS', environment['DATABASE_CONNECTIONS'], CONNECTIONS),
    ),
    drawingThreads: Math.max(1, Math.round(cores / processes) - 1),
    pages: required('GREEN_BEAM_PAGES', environment['GREEN_BEAM_PAGES']),
  };
}
