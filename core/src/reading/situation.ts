import type { BeamBalance, DisplayTool, Instrument, ScaleTool } from '../instruments/instrument.ts';
import type { Surface } from '../instruments/meniscus.ts';
import type { Asked } from './correction.ts';

export type ScaleSide = 'near' | 'far';

/** What can be wrong with a weighing: moving air, a load near the pan’s rim, a wet specimen, fingerprints on it; under a liquid, a touched glass. */
export const SPOILERS = ['draught', 'off-centre', 'wet', 'fingerprints', 'touching'] as const;
export type Spoilt = (typeof SPOILERS)[number];

/** What a caliper is used on: the outside of a thing, its inside, its depth. */
export const USES = ['outside', 'inside', 'depth'] as const;

/** What stands on the bench when a reading is taken. */
export interface Situation {
  /** True quantity in the instrument's unit; of a burette or pipette the mark its surface stands at. */
  readonly value: number;
  /** What the tool shows at true zero; only for tools that can be zeroed. */
  readonly zeroError?: number;
  /** Height of the eye above the mark that is read, in mm; on a ruler how far it is aside, to the right. */
  readonly eyeHeight?: number;
  readonly surface?: Surface;
  /** Starting mark: of a delivered volume, or of a thing that does not lie at a ruler's zero. */
  readonly from?: number;
  /** Which wall carries the scale, seen from the eye. */
  readonly scaleSide?: ScaleSide;
  /** True when the tool carries a second, descending scale. */
  readonly secondScale?: boolean;
  /** True when the liquid lets no light through. */
  readonly opaque?: boolean;
  /** Bare wood before a ruler's zero mark, in mm. */
  readonly endOffset?: number;
  /** False while a thermometer's thread still moves; `shown` is where it stands then. */
  readonly settled?: boolean;
  readonly shown?: number;
  /** What is in the glass, or what lies at the ruler, for the question's wording. */
  readonly liquid?: string;
  readonly thing?: string;
  readonly ask?: Asked;
  /** What was left in a burette, for the student to notice: a funnel in its top, or a bubble of air in its tip. */
  readonly left?: 'funnel' | 'bubble';
  /** True while a thing is still to be laid at a ruler by the student; `from` is where it lies meanwhile. */
  readonly loose?: boolean;
  /** True while the right hydrometer is still to be found. */
  readonly untried?: boolean;
  /** Mass of the vessel that what is weighed is in, and what it is called. */
  readonly container?: number;
  readonly vessel?: string;
  /** What a balance shows with nothing on it, until it is zeroed. */
  readonly empty?: number;
  /** Where a beam balance’s riders have been left, the largest first, in g; else they balance the load. */
  readonly riders?: readonly number[];
  /** By how many g the riders show more than the load while the pointer is off its mark. */
  readonly pointerOffset?: number;
  /** Which faces measure: those that close on a thing, those that open inside one, or the rod that goes to its bottom. */
  readonly use?: (typeof USES)[number];
  /** Half of how much thicker a thing is one way than at right angles to it, in mm; its mean is asked for. */
  readonly oval?: number;
  /** How far a soft thing can be pressed together, in mm. */
  readonly soft?: number;
  /** Grit between the faces, in mm. */
  readonly grit?: number;
  /** How many equal things are weighed together, where there are several. */
  readonly count?: number;
  /** The liquid that a thing hangs in while it is weighed, on a balance whose pan hangs. */
  readonly under?: string;
  /** What disturbs a weighing, for the student to notice. */
  readonly spoilt?: Spoilt;
}

/** Something in a situation cannot be; `field` names it. */
export class SituationError extends Error {
  override readonly name = 'SituationError';
  constructor(
    readonly field: string,
    reason: string,
  ) {
    super(`${field}: ${reason}`);
  }
}

/** The eye can be this far above or below the mark, in mm. */
export const EYE_REACH = 150;

/** What stands where something else should, to be named in an error. */
function named(value: unknown): string {
  return typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value);
}

function checkNumber(field: string, value: unknown, least: number, most: number, unit: string): void {
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw new SituationError(field, `${named(value)} is not a finite number.`);
  if (value < least || value > most)
    throw new SituationError(field, `${value} ${unit} is outside ${least} to ${most} ${unit}.`);
}

function checkChoice(field: string, value: unknown, choices: readonly unknown[]): void {
  if (value !== undefined && !choices.includes(value))
    throw new SituationError(field, `“${named(value)}” is not one of ${choices.join(', ')}.`);
}

type Field = keyof Situation;

const LIQUID: readonly Field[] = ['value', 'ask', 'eyeHeight', 'surface', 'scaleSide', 'opaque', 'liquid'];

const HELD_BY_HAND: readonly Field[] = ['loose', 'soft', 'grit'];
const WEIGHED: readonly Field[] = [
  'value',
  'zeroError',
  'ask',
  'container',
  'vessel',
  'empty',
  'thing',
  'count',
  'loose',
  'spoilt',
];

/** What there is to say about each kind of tool. */
function fieldsOf(instrument: Instrument): readonly Field[] {
  if (instrument.reads === 'display')
    return instrument.measures === 'length'
      ? ['value', 'zeroError', 'ask', 'thing', ...HELD_BY_HAND]
      : [...WEIGHED, 'settled', 'shown'];
  if (instrument.reads === 'beams')
    return [...WEIGHED, 'riders', 'pointerOffset', ...(instrument.pan === 'hangs' ? (['under'] as const) : [])];
  if (instrument.reads === 'ring') return LIQUID;
  if (instrument.reads === 'vernier')
    return ['value', 'zeroError', 'ask', 'eyeHeight', 'thing', 'use', 'oval', ...HELD_BY_HAND];
  if (instrument.reads === 'thimble') return ['value', 'zeroError', 'ask', 'thing', 'oval', ...HELD_BY_HAND];
  switch (instrument.body.kind) {
    case 'tube':
      return instrument.body.made === 'to-deliver' ? [...LIQUID, 'from', 'left'] : [...LIQUID, 'secondScale'];
    case 'beaker':
    case 'cone':
      return LIQUID;
    case 'thread':
      return ['value', 'zeroError', 'ask', 'eyeHeight', 'scaleSide', 'settled', 'shown', 'liquid'];
    case 'float':
      return ['value', 'ask', 'eyeHeight', 'liquid', 'untried'];
    case 'rule':
      return ['value', 'ask', 'eyeHeight', 'from', 'endOffset', 'thing', 'loose'];
  }
}

/** How far a caliper or a micrometer can be off, in mm; one further off is not used. */
const MOST_OFF = 0.4;

/** What a thing can be soft or gritty by, in mm. */
const MOST_SOFT = 2;
const MOST_GRIT = 0.5;

function checkHeld(most: number, { value, oval = 0, soft = 0, grit = 0 }: Situation): void {
  checkNumber('oval', oval, 0, Math.min(value, most - value), 'mm');
  checkNumber('soft', soft, 0, MOST_SOFT, 'mm');
  checkNumber('grit', grit, 0, MOST_GRIT, 'mm');
}

/** How far a thing can begin before a ruler's zero mark, in mm. */
const MOST_OUTSIDE = 10;

function checkFrom(tool: ScaleTool, { value, from }: Situation): void {
  if (from === undefined) return;
  const [least, most] = tool.range;
  if (tool.body.kind === 'rule') {
    // A thing may stick out beyond the ruler's end, but then it is laid badly.
    checkNumber('from', from, least - MOST_OUTSIDE / tool.body.perUnit, most, tool.unit);
    checkNumber('from', value + from, least, most, tool.unit);
    return;
  }
  checkNumber('from', from, least, most, tool.unit);
  if (from > value)
    throw new SituationError('from', `${from} ${tool.unit} is below the final mark, ${value} ${tool.unit}.`);
}

function checkOnScale(tool: ScaleTool, situation: Situation): void {
  const [least, most] = tool.range;
  const { zeroError = 0, settled = true, shown, endOffset } = situation;
  if (situation.secondScale && !tool.mayHaveSecondScale)
    throw new SituationError('secondScale', `a ${tool.name} has one scale.`);
  checkFrom(tool, situation);
  if (situation.ask === 'delivered' && situation.from === undefined)
    throw new SituationError('from', 'a difference needs the mark it starts from.');
  checkNumber('zeroError', zeroError, -10 * tool.division, 10 * tool.division, tool.unit);
  checkNumber('zeroError', situation.value + zeroError, least, most, tool.unit);
  if (shown !== undefined) checkNumber('shown', shown, least, most, tool.unit);
  if (shown !== undefined && settled) throw new SituationError('shown', 'what has come to rest shows where it rests.');
  if (endOffset !== undefined && tool.body.kind === 'rule')
    checkNumber('endOffset', endOffset, 0, tool.body.bareEnd, 'mm');
}

/** So many things lie on a pan together at most. */
const MOST_TOGETHER = 20;

/** What a balance can be off by, as a part of its range, before it is mended. */
const MOST_OFF_BALANCE = 0.05;

function checkWeighing(tool: BeamBalance | DisplayTool, situation: Situation): void {
  const { container = 0, empty = 0, zeroError = 0, settled = true, shown, riders, pointerOffset } = situation;
  const [, most] = tool.range;
  checkNumber('container', container, 0, most, tool.unit);
  checkNumber('empty', empty, -MOST_OFF_BALANCE * most, MOST_OFF_BALANCE * most, tool.unit);
  checkNumber('zeroError', zeroError, -MOST_OFF_BALANCE * most, MOST_OFF_BALANCE * most, tool.unit);
  const load = Number((situation.value + container + empty + zeroError).toFixed(9));
  checkNumber(
    container > 0 ? 'container' : 'value',
    load,
    tool.reads === 'beams' ? Math.min(0, empty) : -most,
    most,
    tool.unit,
  );
  if (pointerOffset !== undefined) checkNumber('pointerOffset', pointerOffset, -load, most - load, tool.unit);
  if (shown !== undefined) checkNumber('shown', shown, -most, most, tool.unit);
  if (shown !== undefined && settled) throw new SituationError('shown', 'what has come to rest shows where it rests.');
  checkChoice(
    'spoilt',
    situation.spoilt,
    tool.reads === 'beams' ? ['touching'] : SPOILERS.filter((how) => how !== 'touching'),
  );
  if (situation.spoilt === 'touching' && situation.under === undefined)
    throw new SituationError('spoilt', 'there is no glass for it to touch.');
  if (
    situation.count !== undefined &&
    !(Number.isInteger(situation.count) && situation.count >= 2 && situation.count <= MOST_TOGETHER)
  )
    throw new SituationError('count', `${situation.count} is not a number of things from 2 to ${MOST_TOGETHER}.`);
  if (riders !== undefined && tool.reads === 'beams') checkRiders(tool, riders);
}

function checkRiders({ beams, name, unit }: BeamBalance, riders: readonly number[]): void {
  if (riders.length !== beams.length)
    throw new SituationError('riders', `a ${name} has ${beams.length} riders, not ${riders.length}.`);
  beams.forEach(({ scale }, i) => checkNumber('riders', riders[i], scale.from, scale.to, unit));
}

/**
 * Checks a situation against the instrument it is to be read on.
 * @throws SituationError naming the field.
 */
export function checkSituation(instrument: Instrument, situation: Situation): Situation {
  const fields = fieldsOf(instrument);
  const foreign = (Object.keys(situation) as Field[]).find(
    (field) => situation[field] !== undefined && !fields.includes(field),
  );
  // A zero error of nothing is true of every tool.
  if (foreign && !(foreign === 'zeroError' && situation.zeroError === 0))
    throw new SituationError(foreign, `a ${instrument.name} has no such thing.`);
  checkNumber('value', situation.value, instrument.range[0], instrument.range[1], instrument.unit);
  checkChoice('ask', situation.ask, ['corrected', 'observed', 'delivered']);
  checkChoice('surface', situation.surface, ['wetting', 'domed', 'flat']);
  checkChoice('scaleSide', situation.scaleSide, ['near', 'far']);
  checkChoice('use', situation.use, USES);
  checkChoice('left', situation.left, ['funnel', 'bubble']);
  for (const field of ['secondScale', 'opaque', 'settled', 'loose', 'untried'] as const)
    checkChoice(field, situation[field], [true, false]);
  if (situation.eyeHeight !== undefined) checkNumber('eyeHeight', situation.eyeHeight, -EYE_REACH, EYE_REACH, 'mm');
  if (instrument.reads === 'scale') checkOnScale(instrument, situation);
  if (instrument.reads === 'beams' || (instrument.reads === 'display' && instrument.measures === 'mass'))
    checkWeighing(instrument, situation);
  if (instrument.unit === 'mm' && instrument.reads !== 'scale') checkHeld(instrument.range[1], situation);
  if (instrument.unit === 'mm' && instrument.reads !== 'scale' && situation.zeroError !== undefined)
    checkNumber('zeroError', situation.zeroError, -MOST_OFF, MOST_OFF, instrument.unit);
  return situation;
}
