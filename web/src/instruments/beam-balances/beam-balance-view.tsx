import type { BeamPicture } from '@green-beam/core';
import { lazy } from 'react';
import { prefersStill } from '../../ui/prefers-still.ts';
import { Fetched, FetchedStage } from '../fetched.tsx';
import type { ToolView } from '../view.ts';
import { createBalance, foundStanding, type Balance } from './balance.ts';

const BeamStage = lazy(() => import('./beam-stage.tsx'));
const WeighOnBeams = lazy(() => import('./weigh-on-beams.tsx'));
const Words = lazy(() => import('./beam-words.tsx'));

export const BEAM_BALANCE_VIEW: ToolView<BeamPicture, Balance> = {
  hasLoupe: false,
  begin: (picture) => createBalance(picture, foundStanding(picture), prefersStill()),
  seenFirst: () => ({ height: 0, markAt: 0 }),
  readAt: () => 0,
  markAtEnter: () => 0,
  stage: (props) => (
    <FetchedStage>
      <BeamStage {...props} />
    </FetchedStage>
  ),
  controls: (props) => (
    <Fetched>
      <WeighOnBeams {...props} />
    </Fetched>
  ),
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
