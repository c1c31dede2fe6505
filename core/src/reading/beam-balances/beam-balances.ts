import type { BeamBalance } from '../../instruments/instrument.ts';
import { riderSum } from '../../scales/rider-beam.ts';
import type { Action, Remark } from '../actions.ts';
import { litCharacters } from '../display/display.ts';
import type { Family } from '../family.ts';
import { withoutDust, type Posed } from '../indication/indication.ts';
import { disturbedBy, MISSED, PUTS_RIGHT, putOrTaken, type OnPan } from '../weighing/on-pan.ts';
import { loadOf, plainWeighing } from '../weighing/weighing-situation.ts';
import { leftWrong, massQuestion, notWeighed, weighingHints } from '../weighing/weighing-words.ts';
import { cautionsWith } from '../words/cautions.ts';
import { estimateHint, UNIT_HINT } from '../words/hints.ts';
import { weighedThing } from '../words/things.ts';
import {
  areSeated,
  beamFields,
  beamIndication,
  beamResolution,
  checkBeams,
  isBalanced,
  ridersIn,
  type BeamIndication,
  type BeamSituation,
} from './beam-indication.ts';
import { beamPicture, riderGrams, riderPlace, type BeamPicture } from './beam-picture.ts';
import { BEAM_SLIPS } from './beam-slips.ts';
import { beamSteps } from './beam-steps.ts';
import { describeBeams } from './describe-beams.ts';
import { drawBeams } from './draw-beams.ts';

/** A beam balance on the bench: what is on its pan, where its riders are, how its screw is turned. */
interface BeamsOnBench extends OnPan {
  readonly posed: Posed<BeamBalance, BeamSituation>;
  /** Where the riders stand, the largest first, in g. */
  readonly riders: readonly number[];
  /** By how many g the zero screw turns what the empty balance shows. */
  readonly screw: number;
  /** What disturbed the weighing has been put right. */
  readonly putRight: boolean;
}

function begun(posed: Posed<BeamBalance, BeamSituation>): BeamsOnBench {
  const { tool, situation } = posed;
  const loose = situation.loose ?? false;
  const riders = loose ? tool.beams.map(() => 0) : ridersIn(tool, situation);
  return { posed, vessel: !loose, thing: !loose, riders, screw: 0, putRight: situation.spoilt === undefined };
}

const RIDERS = ['rider-1', 'rider-2', 'rider-3', 'rider-4'];

function handled(bench: BeamsOnBench, action: Action): BeamsOnBench {
  const { kind, to } = action;
  const { tool, situation } = bench.posed;
  const rider = RIDERS.indexOf(kind);
  if (rider >= 0 && to !== null) {
    const moved = (beam: BeamBalance['beams'][number]): number =>
      Math.min(beam.scale.to, Math.max(0, riderGrams(beam, to)));
    return { ...bench, riders: tool.beams.map((beam, i) => (i === rider ? moved(beam) : (bench.riders[i] ?? 0))) };
  }
  if (kind === 'screw') return { ...bench, screw: to ?? 0 };
  if (situation.spoilt !== undefined && kind === PUTS_RIGHT[situation.spoilt]) return { ...bench, putRight: true };
  return putOrTaken(bench, action);
}

/** What is still borne by the glass, in g. */
function stillBorne({ posed: { tool, situation }, putRight }: BeamsOnBench): number {
  return putRight ? 0 : disturbedBy(tool.division, situation.spoilt);
}

/** The situation as the balance stands. What was never put on is judged as if it had been. */
function standing(bench: BeamsOnBench): BeamSituation {
  const { posed, vessel, thing, screw, riders } = bench;
  const { tool, situation } = posed;
  const undisturbed: BeamSituation = { ...situation, spoilt: undefined, loose: undefined };
  if (!thing) return undisturbed;
  const { container = 0, empty = 0 } = situation;
  const stillEmpty = Number((empty + screw).toFixed(6));
  const after: BeamSituation = {
    ...undisturbed,
    value: withoutDust(situation.value + stillBorne(bench)),
    container: vessel && container > 0 ? container : undefined,
    empty: stillEmpty === 0 ? undefined : stillEmpty,
    riders,
    pointerOffset: undefined,
  };
  const reading = { tool, load: loadOf(after), riders };
  if (!isBalanced(reading) || !areSeated(reading)) return after;
  // Within what friction allows, it is judged by where the riders stand.
  return { ...after, value: withoutDust(after.value + riderSum(riders) - reading.load) };
}

function seen(bench: BeamsOnBench): BeamPicture {
  const { posed, vessel, thing, screw, riders, putRight } = bench;
  const picture = beamPicture(beamIndication(posed));
  const [main, ...others] = picture.views;
  const untouched = begun(posed);
  const moved = riders.some((grams, i) => grams !== untouched.riders[i]);
  const here: BeamPicture = {
    ...picture,
    views: moved
      ? [{ ...main, riderX: posed.tool.beams.map((beam, i) => riderPlace(beam, riders[i] ?? 0)) }]
      : [main, ...others],
    empty: screw === 0 ? picture.empty : picture.empty + screw * picture.arm,
    borne: putRight ? 0 : picture.borne,
  };
  if (vessel === untouched.vessel && thing === untouched.thing) return here;
  return onThePan(here, { vessel, thing });
}

/** The picture with just what lies on the pan; a vessel alone is what is weighed then. */
function onThePan(picture: BeamPicture, { vessel, thing }: OnPan): BeamPicture {
  if (thing) return { ...picture, laden: true, vessel: vessel ? picture.vessel : null };
  return vessel && picture.vessel
    ? { ...picture, laden: true, thing: { ...picture.vessel, count: 1 }, vessel: null }
    : { ...picture, laden: false };
}

function remarks(bench: BeamsOnBench): Remark[] {
  const { tool, situation } = bench.posed;
  if (!bench.thing) return [notWeighed('pan')];
  if (situation.spoilt === undefined || bench.putRight) return [];
  return [leftWrong(MISSED[situation.spoilt], `${litCharacters(tool, Math.abs(stillBorne(bench)))} ${tool.unit}`)];
}

/** Balances with riders on their beams. */
export const BEAM_BALANCES_FAMILY: Family<BeamBalance, BeamSituation, BeamIndication, BeamsOnBench, BeamPicture> = {
  id: 'beam-balances',
  slips: BEAM_SLIPS,
  fields: beamFields,
  check: checkBeams,
  resolution: beamResolution,
  indicates: beamIndication,
  draw: drawBeams,
  laid: (situation) => (situation.loose ? { ...situation, loose: undefined, spoilt: undefined } : situation),
  onPaper: (situation) => ({ ...situation, loose: undefined, riders: undefined, spoilt: undefined }),
  plain: (_, situation, set) => ({
    ...plainWeighing(situation),
    riders: undefined,
    spoilt: undefined,
    ...(set && {
      value: set.value,
      count: undefined,
      under: undefined,
      thing: weighedThing(set.value, set.random),
    }),
  }),
  begin: begun,
  handle: handled,
  waits: (bench) => bench,
  shows: seen,
  stands: standing,
  remarks,
  describe: describeBeams,
  fillsWidth: () => true,
  question: (indication) => {
    const { asked, situation } = indication;
    return situation.under === undefined || asked === 'observed'
      ? massQuestion(indication)
      : `How heavy does the ${situation.thing ?? 'thing'} seem under ${situation.under}?`;
  },
  hints: (indication) => [
    'With nothing on it the pointer has to rest on its mark; else turn the zero screw, or take off what it shows then.',
    'Begin with the largest rider. Move it notch by notch until the pointer drops, then go one notch back.',
    'Every notched rider must sit in its notch. Only the last one slides.',
    'Read only when the pointer swings evenly about its mark.',
    'Add up the riders, then read the sliding one like any scale.',
    estimateHint(indication.resolution),
    ...weighingHints(indication),
    UNIT_HINT,
  ],
  steps: beamSteps,
  cautions: () => cautionsWith(undefined),
};
