import { cellInWords, summarise, type ResultFound, type WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { DotStrip } from '../../../charts/dot-strip.tsx';
import { LineChart } from '../../../charts/line-chart.tsx';
import { chartedFor } from './charted.ts';
import { unitText } from '../../../numbers/unit-text.ts';

function unitOf(run: WorkedRun, quantity: string): string {
  const found = run.setting.layout.quantities.get(quantity);
  return found && 'unit' in found ? unitText(found.unit) : '';
}

/** What a result rests on: repeats as dots, points with their line. */
export function Repeats({ run, result }: { readonly run: WorkedRun; readonly result: ResultFound }): ReactNode {
  const charted = chartedFor(run, result.quantity, result.members);
  const strips = charted.filter(({ aggregate }) => aggregate.name === 'mean');
  const lines = charted.filter(({ aggregate }) => aggregate.name === 'slope' && aggregate.rows.length > 2);
  if (charted.length === 0) return null;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      {strips.map((one) => {
        const { rows } = one.aggregate;
        const values = rows.map(({ values: [value = 0] }) => value);
        const { mean, sampleStandardDeviation } = summarise(values);
        const isOwn = one.quantity === result.quantity;
        const cell = run.cellAt(one.quantity, one.members);
        return (
          <DotStrip
            key={one.aggregate.latex}
            title={cellInWords(run.setting, one.quantity, one.members)}
            repeats={rows.map(({ name, numbers: [text = ''] }, i) => ({ name, text, value: values[i] ?? 0 }))}
            mean={mean}
            meanText={cell && 'text' in cell ? cell.text : mean.toPrecision(3)}
            spread={sampleStandardDeviation}
            accepted={isOwn ? (result.comparison?.accepted ?? null) : null}
            unit={unitOf(run, one.quantity)}
          />
        );
      })}
      {lines.map((one) => {
        const formula = run.setting.layout.formulas.get(one.quantity);
        const term = [...(formula?.terms.values() ?? [])].find(({ kind }) => kind === 'aggregate');
        const [up = '', across = ''] = term?.kind === 'aggregate' ? term.of.map(({ tree }) => axisName(run, tree)) : [];
        return (
          <LineChart
            key={one.aggregate.latex}
            title={cellInWords(run.setting, one.quantity, one.members)}
            points={one.aggregate.rows}
            up={up}
            across={across}
          />
        );
      })}
    </div>
  );
}

/** What an axis shows: the quantity with its unit, where it is one. */
function axisName(run: WorkedRun, tree: { readonly kind: string; readonly name?: string }): string {
  const quantity = tree.kind === 'name' ? run.setting.layout.quantities.get(tree.name ?? '') : undefined;
  return quantity && 'unit' in quantity ? `${quantity.name}, ${unitText(quantity.unit)}` : '';
}
