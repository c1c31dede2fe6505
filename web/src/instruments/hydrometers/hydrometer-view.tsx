import type { LiquidColumnPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched } from '../fetched.tsx';
import { withLook } from '../upright/look.ts';
import { UprightStage } from '../upright/stage/upright-stage.tsx';
import { seenAtStart } from '../upright/upright-view.ts';
import type { ToolView } from '../view.ts';
import { HYDROMETER_LOOK } from './hydrometer-look.tsx';
import { Jar } from './jar.tsx';
import { rightFloat, type Float } from './rack.ts';

const Floats = lazy(() => import('./floats.tsx'));
const Words = lazy(() => import('../upright/column-words.tsx'));

function isStillSought(picture: LiquidColumnPicture, float: Float): boolean {
  return picture.handled === 'try' && float !== rightFloat(picture);
}

export const HYDROMETER_VIEW: ToolView<LiquidColumnPicture, Float> = {
  hasLoupe: true,
  begin: (picture) => (picture.handled === 'try' ? null : rightFloat(picture)),
  readOff: rightFloat,
  seenFirst: seenAtStart,
  readAt: ({ surfaceY }) => surfaceY,
  markAtEnter: ({ surfaceY }) => surfaceY,
  stage: ({ picture, state: float, ...props }) =>
    isStillSought(picture, float) ? (
      <Jar picture={withLook(picture, HYDROMETER_LOOK)} float={float} />
    ) : (
      <UprightStage {...props} picture={withLook(picture, HYDROMETER_LOOK)} />
    ),
  controls: (props) => (
    <Fetched>
      <Floats {...props} />
    </Fetched>
  ),
  words: ({ picture, sight, state: float }) => {
    if (!isStillSought(picture, float))
      return (
        <Fetched>
          <Words picture={picture} sight={sight} />
        </Fetched>
      );
    return float === null
      ? `A jar of ${picture.liquid}. Nothing floats in it yet.`
      : 'The surface is not on the scale of this one.';
  },
};
