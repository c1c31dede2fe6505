import { bootstrap, seededRandom, summarise, type Bootstrapped } from '@green-beam/core';
import type { News } from '../../ui/use-worker.ts';

/** Results whose mean is drawn again so many times. */
export interface RedrawOrder {
  readonly values: readonly number[];
  readonly draws: number;
  readonly seed: number;
}

function tell(news: News<Bootstrapped>): void {
  self.postMessage(news);
}

self.addEventListener('message', ({ data: { values, draws, seed } }: MessageEvent<RedrawOrder>) => {
  try {
    const outcome = bootstrap(values, (drawn) => summarise(drawn).mean, seededRandom(seed), {
      draws,
      onProgress: (done) => tell({ kind: 'progress', done }),
    });
    tell({ kind: 'done', outcome });
  } catch {
    tell({ kind: 'failed', message: 'The groups could not be drawn again. Load the page again.' });
  }
});
