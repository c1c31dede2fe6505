import type { BeamBalance, DigitalBalance } from '../../instruments/instrument.ts';
import { withoutDust, type AnySituation } from '../indication/indication.ts';
import { checkFlag, checkNumber, SituationError } from '../indication/situation-error.ts';
import { thingInWords } from '../words/things.ts';

/** Something on the pan of a balance. */
export interface WeighingSituation extends AnySituation {
  /** What the balance is known to be off by, in g. */
  readonly zeroError?: number;
  /** Mass of the vessel that what is weighed is in, and what it is called. */
  readonly container?: number;
  readonly vessel?: string;
  /** What the balance shows with nothing on it, until it is zeroed. */
  readonly empty?: number;
  readonly thing?: string;
  /** How many equal things are weighed together, where there are several. */
  readonly count?: number;
  /** True while it is still to be put on by the student. */
  readonly loose?: boolean;
}

export const WEIGHING_FIELDS = ['zeroError', 'container', 'vessel', 'empty', 'thing', 'count', 'loose'] as const;

/** What can be wrong with a weighing: moving air, a load near the pan’s rim, a wet specimen, fingerprints on it; under a liquid, a touched glass. */
export type Disturbance = 'draught' | 'off-centre' | 'wet' | 'fingerprints' | 'touching';

/** So many things lie on a pan together at most. */
const MOST_TOGETHER = 20;

/** What a balance can be off by, as a part of its range, before it is mended. */
const MOST_OFF = 0.05;

/** Everything a balance shows beyond what is asked for: a vessel, an empty reading that is not zero, an error it is known by. */
export function addedTo({ container = 0, empty = 0, zeroError = 0 }: WeighingSituation): number {
  return withoutDust(container + empty + zeroError);
}

/** Everything that presses on the pan, as the balance counts it, in g. */
export function loadOf(situation: WeighingSituation): number {
  return withoutDust(situation.value + addedTo(situation));
}

/** @throws SituationError @param least the smallest load it can show. @returns the load. */
export function checkWeighing(tool: BeamBalance | DigitalBalance, situation: WeighingSituation, least: number): number {
  const { value, container = 0, empty = 0, zeroError = 0, count } = situation;
  const [, most] = tool.range;
  checkFlag('loose', situation.loose);
  checkNumber('container', container, 0, most, tool.unit);
  checkNumber('empty', empty, -MOST_OFF * most, MOST_OFF * most, tool.unit);
  checkNumber('zeroError', zeroError, -MOST_OFF * most, MOST_OFF * most, tool.unit);
  const load = withoutDust(value + container + empty + zeroError);
  checkNumber(container > 0 ? 'container' : 'value', load, least, most, tool.unit);
  if (count !== undefined && !(Number.isInteger(count) && count >= 2 && count <= MOST_TOGETHER))
    throw new SituationError('count', `${count} is not a number of things from 2 to ${MOST_TOGETHER}.`);
  return load;
}

/** What lies on the pan, in words. */
export function captionOf(situation: WeighingSituation): string {
  const { vessel = 'vessel', container = 0 } = situation;
  return container > 0 ? `the ${vessel} with the ${thingInWords(situation)} in it` : `the ${thingInWords(situation)}`;
}

/** What is looked at besides the reading: the vessel alone, or the empty pan. */
export function otherLoads(situation: WeighingSituation): { readonly caption: string; readonly load: number }[] {
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel', ask = 'corrected' } = situation;
  if (ask === 'observed') return [];
  return [
    ...(container > 0 ? [{ caption: `the ${vessel} alone`, load: container + empty + zeroError }] : []),
    ...(empty === 0 ? [] : [{ caption: 'nothing', load: empty + zeroError }]),
  ];
}

/** What a balance’s card says of it. @param shown the size of its error, as it shows it. */
export function cardOf(situation: WeighingSituation, shown: string, unit: string): string | null {
  const { zeroError = 0 } = situation;
  if (zeroError === 0) return null;
  return `Checked with standard masses: it shows ${shown} ${unit} too ${zeroError > 0 ? 'much' : 'little'}.`;
}

/** One plain weighing: nothing but the thing, nothing to be done. */
export function plainWeighing<S extends WeighingSituation>(situation: S): S {
  return { ...situation, zeroError: undefined, loose: undefined, container: undefined, empty: undefined };
}
