import { describePicture, type ClockPicture } from '@green-beam/core';
import { lazy } from 'react';
import { FetchedStage } from '../fetched.tsx';
import type { ToolView } from '../view.ts';

const ClockStage = lazy(() => import('./clock-stage.tsx'));

/** A clock is only looked at. */
export const CLOCK_VIEW: ToolView<ClockPicture, null> = {
  hasLoupe: false,
  begin: () => null,
  seenFirst: () => ({ height: 0, markAt: 0 }),
  readAt: () => 0,
  markAtEnter: () => 0,
  stage: (props) => (
    <FetchedStage>
      <ClockStage {...props} />
    </FetchedStage>
  ),
  controls: () => null,
  words: ({ picture }) => describePicture(picture),
};
