import type { DisplayPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { thingTint } from '../thing-tints.ts';

interface DigitalCaliperProps {
  readonly picture: DisplayPicture;
  /** What is lit, with its unit. */
  readonly shown: string;
  /** How far its jaws are open, in mm. */
  readonly open: number;
  readonly between: boolean;
}

/** Pixels for a millimetre, and where the fixed jaw stands. */
export const CALIPER_SCALE = 3;
const ZERO = 110;
const BEAM_Y = 250;
const METAL = '#c9cfcc';
const EDGE = '#6d8078';

/** How thick the thing is drawn, in mm. */
function sizeOf({ jaws, views }: DisplayPicture): number {
  return jaws ? jaws.touchesX - jaws.closedX : Number(views[0].characters.replace('−', '-'));
}

/** A caliper with a display on its slide. */
export function DigitalCaliper({ picture, shown, open, between }: DigitalCaliperProps): ReactNode {
  const numerals = useNumerals();
  const [characters = '', unit = ''] = shown.split(' ');
  const jaw = ZERO + Math.max(0, open) * CALIPER_SCALE;
  const size = sizeOf(picture);
  return (
    <g className="own-ink" fill={METAL} stroke={EDGE} strokeWidth="1.4" strokeLinejoin="round">
      <rect x={ZERO - 46} y={BEAM_Y} width="770" height="40" />
      <path d={`M${ZERO - 46} ${BEAM_Y}V${BEAM_Y - 28}H${ZERO - 16}L${ZERO} ${BEAM_Y - 42}V${BEAM_Y}Z`} />
      <path d={`M${ZERO - 46} ${BEAM_Y + 40}H${ZERO}V${BEAM_Y + 136}H${ZERO - 7}L${ZERO - 28} ${BEAM_Y + 70}Z`} />
      {between && (
        <rect
          x={ZERO}
          y={BEAM_Y + 66}
          width={Math.min(size * CALIPER_SCALE, jaw - ZERO)}
          height="48"
          rx="4"
          fill={thingTint(picture.thing.name)}
          stroke="#13251f"
        />
      )}
      <path d={`M${jaw} ${BEAM_Y + 40}H${jaw + 44}L${jaw + 28} ${BEAM_Y + 70}L${jaw + 7} ${BEAM_Y + 136}H${jaw}Z`} />
      <path d={`M${jaw} ${BEAM_Y}V${BEAM_Y - 42}L${jaw + 16} ${BEAM_Y - 28}H${jaw + 40}V${BEAM_Y}Z`} />
      <rect x={jaw} y={BEAM_Y - 26} width="236" height="96" rx="8" fill="#4c5b53" stroke="#2c3d36" />
      <rect x={jaw + 12} y={BEAM_Y - 14} width="170" height="56" rx="4" fill="#c7d3c4" stroke="#2c3d36" />
      <text
        x={jaw + 148}
        y={BEAM_Y + 26}
        textAnchor="end"
        fontSize="30"
        className="font-mono"
        fill="#13251f"
        stroke="none"
        data-display={characters}
      >
        {numerals(characters)}
      </text>
      <text x={jaw + 152} y={BEAM_Y + 26} fontSize="15" fill="#13251f" stroke="none">
        {unit}
      </text>
      <circle cx={jaw + 209} cy={BEAM_Y + 12} r="13" fill="#dfe4e1" />
      <text x={jaw + 209} y={BEAM_Y + 46} textAnchor="middle" fontSize="13" fill="#f6f6f1" stroke="none">
        zero
      </text>
    </g>
  );
}
