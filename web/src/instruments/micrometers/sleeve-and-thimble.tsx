import type { MicrometerPicture, RevealStep } from '@green-beam/core';
import { useId, type ReactNode } from 'react';

/** A close view: where the thimble’s edge and the datum line stand, and how large a millimetre and a thimble division are. */
export interface CloseView {
  readonly edge: number;
  readonly datum: number;
  readonly perMillimetre: number;
  readonly perDivision: number;
}

interface CloseProps {
  readonly picture: MicrometerPicture;
  /** Millimetres uncovered. */
  readonly open: number;
  readonly view: CloseView;
}

/** Heights of the sleeve and the thimble above and below the datum line, and how far a thimble’s edge is bevelled. */
const SLEEVE = { above: 128, below: 76 };
const WITH_VERNIER = { above: 252, below: 76 };
const WIDER = 30;
const BEVEL = 40;
const SHOWN = 7.2;
const PITCH = 0.5;
const INK = '#13251f';

function heights({ sleeveLines }: MicrometerPicture): typeof SLEEVE {
  return sleeveLines.length > 0 ? WITH_VERNIER : SLEEVE;
}

/** Part of the drawing that a layer shows. */
interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where the bare sleeve is seen. */
export function sleeveArea(picture: MicrometerPicture, { edge, datum, perMillimetre }: CloseView): Area {
  const { above, below } = heights(picture);
  return { x: edge - SHOWN * perMillimetre, y: datum - above, width: SHOWN * perMillimetre, height: above + below };
}

/** Where the thimble’s divisions are seen. */
export function thimbleArea(picture: MicrometerPicture, { edge, datum }: CloseView): Area {
  const { above, below } = heights(picture);
  return { x: edge, y: datum - above - 4, width: 200, height: above + below + 8 };
}

interface BodyProps {
  readonly picture: MicrometerPicture;
  readonly view: CloseView;
}

/** The sleeve without its lines, and the vernier on it where there is one. */
export function SleeveBody({ picture, view }: BodyProps): ReactNode {
  const id = useId();
  const { edge, datum, perDivision } = view;
  const { x, y, width, height } = sleeveArea(picture, view);
  return (
    <g className="own-ink" stroke={INK} fill={INK}>
      <linearGradient id={id} x2="0" y2="1">
        <stop offset="0" stopColor="#98a29d" />
        <stop offset="0.4" stopColor="#eef1ef" />
        <stop offset="0.75" stopColor="#d3d9d6" />
        <stop offset="1" stopColor="#8b9691" />
      </linearGradient>
      <rect x={x} y={y} width={width} height={height} fill={`url(#${id})`} stroke="none" />
      {picture.sleeveLines.slice(1).map((divisions, i) => (
        <g key={divisions} data-sleeve-line={i + 1} strokeWidth="1.6">
          <line x1={edge - 44} x2={edge} y1={datum - divisions * perDivision} y2={datum - divisions * perDivision} />
          <text
            x={edge - 54}
            y={datum - divisions * perDivision}
            dy="0.35em"
            textAnchor="end"
            stroke="none"
            fontSize="15"
            className="font-mono"
          >
            {(i + 1) % 10}
          </text>
        </g>
      ))}
    </g>
  );
}

/** The sleeve’s lines: whole millimetres above the datum line, halves below. What the thimble covers is cut off by its area. */
export function SleeveLines({ picture, open, view: { edge, datum, perMillimetre } }: CloseProps): ReactNode {
  const x = (mm: number): number => edge + (mm - open) * perMillimetre;
  // Above the datum line a vernier has the room: there the numbers stand below it, and no line is longer than the others.
  const [tall, numberY] = picture.sleeveLines.length > 0 ? [20, datum + 50] : [30, datum - 38];
  return (
    <g className="own-ink" stroke={INK} fill={INK} strokeWidth="2">
      <line x1={x(0) - 40} x2={x(picture.marks.at(-1)?.x ?? 25) + 60} y1={datum} y2={datum} />
      {picture.marks.map(({ x: mm, side, label }) => (
        <g key={mm} data-sleeve={mm}>
          <line
            x1={x(mm)}
            x2={x(mm)}
            y1={datum}
            y2={side === 'above' ? datum - (label === null ? 20 : tall) : datum + 20}
          />
          {label !== null && (
            <text x={x(mm)} y={numberY} textAnchor="middle" stroke="none" fontSize="24" className="font-mono">
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** The thimble without its divisions. */
export function ThimbleBody({ picture, view: { edge, datum } }: BodyProps): ReactNode {
  const id = useId();
  const { above, below } = heights(picture);
  return (
    <g className="own-ink">
      <linearGradient id={id} x2="0" y2="1">
        <stop offset="0" stopColor="#7f8a85" />
        <stop offset="0.38" stopColor="#e6eae8" />
        <stop offset="0.75" stopColor="#c3cac6" />
        <stop offset="1" stopColor="#717c77" />
      </linearGradient>
      <path
        data-thimble-edge
        d={`M${edge} ${datum - above - 4}L${edge + BEVEL} ${datum - above - WIDER}H${edge + 200}V${datum + below + WIDER}H${edge + BEVEL}L${edge} ${datum + below + 4}Z`}
        fill={`url(#${id})`}
        stroke="#5f6b66"
        strokeWidth="1.6"
      />
    </g>
  );
}

/** Thimble divisions that have gone past the datum line since the last full turn. */
export function turnedPast({ thimbleDivisions }: MicrometerPicture, open: number): number {
  return ((((open % PITCH) + PITCH) % PITCH) / PITCH) * thimbleDivisions;
}

/** The thimble’s divisions, all round and once more where the turn begins again; as it opens, larger numbers come down to the datum line. */
export function ThimbleLines({ picture, open, view: { edge, datum, perDivision } }: CloseProps): ReactNode {
  const { above, below } = heights(picture);
  const { thimbleDivisions } = picture;
  const turned = turnedPast(picture, open);
  const first = -Math.ceil(below / perDivision);
  const last = thimbleDivisions + Math.ceil(above / perDivision);
  return (
    <g className="own-ink" stroke={INK} fill={INK} strokeWidth="2">
      {Array.from({ length: last - first + 1 }, (_, i) => first + i).map((count) => {
        const y = datum - (count - turned) * perDivision;
        const number = ((count % thimbleDivisions) + thimbleDivisions) % thimbleDivisions;
        return (
          <g key={count} data-thimble={number}>
            <line x1={edge} x2={edge + (number % 5 === 0 ? BEVEL : 26)} y1={y} y2={y} />
            {number % 5 === 0 && (
              <text x={edge + BEVEL + 12} y={y} dy="0.35em" stroke="none" fontSize="24" className="font-mono">
                {number}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** The answer on the scales: the last line uncovered on the sleeve, then where the datum line meets the thimble. */
export function RightReading({
  picture,
  steps,
  view: { edge, datum, perMillimetre },
}: {
  readonly picture: MicrometerPicture;
  readonly steps: readonly RevealStep[];
  readonly view: CloseView;
}): ReactNode {
  const { marks, openX } = picture;
  const last = steps.some(({ kind }) => kind === 'label') ? marks.findLast(({ x }) => x <= openX + 1e-6) : undefined;
  const x = edge + ((last?.x ?? 0) - openX) * perMillimetre;
  return (
    <g stroke="var(--color-beam)" strokeWidth="4" pointerEvents="none">
      {last && <line x1={x} x2={x} y1={datum} y2={last.side === 'above' ? datum - 30 : datum + 20} />}
      {steps.some(({ kind }) => kind === 'estimate') && (
        <line x1={edge} x2={edge + BEVEL} y1={datum} y2={datum} strokeWidth="3" />
      )}
    </g>
  );
}
