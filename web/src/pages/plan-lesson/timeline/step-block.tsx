import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { useEffect, useEffectEvent, useRef, type ReactNode } from 'react';
import type { Block } from './rows.ts';

/** Heights in pixels: of a step that needs hands, and of one that goes on by itself. */
export const HANDS = 27;
export const WAITING = 9;
/** About how wide a letter is, in pixels. */
const LETTER = 7.1;

interface StepBlockProps {
  readonly block: Block;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly isSelected: boolean;
  readonly hasConflict: boolean;
  /** Pixels of a minute. */
  readonly perMinute: number;
  readonly onSelect: (block: Block) => void;
  /** Dragged so many minutes; told again and again, and once at the end. */
  readonly onDrag: (block: Block, minutes: number, isOver: boolean) => void;
}

const FILL = { shared: 'var(--color-beam)', hands: 'var(--color-hairline)', waiting: 'var(--color-paper)' } as const;

/** As much of a label as there is room for. */
function clipped(label: string, width: number): string {
  const room = Math.floor((width - 10) / LETTER);
  if (label.length <= room) return label;
  const [first = ''] = label.split(' · ');
  if (first.length <= room) return first;
  return room < 3 ? '' : `${first.slice(0, room - 1)}…`;
}

/** One step on a line of the timeline. It can be dragged along it. */
export function StepBlock({
  block,
  x,
  y,
  width,
  isSelected,
  hasConflict,
  perMinute,
  onSelect,
  onDrag,
}: StepBlockProps): ReactNode {
  const ref = useRef<SVGGElement>(null);
  const start = useRef(0);
  const begun = useEffectEvent((at: number) => {
    start.current = at;
    onSelect(block);
  });
  const moved = useEffectEvent((at: number, isOver: boolean) =>
    onDrag(block, Math.round((at - start.current) / perMinute), isOver),
  );
  useEffect(() => {
    if (!ref.current) return;
    select(ref.current).call(
      drag<SVGGElement, unknown>()
        .container(function container() {
          return this.ownerSVGElement ?? this;
        })
        .on('start', ({ x: at }: { readonly x: number }) => begun(at))
        .on('drag', ({ x: at }: { readonly x: number }) => moved(at, false))
        .on('end', ({ x: at }: { readonly x: number }) => moved(at, true)),
    );
  }, []);
  const isWaiting = block.look === 'waiting';
  const text = isWaiting ? '' : clipped(block.label, width);
  return (
    <g ref={ref} data-block={block.key} className="cursor-ew-resize" style={{ touchAction: 'pan-y' }}>
      <title>{block.label}</title>
      <rect
        x={x + 1}
        y={y + (isWaiting ? HANDS + 3 : 0)}
        width={Math.max(2, width - 2)}
        height={isWaiting ? WAITING : HANDS}
        fill={FILL[block.look]}
        stroke={
          hasConflict
            ? 'var(--color-slip)'
            : isSelected
              ? 'var(--color-ink)'
              : isWaiting
                ? 'var(--color-doubt)'
                : 'none'
        }
        strokeWidth={hasConflict || isSelected ? 2.5 : 1.6}
        strokeDasharray={hasConflict && !isSelected ? '5 3' : undefined}
      />
      {text !== '' && (
        <text
          x={x + 6}
          y={y + HANDS / 2}
          dy="0.35em"
          fontSize="13"
          fill={block.look === 'shared' ? 'var(--color-surface)' : 'var(--color-ink)'}
          pointerEvents="none"
        >
          {text}
        </text>
      )}
    </g>
  );
}
