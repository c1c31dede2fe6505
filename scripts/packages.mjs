import { existsSync, readFileSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { ask, ROOT, run } from './processes.mjs';

const isRoot = process.getuid?.() === 0;
const FIRST_VERSION = 20;

/** Says clearly when Node.js is too old. */
export function checkNode() {
  const [major = 0] = process.versions.node.split('.').map(Number);
  if (major < FIRST_VERSION)
    throw new Error(`Node.js ${FIRST_VERSION} or later is needed; this is ${process.version}.`);
}

/** Installs the npm packages when they are missing or older than the lock file. */
export function installPackages() {
  const installed = resolve(ROOT, 'node_modules', '.package-lock.json');
  const lock = resolve(ROOT, 'package-lock.json');
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs && sameVersions(installed, lock))
    return;
  console.log('Installing the npm packages named in package-lock.json …');
  run('npm', ['ci', '--no-audit', '--no-fund']);
}

function sameVersions(installed, lock) {
  const versions = (file) =>
    Object.entries(JSON.parse(readFileSync(file, 'utf8')).packages).filter(
      ([path, entry]) => path.startsWith('node_modules/') && !entry.link && !entry.optional,
    );
  const present = new Map(versions(installed).map(([path, { version }]) => [path, version]));
  return versions(lock).every(([path, { version }]) => present.get(path) === version);
}

/** Installs a Debian package through apt-get, saying so first. */
function installDebian(packages, purpose) {
  const list = packages.join(' ');
  if (!isRoot)
    throw new Error(
      `${purpose} is needed and not on this machine. Install it (apt-get install ${list}) and start again, or start as root.`,
    );
  console.log(`${purpose} is not on this machine; installing ${list} with apt-get …`);
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env: environment, stdio: ['ignore', 'ignore', 'inherit'] });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], {
    env: environment,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

/** Folder of the newest PostgreSQL server programs, installing them when there are none. */
export function postgresPrograms() {
  const found = newestPostgres();
  if (found) return found;
  installDebian(['postgresql'], 'A PostgreSQL server');
  const installed = newestPostgres();
  if (!installed) throw new Error('PostgreSQL was installed but initdb is not under /usr/lib/postgresql.');
  return installed;
}

function newestPostgres() {
  const { stdout } = ask('sh', ['-c', 'ls -d /usr/lib/postgresql/*/bin/initdb 2>/dev/null | sort -V | tail -1']);
  return stdout.trim() ? resolve(stdout.trim(), '..') : null;
}

/** Makes sure that printed pages can be looked into. */
export function pdfPrograms() {
  const present = () =>
    ask('sh', ['-c', 'command -v pdftotext && command -v pdftoppm && command -v pdfinfo']).status === 0;
  if (!present()) installDebian(['poppler-utils'], 'A reader for PDF pages');
  if (!present()) throw new Error('poppler-utils was installed but pdftotext is not on the PATH.');
}

/** Installs Chromium without windows, which is smaller and starts sooner, or where a release has none, Chromium itself. */
function installChromium() {
  try {
    installDebian(['chromium-headless-shell'], 'Chromium');
  } catch {
    installDebian(['chromium'], 'Chromium');
  }
}

/** Path of a Chromium, installing one when there is none. */
export function chromiumPath() {
  const find = () =>
    ask('sh', [
      '-c',
      'command -v chromium-headless-shell || command -v chromium || command -v chromium-browser',
    ]).stdout.trim();
  if (!find()) installChromium();
  const path = find();
  if (!path) throw new Error('Chromium was installed but is not on the PATH.');
  return path;
}
