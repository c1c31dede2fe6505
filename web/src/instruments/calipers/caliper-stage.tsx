import { type CaliperPicture, type RevealStep, withArticle } from '@green-beam/core';
import { useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { aside } from '../sight/aside.ts';
import { EyeAcross } from '../sight/eye-across.tsx';
import type { HeldState } from '../jaws/held-state.ts';
import { LookedAt } from '../looked-at.tsx';
import { Layer, SlidingLayer, Stage, type StageBox, type Window } from '../layers.tsx';
import type { Seen, Sight } from '../sight/sight.ts';
import { HandleArea, SlideHandle } from '../jaws/slide-handle.tsx';
import type { StageProps } from '../view.ts';
import { facesOf } from './faces-of.ts';
import { at, coincidingLine, EYE_RANGE, EYE_RUN, glassView, middleView, vernierLength, type View } from './geometry.ts';
import { GlassRail } from './glass-rail.tsx';
import { MainScale, VernierScale } from './scales.tsx';
import { PartNames, WholeCaliper } from './whole-caliper.tsx';

interface Layout {
  readonly box: StageBox;
  readonly x: number;
  readonly width: number;
}

const WIDE: Layout = { box: { x: 0, width: 840, height: 600 }, x: 30, width: 780 };
const NARROW: Layout = { box: { x: 0, width: 460, height: 600 }, x: 10, width: 440 };
/** Heights of the three views: the whole tool, the whole vernier, and what lies under the glass. */
const WHOLE_Y = 66;
const MIDDLE = { y: 220, half: 40 };
const GLASS = { y: 328, half: 74 };
/** What is left of the stage while a reading is typed on a phone: the vernier, and what is under the glass. */
const TYPED = { from: MIDDLE.y - 8, to: GLASS.y + 2 * GLASS.half + 4 };
const EYE_Y = GLASS.y + 2 * GLASS.half + 76;

interface EyeProps {
  readonly x: number;
  readonly sight: Sight;
  readonly disabled: boolean;
  readonly onRest: (height: number) => void;
}

/** The eye over the glass, to the left or the right of what is looked at. */
function EyeOver({ x, sight, disabled, onRest }: EyeProps): ReactNode {
  const perMillimetre = EYE_RUN / 100;
  const drawnAt = useCallback((seen: Seen) => [x + seen.height * perMillimetre, EYE_Y] as const, [x, perMillimetre]);
  const place = useCallback(
    (to: number) => Math.round(Math.min(EYE_RANGE, Math.max(-EYE_RANGE, (to - x) / perMillimetre)) * 10) / 10,
    [x, perMillimetre],
  );
  const reach = EYE_RANGE * perMillimetre;
  return (
    <EyeAcross
      sight={sight}
      disabled={disabled}
      reach={EYE_RANGE}
      lookedAt="the lines"
      rail={{ left: x - reach, right: x + reach, y: EYE_Y }}
      drawnAt={drawnAt}
      place={place}
      onRest={onRest}
    />
  );
}

interface PairProps {
  readonly picture: CaliperPicture;
  /** The view when the vernier’s zero stands at the main zero: what moves is the main scale under it. */
  readonly view: View;
  readonly layout: Layout;
  readonly y: number;
  readonly half: number;
  readonly sight: Sight;
  readonly weight: number;
}

/** Main scale and vernier edge to edge: the main scale runs under the vernier, which slides with the eye, being a little nearer to it. */
function Pair({ picture, view, layout, y, half, sight, weight }: PairProps): ReactNode {
  const window: Window = { x: layout.x, y, width: layout.width, height: 2 * half };
  const along = useCallback(({ markAt }: Seen) => -markAt * view.scale, [view]);
  const shift = useCallback((seen: Seen) => aside(picture, seen) * view.scale, [picture, view]);
  return (
    <>
      <SlidingLayer box={layout.box} window={window} sight={sight} shift={along} way="right">
        <g transform={`translate(${layout.x} ${y})`}>
          <MainScale picture={picture} view={view} height={half} weight={weight} whole />
        </g>
      </SlidingLayer>
      <SlidingLayer box={layout.box} window={window} sight={sight} shift={shift} way="right">
        <g transform={`translate(${layout.x} ${y + half})`}>
          <VernierScale picture={picture} view={view} height={half} position={0} weight={weight} />
        </g>
      </SlidingLayer>
    </>
  );
}

interface RightLinesProps {
  readonly picture: CaliperPicture;
  readonly steps: readonly RevealStep[];
  readonly view: View;
  readonly y: number;
  readonly half: number;
}

/** The answer on the scales: the main mark passed, then the line that coincides. */
function RightLines({ picture, steps, view, y, half }: RightLinesProps): ReactNode {
  const passed = steps.find(({ kind }) => kind === 'label')?.fromY ?? null;
  const line = steps.some(({ kind }) => kind === 'estimate') ? coincidingLine(picture, picture.slideX) : null;
  const x = line === null ? null : at(view, picture.slideX + (picture.vernierMarks[line]?.x ?? 0));
  return (
    <g stroke="var(--color-beam)" strokeWidth="4" pointerEvents="none">
      {passed !== null && at(view, passed) > 0 && at(view, passed) < view.width && (
        <line x1={at(view, passed)} x2={at(view, passed)} y1={y + 0.4 * half} y2={y + half} />
      )}
      {x !== null && x > 0 && x < view.width && <line x1={x} x2={x} y1={y + 0.6 * half} y2={y + 1.5 * half} />}
    </g>
  );
}

/** What can be looked at without handling it, with where the slide stands then. */
function viewsOf({ thing, slideX, held, closedX }: CaliperPicture): { readonly name: string; readonly at: number }[] {
  return [
    { name: `on the ${thing.name}`, at: slideX },
    ...(held.turnedX === null ? [] : [{ name: 'on it turned by a right angle', at: held.turnedX }]),
    ...(closedX === null ? [] : [{ name: 'with the jaws closed', at: closedX }]),
  ];
}

/** A vernier caliper: the whole of it, its vernier, and a reading glass that is slid along the lines to find the one that coincides. */
export default function CaliperStage({
  picture,
  name,
  sight,
  state: hold,
  handling,
  onRestEye,
  closed = false,
  rightPath = [],
}: StageProps<CaliperPicture, HeldState>): ReactNode {
  const layout = useNarrow() ? NARROW : WIDE;
  const typing = useTyping();
  const [view, setView] = useState(0);
  const [over, setOver] = useState(0);
  const [named, setNamed] = useState(false);
  const faces = useMemo(() => facesOf(picture), [picture]);
  const byHand = picture.handled === 'close' && handling !== undefined;
  const views = viewsOf(picture);
  const look = (to: number): void => {
    setView(to);
    sight.moveMark(views[to]?.at ?? picture.slideX);
  };
  const answer = picture.vernierMarks[coincidingLine(picture, picture.slideX)]?.x ?? 0;
  useEffect(() => {
    if (!closed) return;
    setView(0);
    sight.moveMark(picture.slideX);
    setOver(answer);
  }, [closed, answer, picture, sight]);
  const middle = middleView(picture, 0, layout.width);
  const glass = glassView(0, over, layout.width);
  const between = byHand && !closed ? hold.between : views[view]?.name !== 'with the jaws closed';
  const turned = byHand && !closed ? hold.turned : views[view]?.at === picture.held.turnedX;
  // The depth rod comes out as far as the jaws are open.
  const scale = layout.width / (240 + Math.max(picture.slideX, picture.held.startX));
  const left = layout.x + 18 * scale;
  const whole = useMemo(() => ({ x: left, y: WHOLE_Y, scale }), [left, scale]);
  const answered: View = { ...middle, fromX: middle.fromX + picture.slideX };
  const enlarged: View = { ...glass, fromX: glass.fromX + picture.slideX };
  const onThing = !closed || view === 0;
  return (
    <>
      <Stage
        box={layout.box}
        part={typing ? TYPED : undefined}
        label={`${name}${between ? ` with ${withArticle(picture.thing.name)}` : ' with nothing between its jaws'}. Choose “In words” for a description.`}
      >
        <WholeCaliper picture={picture} sight={sight} box={layout.box} at={whole} between={between} turned={turned} />
        <Layer box={layout.box}>
          <text x={layout.x} y="14" fontSize="15" fill="var(--color-muted)">
            {name}, main scale in cm
          </text>
        </Layer>
        <Pair
          picture={picture}
          view={middle}
          layout={layout}
          y={MIDDLE.y}
          half={MIDDLE.half}
          sight={sight}
          weight={1}
        />
        <Pair picture={picture} view={glass} layout={layout} y={GLASS.y} half={GLASS.half} sight={sight} weight={1.5} />
        <Layer box={layout.box} touched>
          <rect
            x={layout.x}
            y={GLASS.y}
            width={layout.width}
            height={2 * GLASS.half}
            rx="10"
            fill="none"
            stroke="var(--color-beam)"
            strokeWidth="2.4"
            pointerEvents="none"
          />
          <g transform={`translate(${layout.x} 0)`}>
            {onThing && (
              <RightLines picture={picture} steps={rightPath} view={answered} y={MIDDLE.y} half={MIDDLE.half} />
            )}
            {onThing && (
              <RightLines picture={picture} steps={rightPath} view={enlarged} y={GLASS.y} half={GLASS.half} />
            )}
            <GlassRail
              over={over}
              length={vernierLength(picture)}
              scale={middle.scale}
              zeroAt={at(middle, 0)}
              y={MIDDLE.y - 5}
              height={2 * MIDDLE.half + 10}
              onMove={setOver}
            />
          </g>
          {byHand && !closed && (
            <g transform={`translate(${left} ${WHOLE_Y})`}>
              <SlideHandle
                label="The slide"
                faces={faces}
                state={hold}
                handling={handling}
                sight={sight}
                step={0.1}
                page={10}
                perUnit={1 / scale}
                way="right"
              >
                <HandleArea x={-14 * scale} y={-14 * scale} width={220 * scale} height={58 * scale} />
              </SlideHandle>
            </g>
          )}
          {named && (
            <g transform={`translate(${left} ${WHOLE_Y})`} pointerEvents="none">
              <PartNames picture={picture} at={sight.seen().markAt} scale={scale} />
            </g>
          )}
          <EyeOver
            x={layout.x + layout.width / 2}
            sight={sight}
            disabled={!onRestEye || closed}
            onRest={onRestEye ?? (() => undefined)}
          />
        </Layer>
      </Stage>
      <div className="flex flex-wrap items-center gap-x-6">
        {!byHand && <LookedAt views={views.map((one) => one.name)} shown={view} onChange={look} />}
        <Button look="quiet" className="typing:hidden -ml-2" aria-pressed={named} onClick={() => setNamed(!named)}>
          {named ? 'Hide the names' : 'Name the parts'}
        </Button>
      </div>
    </>
  );
}
