import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { postgresPrograms } from './packages.mjs';
import { ask, freePort, ROOT } from './processes.mjs';

const isRoot = process.getuid?.() === 0;
const LOCAL = resolve(ROOT, '.local');

/** PostgreSQL refuses to run as root, so its programs run as the user `postgres` then. */
function asOwner(program, args) {
  return isRoot ? ask('runuser', ['-u', 'postgres', '--', program, ...args], { cwd: '/' }) : ask(program, args);
}

function must(result, what) {
  if (result.status !== 0) throw new Error(`${what} failed:\n${result.stderr || result.stdout}`);
}

/** A root-owned checkout may lie in a folder that `postgres` cannot enter; the cluster then lives under /var/tmp, named after it. */
function clusterFolder(name) {
  const inside = resolve(LOCAL, 'postgres', name);
  mkdirSync(resolve(LOCAL, 'postgres'), { recursive: true });
  if (!isRoot) return inside;
  const reachable =
    ask('runuser', ['-u', 'postgres', '--', 'test', '-x', resolve(LOCAL, 'postgres')], { cwd: '/' }).status === 0;
  return reachable ? inside : resolve('/var/tmp', `green-beam${ROOT.replaceAll('/', '-')}`, name);
}

function createCluster(programs, data) {
  mkdirSync(data, { recursive: true });
  if (isRoot) {
    ask('chown', ['-R', 'postgres', data]);
  }
  chmodSync(data, 0o700);
  must(
    asOwner(`${programs}/initdb`, [
      '-D',
      data,
      '-U',
      'green_beam',
      '--auth=trust',
      '--encoding=UTF8',
      '--locale=C.UTF-8',
      '--no-sync',
    ]),
    'initdb',
  );
}

/** The port a running cluster says it listens on, or null. */
function runningPort(programs, data) {
  if (asOwner(`${programs}/pg_ctl`, ['-D', data, 'status']).status !== 0) return null;
  const [, , , port] = readFileSync(resolve(data, 'postmaster.pid'), 'utf8').split('\n');
  return Number(port) || null;
}

async function startCluster(programs, data, wanted) {
  const port = wanted ?? (await freePort());
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=100 -c log_min_messages=fatal -c default_toast_compression=lz4`;
  must(
    asOwner(`${programs}/pg_ctl`, [
      '-D',
      data,
      '-w',
      '-t',
      '60',
      '-l',
      resolve(data, 'server.log'),
      '-o',
      options,
      'start',
    ]),
    'Starting PostgreSQL',
  );
  return port;
}

/** True while somebody else is connected: another demo, say, that shares the cluster. */
function inUse(programs, url) {
  const { stdout } = ask(`${programs}/psql`, [
    '-d',
    url,
    '-Atc',
    "select count(*) from pg_stat_activity where backend_type = 'client backend' and pid <> pg_backend_pid()",
  ]);
  return Number(stdout.trim()) > 0;
}

function databaseExists(programs, port, database) {
  const { stdout } = ask(`${programs}/psql`, [
    '-h',
    '127.0.0.1',
    '-p',
    String(port),
    '-U',
    'green_beam',
    '-d',
    'postgres',
    '-Atc',
    `select 1 from pg_database where datname = '${database}'`,
  ]);
  return stdout.trim() === '1';
}

/**
 * The project's own PostgreSQL on loopback: created on first use, started when it is not running, and stopped by whoever leaves last.
 * A given DATABASE_URL is used instead.
 * @param name each purpose has a cluster of its own, so that the demo and the tests can run side by side.
 */
export async function ownDatabase(name) {
  if (process.env.DATABASE_URL)
    return { url: process.env.DATABASE_URL, stop: () => undefined, interrupt: null, resume: null };
  const programs = postgresPrograms();
  const data = clusterFolder(name);
  if (!existsSync(resolve(data, 'PG_VERSION'))) createCluster(programs, data);
  const already = runningPort(programs, data);
  const port = already ?? (await startCluster(programs, data));
  if (!databaseExists(programs, port, 'green_beam')) {
    must(
      ask(`${programs}/createdb`, ['-h', '127.0.0.1', '-p', String(port), '-U', 'green_beam', 'green_beam']),
      'createdb',
    );
  }
  const url = `postgres://green_beam@127.0.0.1:${port}/green_beam`;
  const control = (...args) => asOwner(`${programs}/pg_ctl`, ['-D', data, '-w', ...args]);
  return {
    url,
    stop: () => {
      if (!inUse(programs, url)) control('-m', 'fast', 'stop');
    },
    /** For tests of what happens when the database goes away and comes back on the same port. */
    interrupt: () => must(control('-m', 'immediate', 'stop'), 'Stopping PostgreSQL'),
    resume: () => startCluster(programs, data, port),
  };
}

/** Makes a cluster as another is that is not running, with all that is in it. */
export function copyCluster(from, to) {
  mkdirSync(resolve(clusterFolder(to), '..'), { recursive: true });
  must(ask('cp', ['-a', clusterFolder(from), clusterFolder(to)]), 'Copying a database');
}

/** Removes a cluster that is not running. */
export function removeCluster(name) {
  rmSync(clusterFolder(name), { recursive: true, force: true });
}

/** A secret of this installation for signing session cookies, made on first use and kept out of the tree. */
export function sessionSecret() {
  if (process.env.SESSION_SECRET) return process.env.SESSION_SECRET;
  const file = resolve(LOCAL, 'session-secret');
  if (!existsSync(file)) {
    mkdirSync(LOCAL, { recursive: true });
    writeFileSync(file, Buffer.from(crypto.getRandomValues(new Uint8Array(32))).toString('base64url'), { mode: 0o600 });
  }
  return readFileSync(file, 'utf8').trim();
}
