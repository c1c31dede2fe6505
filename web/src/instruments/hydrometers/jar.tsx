import { useId, type ReactNode } from 'react';
import { useTyping } from '../../ui/typing.ts';
import { useNarrow } from '../../ui/use-narrow.ts';
import { Layer, Stage } from '../layers.tsx';
import { Light } from '../light.tsx';
import type { Upright } from '../upright/look.ts';
import { tintOf } from '../upright/tints.ts';
import { NARROW, WIDE } from '../upright/stage/upright-stage.tsx';
import { FLOATS, rightFloat, type Float } from './rack.ts';

interface JarProps {
  readonly picture: Upright;
  readonly float: Float;
}

/** Sizes in mm: the jar, its liquid, and how a float that does not fit the liquid stands in it. */
const JAR = { halfWidth: 34, height: 318, surface: 92 };
/** Thickness of its wall, and half the width of its foot. */
const WALL = 2.4;
const FOOT = 52;
const HIGH = 22;
/** What is left of the stage while a reading is typed on a phone: the surface, and what floats in it. */
const TYPED = { from: 110, to: 420 };
/** Shot in the foot of a float, from its axis and above its end. */
const BALLAST = [
  [-4.2, 14],
  [0, 13],
  [4.2, 14],
  [-2.2, 17.5],
  [2.2, 17.5],
] as const;

/** Where a float’s top stands, in mm below the jar’s rim: its scale above a liquid too heavy for it, itself on the floor of one too light. */
function topOf(picture: Upright, float: number): number {
  const lastMark = Math.max(...picture.marks.map(({ y }) => y));
  return float < rightFloat(picture) ? JAR.surface - lastMark - HIGH : JAR.height - picture.height - 2;
}

/** A jar of a liquid, alone or with a hydrometer of another range in it: riding with its scale above the liquid, or sunk. */
export function Jar({ picture, float }: JarProps): ReactNode {
  const box = useNarrow() ? NARROW : WIDE;
  const scale = 1.42;
  const x = box.x + box.width / 2;
  const id = useId();
  const typing = useTyping();
  const { halfWidth, height, surface } = JAR;
  // The liquid has climbed the wall a little.
  const liquid = `M${-halfWidth} ${surface - 2.5}Q${-halfWidth + 2} ${surface} ${-halfWidth + 6} ${surface}H${halfWidth - 6}Q${halfWidth - 2} ${surface} ${halfWidth} ${surface - 2.5}V${height}H${-halfWidth}Z`;
  const label =
    float === null
      ? `A jar of ${picture.liquid}`
      : float < rightFloat(picture)
        ? `A jar of ${picture.liquid}. The hydrometer rides with all of its scale above the liquid`
        : `A jar of ${picture.liquid}. The hydrometer has sunk to the bottom`;
  return (
    <Stage box={box} part={typing ? TYPED : undefined} label={label}>
      <Layer box={box}>
        <g transform={`translate(${x} 92) scale(${scale})`} strokeLinejoin="round">
          {float !== null && float < FLOATS && (
            <g transform={`translate(0 ${topOf(picture, float)})`}>
              <path d={picture.look.silhouette(picture).solid} fill="#ffffff" stroke="#6d8078" strokeWidth="1" />
              {BALLAST.map(([dx, up]) => (
                <circle key={dx} cx={dx} cy={picture.height - up} r="2.2" fill="#5f6b66" />
              ))}
              {picture.marks.map(({ y, rank }) =>
                rank === 'short' ? null : (
                  <line
                    key={y}
                    x1={-picture.bore / 2}
                    x2={rank === 'long' ? 0.6 : -0.6}
                    y1={y}
                    y2={y}
                    stroke="#13251f"
                    strokeWidth="0.4"
                  />
                ),
              )}
            </g>
          )}
          <Light id={id} names={['air', 'round', 'glass']} />
          <rect x={-halfWidth} width={2 * halfWidth} height={surface} fill={`url(#${id}-air)`} />
          <path d={liquid} fill={tintOf(picture.liquid)} fillOpacity="0.34" />
          <path d={liquid} fill={`url(#${id}-round)`} />
          <path d={liquid.replace(/V.*$/, '')} fill="none" stroke="var(--color-curve)" strokeWidth="1.2" />
          {([-1, 1] as const).map((side) => (
            <rect
              key={side}
              x={side > 0 ? halfWidth : -halfWidth - WALL}
              width={WALL}
              height={height}
              fill={`url(#${id}-glass)`}
            />
          ))}
          <path
            d={`M${-halfWidth - 6} -4Q${-halfWidth - 3} -1 ${-halfWidth - WALL} 3V${height}L${-FOOT} ${height + 12}V${height + 15}H${FOOT}V${height + 12}L${halfWidth + WALL} ${height}V3Q${halfWidth + 3} -1 ${halfWidth + 6} -4M${-halfWidth} 0V${height}H${halfWidth}V0`}
            fill="none"
            stroke="#6d8078"
            strokeWidth="1.1"
          />
          <path
            d={`M${-halfWidth - WALL} ${height}L${-FOOT} ${height + 12}V${height + 15}H${FOOT}V${height + 12}L${halfWidth + WALL} ${height}Z`}
            fill="#cfdad3"
            fillOpacity="0.7"
          />
          <text x={halfWidth + 14} y={(surface + height) / 2} fontSize="11" fill="var(--color-muted)">
            {picture.liquid}
          </text>
        </g>
      </Layer>
    </Stage>
  );
}
