import type { DisplayPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched, FetchedStage } from '../fetched.tsx';
import { untouchedHold } from '../jaws/held-state.ts';
import type { ToolView } from '../view.ts';
import { facesOf, type DigitalHold } from './digital-hold.ts';

const DigitalCaliperStage = lazy(() => import('./digital-caliper-stage.tsx'));
const DigitalFaces = lazy(() => import('./digital-faces.tsx'));
const Words = lazy(() => import('./digital-caliper-words.tsx'));

export const DIGITAL_CALIPER_VIEW: ToolView<DisplayPicture, DigitalHold> = {
  hasLoupe: false,
  begin: () => ({ ...untouchedHold, zeroed: 0, inches: false }),
  seenFirst: ({ jaws }) => ({ height: 0, markAt: jaws?.startX ?? 0 }),
  readAt: ({ jaws }) => jaws?.touchesX ?? 0,
  markAtEnter: ({ jaws }) => jaws?.touchesX ?? 0,
  stage: (props) => (
    <FetchedStage>
      <DigitalCaliperStage {...props} />
    </FetchedStage>
  ),
  controls: (props) => {
    const faces = facesOf(props.picture);
    return (
      faces && (
        <Fetched>
          <DigitalFaces {...props} faces={faces} />
        </Fetched>
      )
    );
  },
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
