import { meniscusProfile } from '../scale/meniscus.ts';
import type { Thermometer } from '../../instruments/instrument.ts';
import { writtenAtPlace } from '../../numbers/rounding.ts';
import { decimalsOf } from '../../scales/linear-scale.ts';
import type { Action } from '../actions.ts';
import { columnPicture, type LiquidColumnPicture } from '../column/column-picture.ts';
import { describeColumn } from '../column/describe-column.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import { withMinusSign } from '../picture/reveal-step.ts';
import { scaleHints } from '../scale/scale-hints.ts';
import { scaleSteps } from '../scale/scale-steps.ts';
import { shownQuestion } from '../words/shown-question.ts';
import { BROKEN, cautionsWith } from '../words/cautions.ts';
import { drawThermometer } from './draw-thermometer.ts';
import {
  checkThermometer,
  THERMOMETER_FIELDS,
  THERMOMETER_MARGINS,
  thermometerIndication,
  thermometerResolution,
  type ThermometerIndication,
  type ThermometerSituation,
} from './thermometer-indication.ts';
import { THERMOMETER_SLIPS } from './thermometer-slips.ts';
import { sentTowards, threadAt, type Thread } from './thread.ts';

/** A thermometer on the bench: where its bulb is, its thread where it still moves, and the time by its clock, in ms. */
interface ThermometerOnBench {
  readonly posed: Posed<Thermometer, ThermometerSituation>;
  readonly bulb: 'air' | 'liquid' | 'bottom';
  readonly thread: Thread | null;
  readonly now: number;
}

const BULB_AFTER: Readonly<Partial<Record<Action['kind'], ThermometerOnBench['bulb']>>> = {
  lower: 'liquid',
  ground: 'bottom',
  raise: 'air',
};

/** The mark the thread comes to rest at in the liquid. */
function restOf({ situation: { value, zeroError = 0 } }: ThermometerOnBench['posed']): number {
  return value + zeroError;
}

function begun(posed: Posed<Thermometer, ThermometerSituation>): ThermometerOnBench {
  const { situation } = posed;
  if (situation.settled !== false) return { posed, bulb: 'liquid', thread: null, now: 0 };
  const room = situation.shown;
  return { posed, bulb: 'air', thread: { stood: room, towards: room, since: 0 }, now: 0 };
}

/** A thread goes to the liquid's mark while it is in the liquid, on the bottom too, and back to the room's while it hangs in the air. */
function handled(bench: ThermometerOnBench, { kind, at }: Action): ThermometerOnBench {
  const bulb = BULB_AFTER[kind];
  if (bulb === undefined) return { ...bench, now: at };
  const { posed, thread } = bench;
  const towards = bulb === 'air' ? (posed.situation.shown ?? restOf(posed)) : restOf(posed);
  return { ...bench, bulb, now: at, thread: thread && sentTowards(thread, towards, at) };
}

/** Nearer to rest than this many divisions, nobody can see the thread move. */
const AT_REST = 0.04;

/** The situation with the thread where it stands now. */
function standing({ posed, thread, now }: ThermometerOnBench): ThermometerSituation {
  const { situation, tool } = posed;
  if (thread === null) return situation;
  const present = threadAt(thread, now);
  if (Math.abs(present - restOf(posed)) < AT_REST * tool.division)
    return { ...situation, settled: true, shown: undefined };
  const [least, most] = tool.range;
  return { ...situation, settled: false, shown: Number(Math.min(most, Math.max(least, present)).toFixed(4)) };
}

/** The end of a spirit thread is slightly hollow: a fifth of what a wetting surface would be in a bore of so many mm. */
const BORE = 1.2;
const HOLLOW = 0.2;

/** What a tool's owner knows of it: how far it is off. */
function noteOn({ tool, situation }: ThermometerIndication): string | null {
  const { zeroError = 0 } = situation;
  if (zeroError === 0) return null;
  const shown = withMinusSign(writtenAtPlace(zeroError, -decimalsOf(tool.division) - 1));
  return `In melting ice (0.0 ${tool.unit}) this one shows ${shown} ${tool.unit}.`;
}

function thermometerPicture(indication: ThermometerIndication, eyeHeight: number): LiquidColumnPicture {
  const { tool, situation, mark, present, positionOf } = indication;
  const moves = present !== mark;
  return columnPicture(indication, eyeHeight, {
    vessel: 'thermometer',
    bore: BORE,
    wall: tool.body.gap - BORE / 2,
    floorY: positionOf(tool.scale.from) + 20,
    below: THERMOMETER_MARGINS.below,
    profile: meniscusProfile('wetting', BORE / 2).map(([x, z]) => [inDrawing(x), inDrawing(z * HOLLOW)]),
    startY: moves ? inDrawing(positionOf(present)) : null,
    handled: moves ? 'bulb' : null,
    note: noteOn(indication),
    ...(situation.liquid === undefined ? {} : { liquid: situation.liquid }),
  });
}

/** Where the thread ends, in words a reading can be made from. @param apparentY in drawing units. */
export function describeThread(picture: LiquidColumnPicture, apparentY: number): string {
  return describeColumn(picture, apparentY, 'The end of the thread lies');
}

/** Spirit thermometers. */
export const THERMOMETERS_FAMILY: Family<
  Thermometer,
  ThermometerSituation,
  ThermometerIndication,
  ThermometerOnBench,
  LiquidColumnPicture
> = {
  id: 'thermometers',
  slips: THERMOMETER_SLIPS,
  fields: () => THERMOMETER_FIELDS,
  check: checkThermometer,
  resolution: thermometerResolution,
  indicates: thermometerIndication,
  draw: drawThermometer,
  laid: (situation) => situation,
  onPaper: ({ settled, shown: _, ...situation }) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(settled === undefined ? {} : { settled: true }),
  }),
  plain: (_tool, { settled: _settled, shown: _shown, zeroError: _zeroError, ...situation }, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value }),
  }),
  begin: begun,
  handle: handled,
  waits: (bench, at) => ({ ...bench, now: at }),
  shows: (bench, eyeHeight) =>
    thermometerPicture(thermometerIndication({ ...bench.posed, situation: standing(bench) }), eyeHeight),
  stands: (bench, eyeHeight) => ({ ...standing(bench), eyeHeight }),
  remarks: ({ bulb }) =>
    bulb === 'bottom'
      ? [
          {
            id: 'bulb-on-bottom',
            text: 'The bulb stood on the bottom of the vessel. The bottom can be hotter or colder than the liquid. Keep the bulb off the bottom, and in the liquid while you read.',
          },
        ]
      : [],
  describe: (picture) => describeThread(picture, picture.surfaceY),
  fillsWidth: () => false,
  question: ({ asked, situation }) =>
    asked === 'observed' ? shownQuestion('thermometer', situation) : `How warm is the ${situation.liquid ?? 'liquid'}?`,
  hints: (indication) =>
    scaleHints(indication, [
      'Wait until the thread rests, with the bulb still in the liquid. Then level your eye.',
      'Look at the end of the thread: its lowest point counts.',
    ]),
  steps: (indication) => scaleSteps(indication),
  cautions: ({ situation }) => cautionsWith(situation.liquid, [BROKEN]),
};
