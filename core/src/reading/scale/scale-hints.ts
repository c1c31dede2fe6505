import { correctionHints, estimateHint, UNIT_HINT } from '../words/hints.ts';
import type { ScaleIndication } from './scale-indication.ts';

function countHint({ tool: { scale } }: ScaleIndication): string {
  if (scale.direction === 'down')
    return 'The numbers grow downward: start from the label above and count the marks going down.';
  return scale.from < 0
    ? 'Start from the label passed last, going away from zero, and count the marks passed.'
    : 'Start from the label passed last and count the marks passed since.';
}

export const LEVEL_HINT = 'Level the beam: move the eye until the surface closes to one line.';

/** Hints for a graduation. @param first what is to be done before, and what is looked at, in the words of a family. */
export function scaleHints(indication: ScaleIndication, first: readonly string[]): string[] {
  return [
    ...first,
    'Take two neighbouring labels and count the spaces between them: that gives one division.',
    countHint(indication),
    estimateHint(indication.resolution),
    ...correctionHints(indication),
    UNIT_HINT,
  ];
}
