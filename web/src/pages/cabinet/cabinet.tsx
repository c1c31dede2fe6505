import type { ToolShown } from '@green-beam/contract';
import { instrumentById, SKILLS } from '@green-beam/core';
import { createColumnHelper } from '@tanstack/react-table';
import { useMemo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button, buttonClass } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { SortableTable } from '../../ui/sortable-table.tsx';
import { csvOf } from './cabinet-csv.ts';
import { ImportTools } from './import-tools.tsx';
import { NewToolForm } from './new-tool-form.tsx';
import { StateMark } from './state-mark.tsx';
import { decimalsOf, lastCheckSays, proposedState, signed, STATE_WORDS, toleranceOf } from './tool-words.ts';
import { useCabinet } from './use-cabinet.ts';

const column = createColumnHelper<ToolShown>();
const SAYS = {
  inside: 'inside its limits',
  warning: 'beyond a warning limit',
  action: 'beyond an action limit',
} as const;

function rangeOf({ instrumentId }: ToolShown): string {
  const { range, unit } = instrumentById(instrumentId);
  return `${range[0]} to ${range[1]} ${unit}`.replace('-', '−');
}

function LastCheck({ tool }: { readonly tool: ToolShown }): ReactNode {
  const numerals = useNumerals();
  const last = lastCheckSays(tool);
  if (!last) return <span className="text-muted">–</span>;
  return (
    <span className={last.says === 'inside' ? '' : last.says === 'warning' ? 'text-doubt' : 'text-slip'}>
      <span className="font-mono">{numerals(signed(last.error, decimalsOf(tool.instrumentId)))}</span>{' '}
      <span className="text-small">{SAYS[last.says]}</span>
    </span>
  );
}

function ZeroError({ tool }: { readonly tool: ToolShown }): ReactNode {
  const numerals = useNumerals();
  return tool.zeroError === null ? (
    <span className="text-muted">–</span>
  ) : (
    <span className="font-mono">{numerals(signed(tool.zeroError, decimalsOf(tool.instrumentId)))}</span>
  );
}

/** Whether a tool may be used; where its last check says otherwise, what to do. */
function StateOf({ tool }: { readonly tool: ToolShown }): ReactNode {
  const proposed = proposedState(tool);
  return (
    <>
      <StateMark state={tool.state} />
      {proposed !== null && (
        <Link
          to={`/cabinet/${tool.id}`}
          aria-label={`${tool.code}: should it be ${STATE_WORDS[proposed]}?`}
          className="flex min-h-11 items-center text-small text-slip underline underline-offset-4"
        >
          {STATE_WORDS[proposed]}?
        </Link>
      )}
    </>
  );
}

function useColumns() {
  const numerals = useNumerals();
  return useMemo(
    () => [
      column.accessor('code', {
        header: 'Code',
        cell: ({ row, getValue }) => (
          <Link
            to={`/cabinet/${row.original.id}`}
            className="inline-flex min-h-11 items-center font-mono font-bold whitespace-nowrap underline decoration-hairline decoration-2 underline-offset-4"
          >
            {getValue()}
          </Link>
        ),
      }),
      column.accessor(({ instrumentId }) => SKILLS.findIndex(({ id }) => id === instrumentById(instrumentId).skill), {
        id: 'tool',
        header: 'Tool',
        cell: ({ row }) => (
          <>
            {numerals(instrumentById(row.original.instrumentId).name)}
            {row.original.kind === 'simulated' ? ', simulated' : ''}
          </>
        ),
      }),
      column.accessor(rangeOf, {
        id: 'range',
        header: 'Range',
        enableSorting: false,
        cell: ({ getValue }) => numerals(getValue()),
      }),
      column.accessor(toleranceOf, {
        id: 'tolerance',
        header: 'Tolerance',
        enableSorting: false,
        cell: ({ row, getValue }) => (
          <span className="font-mono">
            {numerals(`±${getValue()} ${instrumentById(row.original.instrumentId).unit}`)}
          </span>
        ),
      }),
      column.accessor('keeper', { header: 'Kept' }),
      column.display({ id: 'zero', header: 'Zero error', cell: ({ row }) => <ZeroError tool={row.original} /> }),
      column.display({ id: 'check', header: 'Last check', cell: ({ row }) => <LastCheck tool={row.original} /> }),
      column.accessor('state', { header: 'State', cell: ({ row }) => <StateOf tool={row.original} /> }),
    ],
    [numerals],
  );
}

function Tools({ tools }: { readonly tools: readonly ToolShown[] }): ReactNode {
  const rows = useMemo(() => [...tools], [tools]);
  return (
    <SortableTable
      rows={rows}
      columns={useColumns()}
      className="min-w-[56rem]"
      cellClass="pr-4"
      rowClass={({ state }) => (state === 'out-of-use' ? 'text-muted' : '')}
    />
  );
}

/** The class’s tools as individuals: what they are, who keeps them, how far they are off, and whether they may be used. */
export default function Cabinet({ classId }: { readonly classId: string | null }): ReactNode {
  const { tools, error } = useCabinet(classId);
  const [open, setOpen] = useState<'tool' | 'list' | null>(null);
  const counts = (Object.keys(STATE_WORDS) as (keyof typeof STATE_WORDS)[]).map(
    (state) => `${tools?.filter((tool) => tool.state === state).length ?? 0} ${STATE_WORDS[state]}`,
  );
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Equipment</h1>
      {error && <Failed error={error} />}
      {!tools && !error && <Loading what="the cabinet" />}
      {tools && classId !== null && (
        <>
          <div className="mt-4 flex flex-wrap items-center gap-3">
            <Button onClick={() => setOpen(open === 'tool' ? null : 'tool')}>Add a tool</Button>
            <Button look="quiet" onClick={() => setOpen(open === 'list' ? null : 'list')}>
              Add a list
            </Button>
            {tools.length > 0 && (
              <Button look="quiet" onClick={() => saveAs('cabinet.csv', `\uFEFF${csvOf(tools)}`, 'text/csv')}>
                Save as CSV
              </Button>
            )}
            {tools.length > 0 && (
              <Link to="/cabinet/which-tool" className={buttonClass('quiet')}>
                Which tool for the job?
              </Link>
            )}
            {tools.length > 0 && <p className="ml-auto text-small text-muted">{counts.join(', ')}</p>}
          </div>
          {open === 'tool' && <NewToolForm classId={classId} onDone={() => setOpen(null)} />}
          {open === 'list' && <ImportTools classId={classId} />}
          {tools.length === 0 ? (
            <p className="mt-8 max-w-prose text-muted">
              There are no tools here yet. Add the calipers, micrometers and balances of your classroom by the codes on
              them. Each tool is off by its own amount, and practice sets and laboratories can then use the very tool.
            </p>
          ) : (
            <Tools tools={tools} />
          )}
        </>
      )}
    </main>
  );
}
