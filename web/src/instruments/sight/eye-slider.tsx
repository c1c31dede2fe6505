import { useCallback, type ReactNode } from 'react';
import { useDrag } from './drag.ts';
import { EyeMark } from './eye-mark.tsx';
import type { Seen, Sight } from './sight.ts';
import { useDrawn, type Drawn } from './use-drawn.ts';

interface EyeSliderProps {
  readonly label: string;
  readonly across?: boolean;
  readonly sight: Sight;
  readonly disabled: boolean;
  /** How far the eye can be moved either way, in mm. */
  readonly reach: number;
  /** Where the eye is, in words. */
  readonly valueText: (height: number) => string;
  /** Where the eye is drawn for what is seen, and what a point of the drawing means for it; the same functions as long as the view is. */
  readonly drawnAt: (seen: Seen) => readonly [x: number, y: number];
  readonly place: (x: number, y: number) => number;
  /** Called when a movement ends, with where the eye came to rest. */
  readonly onRest: (height: number) => void;
  /** The rail, and the area that can be touched. */
  readonly children: ReactNode;
}

/** The eye on a rail: dragged, or moved by keys. Its coordinates are the view’s. */
export function EyeSlider({
  label,
  across = false,
  sight,
  disabled,
  reach,
  valueText,
  drawnAt,
  place,
  onRest,
  children,
}: EyeSliderProps): ReactNode {
  const rail = useDrawn<SVGGElement>(
    sight,
    useCallback(
      ({ height }): Drawn => ({ 'aria-valuenow': Math.round(height), 'aria-valuetext': valueText(height) }),
      [valueText],
    ),
  );
  const pupil = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const [x, y] = drawnAt(seen);
        return { transform: `translate(${x.toFixed(2)} ${y.toFixed(2)})` };
      },
      [drawnAt],
    ),
  );
  const handlers = useDrag(rail, {
    disabled,
    at: () => sight.seen().height,
    place,
    move: sight.moveEye,
    reach,
    onRest,
  });
  const lowest = -reach;
  return (
    <g
      ref={rail}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={across ? 'horizontal' : 'vertical'}
      aria-valuemin={lowest}
      aria-valuemax={reach}
      aria-valuenow={Math.round(sight.seen().height)}
      aria-disabled={disabled}
      className={`touch-none outline-none [&:focus-visible_.halo]:opacity-100 ${disabled ? '' : across ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      {...handlers}
    >
      {children}
      <g ref={pupil}>
        <EyeMark disabled={disabled} across={across} />
      </g>
    </g>
  );
}
