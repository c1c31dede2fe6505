import type { CaliperPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { at, coincidingLine, glassView, middleView, vernierLength, type View } from './geometry.ts';
import { MainScale, VernierScale } from './scales.tsx';

const WIDTH = 780;
const MIDDLE = 30;
const GLASS = 56;

/** Main scale and vernier edge to edge, cut off at the sides. */
function Pair({
  picture,
  position,
  view,
  half,
  y,
}: {
  readonly picture: CaliperPicture;
  readonly position: number;
  readonly view: View;
  readonly half: number;
  readonly y: number;
}): ReactNode {
  const id = useId();
  return (
    <g transform={`translate(0 ${y})`} clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <rect width={WIDTH} height={2 * half} />
      </clipPath>
      <MainScale picture={picture} view={view} height={half} />
      <g transform={`translate(0 ${half})`}>
        <VernierScale picture={picture} view={view} height={half} position={position} />
      </g>
    </g>
  );
}

function Jaws({
  picture,
  position,
  y,
  caption,
}: {
  readonly picture: CaliperPicture;
  readonly position: number;
  readonly y: number;
  readonly caption: string;
}): ReactNode {
  const middle = middleView(picture, position, WIDTH);
  const over = picture.vernierMarks[coincidingLine(picture, position)]?.x ?? 0;
  // Not straight over it: finding the line is part of reading.
  const aside = Math.min(vernierLength(picture), Math.max(0, over + (((position * 7) % 1) - 0.5) * 4));
  return (
    <g transform={`translate(0 ${y})`}>
      <text x="0" y="14" fontSize="16" fill="var(--color-ink)">
        {caption}
      </text>
      <Pair picture={picture} position={position} view={middle} half={MIDDLE} y={22} />
      <rect
        x={at(middle, position + aside) - 3.8 * middle.scale}
        y={20}
        width={7.6 * middle.scale}
        height={2 * MIDDLE + 4}
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="2"
      />
      <Pair picture={picture} position={position} view={glassView(position, aside, WIDTH)} half={GLASS} y={94} />
    </g>
  );
}

const EACH = 214;

/** A caliper as it is printed: its vernier, and part of it enlarged; with the jaws closed as well where it may be off. */
export function CaliperOnPaper({
  picture,
  label,
}: {
  readonly picture: CaliperPicture;
  readonly label: string;
}): ReactNode {
  const views = [
    { position: picture.slideX, caption: `on the ${picture.thing.name}` },
    ...(picture.held.turnedX === null
      ? []
      : [{ position: picture.held.turnedX, caption: 'on it turned by a right angle' }]),
    ...(picture.closedX === null ? [] : [{ position: picture.closedX, caption: 'with the jaws closed' }]),
  ];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${views.length * EACH}`} className="block h-full w-full" role="img" aria-label={label}>
      {views.map(({ position, caption }, i) => (
        <Jaws key={caption} picture={picture} position={position} caption={caption} y={i * EACH} />
      ))}
    </svg>
  );
}
