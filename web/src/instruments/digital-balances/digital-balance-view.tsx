import type { DisplayPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched, FetchedStage } from '../fetched.tsx';
import type { ToolView } from '../view.ts';
import { untouchedPan, type PanState } from './pan-state.ts';

const DigitalBalanceStage = lazy(() => import('./digital-balance-stage.tsx'));
const WeighOnDisplay = lazy(() => import('./weigh-on-display.tsx'));
const Words = lazy(() => import('./digital-balance-words.tsx'));

export const DIGITAL_BALANCE_VIEW: ToolView<DisplayPicture, PanState> = {
  hasLoupe: false,
  begin: () => untouchedPan,
  seenFirst: () => ({ height: 0, markAt: 0 }),
  readAt: () => 0,
  markAtEnter: () => 0,
  stage: (props) => (
    <FetchedStage>
      <DigitalBalanceStage {...props} />
    </FetchedStage>
  ),
  controls: (props) => (
    <Fetched>
      <WeighOnDisplay {...props} />
    </Fetched>
  ),
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
