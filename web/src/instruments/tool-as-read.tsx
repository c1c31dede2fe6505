import { instrumentById, type PathPiece, type Picture, type Remark } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { createSight } from './sight/sight.ts';
import { ToolStage } from './tool-stage.tsx';
import { viewOf } from './views.ts';

interface ToolAsReadProps {
  readonly picture: Picture;
  readonly eyeHeight?: number;
  /** What was remarked: what was not noticed is still in the tool. */
  readonly remarks?: readonly Remark[];
  readonly wrongPath?: readonly PathPiece[];
}

const NONE: readonly Remark[] = [];

/** The tool as it was read. */
export function ToolAsRead({ picture, eyeHeight = 0, remarks = NONE, wrongPath = [] }: ToolAsReadProps): ReactNode {
  const view = viewOf(picture);
  const sight = useMemo(
    () => createSight({ height: eyeHeight, markAt: view.markAtEnter(picture) }),
    [view, picture, eyeHeight],
  );
  const state = useMemo(() => {
    const untouched = view.begin(picture);
    const read = view.readOff?.(picture, untouched) ?? untouched;
    return view.unnoticed?.(read, remarks) ?? read;
  }, [view, picture, remarks]);
  const { name } = instrumentById(picture.instrumentId);
  const numerals = useNumerals();
  return <ToolStage picture={picture} name={numerals(name)} sight={sight} state={state} closed wrongPath={wrongPath} />;
}
