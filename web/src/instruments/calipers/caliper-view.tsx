import type { CaliperPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched, FetchedStage } from '../fetched.tsx';
import { untouchedHold, type HeldState } from '../jaws/held-state.ts';
import type { ToolView } from '../view.ts';
import { facesOf } from './faces-of.ts';

const CaliperStage = lazy(() => import('./caliper-stage.tsx'));
const Faces = lazy(() => import('../jaws/faces.tsx'));
const Words = lazy(() => import('./caliper-words.tsx'));

export const CALIPER_VIEW: ToolView<CaliperPicture, HeldState> = {
  hasLoupe: false,
  begin: () => untouchedHold,
  seenFirst: ({ eye, handled, held, slideX }) => ({
    height: eye.height,
    markAt: handled === 'close' ? held.startX : slideX,
  }),
  readAt: ({ slideX }) => slideX,
  markAtEnter: ({ slideX }) => slideX,
  stage: (props) => (
    <FetchedStage>
      <CaliperStage {...props} />
    </FetchedStage>
  ),
  controls: ({ picture, ...props }) => (
    <Fetched>
      <Faces
        {...props}
        faces={facesOf(picture)}
        thing={picture.thing.name}
        name="jaws"
        howTo="Drag the slide, or use the arrow keys, until the jaws touch."
      />
    </Fetched>
  ),
  words: (props) => (
    <Fetched>
      <Words {...props} />
    </Fetched>
  ),
};
