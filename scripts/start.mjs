import { orSayWhy, serve } from './serve.mjs';

orSayWhy(serve('installation', { GREEN_BEAM_DEMO: '0' }));
