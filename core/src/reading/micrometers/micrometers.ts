import { THIMBLE_DIVISION } from '../../instruments/micrometers.ts';
import type { Micrometer } from '../../instruments/instrument.ts';
import type { Aimed } from '../drawing/aimed.ts';
import type { Family } from '../family.ts';
import { broughtByHand, drawnZeroError } from '../jaws/draw-jaws.ts';
import { jawsBegun, jawsHandled, jawsRemarks, jawsStanding, type JawsOnBench } from '../jaws/jaws-on-bench.ts';
import { sizeQuestion } from '../jaws/jaws-question.ts';
import { broughtTo, plainJaws } from '../jaws/jaws-situation.ts';
import { cautionsWith } from '../words/cautions.ts';
import { correctionHints, estimateHint, UNIT_HINT } from '../words/hints.ts';
import { shownQuestion } from '../words/shown-question.ts';
import { heldThing } from '../words/things.ts';
import { describeMicrometer } from './describe-micrometer.ts';
import {
  checkMicrometer,
  MICROMETER_FIELDS,
  micrometerIndication,
  micrometerResolution,
  type MicrometerIndication,
  type MicrometerSituation,
} from './micrometer-indication.ts';
import { micrometerPicture, type MicrometerPicture } from './micrometer-picture.ts';
import { MICROMETER_SLIPS } from './micrometer-slips.ts';
import { micrometerSteps } from './micrometer-steps.ts';

/** A size to be read: with a vernier a line nearly on a thimble line, else anything between two lines. */
function drawnSize({ division, sleeveLines }: Micrometer, { random, at }: Aimed, raw: number): number {
  if (sleeveLines > 0) return (Math.round(raw / division) + 0.5 * (random.uniform() - 0.5)) * division;
  return at('trailing-zero-dropped') ? Math.round(raw / division) * division : raw;
}

function drawMicrometer(tool: Micrometer, aimed: Aimed): MicrometerSituation {
  const { random } = aimed;
  const { range, division, sleeveLines } = tool;
  const value = drawnSize(tool, aimed, 1 + (range[1] - 2) * random.uniform());
  return {
    value: Number(value.toFixed(5)),
    thing: heldThing(value, random),
    // Where a digit is estimated, an error is further than an estimate can be off.
    ...(sleeveLines > 0 ? drawnZeroError(division, [2, 12], aimed) : drawnZeroError(division / 10, [9, 27], aimed)),
    ...broughtByHand(0, THIMBLE_DIVISION, aimed),
  };
}

/** Micrometers, with and without a vernier on the sleeve. */
export const MICROMETERS_FAMILY: Family<
  Micrometer,
  MicrometerSituation,
  MicrometerIndication,
  JawsOnBench<Micrometer, MicrometerSituation>,
  MicrometerPicture
> = {
  id: 'micrometers',
  slips: MICROMETER_SLIPS,
  fields: () => MICROMETER_FIELDS,
  check: checkMicrometer,
  resolution: micrometerResolution,
  indicates: micrometerIndication,
  draw: drawMicrometer,
  laid: broughtTo,
  onPaper: broughtTo,
  plain: (_, situation, set) => ({
    ...plainJaws(situation),
    ...(set && { value: set.value, thing: heldThing(set.value, set.random) }),
  }),
  begin: jawsBegun,
  handle: jawsHandled,
  waits: (bench) => bench,
  shows: ({ posed, position }) => {
    const picture = micrometerPicture(micrometerIndication(posed));
    return position === null ? picture : { ...picture, held: { ...picture.held, startX: position } };
  },
  stands: (bench) => jawsStanding(bench),
  remarks: (bench) => jawsRemarks(bench, { name: 'faces', decimals: 3, hasRatchet: true }),
  describe: describeMicrometer,
  fillsWidth: () => true,
  question: ({ asked, situation }) =>
    asked === 'observed' ? shownQuestion('micrometer', situation) : sizeQuestion(situation),
  hints: (indication) => [
    'Read the sleeve: whole millimetres on one side of the datum line, halves on the other.',
    'A half counts only when its line is uncovered.',
    'Read the thimble where the datum line meets it: one division is a hundredth of a millimetre.',
    indication.tool.sleeveLines > 0
      ? 'The line of the sleeve’s vernier that lies on a thimble line gives the thousandths.'
      : estimateHint(indication.resolution),
    ...correctionHints(indication),
    UNIT_HINT,
  ],
  steps: micrometerSteps,
  cautions: () => cautionsWith(undefined),
};
