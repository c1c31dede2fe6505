import type { MicrometerPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import {
  sleeveArea,
  SleeveBody,
  SleeveLines,
  ThimbleBody,
  thimbleArea,
  ThimbleLines,
  type CloseView,
} from './sleeve-and-thimble.tsx';

const CLOSE: CloseView = { edge: 300, datum: 136, perMillimetre: 38, perDivision: 17 };
const WITH_VERNIER: CloseView = { ...CLOSE, datum: 262, perDivision: 26 };

/** What lies outside an area is not shown. */
function Cut({
  area,
  children,
}: {
  readonly area: ReturnType<typeof sleeveArea>;
  readonly children: ReactNode;
}): ReactNode {
  const id = useId();
  return (
    <g clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <rect {...area} />
      </clipPath>
      {children}
    </g>
  );
}

/** A micrometer as it is printed: sleeve and thimble, on the thing and with the faces closed where it may be off. */
export function MicrometerOnPaper({
  picture,
  label,
}: {
  readonly picture: MicrometerPicture;
  readonly label: string;
}): ReactNode {
  const view = picture.sleeveLines.length > 0 ? WITH_VERNIER : CLOSE;
  const views = [
    { open: picture.openX, caption: `on the ${picture.thing.name}` },
    ...(picture.closedX === null ? [] : [{ open: picture.closedX, caption: 'with the faces closed' }]),
  ];
  const height = view.datum + 130;
  return (
    <svg viewBox={`0 0 ${views.length * 540} ${height}`} className="block h-full w-full" role="img" aria-label={label}>
      {views.map(({ open, caption }, i) => (
        <g key={caption} transform={`translate(${i * 540} 0)`}>
          <SleeveBody picture={picture} view={view} />
          <ThimbleBody picture={picture} view={view} />
          <Cut area={sleeveArea(picture, view)}>
            <SleeveLines picture={picture} open={open} view={view} />
          </Cut>
          <Cut area={thimbleArea(picture, view)}>
            <ThimbleLines picture={picture} open={open} view={view} />
          </Cut>
          <text x="250" y={height - 6} textAnchor="middle" fontSize="20" fill="var(--color-ink)">
            {caption}
          </text>
        </g>
      ))}
    </svg>
  );
}
