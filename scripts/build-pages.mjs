import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { ROOT, run } from './processes.mjs';

const SOURCES = ['core/src', 'contract/src', 'web/src', 'web/index.html', 'web/vite.config.ts', 'package-lock.json'];

function newest(path) {
  const stat = statSync(path);
  return stat.isDirectory()
    ? Math.max(0, ...readdirSync(path).map((entry) => newest(resolve(path, entry))))
    : stat.mtimeMs;
}

/** Builds the pages when a source is newer than they are; a server that runs meanwhile keeps its files until the new ones are there. */
export function buildPages() {
  const pages = resolve(ROOT, 'web', 'dist');
  const built = resolve(pages, 'index.html');
  if (
    existsSync(built) &&
    statSync(built).mtimeMs > Math.max(...SOURCES.map((source) => newest(resolve(ROOT, source))))
  )
    return;
  console.log('Building the pages …');
  const fresh = `${pages}-${process.pid}`;
  run('npx', ['vite', 'build', '--logLevel', 'warn', '--outDir', fresh, '--emptyOutDir'], {
    cwd: resolve(ROOT, 'web'),
  });
  rmSync(pages, { recursive: true, force: true });
  renameSync(fresh, pages);
}
