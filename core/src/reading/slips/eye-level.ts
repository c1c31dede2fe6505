import { acceptanceBand } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { parallax, seenAt, type ScaleIndication } from '../scale/scale-indication.ts';
import type { SightSlip } from './slip.ts';

/** A shift that stays within the accepted band makes no reading wrong, and cannot be told from scatter. */
function isNoticeable({ resolution, rules }: Indication, shift: number): boolean {
  return Math.abs(shift) > acceptanceBand(resolution, rules);
}

/** By how much the reading seems to shift for an eye where it is, in the instrument's unit. */
export function shiftOf(indication: ScaleIndication): number {
  return seenAt(indication, parallax(indication)) - indication.present;
}

/** The shift, where it can be told. */
export function noticed(indication: Indication, shift: number): number | null {
  return isNoticeable(indication, shift) ? shift : null;
}

/** Why a slanted line of sight shifts a reading. */
function slopes(slope: string, shift: number): string {
  return `Your line of sight slopes ${slope}, so the level seems to be at a ${shift > 0 ? 'higher' : 'lower'} mark than it is.`;
}

const lookAt = (): string => 'the beam: bring the eye to where it runs level';

const eyeHigh: SightSlip<ScaleIndication> = {
  id: 'eye-high',
  stage: 'sight',
  name: 'Eye too high',
  baseRate: 0.5,
  needsTheTool: true,
  why: (indication) => slopes('down', shiftOf(indication)),
  lookAt,
  shift: (indication) => (indication.eyeHeight > 0 ? noticed(indication, shiftOf(indication)) : null),
  path: () => [{ kind: 'sight', text: 'the eye is above the mark' }],
};

const eyeLow: SightSlip<ScaleIndication> = {
  id: 'eye-low',
  stage: 'sight',
  name: 'Eye too low',
  baseRate: 0.5,
  needsTheTool: true,
  why: (indication) => slopes('up', shiftOf(indication)),
  lookAt,
  shift: (indication) => (indication.eyeHeight < 0 ? noticed(indication, shiftOf(indication)) : null),
  path: () => [{ kind: 'sight', text: 'the eye is below the mark' }],
};

/** What an eye off the level makes of an upright tool. */
export const EYE_LEVEL_SLIPS: readonly SightSlip<ScaleIndication>[] = [eyeHigh, eyeLow];

/** What an eye to one side makes of a tool that lies. @param shiftFrom by how much the reading seems to shift; 0 for an eye straight over it. */
export function eyeAside<R extends Indication>(shiftFrom: (indication: R) => number): SightSlip<R> {
  return {
    id: 'eye-aside',
    stage: 'sight',
    name: 'Eye to one side',
    baseRate: 0.5,
    needsTheTool: true,
    why: (indication) => slopes('sideways', shiftFrom(indication)),
    lookAt: () => 'the beam: bring the eye straight over the edge',
    shift: (indication) => noticed(indication, shiftFrom(indication)),
    path: () => [{ kind: 'sight', text: 'the eye is not over the edge' }],
  };
}
