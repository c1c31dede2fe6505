import type { CaliperPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { thingTint } from '../thing-tints.ts';

interface WholeCaliperProps {
  readonly picture: CaliperPicture;
  readonly position: number;
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Nothing lies between the jaws. */
  readonly closed: boolean;
}

/** Sizes of the tool in mm, from its main zero and the upper edge of its beam. */
const BEAM = { from: -14, to: 206, height: 12 };
const JAW = { height: 30, width: 9 };
const INSIDE = 13;
const METAL = '#c9cfcc';
const EDGE = '#6d8078';

/** A caliper at true proportion: beam, fixed and moving jaws outside and inside, slide, lock screw and depth rod. */
export function WholeCaliper({ picture, position, scale, closed }: WholeCaliperProps): ReactNode {
  const slide = { from: position - picture.edge, to: position + (picture.vernierMarks.at(-1)?.x ?? 0) + picture.edge };
  return (
    <g transform={`scale(${scale})`} fill={METAL} stroke={EDGE} strokeWidth={1.1 / scale} strokeLinejoin="round">
      <rect x={BEAM.to} y={BEAM.height / 2 - 0.9} width={Math.max(0, position)} height="1.8" />
      <rect x={BEAM.from} width={BEAM.to - BEAM.from} height={BEAM.height} />
      <path d={`M${BEAM.from} 0V${-INSIDE + 4}H-5L0 ${-INSIDE}V0Z`} />
      <path d={`M${BEAM.from} ${BEAM.height}H0V${BEAM.height + JAW.height}H-2L${-JAW.width} ${BEAM.height + 10}Z`} />
      {!closed && <rect x="0" y={BEAM.height + 8} width={Math.max(0, position)} height="15" rx="1.5" fill={thingTint(picture.thing.name)} stroke="#13251f" />}
      <path d={`M${position} ${BEAM.height}H${position + JAW.width + 5}L${position + JAW.width} ${BEAM.height + 10}L${position + 2} ${BEAM.height + JAW.height}H${position}Z`} />
      <path d={`M${position} 0V${-INSIDE}L${position + 5} ${-INSIDE + 4}H${position + 12}V0Z`} />
      <rect x={Math.min(slide.from, position)} y={BEAM.height * 0.42} width={slide.to - Math.min(slide.from, position)} height={BEAM.height * 0.58 + 5} rx="0.8" fill="#dfe4e1" />
      <rect x={slide.to - 7} y={-3.4} width="5" height="3.8" rx="0.6" fill="#9aa5a0" />
      <g stroke="#13251f" strokeWidth={0.7 / scale}>
        {picture.marks.filter(({ rank }) => rank !== 'short').map(({ x, rank }) => (
          <line key={x} x1={x} x2={x} y1={BEAM.height * 0.42} y2={BEAM.height * (rank === 'long' ? 0.12 : 0.24)} />
        ))}
      </g>
    </g>
  );
}
