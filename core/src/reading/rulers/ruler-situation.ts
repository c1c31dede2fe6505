import type { Ruler } from '../../instruments/instrument.ts';
import type { AnySituation } from '../indication/indication.ts';
import { checkEye, checkFlag, checkNumber } from '../indication/situation-error.ts';

/** A thing at a ruler; its value is its length. */
export interface RulerSituation extends AnySituation {
  /** How far the eye is aside, to the right, in mm. */
  readonly eyeHeight?: number;
  /** The mark where the thing begins, when that is not the zero mark. */
  readonly from?: number;
  /** Bare wood before the zero mark, in mm. */
  readonly endOffset?: number;
  readonly thing?: string;
  /** True while the thing is still to be laid by the student; `from` is where it lies meanwhile. */
  readonly loose?: boolean;
}

export const RULER_FIELDS = ['eyeHeight', 'from', 'endOffset', 'thing', 'loose'] as const;

/** How far a thing can begin before a ruler's zero mark, in mm. */
const MOST_OUTSIDE = 10;

/** @throws SituationError */
export function checkRuler(tool: Ruler, situation: RulerSituation): void {
  const { value, from, endOffset } = situation;
  const { range, unit, body } = tool;
  const [least, most] = range;
  checkFlag('loose', situation.loose);
  checkEye(situation);
  if (from !== undefined) {
    // A thing may stick out beyond the ruler's end, but then it is laid badly.
    checkNumber('from', from, least - MOST_OUTSIDE / body.perUnit, most, unit);
    checkNumber('from', value + from, least, most, unit);
  }
  if (endOffset !== undefined) checkNumber('endOffset', endOffset, 0, body.bareEnd, 'mm');
}
