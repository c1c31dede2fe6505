import type { BeamBalance, DisplayTool } from '../instruments/instrument.ts';
import type { Swing } from '../instruments/pointer-swing.ts';
import { marksOf } from '../scales/linear-scale.ts';
import { ridersFor, type RiderBeam } from '../scales/rider-beam.ts';
import {
  areSeated,
  asDisplayed,
  deadBand,
  isBalanced,
  litCharacters,
  shownBy,
  type BeamReading,
  type DisplayReading,
} from './balance-reading.ts';
import { spoiledBy } from './draw-weighing.ts';
import { heldOf, type Held } from './slide-pictures.ts';
import { drawn, type Handled, type RuledMark } from './picture-parts.ts';
import type { ReadingTask } from './reading-task.ts';
import type { Situation, Spoilt } from './situation.ts';
import { spokenThing } from './things.ts';

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

/** How far a digital caliper is open beyond the thing at first, in mm. */
const OPENED_BY = 14;

/** What a display shows in one of the views it is looked at in. */
export interface DisplayView {
  readonly caption: string;
  readonly characters: string;
}

/** What a digital balance is weighed with by hand: loads and disturbances in last digits of its display. */
export interface Weighables {
  readonly empty: number;
  readonly vessel: { readonly name: string; readonly digits: number } | null;
  readonly thing: { readonly name: string; readonly digits: number };
  readonly capacity: number;
  readonly decimals: number;
  readonly spoilt: { readonly how: Spoilt; readonly digits: number } | null;
}

/** A display drawn as the characters that are lit. */
export interface DisplayPicture {
  readonly kind: 'display';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly measures: DisplayTool['measures'];
  readonly views: readonly [DisplayView, ...DisplayView[]];
  readonly thing: { readonly name: string; readonly count: number };
  /** While it has not settled: last digits it is away from what it will show. */
  readonly awayBy: number;
  readonly weighables: Weighables | null;
  /** Of a caliper brought to the thing by hand: where it touches the thing, is closed, and stands at first, in mm. */
  readonly jaws: (Held & { readonly touchesX: number; readonly closedX: number }) | null;
  readonly note: string | null;
  readonly handled: Handled | null;
}

/** Where a rider stands on its drawn beam, in mm, and back. */
export function riderPlace({ scale }: RiderBeam, grams: number): number {
  return drawn((grams / scale.to) * BEAM);
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
    pull: drawn((ARM * beam.scale.to) / BEAM),
  };
}

/** How a balance’s pointer swings: a second and a half to and fro, dying away in a few swings. */
function swingOf(tool: BeamBalance): Swing {
  return { period: 1.5, damping: 0.13, friction: deadBand(tool) * perGram(tool), stops: POINTER_STOPS };
}

/** Divisions of the pointer’s scale for a gram. */
function perGram({ division }: BeamBalance): number {
  return PER_UNIT / (10 * division);
}

/** What a tool’s card says of it. */
function cardOf({ zeroError = 0, ask = 'corrected' }: Situation, shown: string, unit: string): string | null {
  if (zeroError === 0 || ask === 'observed') return null;
  return `Checked with standard masses: it shows ${shown} ${unit} too ${zeroError > 0 ? 'much' : 'little'}.`;
}

function captionOf(situation: Situation): string {
  const { vessel = 'vessel', container = 0 } = situation;
  return container > 0 ? `the ${vessel} with the ${spokenThing(situation)} in it` : `the ${spokenThing(situation)}`;
}

/** What is looked at besides the reading: the vessel alone, or the empty pan. */
function otherLoads(situation: Situation): { readonly caption: string; readonly load: number }[] {
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel', ask = 'corrected' } = situation;
  if (ask === 'observed') return [];
  return [
    ...(container > 0 ? [{ caption: `the ${vessel} alone`, load: container + empty + zeroError }] : []),
    ...(empty === 0 ? [] : [{ caption: 'nothing', load: empty + zeroError }]),
  ];
}

export function beamPicture(reading: BeamReading, { situation }: ReadingTask): BeamPicture {
  const { tool, riders } = reading;
  const { vessel = 'vessel', container = 0, empty = 0, zeroError = 0, loose = false } = situation;
  const placed = (positions: readonly number[]): number[] =>
    tool.beams.map((beam, i) => riderPlace(beam, positions[i] ?? 0));
  const byHand = loose || !isBalanced(reading) || !areSeated(reading);
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
    empty: drawn((empty + zeroError) * ARM),
    thing: { name: spokenThing(situation), count: situation.count ?? 1, pull: drawn(situation.value * ARM) },
    under: situation.under ?? null,
    borne: situation.spoilt === undefined ? 0 : drawn(spoiledBy(tool, situation.spoilt) * ARM),
    vessel: container > 0 ? { name: vessel, pull: drawn(container * ARM) } : null,
    laden: !loose,
    perPull: perGram(tool) / ARM,
    swing: swingOf(tool),
    note: cardOf(situation, litCharacters(tool, Math.abs(zeroError)), tool.unit),
    handled: byHand ? 'weigh' : null,
  };
}

function weighablesOf(tool: DisplayTool, situation: Situation): Weighables {
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel', spoilt } = situation;
  const digits = (grams: number): number => Math.round(grams / tool.division);
  return {
    empty: digits(empty),
    vessel: container > 0 ? { name: vessel, digits: digits(container) } : null,
    // What the tool is known to be off by comes with what is weighed.
    thing: { name: spokenThing(situation), digits: digits(asDisplayed(tool, situation.value + zeroError)) },
    capacity: digits(tool.range[1]),
    decimals: Math.max(0, Math.round(-Math.log10(tool.division))),
    spoilt: spoilt === undefined ? null : { how: spoilt, digits: digits(spoiledBy(tool, spoilt)) },
  };
}

export function displayPicture({ tool, value, present }: DisplayReading, { situation }: ReadingTask): DisplayPicture {
  const { zeroError = 0, loose = false } = situation;
  const thing = spokenThing(situation);
  const weighed = tool.measures === 'mass';
  const jaws: readonly DisplayView[] =
    !weighed && situation.zeroError !== undefined && situation.ask !== 'observed'
      ? [{ caption: 'with the jaws closed', characters: litCharacters(tool, asDisplayed(tool, zeroError)) }]
      : [];
  const others = weighed
    ? otherLoads(situation).map(({ caption, load }): DisplayView => ({
        caption,
        characters: litCharacters(tool, asDisplayed(tool, load)),
      }))
    : jaws;
  return {
    kind: 'display',
    instrumentId: tool.id,
    unitMark: tool.unit,
    measures: tool.measures,
    views: [
      {
        caption: weighed ? captionOf(situation) : `on the ${thing}`,
        characters: litCharacters(tool, shownBy(tool, situation)),
      },
      ...(loose ? [] : others),
    ],
    thing: { name: thing, count: situation.count ?? 1 },
    awayBy: Math.round((present - value) / tool.division),
    weighables: weighed && loose ? weighablesOf(tool, situation) : null,
    jaws:
      !weighed && loose
        ? { ...heldOf(situation, OPENED_BY, tool.range[1]), touchesX: drawn(value), closedX: drawn(zeroError) }
        : null,
    note: weighed ? cardOf(situation, litCharacters(tool, Math.abs(zeroError)), tool.unit) : null,
    handled: loose ? (weighed ? 'weigh' : 'close') : present === value ? null : 'settle',
  };
}
