import type { RulerPicture } from '@green-beam/core';
import { useId, useMemo, type ReactNode } from 'react';
import { closeView } from './geometry.ts';
import { BAND, RulerBand, Thing, WholeRuler, WholeThing } from './ruler-drawing.tsx';

const WIDTH = 800;
const WHOLE = { x: 10, y: 12, width: 780 };
const CLOSE = { x: 20, y: 82, width: 760, height: 232 };

/** A thing at a ruler as it is printed: the whole of both, and the end that is read seen close. */
export function RulerOnPaper({
  picture,
  label,
}: {
  readonly picture: RulerPicture;
  readonly label: string;
}): ReactNode {
  const id = useId();
  const view = useMemo(() => closeView(picture, CLOSE.width), [picture]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${CLOSE.y + CLOSE.height}`}
      className="block h-full w-full"
      role="img"
      aria-label={label}
    >
      <g transform={`translate(${WHOLE.x} ${WHOLE.y})`}>
        <WholeThing picture={picture} width={WHOLE.width} />
        <WholeRuler picture={picture} view={view} width={WHOLE.width} />
      </g>
      <clipPath id={id}>
        <rect x="-20" width={CLOSE.width + 40} height={Math.min(CLOSE.height, BAND.thing)} />
      </clipPath>
      <g transform={`translate(${CLOSE.x} ${CLOSE.y})`} clipPath={`url(#${id})`}>
        <Thing picture={picture} view={view} />
        <RulerBand picture={picture} view={view} />
      </g>
    </svg>
  );
}
