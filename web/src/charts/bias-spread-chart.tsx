import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { scaleOver, BottomAxis, LeftAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { namesBeside } from './names-beside.ts';
import { useWidth } from './use-width.ts';

const HEIGHT = 420;
const LEFT = 64;
const RIGHT = 90;
const TOP = 34;
const FOOT = 58;

/** A tool on two axes: how far it is off, and how it scatters. */
export interface BiasAndSpread {
  readonly key: string;
  readonly name: string;
  /** Mean error. */
  readonly bias: number;
  /** Half a 95 % interval of it; null where none is known. */
  readonly half: number | null;
  /** Standard deviation of one reading; null of a single one. */
  readonly spread: number | null;
}

interface BiasSpreadChartProps {
  readonly marks: readonly BiasAndSpread[];
  readonly chosen: string;
  /** Where one of them can be chosen. */
  readonly onChoose?: (key: string) => void;
  /** What the maker of the chosen tool allows to either side; null where that is not known. */
  readonly tolerance: number | null;
  readonly unit: string;
  /** A number as it is written. */
  readonly textOf: (value: number) => string;
  /** How many times larger than on a desk. */
  readonly scale?: number;
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly reachesBeyond: boolean;
}

/** The box of a tolerance, as far as it lies in the picture. */
function boxOf(
  from: number,
  to: number,
  high: number,
  { left, right, top }: { readonly left: number; readonly right: number; readonly top: number },
): Box {
  const x = Math.max(left, from);
  return {
    x,
    y: Math.max(top, high),
    width: Math.max(2, Math.min(right, to) - x),
    reachesBeyond: from < left || high < top,
  };
}

/**
 * One mark a tool: to the side by how far it is off, upward by how it scatters. The box of the chosen tool is where its maker’s tolerance
 * holds for nearly every reading: off by no more than it, and with twice its scatter within it.
 */
export function BiasSpreadChart({
  marks,
  chosen,
  onChoose,
  tolerance,
  unit,
  textOf,
  scale = 1,
}: BiasSpreadChartProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width: seen } = useWidth<HTMLElement>(620);
  const width = seen / scale;
  const base = HEIGHT - FOOT;
  // The marks decide how large all is drawn: a wide tolerance reaches beyond the picture, and would press them together.
  const reach = Math.max(...marks.map(({ bias, half }) => Math.abs(bias) + (half ?? 0)), Number.MIN_VALUE) * 1.25;
  const x = scaleOver([-reach, reach], LEFT, Math.max(LEFT + 60, width - RIGHT));
  const highest = Math.max(...marks.map(({ spread }) => spread ?? 0), Number.MIN_VALUE) * 1.15;
  const y = scaleLinear().domain([0, highest]).nice(5).range([base, TOP]);
  const [[left = 0, right = 0], top] = [x.range(), y.range()[1] ?? 0];
  const names = namesBeside(
    marks.map(({ name, bias, half, spread }) => ({
      name,
      from: x(bias - (half ?? 0)) - 6,
      to: x(bias + (half ?? 0)) + 6,
      y: y(spread ?? 0),
    })),
    { left, right: width, top: top - 16, bottom: base },
  );
  const box = tolerance === null ? null : boxOf(x(-tolerance), x(tolerance), y(tolerance / 2), { left, right, top });
  const summary = marks
    .map(
      ({ name, bias, spread }) =>
        `${name}: off by ${textOf(bias)} ${unit}${spread === null ? ', read once' : `, scatter ${textOf(spread)} ${unit}`}`,
    )
    .join('; ');
  return (
    <ChartFrame
      title="How accurate, and how precise"
      summary={`${summary}.`}
      table={{
        headings: ['Tool', `mean error, ${unit}`, `standard deviation, ${unit}`],
        rows: marks.map(({ name, bias, spread }) => [
          name,
          textOf(bias),
          spread === null ? 'read once' : textOf(spread),
        ]),
      }}
      width={width}
      height={HEIGHT}
      scale={scale}
      frame={ref}
    >
      {box && (
        <>
          <rect x={box.x} y={box.y} width={box.width} height={base - box.y} fill="var(--color-band)" />
          <text x={box.reachesBeyond ? left + 6 : box.x + 6} y={box.y + 16} fill="var(--color-beam)">
            {box.reachesBeyond ? 'its tolerance reaches beyond' : 'within its tolerance'}
          </text>
        </>
      )}
      <path d={`M${x(0)} ${TOP - 10}V${base}`} stroke="var(--color-beam)" strokeWidth="2" />
      {marks.map(({ key, name, bias, half, spread }, i) => {
        const [cx, cy] = [x(bias), y(spread ?? 0)];
        const isChosen = key === chosen;
        const at = names[i];
        return (
          <g
            key={key}
            onClick={() => onChoose?.(key)}
            className={onChoose && 'cursor-pointer'}
            fill={isChosen ? 'var(--color-beam)' : 'var(--color-ink)'}
            stroke={isChosen ? 'var(--color-beam)' : 'var(--color-ink)'}
          >
            {half !== null && (
              <path
                d={`M${x(bias - half)} ${cy}H${x(bias + half)}m0 -4v8M${x(bias - half)} ${cy - 4}v8`}
                strokeWidth="1.6"
              />
            )}
            {spread === null ? (
              <path d={`M${cx} ${cy - 9}l7 9h-14Z`} fill="var(--color-paper)" strokeWidth="2" />
            ) : (
              <circle cx={cx} cy={cy} r="7" stroke="none" />
            )}
            <text
              x={at?.x ?? cx}
              y={at?.y ?? cy}
              dy="0.35em"
              textAnchor={at?.anchor ?? 'start'}
              stroke="none"
              fontWeight={isChosen ? 700 : 400}
            >
              {numerals(name)}
            </text>
          </g>
        );
      })}
      <LeftAxis scale={y} x={LEFT} label={`standard deviation, ${unit}: how precise`} />
      <BottomAxis scale={x} y={base} label={`mean error, ${unit}: how accurate`} />
    </ChartFrame>
  );
}
