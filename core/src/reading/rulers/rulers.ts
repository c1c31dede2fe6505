import type { Ruler } from '../../instruments/instrument.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { scaleHints } from '../scale/scale-hints.ts';
import { scaleSteps } from '../scale/scale-steps.ts';
import { cautionsWith } from '../words/cautions.ts';
import { longThing } from '../words/things.ts';
import { drawRuler } from './draw-ruler.ts';
import { RULER_GEOMETRY, rulerIndication, rulerResolution, type RulerIndication } from './ruler-indication.ts';
import { describeRuler, rulerPicture, type RulerPicture } from './ruler-picture.ts';
import { checkRuler, RULER_FIELDS, type RulerSituation } from './ruler-situation.ts';
import { RULER_SLIPS } from './ruler-slips.ts';

/** A ruler on the bench, and where a thing has been laid at it, in mm to the right of its physical end. */
interface RulerOnBench {
  readonly posed: Posed<Ruler, RulerSituation>;
  readonly laidAt: number | null;
}

/** The thing where it has been laid. */
function lying({ posed: { tool, situation }, laidAt }: RulerOnBench): RulerSituation {
  if (!situation.loose || laidAt === null) return situation;
  const from = Number(((laidAt - (situation.endOffset ?? 0)) / tool.body.perUnit).toFixed(4));
  return { ...situation, from };
}

export const RULERS_FAMILY: Family<Ruler, RulerSituation, RulerIndication, RulerOnBench, RulerPicture> = {
  id: 'rulers',
  slips: RULER_SLIPS,
  fields: () => RULER_FIELDS,
  check: checkRuler,
  resolution: rulerResolution,
  indicates: rulerIndication,
  draw: drawRuler,
  laid: (situation) =>
    situation.loose
      ? { ...situation, loose: undefined, ...(situation.from === undefined ? {} : { from: 0 }) }
      : situation,
  onPaper: ({ loose: _, ...situation }) =>
    situation.eyeHeight === undefined ? situation : { ...situation, eyeHeight: 0 },
  plain: (tool, { loose: _loose, from: _from, ...situation }, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value, thing: longThing(RULER_GEOMETRY.along(tool, set.value), set.random) }),
  }),
  begin: (posed) => ({ posed, laidAt: null }),
  handle: (bench, { kind, to }) => (kind === 'lay' ? { ...bench, laidAt: to } : bench),
  waits: (bench) => bench,
  shows: (bench, eyeHeight) => {
    const indication = rulerIndication({ ...bench.posed, situation: lying(bench) });
    return rulerPicture(indication, eyeHeight);
  },
  stands: (bench, eyeHeight) => ({
    ...lying(bench),
    ...(bench.laidAt === null ? {} : { loose: undefined }),
    eyeHeight,
  }),
  remarks: () => [],
  describe: (picture) => describeRuler(picture, 0),
  fillsWidth: () => true,
  question: ({ situation }) => `How long is the ${situation.thing ?? 'thing'}?`,
  hints: (indication) =>
    scaleHints(indication, [
      'Bring the eye straight over the end that you read.',
      'Look at both ends of the thing: where it begins is not always the zero line.',
    ]),
  steps: (indication) => scaleSteps(indication, { passed: 'The label to the left', initial: 'mark it begins at' }),
  cautions: () => cautionsWith(undefined),
};
