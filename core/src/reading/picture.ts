import { along, innerRadius } from '../instruments/along-scale.ts';
import type { RingTool, ScaleTool } from '../instruments/instrument.ts';
import { CAPILLARY_LENGTH, meniscusProfile, wallHeight, type Surface } from '../instruments/meniscus.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { decimalsOf, marksOf, type MarkRank } from '../scales/linear-scale.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { beamReadingOf, displayReadingOf } from './balance-reading.ts';
import { beamPicture, displayPicture, type BeamPicture, type DisplayPicture } from './balance-pictures.ts';
import { drawn, type Handled, type PicturedEye, type RuledMark } from './picture-parts.ts';
import { caliperReadingOf, micrometerReadingOf } from './slide-reading.ts';
import { caliperPicture, micrometerPicture, type CaliperPicture, type MicrometerPicture } from './slide-pictures.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import { EYE_DISTANCE, scaleReadingOf, visibleSurface, type ScaleReading } from './scale-reading.ts';
import type { Situation } from './situation.ts';

/** One engraved line in the drawing: its height, its length by rank, and the numeral beside it. */
export interface DrawnMark {
  readonly y: number;
  readonly rank: MarkRank;
  readonly label: string | null;
}

/** What an upright tool is drawn as. */
export type Vessel =
  | 'cylinder'
  | 'burette'
  | 'graduated-pipette'
  | 'beaker'
  | 'conical-flask'
  | 'thermometer'
  | 'hydrometer'
  | 'volumetric-pipette'
  | 'volumetric-flask';

/** An upright tool drawn in millimetres of the real one, y downward from its top. */
export interface LiquidColumnPicture {
  readonly kind: 'liquid-column';
  readonly vessel: Vessel;
  readonly instrumentId: string;
  readonly unitMark: string;
  /** Inner width where the surface stands; of a float its stem’s width. */
  readonly bore: number;
  readonly wall: number;
  /** Height of the whole tool. */
  readonly height: number;
  /** Where the inside ends at the bottom. */
  readonly floorY: number;
  /** Half the inner width where it changes with height, from the floor upward; empty for straight walls. */
  readonly outline: readonly (readonly [y: number, radius: number])[];
  readonly marks: readonly DrawnMark[];
  readonly secondMarks: readonly DrawnMark[];
  readonly scaleSide: 'near' | 'far';
  readonly liquid: string;
  readonly opaque: boolean;
  /** Where the reading mark of the surface comes to rest, and the surface from the axis to the wall as [distance, height above that]. */
  readonly surfaceY: number;
  readonly profile: readonly (readonly [number, number])[];
  /** Where the surface or the thread stands before anything is done with the tool; null where nothing is to be done. */
  readonly startY: number | null;
  readonly handled: Handled | null;
  /** What was left in a burette. */
  readonly left: 'funnel' | 'bubble' | null;
  /** What is known of this tool and stands beside it: how far it is off. */
  readonly note: string | null;
  readonly eye: PicturedEye;
}

/** A thing laid against a ruler, in millimetres to the right of the ruler's physical end. */
export interface RulerPicture {
  readonly kind: 'ruler';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly length: number;
  readonly marks: readonly RuledMark[];
  readonly thing: { readonly name: string; readonly fromX: number; readonly toX: number };
  readonly handled: Handled | null;
  readonly eye: PicturedEye;
}

export type Picture =
  LiquidColumnPicture | RulerPicture | CaliperPicture | MicrometerPicture | BeamPicture | DisplayPicture;

/** Bare tool above the topmost mark, and below the lowest place of the scale, in mm. */
interface Margins {
  readonly above: number;
  readonly below: number;
}

const FLOOR = 4;
const FOOT = 8;
const MARGINS: Readonly<Record<Vessel, Margins>> = {
  cylinder: { above: 22, below: FLOOR + FOOT },
  burette: { above: 30, below: 90 },
  'graduated-pipette': { above: 60, below: 40 },
  beaker: { above: 16, below: 3 },
  'conical-flask': { above: 48, below: 3 },
  thermometer: { above: 24, below: 42 },
  hydrometer: { above: 14, below: 92 },
  'volumetric-pipette': { above: 60, below: 240 },
  'volumetric-flask': { above: 60, below: 130 },
};

function vesselOf(tool: ScaleTool): Vessel {
  switch (tool.body.kind) {
    case 'beaker':
      return 'beaker';
    case 'cone':
      return 'conical-flask';
    case 'thread':
      return 'thermometer';
    case 'float':
      return 'hydrometer';
    case 'tube':
    case 'rule':
      return tool.skill === 'burettes'
        ? 'burette'
        : tool.skill === 'graduated-pipettes'
          ? 'graduated-pipette'
          : 'cylinder';
  }
}

/** Place of the topmost mark along the tool. */
function topmost(tool: ScaleTool): number {
  return along(tool, tool.scale.direction === 'up' ? tool.scale.to : tool.scale.from);
}

/** Where a value stands in the drawing of a reading: mm below the top of an upright tool, mm to the right of a ruler's end. */
export function drawnAt({ tool, zeroAt }: ScaleReading, value: number): number {
  return tool.body.kind === 'rule' ? zeroAt + along(tool, value) : yOf(tool, value);
}

function yOf(tool: ScaleTool, value: number): number {
  return MARGINS[vesselOf(tool)].above + topmost(tool) - along(tool, value);
}

function drawnMarks(tool: ScaleTool): DrawnMark[] {
  return marksOf(tool.scale).map(({ at, rank, label }) => ({ y: drawn(yOf(tool, at)), rank, label }));
}

/** The second scale has the same lines and counts from the top. */
function descendingMarks(tool: ScaleTool): DrawnMark[] {
  const { scale } = tool;
  return marksOf(scale).map(({ at, rank, label }) => ({ y: drawn(yOf(tool, scale.to - at)), rank, label }));
}

/** Half the inner width of a flask at heights along it, from the floor to where the neck begins. */
function outlineOf(tool: ScaleTool): [number, number][] {
  if (tool.body.kind !== 'cone') return [];
  const steps = 12;
  const neck = topmost(tool) + 30;
  return Array.from({ length: steps + 1 }, (_, i): [number, number] => {
    const height = (neck * i) / steps;
    return [
      drawn(MARGINS['conical-flask'].above + topmost(tool) - height),
      drawn(Math.max(14, innerRadius(tool, height) ?? 14)),
    ];
  });
}

/** The surface from the axis to the wall, above the mark that is read: for an opaque liquid read at its edge, that is the edge. */
function profileOf(situation: Situation, rules: HouseRules, radius: number): [number, number][] {
  const { surface = 'wetting' } = situation;
  const hidden = visibleSurface(situation, rules) !== surface;
  const below = hidden ? wallHeight(surface, radius) : 0;
  return meniscusProfile(surface, radius).map(([x, z]) => [drawn(x), drawn(z - below)]);
}

/** The end of a spirit thread is slightly hollow: a tenth of its width. */
const THREAD: { readonly bore: number; readonly surface: Surface } = { bore: 1.2, surface: 'wetting' };

/** Height of the surface outside a stem as a part of the climb: a decaying Bessel function’s usual approximation, e^(−d ÷ a)·√(R ÷ (R + d)). */
function outsideStem(distance: number, radius: number): number {
  return Math.exp(-distance / CAPILLARY_LENGTH) * Math.sqrt(radius / (radius + distance));
}

interface Drawing {
  readonly bore: number;
  readonly wall: number;
  readonly floorY: number;
  readonly profile: [number, number][];
}

function drawingOf({ tool, value }: ScaleReading, { situation, rules }: ReadingTask): Drawing {
  const { body } = tool;
  const margins = MARGINS[vesselOf(tool)];
  if (body.kind === 'thread') {
    const radius = THREAD.bore / 2;
    return {
      bore: THREAD.bore,
      wall: body.gap - radius,
      floorY: yOf(tool, tool.scale.from) + 20,
      profile: meniscusProfile(THREAD.surface, radius).map(([x, z]) => [drawn(x), drawn(z * 0.2)]),
    };
  }
  if (body.kind === 'float') {
    const climb = wallHeight('wetting', body.stemRadius);
    const below = rules.hydrometerMark === 'meniscus-top' ? climb : 0;
    // Outside a stem the surface is highest at the glass and level further out: [distance from the stem, height].
    return {
      bore: 2 * body.stemRadius,
      wall: 0,
      floorY: margins.above + topmost(tool) + margins.below,
      profile: Array.from({ length: 25 }, (_, i): [number, number] => [
        drawn(i * 0.5),
        drawn(climb * outsideStem(i * 0.5, body.stemRadius) - below),
      ]),
    };
  }
  const radius = innerRadius(tool, along(tool, value)) ?? 0;
  const bottom =
    body.kind === 'tube' && body.made === 'to-deliver' ? yOf(tool, tool.scale.to) + 15 : margins.above + topmost(tool);
  return {
    bore: drawn(2 * radius),
    wall: body.kind === 'rule' ? 0 : body.wall,
    floorY: bottom,
    profile: profileOf(situation, rules, radius),
  };
}

/** Where the surface or the thread stands before anything is done: at a burette's starting mark, or as warm as the room. */
function startOf({ tool, value, present }: ScaleReading, { from }: Situation): number | null {
  if (tool.body.kind === 'thread') return present === value ? null : drawn(yOf(tool, present));
  return from === undefined ? null : drawn(yOf(tool, from));
}

function handledOn({ tool, value, present }: ScaleReading, { from, untried }: Situation): Handled | null {
  if (tool.body.kind === 'thread') return present === value ? null : 'bulb';
  if (tool.body.kind === 'float') return untried ? 'try' : null;
  return from === undefined ? null : 'tap';
}

/** What a tool's owner knows of it: how far it is off. */
function noteOf(tool: ScaleTool, { zeroError = 0, ask = 'corrected' }: Situation): string | null {
  if (zeroError === 0 || ask === 'observed') return null;
  const shown = writtenAtPlace(zeroError, -decimalsOf(tool.division) - 1).replace('-', '−');
  return `In melting ice (0.0 ${tool.unit}) this one shows ${shown} ${tool.unit}.`;
}

function columnPicture(reading: ScaleReading, task: ReadingTask): LiquidColumnPicture {
  const { tool, value } = reading;
  const { situation } = task;
  const { bore, wall, floorY, profile } = drawingOf(reading, task);
  const margins = MARGINS[vesselOf(tool)];
  return {
    kind: 'liquid-column',
    vessel: vesselOf(tool),
    instrumentId: tool.id,
    unitMark: tool.unit,
    bore,
    wall,
    height: drawn(
      Math.max(floorY, yOf(tool, tool.scale.direction === 'up' ? tool.scale.from : tool.scale.to)) +
        (tool.body.kind === 'float' ? 0 : margins.below),
    ),
    floorY: drawn(floorY),
    outline: outlineOf(tool),
    marks: drawnMarks(tool),
    secondMarks: reading.secondScale ? descendingMarks(tool) : [],
    scaleSide: reading.scaleSide,
    liquid: situation.liquid ?? 'water',
    opaque: situation.opaque ?? false,
    surfaceY: drawn(yOf(tool, value)),
    profile,
    startY: startOf(reading, situation),
    handled: handledOn(reading, situation),
    left: situation.left ?? null,
    note: noteOf(tool, situation),
    eye: { height: reading.eyeHeight, distance: EYE_DISTANCE, gap: drawn(reading.gap) },
  };
}

/** A neck with its one ring, drawn as a column with a single unnumbered line. */
function ringPicture(tool: RingTool, { situation, rules }: ReadingTask): LiquidColumnPicture {
  const vessel = tool.made === 'to-deliver' ? 'volumetric-pipette' : 'volumetric-flask';
  const { above, below } = MARGINS[vessel];
  return {
    kind: 'liquid-column',
    vessel,
    instrumentId: tool.id,
    unitMark: tool.unit,
    bore: tool.bore,
    wall: tool.wall,
    height: above + below,
    floorY: above + below,
    outline: [],
    marks: [{ y: above, rank: 'long', label: null }],
    secondMarks: [],
    scaleSide: 'near',
    liquid: situation.liquid ?? 'water',
    opaque: situation.opaque ?? false,
    // Where a ring has been set, the surface lies on it; what the tool then holds is its maker’s doing.
    surfaceY: above,
    profile: profileOf(situation, rules, tool.bore / 2),
    // A pipette is empty at first.
    startY: tool.made === 'to-deliver' ? above + below - 2 : null,
    handled: tool.made === 'to-deliver' ? 'pipette' : null,
    left: null,
    note: `Marked ${tool.volume} mL, ±${tool.tolerance.b} mL, made to ${tool.made === 'to-deliver' ? 'deliver' : 'contain'}.`,
    eye: { height: situation.eyeHeight ?? 0, distance: EYE_DISTANCE, gap: tool.bore / 2 + tool.wall },
  };
}

function rulerPicture(reading: ScaleReading, { situation }: ReadingTask): RulerPicture {
  const { tool, value, eyeHeight, gap } = reading;
  const x = (at: number): number => drawn(drawnAt(reading, at));
  return {
    kind: 'ruler',
    instrumentId: tool.id,
    unitMark: tool.unit,
    length: drawn(x(tool.scale.to) + 4),
    marks: marksOf(tool.scale).map(({ at, rank, label }) => ({ x: x(at), rank, label })),
    thing: { name: situation.thing ?? 'slate tile', fromX: x(situation.from ?? 0), toX: x(value) },
    handled: situation.loose ? 'lay' : null,
    eye: { height: eyeHeight, distance: EYE_DISTANCE, gap },
  };
}

/** What is known of the tool on a picture, to stand beside it. */
export function noteOn(picture: Picture): string | null {
  return picture.kind === 'liquid-column' || picture.kind === 'beams' || picture.kind === 'display'
    ? picture.note
    : null;
}

/**
 * What may be shown before the answer: positions in drawing units (mm of the real tool) and the printed numerals, and nothing from
 * which the answer could be had without looking.
 */
export function pictureOf(task: ReadingTask): Picture {
  const reading = scaleReadingOf(task);
  if (reading) return reading.tool.body.kind === 'rule' ? rulerPicture(reading, task) : columnPicture(reading, task);
  const [caliper, micrometer] = [caliperReadingOf(task), micrometerReadingOf(task)];
  if (caliper) return caliperPicture(caliper, task);
  if (micrometer) return micrometerPicture(micrometer, task);
  const [beams, display] = [beamReadingOf(task), displayReadingOf(task)];
  if (beams) return beamPicture(beams, task);
  if (display) return displayPicture(display, task);
  const instrument = instrumentOf(task);
  if (instrument.reads === 'ring') return ringPicture(instrument, task);
  throw new RangeError(`${instrument.id}: there is no drawing for it.`);
}
