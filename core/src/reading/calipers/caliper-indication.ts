import type { VernierCaliper } from '../../instruments/instrument.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, withoutDust, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { checkChoice, checkEye } from '../indication/situation-error.ts';
import { checkJaws, JAWS_FIELDS, USES, type JawsSituation } from '../jaws/jaws-situation.ts';
import type { CountedOn } from '../scale/counted-on.ts';
import { EYE_DISTANCE } from '../scale/scale-indication.ts';
import type { WithVernier } from '../vernier/vernier-slips.ts';

export interface CaliperSituation extends JawsSituation {
  /** How far the eye is aside, to the right, in mm. */
  readonly eyeHeight?: number;
}

export const CALIPER_FIELDS = [...JAWS_FIELDS, 'eyeHeight', 'use', 'oval'] as const;

/** @throws SituationError */
export function checkCaliper({ range }: VernierCaliper, situation: CaliperSituation): void {
  checkChoice('use', situation.use, USES);
  checkEye(situation);
  checkJaws(range[1], situation);
}

/** A caliper as it stands: its mark is where the vernier's zero stands on the main scale, in mm. */
export interface CaliperIndication extends Indication<VernierCaliper, CaliperSituation>, WithVernier, CountedOn {
  readonly tool: VernierCaliper;
  readonly situation: CaliperSituation;
  readonly mark: number;
  readonly vernier: NonNullable<WithVernier['vernier']>;
}

/** Depth in mm between a caliper's main scale and the vernier beside it: what an eye to one side makes of it is seen in the least counts. */
export const VERNIER_GAP = 0.3;

/** By how much the vernier seems to stand further right for an eye to one side, in mm. */
export function asideShift({ situation }: CaliperIndication): number {
  return (VERNIER_GAP * (situation.eyeHeight ?? 0)) / EYE_DISTANCE;
}

const WORDS = {
  digit: 'The vernier is certain down to its least count. Write every digit down to it.',
  zero: 'A zero that the vernier shows was measured. Write it.',
};

export function caliperIndication(posed: Posed<VernierCaliper, CaliperSituation>): CaliperIndication {
  const { tool, situation } = posed;
  const { value, zeroError = 0, oval } = situation;
  const mark = value + zeroError;
  return {
    ...indicationFrom(posed, {
      resolution: resolutionOf(tool.division, 'coincidence'),
      mark,
      subtracted: askedIn(situation) === 'corrected' ? withoutDust(zeroError) : 0,
      // The zero error is read on the tool itself, with nothing between its jaws.
      subtractedIsRead: true,
      standsAtMark: oval === undefined,
      words: WORDS,
    }),
    mark,
    countedOn: () => ({ scale: tool.main, base: 0 }),
    vernier: { vernier: tool.vernier, least: tool.division },
  };
}
