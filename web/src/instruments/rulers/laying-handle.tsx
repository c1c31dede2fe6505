import { describeEnd, type RulerPicture } from '@green-beam/core';
import { useCallback, type ReactNode } from 'react';
import { aside } from '../sight/aside.ts';
import { useDrag } from '../sight/drag.ts';
import type { Seen, Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';
import type { Handling } from '../view.ts';
import { apparentX, cameToRest, moved, type View } from './geometry.ts';
import { BAND } from './ruler-drawing.tsx';
import type { RulerState } from './ruler-state.ts';

interface LayingHandleProps {
  readonly picture: RulerPicture;
  readonly view: View;
  readonly sight: Sight;
  readonly handling: Handling<RulerState>;
}

const Y = BAND.thing - 46;
/** Keys move it by a tenth of a space. */
const PARTS = 10;
/** It can be laid so far before the zero mark, in mm: beyond the bare wood, but not off the ruler. */
const OUTSIDE = 10;

/** A grip at the thing’s left end, dragged along the ruler or moved by keys. Its coordinates are the close view’s. */
export function LayingHandle({ picture, view, sight, handling }: LayingHandleProps): ReactNode {
  const [zero, next] = picture.marks;
  const part = (zero && next ? next.x - zero.x : 1) / PARTS;
  const leftEnd = useCallback((seen: Seen): number => picture.thing.fromX + moved(picture, seen), [picture]);
  const rail = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({
        'aria-valuenow': Math.round((picture.thing.fromX + moved(picture, seen)) / part),
        'aria-valuetext': describeEnd(
          picture,
          'left',
          picture.thing.fromX + moved(picture, seen) + aside(picture, seen),
        ),
      }),
      [picture, part],
    ),
  );
  const grip = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({ transform: `translate(${apparentX(picture, view, seen).toFixed(2)} ${Y})` }),
      [picture, view],
    ),
  );
  const moveTo = (parts: number): void => {
    const { fromX, toX } = picture.thing;
    const [first = 0, last = picture.length] = [picture.marks[0]?.x, picture.marks.at(-1)?.x];
    sight.moveMark(Math.min(last, Math.max(first - OUTSIDE, parts * part) + toX - fromX));
  };
  const handlers = useDrag(rail, {
    disabled: false,
    at: () => leftEnd(sight.seen()) / part,
    place: (x) => (view.fromX + x / view.scale - aside(picture, sight.seen())) / part,
    move: moveTo,
    reach: picture.length / part,
    page: 10 * PARTS,
    onRest: (_, by) => {
      sight.moveMark(cameToRest(picture, sight.seen(), by));
      const { markAt: restsAt } = sight.seen();
      handling.change((now) => ({ ...now, restsAt }));
      handling.note('lay', Number(leftEnd(sight.seen()).toFixed(3)));
    },
  });
  return (
    <g
      ref={rail}
      role="slider"
      tabIndex={0}
      aria-label={`Where the ${picture.thing.name} begins`}
      aria-valuemin={0}
      aria-valuemax={Math.round(picture.length / part)}
      className="cursor-ew-resize touch-none outline-none [&:focus-visible_.halo]:opacity-100"
      {...handlers}
    >
      <g ref={grip}>
        <circle className="halo opacity-0" r="31" fill="none" stroke="var(--color-beam)" strokeWidth="3" />
        <circle r="24" fill="var(--color-surface)" stroke="var(--color-ink)" strokeWidth="1.8" />
        <path d="M-6 -7L-13 0L-6 7M6 -7L13 0L6 7" fill="none" stroke="var(--color-ink)" strokeWidth="2.4" />
      </g>
    </g>
  );
}
