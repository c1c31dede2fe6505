import { useMutation } from '@tanstack/react-query';
import { useId, useState, type ReactNode } from 'react';
import { RefusedError } from '../api/request.ts';
import { Button } from './button.tsx';

/** What came of a list: how many were added, or which rows are wrong. */
interface ListResult {
  readonly added: number;
  readonly errors: readonly { readonly row: number; readonly field: string; readonly message: string }[];
}

interface ListImportProps<Row> {
  readonly label: string;
  readonly placeholder: string;
  /** Where the rows go, in words: “the class”. */
  readonly into: string;
  readonly rowsOf: (text: string) => readonly Row[];
  readonly add: (rows: readonly Row[]) => Promise<ListResult>;
  readonly onAdded: () => Promise<unknown>;
  readonly fieldWords: Readonly<Record<string, string>>;
}

function errorsOf(error: Error | null): ListResult['errors'] {
  const body = error instanceof RefusedError ? (error.body as Partial<ListResult> | null) : null;
  return body?.errors ?? [];
}

/** A list pasted or taken from a CSV file; errors are told row by row and nothing is added until all rows are right. */
export function ListImport<Row>({
  label,
  placeholder,
  into,
  rowsOf,
  add,
  onAdded,
  fieldWords,
}: ListImportProps<Row>): ReactNode {
  const id = useId();
  const [text, setText] = useState('');
  const sending = useMutation({
    mutationFn: () => add(rowsOf(text)),
    onSuccess: async () => {
      setText('');
      await onAdded();
    },
  });
  const errors = errorsOf(sending.error);
  return (
    <div className="flex max-w-2xl flex-col gap-3">
      <label htmlFor={id}>{label}</label>
      <textarea
        id={id}
        rows={5}
        value={text}
        onChange={(event) => setText(event.target.value)}
        placeholder={placeholder}
        className="border-b-2 border-ink bg-surface p-3 font-mono"
      />
      <input
        type="file"
        accept=".csv,text/csv,text/plain"
        aria-label="CSV file"
        className="min-h-11"
        onChange={(event) => void event.target.files?.[0]?.text().then(setText)}
      />
      <Button
        look="plain"
        className="self-start"
        disabled={sending.isPending || text.trim() === ''}
        onClick={() => sending.mutate()}
      >
        Add {rowsOf(text).length || ''} to {into}
      </Button>
      {sending.data && (
        <p role="status" className="text-beam">
          {sending.data.added} added.
        </p>
      )}
      {sending.error && (
        <div role="alert" className="text-slip">
          <p className="font-semibold">
            {errors.length > 0
              ? 'Nothing was added. Correct these rows and send the list again:'
              : sending.error.message}
          </p>
          <ul className="list-disc pl-5">
            {errors.map((error) => (
              <li key={`${error.row}${error.field}`}>
                Row {error.row}, {fieldWords[error.field] ?? error.field}: {error.message}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
