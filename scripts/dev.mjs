import { checkNode, installPackages } from './packages.mjs';
import { ownDatabase } from './postgres.mjs';
import { ended, freePort, ROOT, start } from './processes.mjs';
import { orSayWhy, serverEnvironment } from './serve.mjs';

/** For development: the server restarts when its files change, the pages reload in the browser; sample data, its own database. */
async function dev() {
  checkNode();
  installPackages();
  const database = await ownDatabase('dev');
  const port = String(await freePort());
  const server = start(process.execPath, ['--import', 'tsx', '--watch', 'server/src/main.ts'], {
    env: serverEnvironment(database.url, {
      NODE_ENV: 'development',
      GREEN_BEAM_DEMO: '1',
      PORT: port,
      LOG_LEVEL: 'info',
    }),
  });
  const pages = start('npx', ['vite', '--config', 'web/vite.config.ts'], {
    cwd: ROOT,
    env: { ...process.env, API_PORT: port },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.on(signal, () => {
      server.kill('SIGTERM');
      pages.kill('SIGTERM');
    });
  }
  await Promise.all([ended(server), ended(pages)]);
  database.stop();
}

orSayWhy(dev());
