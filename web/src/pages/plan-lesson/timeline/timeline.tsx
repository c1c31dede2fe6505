import type { RealTime } from '@green-beam/contract';
import { moved, planConflicts, problemOf, type Lesson, type PlannedStep } from '@green-beam/core';
import { range } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { useMemo, useState, type ReactNode } from 'react';
import { useWidth } from '../../../charts/use-width.ts';
import { clockAt } from '../lesson-draft.ts';
import { rowsByGroup, rowsByTool, type Block } from './rows.ts';
import { HANDS, StepBlock, WAITING } from './step-block.tsx';

/** In pixels. */
const ROW = 42;
const TOP = 26;
const BOTTOM = 30;
/** Room for half of a time of day at either end. */
const SIDE = 24;
/** A minute is at least so wide: a long lesson on a phone is scrolled. */
const LEAST_PER_MINUTE = 8;

/** A step of a group. */
export interface StepAt {
  readonly group: number;
  readonly step: string;
}

interface TimelineProps {
  readonly lesson: Lesson;
  readonly plan: readonly PlannedStep[];
  readonly by: 'group' | 'tool';
  readonly begins: string;
  /** How long the lesson is. */
  readonly minutes: number;
  /** How it went. */
  readonly real: readonly RealTime[];
  /** Minutes since the lesson began; null where it does not run. */
  readonly now: number | null;
  readonly selected: StepAt | null;
  readonly onSelect: (at: StepAt) => void;
  readonly onMove: (at: StepAt, start: number) => void;
}

/** What is chosen lies over what it stands against. */
function inFront(blocks: readonly Block[], selected: StepAt | null): readonly Block[] {
  const isSelected = ({ planned }: Block): boolean =>
    planned.group === selected?.group && planned.step === selected.step;
  return [...blocks.filter((block) => !isSelected(block)), ...blocks.filter(isSelected)];
}

/** Who does what when, on lines that can be changed by dragging. */
export function Timeline({
  lesson,
  plan,
  by,
  begins,
  minutes,
  real,
  now,
  selected,
  onSelect,
  onMove,
}: TimelineProps): ReactNode {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const [dragged, setDragged] = useState<(StepAt & { readonly start: number }) | null>(null);
  const problem = useMemo(() => problemOf(lesson), [lesson]);
  const shown = dragged ? moved(problem, plan, dragged) : plan;
  const conflicts = planConflicts(problem, shown);
  const inConflict = new Set(
    conflicts.flatMap(({ group, step, against }) => [`${group} ${step}`, `${against.group} ${against.step}`]),
  );
  const rows = by === 'group' ? rowsByGroup(lesson, shown) : rowsByTool(lesson, shown);
  const last = Math.max(minutes, ...shown.map(({ end }) => end), ...real.map(({ to }) => Math.ceil(to)));
  const across = Math.max(width, last * LEAST_PER_MINUTE + 2 * SIDE);
  const x = scaleLinear()
    .domain([0, last])
    .range([SIDE, across - SIDE]);
  const perMinute = x(1) - x(0);
  const height = TOP + rows.length * ROW + BOTTOM;
  const drag = ({ planned }: Block, by: number, isOver: boolean): void => {
    const at = plan.find(({ group, step }) => group === planned.group && step === planned.step);
    if (!at) return;
    const { group, step } = at;
    setDragged(isOver ? null : { group, step, start: at.start + by });
    if (isOver && by !== 0) onMove({ group, step }, at.start + by);
  };
  return (
    <div className="flex">
      <ul aria-hidden className="w-20 shrink-0 sm:w-28" style={{ paddingTop: TOP }}>
        {rows.map(({ key, name }) => (
          <li key={key} style={{ height: ROW, lineHeight: `${HANDS}px` }}>
            {name}
          </li>
        ))}
      </ul>
      <div ref={ref} className="relative min-w-0 flex-1 overflow-x-auto">
        <svg
          width={across}
          height={height}
          role="img"
          aria-label={`Who does what when, from ${clockAt(begins, 0)} to ${clockAt(begins, last)}. The cards say the same in words.`}
          fontSize="13"
          fill="var(--color-ink)"
          className="block select-none"
        >
          {range(0, last + 1, perMinute < 5 ? 20 : 10).map((tick) => (
            <g key={tick}>
              <line x1={x(tick)} x2={x(tick)} y1={TOP - 4} y2={height - BOTTOM} stroke="var(--color-hairline)" />
              <text x={x(tick)} y={TOP - 11} textAnchor="middle" fill="var(--color-muted)">
                {clockAt(begins, tick)}
              </text>
            </g>
          ))}
          <line
            x1={x(minutes)}
            x2={x(minutes)}
            y1={TOP - 4}
            y2={height - BOTTOM}
            stroke="var(--color-ink)"
            strokeWidth="1.4"
          />
          <text x={x(minutes)} y={height - 10} textAnchor="end" fill="var(--color-muted)">
            the lesson ends
          </text>
          {rows.map((row, i) => (
            <g key={row.key}>
              {inFront(row.blocks, selected).map((block) => (
                <StepBlock
                  key={block.key}
                  block={block}
                  x={x(block.planned.start)}
                  y={TOP + i * ROW}
                  width={x(block.planned.end) - x(block.planned.start)}
                  isSelected={selected?.group === block.planned.group && selected.step === block.planned.step}
                  hasConflict={inConflict.has(block.key)}
                  perMinute={perMinute}
                  onSelect={({ planned }) => onSelect({ group: planned.group, step: planned.step })}
                  onDrag={drag}
                />
              ))}
              {by === 'group' &&
                real
                  .filter(({ group }) => group === i)
                  .map(({ step, from, to }) => (
                    <g key={step} stroke="var(--color-ink)" strokeWidth="2">
                      <title>
                        {`${lesson.steps.find(({ id }) => id === step)?.name ?? ''}: written from ${clockAt(begins, from)} to ${clockAt(begins, to)}`}
                      </title>
                      <line
                        x1={x(from)}
                        x2={Math.max(x(to), x(from) + 3)}
                        y1={TOP + i * ROW + HANDS + WAITING + 6}
                        y2={TOP + i * ROW + HANDS + WAITING + 6}
                      />
                      <line
                        x1={x(from)}
                        x2={x(from)}
                        y1={TOP + i * ROW + HANDS + WAITING + 3}
                        y2={TOP + i * ROW + HANDS + WAITING + 9}
                      />
                    </g>
                  ))}
            </g>
          ))}
          {now !== null && now <= last && (
            <g>
              <line
                x1={x(now)}
                x2={x(now)}
                y1={TOP - 4}
                y2={height - BOTTOM}
                stroke="var(--color-slip)"
                strokeWidth="2"
              />
              <text x={x(now) + 5} y={height - 10} fill="var(--color-slip)">
                now
              </text>
            </g>
          )}
        </svg>
      </div>
    </div>
  );
}
