import {
  addressKey,
  entriesFrom,
  usesFrom,
  type ColumnUse,
  type ReadTable,
  type Setting,
  type TableFault,
} from '@green-beam/core';
import { useEffect, useId, useMemo, useState, type ReactNode } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { decoded, type Decoded } from '../../../ui/decoded.ts';
import { Dialog } from '../../../ui/dialog.tsx';
import { FileChoice } from '../../../ui/file-choice.tsx';
import type { Written } from '../use-run.ts';
import { keyOfUse, usesOf } from './column-uses.ts';
import { LARGEST_TABLE } from '../../../tables/text-rows.ts';
import { handedTable } from '../../../tables/handed-table.ts';
import { readTable } from './read-table.ts';

/** So many rows are shown, and so many faults. */
const SHOWN = 8;
const TOLD = 20;

interface PreviewProps {
  readonly setting: Setting;
  readonly table: ReadTable;
  readonly uses: readonly ColumnUse[];
  readonly onUse: (column: number, use: ColumnUse) => void;
}

/** The beginning of the table, and above each column what it is. */
function Preview({ setting, table, uses, onUse }: PreviewProps): ReactNode {
  const choices = useMemo(() => usesOf(setting), [setting]);
  return (
    <div className="shrink-0 overflow-x-auto">
      <table className="border-collapse text-small">
        <thead>
          <tr>
            <td className="pr-2 text-muted">Row</td>
            {table.headings.map((heading, column) => (
              <th key={column} scope="col" className="border-b border-ink p-1 text-left align-bottom">
                {heading || `Column ${column + 1}`}
                <select
                  aria-label={`What ${heading || `column ${column + 1}`} is`}
                  value={keyOfUse(uses[column] ?? { kind: 'nothing' })}
                  onChange={(event) =>
                    onUse(column, choices.find(({ key }) => key === event.target.value)?.use ?? { kind: 'nothing' })
                  }
                  className="mt-1 block min-h-11 max-w-44 border-b-2 border-ink bg-surface px-1 font-normal"
                >
                  <option value="">not taken in</option>
                  {choices.map(({ key, name }) => (
                    <option key={key} value={key}>
                      {name}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.slice(0, SHOWN).map((row, i) => (
            <tr key={i}>
              <th scope="row" className="pr-2 text-left font-normal text-muted">
                {table.firstRow + i}
              </th>
              {table.headings.map((_, column) => (
                <td
                  key={column}
                  className={`border-b border-hairline p-1 font-mono ${uses[column]?.kind === 'nothing' ? 'text-muted' : ''}`}
                >
                  {row[column]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.rows.length > SHOWN && (
        <p className="mt-1 text-small text-muted">and {table.rows.length - SHOWN} more rows</p>
      )}
    </div>
  );
}

function Faults({ faults }: { readonly faults: readonly TableFault[] }): ReactNode {
  if (faults.length === 0) return null;
  return (
    <div role="alert" className="border-l-[3px] border-slip pl-4">
      <p className="font-bold text-slip">
        {faults.length === 1 ? 'One cell cannot be taken in' : `${faults.length} cells cannot be taken in`}
      </p>
      <ul className="text-small">
        {faults.slice(0, TOLD).map(({ row, column, reason }) => (
          <li key={`${row} ${column}`}>
            Row {row}, column {column}: {reason}
          </li>
        ))}
      </ul>
      {faults.length > TOLD && <p className="text-small text-muted">and {faults.length - TOLD} more</p>}
    </div>
  );
}

/** Entries that are not there yet, and those that would correct what is. */
function sorted(
  setting: Setting,
  entries: readonly Written[],
): { readonly fresh: readonly Written[]; readonly others: readonly Written[] } {
  const standing = ({ address }: Written): string => setting.slots.get(addressKey(address))?.current.text.trim() ?? '';
  return {
    fresh: entries.filter((entry) => standing(entry) === ''),
    others: entries.filter((entry) => standing(entry) !== '' && standing(entry) !== entry.text),
  };
}

interface TakeTableProps {
  readonly setting: Setting;
  readonly onTake: (entries: readonly Written[], reason: string | null) => void;
}

function Mapping({
  setting,
  table,
  onTake,
}: {
  readonly setting: Setting;
  readonly table: ReadTable;
  readonly onTake: TakeTableProps['onTake'];
}): ReactNode {
  const [uses, setUses] = useState(() => usesFrom(setting, table.headings));
  const [corrects, setCorrects] = useState(false);
  const { entries, faults } = useMemo(() => entriesFrom(setting, table, uses), [setting, table, uses]);
  const { fresh, others } = sorted(setting, entries);
  const wanted = corrects ? [...fresh, ...others] : fresh;
  return (
    <>
      <Preview
        setting={setting}
        table={table}
        uses={uses}
        onUse={(column, use) => setUses(uses.map((one, i) => (i === column ? use : one)))}
      />
      <Faults faults={faults} />
      {others.length > 0 && (
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 shrink-0 accent-beam"
            checked={corrects}
            onChange={(event) => setCorrects(event.target.checked)}
          />
          {others.length === 1
            ? 'One place has something else already: strike it through and correct it.'
            : `${others.length} places have something else already: strike it through and correct it.`}
        </label>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <Button disabled={wanted.length === 0} onClick={() => onTake(wanted, corrects ? 'from a table' : null)}>
          {wanted.length === 1 ? 'Take in one value' : `Take in ${wanted.length} values`}
        </Button>
        {entries.length > 0 && wanted.length === 0 && (
          <p className="text-muted">{others.length > 0 ? 'Nothing else is new.' : 'They are all there already.'}</p>
        )}
        {entries.length === 0 && faults.length === 0 && <p className="text-muted">Say above what each column is.</p>}
      </div>
    </>
  );
}

/** Takes readings into the page from a table: pasted, or from a file in whatever encoding. */
export function TakeTable({ setting, onTake }: TakeTableProps): ReactNode {
  const id = useId();
  const handed = handedTable(useLocation().state);
  const navigate = useNavigate();
  // It is handed over once: a page that is loaded again is not asked to take it in again.
  useEffect(() => {
    if (handed !== '') void navigate('.', { replace: true, state: null });
  }, [handed, navigate]);
  const [open, setOpen] = useState(handed !== '');
  const [text, setText] = useState(handed);
  const [encoding, setEncoding] = useState<Decoded['encoding'] | null>(null);
  const [headed, setHeaded] = useState<boolean | undefined>(undefined);
  const [tooLarge, setTooLarge] = useState<string | null>(null);
  const read = useMemo(() => (text.trim() === '' ? null : readTable(text, headed)), [text, headed]);
  const begin = (written: string, from: Decoded['encoding'] | null): void => {
    setTooLarge(null);
    setText(written);
    setEncoding(from);
    setHeaded(undefined);
  };
  const take = async (file: File): Promise<void> => {
    if (file.size > 2 * LARGEST_TABLE) {
      setTooLarge(`This file has ${Math.ceil(file.size / 1e6)} MB. A table of readings has at most 4 MB.`);
      return;
    }
    const { text: written, encoding: from } = decoded(new Uint8Array(await file.arrayBuffer()));
    begin(written, from);
  };
  const refused = tooLarge ?? (read && 'refused' in read ? read.refused : null);
  return (
    <div className="-ml-2">
      <Button look="quiet" onClick={() => setOpen(true)}>
        Take in a table (CSV)
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Take in a table" isWide>
        <label htmlFor={id}>
          Paste it here, or choose a file. Cells can be parted by commas, semicolons or tabs; decimal points and commas
          are both understood.
        </label>
        <textarea
          id={id}
          rows={4}
          value={text}
          onChange={(event) => begin(event.target.value, null)}
          placeholder={'Trial; Dry mass (g)\n1; 54,31'}
          className="border-b-2 border-ink bg-surface p-3 font-mono text-small"
        />
        <FileChoice
          label="A file with a table"
          accept=".csv,.tsv,.txt,text/csv,text/plain,text/tab-separated-values"
          onFile={(file) => void take(file)}
        />
        {refused !== null && (
          <p role="alert" className="text-slip">
            {refused}
          </p>
        )}
        {read && 'table' in read && tooLarge === null && (
          <>
            <div className="flex flex-wrap items-center gap-x-6">
              <label className="flex min-h-11 items-center gap-3">
                <input
                  type="checkbox"
                  className="size-5 shrink-0 accent-beam"
                  checked={read.table.headings.some((heading) => heading !== '')}
                  onChange={(event) => setHeaded(event.target.checked)}
                />
                The first row has the headings
              </label>
              <p className="text-small text-muted">
                Parted by {read.parted}
                {encoding !== null && `, ${encoding}`}.
              </p>
            </div>
            <Mapping
              key={`${text.length} ${String(headed)} ${text.slice(0, 200)}`}
              setting={setting}
              table={read.table}
              onTake={(entries, reason) => {
                onTake(entries, reason);
                begin('', null);
                setOpen(false);
              }}
            />
          </>
        )}
      </Dialog>
    </div>
  );
}
