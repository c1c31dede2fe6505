import type { DisplayTool, Micrometer, VernierCaliper } from '../instruments/instrument.ts';
import type { Done } from './operation.ts';
import type { Situation } from './situation.ts';

/** A tool with jaws or faces that are brought to a thing. */
export type SlidingTool = VernierCaliper | Micrometer | DisplayTool;

/** Places of the grit between the faces differ from one closing to the next: parts of its size. */
const GRIT_LIES = [1, 0.55, 0.8] as const;

/** By how much grit keeps the faces apart at their n-th meeting, counted from 0. */
export function gritAt(grit: number, meeting: number): number {
  return grit * (GRIT_LIES[meeting % GRIT_LIES.length] ?? 1);
}

/** Nearer to contact than this many of the tool's divisions, the faces touch. */
const TOUCHES = 0.5;
/** A thing can be pressed together by so much in mm at most. */
const MOST_PRESSED = 2;

/** How a thing was held at Enter. */
export interface Holding {
  /** Where slide or thimble stood, in mm, as the tool counts. */
  readonly position: number;
  /** How much further the faces were apart than the thing is thick, in mm; negative where it was pressed. */
  readonly beyond: number;
  readonly touching: boolean;
}

/** How a tool holds the thing after what was done; null while it was not brought to it at all. */
export function holdingOf(
  { division, reads }: SlidingTool,
  { value, zeroError = 0, oval = 0, use = 'outside', grit = 0 }: Situation,
  done: readonly Done[],
): Holding | null {
  const put = done.findLast(({ kind }) => kind === 'put-thing' || kind === 'take-thing');
  const moved = done.findLast(({ kind }) => kind === 'slide');
  if (put?.kind === 'take-thing' || moved === undefined || moved.to === null) return null;
  const turned = done.findLast(({ kind }) => kind === 'turn')?.to === 1;
  const zeroed = reads === 'display' ? (done.findLast(({ kind }) => kind === 'zero')?.to ?? 0) : 0;
  const outward = moved.to - (value + (turned ? -oval : oval) + zeroError);
  const beyond = use === 'outside' ? outward : -outward;
  return {
    position: moved.to - zeroed,
    beyond,
    touching: beyond <= grit + TOUCHES * division + 1e-9 && beyond > -MOST_PRESSED,
  };
}

/** Whether the faces were wiped before they last met. */
export function wiped(done: readonly Done[]): boolean {
  return done.some(({ kind }) => kind === 'wipe-faces');
}

/**
 * A caliper or a micrometer as it stands at Enter. Who presses the thing, or leaves grit between the faces, reads what that makes of it; an
 * oval thing is asked for by its mean, however it lies at Enter.
 */
export function heldAtEnter(tool: SlidingTool, situation: Situation, done: readonly Done[]): Situation {
  if (!situation.loose) return situation;
  const rest: Situation = { ...situation, loose: undefined, grit: undefined, soft: undefined };
  const zeroed = tool.reads === 'display' ? (done.findLast(({ kind }) => kind === 'zero')?.to ?? 0) : 0;
  const zeroError = Number(((situation.zeroError ?? 0) - zeroed).toFixed(4));
  // A zero set anywhere else than on closed jaws means nothing.
  const known = Math.abs(zeroError) <= MOST_ZEROED ? zeroError : 0;
  const after: Situation = zeroed === 0 ? rest : { ...rest, zeroError: known === 0 ? undefined : known };
  const holding = holdingOf(tool, situation, done);
  if (!holding?.touching || situation.oval !== undefined) return after;
  const off =
    Math.abs(holding.beyond) < 0.0006
      ? 0
      : situation.use === undefined || situation.use === 'outside'
        ? holding.beyond
        : -holding.beyond;
  return { ...after, value: Number(Math.min(tool.range[1], Math.max(0, situation.value + off)).toFixed(4)) };
}

/** A zero set further off than this, in mm, was not set on closed jaws. */
const MOST_ZEROED = 0.4;
