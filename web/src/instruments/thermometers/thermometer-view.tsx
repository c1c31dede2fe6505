import { describeThread, type LiquidColumnPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched } from '../fetched.tsx';
import { withLook } from '../upright/look.ts';
import { UprightStage } from '../upright/stage/upright-stage.tsx';
import { seenAtStart } from '../upright/upright-view.ts';
import type { ToolView } from '../view.ts';
import { Bath } from './bath.tsx';
import type { Bulb } from './bulb-place.ts';
import { THERMOMETER_LOOK } from './thermometer-look.tsx';

const BulbControls = lazy(() => import('./bulb.tsx'));
const Words = lazy(() => import('../upright/column-words.tsx'));

export const THERMOMETER_VIEW: ToolView<LiquidColumnPicture, Bulb> = {
  hasLoupe: true,
  begin: ({ handled }) => (handled === 'bulb' ? 'air' : 'liquid'),
  readOff: () => 'liquid',
  seenFirst: seenAtStart,
  readAt: ({ surfaceY }) => surfaceY,
  // The thread may still have been on its way.
  markAtEnter: (picture) => seenAtStart(picture).markAt,
  stage: ({ picture, state: bulb, ...props }) => {
    const isLowered = picture.handled === 'bulb';
    return (
      <UprightStage
        {...props}
        picture={withLook(picture, THERMOMETER_LOOK)}
        behind={(scale) => isLowered && <Bath picture={picture} scale={scale} bulb={bulb} />}
        nameAbove={isLowered}
      />
    );
  },
  controls: (props) => (
    <Fetched>
      <BulbControls {...props} />
    </Fetched>
  ),
  words: ({ picture, sight }) => (
    <Fetched>
      <Words picture={picture} sight={sight} described={describeThread} />
    </Fetched>
  ),
};
