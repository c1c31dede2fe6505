import { correctionHints, estimateHint, UNIT_HINT } from '../words/hints.ts';
import type { ScaleIndication } from './scale-indication.ts';

function countHint({ tool: { scale } }: ScaleIndication): string {
  if (scale.direction === 'down')
    return 'The numbers grow downward. Start from the label above and count the marks down.';
  return scale.from < 0
    ? 'Start from the last label passed, going away from zero, and count the marks.'
    : 'Start from the last label passed and count the marks after it.';
}

export const LEVEL_HINT = 'Level your eye: move it until the surface closes to one line.';

/** Hints for a graduation. @param first what is to be done before, and what is looked at, in the words of a family. */
export function scaleHints(indication: ScaleIndication, first: readonly string[]): string[] {
  return [
    ...first,
    'Count the spaces between two neighbouring labels. That tells you the size of one division.',
    countHint(indication),
    estimateHint(indication.resolution),
    ...correctionHints(indication),
    UNIT_HINT,
  ];
}
