import type { CaliperPicture } from '@green-beam/core';
import { useCallback, useId, type ReactNode } from 'react';
import { Light } from '../light.tsx';
import { Layer, SlidingLayer, type StageBox } from '../layers.tsx';
import type { Seen, Sight } from '../sight/sight.ts';
import { thingTint } from '../thing-tints.ts';
import { useDrawn } from '../sight/use-drawn.ts';

interface WholeCaliperProps {
  readonly picture: CaliperPicture;
  readonly sight: Sight;
  readonly box: StageBox;
  /** Where its main zero is drawn, and how many pixels a millimetre is. */
  readonly at: { readonly x: number; readonly y: number; readonly scale: number };
  readonly between: boolean;
  readonly turned: boolean;
}

/** Sizes of the tool in mm, from its main zero and the upper edge of its beam. */
const BEAM = { from: -14, to: 206, height: 12 };
const JAW = { height: 30, width: 9 };
const INSIDE = 13;
const EDGE = '#6d8078';
const BRIGHT = '#f8faf9';
/** The ground face of a jaw, a hair inside its edge. */
const MEASURING_FACE = `M-0.5 ${BEAM.height + 1}V${BEAM.height + JAW.height - 1}`;

interface ThingProps extends Omit<WholeCaliperProps, 'box' | 'at' | 'between'> {
  readonly size: number;
}

/** Something between the outside jaws; what is soft gives way to them. */
function Outside({ picture, sight, size, turned }: ThingProps): ReactNode {
  const closed = picture.closedX ?? 0;
  const oval = picture.held.turnedX !== null;
  const body = useDrawn<SVGRectElement>(
    sight,
    useCallback(
      ({ markAt }: Seen) => ({ width: Math.max(0.1, Math.min(size, markAt - closed)).toFixed(3) }),
      [size, closed],
    ),
  );
  const round = oval ? size / 2 : 1.5;
  return (
    <rect
      ref={body}
      x="0"
      y={BEAM.height + (oval ? 5 : 8)}
      height={oval ? Math.min(24, turned ? size * 1.04 : size * 0.96) : 15}
      rx={round}
      fill={thingTint(picture.thing.name)}
      stroke="#13251f"
    />
  );
}

/** A tube about the inside jaws, cut open. */
function Inside({ picture, size }: Pick<ThingProps, 'picture' | 'size'>): ReactNode {
  return (
    <path
      d={`M-5 -14H0V-3H-5ZM${size} -14H${size + 5}V-3H${size}Z`}
      fill={thingTint(picture.thing.name)}
      stroke="#13251f"
    />
  );
}

/** A vessel whose rim the beam’s end rests on, cut open. */
function Deep({ picture, size }: Pick<ThingProps, 'picture' | 'size'>): ReactNode {
  const { to, height } = BEAM;
  return (
    <path
      d={`M${to} -12H${to + size + 2.5}V${height + 12}H${to}V${height + 9.5}H${to + size}V-9.5H${to}Z`}
      fill={thingTint(picture.thing.name)}
      fillOpacity="0.8"
      stroke="#13251f"
    />
  );
}

/** The part of the stage it is drawn in, from a little above its inside jaws to a little below the outside ones. */
const ROOM = { above: 34, below: 60 };

/** A caliper at true proportion: beam, fixed and moving jaws outside and inside, slide, lock screw and depth rod. Slide and rod move as layers of their own. */
export function WholeCaliper({ picture, sight, box, at, between, turned }: WholeCaliperProps): ReactNode {
  const { edge, held } = picture;
  const end = (picture.vernierMarks.at(-1)?.x ?? 0) + edge;
  const moved = useCallback(({ markAt }: Seen) => markAt * at.scale, [at]);
  const size = (turned ? (held.turnedX ?? picture.slideX) : picture.slideX) - (picture.closedX ?? 0);
  const id = useId();
  const metal = {
    transform: `translate(${at.x} ${at.y}) scale(${at.scale})`,
    fill: `url(#${id}-bar)`,
    stroke: EDGE,
    strokeWidth: 1.1 / at.scale,
    strokeLinejoin: 'round',
  } as const;
  const window = {
    x: box.x,
    y: at.y - ROOM.above * at.scale,
    width: box.width,
    height: (ROOM.above + ROOM.below) * at.scale,
  };
  return (
    <>
      <SlidingLayer box={box} window={window} sight={sight} shift={moved} way="right">
        <g {...metal}>
          <rect x={BEAM.from} y={BEAM.height / 2 - 0.9} width={BEAM.to - BEAM.from} height="1.8" />
        </g>
      </SlidingLayer>
      <Layer box={box}>
        <Light id={id} names={['bar', 'slide', 'jaw', 'rider']} />
        <g {...metal}>
          <rect x={BEAM.from} width={BEAM.to - BEAM.from} height={BEAM.height} />
          <g fill={`url(#${id}-jaw)`}>
            <path d={`M${BEAM.from} 0V${-INSIDE + 4}H-5L0 ${-INSIDE}V0Z`} />
            <path
              d={`M${BEAM.from} ${BEAM.height}H0V${BEAM.height + JAW.height}H-2L${-JAW.width} ${BEAM.height + 10}Z`}
            />
          </g>
          <path d={MEASURING_FACE} stroke={BRIGHT} strokeWidth={2.2 / at.scale} />
          {between && held.use === 'outside' && <Outside picture={picture} sight={sight} size={size} turned={turned} />}
        </g>
      </Layer>
      <SlidingLayer box={box} window={window} sight={sight} shift={moved} way="right">
        <g {...metal}>
          <g fill={`url(#${id}-jaw)`}>
            <path
              d={`M0 ${BEAM.height}H${JAW.width + 5}L${JAW.width} ${BEAM.height + 10}L2 ${BEAM.height + JAW.height}H0Z`}
            />
            <path d={`M0 0V${-INSIDE}L5 ${-INSIDE + 4}H12V0Z`} />
          </g>
          <path d={MEASURING_FACE} transform="scale(-1 1)" stroke={BRIGHT} strokeWidth={2.2 / at.scale} />
          <rect
            x={Math.min(-edge, 0)}
            y={BEAM.height * 0.42}
            width={end + Math.max(edge, 0)}
            height={BEAM.height * 0.58 + 5}
            rx="0.8"
            fill={`url(#${id}-slide)`}
          />
          <rect x={end - 7} y={-3.4} width="5" height="3.8" rx="0.6" fill={`url(#${id}-rider)`} />
          {[1, 2, 3, 4].map((groove) => (
            <line
              key={groove}
              x1={end - 7 + groove}
              x2={end - 7 + groove}
              y1={-3.2}
              y2={0.2}
              stroke="#3d4b45"
              strokeWidth={0.8 / at.scale}
            />
          ))}
          <rect x={end - 18} y={BEAM.height + 4.6} width="11" height="3" rx="1.2" fill={`url(#${id}-rider)`} />
          {Array.from({ length: 9 }, (_, groove) => (
            <line
              key={groove}
              x1={end - 17 + groove * 1.12}
              x2={end - 17 + groove * 1.12}
              y1={BEAM.height + 5}
              y2={BEAM.height + 7.3}
              stroke="#3d4b45"
              strokeWidth={0.8 / at.scale}
            />
          ))}
        </g>
      </SlidingLayer>
      <Layer box={box}>
        <g {...metal}>
          {between && held.use === 'inside' && <Inside picture={picture} size={size} />}
          {between && held.use === 'depth' && <Deep picture={picture} size={size} />}
          <g stroke="#13251f" strokeWidth={0.7 / at.scale}>
            {picture.marks
              .filter(({ rank }) => rank !== 'short')
              .map(({ x, rank }) => (
                <line
                  key={x}
                  x1={x}
                  x2={x}
                  y1={BEAM.height * 0.42}
                  y2={BEAM.height * (rank === 'long' ? 0.12 : 0.24)}
                />
              ))}
          </g>
        </g>
      </Layer>
    </>
  );
}

/** The parts by their names, beside where they are when the slide stands at a place. */
export function PartNames({
  picture,
  at,
  scale,
}: {
  readonly picture: CaliperPicture;
  readonly at: number;
  readonly scale: number;
}): ReactNode {
  const end = at + (picture.vernierMarks.at(-1)?.x ?? 0) + picture.edge;
  const names: readonly (readonly [name: string, x: number, y: number, toX: number, toY: number])[] = [
    ['inside jaws', at + 20, -10, at + 7, -6],
    ['outside jaws', at + 34, 40, at + 4, 34],
    ['lock screw', end + 18, -4, end - 4, -2],
    ['vernier', end + 18, 27, end - 8, 14],
    ['main scale', Math.min(176, end + 52), -9, Math.min(176, end + 40), 2],
    ['depth rod', 176, 27, BEAM.to + Math.min(6, at / 2), 7],
  ];
  return (
    <g fontSize="14" fill="var(--color-ink)" stroke="none">
      {names.map(([name, x, y, toX, toY]) => (
        <g key={name}>
          <line
            x1={x * scale}
            y1={y * scale}
            x2={toX * scale}
            y2={toY * scale}
            stroke="var(--color-beam)"
            strokeWidth="1.6"
          />
          <circle cx={toX * scale} cy={toY * scale} r="3" fill="var(--color-beam)" />
          <text
            x={x * scale}
            y={y * scale}
            dy="0.35em"
            stroke="var(--color-paper)"
            strokeWidth="5"
            paintOrder="stroke"
            fill="var(--color-ink)"
          >
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
