import type { RunPage } from '@green-beam/contract';
import type { WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { saveAs } from '../../../ui/save-as.ts';
import { runCsv, runFileName, runJson } from './run-file.ts';

/** Saves the page: its numbers as a table, or everything that was written, in its order. */
export function SaveRun({ page, run }: { readonly page: RunPage; readonly run: WorkedRun }): ReactNode {
  return (
    <section className="mt-6" aria-label="Saving the data">
      <p className="text-small font-semibold">Save the data</p>
      <div className="-ml-2 flex flex-wrap">
        <Button look="quiet" onClick={() => saveAs(runFileName(page, 'csv'), `\uFEFF${runCsv(run)}`, 'text/csv')}>
          As a table (CSV)
        </Button>
        <Button look="quiet" onClick={() => saveAs(runFileName(page, 'json'), runJson(page), 'application/json')}>
          With history (JSON)
        </Button>
      </div>
    </section>
  );
}
