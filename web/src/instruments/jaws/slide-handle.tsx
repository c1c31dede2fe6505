import { useCallback, useRef, type ReactNode, type WheelEvent } from 'react';
import { useDrag } from '../sight/drag.ts';
import type { Window } from '../layers.tsx';
import type { Handling } from '../view.ts';
import { contactAt, parted, reachOf, type Faces, type HeldState } from './held-state.ts';
import type { Seen, Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';

interface SlideHandleProps<S extends HeldState> {
  readonly label: string;
  readonly faces: Faces;
  readonly state: S;
  readonly handling: Handling<S>;
  readonly sight: Sight;
  /** Millimetres that an arrow key moves it by, with Shift ten times as many. */
  readonly step: number;
  readonly page: number;
  /** Millimetres of the tool for one unit of the drawing, along the way it is dragged. */
  readonly perUnit: number;
  readonly way: 'right' | 'down';
  /** The area that can be touched, and what shows that it has the focus. */
  readonly children: ReactNode;
}

/** How far the frame of a focused part stands from it. */
const FRAME = 4;

/** Nearer to the touch than this, in mm, a slide that is let go has come to it. */
const FEELS = 0.25;

/** A slide or a thimble: dragged, turned by the wheel, or moved by keys, as far as the faces let it. */
export function SlideHandle<S extends HeldState>({
  label,
  faces,
  state,
  handling,
  sight,
  step,
  page,
  perUnit,
  way,
  children,
}: SlideHandleProps<S>): ReactNode {
  const rail = useDrawn<SVGGElement>(
    sight,
    useCallback(
      ({ markAt }: Seen): Drawn => ({
        'aria-valuenow': Math.round(markAt / step),
        'aria-valuetext':
          Math.abs(markAt - contactAt(faces, state)) < step
            ? 'touching'
            : `moved ${Math.round(Math.abs(markAt - faces.startX) / step)} steps`,
      }),
      [faces, state, step],
    ),
  );
  const anchor = useRef<{ readonly from: number; readonly at: number } | null>(null);
  const kept = (position: number): number => {
    const { least, most } = reachOf(faces, state);
    return Math.min(most, Math.max(least, position));
  };
  const rest = (position: number): void => {
    const at = Number(position.toFixed(4));
    sight.moveMark(position);
    handling.note('slide', at);
    handling.change((now) => parted(faces, now, at));
  };
  const handlers = useDrag(rail, {
    disabled: state.locked,
    at: () => sight.seen().markAt / step,
    // It is dragged from wherever it was taken hold of.
    place: (x, y) => {
      const from = way === 'right' ? x : y;
      anchor.current ??= { from, at: sight.seen().markAt };
      return (anchor.current.at + (from - anchor.current.from) * perUnit) / step;
    },
    move: (to) => sight.moveMark(kept(to * step)),
    reach: 200 / step,
    page: page / step,
    onRest: (to, by) => {
      anchor.current = null;
      const position = kept(to * step);
      const contact = contactAt(faces, state);
      const stopped = by === 'key' && crosses(sight.seen().markAt, position, contact);
      rest((by === 'drag' && Math.abs(position - contact) < FEELS * 0.2) || stopped ? contact : position);
    },
  });
  const wheel = (event: WheelEvent): void => {
    if (state.locked || event.deltaY === 0) return;
    rest(kept(sight.seen().markAt + Math.sign(event.deltaY) * step));
  };
  return (
    <g
      ref={rail}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-disabled={state.locked}
      aria-valuemin={0}
      aria-valuemax={Math.round(faces.most / step)}
      className={`touch-none outline-none [&:focus-visible_.halo]:opacity-100 ${state.locked ? 'cursor-not-allowed' : way === 'right' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      onWheel={wheel}
      {...handlers}
    >
      {children}
    </g>
  );
}

/** Whether a step leads over the touch; it is felt there. */
function crosses(from: number, to: number, contact: number): boolean {
  return (from - contact) * (to - contact) < 0;
}

/** The part of a drawing by which a slide is taken hold of, with a frame around it while it has the focus. */
export function HandleArea({ x, y, width, height }: Window): ReactNode {
  return (
    <>
      <rect
        className="halo opacity-0"
        x={x - FRAME}
        y={y - FRAME}
        width={width + 2 * FRAME}
        height={height + 2 * FRAME}
        rx="8"
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="3"
      />
      <rect x={x} y={y} width={width} height={height} fill="transparent" />
    </>
  );
}
