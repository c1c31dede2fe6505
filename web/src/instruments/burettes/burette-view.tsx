import type { LiquidColumnPicture } from '@green-beam/core';
import { lazy } from 'react';
import { Fetched } from '../fetched.tsx';
import { withLook } from '../upright/look.ts';
import { NARROW, UprightStage, WHOLE } from '../upright/stage/upright-stage.tsx';
import { seenAtStart } from '../upright/upright-view.ts';
import type { ToolView } from '../view.ts';
import { BURETTE_LOOK } from './burette-look.ts';
import { Funnel, TipLens, TopLens } from './burette-parts.tsx';
import type { BuretteState } from './burette-state.ts';

const Tap = lazy(() => import('./tap.tsx'));
const Words = lazy(() => import('../upright/column-words.tsx'));

const LEFT = { funnel: ' A funnel stands in its top.', bubble: ' There is a bubble of air in its tip.' } as const;

export const BURETTE_VIEW: ToolView<LiquidColumnPicture, BuretteState> = {
  hasLoupe: true,
  begin: ({ left }) => ({ left, dripping: false }),
  readOff: (_, state) => ({ ...state, dripping: false }),
  unnoticed: (state, remarks) => {
    const missed = (id: string): boolean => remarks.some((remark) => remark.id === id);
    return { ...state, left: missed('funnel-left') ? 'funnel' : missed('bubble-left') ? 'bubble' : null };
  },
  seenFirst: seenAtStart,
  readAt: ({ surfaceY }) => surfaceY,
  // A tap had been opened.
  markAtEnter: ({ surfaceY }) => surfaceY,
  stage: ({ picture, state, ...props }) => {
    const { liquid } = picture;
    const tip = { liquid, bubble: state.left === 'bubble', dripping: state.dripping };
    const looksOver = picture.handled === 'tap' && picture.vessel === 'burette';
    return (
      <UprightStage
        {...props}
        picture={withLook(picture, BURETTE_LOOK)}
        behind={(scale) => state.left === 'funnel' && <Funnel picture={picture} scale={scale} />}
        beside={(box) => {
          if (!looksOver) return null;
          if (box !== NARROW) return <TipLens x={WHOLE.x + 78} y={WHOLE.y + WHOLE.height - 46} {...tip} />;
          const x = box.x + box.width - 60;
          return (
            <>
              <TopLens x={x} y={66} liquid={liquid} funnel={state.left === 'funnel'} />
              <TipLens x={x} y={box.height - 62} {...tip} />
            </>
          );
        }}
      />
    );
  },
  controls: (props) => (
    <Fetched>
      <Tap {...props} />
    </Fetched>
  ),
  words: ({ picture, sight, state }) => (
    <Fetched>
      <Words picture={picture} sight={sight} also={state.left === null ? '' : LEFT[state.left]} />
    </Fetched>
  ),
};
