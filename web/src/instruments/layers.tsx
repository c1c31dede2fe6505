import { useCallback, useId, useLayoutEffect, useRef, type ReactNode } from 'react';

/** Size of a stage, in the units of its drawing; `x` is where the drawn part begins. */
export interface StageBox {
  readonly x: number;
  readonly width: number;
  readonly height: number;
}

/** Part of a stage outside which a layer shows nothing, in the units of the drawing. */
export interface Window {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Part of a stage, from one height to another in the units of its drawing. */
export interface StagePart {
  readonly from: number;
  readonly to: number;
  /** How much of the page’s width the stage takes; all of it when nothing is said. */
  readonly zoom?: number;
}

interface StageProps {
  readonly box: StageBox;
  /** What is read, where there is no room for all of it. */
  readonly part?: StagePart | undefined;
  readonly label: string;
  readonly children: ReactNode;
}

/** A drawing made of layers that lie on each other. What moves has a layer of its own, so that a movement paints that one only. */
export function Stage({ box, label, part, children }: StageProps): ReactNode {
  const { from, to, zoom = 1 } = part ?? { from: 0, to: box.height };
  const share = (units: number): string => `${(100 * units) / (to - from)}%`;
  return (
    <div
      role="group"
      aria-label={label}
      className="relative mx-auto w-full overflow-clip select-none"
      style={{ aspectRatio: `${box.width} / ${(to - from) * zoom}` }}
    >
      <div
        className="absolute [container-type:size]"
        style={{ left: `${50 - 50 * zoom}%`, width: `${100 * zoom}%`, top: share(-from), height: share(box.height) }}
      >
        {children}
      </div>
    </div>
  );
}

interface LayerProps {
  readonly box: StageBox;
  /** A layer lets the pointer through unless it is there to be used. */
  readonly touched?: boolean;
  readonly window?: Window;
  readonly children: ReactNode;
}

/** One layer, as large as its stage. */
export function Layer({ box, touched = false, window, children }: LayerProps): ReactNode {
  const clip = useId();
  return (
    <svg
      viewBox={`${box.x} 0 ${box.width} ${box.height}`}
      className={`absolute inset-0 block h-full w-full [contain:strict] [will-change:transform] ${touched ? '' : 'pointer-events-none'}`}
    >
      {window && (
        <clipPath id={clip}>
          <rect {...window} />
        </clipPath>
      )}
      {window ? <g clipPath={`url(#${clip})`}>{children}</g> : children}
    </svg>
  );
}

/** Something that moves by itself or by hand: where it is, and a call after every movement until the returned function is called. */
interface Moving<Seen> {
  readonly seen: () => Seen;
  readonly subscribe: (moved: () => void) => () => void;
}

interface SlidingLayerProps<Seen> {
  readonly box: StageBox;
  readonly window: Window;
  /** How far the window’s corners are rounded, in the units of the drawing. */
  readonly rounded?: number;
  readonly sight: Moving<Seen>;
  /** How far along the layer lies for what is seen, in the units of the drawing. */
  readonly shift: (seen: Seen) => number;
  /** The way it slides. */
  readonly way?: 'down' | 'right';
  readonly children: ReactNode;
}

/** A layer that slides as a whole with what moves, behind a window that stands still; it is painted once, however often it moves. */
export function SlidingLayer<Seen>({
  box,
  window,
  rounded = 0,
  sight,
  shift,
  way = 'down',
  children,
}: SlidingLayerProps<Seen>): ReactNode {
  const ref = useRef<HTMLDivElement>(null);
  const slide = useCallback((): void => {
    const whole = way === 'down' ? box.height : box.width;
    ref.current?.style.setProperty(
      'transform',
      `translate${way === 'down' ? 'Y' : 'X'}(${((100 * shift(sight.seen())) / whole).toFixed(4)}%)`,
    );
  }, [sight, shift, box, way]);
  useLayoutEffect(() => {
    slide();
    return sight.subscribe(slide);
  }, [sight, slide]);
  const share = (part: number, whole: number, unit: string): string => `${((100 * part) / whole).toFixed(4)}${unit}`;
  const [left, top] = [window.x - box.x, window.y];
  // A plain cut-off box costs the browser nothing as the layer moves; a clip path would be a mask, painted at every movement.
  const seenThrough = {
    left: share(left, box.width, '%'),
    top: share(top, box.height, '%'),
    width: share(window.width, box.width, '%'),
    height: share(window.height, box.height, '%'),
    borderRadius: share(rounded, box.width, 'cqw'),
  };
  // The box that slides is as large as the stage: were it measured by its window, a rounded pixel there would move its lines.
  const wholeStage = { left: share(-left, box.width, 'cqw'), top: share(-top, box.height, 'cqh') };
  return (
    <div className="pointer-events-none absolute overflow-hidden" style={seenThrough}>
      {/* What slides is a box around the drawing: a drawing that is moved itself has its lettering laid out and painted again. */}
      <div ref={ref} className="absolute h-[100cqh] w-[100cqw] [will-change:transform]" style={wholeStage}>
        <svg viewBox={`${box.x} 0 ${box.width} ${box.height}`} className="block h-full w-full overflow-visible">
          {children}
        </svg>
      </div>
    </div>
  );
}
