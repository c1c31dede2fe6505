import type { ClockView } from '@green-beam/core';
import type { ReactNode } from 'react';

/** Radius of the dial’s outer circle of lines, in the units of its drawing. */
const DIAL = 100;

const LINES = Array.from({ length: 60 }, (_, line) => line);
const NUMBERS = Array.from({ length: 12 }, (_, i) => i + 1);

/** Where a direction meets a circle. @param degrees clockwise from twelve. */
function on(radius: number, degrees: number): { readonly x: number; readonly y: number } {
  const angle = (degrees * Math.PI) / 180;
  return { x: radius * Math.sin(angle), y: -radius * Math.cos(angle) };
}

interface Look {
  readonly bezel: string;
  readonly edge: string;
  readonly dial: string;
  readonly thin: string;
}

/** A brass case with an enamel dial; printed, in black on white. */
const BRASS: Look = { bezel: '#b5924c', edge: '#6f5523', dial: '#fdfcf6', thin: '#a3243b' };
const PRINTED: Look = { bezel: '#ffffff', edge: '#13251f', dial: '#ffffff', thin: '#13251f' };
const INK = '#13251f';

function Line({ line }: { readonly line: number }): ReactNode {
  const isNumbered = line % 5 === 0;
  const [from, to] = [on(isNumbered ? 90 : 94, line * 6), on(DIAL, line * 6)];
  return <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke={INK} strokeWidth={isNumbered ? 2.2 : 0.9} />;
}

/** Hour and minute hand taper to a point; the thin hand has a tail. */
function DialHands({
  hands,
  thin,
}: {
  readonly hands: NonNullable<ClockView['hands']>;
  readonly thin: string;
}): ReactNode {
  return (
    <>
      <path transform={`rotate(${hands.hour})`} d="M-3.4 12L-4.6 -8L-4.2 -44L0 -56L4.2 -44L4.6 -8L3.4 12Z" fill={INK} />
      <path
        transform={`rotate(${hands.minute})`}
        d="M-2.4 14L-2.8 -8L-1.6 -80L0 -89L1.6 -80L2.8 -8L2.4 14Z"
        fill={INK}
      />
      <g transform={`rotate(${hands.second})`} stroke={thin} fill={thin}>
        <line y1="26" y2="-97" strokeWidth="1.1" />
        <line y1="26" y2="12" strokeWidth="3.2" />
        <circle r="3.6" stroke="none" />
      </g>
      <circle r="1.3" fill="#fdfcf6" />
    </>
  );
}

interface FaceProps {
  readonly hands: NonNullable<ClockView['hands']>;
  readonly printed?: boolean;
}

/** A dial of twelve hours and sixty lines, about its middle. */
export function ClockFace({ hands, printed = false }: FaceProps): ReactNode {
  const look = printed ? PRINTED : BRASS;
  return (
    <g>
      {!printed && <circle cy="3" r="119" fill={INK} opacity="0.12" />}
      <circle r="118" fill={look.bezel} stroke={look.edge} strokeWidth="1" />
      {!printed && (
        <>
          <path d="M-92 -74A118 118 0 0 1 60 -101" fill="none" stroke="#f3e3b8" strokeWidth="3" opacity="0.9" />
          <circle r="111" fill="none" stroke={look.edge} strokeWidth="0.8" opacity="0.7" />
        </>
      )}
      <circle r="106" fill={look.dial} stroke={look.edge} strokeWidth="1" />
      {LINES.map((line) => (
        <Line key={line} line={line} />
      ))}
      {NUMBERS.map((number) => {
        const { x, y } = on(78, number * 30);
        return (
          <text
            key={number}
            x={x}
            y={y}
            dy="0.36em"
            textAnchor="middle"
            fontSize="17"
            fontWeight="600"
            fill={INK}
            className="font-sans"
          >
            {number}
          </text>
        );
      })}
      <DialHands hands={hands} thin={look.thin} />
    </g>
  );
}

interface DisplayProps {
  readonly characters: string;
  readonly printed?: boolean;
}

/** A display of hours, minutes and seconds, about its middle. */
export function ClockDisplay({ characters, printed = false }: DisplayProps): ReactNode {
  return (
    <g>
      {!printed && <rect x="-118" y="-55" width="236" height="116" rx="10" fill={INK} opacity="0.12" />}
      <rect
        x="-118"
        y="-58"
        width="236"
        height="116"
        rx="10"
        fill={printed ? '#ffffff' : '#8d9793'}
        stroke={printed ? INK : '#5c6662'}
        strokeWidth="1"
      />
      {!printed && (
        <rect x="-106" y="-44" width="212" height="88" rx="4" fill="#dfe7da" stroke="#5c6662" strokeWidth="0.8" />
      )}
      <text dy="0.36em" textAnchor="middle" fontSize="42" fill={INK} className="font-mono">
        {characters}
      </text>
    </g>
  );
}
