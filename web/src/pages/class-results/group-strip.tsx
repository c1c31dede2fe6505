import type { PooledValue } from '@green-beam/core';
import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from '../../charts/axis.tsx';
import { ChartFrame } from '../../charts/chart-frame.tsx';
import { PointedAt } from '../../charts/pointed-at.tsx';
import { useWidth } from '../../charts/use-width.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { rounded } from './in-words.ts';
import type { ComparedResult } from './result-rows.ts';

const ROW = 26;
/** Of many groups each has less room. */
const NARROW_ROW = 13;
const MANY = 18;
const TOP = 14;
const FOOT = 48;

interface GroupStripProps {
  readonly compared: ComparedResult;
  readonly together: PooledValue | null;
  /** A value as it is written. */
  readonly textOf: (value: number) => string;
  /** What it is drawn against; null for nothing. */
  readonly accepted: { readonly least: number; readonly most: number } | null;
  /** How many times larger than on a desk. */
  readonly scale?: number;
}

/** Every group’s result under each other on one scale, from the lowest to the highest, and all together at the foot. */
export function GroupStrip({ compared, together, textOf, accepted, scale = 1 }: GroupStripProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width: seen } = useWidth<HTMLElement>(620);
  const width = seen / scale;
  const { rows, name } = compared;
  const unit = unitText(compared.unit);
  const reach = rows.flatMap(({ result, standard }) => [
    result.value - 2 * (standard ?? 0),
    result.value + 2 * (standard ?? 0),
  ]);
  const x = acrossScale([...reach, ...(accepted ? [accepted.least, accepted.most] : [])], width);
  const step = rows.length > MANY ? NARROW_ROW : ROW;
  const foot = TOP + rows.length * step + (together ? ROW : 0);
  const apart = new Set(together?.disagreeing);
  const summary = `${rows.length} ${rows.length === 1 ? 'group' : 'groups'}, from ${numerals(textOf(rows[0]?.result.value ?? 0))} to ${numerals(textOf(rows.at(-1)?.result.value ?? 0))} ${unit}.`;
  return (
    <ChartFrame
      title={`${name} of all groups`}
      summary={summary}
      table={{
        headings: ['Group', unit, '± two standard uncertainties'],
        rows: rows.map(({ group, result, standard }) => [
          group.letter,
          numerals(textOf(result.value)),
          standard === null ? 'not known' : numerals(rounded(2 * standard)),
        ]),
      }}
      width={width}
      height={foot + FOOT}
      scale={scale}
      frame={ref}
    >
      {accepted &&
        (accepted.least === accepted.most ? (
          <path d={`M${x(accepted.least)} ${TOP - 8}V${foot}`} stroke="var(--color-beam)" strokeWidth="2" />
        ) : (
          <rect
            x={x(accepted.least)}
            y={TOP - 8}
            width={Math.max(2, x(accepted.most) - x(accepted.least))}
            height={foot - TOP + 8}
            fill="var(--color-band)"
          />
        ))}
      {rows.map(({ group, result, standard }, i) => {
        const y = TOP + i * step + step / 2;
        const isApart = apart.has(group.letter);
        const colour = isApart ? 'var(--color-doubt)' : group.isOwn ? 'var(--color-beam)' : 'var(--color-ink)';
        const at = x(result.value);
        return (
          <g key={group.letter} stroke={colour} fill={colour}>
            {standard !== null && (
              <path d={`M${x(result.value - 2 * standard)} ${y}H${x(result.value + 2 * standard)}`} strokeWidth="2" />
            )}
            {isApart ? (
              <path d={`M${at - 5} ${y - 5}h10v10h-10Z`} fill="var(--color-paper)" strokeWidth="2.5" />
            ) : (
              <circle cx={at} cy={y} r="4.5" />
            )}
            {step === ROW && (
              <text x={2} y={y} dy="0.35em" stroke="none">
                {group.letter}
                {group.isOwn && ' (yours)'}
              </text>
            )}
          </g>
        );
      })}
      {together && (
        <path
          d={`M${x(together.value - 2 * together.standard)} ${foot - ROW / 2}L${x(together.value)} ${foot - ROW / 2 - 7}L${x(together.value + 2 * together.standard)} ${foot - ROW / 2}L${x(together.value)} ${foot - ROW / 2 + 7}Z`}
          fill="var(--color-beam)"
          stroke="var(--color-beam)"
        />
      )}
      <BottomAxis scale={x} y={foot} label={unit} />
      <PointedAt
        points={rows.map(({ group, result, standard }, i) => ({
          x: x(result.value),
          y: TOP + i * step + step / 2,
          text: `${group.letter}: ${numerals(textOf(result.value))}${standard === null ? '' : ` ± ${numerals(textOf(2 * standard))}`} ${unit}`,
        }))}
        width={width}
        height={foot}
      />
    </ChartFrame>
  );
}
