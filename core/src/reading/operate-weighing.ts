import type { BeamBalance, DisplayTool } from '../instruments/instrument.ts';
import { riderSum } from '../scales/rider-beam.ts';
import { riderGrams } from './balance-pictures.ts';
import { areSeated, asDisplayed, isBalanced, ridersIn, shownBy } from './balance-reading.ts';
import { spoiledBy } from './draw-weighing.ts';
import type { Done } from './operation.ts';
import type { Situation, Spoilt } from './situation.ts';

/** What puts each disturbance right. */
export const PUTS_RIGHT: Readonly<Record<Spoilt, Done['kind']>> = {
  draught: 'shield',
  'off-centre': 'centre',
  wet: 'dry',
  fingerprints: 'clean',
  touching: 'hang-free',
};

/** Time constant of a display that settles, in ms. */
const DISPLAY_TIME = 700;

/** How far, in last digits, a display still is from what it will show, so many ms after it was that far away. */
export function stillAway(digits: number, time: number): number {
  const away = Math.round(digits * Math.exp(-Math.max(0, time) / DISPLAY_TIME));
  return away === 0 ? 0 : away;
}

/** How many last digits a display is away from what it will show, the moment something has been put on. */
export function settlesFrom({ division }: { readonly division: number }, grams: number): number {
  return Math.min(MOST_AWAY, Math.round(grams / division));
}

/** The larger part of the way a display makes at once. */
const MOST_AWAY = 60;

/** What lies on a pan. */
interface OnPan {
  readonly vessel: boolean;
  readonly thing: boolean;
}

function putOrTaken(now: OnPan, { kind }: Done): OnPan {
  if (kind === 'put-vessel' || kind === 'take-vessel') return { ...now, vessel: kind === 'put-vessel' };
  return kind === 'put-thing' || kind === 'take-thing' ? { ...now, thing: kind === 'put-thing' } : now;
}

/** Whether what is asked for has been put on at all. */
export function isWeighed(situation: Situation, done: readonly Done[]): boolean {
  return done.reduce(putOrTaken, { vessel: !situation.loose, thing: !situation.loose }).thing;
}

/** A beam balance as it stands at Enter: what is on it, where its riders are, how its screw is turned. */
export function weighedOnBeams(tool: BeamBalance, situation: Situation, done: readonly Done[]): Situation {
  const { loose = false, container = 0, empty = 0, spoilt } = situation;
  const onPan = done.reduce(putOrTaken, { vessel: !loose, thing: !loose });
  if (!onPan.thing) return { ...situation, loose: undefined, spoilt: undefined };
  const borne =
    spoilt !== undefined && !done.some(({ kind }) => kind === PUTS_RIGHT[spoilt]) ? spoiledBy(tool, spoilt) : 0;
  const start = loose ? tool.beams.map(() => 0) : ridersIn(tool, situation);
  const riders = tool.beams.map((beam, i) => {
    const to = done.findLast(({ kind }) => kind === `rider-${i + 1}`)?.to ?? null;
    return to === null ? (start[i] ?? 0) : Math.min(beam.scale.to, Math.max(0, riderGrams(beam, to)));
  });
  const screw = done.findLast(({ kind }) => kind === 'screw')?.to ?? 0;
  const stillEmpty = Number((empty + screw).toFixed(6));
  const after: Situation = {
    ...situation,
    value: Number((situation.value + borne).toFixed(9)),
    spoilt: undefined,
    loose: undefined,
    container: onPan.vessel && container > 0 ? container : undefined,
    empty: stillEmpty === 0 ? undefined : stillEmpty,
    riders,
    pointerOffset: undefined,
  };
  const reading = { tool, load: shownBy(tool, after), riders };
  if (!isBalanced(reading) || !areSeated(reading)) return after;
  // Within what friction allows, it is judged by where the riders stand.
  return { ...after, value: Number((after.value + riderSum(riders) - reading.load).toFixed(9)) };
}

/** What a digital balance shows beyond the thing after it was switched on, zeroed and laden in some order. */
function leftInDisplay(
  { container = 0, empty = 0 }: Situation,
  done: readonly Done[],
): { readonly vessel: boolean; readonly empty: boolean; readonly nonsense: boolean } {
  let [onPan, zeroed, vesselZeroed, nonsense]: [OnPan, boolean, boolean, boolean] = [
    { vessel: false, thing: false },
    false,
    false,
    false,
  ];
  for (const one of done) {
    onPan = putOrTaken(onPan, one);
    if (one.kind === 'tare') [zeroed, vesselZeroed, nonsense] = [true, onPan.vessel, onPan.thing];
    if (one.kind === 'switch-on') [zeroed, vesselZeroed, nonsense] = [false, false, false];
  }
  // A vessel tared and then taken off leaves a number that means nothing.
  return {
    vessel: container > 0 && onPan.vessel && !vesselZeroed,
    empty: empty !== 0 && !zeroed,
    nonsense: nonsense || (vesselZeroed && !onPan.vessel),
  };
}

/** A digital balance as it stands at Enter. */
export function weighedOnDisplay(
  tool: DisplayTool,
  situation: Situation,
  done: readonly Done[],
  at: number,
): Situation {
  const { loose = false, spoilt, settled = true, shown, value, container } = situation;
  if (!loose) {
    if (settled || shown === undefined) return situation;
    const target = shownBy(tool, situation);
    const away = stillAway(Math.round((shown - target) / tool.division), at);
    return away === 0
      ? { ...situation, settled: true, shown: undefined }
      : { ...situation, shown: asDisplayed(tool, target + away * tool.division) };
  }
  const rest: Situation = { ...situation, loose: undefined, spoilt: undefined };
  const left = leftInDisplay(situation, done);
  if (!isWeighed(situation, done) || left.nonsense) return { ...rest, container: undefined, empty: undefined };
  const off =
    spoilt !== undefined && !done.some(({ kind }) => kind === PUTS_RIGHT[spoilt]) ? spoiledBy(tool, spoilt) : 0;
  const after: Situation = {
    ...rest,
    value: Number((value + off).toFixed(9)),
    container: left.vessel ? situation.container : undefined,
    empty: left.empty ? situation.empty : undefined,
  };
  const last = done.findLast(({ kind }) => kind === 'put-thing' || kind === 'put-vessel' || kind === 'take-vessel');
  const away =
    last === undefined
      ? 0
      : stillAway(settlesFrom(tool, last.kind === 'put-thing' ? after.value : (container ?? 0)), at - last.at);
  return away === 0
    ? after
    : { ...after, settled: false, shown: asDisplayed(tool, shownBy(tool, after) - away * tool.division) };
}
