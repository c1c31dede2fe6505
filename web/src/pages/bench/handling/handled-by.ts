import type { Action, LiquidColumnPicture, RulerPicture } from '@green-beam/core';
import type { Sight } from '../../../instruments/sight.ts';
import type { ToolState } from '../../../instruments/tool-state.ts';

/** What every way of handling a tool needs: the tool, what is seen, and where what is done is noted. */
export interface HandledBy<Shown = LiquidColumnPicture> {
  readonly picture: Shown;
  readonly sight: Sight;
  readonly tool: ToolState;
  readonly change: (part: Partial<ToolState>) => void;
  readonly note: (kind: Action['kind'], to?: number) => void;
  readonly closed: boolean;
}

export type RulerHandledBy = HandledBy<RulerPicture>;
