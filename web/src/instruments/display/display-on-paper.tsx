import type { DisplayPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';

const WIDTH = 372;

/** Size of a caption that keeps it within the width: a letter is less than half as wide as it is high. */
function captionSize(caption: string): number {
  return Math.min(15, (2.05 * WIDTH) / caption.length);
}

/** A display as it is printed: what it shows, state by state. */
export function DisplayOnPaper({
  picture,
  label,
  viewNamed,
}: {
  readonly picture: DisplayPicture;
  readonly label: string;
  /** What a view is called. */
  readonly viewNamed: (caption: string) => string;
}): ReactNode {
  const numerals = useNumerals();
  return (
    <svg
      viewBox={`0 0 380 ${picture.views.length * 120}`}
      className="block h-full w-full"
      role="img"
      aria-label={label}
    >
      {picture.views.map(({ caption, characters }, i) => (
        <g key={caption} transform={`translate(0 ${i * 120})`}>
          <text x="4" y="18" fontSize={captionSize(viewNamed(caption))} fill="var(--color-ink)">
            {viewNamed(caption)}
          </text>
          <rect x="4" y="28" width={WIDTH} height="76" rx="8" fill="none" stroke="var(--color-ink)" strokeWidth="2" />
          <text x="318" y="84" textAnchor="end" fontSize="52" className="font-mono" fill="var(--color-ink)">
            {numerals(characters)}
          </text>
          <text x="330" y="84" fontSize="22" className="font-mono" fill="var(--color-ink)">
            {picture.unitMark}
          </text>
        </g>
      ))}
    </svg>
  );
}
