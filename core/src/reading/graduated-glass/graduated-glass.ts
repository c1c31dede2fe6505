import type { GraduatedGlass } from '../../instruments/instrument.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';
import { describeColumn } from '../column/describe-column.ts';
import { MENISCUS_SLIPS } from '../column/meniscus-slips.ts';
import { surfaceHint } from '../column/surface.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { LEVEL_HINT, scaleHints } from '../scale/scale-hints.ts';
import { scaleSteps } from '../scale/scale-steps.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { EYE_LEVEL_SLIPS } from '../slips/eye-level.ts';
import { cautionsWith } from '../words/cautions.ts';
import { drawGlass } from './draw-glass.ts';
import {
  checkGlass,
  glassFields,
  glassIndication,
  glassResolution,
  type GlassIndication,
  type GlassSituation,
} from './glass-indication.ts';
import { glassPicture } from './glass-picture.ts';
import { otherScale } from './other-scale.ts';

type OnBench = Posed<GraduatedGlass, GlassSituation>;

const CALLED = { cylinder: 'cylinder', beaker: 'beaker', 'conical-flask': 'flask' } as const;

/** Graduated cylinders, beakers and conical flasks: filled and looked at, nothing is done with them. */
export const GRADUATED_GLASS_FAMILY: Family<
  GraduatedGlass,
  GlassSituation,
  GlassIndication,
  OnBench,
  LiquidColumnPicture
> = {
  id: 'graduated-glass',
  slips: [...EYE_LEVEL_SLIPS, ...MENISCUS_SLIPS, ...COUNTING_SLIPS, otherScale],
  fields: glassFields,
  check: checkGlass,
  resolution: glassResolution,
  indicates: glassIndication,
  draw: drawGlass,
  laid: (situation) => situation,
  onPaper: (situation) => (situation.eyeHeight === undefined ? situation : { ...situation, eyeHeight: 0 }),
  plain: (_, situation, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value }),
  }),
  begin: (posed) => posed,
  handle: (bench) => bench,
  waits: (bench) => bench,
  shows: (bench, eyeHeight) => glassPicture(glassIndication(bench), eyeHeight),
  stands: ({ situation }, eyeHeight) => ({ ...situation, eyeHeight }),
  remarks: () => [],
  describe: (picture) => describeColumn(picture, picture.surfaceY),
  fillsWidth: () => false,
  question: ({ tool, situation }) => `How much ${situation.liquid ?? 'liquid'} is in the ${CALLED[tool.body.kind]}?`,
  hints: (indication) => scaleHints(indication, [LEVEL_HINT, surfaceHint(indication.situation, indication.rules)]),
  steps: (indication) => scaleSteps(indication),
  cautions: ({ situation }) => cautionsWith(situation.liquid),
};
