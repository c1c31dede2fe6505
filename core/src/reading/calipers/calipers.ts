import type { VernierCaliper } from '../../instruments/instrument.ts';
import type { Family } from '../family.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { jawsBegun, jawsHandled, jawsRemarks, jawsStanding, type JawsOnBench } from '../jaws/jaws-on-bench.ts';
import { sizeQuestion } from '../jaws/jaws-question.ts';
import { broughtTo, plainJaws } from '../jaws/jaws-situation.ts';
import { cautionsWith } from '../words/cautions.ts';
import { correctionHints, UNIT_HINT } from '../words/hints.ts';
import { shownQuestion } from '../words/shown-question.ts';
import { heldThing } from '../words/things.ts';
import {
  CALIPER_FIELDS,
  caliperIndication,
  checkCaliper,
  type CaliperIndication,
  type CaliperSituation,
} from './caliper-indication.ts';
import { caliperPicture, type CaliperPicture } from './caliper-picture.ts';
import { CALIPER_SLIPS } from './caliper-slips.ts';
import { caliperSteps } from './caliper-steps.ts';
import { describeCaliper } from './describe-caliper.ts';
import { drawCaliper } from './draw-caliper.ts';

/** Vernier calipers. */
export const CALIPERS_FAMILY: Family<
  VernierCaliper,
  CaliperSituation,
  CaliperIndication,
  JawsOnBench<VernierCaliper, CaliperSituation>,
  CaliperPicture
> = {
  id: 'calipers',
  slips: CALIPER_SLIPS,
  fields: () => CALIPER_FIELDS,
  check: checkCaliper,
  resolution: ({ division }) => resolutionOf(division, 'coincidence'),
  indicates: caliperIndication,
  draw: drawCaliper,
  laid: broughtTo,
  onPaper: (situation) => ({
    ...broughtTo(situation),
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
  }),
  plain: (_, situation, set) => ({
    ...plainJaws(situation),
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value, use: undefined, thing: heldThing(set.value, set.random) }),
  }),
  begin: jawsBegun,
  handle: jawsHandled,
  waits: (bench) => bench,
  shows: ({ posed, position }, eyeHeight) => {
    const picture = caliperPicture(caliperIndication(posed), eyeHeight);
    return position === null ? picture : { ...picture, held: { ...picture.held, startX: position } };
  },
  stands: (bench, eyeHeight) => ({ ...jawsStanding(bench), eyeHeight }),
  remarks: (bench) => jawsRemarks(bench, { name: 'jaws', decimals: 2, hasRatchet: false }),
  describe: (picture) => describeCaliper(picture, 0),
  fillsWidth: () => true,
  question: ({ asked, situation }) =>
    asked === 'observed' ? shownQuestion('caliper', situation) : sizeQuestion(situation),
  hints: (indication) => [
    'Count the vernier’s lines and the main divisions they cover. The difference between one of each is the least count.',
    'Take the last main mark before the vernier’s own zero, not before the edge of the slide.',
    'Find the one vernier line that lies on a main mark. The lines on its left and right are off in opposite ways.',
    'Multiply its number by the least count, and add.',
    ...correctionHints(indication),
    UNIT_HINT,
  ],
  steps: caliperSteps,
  cautions: () => cautionsWith(undefined),
};
