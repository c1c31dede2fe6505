import type { RunPage } from '@green-beam/contract';
import { cellInWords, type WorkedRun } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { useToolChoices } from '../cabinet/use-cabinet.ts';
import { CompareWith, comparesWithChosen } from './compare-with.tsx';
import { CurrentPart } from './current-part.tsx';
import type { CellPlace, OnPage } from './on-page.ts';
import type { Parts } from './parts.ts';
import { Questions } from './questions.tsx';
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
  readonly classId: string;
  readonly current: string;
  readonly parts: Parts;
  readonly onPart: (id: string) => void;
  readonly onWrite: OnPage['onWrite'];
}

/** A laboratory with everything that is written and worked out in it. */
export function RunBody({ page, worked, classId, current, parts, onPart, onWrite }: RunBodyProps): ReactNode {
  const cabinet = useToolChoices(classId);
  const [working, setWorking] = useState<CellPlace | null>(null);
  const [adjusting, setAdjusting] = useState<CellPlace | null>(null);
  const [more, setMore] = useState<Readonly<Record<string, number>>>({});
  const plan = useMemo(
    () => planOf(worked.setting, withNext(worked, page.mayWrite, more)),
    [worked, page.mayWrite, more],
  );
  const on: OnPage = { page, run: worked, onWrite, onWorking: setWorking, onAdjust: setAdjusting };
  const adjusted = adjusting && worked.setting.layout.quantities.get(adjusting.quantity);
  return (
    <main className="min-w-0 px-4 py-6 wide:col-start-2 wide:row-span-2 wide:row-start-1 wide:px-9">
      <h1 className="text-2xl font-bold">{page.specimen}</h1>
      <RunRules page={page} classId={classId} />
      <CurrentPart {...on} cabinet={cabinet} current={current} parts={parts} onPart={onPart} />
      {plan.tables.map((table) => (
        <RunTable
          key={table.key}
          {...on}
          plan={table}
          cabinet={cabinet}
          step={current}
          onGrow={(dimension) => setMore((known) => ({ ...known, [dimension]: (known[dimension] ?? 0) + 1 }))}
        />
      ))}
      {plan.single.length > 0 && <SingleCells {...on} quantities={plan.single} cabinet={cabinet} step={current} />}
      {comparesWithChosen(on) && (
        <div className="mt-6">
          <CompareWith {...on} />
        </div>
      )}
      <Results page={page} classId={classId} run={worked} cabinet={cabinet} />
      <Statements {...on} />
      <Questions {...on} />
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
