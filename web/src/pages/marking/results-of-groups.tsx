import type { ReportToMark } from '@green-beam/contract';
import type { WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from '../../charts/axis.tsx';
import { ChartFrame } from '../../charts/chart-frame.tsx';
import { useWidth } from '../../charts/use-width.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';

const HEIGHT = 92;
const BASE = 46;

interface ResultsOfGroupsProps {
  readonly report: ReportToMark;
  /** With the student’s own calculations. */
  readonly run: WorkedRun;
  readonly book: WorkedRun;
}

/** The first result of every group on one line: where this report’s lies among them. */
export function ResultsOfGroups({ report, run, book }: ResultsOfGroupsProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(420);
  const [first] = book.results;
  const others = report.others.filter(({ unit, value }) => unit === first?.unit && Number.isFinite(value));
  if (!first || others.length === 0) return null;
  const own = run.results.find(({ name }) => name === first.name);
  const differs = own !== undefined && own.value !== first.value;
  const x = acrossScale([...others.map(({ value }) => value), first.value, ...(own ? [own.value] : [])], width);
  const unit = unitText(first.unit);
  const text = (value: number): string => numerals(String(Number(value.toPrecision(4))));
  return (
    <div className="mt-5">
      <ChartFrame
        title={`${first.name} of all groups`}
        summary={`${others.length + 1} groups. This one: ${numerals(first.text)} ${unit} by the book${differs ? `, ${numerals(own.text)} ${unit} as ${report.label} wrote it` : ''}.`}
        table={{
          headings: ['Group', unit],
          rows: [
            ['This group, by the book', numerals(first.text)],
            ...(differs ? [[report.label, numerals(own.text)]] : []),
            ...others.map(({ specimen, value }, i) => [`${i + 1}: ${specimen}`, text(value)]),
          ],
        }}
        width={width}
        height={HEIGHT}
        frame={ref}
      >
        {others.map(({ runId, value }) => (
          <circle
            key={runId}
            cx={x(value)}
            cy={BASE - 12}
            r="5"
            fill="none"
            stroke="var(--color-muted)"
            strokeWidth="1.5"
          />
        ))}
        <circle cx={x(first.value)} cy={BASE - 12} r="6" fill="var(--color-ink)" />
        {differs && <path d={`M${x(own.value)} ${BASE - 22}l7 10l-7 10l-7 -10Z`} fill="var(--color-doubt)" />}
        <BottomAxis scale={x} y={BASE} label={unit} />
      </ChartFrame>
      <p className="text-small text-muted" aria-hidden="true">
        <span className="text-ink">●</span> this group, by the book
        {differs && (
          <>
            {' '}
            <span className="ml-3 text-doubt">◆</span> {report.label}
          </>
        )}{' '}
        <span className="ml-3">○</span> other groups
      </p>
    </div>
  );
}
