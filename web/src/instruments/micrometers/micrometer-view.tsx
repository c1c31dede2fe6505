import type { MicrometerPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched, FetchedStage } from '../fetched.tsx';
import { untouchedHold, type HeldState } from '../jaws/held-state.ts';
import type { ToolView } from '../view.ts';
import { facesOf } from './faces-of.ts';

const MicrometerStage = lazy(() => import('./micrometer-stage.tsx'));
const Faces = lazy(() => import('../jaws/faces.tsx'));
const Words = lazy(() => import('./micrometer-words.tsx'));

/** How far back it is turned before it is opened again, in mm: the last line of the sleeve is seen to appear. */
const BACK = 0.62;

export const MICROMETER_VIEW: ToolView<MicrometerPicture, HeldState> = {
  hasLoupe: false,
  begin: () => untouchedHold,
  seenFirst: ({ handled, held, openX }) => ({ height: 0, markAt: handled === 'close' ? held.startX : openX }),
  readAt: ({ openX }) => openX,
  comesFrom: ({ openX }, step) => (step === 'label' ? openX - BACK : null),
  markAtEnter: ({ openX }) => openX,
  stage: (props) => (
    <FetchedStage>
      <MicrometerStage {...props} />
    </FetchedStage>
  ),
  controls: ({ picture, ...props }) => (
    <Fetched>
      <Faces
        {...props}
        faces={facesOf(picture)}
        thing={picture.thing.name}
        name="faces"
        howTo="Turn the thimble: drag it, or use the wheel or the arrow keys. Use the ratchet at the end."
        hasRatchet
      />
    </Fetched>
  ),
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
