import type { ClockPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { ClockDisplay, ClockFace } from './clock-face.tsx';

/** Room for one face, in the units of its drawing. */
const WIDTH = 260;

/** How wide a clock is drawn, and how high with its caption. */
export function faceBox({ views }: ClockPicture): { readonly width: number; readonly height: number } {
  return { width: WIDTH * views.length, height: 276 };
}

/** Each face of a clock over what it is. */
export function ClockFaces({
  picture,
  printed = false,
}: {
  readonly picture: ClockPicture;
  readonly printed?: boolean;
}): ReactNode {
  return picture.views.map(({ caption, hands, characters }, i) => (
    <g key={caption} transform={`translate(${WIDTH * (i + 0.5)} 126)`}>
      {hands === null ? (
        <ClockDisplay characters={characters ?? ''} printed={printed} />
      ) : (
        <ClockFace hands={hands} printed={printed} />
      )}
      {picture.views.length > 1 && (
        <text y="144" textAnchor="middle" fontSize="15" fill={printed ? 'var(--color-ink)' : 'var(--color-muted)'}>
          {caption}
        </text>
      )}
    </g>
  ));
}
