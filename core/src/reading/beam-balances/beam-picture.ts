import type { BeamBalance } from '../../instruments/instrument.ts';
import type { Swing } from './pointer-swing.ts';
import { marksOf } from '../../scales/linear-scale.ts';
import { ridersFor, type RiderBeam } from '../../scales/rider-beam.ts';
import { litCharacters } from '../display/display.ts';
import { inDrawing, type Handled, type RuledMark } from '../picture/picture-parts.ts';
import { disturbedBy } from '../weighing/on-pan.ts';
import { captionOf, cardOf, otherLoads } from '../weighing/weighing-situation.ts';
import { thingInWords } from '../words/things.ts';
import { areSeated, deadBand, isBalanced, type BeamIndication } from './beam-indication.ts';

/** Length of a beam’s scale, and of the arm the pan hangs on, in mm. */
const BEAM = 200;
const ARM = 100;
/** Divisions of the pointer’s scale for ten of the smallest divisions: what friction can hold it off by is a quarter of one. */
const PER_UNIT = 25;
const POINTER_STOPS = 10;

/** One beam: a scale with its notches, and how much the rider pulls for each mm it is moved out, in g·mm. */
export interface DrawnBeam {
  readonly length: number;
  readonly marks: readonly RuledMark[];
  /** Where the notches are; empty on the beam of the sliding rider. */
  readonly notches: readonly number[];
  readonly pull: number;
}

/** How a balance stands in one of the views it is looked at in. */
export interface RidersView {
  readonly caption: string;
  /** Places of the riders on their beams, in mm from each beam’s zero. */
  readonly riderX: readonly number[];
}

/** What can be put on a pan: how much it pulls, in g·mm. */
export interface Laden {
  readonly name: string;
  readonly pull: number;
}

/** A beam balance: moments about its knife edge in g·mm, places in mm. */
export interface BeamPicture {
  readonly kind: 'beams';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly beams: readonly DrawnBeam[];
  readonly arm: number;
  readonly pan: BeamBalance['pan'];
  /** What is looked at, the reading first; where it is weighed by hand, where the riders stand at first. */
  readonly views: readonly [RidersView, ...RidersView[]];
  /** What pulls at the pan when nothing is on it. */
  readonly empty: number;
  readonly thing: Laden & { readonly count: number };
  readonly vessel: Laden | null;
  /** The liquid in a beaker on the platform, in which the thing hangs; null where it lies on the pan. */
  readonly under: string | null;
  /** By how much the thing pulls less as long as it touches the glass, in g·mm. */
  readonly borne: number;
  /** Whether thing and vessel are on the pan from the start. */
  readonly laden: boolean;
  /** Divisions of the pointer’s scale for one g·mm, and how it swings. */
  readonly perPull: number;
  readonly swing: Swing;
  readonly note: string | null;
  readonly handled: Handled | null;
}

/** Where a rider stands on its drawn beam, in mm, and back. */
export function riderPlace({ scale }: RiderBeam, grams: number): number {
  return inDrawing((grams / scale.to) * BEAM);
}

export function riderGrams({ scale, notched }: RiderBeam, place: number): number {
  const grams = (place / BEAM) * scale.to;
  // A drawing is rounded; a rider that has dropped into a notch stands exactly in it.
  const notch = Math.round(grams / scale.division) * scale.division;
  return Number((notched && Math.abs(grams - notch) < scale.division / 1000 ? notch : grams).toFixed(6));
}

function drawnBeam(beam: RiderBeam): DrawnBeam {
  const marks = marksOf(beam.scale).map(({ at, rank, label }): RuledMark => ({ x: riderPlace(beam, at), rank, label }));
  return {
    length: BEAM,
    marks,
    notches: beam.notched ? marks.map(({ x }) => x) : [],
    pull: inDrawing((ARM * beam.scale.to) / BEAM),
  };
}

/** Divisions of the pointer’s scale for a gram. */
function perGram({ division }: BeamBalance): number {
  return PER_UNIT / (10 * division);
}

/** How a balance’s pointer swings: a second and a half to and fro, dying away in a few swings. */
function swingOf(tool: BeamBalance): Swing {
  return { period: 1.5, damping: 0.13, friction: deadBand(tool) * perGram(tool), stops: POINTER_STOPS };
}

export function beamPicture(indication: BeamIndication): BeamPicture {
  const { tool, riders, situation } = indication;
  const { vessel = 'vessel', container = 0, empty = 0, zeroError = 0, loose = false } = situation;
  const placed = (positions: readonly number[]): number[] =>
    tool.beams.map((beam, i) => riderPlace(beam, positions[i] ?? 0));
  const byHand = loose || !isBalanced(indication) || !areSeated(indication);
  const main: RidersView = { caption: captionOf(situation), riderX: placed(loose ? [] : riders) };
  const others = byHand
    ? []
    : otherLoads(situation).map(({ caption, load }): RidersView => ({
        caption,
        riderX: placed(ridersFor(tool.beams, Math.max(0, load))),
      }));
  return {
    kind: 'beams',
    instrumentId: tool.id,
    unitMark: tool.unit,
    beams: tool.beams.map(drawnBeam),
    arm: ARM,
    pan: tool.pan,
    views: [main, ...others],
    empty: inDrawing((empty + zeroError) * ARM),
    thing: { name: thingInWords(situation), count: situation.count ?? 1, pull: inDrawing(situation.value * ARM) },
    under: situation.under ?? null,
    borne: inDrawing(disturbedBy(tool.division, situation.spoilt) * ARM),
    vessel: container > 0 ? { name: vessel, pull: inDrawing(container * ARM) } : null,
    laden: !loose,
    perPull: perGram(tool) / ARM,
    swing: swingOf(tool),
    note: cardOf(situation, litCharacters(tool, Math.abs(zeroError)), tool.unit),
    handled: byHand ? 'weigh' : null,
  };
}
