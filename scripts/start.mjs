import { orSayWhy, serve } from './serve.mjs';

/** The database comes back where the server looks for it. */
const DATABASE_PORT = 4711;

orSayWhy(serve('installation', { GREEN_BEAM_DEMO: '0', databasePort: DATABASE_PORT }));
