import { useCallback, useId, useLayoutEffect, useRef, type ReactNode } from 'react';
import type { Seen, Sight } from './sight.ts';

/** Size of a stage, in the units of its drawing; `x` is where the drawn part begins. */
export interface StageBox {
  readonly x: number;
  readonly width: number;
  readonly height: number;
}

/** Part of a stage outside which a sheet shows nothing, in the units of the drawing. */
export interface Window {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface StageProps {
  readonly box: StageBox;
  readonly label: string;
  readonly children: ReactNode;
}

/** A drawing made of sheets that lie on each other. What moves has a sheet of its own, so that a movement paints that one only. */
export function Stage({ box, label, children }: StageProps): ReactNode {
  return (
    <div role="group" aria-label={label} className="relative mx-auto w-full select-none" style={{ aspectRatio: `${box.width} / ${box.height}` }}>
      {children}
    </div>
  );
}

interface SheetProps {
  readonly box: StageBox;
  /** A sheet lets the pointer through unless it is there to be used. */
  readonly touched?: boolean;
  readonly window?: Window;
  readonly children: ReactNode;
}

/** One sheet, as large as its stage. */
export function Sheet({ box, touched = false, window, children }: SheetProps): ReactNode {
  const clip = useId();
  return (
    <svg viewBox={`${box.x} 0 ${box.width} ${box.height}`} className={`absolute inset-0 block h-full w-full [contain:strict] [will-change:transform] ${touched ? '' : 'pointer-events-none'}`}>
      {window && (
        <clipPath id={clip}>
          <rect {...window} />
        </clipPath>
      )}
      {window ? <g clipPath={`url(#${clip})`}>{children}</g> : children}
    </svg>
  );
}

interface SlidingSheetProps {
  readonly box: StageBox;
  readonly window: Window;
  readonly sight: Sight;
  /** How far along the sheet lies for what is seen, in the units of the drawing. */
  readonly shift: (seen: Seen) => number;
  /** The way it slides. */
  readonly way?: 'down' | 'right';
  readonly children: ReactNode;
}

/** A sheet that slides as a whole with the eye behind a window that stands still; it is painted once, however often it moves. */
export function SlidingSheet({ box, window, sight, shift, way = 'down', children }: SlidingSheetProps): ReactNode {
  const ref = useRef<SVGSVGElement>(null);
  const slide = useCallback((): void => {
    const whole = way === 'down' ? box.height : box.width;
    ref.current?.style.setProperty('transform', `translate${way === 'down' ? 'Y' : 'X'}(${((100 * shift(sight.seen())) / whole).toFixed(4)}%)`);
  }, [sight, shift, box, way]);
  useLayoutEffect(() => {
    slide();
    return sight.subscribe(slide);
  }, [sight, slide]);
  const percent = (part: number, whole: number): string => `${((100 * part) / whole).toFixed(4)}%`;
  // A plain cut-off box costs the browser nothing as the sheet moves; a clip path would be a mask, painted at every movement.
  const seenThrough = { left: percent(window.x - box.x, box.width), top: percent(window.y, box.height), width: percent(window.width, box.width), height: percent(window.height, box.height) };
  const wholeStage = { left: percent(box.x - window.x, window.width), top: percent(-window.y, window.height), width: percent(box.width, window.width), height: percent(box.height, window.height) };
  return (
    <div className="pointer-events-none absolute overflow-hidden" style={seenThrough}>
      <svg ref={ref} viewBox={`${box.x} 0 ${box.width} ${box.height}`} className="absolute block overflow-visible [will-change:transform]" style={wholeStage}>
        {children}
      </svg>
    </div>
  );
}
