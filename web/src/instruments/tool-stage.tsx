import type { Picture } from '@green-beam/core';
import { lazy, Suspense, type ReactNode } from 'react';
import type { StageProps } from './stage-props.ts';
import { UprightStage } from './upright/upright-stage.tsx';

// A visitor’s first tool stands upright; what lies, holds or weighs is fetched when it comes.
const BeamStage = lazy(() => import('./balance/beam-stage.tsx'));
const CaliperStage = lazy(() => import('./caliper/caliper-stage.tsx'));
const DisplayStage = lazy(() => import('./balance/display-stage.tsx'));
const MicrometerStage = lazy(() => import('./micrometer/micrometer-stage.tsx'));
const RulerStage = lazy(() => import('./ruler/ruler-stage.tsx'));

interface ToolStageProps extends StageProps {
  readonly picture: Picture;
}

function Lying({ children }: { readonly children: ReactNode }): ReactNode {
  return <Suspense fallback={<div className="aspect-[7/5]" />}>{children}</Suspense>;
}

/** Any tool of the bench, drawn from its picture. */
export function ToolStage({ picture, ...stage }: ToolStageProps): ReactNode {
  switch (picture.kind) {
    case 'liquid-column':
      return <UprightStage picture={picture} {...stage} />;
    case 'ruler':
      return (
        <Lying>
          <RulerStage picture={picture} {...stage} />
        </Lying>
      );
    case 'caliper':
      return (
        <Lying>
          <CaliperStage picture={picture} {...stage} />
        </Lying>
      );
    case 'micrometer':
      return (
        <Lying>
          <MicrometerStage picture={picture} {...stage} />
        </Lying>
      );
    case 'beams':
      return (
        <Lying>
          <BeamStage picture={picture} {...stage} />
        </Lying>
      );
    case 'display':
      return (
        <Lying>
          <DisplayStage picture={picture} {...stage} />
        </Lying>
      );
  }
}
