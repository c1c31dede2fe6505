import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { ROOT } from './processes.mjs';

const LOCAL = resolve(ROOT, '.local');

/** 32 bytes by chance, as text. */
export function newSecret() {
  return Buffer.from(crypto.getRandomValues(new Uint8Array(32))).toString('base64url');
}

/** Writes what nobody else on the machine may read. */
export function writeSecret(file, text) {
  mkdirSync(dirname(file), { recursive: true });
  // The mode holds for new files only.
  rmSync(file, { force: true });
  writeFileSync(file, text, { mode: 0o600 });
}

/** A secret of this installation for signing session cookies, made on first use and kept out of the tree. */
export function sessionSecret() {
  if (process.env.SESSION_SECRET) return process.env.SESSION_SECRET;
  const file = resolve(LOCAL, 'session-secret');
  if (!existsSync(file)) writeSecret(file, newSecret());
  return readFileSync(file, 'utf8').trim();
}

const passwordsFile = (cluster) => resolve(LOCAL, 'database-passwords', `${cluster}.json`);

/**
 * The passwords of a cluster of PostgreSQL: `owner` is for these scripts alone, `server` for the server’s own role.
 * @returns null where none have been made yet.
 */
export function databasePasswords(cluster) {
  const file = passwordsFile(cluster);
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null;
}

export function keepDatabasePasswords(cluster, passwords) {
  writeSecret(passwordsFile(cluster), JSON.stringify(passwords));
}

export function forgetDatabasePasswords(cluster) {
  rmSync(passwordsFile(cluster), { force: true });
}
