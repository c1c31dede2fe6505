import type { RosterResult } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { ask, RefusedError } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { rowsOf } from './roster-rows.ts';

function errorsOf(error: Error | null): RosterResult['errors'] {
  const body = error instanceof RefusedError ? (error.body as Partial<RosterResult> | null) : null;
  return body?.errors ?? [];
}

/** A class list pasted or taken from a CSV file; errors are told row by row and nothing is added until all rows are right. */
export function ImportRoster({ classId }: { readonly classId: string }): ReactNode {
  const id = useId();
  const [text, setText] = useState('');
  const queries = useQueryClient();
  const add = useMutation({
    mutationFn: () => ask<RosterResult>('POST', `/classes/${classId}/students`, { rows: rowsOf(text) }),
    onSuccess: async () => {
      setText('');
      await queries.invalidateQueries({ queryKey: ['class', classId] });
      await queries.invalidateQueries({ queryKey: ['board', classId] });
    },
  });
  const errors = errorsOf(add.error);
  return (
    <div className="mt-2 flex max-w-xl flex-col gap-3">
      <label htmlFor={id}>Paste the list, first name and last name on each line with a comma between, or choose a CSV file.</label>
      <textarea id={id} rows={5} value={text} onChange={(event) => setText(event.target.value)} placeholder={'first name,last name\nIlse,Okafor'} className="border-b-2 border-ink bg-surface p-3 font-mono" />
      <input type="file" accept=".csv,text/csv,text/plain" aria-label="CSV file" className="min-h-11" onChange={(event) => void event.target.files?.[0]?.text().then(setText)} />
      <Button look="plain" className="self-start" disabled={add.isPending || text.trim() === ''} onClick={() => add.mutate()}>
        Add {rowsOf(text).length || ''} to the class
      </Button>
      {add.data && <p role="status" className="text-beam">{add.data.added} added.</p>}
      {add.error && (
        <div role="alert" className="text-slip">
          <p className="font-semibold">{errors.length > 0 ? 'Nothing was added. Mend these rows and send the list again:' : add.error.message}</p>
          <ul className="list-disc pl-5">
            {errors.map((error) => (
              <li key={`${error.row}${error.field}`}>
                Row {error.row}, {error.field === 'lastName' ? 'last name' : 'first name'}: {error.message}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
