import type { PathPiece, RevealStep, RulerPicture } from '@green-beam/core';
import { memo, useCallback, useMemo, type ReactNode } from 'react';
import { EyeSlider } from '../eye-slider.tsx';
import { Sheet, SlidingSheet, Stage, type StageBox, type Window } from '../sheets.tsx';
import type { Seen, Sight } from '../sight.ts';
import type { StageProps } from '../stage-props.ts';
import { useDrawn, type Drawn } from '../use-drawn.ts';
import { apparentX, aside, closeView, EYE_RANGE, EYE_RUN, eyeAsideAt, eyeX, type View } from './geometry.ts';

const BOX: StageBox = { x: 0, width: 840, height: 600 };
const WHOLE = { x: 30, y: 44, width: 780 };
const CLOSE = { x: 40, y: 150, width: 760 };
/** Edges of the close ruler and of the thing below it, in pixels below the close view’s top. */
const BAND = { top: 10, edge: 140, thing: 290 };
const EYE_Y = BAND.edge + EYE_RUN;
const LENGTHS = { long: 46, medium: 34, short: 23 } as const;
const FRAME: Window = { x: CLOSE.x - 20, y: CLOSE.y, width: CLOSE.width + 40, height: BAND.thing + 20 };

const TINTS: Readonly<Record<string, string>> = { 'slate tile': '#5f6b70', 'ebony peg': '#3b302b', 'acrylic rod': '#b9d3d6', 'bronze deck nail': '#a8743d', 'brass bush': '#c49a3f' };

interface OnView {
  readonly picture: RulerPicture;
  readonly view: View;
}

/** The close ruler: boxwood with engraved lines along its lower edge. */
const RulerBand = memo(function RulerBand({ picture, view }: OnView): ReactNode {
  const x = (mm: number): number => (mm - view.fromX) * view.scale;
  const [left, right] = [Math.max(-20, x(0)), Math.min(view.width + 20, x(picture.length))];
  return (
    <g className="own-ink">
      <rect x={left} y={BAND.top} width={right - left} height={BAND.edge - BAND.top} fill="#efe3c4" stroke="#a8946a" strokeWidth="1.6" />
      <rect x={left} y={BAND.edge - 9} width={right - left} height="9" fill="#dccb9c" opacity="0.7" />
      <g stroke="var(--color-ink)" fill="var(--color-ink)">
        {picture.marks.map((mark) => {
          const at = x(mark.x);
          if (at < -22 || at > view.width + 22) return null;
          return (
            <g key={mark.x} data-mark={mark.label ?? ''}>
              <line x1={at} x2={at} y1={BAND.edge} y2={BAND.edge - LENGTHS[mark.rank]} strokeWidth={mark.rank === 'long' ? 2.2 : 1.8} />
              {mark.label !== null && (
                <text x={at} y={BAND.edge - LENGTHS.long - 14} textAnchor="middle" stroke="none" fontSize="26" className="font-mono">
                  {mark.label}
                </text>
              )}
            </g>
          );
        })}
      </g>
      <text x={right - 14} y={BAND.top + 26} textAnchor="end" fontSize="16" fill="#6b5a34">
        {picture.unitMark}
      </text>
    </g>
  );
});

/** The thing, a little below the scale. */
function Thing({ picture, view }: OnView): ReactNode {
  const x = (mm: number): number => (mm - view.fromX) * view.scale;
  const [left, right] = [Math.max(-60, x(picture.thing.fromX)), Math.min(view.width + 60, x(picture.thing.toX))];
  const tint = TINTS[picture.thing.name] ?? '#5f6b70';
  return (
    <g>
      <rect x={left} y={BAND.edge - 6} width={right - left} height={BAND.thing - BAND.edge} rx="3" fill={tint} stroke="var(--color-ink)" strokeWidth="1.4" />
      <rect x={left} y={BAND.edge + 10} width={right - left} height="12" fill="#ffffff" opacity="0.14" />
      <line x1={right} x2={right} y1={BAND.edge - 6} y2={BAND.thing - 7} stroke="var(--color-ink)" strokeWidth="2.4" />
    </g>
  );
}

/** The whole ruler, with the whole thing at it: where it begins is read here. */
function WholeRuler({ picture, view }: OnView): ReactNode {
  const scale = WHOLE.width / picture.length;
  const [first, second] = picture.marks;
  const spacing = first && second ? (second.x - first.x) * scale : 4;
  const labels = picture.marks.filter((mark) => mark.label !== null);
  const every = Math.max(1, Math.ceil((9 * (labels.at(-1)?.label?.length ?? 1) + 8) / (((labels[1]?.x ?? 10) - (labels[0]?.x ?? 0)) * scale)));
  return (
    <g transform={`translate(${WHOLE.x} ${WHOLE.y})`} className="own-ink">
      <rect width={WHOLE.width} height="34" fill="#efe3c4" stroke="#a8946a" strokeWidth="1.2" />
      {picture.marks.map((mark) => (mark.rank !== 'long' && spacing < 2.4 && mark.rank === 'short' ? null : <line key={mark.x} x1={mark.x * scale} x2={mark.x * scale} y1="34" y2={34 - LENGTHS[mark.rank] / 3} stroke="var(--color-ink)" strokeWidth={mark.rank === 'long' ? 1.2 : 0.7} />))}
      {labels.map((mark, i) => (i % every === 0 ? <text key={mark.x} x={mark.x * scale} y="15" textAnchor="middle" fontSize="13" fill="var(--color-ink)" className="font-mono">{mark.label}</text> : null))}
      <rect x={picture.thing.fromX * scale} y="35" width={Math.max(1, (picture.thing.toX - picture.thing.fromX) * scale)} height="18" rx="1.5" fill={TINTS[picture.thing.name] ?? '#5f6b70'} stroke="var(--color-ink)" strokeWidth="0.8" />
      <rect x={view.fromX * scale} y="-7" width={(view.width / view.scale) * scale} height="67" fill="none" stroke="var(--color-beam)" strokeWidth="1.6" />
    </g>
  );
}

function Beam({ picture, view, sight, wrong }: OnView & { readonly sight: Sight; readonly wrong: boolean }): ReactNode {
  const beam = useDrawn<SVGPathElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const [at, eye] = [apparentX(picture, view, seen), eyeX(picture, view, seen)];
        return { d: `M${at - 1.1} ${BAND.edge - 12}L${eye - 1.1} ${EYE_Y - 17}H${eye + 1.1}L${at + 1.1} ${BAND.edge - 12}Z` };
      },
      [picture, view],
    ),
  );
  return <path ref={beam} fill={wrong ? 'var(--color-slip-pale)' : 'var(--color-beam-bright)'} stroke={wrong ? 'var(--color-slip)' : 'var(--color-beam)'} strokeWidth="1.2" strokeLinejoin="round" pointerEvents="none" />;
}

interface EyeAsideProps extends OnView {
  readonly sight: Sight;
  readonly disabled: boolean;
  readonly onRest: (at: number) => void;
}

function spokenAside(height: number): string {
  const distance = Math.round(Math.abs(height));
  return distance === 0 ? 'straight over the end' : `${distance} millimetres to the ${height > 0 ? 'right' : 'left'} of the end`;
}

/** The eye below the ruler: to the left or the right of the end that is read. */
function EyeRailAcross({ picture, view, sight, disabled, onRest }: EyeAsideProps): ReactNode {
  const [left, right] = [-EYE_RANGE, EYE_RANGE].map((height) => eyeX(picture, view, { height, markAt: 0 })) as [number, number];
  const drawnAt = useCallback((seen: Seen) => [eyeX(picture, view, seen), EYE_Y] as const, [picture, view]);
  const place = useCallback((x: number) => eyeAsideAt(picture, view, x), [picture, view]);
  return (
    <EyeSlider label="How far your eye is to the side" across sight={sight} disabled={disabled} reach={EYE_RANGE} spoken={spokenAside} drawnAt={drawnAt} place={place} onRest={onRest}>
      <rect x={left - 30} y={EYE_Y - 34} width={right - left + 60} height="68" fill="transparent" />
      <line x1={left} x2={right} y1={EYE_Y} y2={EYE_Y} stroke="var(--color-rail)" strokeWidth="2" />
    </EyeSlider>
  );
}

function WrongPath({ view, pieces }: { readonly view: View; readonly pieces: readonly PathPiece[] }): ReactNode {
  const x = (mm: number): number => Math.min(view.width + 10, Math.max(-10, (mm - view.fromX) * view.scale));
  return (
    <g fill="var(--color-slip)" stroke="var(--color-slip)" fontSize="15">
      {pieces.map((piece) =>
        piece.kind === 'span' ? (
          <g key={piece.text}>
            <path d={`M${x(piece.fromY)} ${BAND.top - 4}V${BAND.top - 12}H${x(piece.toY)}V${BAND.top - 4}`} fill="none" strokeWidth="2" />
            <text x={(x(piece.fromY) + x(piece.toY)) / 2} y={BAND.top - 18} textAnchor="middle" stroke="none">{piece.text}</text>
          </g>
        ) : (
          <text key={piece.text} x={view.width / 2} y={EYE_Y - 48} textAnchor="middle" stroke="none">{piece.text}</text>
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
        if (kind === 'division') return <path key={kind} d={`M${Math.max(-10, x(from))} ${BAND.top + 4}V${BAND.top - 6}H${Math.min(view.width + 10, x(to))}V${BAND.top + 4}`} strokeWidth="2" strokeDasharray="3 4" />;
        if (kind === 'estimate') return <rect key={kind} x={x(from)} y={BAND.edge - LENGTHS.long} width={Math.max(2, x(to) - x(from))} height={LENGTHS.long} fill="var(--color-beam-bright)" fillOpacity="0.45" strokeWidth="1" />;
        return picture.marks.filter((mark) => mark.x >= from - 1e-3 && mark.x <= to + 1e-3).map((mark) => <line key={`${kind}${mark.x}`} x1={x(mark.x)} x2={x(mark.x)} y1={BAND.edge} y2={BAND.edge - LENGTHS[kind === 'label' ? 'long' : 'short']} strokeWidth={kind === 'label' ? 4 : 3} />);
      })}
    </g>
  );
}

interface RulerStageProps extends StageProps {
  readonly picture: RulerPicture;
}

/** A thing at a ruler: the whole of both, and the end that is read seen close, with the eye over it. */
export function RulerStage({ picture, name, sight, onRestEye, loupe = false, closed = false, wrongPath = [], rightPath = [] }: RulerStageProps): ReactNode {
  const view = useMemo(() => {
    const plain = closeView(picture, CLOSE.width);
    if (!loupe) return plain;
    const scale = plain.scale * 3;
    return { ...plain, scale, fromX: picture.thing.toX - CLOSE.width / 2 / scale };
  }, [picture, loupe]);
  const shift = useCallback((seen: Seen) => aside(picture, seen) * view.scale, [picture, view]);
  const atClose = `translate(${CLOSE.x} ${CLOSE.y})`;
  return (
    <Stage box={BOX} label={`${name} with a ${picture.thing.name} at it. Turn on the description in words to read it without seeing it.`}>
      <Sheet box={BOX}>
        <WholeRuler picture={picture} view={view} />
        <text x={WHOLE.x} y={WHOLE.y - 18} fontSize="15" fill="var(--color-muted)">{name}</text>
      </Sheet>
      <SlidingSheet box={BOX} window={FRAME} sight={sight} shift={shift} way="right">
        <g transform={atClose}>
          <Thing picture={picture} view={view} />
        </g>
      </SlidingSheet>
      <Sheet box={BOX} window={FRAME}>
        <g transform={atClose}>
          <RulerBand picture={picture} view={view} />
        </g>
      </Sheet>
      <Sheet box={BOX} touched>
        <g transform={atClose}>
          <RightPath picture={picture} view={view} steps={rightPath} />
          {wrongPath.length > 0 && <WrongPath view={view} pieces={wrongPath} />}
          <Beam picture={picture} view={view} sight={sight} wrong={wrongPath.some((piece) => piece.kind === 'sight')} />
          <EyeRailAcross picture={picture} view={view} sight={sight} disabled={!onRestEye || closed} onRest={onRestEye ?? (() => undefined)} />
        </g>
      </Sheet>
    </Stage>
  );
}
