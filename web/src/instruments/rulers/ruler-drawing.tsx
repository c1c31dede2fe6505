import type { RulerPicture } from '@green-beam/core';
import { memo, type ReactNode } from 'react';
import { thingTint } from '../thing-tints.ts';
import type { View } from './geometry.ts';

/** Edges of the close ruler and of the thing below it, in pixels below the close view’s top. */
export const BAND = { top: 10, edge: 140, thing: 290 };
export const LENGTHS = { long: 46, medium: 34, short: 23 } as const;

export interface OnView {
  readonly picture: RulerPicture;
  readonly view: View;
}

/** The close ruler: boxwood with engraved lines along its lower edge. */
export const RulerBand = memo(function RulerBand({ picture, view }: OnView): ReactNode {
  const x = (mm: number): number => (mm - view.fromX) * view.scale;
  const [left, right] = [Math.max(-20, x(0)), Math.min(view.width + 20, x(picture.length))];
  return (
    <g className="own-ink">
      <rect
        x={left}
        y={BAND.top}
        width={right - left}
        height={BAND.edge - BAND.top}
        fill="#efe3c4"
        stroke="#a8946a"
        strokeWidth="1.6"
      />
      <rect x={left} y={BAND.edge - 9} width={right - left} height="9" fill="#dccb9c" opacity="0.7" />
      <g stroke="var(--color-ink)" fill="var(--color-ink)">
        {picture.marks.map((mark) => {
          const at = x(mark.x);
          if (at < -22 || at > view.width + 22) return null;
          return (
            <g key={mark.x} data-mark={mark.label ?? ''}>
              <line
                x1={at}
                x2={at}
                y1={BAND.edge}
                y2={BAND.edge - LENGTHS[mark.rank]}
                strokeWidth={mark.rank === 'long' ? 2.2 : 1.8}
              />
              {mark.label !== null && (
                <text
                  x={at}
                  y={BAND.edge - LENGTHS.long - 14}
                  textAnchor="middle"
                  stroke="none"
                  fontSize="26"
                  className="font-mono"
                >
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
export function Thing({ picture, view }: OnView): ReactNode {
  const x = (mm: number): number => (mm - view.fromX) * view.scale;
  const [left, right] = [x(picture.thing.fromX), x(picture.thing.toX)];
  const tint = thingTint(picture.thing.name);
  return (
    <g>
      <rect
        x={left}
        y={BAND.edge - 6}
        width={right - left}
        height={BAND.thing - BAND.edge}
        rx="3"
        fill={tint}
        stroke="var(--color-ink)"
        strokeWidth="1.4"
      />
      <rect x={left} y={BAND.edge + 10} width={right - left} height="12" fill="#ffffff" opacity="0.14" />
      <path
        d={`M${left} ${BAND.edge - 6}V${BAND.thing - 7}M${right} ${BAND.edge - 6}V${BAND.thing - 7}`}
        stroke="var(--color-ink)"
        strokeWidth="2.4"
      />
    </g>
  );
}

/** The whole ruler, with a frame around what is seen close. */
export function WholeRuler({ picture, view, width }: OnView & { readonly width: number }): ReactNode {
  const scale = width / picture.length;
  const [first, second] = picture.marks;
  const spacing = first && second ? (second.x - first.x) * scale : 4;
  const labels = picture.marks.filter((mark) => mark.label !== null);
  const every = Math.max(
    1,
    Math.ceil((9 * (labels.at(-1)?.label?.length ?? 1) + 8) / (((labels[1]?.x ?? 10) - (labels[0]?.x ?? 0)) * scale)),
  );
  return (
    <g className="own-ink">
      <rect width={width} height="34" fill="#efe3c4" stroke="#a8946a" strokeWidth="1.2" />
      {picture.marks.map((mark) =>
        mark.rank !== 'long' && spacing < 2.4 && mark.rank === 'short' ? null : (
          <line
            key={mark.x}
            x1={mark.x * scale}
            x2={mark.x * scale}
            y1="34"
            y2={34 - LENGTHS[mark.rank] / 3}
            stroke="var(--color-ink)"
            strokeWidth={mark.rank === 'long' ? 1.2 : 0.7}
          />
        ),
      )}
      {labels.map((mark, i) =>
        i % every === 0 ? (
          <text
            key={mark.x}
            x={mark.x * scale}
            y="15"
            textAnchor="middle"
            fontSize="13"
            fill="var(--color-ink)"
            className="font-mono"
          >
            {mark.label}
          </text>
        ) : null,
      )}
      <rect
        x={view.fromX * scale}
        y="-7"
        width={(view.width / view.scale) * scale}
        height="67"
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="1.6"
      />
    </g>
  );
}

/** The whole thing at the whole ruler. */
export function WholeThing({ picture, width }: { readonly picture: RulerPicture; readonly width: number }): ReactNode {
  const scale = width / picture.length;
  const { name, fromX, toX } = picture.thing;
  return (
    <rect
      x={fromX * scale}
      y="35"
      width={Math.max(1, (toX - fromX) * scale)}
      height="18"
      rx="1.5"
      fill={thingTint(name)}
      stroke="#13251f"
      strokeWidth="0.8"
    />
  );
}
