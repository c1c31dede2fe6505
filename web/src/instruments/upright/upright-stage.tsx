import type { LiquidColumnPicture } from '@green-beam/core';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { useNarrow } from '../../ui/use-narrow.ts';
import { aimedAt, useMarkAt, type Seen } from '../sight.ts';
import type { StageProps } from '../stage-props.ts';
import { Sheet, SlidingSheet, Stage, type StageBox, type Window } from '../sheets.tsx';
import { rightFloat, untouched, type ToolState } from '../tool-state.ts';
import { Bath } from './bath.tsx';
import { Moving, Still } from './body.tsx';
import { Funnel, TipLens, TopLens } from './burette-parts.tsx';
import { EyeRail } from './eye-rail.tsx';
import { Jar } from './jar.tsx';
import { Loupe } from './loupe.tsx';
import { closeView, printedWidth, type View } from './geometry.ts';
import { Beam, RightPath, WrongPath } from './overlays.tsx';
import { PrintedScale, scaleShift } from './printed-scale.tsx';
import { silhouetteOf } from './silhouette.ts';
import { WholeTool } from './whole-tool.tsx';

const WIDE: StageBox = { x: 0, width: 840, height: 600 };
/** On a phone the close view has all the width, so that its last digit can be read. */
const NARROW: StageBox = { x: 240, width: 600, height: 600 };
const CLOSE = { x: 478, y: 18, width: 380, height: 564 };
/** Where the close view can be, with room beside it for what is drawn at its wall. */
const FRAME: Window = { x: CLOSE.x - CLOSE.width / 2 - 40, y: CLOSE.y, width: CLOSE.width + 80, height: CLOSE.height };
const WHOLE = { x: 118, y: 34, width: 196, height: 520 };
const EYE_X = 316;

interface UprightStageProps extends StageProps {
  readonly picture: LiquidColumnPicture;
}

interface WholeViewProps {
  readonly picture: LiquidColumnPicture;
  readonly name: string;
  readonly view: View;
  readonly markAt: number;
  readonly tool: ToolState;
  /** Width of the close view’s tool, in pixels. */
  readonly width: number;
}

/** The whole tool beside the close view, with lines that say which part of it is seen close. */
function WholeView({ picture, name, view, markAt, tool, width }: WholeViewProps): ReactNode {
  const shown = useMemo((): [number, number] => [view.topY, view.topY + view.height / view.scale], [view]);
  const scale = Math.min(WHOLE.height / picture.height, WHOLE.width / (2 * silhouetteOf(picture).halfWidth));
  const top = WHOLE.y + (WHOLE.height - picture.height * scale) / 2;
  const edge = Math.max((printedWidth(picture) * scale) / 2, 8) + 10;
  return (
    <>
      <g transform={`translate(${WHOLE.x} ${top})`}>
        {picture.handled === 'bulb' && <Bath picture={picture} scale={scale} bulb={tool.bulb} />}
        {tool.left === 'funnel' && <Funnel picture={picture} scale={scale} />}
        <WholeTool picture={picture} scale={scale} shown={shown} markAt={markAt} />
      </g>
      {picture.handled === 'tap' && picture.vessel === 'burette' && (
        <TipLens
          x={WHOLE.x + 78}
          y={WHOLE.y + WHOLE.height - 46}
          liquid={picture.liquid}
          bubble={tool.left === 'bubble'}
          dripping={tool.dripping}
        />
      )}
      <text
        x={WHOLE.x}
        y={picture.handled === 'bulb' ? 22 : WIDE.height - 14}
        textAnchor="middle"
        fontSize="15"
        fill="var(--color-muted)"
      >
        {name}
      </text>
      <path
        d={`M${WHOLE.x + edge} ${top + shown[0] * scale}L${CLOSE.x - width / 2 - 34} ${CLOSE.y}M${WHOLE.x + edge} ${top + shown[1] * scale}L${CLOSE.x - width / 2 - 34} ${CLOSE.y + CLOSE.height}`}
        stroke="var(--color-beam)"
        strokeDasharray="2 5"
        fill="none"
      />
    </>
  );
}

/** An upright tool on the bench: the whole of it, a close view of the mark, the eye and its beam. */
export function UprightStage({
  picture,
  name,
  sight,
  tool = untouched(picture),
  onRestEye,
  loupe = false,
  closed = false,
  wrongPath = [],
  rightPath = [],
}: UprightStageProps): ReactNode {
  const markAt = useMarkAt(sight);
  // A pipette is looked at where its ring is, wherever the surface may be.
  const lookedAt = picture.handled === 'pipette' ? picture.surfaceY : markAt;
  const view = useMemo(() => closeView(picture, lookedAt, CLOSE.width, CLOSE.height), [picture, lookedAt]);
  const aim = useMemo(
    () => (picture.handled === 'pipette' ? aimedAt(sight, picture.surfaceY) : sight),
    [picture, sight],
  );
  const box = useNarrow() ? NARROW : WIDE;
  const [held, setHeld] = useState(false);
  const letGo = (): void => setHeld(false);
  const width = printedWidth(picture) * view.scale;
  const wrongEye = wrongPath.some((piece) => piece.kind === 'sight');
  const shift = useCallback((seen: Seen) => scaleShift(picture, view, seen), [picture, view]);
  const atClose = `translate(${CLOSE.x} ${CLOSE.y})`;
  if (picture.handled === 'try' && tool.float !== rightFloat(picture))
    return <Jar box={box} picture={picture} float={tool.float} />;
  return (
    <Stage box={box} label={`${name}. Turn on the description in words to read it without seeing it.`}>
      <Sheet box={box}>
        {box === WIDE && (
          <WholeView picture={picture} name={name} view={view} markAt={markAt} tool={tool} width={width} />
        )}
        {box === NARROW && picture.handled === 'tap' && picture.vessel === 'burette' && (
          <>
            <TopLens x={NARROW.x + NARROW.width - 60} y={66} liquid={picture.liquid} funnel={tool.left === 'funnel'} />
            <TipLens
              x={NARROW.x + NARROW.width - 60}
              y={NARROW.height - 62}
              liquid={picture.liquid}
              bubble={tool.left === 'bubble'}
              dripping={tool.dripping}
            />
          </>
        )}
        <g transform={atClose}>
          <Still picture={picture} view={view} />
        </g>
      </Sheet>
      <Sheet box={box} window={FRAME}>
        <g transform={atClose}>
          <Moving picture={picture} view={view} sight={sight} />
        </g>
      </Sheet>
      <SlidingSheet box={box} window={FRAME} sight={sight} shift={shift}>
        <g transform={atClose}>
          <PrintedScale picture={picture} view={view} />
        </g>
      </SlidingSheet>
      <Sheet box={box} touched>
        <g transform={atClose}>
          <rect
            x={-width / 2}
            width={width}
            height={CLOSE.height}
            fill="transparent"
            onPointerDown={() => setHeld(true)}
            onPointerUp={letGo}
            onPointerLeave={letGo}
            onPointerCancel={letGo}
          />
          <RightPath picture={picture} view={view} steps={rightPath} />
          <Beam picture={picture} view={view} sight={aim} eyeX={EYE_X} across={closed} wrong={wrongEye} />
          {wrongPath.length > 0 && (
            <WrongPath picture={picture} view={view} pieces={wrongPath} eyeX={EYE_X} sight={aim} />
          )}
          <EyeRail
            picture={picture}
            view={view}
            sight={aim}
            x={EYE_X}
            disabled={!onRestEye || closed}
            onRest={onRestEye ?? (() => undefined)}
          />
          {(loupe || held) && <Loupe picture={picture} close={view} sight={sight} aim={aim} />}
        </g>
      </Sheet>
    </Stage>
  );
}
