import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { ROOT } from './processes.mjs';
import { orSayWhy } from './serve.mjs';
import { backUp, fileFrom, restoreFrom, withDatabase } from './stored.mjs';

/** `npm run restore FILE`: puts what a backup holds in the place of what is stored, all of it or nothing. What was there is kept in a file. */
async function restore(args) {
  const { file, cluster } = fileFrom(args);
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  const before = resolve(ROOT, '.local', 'backups', `before-${new Date().toISOString().replaceAll(':', '-')}.backup`);
  await withDatabase(cluster, (url) => {
    backUp(url, before);
    restoreFrom(url, file);
  });
  console.log(`${file} is restored. What was stored before is in ${before}. Start the server anew.`);
}

orSayWhy(restore(process.argv.slice(2)));
