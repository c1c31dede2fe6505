import { type PathPiece, type RevealStep, type RulerPicture, withArticle } from '@green-beam/core';
import { useCallback, useMemo, type ReactNode } from 'react';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { aside } from '../sight/aside.ts';
import { EyeAcross } from '../sight/eye-across.tsx';
import { Layer, SlidingLayer, Stage, type StageBox, type Window } from '../layers.tsx';
import { useMarkAt, type Seen, type Sight } from '../sight/sight.ts';
import { useDrawn, type Drawn } from '../sight/use-drawn.ts';
import type { StageProps } from '../view.ts';
import { apparentX, closeView, EYE_RANGE, EYE_RUN, eyeAsideAt, eyeX, moved, type View } from './geometry.ts';
import { LayingHandle } from './laying-handle.tsx';
import { BAND, LENGTHS, RulerBand, Thing, WholeRuler, WholeThing, type OnView } from './ruler-drawing.tsx';
import type { RulerState } from './ruler-state.ts';

/** Where the whole ruler and the close view lie on a stage of some width. */
interface Layout {
  readonly box: StageBox;
  readonly whole: { readonly x: number; readonly y: number; readonly width: number };
  readonly close: { readonly x: number; readonly y: number; readonly width: number };
}

const WIDE: Layout = {
  box: { x: 0, width: 840, height: 600 },
  whole: { x: 30, y: 44, width: 780 },
  close: { x: 40, y: 150, width: 760 },
};
/** On a phone a narrower stage is drawn larger, so that numerals and spaces can be read. */
const NARROW: Layout = {
  box: { x: 0, width: 460, height: 600 },
  whole: { x: 12, y: 44, width: 436 },
  close: { x: 24, y: 150, width: 412 },
};
/** What is left of the stage while a reading is typed on a phone. */
const TYPED = { from: 146, to: 380 };
const EYE_Y = BAND.edge + EYE_RUN;

function frameOf({ close }: Layout): Window {
  return { x: close.x - 20, y: close.y, width: close.width + 40, height: BAND.thing + 20 };
}

function Beam({ picture, view, sight, wrong }: OnView & { readonly sight: Sight; readonly wrong: boolean }): ReactNode {
  const beam = useDrawn<SVGPathElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const [at, eye] = [apparentX(picture, view, seen), eyeX(picture, view, seen)];
        return {
          d: `M${at - 1.1} ${BAND.edge - 12}L${eye - 1.1} ${EYE_Y - 17}H${eye + 1.1}L${at + 1.1} ${BAND.edge - 12}Z`,
        };
      },
      [picture, view],
    ),
  );
  return (
    <path
      ref={beam}
      fill={wrong ? 'var(--color-slip-pale)' : 'var(--color-beam-bright)'}
      stroke={wrong ? 'var(--color-slip)' : 'var(--color-beam)'}
      strokeWidth="1.2"
      strokeLinejoin="round"
      pointerEvents="none"
    />
  );
}

interface EyeAsideProps extends OnView {
  readonly sight: Sight;
  readonly disabled: boolean;
  readonly onRest: (at: number) => void;
}

/** The eye below the ruler: to the left or the right of the end that is read. */
function EyeRailAcross({ picture, view, sight, disabled, onRest }: EyeAsideProps): ReactNode {
  const markAt = useMarkAt(sight);
  const [left, right] = [-EYE_RANGE, EYE_RANGE].map((height) => eyeX(picture, view, { height, markAt })) as [
    number,
    number,
  ];
  const drawnAt = useCallback((seen: Seen) => [eyeX(picture, view, seen), EYE_Y] as const, [picture, view]);
  const place = useCallback((x: number) => eyeAsideAt(picture, view, sight.seen().markAt, x), [picture, view, sight]);
  return (
    <EyeAcross
      sight={sight}
      disabled={disabled}
      reach={EYE_RANGE}
      lookedAt="the end"
      rail={{ left, right, y: EYE_Y }}
      drawnAt={drawnAt}
      place={place}
      onRest={onRest}
    />
  );
}

function WrongPath({ view, pieces }: { readonly view: View; readonly pieces: readonly PathPiece[] }): ReactNode {
  const x = (mm: number): number => Math.min(view.width + 10, Math.max(-10, (mm - view.fromX) * view.scale));
  return (
    <g fill="var(--color-slip)" stroke="var(--color-slip)" fontSize="15">
      {pieces.map((piece) =>
        piece.kind === 'span' ? (
          <g key={piece.text}>
            <path
              d={`M${x(piece.fromY)} ${BAND.top - 4}V${BAND.top - 12}H${x(piece.toY)}V${BAND.top - 4}`}
              fill="none"
              strokeWidth="2"
            />
            <text x={(x(piece.fromY) + x(piece.toY)) / 2} y={BAND.top - 18} textAnchor="middle" stroke="none">
              {piece.text}
            </text>
          </g>
        ) : (
          <text key={piece.text} x={view.width / 2} y={EYE_Y - 48} textAnchor="middle" stroke="none">
            {piece.text}
          </text>
        ),
      )}
    </g>
  );
}

function RightPath({ picture, view, steps }: OnView & { readonly steps: readonly RevealStep[] }): ReactNode {
  const x = (mm: number): number => (mm - view.fromX) * view.scale;
  return (
    <g stroke="var(--color-beam)" fill="none" strokeWidth="3" pointerEvents="none">
      {steps.map(({ kind, fromY, toY }) => {
        if (fromY === null || toY === null) return null;
        const [from, to] = [Math.min(fromY, toY), Math.max(fromY, toY)];
        if (kind === 'division')
          return (
            <path
              key={kind}
              d={`M${Math.max(-10, x(from))} ${BAND.top + 4}V${BAND.top - 6}H${Math.min(view.width + 10, x(to))}V${BAND.top + 4}`}
              strokeWidth="2"
              strokeDasharray="3 4"
            />
          );
        if (kind === 'estimate')
          return (
            <rect
              key={kind}
              x={x(from)}
              y={BAND.edge - LENGTHS.long}
              width={Math.max(2, x(to) - x(from))}
              height={LENGTHS.long}
              fill="var(--color-beam-bright)"
              fillOpacity="0.45"
              strokeWidth="1"
            />
          );
        return picture.marks
          .filter((mark) => mark.x >= from - 1e-3 && mark.x <= to + 1e-3)
          .map((mark) => (
            <line
              key={`${kind}${mark.x}`}
              x1={x(mark.x)}
              x2={x(mark.x)}
              y1={BAND.edge}
              y2={BAND.edge - LENGTHS[kind === 'label' ? 'long' : 'short']}
              strokeWidth={kind === 'label' ? 4 : 3}
            />
          ));
      })}
    </g>
  );
}

/** A thing at a ruler: the whole of both, and the end that is read seen close, with the eye over it. */
export default function RulerStage({
  picture,
  name,
  sight,
  state: { end, restsAt },
  handling,
  onRestEye,
  loupe = false,
  closed = false,
  wrongPath = [],
  rightPath = [],
}: StageProps<RulerPicture, RulerState>): ReactNode {
  const layout = useNarrow() ? NARROW : WIDE;
  const { box, whole: wholeAt, close } = layout;
  const typing = useTyping();
  const frame = useMemo(() => frameOf(layout), [layout]);
  const view = useMemo(() => {
    const plain = closeView(picture, close.width, end, restsAt);
    if (!loupe) return plain;
    const scale = plain.scale * 3;
    return { ...plain, scale, fromX: plain.endX + restsAt - picture.thing.toX - close.width / 2 / scale };
  }, [picture, loupe, end, restsAt, close]);
  const shift = useCallback(
    (seen: Seen) => (aside(picture, seen) + moved(picture, seen)) * view.scale,
    [picture, view],
  );
  const whole = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({
        transform: `translate(${((moved(picture, seen) * wholeAt.width) / picture.length).toFixed(2)} 0)`,
      }),
      [picture, wholeAt],
    ),
  );
  const isLaid = handling && picture.handled === 'lay' && end === 'left' && !closed;
  const atClose = `translate(${close.x} ${close.y})`;
  return (
    <Stage
      box={box}
      part={typing ? TYPED : undefined}
      label={`${name} with ${withArticle(picture.thing.name)} at it. Choose “In words” for a description.`}
    >
      <Layer box={box}>
        <g transform={`translate(${wholeAt.x} ${wholeAt.y})`}>
          <g ref={whole}>
            <WholeThing picture={picture} width={wholeAt.width} />
          </g>
          <WholeRuler picture={picture} view={view} width={wholeAt.width} />
        </g>
        <text x={wholeAt.x} y={wholeAt.y - 18} fontSize="15" fill="var(--color-muted)">
          {name}
        </text>
      </Layer>
      <SlidingLayer box={box} window={frame} sight={sight} shift={shift} way="right">
        <g transform={atClose}>
          <Thing picture={picture} view={view} />
        </g>
      </SlidingLayer>
      <Layer box={box} window={frame}>
        <g transform={atClose}>
          <RulerBand picture={picture} view={view} />
        </g>
      </Layer>
      <Layer box={box} touched>
        <g transform={atClose}>
          <RightPath picture={picture} view={view} steps={rightPath} />
          {wrongPath.length > 0 && <WrongPath view={view} pieces={wrongPath} />}
          <Beam picture={picture} view={view} sight={sight} wrong={wrongPath.some((piece) => piece.kind === 'sight')} />
          {isLaid && <LayingHandle picture={picture} view={view} sight={sight} handling={handling} />}
          <EyeRailAcross
            picture={picture}
            view={view}
            sight={sight}
            disabled={!onRestEye || closed}
            onRest={onRestEye ?? (() => undefined)}
          />
        </g>
      </Layer>
    </Stage>
  );
}
