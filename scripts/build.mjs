import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { ROOT, run } from './processes.mjs';

const SHARED = ['core/src', 'contract/src', 'package-lock.json'];

/** What is built: where it lies, what it is made of, and the file that is there once it is built. */
const PARTS = [
  { name: 'pages', folder: 'web', sources: ['web/src', 'web/index.html', 'web/vite.config.ts'], built: 'index.html' },
  { name: 'server', folder: 'server', sources: ['server/src', 'server/vite.config.ts'], built: 'main.js' },
];

function newest(path) {
  const stat = statSync(path);
  return stat.isDirectory()
    ? Math.max(0, ...readdirSync(path).map((entry) => newest(resolve(path, entry))))
    : stat.mtimeMs;
}

function isUpToDate(built, sources) {
  return (
    existsSync(built) && statSync(built).mtimeMs > Math.max(...sources.map((source) => newest(resolve(ROOT, source))))
  );
}

function buildPart({ name, folder, sources, built }) {
  const output = resolve(ROOT, folder, 'dist');
  if (isUpToDate(resolve(output, built), [...SHARED, ...sources])) return;
  console.log(`Building the ${name} …`);
  const fresh = `${output}-${process.pid}`;
  run('npx', ['vite', 'build', '--logLevel', 'warn', '--outDir', fresh, '--emptyOutDir'], {
    cwd: resolve(ROOT, folder),
  });
  rmSync(output, { recursive: true, force: true });
  renameSync(fresh, output);
}

/** Builds the pages and the server where a source is newer than they are; a server that runs meanwhile keeps its files until the new ones are there. */
export function build() {
  PARTS.forEach(buildPart);
}
