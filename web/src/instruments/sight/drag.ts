import { useCallback, useEffect, useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';

interface DragOptions {
  readonly disabled: boolean;
  /** Where the thing dragged is, before each drag and key. */
  readonly at: () => number;
  /** What a point of the drawing means; the drag follows it. */
  readonly place: (x: number, y: number) => number;
  readonly move: (to: number) => void;
  readonly reach: number;
  /** How far a Page key moves it; ten when nothing is said. */
  readonly page?: number;
  readonly onRest: (at: number, by: 'drag' | 'key') => void;
}

interface Handlers {
  readonly onPointerDown: (event: PointerEvent<SVGGElement>) => void;
  readonly onPointerUp: () => void;
  readonly onPointerCancel: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

/** A drag under way. The page does not scroll during one, so that the way from the screen to the view is worked out once. */
interface Drag {
  readonly toView: DOMMatrix;
  readonly pointerId: number;
  at: number;
}

/** Arrow keys move by one, with Shift by ten, Page keys by a page, Home and End to the ends. */
function keyStep(event: KeyboardEvent, page: number, reach: number): number | null {
  const step = event.shiftKey ? 10 : 1;
  if (event.key === 'Home' || event.key === 'End') return event.key === 'Home' ? -2 * reach : 2 * reach;
  if (event.key === 'ArrowUp' || event.key === 'ArrowRight') return step;
  if (event.key === 'ArrowDown' || event.key === 'ArrowLeft') return -step;
  if (event.key === 'PageUp') return page;
  return event.key === 'PageDown' ? -page : null;
}

/** Dragging along a rail, and the same by keys. `rail` is the element that is dragged; its coordinates are the drawing’s. */
export function useDrag(
  rail: RefObject<SVGGElement | null>,
  { disabled, at, place, move, reach, page = 10, onRest }: DragOptions,
): Handlers {
  const drag = useRef<Drag | null>(null);
  const follow = useCallback(
    (held: Drag, { clientX, clientY }: { readonly clientX: number; readonly clientY: number }): void => {
      const point = new DOMPoint(clientX, clientY).matrixTransform(held.toView);
      held.at = place(point.x, point.y);
      move(held.at);
    },
    [place, move],
  );
  useEffect(() => {
    // Movements come sixty times a second; they are caught before they go through the page.
    const moved = (event: globalThis.PointerEvent): void => {
      if (drag.current?.pointerId !== event.pointerId) return;
      event.stopPropagation();
      follow(drag.current, event);
    };
    window.addEventListener('pointermove', moved, { capture: true });
    return () => window.removeEventListener('pointermove', moved, { capture: true });
  }, [follow]);
  const drop = (): void => {
    if (drag.current) onRest(drag.current.at, 'drag');
    drag.current = null;
  };
  return {
    onPointerDown: (event) => {
      const matrix = rail.current?.getScreenCTM();
      if (disabled || !matrix) return;
      event.preventDefault();
      event.currentTarget.setPointerCapture(event.pointerId);
      event.currentTarget.focus();
      drag.current = { toView: matrix.inverse(), pointerId: event.pointerId, at: at() };
      follow(drag.current, event);
    },
    onPointerUp: drop,
    onPointerCancel: drop,
    onKeyDown: (event) => {
      const step = keyStep(event, page, reach);
      if (step === null || disabled) return;
      event.preventDefault();
      const to = Math.min(reach, Math.max(-reach, Math.round((at() + step) * 10) / 10));
      move(to);
      onRest(to, 'key');
    },
  };
}
