import { describeRing, type LiquidColumnPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched } from '../fetched.tsx';
import { withLook } from '../upright/look.ts';
import { UprightStage } from '../upright/stage/upright-stage.tsx';
import { seenAtStart } from '../upright/upright-view.ts';
import type { ToolView } from '../view.ts';
import { RING_LOOK } from './ring-look.ts';

const Pipette = lazy(() => import('./pipette.tsx'));
const Words = lazy(() => import('../upright/column-words.tsx'));

export const RING_VIEW: ToolView<LiquidColumnPicture, null> = {
  hasLoupe: true,
  begin: () => null,
  seenFirst: seenAtStart,
  readAt: ({ surfaceY }) => surfaceY,
  markAtEnter: ({ surfaceY }) => surfaceY,
  stage: ({ picture, ...props }) => (
    <UprightStage
      {...props}
      picture={withLook(picture, RING_LOOK)}
      // A pipette is looked at where its ring is, wherever the surface may be.
      {...(picture.handled === 'pipette' ? { lookedAt: picture.surfaceY } : {})}
    />
  ),
  controls: (props) => (
    <Fetched>
      <Pipette {...props} />
    </Fetched>
  ),
  words: ({ picture, sight }) => (
    <Fetched>
      <Words picture={picture} sight={sight} described={describeRing} />
    </Fetched>
  ),
};
