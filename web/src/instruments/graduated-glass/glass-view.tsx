import type { LiquidColumnPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched } from '../fetched.tsx';
import { withLook } from '../upright/look.ts';
import { UprightStage } from '../upright/stage/upright-stage.tsx';
import { seenAtStart } from '../upright/upright-view.ts';
import type { ToolView } from '../view.ts';
import { GLASS_LOOK } from './glass-look.ts';

const Words = lazy(() => import('../upright/column-words.tsx'));

/** Nothing is done with what contains. */
type Untouched = null;

export const GLASS_VIEW: ToolView<LiquidColumnPicture, Untouched> = {
  hasLoupe: true,
  begin: () => null,
  seenFirst: seenAtStart,
  readAt: ({ surfaceY }) => surfaceY,
  markAtEnter: ({ surfaceY }) => surfaceY,
  stage: ({ picture, ...props }) => <UprightStage {...props} picture={withLook(picture, GLASS_LOOK)} />,
  controls: () => null,
  words: ({ picture, sight }) => (
    <Fetched>
      <Words picture={picture} sight={sight} />
    </Fetched>
  ),
};
