import type { ClockPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { ClockFaces, faceBox } from './clock-faces.tsx';

/** A clock as it is printed. */
export function ClockOnPaper({
  picture,
  label,
}: {
  readonly picture: ClockPicture;
  readonly label: string;
}): ReactNode {
  const { width, height } = faceBox(picture);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="block h-full w-full" role="img" aria-label={label}>
      <ClockFaces picture={picture} printed />
    </svg>
  );
}
