import type { Picture } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import type { StageProps } from './view.ts';
import { viewOf } from './views.ts';

interface ToolStageProps extends Omit<StageProps<Picture, unknown>, 'state'> {
  /** What has been done with the tool; without it, nothing. */
  readonly state?: unknown;
}

/** Any tool of the bench, drawn from its picture. */
export function ToolStage({ state, ...stage }: ToolStageProps): ReactNode {
  const { picture } = stage;
  const untouched = useMemo(() => viewOf(picture).begin(picture), [picture]);
  return viewOf(picture).stage({ ...stage, state: state ?? untouched });
}
