import type { LiquidColumnPicture } from '@green-beam/core';
import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { EYE_RANGE, eyeHeightAt, eyeY, type View } from './geometry.ts';

const LOWEST = -EYE_RANGE;

interface EyeRailProps {
  readonly picture: LiquidColumnPicture;
  readonly view: View;
  readonly eyeHeight: number;
  readonly x: number;
  readonly disabled: boolean;
  readonly onMove: (eyeHeight: number) => void;
  /** Called when a movement ends, with where the eye came to rest. */
  readonly onRest: (eyeHeight: number) => void;
}

function spokenHeight(eyeHeight: number): string {
  const distance = Math.round(Math.abs(eyeHeight));
  return distance === 0 ? 'level with the surface' : `${distance} millimetres ${eyeHeight > 0 ? 'above' : 'below'} the surface`;
}

/** Arrow keys move by a millimetre, with Shift or Page keys by a centimetre. */
function keyStep(event: KeyboardEvent): number | null {
  const step = event.shiftKey ? 10 : 1;
  if (event.key === 'ArrowUp' || event.key === 'ArrowRight') return step;
  if (event.key === 'ArrowDown' || event.key === 'ArrowLeft') return -step;
  if (event.key === 'PageUp') return 10;
  return event.key === 'PageDown' ? -10 : null;
}

/** The eye on its rail: dragged, or moved by keys. Its coordinates are the view's. */
export function EyeRail({ picture, view, eyeHeight, x, disabled, onMove, onRest }: EyeRailProps): ReactNode {
  const rail = useRef<SVGGElement>(null);
  const dragging = useRef<number | null>(null);
  const y = eyeY(picture, view, eyeHeight);
  const [highest, lowest] = [eyeY(picture, view, EYE_RANGE), eyeY(picture, view, -EYE_RANGE)];

  const heightUnder = (event: PointerEvent): number => {
    const matrix = rail.current?.getScreenCTM();
    if (!matrix) return eyeHeight;
    return eyeHeightAt(picture, view, new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse()).y);
  };
  const grab = (event: PointerEvent<SVGGElement>): void => {
    if (disabled) return;
    event.preventDefault();
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    dragging.current = heightUnder(event);
    onMove(dragging.current);
  };
  const drag = (event: PointerEvent): void => {
    if (dragging.current === null) return;
    dragging.current = heightUnder(event);
    onMove(dragging.current);
  };
  const drop = (): void => {
    if (dragging.current === null) return;
    onRest(dragging.current);
    dragging.current = null;
  };
  const press = (event: KeyboardEvent): void => {
    const step = keyStep(event);
    if (step === null || disabled) return;
    event.preventDefault();
    const height = Math.min(EYE_RANGE, Math.max(-EYE_RANGE, Math.round((eyeHeight + step) * 10) / 10));
    onMove(height);
    onRest(height);
  };

  return (
    <g
      ref={rail}
      role="slider"
      tabIndex={0}
      aria-label="Height of your eye"
      aria-orientation="vertical"
      aria-valuemin={LOWEST}
      aria-valuemax={EYE_RANGE}
      aria-valuenow={Math.round(eyeHeight)}
      aria-valuetext={spokenHeight(eyeHeight)}
      aria-disabled={disabled}
      className={`touch-none outline-none [&:focus-visible_.halo]:opacity-100 ${disabled ? '' : 'cursor-ns-resize'}`}
      onPointerDown={grab}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={drop}
      onKeyDown={press}
    >
      <rect x={x - 34} y={highest - 30} width="68" height={lowest - highest + 60} fill="transparent" />
      <line x1={x} x2={x} y1={highest} y2={y - 20} stroke="#b9c4bc" strokeWidth="2" />
      <line x1={x} x2={x} y1={y + 20} y2={lowest} stroke="#b9c4bc" strokeWidth="2" />
      <g transform={`translate(${x} ${y})`}>
        <circle className="halo opacity-0" r="31" fill="none" stroke="#0a7f50" strokeWidth="3" />
        <path d="M-25 0C-14 -16 14 -16 25 0C14 16 -14 16 -25 0Z" fill="#ffffff" stroke="#13251f" strokeWidth="1.8" />
        <circle r="9" fill="#0a7f50" />
        <circle r="4" fill="#13251f" />
        {!disabled && <path d="M-5 -26L0 -32L5 -26M-5 26L0 32L5 26" fill="none" stroke="#52635c" strokeWidth="1.6" />}
      </g>
    </g>
  );
}
