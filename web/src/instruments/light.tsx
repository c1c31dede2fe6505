import type { ReactNode } from 'react';

type Stop = readonly [offset: number, colour: string, opacity: number];

/** How light falls across glass, from left to right: its walls, the liquid in it, the air above, a thread and a white back; and on the side of a metal jaw. */
const ACROSS = {
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
  jaw: [
    [0, '#b4bdb8', 1],
    [0.35, '#e2e7e4', 1],
    [0.7, '#c3cbc7', 1],
    [1, '#a7b2ac', 1],
  ],
} as const satisfies Record<string, readonly Stop[]>;

/** How light falls from above: on a satin bar with its scale, a slide, a casting, the case of an instrument, a bright pan and a dark rider. */
const FROM_ABOVE = {
  bar: [
    [0, '#f3f6f4', 1],
    [0.08, '#dde3df', 1],
    [0.75, '#cfd7d2', 1],
    [1, '#b2bdb7', 1],
  ],
  slide: [
    [0, '#fbfcfb', 1],
    [0.15, '#e9eeeb', 1],
    [0.8, '#d9e0dc', 1],
    [1, '#b9c4be', 1],
  ],
  casting: [
    [0, '#a9b9b1', 1],
    [0.25, '#8fa198', 1],
    [1, '#6f8379', 1],
  ],
  case: [
    [0, '#f4f6f4', 1],
    [0.12, '#e4e9e6', 1],
    [0.85, '#d3dbd6', 1],
    [1, '#b7c2bc', 1],
  ],
  pan: [
    [0, '#fdfefd', 1],
    [0.35, '#cdd5d1', 1],
    [0.7, '#e6ebe8', 1],
    [1, '#a7b2ac', 1],
  ],
  rider: [
    [0, '#9aa8a1', 1],
    [0.3, '#7c8b84', 1],
    [1, '#56655e', 1],
  ],
} as const satisfies Record<string, readonly Stop[]>;

const LIGHT = { ...ACROSS, ...FROM_ABOVE };

interface LightProps {
  readonly id: string;
  readonly names: readonly (keyof typeof LIGHT)[];
}

/** Gradients by name, as `url(#id-name)`. */
export function Light({ id, names }: LightProps): ReactNode {
  return (
    <defs>
      {names.map((name) => (
        <linearGradient key={name} id={`${id}-${name}`} {...(name in FROM_ABOVE && { x2: '0', y2: '1' })}>
          {LIGHT[name].map(([offset, colour, opacity]) => (
            <stop key={offset} offset={offset} stopColor={colour} stopOpacity={opacity} />
          ))}
        </linearGradient>
      ))}
    </defs>
  );
}
