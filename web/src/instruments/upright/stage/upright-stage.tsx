import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { useTyping } from '../../../ui/typing.ts';
import { useNarrow } from '../../../ui/use-narrow.ts';
import { Layer, SlidingLayer, Stage, type StageBox, type Window } from '../../layers.tsx';
import { aimedAt, useMarkAt, type Seen } from '../../sight/sight.ts';
import type { StageProps } from '../../view.ts';
import { EyeRail } from './eye-rail.tsx';
import { bodyShift, closeView, printedWidth } from '../geometry.ts';
import type { Upright, View } from '../look.ts';
import { Loupe } from './loupe.tsx';
import { Beam, RightPath, WrongPath } from './overlays.tsx';
import { PrintedScale, scaleShift } from '../printed-scale.tsx';
import { WholeTool } from './whole-tool.tsx';

export const WIDE: StageBox = { x: 0, width: 840, height: 600 };
/** On a phone the close view has all the width, so that its last digit can be read. */
export const NARROW: StageBox = { x: 240, width: 600, height: 600 };
const CLOSE = { x: 478, y: 18, width: 380, height: 564 };
/** Where the close view can be, with room beside it for what is drawn at its wall. */
const FRAME: Window = { x: CLOSE.x - CLOSE.width / 2 - 80, y: CLOSE.y, width: CLOSE.width + 160, height: CLOSE.height };
export const WHOLE = { x: 118, y: 34, width: 196, height: 520 };
const EYE_X = 316;
/** So much of the close view is left while a reading is typed on a phone. */
const TYPED = 370;

/** What a family adds to the drawing of the tool. */
interface Additions {
  /** Behind the whole tool, at its scale; the axis is at x = 0, the top at y = 0. */
  readonly behind?: (scale: number) => ReactNode;
  /** Beside the whole tool, or, on a phone, beside the close view. */
  readonly beside?: (box: StageBox) => ReactNode;
  /** The name stands above the tool, where something stands below it. */
  readonly nameAbove?: boolean;
  /** Where the eye looks, in mm below the top; where the mark is when nothing is said. */
  readonly lookedAt?: number;
}

interface WholeViewProps extends Additions {
  readonly picture: Upright;
  readonly name: string;
  readonly view: View;
  readonly markAt: number;
  /** Width of the close view’s tool, in pixels. */
  readonly width: number;
}

/** The whole tool beside the close view, with lines that say which part of it is seen close. */
function WholeView({
  picture,
  name,
  view,
  markAt,
  width,
  behind,
  beside,
  nameAbove = false,
}: WholeViewProps): ReactNode {
  const shown = useMemo((): [number, number] => [view.topY, view.topY + view.height / view.scale], [view]);
  const scale = Math.min(WHOLE.height / picture.height, WHOLE.width / (2 * picture.look.silhouette(picture).halfWidth));
  const top = WHOLE.y + (WHOLE.height - picture.height * scale) / 2;
  const edge = Math.max((printedWidth(picture) * scale) / 2, 8) + 10;
  return (
    <>
      <g transform={`translate(${WHOLE.x} ${top})`}>
        {behind?.(scale)}
        <WholeTool picture={picture} scale={scale} shown={shown} markAt={markAt} />
      </g>
      {beside?.(WIDE)}
      <text
        x={WHOLE.x}
        y={nameAbove ? 22 : WIDE.height - 14}
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
  onRestEye,
  loupe = false,
  closed = false,
  wrongPath = [],
  rightPath = [],
  ...additions
}: Omit<StageProps<Upright, unknown>, 'state' | 'handling'> & Additions): ReactNode {
  const markAt = useMarkAt(sight);
  const fixed = additions.lookedAt;
  const lookedAt = fixed ?? markAt;
  const view = useMemo(() => closeView(picture, lookedAt, CLOSE.width, CLOSE.height), [picture, lookedAt]);
  const aim = useMemo(() => (fixed === undefined ? sight : aimedAt(sight, fixed)), [fixed, sight]);
  const box = useNarrow() ? NARROW : WIDE;
  const [held, setHeld] = useState(false);
  const letGo = (): void => setHeld(false);
  const width = printedWidth(picture) * view.scale;
  const wrongEye = wrongPath.some((piece) => piece.kind === 'sight');
  const shift = useCallback((seen: Seen) => scaleShift(picture, view, seen), [picture, view]);
  const shiftOfBody = useCallback((seen: Seen) => bodyShift(picture, view, seen), [picture, view]);
  const typing = useTyping();
  const markY = CLOSE.y + (lookedAt - view.topY) * view.scale;
  const from = Math.min(Math.max(markY - TYPED / 2, 0), box.height - TYPED);
  const part = typing && box === NARROW ? { from, to: from + TYPED } : undefined;
  const atClose = `translate(${CLOSE.x} ${CLOSE.y})`;
  return (
    <Stage box={box} part={part} label={`${name}. Choose “In words” for a description.`}>
      <Layer box={box}>
        {box === WIDE && (
          <WholeView picture={picture} name={name} view={view} markAt={markAt} width={width} {...additions} />
        )}
        {box === NARROW && additions.beside?.(NARROW)}
      </Layer>
      <SlidingLayer box={box} window={FRAME} sight={sight} shift={shiftOfBody}>
        <g transform={atClose}>{picture.look.still({ picture, view })}</g>
      </SlidingLayer>
      <Layer box={box} window={FRAME}>
        <g transform={atClose}>{picture.look.moving({ picture, view, sight })}</g>
      </Layer>
      <SlidingLayer box={box} window={FRAME} sight={sight} shift={shift}>
        <g transform={atClose}>
          <PrintedScale picture={picture} view={view} />
        </g>
      </SlidingLayer>
      <Layer box={box} touched>
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
      </Layer>
    </Stage>
  );
}
