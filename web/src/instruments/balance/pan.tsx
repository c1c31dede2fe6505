import type { BeamPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { thingTint } from '../thing-tints.ts';
import type { BalanceLayout } from './geometry.ts';

interface PanProps {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
  readonly vessel: boolean;
  readonly thing: boolean;
}

interface LadenProps {
  readonly x: number;
  readonly y: number;
  readonly vessel: boolean;
  readonly thing: string | null;
}

/** A vessel standing on a pan, with or without the thing in it. `y` is the pan’s upper side. */
export function Laden({ x, y, vessel, thing }: LadenProps): ReactNode {
  return (
    <g strokeLinejoin="round">
      {thing !== null && <path d={`M${x - 19} ${y - (vessel ? 3 : 0)}q-3 -19 10 -23q14 -5 23 3q8 8 5 20Z`} fill={thingTint(thing)} stroke="#13251f" strokeWidth="1.2" />}
      {vessel && <path d={`M${x - 32} ${y - 24}L${x - 28} ${y - 4}Q${x - 27} ${y} ${x - 22} ${y}H${x + 22}Q${x + 27} ${y} ${x + 28} ${y - 4}L${x + 32} ${y - 24}`} fill="rgb(120 170 180 / 0.18)" stroke="#4c6a72" strokeWidth="1.8" />}
    </g>
  );
}

/** The pan at the end of the arm, standing on it or hanging from it, with what is on it. */
export function Pan({ picture, layout, vessel, thing }: PanProps): ReactNode {
  const { pivot, scale, baseY } = layout;
  const x = pivot.x - picture.arm * scale;
  const hangs = picture.pan === 'hangs';
  const y = hangs ? baseY - 74 : pivot.y - 34;
  return (
    <g fill="#c9cfcc" stroke="#6d8078" strokeWidth="1.4">
      {hangs ? <path d={`M${x} ${pivot.y + 4}V${pivot.y + 22}M${x} ${pivot.y + 22}L${x - 48} ${y}M${x} ${pivot.y + 22}L${x + 48} ${y}`} fill="none" /> : <rect x={x - 4} y={y} width="8" height={pivot.y - 5 - y} />}
      <path d={`M${x - 54} ${y}H${x + 54}L${x + 44} ${y + 7}H${x - 44}Z`} />
      <Laden x={x} y={y} vessel={vessel} thing={thing ? picture.thing.name : null} />
    </g>
  );
}

/** The platform under a pan that hangs, on which a beaker can stand. */
export function Platform({ layout, picture }: Pick<PanProps, 'layout' | 'picture'>): ReactNode {
  const x = layout.pivot.x - picture.arm * layout.scale;
  return picture.pan === 'hangs' ? <path d={`M${x - 62} ${layout.baseY - 40}H${x + 62}V${layout.baseY - 34}H${x + 6}V${layout.baseY - 16}H${x - 6}V${layout.baseY - 34}H${x - 62}Z`} fill="#b3bcb7" stroke="#6d8078" /> : null;
}
