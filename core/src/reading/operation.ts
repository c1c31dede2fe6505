import type { ScaleTool } from '../instruments/instrument.ts';
import { heldAtEnter } from './operate-sliding.ts';
import { weighedOnBeams, weighedOnDisplay } from './operate-weighing.ts';
import { instrumentOf, readingTask, type ReadingTask } from './reading-task.ts';
import type { Situation } from './situation.ts';

/** Everything that can be done with a tool on the bench before it is read. */
export const DEEDS = [
  'lower',
  'ground',
  'raise',
  'drain',
  'refill',
  'clear-top',
  'free-tip',
  'fill',
  'wipe',
  'let-down',
  'deliver',
  'drained',
  'take-away',
  'blow',
  'try',
  'lay',
  'put-vessel',
  'take-vessel',
  'put-thing',
  'take-thing',
  'rider-1',
  'rider-2',
  'rider-3',
  'rider-4',
  'screw',
  'switch-on',
  'tare',
  'shield',
  'centre',
  'dry',
  'clean',
  'hang-free',
  'slide',
  'turn',
  'click',
  'wipe-faces',
  'zero',
] as const;

/** Something done with a tool. */
export interface Done {
  readonly kind: (typeof DEEDS)[number];
  /** Milliseconds since the picture appeared. */
  readonly at: number;
  /**
   * Where it led: of a pipette filled or let down, how far the surface stands above the ring, in mm; of hydrometers tried, which one, the
   * lightest being 0; of a thing laid at a ruler, where it begins, in mm to the right of the ruler's physical end; of a rider, its place on
   * its beam in mm; of a zero screw, by how many g it turns what the empty balance shows; of a slide or a thimble, where it stands, in mm.
   */
  readonly to: number | null;
}

/** How a reading was taken, as far as it changes what is read. */
export interface Operation {
  /** Final height of the eye above the mark, in mm. */
  readonly eyeHeight: number;
  /** What was done, in order. */
  readonly done?: readonly Done[];
  /** Milliseconds from the picture's appearance to Enter. */
  readonly at?: number;
}

/** Time constant of a spirit thermometer in a stirred liquid, shortened so that waiting matters and stays short, in ms. */
export const THREAD_TIME = 2500;
/** Nearer to rest than this many divisions, nobody can see the thread move. */
const AT_REST = 0.04;

/** How much of its way a thread has come after so many ms: Newton's law of cooling. */
function partOfTheWay(time: number): number {
  return 1 - Math.exp(-Math.max(0, time) / THREAD_TIME);
}

/**
 * Where a thread stands after its bulb was lowered and raised: it goes to the liquid's mark while it is in the liquid, on the bottom
 * too, and back to the room's while it hangs in the air.
 * @param room mark it starts at, and goes back to; `liquid` the mark it comes to rest at in the liquid.
 */
export function threadAt(
  { room, liquid }: { readonly room: number; readonly liquid: number },
  done: readonly Done[],
  at: number,
): number {
  let [present, towards, since] = [room, room, 0];
  const moves = done.filter(({ kind }) => kind === 'lower' || kind === 'ground' || kind === 'raise');
  for (const { kind, at: moved } of moves) {
    present += (towards - present) * partOfTheWay(moved - since);
    [towards, since] = [kind === 'raise' ? room : liquid, moved];
  }
  return present + (towards - present) * partOfTheWay(at - since);
}

/** A thermometer's situation as it stands at Enter. */
function warmed(situation: Situation, done: readonly Done[], at: number, { division, range }: ScaleTool): Situation {
  const { shown, settled = true, zeroError = 0, value } = situation;
  if (settled || shown === undefined) return situation;
  const resting = value + zeroError;
  const present = threadAt({ room: shown, liquid: resting }, done, at);
  if (Math.abs(present - resting) < AT_REST * division) return { ...situation, settled: true, shown: undefined };
  return { ...situation, shown: Number(Math.min(range[1], Math.max(range[0], present)).toFixed(4)) };
}

/** Where a thing lies at a ruler at Enter, as a mark of the ruler. */
function laid(situation: Situation, done: readonly Done[], perUnit: number): Situation {
  const to = done.findLast(({ kind }) => kind === 'lay')?.to;
  if (!situation.loose || to === null || to === undefined) return situation;
  return { ...situation, loose: undefined, from: Number(((to - (situation.endOffset ?? 0)) / perUnit).toFixed(4)) };
}

function afterwards(task: ReadingTask, done: readonly Done[], at: number): Situation {
  const { situation } = task;
  const instrument = instrumentOf(task);
  if (instrument.reads === 'beams') return weighedOnBeams(instrument, situation, done);
  if (instrument.reads === 'display' && instrument.measures === 'mass')
    return weighedOnDisplay(instrument, situation, done, at);
  if (instrument.reads === 'vernier' || instrument.reads === 'thimble' || instrument.reads === 'display')
    return heldAtEnter(instrument, situation, done);
  if (instrument.reads !== 'scale') return situation;
  if (instrument.body.kind === 'thread') return warmed(situation, done, at, instrument);
  return instrument.body.kind === 'rule' ? laid(situation, done, instrument.body.perUnit) : situation;
}

/** The same reading once its thing has been laid at a ruler's zero mark or put on a balance, as who takes care does; any other as it is. */
export function asLaid(task: ReadingTask): ReadingTask {
  const { situation } = task;
  if (!situation.loose) return task;
  return readingTask(
    task.instrumentId,
    {
      ...situation,
      loose: undefined,
      spoilt: undefined,
      soft: undefined,
      grit: undefined,
      ...(situation.from === undefined ? {} : { from: 0 }),
    },
    task.rules,
  );
}

/**
 * The same reading as it stands at Enter, after what was done: the eye moved, the bulb in the liquid for a while, the thing laid.
 * @throws SituationError when what was done cannot be: a thing laid beyond the ruler.
 */
export function asOperated(task: ReadingTask, { eyeHeight, done = [], at = 0 }: Operation): ReadingTask {
  const situation = afterwards(task, done, at);
  // A display, riders and a thimble are read the same from anywhere.
  const { reads } = instrumentOf(task);
  return readingTask(
    task.instrumentId,
    reads === 'scale' || reads === 'ring' || reads === 'vernier' ? { ...situation, eyeHeight } : situation,
    task.rules,
  );
}
