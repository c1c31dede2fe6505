import { orSayWhy } from './serve.mjs';
import { backUp, fileFrom, withDatabase } from './stored.mjs';

/** `npm run backup FILE`: writes everything that is stored into a file, while the server runs or while it does not. */
async function backup(args) {
  const { file, cluster } = fileFrom(args);
  await withDatabase(cluster, (url) => backUp(url, file));
  console.log(`Everything that is stored is in ${file}.`);
}

orSayWhy(backup(process.argv.slice(2)));
