import { mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { postgresPrograms } from './packages.mjs';
import { ownDatabase } from './postgres.mjs';
import { ask } from './processes.mjs';

/** The file named on the command line, and whose data: of the installation, unless `--demo` is there too. */
export function fileFrom(args) {
  const [file, ...more] = args.filter((arg) => arg !== '--demo');
  if (!file || more.length > 0) throw new Error('Name one file, such as: npm run backup school.backup');
  return { file: resolve(file), cluster: args.includes('--demo') ? 'demo' : 'installation' };
}

/** Hands over the database of an installation, which runs or is started for this; DATABASE_URL goes before. */
export async function withDatabase(cluster, work) {
  const database = await ownDatabase(cluster);
  try {
    return await work(database.url);
  } finally {
    database.stop();
  }
}

/** Runs one of PostgreSQL's programs on a database; the password stands in the environment, where no list of processes shows it. */
function onDatabase(program, url, args) {
  const { username, password, hostname, port, pathname } = new URL(url);
  const at = ['-h', hostname, '-p', port || '5432', '-U', decodeURIComponent(username), '-d', pathname.slice(1)];
  const { status, stderr } = ask(`${postgresPrograms()}/${program}`, [...at, '--no-password', ...args], {
    env: { ...process.env, PGPASSWORD: decodeURIComponent(password) },
  });
  if (status !== 0) throw new Error(`${program} failed:\n${stderr}`);
}

/** Writes what is stored at one moment into a file, which is there whole or not at all. */
export function backUp(url, file) {
  const unfinished = `${file}.unfinished`;
  mkdirSync(dirname(file), { recursive: true });
  try {
    onDatabase('pg_dump', url, ['--format=custom', '--no-owner', '--no-privileges', `--file=${unfinished}`]);
    renameSync(unfinished, file);
  } finally {
    rmSync(unfinished, { force: true });
  }
}

/** Puts what a file holds in the place of what is stored, in one transaction. */
export function restoreFrom(url, file) {
  onDatabase('pg_restore', url, [
    ...['--clean', '--if-exists', '--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error'],
    file,
  ]);
}
