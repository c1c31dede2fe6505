import type { RunPage } from '@green-beam/contract';
import { cellInWords, OwnWork, type WorkedRun } from '@green-beam/core';
import { Fragment, useMemo, useRef, useState, type ReactNode } from 'react';
import { useToolChoices } from '../cabinet/use-cabinet.ts';
import { CompareWith, comparesWithChosen } from './compare-with.tsx';
import { CurrentPart } from './current-part.tsx';
import { mayEnter, type CellPlace, type OnPage, type Seen } from './on-page.ts';
import { Calculate } from './own/calculate.tsx';
import { isRevealed } from './own/reveal.ts';
import { WhoseWork } from './own/whose-work.tsx';
import type { Parts } from './parts.ts';
import { Questions } from './questions.tsx';
import { ComeBack } from './report/come-back.tsx';
import { ReportParts } from './report/report-parts.tsx';
import { Results } from './results/results.tsx';
import { RunRules } from './run-rules.tsx';
import { Statements } from './statements.tsx';
import { Adjust } from './tables/adjust.tsx';
import { RunTable } from './tables/run-table.tsx';
import { SingleCells } from './tables/single-cells.tsx';
import { growing, placeOf, planOf, type TablePlan } from './tables/table-plan.ts';
import { WorkingSheet } from './working-sheet.tsx';

/** How many members of the growing dimensions are shown beyond those of the run: one more where every row is begun. */
function withNext(run: WorkedRun, mayWrite: boolean, more: Readonly<Record<string, number>>): Record<string, number> {
  const grown: Record<string, number> = { ...more };
  if (!mayWrite) return grown;
  for (const table of planOf(run.setting).tables) {
    const [dimension] = growing(run.setting, table);
    if (dimension && table.dimensions.length === 1 && isFull(run, table))
      grown[dimension.id] = Math.max(1, grown[dimension.id] ?? 0);
  }
  return grown;
}

function isFull(run: WorkedRun, { rows, columns }: TablePlan): boolean {
  return rows.every((row) =>
    columns.some((column) => {
      const kind = run.cellAt(column.quantity.id, placeOf(column, row))?.kind;
      return kind === 'entry' || kind === 'unusable';
    }),
  );
}

interface RunBodyProps {
  readonly page: RunPage;
  readonly worked: WorkedRun;
  readonly book: WorkedRun | null;
  readonly author: string;
  readonly as: Seen;
  readonly onAuthor: (personId: string) => void;
  readonly classId: string;
  readonly current: string;
  readonly parts: Parts;
  readonly onPart: (id: string) => void;
  readonly onWrite: OnPage['onWrite'];
  /** Whether a report is written of it. */
  readonly hasReport?: boolean;
}

/** A laboratory with everything that is written and worked out in it. */
export function RunBody(props: RunBodyProps): ReactNode {
  const {
    page,
    worked,
    book,
    author,
    as,
    onAuthor,
    classId,
    current,
    parts,
    onPart,
    onWrite,
    hasReport = true,
  } = props;
  const cabinet = useToolChoices(classId);
  const [working, setWorking] = useState<CellPlace | null>(null);
  const [adjusting, setAdjusting] = useState<CellPlace | null>(null);
  const [more, setMore] = useState<Readonly<Record<string, number>>>({});
  const plan = useMemo(() => planOf(worked.setting, withNext(worked, mayEnter(page), more)), [worked, page, more]);
  const [opened, setOpened] = useState<CellPlace | null>(null);
  const ownWork = useMemo(() => new OwnWork(worked), [worked]);
  const on: OnPage = {
    page,
    run: worked,
    ownWork,
    author,
    book,
    onWrite,
    onWorking: setWorking,
    onAdjust: setAdjusting,
    opened,
    onOpen: setOpened,
  };
  // Half a calculation waits while somebody looks at another cell.
  const drafts = useRef(new Map<string, string>());
  const calculate = (has: (quantity: string) => boolean): ReactNode => {
    if (!opened || !has(opened.quantity)) return null;
    const key = `${author} ${JSON.stringify(opened)}`;
    return (
      <Calculate
        key={key}
        {...on}
        place={opened}
        draft={drafts.current.get(key) ?? null}
        onDraft={(text) => (text === null ? drafts.current.delete(key) : drafts.current.set(key, text))}
      />
    );
  };
  const revealed = isRevealed(page, { run: worked, own: ownWork, as, author });
  const adjusted = adjusting && worked.setting.layout.quantities.get(adjusting.quantity);
  // A layer of its own: what is drawn above it, as a cell being written, does not draw it again.
  return (
    <main className="isolate min-w-0 px-4 py-6 wide:col-start-2 wide:row-span-2 wide:row-start-1 wide:px-9">
      <h1 className="text-2xl font-bold">{page.specimen}</h1>
      <RunRules page={page} classId={classId} />
      <ComeBack page={page} run={worked} author={author} />
      {as === 'teacher' && <WhoseWork page={page} author={author} onChoose={onAuthor} />}
      <CurrentPart {...on} cabinet={cabinet} current={current} parts={parts} onPart={onPart} />
      {plan.tables.map((table) => (
        <Fragment key={table.key}>
          <RunTable
            {...on}
            plan={table}
            cabinet={cabinet}
            step={current}
            onGrow={(dimension) => setMore((known) => ({ ...known, [dimension]: (known[dimension] ?? 0) + 1 }))}
          />
          {calculate((id) => table.columns.some(({ quantity }) => quantity.id === id))}
        </Fragment>
      ))}
      {plan.single.length > 0 && <SingleCells {...on} quantities={plan.single} cabinet={cabinet} step={current} />}
      {calculate((id) => plan.single.some((quantity) => quantity.id === id))}
      {revealed && comparesWithChosen(on) && (
        <div className="mt-6">
          <CompareWith {...on} />
        </div>
      )}
      <Results page={page} classId={classId} run={worked} book={book} revealed={revealed} cabinet={cabinet} />
      <Statements {...on} />
      <Questions {...on} />
      {hasReport && <ReportParts {...on} />}
      {working && <WorkingSheet run={worked} place={working} onClose={() => setWorking(null)} />}
      {adjusting && adjusted && 'unit' in adjusted && (
        <Adjust
          {...on}
          place={adjusting}
          label={cellInWords(worked.setting, adjusting.quantity, adjusting.members)}
          unit={adjusted.unit}
          onClose={() => setAdjusting(null)}
        />
      )}
    </main>
  );
}
