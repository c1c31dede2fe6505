import type { ReportQueue } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { GRADEBOOK_COLUMNS, gradebookCsv, type GradebookColumn } from './gradebook.ts';

/** Saves the marks of a class as a table, with the columns that are chosen. */
export function GradebookSave({ queue }: { readonly queue: ReportQueue }): ReactNode {
  const [columns, setColumns] = useState<readonly GradebookColumn[]>(GRADEBOOK_COLUMNS.map(([id]) => id));
  const marked = queue.reports.filter(({ marking }) => marking.isDone).length;
  return (
    <div className="mt-3 max-w-2xl">
      <fieldset>
        <legend className="text-small font-semibold">Columns</legend>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))]">
          {GRADEBOOK_COLUMNS.map(([id, name]) => (
            <label key={id} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-beam"
                checked={columns.includes(id)}
                onChange={(event) =>
                  setColumns(event.target.checked ? [...columns, id] : columns.filter((one) => one !== id))
                }
              />
              {name}
            </label>
          ))}
        </div>
      </fieldset>
      <Button
        look="plain"
        className="mt-3"
        disabled={marked === 0 || columns.length === 0}
        onClick={() =>
          saveAs('gradebook.csv', `\uFEFF${gradebookCsv(queue.reports, queue.rubric, columns)}`, 'text/csv')
        }
      >
        Save the gradebook ({marked} marked)
      </Button>
    </div>
  );
}
