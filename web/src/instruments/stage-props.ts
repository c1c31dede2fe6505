import type { PathPiece, RevealStep } from '@green-beam/core';
import type { Sight } from './sight.ts';
import type { ToolState } from './tool-state.ts';

/** What every tool on the bench is shown with. */
export interface StageProps {
  readonly name: string;
  readonly sight: Sight;
  /** What has been done with the tool; without it, nothing. */
  readonly tool?: ToolState;
  /** Called when a ruler’s thing has been laid, with where its right end is; without it the thing cannot be moved. */
  readonly onLay?: (markAt: number) => void;
  /** Called when a slide or a thimble has been moved, with where it stands in mm; without it it cannot be moved. */
  readonly onSlide?: (position: number) => void;
  /** Called when a balance’s rider has been moved, with its place on its beam in mm; without it riders cannot be moved. */
  readonly onRider?: (rider: number, x: number) => void;
  /** Called when the eye has been moved; without it the eye stays where it is. */
  readonly onRestEye?: (height: number) => void;
  readonly loupe?: boolean;
  /** The answer is out: the beam runs across the tool. */
  readonly closed?: boolean;
  readonly wrongPath?: readonly PathPiece[];
  readonly rightPath?: readonly RevealStep[];
}
