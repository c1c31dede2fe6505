import { useCallback, useId, type ReactNode } from 'react';
import type { Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';
import { apparentY, printedWidth } from '../upright/geometry.ts';
import { Light } from '../light.tsx';
import type { Upright, View } from '../upright/look.ts';

interface StemProps {
  readonly picture: Upright;
  readonly view: View;
  readonly weight?: number;
}

/** The solid stem with its white back. The thread runs along x = 0. */
export function Stem({ picture, view, weight = 1 }: StemProps): ReactNode {
  const id = useId();
  const width = printedWidth(picture) * view.scale;
  const bore = picture.bore * view.scale;
  return (
    <>
      <Light id={id} names={['enamel']} />
      <rect x={-width / 2} width={width} height={view.height} fill={`url(#${id}-enamel)`} />
      <rect
        x={-bore / 2}
        width={bore}
        height={view.height}
        fill="#dfe6e0"
        stroke="#c3cec6"
        strokeWidth={0.8 * weight}
      />
      {[-width / 2, width / 2].map((x) => (
        <line key={x} x1={x} x2={x} y2={view.height} stroke="#6d8078" strokeWidth={1.4 * weight} />
      ))}
    </>
  );
}

/** The thread of spirit; its end is slightly hollow. */
export function Thread({ picture, view, sight, weight = 1 }: StemProps & { readonly sight: Sight }): ReactNode {
  const id = useId();
  const half = (picture.bore / 2) * view.scale;
  const hollow = (picture.profile.at(-1)?.[1] ?? 0) * view.scale;
  const thread = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({
        transform: `translate(0 ${((apparentY(picture, seen) - view.topY) * view.scale).toFixed(2)})`,
      }),
      [picture, view],
    ),
  );
  return (
    <>
      <Light id={id} names={['thread']} />
      <g ref={thread}>
        <path
          d={`M${-half} ${-hollow}Q0 ${hollow} ${half} ${-hollow}V${2.5 * view.height}H${-half}Z`}
          fill={`url(#${id}-thread)`}
          stroke="#7d182b"
          strokeWidth={0.8 * weight}
        />
      </g>
    </>
  );
}
