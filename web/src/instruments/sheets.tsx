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
  const percent = (part: number, whole: number): string => `${((100 * part) / whole).toFixed(3)}%`;
  const [left, top] = [window.x - box.x, window.y];
  const inset = [top, box.width - left - window.width, box.height - top - window.height, left].map((part, i) => percent(part, i % 2 === 0 ? box.height : box.width)).join(' ');
  return (
    <div className="pointer-events-none absolute inset-0" style={{ clipPath: `inset(${inset})` }}>
      <svg ref={ref} viewBox={`${box.x} 0 ${box.width} ${box.height}`} className="absolute inset-0 block h-full w-full overflow-visible [will-change:transform]">
        {children}
      </svg>
    </div>
  );
}
