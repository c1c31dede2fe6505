import type { BeamPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { Light } from '../light.tsx';
import { thingTint } from '../thing-tints.ts';
import type { BalanceLayout } from './geometry.ts';

interface PanProps {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
  readonly vessel: boolean;
  readonly thing: boolean;
  readonly free: boolean;
}

interface LadenProps {
  readonly x: number;
  readonly y: number;
  readonly vessel: boolean;
  readonly thing: string | null;
  readonly count: number;
}

/** A vessel standing on a pan, with or without the thing in it. `y` is the pan’s upper side. */
function Laden({ x, y, vessel, thing, count }: LadenProps): ReactNode {
  return (
    <g strokeLinejoin="round">
      {thing !== null && count === 1 && (
        <path
          d={`M${x - 19} ${y - (vessel ? 3 : 0)}q-3 -19 10 -23q14 -5 23 3q8 8 5 20Z`}
          fill={thingTint(thing)}
          stroke="#13251f"
          strokeWidth="1.2"
        />
      )}
      {thing !== null &&
        count > 1 &&
        Array.from({ length: count }, (_, i) => (
          <rect
            key={i}
            x={x - 26 + (i % 4) * 13}
            y={y - (vessel ? 3 : 0) - 9 - Math.floor(i / 4) * 10}
            width="12"
            height="9"
            rx="3"
            fill={thingTint(thing)}
            stroke="#13251f"
          />
        ))}
      {vessel && (
        <path
          d={`M${x - 32} ${y - 24}L${x - 28} ${y - 4}Q${x - 27} ${y} ${x - 22} ${y}H${x + 22}Q${x + 27} ${y} ${x + 28} ${y - 4}L${x + 32} ${y - 24}`}
          fill="rgb(120 170 180 / 0.18)"
          stroke="#4c6a72"
          strokeWidth="1.8"
        />
      )}
    </g>
  );
}

/** The pan at the end of the arm, standing on it or hanging from it, with what is on it. */
export function Pan({ picture, layout, vessel, thing, free }: PanProps): ReactNode {
  const id = useId();
  const { pivot, scale, baseY } = layout;
  const x = pivot.x - picture.arm * scale;
  const hangs = picture.pan === 'hangs';
  const y = hangs ? (picture.under === null ? baseY - 74 : pivot.y + 50) : pivot.y - 34;
  const hung = picture.under !== null && thing;
  return (
    <g fill={`url(#${id}-pan)`} stroke="#6d8078" strokeWidth="1.4">
      <Light id={id} names={['pan']} />
      {hangs ? (
        <path
          d={`M${x} ${pivot.y + 4}V${pivot.y + 22}M${x} ${pivot.y + 22}L${x - 48} ${y}M${x} ${pivot.y + 22}L${x + 48} ${y}`}
          fill="none"
        />
      ) : (
        <rect x={x - 4} y={y} width="8" height={pivot.y - 5 - y} />
      )}
      <path d={`M${x - 54} ${y}H${x + 54}L${x + 44} ${y + 7}H${x - 44}Z`} />
      <Laden
        x={x}
        y={y}
        vessel={vessel}
        thing={thing && !hung ? picture.thing.name : null}
        count={picture.thing.count}
      />
      {hung && (
        <g stroke="#13251f">
          <line x1={x} x2={x - (free ? 0 : 26)} y1={y + 7} y2={baseY - 80} strokeWidth="1" />
          <ellipse cx={x - (free ? 0 : 26)} cy={baseY - 66} rx="17" ry="14" fill={thingTint(picture.thing.name)} />
        </g>
      )}
    </g>
  );
}

/** The platform under a pan that hangs, on which a beaker can stand. */
export function Platform({ layout, picture }: Pick<PanProps, 'layout' | 'picture'>): ReactNode {
  const x = layout.pivot.x - picture.arm * layout.scale;
  const y = layout.baseY - 40;
  const id = useId();
  if (picture.pan !== 'hangs') return null;
  return (
    <>
      <Light id={id} names={['pan']} />
      {picture.under !== null && (
        <g>
          <rect x={x - 43} y={y - 52} width="86" height="51" fill="#2f7ea8" fillOpacity="0.28" />
          <path
            d={`M${x - 46} ${y - 66}L${x - 43} ${y - 62}V${y}H${x + 43}V${y - 62}L${x + 46} ${y - 66}`}
            fill="none"
            stroke="#4c6a72"
            strokeWidth="1.8"
          />
        </g>
      )}
      <path
        d={`M${x - 62} ${layout.baseY - 40}H${x + 62}V${layout.baseY - 34}H${x + 6}V${layout.baseY - 16}H${x - 6}V${layout.baseY - 34}H${x - 62}Z`}
        fill={`url(#${id}-pan)`}
        stroke="#6d8078"
      />
    </>
  );
}
