import type { BeamPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { Beams } from './beams.tsx';
import { barTop, beamX, glassFrom, WIDE, type BalanceLayout } from './geometry.ts';
import { SlidingFace, Tongue } from './glasses.tsx';
import { halfWidth, isInNotch, RiderBody } from './rider.tsx';

const WIDTH = 780;
const GLASS = { y: 232, height: 132 };
const EACH = 392;
/** On paper the beams take the whole width, and the pan is left out. */
const LAYOUT: BalanceLayout = { ...WIDE, scale: 3.1, pivot: { x: 30, y: 300 }, barY: 48, pitch: 54 };

/** The sliding rider enlarged, not straight in the middle: finding the line is part of reading. */
function Enlarged({ picture, x }: { readonly picture: BeamPicture; readonly x: number }): ReactNode {
  const id = useId();
  const beam = picture.beams.at(-1);
  if (!beam) return null;
  const layout = { ...LAYOUT, glass: { x: 0, y: GLASS.y, width: WIDTH, height: GLASS.height, scale: 13 } };
  const from = glassFrom(layout, x, beam.length);
  return (
    <g transform={`translate(0 ${GLASS.y})`} clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <rect width={WIDTH} height={GLASS.height} />
      </clipPath>
      <g transform={`translate(${-from * 13} 40)`}>
        <SlidingFace beam={beam} scale={13} />
      </g>
      <g transform={`translate(${(x - from) * 13} 40)`}>
        <Tongue />
      </g>
      <rect width={WIDTH} height={GLASS.height} fill="none" stroke="var(--color-beam)" strokeWidth="2" />
    </g>
  );
}

/** A beam balance as it is printed: its beams with the riders, the sliding one enlarged; the vessel alone or the empty pan as well. */
export function BeamsOnPaper({ picture, label }: { readonly picture: BeamPicture; readonly label: string }): ReactNode {
  const shift = (picture.beams.length - 3) * 54;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${picture.views.length * (EACH + shift)}`}
      className="block w-full"
      role="img"
      aria-label={label}
    >
      {picture.views.map(({ caption, riderX }, i) => (
        <g key={caption} transform={`translate(0 ${i * (EACH + shift)})`}>
          <text x="0" y="16" fontSize="16" fill="var(--color-ink)">{`with ${caption} on the pan, in balance`}</text>
          <svg
            x="0"
            y="0"
            width={WIDTH}
            height={GLASS.y + shift - 8}
            viewBox={`${beamX(LAYOUT, -18) - 8} 0 ${WIDTH} ${GLASS.y + shift - 8}`}
            overflow="hidden"
          >
            <Beams picture={picture} layout={LAYOUT} />
            {picture.beams.map((_, rider) => {
              const x = riderX[rider] ?? 0;
              return (
                <g key={rider} transform={`translate(${beamX(LAYOUT, x)} ${barTop(LAYOUT, rider)})`}>
                  <RiderBody half={halfWidth(picture, rider)} seated={isInNotch(picture, rider, x)} />
                </g>
              );
            })}
          </svg>
          <g transform={`translate(0 ${shift})`}>
            <Enlarged picture={picture} x={riderX.at(-1) ?? 0} />
          </g>
        </g>
      ))}
    </svg>
  );
}
