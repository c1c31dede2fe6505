import type { PooledValue } from '@green-beam/core';
import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from '../../charts/axis.tsx';
import { ChartFrame } from '../../charts/chart-frame.tsx';
import { useWidth } from '../../charts/use-width.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { rounded } from './in-words.ts';
import { acceptedByAll, type ComparedResult } from './result-rows.ts';

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
}

/** Every group’s result under each other on one scale, from the lowest to the highest, and all together at the foot. */
export function GroupStrip({ compared, together, textOf }: GroupStripProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLElement>(620);
  const { rows, name } = compared;
  const accepted = acceptedByAll(compared);
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
      frame={ref}
    >
      {accepted && (
        <rect
          x={x(accepted.least)}
          y={TOP - 8}
          width={Math.max(2, x(accepted.most) - x(accepted.least))}
          height={foot - TOP + 8}
          fill="#cfe5da"
        />
      )}
      {rows.map(({ group, result, standard }, i) => {
        const y = TOP + i * step + step / 2;
        const isApart = apart.has(group.letter);
        const colour = isApart ? '#9a5b00' : group.isOwn ? '#0a7f50' : '#13251f';
        const at = x(result.value);
        return (
          <g key={group.letter} stroke={colour} fill={colour}>
            {standard !== null && (
              <path d={`M${x(result.value - 2 * standard)} ${y}H${x(result.value + 2 * standard)}`} strokeWidth="2" />
            )}
            {isApart ? (
              <path d={`M${at - 5} ${y - 5}h10v10h-10Z`} fill="#f6f6f1" strokeWidth="2.5" />
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
          fill="#0a7f50"
          stroke="#0a7f50"
        />
      )}
      <BottomAxis scale={x} y={foot} label={unit} />
    </ChartFrame>
  );
}
