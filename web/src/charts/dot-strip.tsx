import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const HEIGHT = 132;
const BASE = 88;
/** Dots that would lie on each other stand above each other; in pixels. */
const DOT = 10;

/** What a result is measured against. */
export interface AcceptedRange {
  readonly name: string;
  readonly least: number;
  readonly most: number;
}

interface DotStripProps {
  readonly title: string;
  readonly repeats: readonly { readonly name: string; readonly text: string; readonly value: number }[];
  readonly mean: number;
  readonly meanText: string;
  /** Sample standard deviation; null where one value has none. */
  readonly spread: number | null;
  readonly accepted: AcceptedRange | null;
  readonly unit: string;
}

/** How many dots lie under each, where they would cover one another. */
function levels(xs: readonly number[]): number[] {
  return xs.map((x, i) => xs.slice(0, i).filter((other) => Math.abs(other - x) < DOT).length);
}

/** Repeats as dots, their mean with the spread of one value above, and the accepted range behind. */
export function DotStrip({ title, repeats, mean, meanText, spread, accepted, unit }: DotStripProps): ReactNode {
  const { ref, width } = useWidth<HTMLElement>(420);
  const values = repeats.map(({ value }) => value);
  const s = spread ?? 0;
  const x = acrossScale([...values, mean - s, mean + s, ...(accepted ? [accepted.least, accepted.most] : [])], width);
  const at = values.map((value) => x(value));
  const level = levels(at);
  const summary = `${repeats.length} ${repeats.length === 1 ? 'value' : 'values'}, mean ${meanText} ${unit}${
    spread === null ? '' : `, standard deviation ${spread.toPrecision(2)} ${unit}`
  }${accepted ? `, ${accepted.name.toLowerCase()} ${accepted.least}${accepted.least === accepted.most ? '' : ` to ${accepted.most}`}` : ''}.`;
  return (
    <ChartFrame
      title={title}
      summary={summary}
      table={{ headings: ['', unit], rows: repeats.map(({ name, text }) => [name, text]) }}
      width={width}
      height={HEIGHT}
      frame={ref}
    >
      {accepted && (
        <>
          <rect
            x={x(accepted.least)}
            width={Math.max(3, x(accepted.most) - x(accepted.least))}
            y="8"
            height={BASE - 8}
            fill="#cfe5da"
          />
          <text
            x={Math.min(x(accepted.most) + 6, width - 8)}
            y="20"
            textAnchor={x(accepted.most) + 100 > width ? 'end' : 'start'}
            fill="#0a7f50"
          >
            {accepted.name.toLowerCase()}
          </text>
        </>
      )}
      {spread !== null && (
        <path d={`M${x(mean - s)} 28v8m0 -4H${x(mean + s)}m0 -4v8`} stroke="#13251f" strokeWidth="2" fill="none" />
      )}
      <path d={`M${x(mean)} 24l6 8l-6 8l-6 -8Z`} />
      {at.map((cx, i) => (
        <circle key={i} cx={cx} cy={BASE - 7 - (level[i] ?? 0) * DOT} r="4.5" fillOpacity="0.8" />
      ))}
      <BottomAxis scale={x} y={BASE} label={unit} />
    </ChartFrame>
  );
}
