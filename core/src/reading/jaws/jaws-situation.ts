import type { AnySituation } from '../indication/indication.ts';
import { checkFlag, checkNumber } from '../indication/situation-error.ts';

/** What a caliper is used on: the outside of a thing, its inside, its depth. */
export const USES = ['outside', 'inside', 'depth'] as const;
export type Use = (typeof USES)[number];

/** A thing between jaws or faces. */
export interface JawsSituation extends AnySituation {
  /** What the tool shows when it is closed on nothing, in mm. */
  readonly zeroError?: number;
  readonly thing?: string;
  /** True while the jaws are still to be brought to the thing by the student. */
  readonly loose?: boolean;
  /** How far a soft thing can be pressed together, in mm. */
  readonly soft?: number;
  /** Grit between the faces, in mm. */
  readonly grit?: number;
  /** Which faces measure: those that close on a thing, those that open inside one, or the rod that goes to its bottom. */
  readonly use?: Use;
  /** Half of how much thicker a thing is one way than at right angles to it, in mm; its mean is asked for. */
  readonly oval?: number;
}

export const JAWS_FIELDS = ['zeroError', 'thing', 'loose', 'soft', 'grit'] as const;

/** How far a tool with jaws can be off, in mm; one further off is not used. A zero set further off was not set on closed jaws. */
export const MOST_OFF = 0.4;

/** What a thing can be soft or gritty by, in mm. */
const MOST_SOFT = 2;
const MOST_GRIT = 0.5;

/** @throws SituationError @param most how far the tool measures, in mm. */
export function checkJaws(most: number, situation: JawsSituation): void {
  const { value, oval = 0, soft = 0, grit = 0, zeroError } = situation;
  checkFlag('loose', situation.loose);
  checkNumber('oval', oval, 0, Math.min(value, most - value), 'mm');
  checkNumber('soft', soft, 0, MOST_SOFT, 'mm');
  checkNumber('grit', grit, 0, MOST_GRIT, 'mm');
  if (zeroError !== undefined) checkNumber('zeroError', zeroError, -MOST_OFF, MOST_OFF, 'mm');
}

/** The situation with the jaws brought to a clean thing, as who takes care does. */
export function broughtTo<S extends JawsSituation>(situation: S): S {
  return situation.loose ? { ...situation, loose: undefined, soft: undefined, grit: undefined } : situation;
}

/** One plain measurement: no zero error, nothing to be done. */
export function plainJaws<S extends JawsSituation>(situation: S): S {
  return {
    ...situation,
    zeroError: undefined,
    loose: undefined,
    soft: undefined,
    grit: undefined,
    oval: undefined,
  };
}
