import { proofread, TableError, type HouseRules, type Proofread } from '@green-beam/core';
import type { News } from '../../../ui/use-worker.ts';

/** A table to be read, with what somebody has said where it does not decide. */
export interface ProofreadOrder {
  readonly table: readonly (readonly string[])[];
  readonly rules: HouseRules;
  readonly answers: Readonly<Record<string, string>>;
}

self.addEventListener('message', ({ data: { table, rules, answers } }: MessageEvent<ProofreadOrder>) => {
  const tell = (news: News<Proofread>): void => self.postMessage(news);
  try {
    tell({ kind: 'done', outcome: proofread(table, { rules, answers }) });
  } catch (error) {
    tell({
      kind: 'failed',
      message:
        error instanceof TableError
          ? error.message.replace(/^table: /, '')
          : 'The table could not be read. Load the page again; it is kept in this tab.',
    });
  }
});
