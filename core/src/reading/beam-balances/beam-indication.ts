import type { BeamBalance } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { isSeated, nearestNotch, ridersFor, riderSum } from '../../scales/rider-beam.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, withoutDust, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkChoice, checkNumber, SituationError } from '../indication/situation-error.ts';
import type { CountedOn } from '../scale/counted-on.ts';
import {
  addedTo,
  checkWeighing,
  loadOf,
  WEIGHING_FIELDS,
  type WeighingSituation,
} from '../weighing/weighing-situation.ts';

interface OnBeams extends WeighingSituation {
  /** Where the riders have been left, the largest first, in g; else they balance the load. */
  readonly riders?: readonly number[];
  /** By how many g the riders show more than the load while the pointer is off its mark. */
  readonly pointerOffset?: number;
}

/** A thing may hang in a liquid on a balance whose pan hangs; there it can touch the glass. */
export type BeamSituation = OnBeams &
  (
    | { readonly under?: undefined; readonly spoilt?: undefined }
    | { readonly under: string; readonly spoilt?: 'touching' }
  );

export function beamFields({ pan }: BeamBalance): readonly string[] {
  return [...WEIGHING_FIELDS, 'spoilt', 'riders', 'pointerOffset', ...(pan === 'hangs' ? ['under'] : [])];
}

/** @throws SituationError */
export function checkBeams(tool: BeamBalance, situation: BeamSituation): void {
  const { empty = 0, pointerOffset, riders } = situation;
  // What comes from outside may say what cannot be.
  const { spoilt, under }: { readonly spoilt?: string; readonly under?: string } = situation;
  const [, most] = tool.range;
  const load = checkWeighing(tool, situation, Math.min(0, empty));
  if (pointerOffset !== undefined) checkNumber('pointerOffset', pointerOffset, -load, most - load, tool.unit);
  checkChoice('spoilt', spoilt, ['touching']);
  if (spoilt === 'touching' && under === undefined)
    throw new SituationError('spoilt', 'there is no glass for it to touch.');
  if (riders !== undefined) checkRiders(tool, riders);
}

function checkRiders({ beams, name, unit }: BeamBalance, riders: readonly number[]): void {
  if (riders.length !== beams.length)
    throw new SituationError('riders', `a ${name} has ${beams.length} riders, not ${riders.length}.`);
  beams.forEach(({ scale }, i) => checkNumber('riders', riders[i], scale.from, scale.to, unit));
}

/** Riders on their beams, and what pulls at the pan, in g. */
export interface Riders {
  readonly tool: BeamBalance;
  readonly load: number;
  /** Where the riders stand, the largest first. */
  readonly riders: readonly number[];
}

/** A beam balance as it stands: its mark is what pulls at the pan, in g. */
export interface BeamIndication extends Indication<BeamBalance, BeamSituation>, Riders, CountedOn {
  readonly tool: BeamBalance;
  readonly mark: number;
}

/** The riders of a situation: as they have been left, or where they balance the load. */
export function ridersIn({ beams }: BeamBalance, situation: BeamSituation): readonly number[] {
  const { value, pointerOffset = 0 } = situation;
  return situation.riders ?? ridersFor(beams, withoutDust(value + addedTo(situation) + pointerOffset));
}

/** Friction at the knife edge: a balance that is off by less than this part of its division may stand still. */
const DEAD_BAND = 0.1;

/** By how many g a beam balance can be off and still stand still. */
export function deadBand({ division }: BeamBalance): number {
  return DEAD_BAND * division;
}

/** A pointer is judged by eye: half as much again as friction can hold it off cannot be told from rest on the mark. */
const JUDGED = 1.5;

/** Whether riders, as they stand, hold the load, as far as can be seen. */
export function isBalanced({ tool, load, riders }: Riders): boolean {
  return Math.abs(riderSum(riders) - load) <= JUDGED * deadBand(tool) + 1e-9;
}

/** Whether every rider that has notches sits in one. */
export function areSeated({ tool, riders }: Riders): boolean {
  return riders.every((position, i) => {
    const beam = tool.beams[i];
    return beam === undefined || isSeated(beam, position);
  });
}

/** What somebody reads off the riders: of a notched one the notch it is nearest to. */
export function riderReading({ tool, riders }: Riders): number {
  return riderSum(tool.beams.map((beam, i) => nearestNotch(beam, riders[i] ?? 0)));
}

/** What each rider adds when the balance shows `seen`; null where it does not stand as it should. */
export function ridersShowing({ tool, load, riders }: Riders, seen: number): readonly number[] | null {
  if (!isBalanced({ tool, load, riders }) || !areSeated({ tool, load, riders })) return null;
  return Math.abs(seen - load) < 1e-6 ? riders : ridersFor(tool.beams, Math.max(0, seen));
}

const WORDS = {
  digit: 'The lines give the certain digits. Estimate one more between them; on a line it is a zero, and you write it.',
  zero: 'Exactly on a line, the estimated digit is zero. A measured zero is written.',
};

export function beamResolution(
  { division, skill }: BeamBalance,
  { estimate, estimateByFamily }: HouseRules,
): Resolution {
  return resolutionOf(division, estimateByFamily[skill] ?? estimate);
}

export function beamIndication(posed: Posed<BeamBalance, BeamSituation>): BeamIndication {
  const { tool, situation, rules } = posed;
  const corrected = askedIn(situation) === 'corrected';
  const load = loadOf(situation);
  const standing: Riders = { tool, load, riders: ridersIn(tool, situation) };
  const { scale } = tool.beams.at(-1) ?? {};
  return {
    ...indicationFrom(posed, {
      resolution: beamResolution(tool, rules),
      mark: load,
      subtracted: corrected ? addedTo(situation) : 0,
      // A vessel weighed by riders is read as well.
      isDifference: corrected && (situation.container ?? 0) > 0,
      words: WORDS,
    }),
    ...standing,
    mark: load,
    countedOn: (seen) => {
      const riders = ridersShowing(standing, seen);
      return riders && scale ? { scale, base: riderSum(riders.slice(0, -1)) } : null;
    },
  };
}
