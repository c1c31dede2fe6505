import type { PathPiece } from './path.ts';
import type { SlipFound } from './diagnose.ts';
import type { ReadingTask } from './reading-task.ts';
import { slipById } from './slips/registry.ts';

/** A slip in words and on the picture. */
export interface SlipExplained {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly lookAt: string;
  readonly path: readonly PathPiece[];
}

/** Puts the slips of one finding into words for the person who made them. */
export function explainSlips(task: ReadingTask, found: Pick<SlipFound, 'ids'>): SlipExplained[] {
  return found.ids.map((id) => {
    const slip = slipById(id);
    return { id, name: slip.name, why: slip.why(task), lookAt: slip.lookAt(task), path: slip.path?.(task) ?? [] };
  });
}
