import type { Random } from '../../simulation/random.ts';

/** How a balance’s pointer swings. Its scale counts from the mark, upward when the load is too heavy. */
export interface Swing {
  /** Time of one whole free swing, in s. */
  readonly period: number;
  /** Damping as a part of the critical one. */
  readonly damping: number;
  /** How far off its rest friction can hold the pointer, in divisions of its scale; 0 for none. */
  readonly friction: number;
  /** Where the beam strikes its stops, in divisions to either side. */
  readonly stops: number;
}

/** A pointer at one moment: divisions of its scale, and divisions per second. */
export interface Pointer {
  readonly at: number;
  readonly speed: number;
}

/** What is left of the speed, and turned round, when the beam strikes a stop. */
const BOUNCE = 0.15;
/** Slower than this, in divisions per second, it stays at the stop. */
const STAYS = 1;
/** Longest part of a step that is taken at once, in s: stops are looked for at its end. */
const STEP = 1 / 240;

/**
 * A free damped swing about a centre after a time: the solution of x″ + 2ζωx′ + ω²(x − c) = 0 for ζ < 1 (as in any text on mechanics,
 * for instance Kibble & Berkshire, 2004, section 2.5), and when it first stands still.
 */
function free(
  { at, speed }: Pointer,
  centre: number,
  { period, damping }: Swing,
): { after: (time: number) => Pointer; turns: number } {
  const damped = (2 * Math.PI) / period;
  const decay = (damped * damping) / Math.sqrt(1 - damping ** 2);
  const a = at - centre;
  const b = (speed + decay * a) / damped;
  // x′ is proportional to (ωB − γA) cos ωt − (γB + ωA) sin ωt.
  const phase = Math.atan2(damped * b - decay * a, decay * b + damped * a);
  const turns = (phase > 1e-12 ? phase : phase > -Math.PI + 1e-12 ? phase + Math.PI : phase + 2 * Math.PI) / damped;
  const after = (time: number): Pointer => {
    const [cos, sin, shrunk] = [Math.cos(damped * time), Math.sin(damped * time), Math.exp(-decay * time)];
    return {
      at: centre + shrunk * (a * cos + b * sin),
      speed: shrunk * ((damped * b - decay * a) * cos - (decay * b + damped * a) * sin),
    };
  };
  return { after, turns };
}

/** The pointer a short time on, and how much of that time is left where it came to a turn before its end. */
function part(
  pointer: Pointer,
  rest: number,
  time: number,
  swing: Swing,
): { readonly pointer: Pointer; readonly left: number } {
  const { friction } = swing;
  const still = Math.abs(pointer.speed) < 1e-12;
  if (still && Math.abs(pointer.at - rest) <= friction) return { pointer: { at: pointer.at, speed: 0 }, left: 0 };
  const way = still ? Math.sign(rest - pointer.at) : Math.sign(pointer.speed);
  const { after, turns } = free(pointer, rest - way * friction, swing);
  if (turns > time) return { pointer: after(time), left: 0 };
  return { pointer: { at: after(turns).at, speed: 0 }, left: time - turns };
}

function struck({ at, speed }: Pointer, stops: number): Pointer {
  if (Math.abs(at) < stops) return { at, speed };
  const back = Math.sign(speed) === Math.sign(at) ? -BOUNCE * speed : speed;
  return { at: Math.sign(at) * stops, speed: Math.abs(back) < STAYS ? 0 : back };
}

/**
 * Where a pointer is some time on. The swing is solved exactly from one turn to the next, dry friction drawing the centre of each half
 * swing nearer to it, so that the result does not depend on the steps it is asked for in.
 * @param rest where it would come to rest without friction, in divisions; beyond the stops it lies against one.
 * @param seconds not negative.
 */
export function swung(pointer: Pointer, rest: number, seconds: number, swing: Swing): Pointer {
  const [count, aim] = [
    Math.max(1, Math.ceil(seconds / STEP)),
    Math.max(-3 * swing.stops, Math.min(3 * swing.stops, rest)),
  ];
  let now = pointer;
  for (let step = 0; step < count; step += 1) {
    // A step has few turns, if any; what is left after so many is too short to matter.
    let left = seconds / count;
    for (let turn = 0; turn < 4 && left > 0; turn += 1) ({ pointer: now, left } = part(now, aim, left, swing));
    now = struck(now, swing.stops);
  }
  return now;
}

/** True when a pointer moves no more: still, and either held where it is or against a stop. */
export function isAtRest({ at, speed }: Pointer, rest: number, { friction, stops }: Swing): boolean {
  return Math.abs(speed) < 0.01 && (Math.abs(at - rest) <= friction + 0.01 || Math.abs(at) >= stops - 1e-9);
}

/** The push a hand gives the pan when something is put on it: the same for the same random source. */
export function startled({ at }: Pointer, random: Random): Pointer {
  return { at, speed: 4 + 3 * random.uniform() };
}
