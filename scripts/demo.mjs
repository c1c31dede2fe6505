import { orSayWhy, serve } from './serve.mjs';

const GREEN_BEAM_FRESH = process.argv.includes('--fresh') ? '1' : '0';

orSayWhy(serve('demo', { GREEN_BEAM_DEMO: '1', GREEN_BEAM_FRESH, databasePort: null }));
