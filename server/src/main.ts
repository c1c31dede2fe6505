import { offerAdministratorLink } from './auth/first-administrator.ts';
import { readConfig, type Config } from './config.ts';
import { openDatabase } from './database.ts';
import { migrate, oneAtATime } from './migrate.ts';
import { orSayWhy } from './or-say-why.ts';
import { superviseProcesses } from './processes.ts';

function addressOf({ tls, host, port }: Config): string {
  return `${tls ? 'https' : 'http'}://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`;
}

/** What is done once, before anybody is served. @returns what to tell whoever started it. */
async function begin(config: Config): Promise<string> {
  const sequelize = openDatabase(config.databaseUrl, 2, 'long work');
  try {
    await oneAtATime(config.databaseUrl, async () => {
      await migrate(sequelize);
      if (config.demo)
        await (await import('./demo/seed.ts')).seedDemo(sequelize, { fresh: process.env['GREEN_BEAM_FRESH'] === '1' });
    });
    const link = config.demo ? null : await offerAdministratorLink();
    return link
      ? `There is no administrator yet. Open this link once to begin: ${addressOf(config)}${link.path}\n`
      : '';
  } finally {
    await sequelize.close();
  }
}

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const told = await begin(config);
  await superviseProcesses(config.processes);
  process.stdout.write(`${told}Green Beam is ready at ${addressOf(config)}\n`);
}

orSayWhy(main());
