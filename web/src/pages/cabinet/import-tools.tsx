import type { ToolImportResult } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { ask, RefusedError } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { toolRowsOf } from './cabinet-csv.ts';

const FIELD_WORDS: Readonly<Record<string, string>> = { code: 'code', instrumentId: 'tool', kind: 'kind', keeper: 'keeper', tolerance: 'tolerance', state: 'state', zeroError: 'zero error' };

function errorsOf(error: Error | null): ToolImportResult['errors'] {
  const body = error instanceof RefusedError ? (error.body as Partial<ToolImportResult> | null) : null;
  return body?.errors ?? [];
}

/** A list of tools from a CSV file; errors are told row by row and nothing is added until all rows are right. */
export function ImportTools({ classId }: { readonly classId: string }): ReactNode {
  const id = useId();
  const [text, setText] = useState('');
  const queries = useQueryClient();
  const add = useMutation({
    mutationFn: () => ask<ToolImportResult>('POST', `/classes/${classId}/cabinet/list`, { rows: toolRowsOf(text) }),
    onSuccess: async () => {
      setText('');
      await queries.invalidateQueries({ queryKey: ['cabinet', classId] });
    },
  });
  const errors = errorsOf(add.error);
  return (
    <div className="mt-4 flex max-w-2xl flex-col gap-3 border-y border-ink py-5">
      <label htmlFor={id}>Paste the list, or choose a CSV file. Its first line names the columns: code and tool, and what else there is of kind, tolerance, keeper, state, zero error. Tools that are in the cabinet already are left as they are.</label>
      <textarea id={id} rows={4} value={text} onChange={(event) => setText(event.target.value)} placeholder={'code,tool,keeper,zero error\nC-08,caliper-twentieth,bench 8,-0.05'} className="border-b-2 border-ink bg-surface p-3 font-mono" />
      <input type="file" accept=".csv,text/csv,text/plain" aria-label="CSV file" className="min-h-11" onChange={(event) => void event.target.files?.[0]?.text().then(setText)} />
      <Button look="plain" className="self-start" disabled={add.isPending || text.trim() === ''} onClick={() => add.mutate()}>
        Add {toolRowsOf(text).length || ''} to the cabinet
      </Button>
      {add.data && <p role="status" className="text-beam">{add.data.added} added.</p>}
      {add.error && (
        <div role="alert" className="text-slip">
          <p className="font-semibold">{errors.length > 0 ? 'Nothing was added. Mend these rows and send the list again:' : add.error.message}</p>
          <ul className="list-disc pl-5">
            {errors.map((error) => (
              <li key={`${error.row}${error.field}`}>
                Row {error.row}, {FIELD_WORDS[error.field] ?? error.field}: {error.message}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
