import type { ClockPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useTyping } from '../../ui/typing.ts';
import { Layer, Stage, type StageBox, type StagePart } from '../layers.tsx';
import type { StageProps } from '../view.ts';
import { ClockFaces, faceBox } from './clock-faces.tsx';

/** A clock alone is drawn no larger than one of two. */
const LEAST_WIDTH = 420;
const NAME = 26;

/** While a time is typed on a phone the faces are as high as this part of its width. */
const TYPED = 0.55;

function typed({ width, height }: StageBox): StagePart {
  return { from: NAME, to: height, zoom: Math.min(1, (TYPED * width) / (height - NAME)) };
}

/** A clock on the bench, or the same one at two times. */
export default function ClockStage({ picture, name }: StageProps<ClockPicture, null>): ReactNode {
  const { width, height } = faceBox(picture);
  const typing = useTyping();
  const box: StageBox = { x: 0, width: Math.max(LEAST_WIDTH, width), height: height + NAME };
  return (
    <Stage box={box} part={typing ? typed(box) : undefined} label={`${name}. Choose “In words” for a description.`}>
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
