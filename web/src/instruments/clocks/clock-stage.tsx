import type { ClockPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Layer, Stage, type StageBox } from '../layers.tsx';
import type { StageProps } from '../view.ts';
import { ClockFaces, faceBox } from './clock-faces.tsx';

/** A clock alone is drawn no larger than one of two. */
const LEAST_WIDTH = 420;
const NAME = 26;

/** A clock on the bench, or the same one at two times. */
export default function ClockStage({ picture, name }: StageProps<ClockPicture, null>): ReactNode {
  const { width, height } = faceBox(picture);
  const box: StageBox = { x: 0, width: Math.max(LEAST_WIDTH, width), height: height + NAME };
  return (
    <Stage box={box} label={`${name}. Turn on the description in words to have read where its hands stand.`}>
      <Layer box={box}>
        <text x="8" y="18" fontSize="12" fill="var(--color-muted)">
          {name}
        </text>
        <g transform={`translate(${(box.width - width) / 2} ${NAME})`}>
          <ClockFaces picture={picture} />
        </g>
      </Layer>
    </Stage>
  );
}
