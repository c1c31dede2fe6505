import type { RepeatsSeen } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';

const BASE = 40;
/** Readings that are the same stand above each other; radius and distance, in pixels. */
const DOT = 5;
const APART = 11;
/** Of the whole width: what is left free beside either end of a strip. */
const SIDE = 3;

/** Positions in percent of the width, with the true value in the middle and every reading well within. */
function acrossStrip({ truth, tools }: RepeatsSeen): (text: string) => number {
  const off = (text: string): number => Number(text) - Number(truth);
  const farthest = Math.max(...tools.flatMap(({ readings }) => readings.map((text) => Math.abs(off(text)))));
  const reach = farthest * 1.15;
  return (text) => 50 + (off(text) / reach) * (50 - SIDE);
}

/** Repeats on a thing of known size: each tool’s readings as they are written, and as dots against the true value. */
export function RepeatsOnStrips({ repeats }: { readonly repeats: RepeatsSeen }): ReactNode {
  const numerals = useNumerals();
  const at = acrossStrip(repeats);
  const { truth, unit, tools } = repeats;
  return (
    <figure
      className="mt-4 max-w-3xl"
      aria-label={numerals(`Readings in ${unit}. The true value is ${truth} ${unit}.`)}
    >
      <p aria-hidden="true" className="text-center text-small text-beam">
        true value {numerals(truth)} {unit}
      </p>
      {tools.map(({ name, readings }) => (
        <div key={name} className="mt-1">
          <p className="flex flex-wrap gap-x-4">
            {name !== '' && <span className="font-bold">{name}</span>}
            {readings.map((text, i) => (
              <span key={i} className="font-mono">
                {numerals(text)}
              </span>
            ))}
            <span className="text-muted">{unit}</span>
          </p>
          <svg width="100%" height={BASE + 6} className="block" aria-hidden="true">
            <line
              x1={`${SIDE}%`}
              x2={`${100 - SIDE}%`}
              y1={BASE}
              y2={BASE}
              stroke="var(--color-muted)"
              strokeWidth="1.4"
            />
            <line x1="50%" x2="50%" y1="0" y2={BASE + 6} stroke="var(--color-beam)" strokeWidth="2.5" />
            {readings.map((text, i) => (
              <circle
                key={i}
                cx={`${at(text)}%`}
                cy={BASE - DOT - 1 - APART * readings.slice(0, i).filter((earlier) => earlier === text).length}
                r={DOT}
                fill="var(--color-ink)"
              />
            ))}
          </svg>
        </div>
      ))}
    </figure>
  );
}
