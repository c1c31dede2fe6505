import { orSayWhy, serve } from './serve.mjs';

orSayWhy(serve('demo', { GREEN_BEAM_DEMO: '1', GREEN_BEAM_FRESH: process.argv.includes('--fresh') ? '1' : '0' }));
