import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { PointedAt } from './pointed-at.tsx';
import { useWidth } from './use-width.ts';

const HEIGHT = 132;
const BASE = 88;
/** Dots that would lie on each other stand above each other; in pixels. */
const DOT = 10;
/** More than so many are ticks on the line: dots would stand higher than the strip. */
const MANY = 120;
const TICK = 26;

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
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(420);
  const values = repeats.map(({ value }) => value);
  const s = spread ?? 0;
  const x = acrossScale([...values, mean - s, mean + s, ...(accepted ? [accepted.least, accepted.most] : [])], width);
  const at = values.map((value) => x(value));
  const isMany = repeats.length > MANY;
  const heights = isMany ? at.map(() => BASE - TICK / 2) : levels(at).map((level) => BASE - 7 - level * DOT);
  const points = repeats.map(({ name, text }, i) => ({
    x: at[i] ?? 0,
    y: heights[i] ?? 0,
    text: `${name}: ${numerals(text)} ${unit}`,
  }));
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
            fill="var(--color-band)"
          />
          <text
            x={Math.min(x(accepted.most) + 6, width - 8)}
            y="20"
            textAnchor={x(accepted.most) + 100 > width ? 'end' : 'start'}
            fill="var(--color-beam)"
          >
            {accepted.name.toLowerCase()}
          </text>
        </>
      )}
      {spread !== null && (
        <path
          d={`M${x(mean - s)} 28v8m0 -4H${x(mean + s)}m0 -4v8`}
          stroke="var(--color-ink)"
          strokeWidth="2"
          fill="none"
        />
      )}
      <path d={`M${x(mean)} 24l6 8l-6 8l-6 -8Z`} />
      {isMany ? (
        <path
          d={at.map((cx) => `M${cx.toFixed(1)} ${BASE - TICK}V${BASE}`).join('')}
          stroke="var(--color-ink)"
          strokeWidth="1.5"
          strokeOpacity="0.6"
        />
      ) : (
        at.map((cx, i) => <circle key={i} cx={cx} cy={heights[i]} r="4.5" fillOpacity="0.8" />)
      )}
      <BottomAxis scale={x} y={BASE} label={unit} />
      <PointedAt points={points} width={width} height={HEIGHT} />
    </ChartFrame>
  );
}
