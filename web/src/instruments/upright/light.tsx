import type { ReactNode } from 'react';

type Stop = readonly [offset: number, colour: string, opacity: number];

/** How light falls through glass: along its walls, through the liquid in it, through the air above, along a thread and a white back. */
const LIGHT = {
  glass: [
    [0, '#b9c6bf', 0.75],
    [0.5, '#eef3ef', 0.5],
    [1, '#a9b8b0', 0.8],
  ],
  round: [
    [0, '#0d3247', 0.3],
    [0.07, 'var(--color-glint)', 0.5],
    [0.16, '#0d3247', 0.13],
    [0.45, 'var(--color-glint)', 0.12],
    [0.82, '#0d3247', 0.1],
    [0.93, 'var(--color-glint)', 0.35],
    [1, '#0d3247', 0.32],
  ],
  air: [
    [0, '#7f938a', 0.28],
    [0.06, 'var(--color-glint)', 0.95],
    [0.18, 'var(--color-glint)', 0.25],
    [0.85, 'var(--color-glint)', 0.3],
    [0.94, 'var(--color-glint)', 0.9],
    [1, '#7f938a', 0.3],
  ],
  thread: [
    [0, '#6f1527', 1],
    [0.28, '#d4506a', 1],
    [0.45, '#b02c45', 1],
    [1, '#7d182b', 1],
  ],
  enamel: [
    [0, '#a9b8b0', 0.9],
    [0.08, '#f4f6f2', 1],
    [0.5, '#ffffff', 1],
    [0.92, '#eef1ec', 1],
    [1, '#9fb0a7', 0.9],
  ],
} as const satisfies Record<string, readonly Stop[]>;

interface LightProps {
  readonly id: string;
  readonly names: readonly (keyof typeof LIGHT)[];
}

/** Gradients by name, as `url(#id-name)`. */
export function Light({ id, names }: LightProps): ReactNode {
  return (
    <defs>
      {names.map((name) => (
        <linearGradient key={name} id={`${id}-${name}`}>
          {LIGHT[name].map(([offset, colour, opacity]) => (
            <stop key={offset} offset={offset} stopColor={colour} stopOpacity={opacity} />
          ))}
        </linearGradient>
      ))}
    </defs>
  );
}
