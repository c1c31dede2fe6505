import type { RulerPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched, FetchedStage } from '../fetched.tsx';
import type { ToolView } from '../view.ts';
import type { RulerState } from './ruler-state.ts';

const RulerStage = lazy(() => import('./ruler-stage.tsx'));
const Laying = lazy(() => import('./laying.tsx'));
const Words = lazy(() => import('./ruler-words.tsx'));

export const RULER_VIEW: ToolView<RulerPicture, RulerState> = {
  hasLoupe: true,
  begin: ({ handled, thing }) => ({ end: handled === 'lay' ? 'left' : 'right', restsAt: thing.toX }),
  readOff: (_, state) => ({ ...state, end: 'right' }),
  seenFirst: ({ eye, thing }) => ({ height: eye.height, markAt: thing.toX }),
  // It stays where it was laid.
  readAt: (_, markAt) => markAt,
  markAtEnter: ({ thing }) => thing.toX,
  stage: (props) => (
    <FetchedStage>
      <RulerStage {...props} />
    </FetchedStage>
  ),
  controls: (props) => (
    <Fetched>
      <Laying {...props} />
    </Fetched>
  ),
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
