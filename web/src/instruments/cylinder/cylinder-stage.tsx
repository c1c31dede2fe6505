import type { LiquidColumnPicture, PathPiece, RevealStep } from '@green-beam/core';
import { useId, useMemo, type ReactNode } from 'react';
import { CloseUp } from './close-up.tsx';
import { EyeRail } from './eye-rail.tsx';
import { apparentY, closeView } from './geometry.ts';
import { Beam, RightPath, WrongPath } from './overlays.tsx';
import { WholeCylinder } from './whole-cylinder.tsx';

const STAGE = { width: 840, height: 600 };
const CLOSE = { x: 478, y: 18, width: 380, height: 564 };
const WHOLE = { x: 118, y: 34, height: 520 };
const EYE_X = 316;
const LOUPE = { radius: 118, magnification: 4 };

interface CylinderStageProps {
  readonly picture: LiquidColumnPicture;
  readonly name: string;
  readonly eyeHeight: number;
  readonly onMoveEye?: (eyeHeight: number) => void;
  readonly onRestEye?: (eyeHeight: number) => void;
  readonly loupe?: boolean;
  /** The answer is out: the beam runs across the glass. */
  readonly closed?: boolean;
  readonly wrongPath?: readonly PathPiece[];
  readonly rightPath?: readonly RevealStep[];
}

function Loupe({ picture, eyeHeight, apparent }: { readonly picture: LiquidColumnPicture; readonly eyeHeight: number; readonly apparent: number }): ReactNode {
  const id = useId();
  const close = closeView(picture, CLOSE.width, CLOSE.height);
  const glass = (picture.bore + 2 * picture.wall) * close.scale;
  const view = { ...close, scale: close.scale * LOUPE.magnification, topY: apparent - LOUPE.radius / (close.scale * LOUPE.magnification), height: 2 * LOUPE.radius };
  // It looks at the ends of the short lines, where the surface is compared with them.
  const focus = (-glass / 2 + 0.17 * glass) * LOUPE.magnification;
  return (
    <g transform={`translate(${-glass / 2 + 0.17 * glass} ${(apparent - close.topY) * close.scale})`}>
      <clipPath id={id}>
        <circle r={LOUPE.radius} />
      </clipPath>
      <circle r={LOUPE.radius} fill="#f6f6f1" />
      <g clipPath={`url(#${id})`}>
        <g transform={`translate(${-focus} ${-LOUPE.radius})`}>
          <CloseUp picture={picture} view={view} eyeHeight={eyeHeight} weight={1.6} />
        </g>
      </g>
      <circle r={LOUPE.radius} fill="none" stroke="#13251f" strokeWidth="5" />
      <circle r={LOUPE.radius - 4} fill="none" stroke="#c9cfcc" strokeWidth="2.5" />
    </g>
  );
}

/** A graduated cylinder on the bench: the whole tool, a close view of the surface, the eye and its beam. */
export function CylinderStage({ picture, name, eyeHeight, onMoveEye, onRestEye, loupe = false, closed = false, wrongPath = [], rightPath = [] }: CylinderStageProps): ReactNode {
  const view = useMemo(() => closeView(picture, CLOSE.width, CLOSE.height), [picture]);
  const clip = useId();
  const shown = useMemo((): [number, number] => [view.topY, view.topY + view.height / view.scale], [view]);
  const wholeScale = WHOLE.height / picture.height;
  const glass = (picture.bore + 2 * picture.wall) * view.scale;
  const wholeGlass = (picture.bore + 2 * picture.wall) * wholeScale;
  const wrongEye = wrongPath.some((piece) => piece.kind === 'sight');
  return (
    <svg viewBox={`0 0 ${STAGE.width} ${STAGE.height}`} className="block h-auto w-full select-none" role="group" aria-label={`${name} with liquid in it. Turn on the description in words to read it without seeing it.`}>
      <g transform={`translate(${WHOLE.x} ${WHOLE.y})`} className="will-change-transform">
        <WholeCylinder picture={picture} scale={wholeScale} shown={shown} />
      </g>
      <text x={WHOLE.x} y={STAGE.height - 14} textAnchor="middle" fontSize="15" fill="#52635c">
        {name}
      </text>
      <path
        d={`M${WHOLE.x + wholeGlass / 2 + 10} ${WHOLE.y + shown[0] * wholeScale}L${CLOSE.x - glass / 2 - 34} ${CLOSE.y}M${WHOLE.x + wholeGlass / 2 + 10} ${WHOLE.y + shown[1] * wholeScale}L${CLOSE.x - glass / 2 - 34} ${CLOSE.y + CLOSE.height}`}
        stroke="#0a7f50"
        strokeDasharray="2 5"
        fill="none"
      />
      <clipPath id={clip}>
        <rect x={-CLOSE.width / 2 - 40} y="0" width={CLOSE.width + 80} height={CLOSE.height} />
      </clipPath>
      <g transform={`translate(${CLOSE.x} ${CLOSE.y})`}>
        <g clipPath={`url(#${clip})`}>
          <CloseUp picture={picture} view={view} eyeHeight={eyeHeight} />
          <RightPath picture={picture} view={view} steps={rightPath} />
        </g>
        <Beam picture={picture} view={view} eyeHeight={eyeHeight} eyeX={EYE_X} across={closed} wrong={wrongEye} />
        <WrongPath picture={picture} view={view} pieces={wrongPath} eyeX={EYE_X} eyeHeight={eyeHeight} />
        <EyeRail
          picture={picture}
          view={view}
          eyeHeight={eyeHeight}
          x={EYE_X}
          disabled={!onMoveEye || closed}
          onMove={onMoveEye ?? (() => undefined)}
          onRest={onRestEye ?? (() => undefined)}
        />
        {loupe && <Loupe picture={picture} eyeHeight={eyeHeight} apparent={apparentY(picture, eyeHeight)} />}
      </g>
    </svg>
  );
}
