import { useId, useState, type DragEvent, type ReactNode } from 'react';
import { rowsOfText } from '../../../tables/text-rows.ts';
import { rowsOfWorkbook } from '../../../tables/workbook-rows.ts';
import { Button } from '../../../ui/button.tsx';
import { FileChoice } from '../../../ui/file-choice.tsx';
import { useDraft } from '../../../ui/use-draft.ts';

/** Larger files are not opened, in bytes. */
const LARGEST_FILE = 5_000_000;

const EXAMPLE = `Trial\tMass / g\tBefore / mL\tAfter / mL\tVolume / mL\tDensity / g/mL
1\t24.31\t18.6\t21.4\t2.8\t8.7
2\t24.29\t19.0\t21.8\t2.8\t8.7
3\t24.33\t20.2\t22.9\t2.5\t9.7
4\t24.3\t18.8\t21.6\t2.8\t8.68
5\t24.30\t19.4\t22.1\t2.7\t9`;

interface PasteTableProps {
  readonly onTable: (table: readonly (readonly string[])[]) => void;
}

/** A table is pasted, dropped or opened; what was pasted stays in the field until it could be read. */
export function PasteTable({ onTable }: PasteTableProps): ReactNode {
  const id = useId();
  const [text, setText] = useDraft('table to check', '');
  const [refused, setRefused] = useState<string | null>(null);
  const [isOver, setOver] = useState(false);
  const take = (found: { readonly rows: readonly (readonly string[])[] } | { readonly refused: string }): void => {
    if ('refused' in found) {
      setRefused(found.refused);
      return;
    }
    setRefused(null);
    onTable(found.rows);
  };
  const open = async (file: File): Promise<void> => {
    if (file.size > LARGEST_FILE)
      take({
        refused: `“${file.name}” has ${(file.size / 1e6).toFixed(0)} million bytes. A file with a table has at most 5 million.`,
      });
    else if (/\.xlsx$/i.test(file.name)) take(await rowsOfWorkbook(file));
    else if (/\.(xls|ods|numbers|pdf|png|jpe?g|heic|docx?)$/i.test(file.name))
      take({
        refused: `“${file.name}” cannot be read here. Save the table as .xlsx or .csv, or copy its cells and paste them.`,
      });
    else take(rowsOfText(await file.text()));
  };
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (file) void open(file);
  };
  return (
    <form
      className="mt-4"
      onSubmit={(event) => {
        event.preventDefault();
        take(rowsOfText(text));
      }}
    >
      <label htmlFor={id} className="font-semibold">
        Copy the cells in your spreadsheet, and paste them here
      </label>
      <textarea
        id={id}
        rows={9}
        value={text}
        spellCheck={false}
        aria-invalid={refused !== null}
        aria-describedby={refused === null ? undefined : `${id}-refused`}
        className={`mt-1 block w-full border-b-2 bg-surface p-3 font-mono whitespace-pre ${isOver ? 'border-beam bg-wash' : 'border-ink'}`}
        onChange={(event) => setText(event.target.value)}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
      />
      {refused !== null && (
        <p id={`${id}-refused`} role="alert" className="mt-1 text-slip">
          {refused}
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-x-6 gap-y-3">
        <Button type="submit" disabled={text.trim() === ''}>
          Check it
        </Button>
        <FileChoice
          label="or open a file"
          accept=".csv,.tsv,.txt,.xlsx,text/csv,text/plain"
          onFile={(file) => void open(file)}
        />
        <Button
          look="quiet"
          onClick={() => {
            setText(EXAMPLE);
            take(rowsOfText(EXAMPLE));
          }}
        >
          Try an example
        </Button>
      </div>
    </form>
  );
}
