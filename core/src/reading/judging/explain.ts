import type { PathPiece } from '../picture/path.ts';
import { indicationOf, type ReadingTask } from '../reading-task.ts';
import { slipOn, UnknownSlipError } from '../slips.ts';
import type { SlipFound } from './diagnose.ts';

/** A slip in words and on the picture. */
export interface SlipExplained {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  readonly lookAt: string;
  readonly path: readonly PathPiece[];
}

/**
 * Puts the slips of one finding into words for the person who made them.
 * @throws UnknownSlipError for a slip that cannot be made on the task's tool.
 */
export function explainSlips(task: ReadingTask, found: Pick<SlipFound, 'ids'>): SlipExplained[] {
  const indication = indicationOf(task);
  return [...new Set(found.ids)].map((id) => {
    const slip = slipOn(indication.tool, id);
    if (!slip) throw new UnknownSlipError(id);
    const { name } = slip;
    return {
      id,
      name,
      why: slip.why(indication),
      lookAt: slip.lookAt(indication),
      path: slip.path?.(indication) ?? [],
    };
  });
}
