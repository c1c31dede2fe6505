import type { Picture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { RulerStage } from './ruler/ruler-stage.tsx';
import type { StageProps } from './stage-props.ts';
import { UprightStage } from './upright/upright-stage.tsx';

interface ToolStageProps extends StageProps {
  readonly picture: Picture;
}

/** Any tool of the bench, drawn from its picture. */
export function ToolStage({ picture, ...stage }: ToolStageProps): ReactNode {
  switch (picture.kind) {
    case 'liquid-column':
      return <UprightStage picture={picture} {...stage} />;
    case 'ruler':
      return <RulerStage picture={picture} {...stage} />;
    case 'display':
      return <p className="py-16 text-center font-mono text-5xl">{`${picture.characters} ${picture.unitMark}`}</p>;
  }
}
