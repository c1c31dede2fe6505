import { isAtRest, seededRandom, startled, swung, type BeamPicture, type Pointer } from '@green-beam/core';

/** A beam balance under somebody’s hands. */
export interface BalanceNow {
  /** Places of the riders on their beams, in mm. */
  readonly riderX: readonly number[];
  /** By how many g the zero screw has been turned. */
  readonly screw: number;
  readonly vessel: boolean;
  readonly thing: boolean;
  /** A thing under a liquid hangs free of the glass. */
  readonly free: boolean;
  readonly pointer: Pointer;
  readonly moving: boolean;
}

/** The balance lives outside the page’s state: its pointer moves sixty times a second. */
export interface Balance {
  readonly now: () => BalanceNow;
  readonly moveRider: (rider: number, x: number) => void;
  readonly turnScrew: (to: number) => void;
  readonly hangFree: () => void;
  readonly put: (what: 'vessel' | 'thing', on: boolean) => void;
  /** Puts the riders where they hold what is asked for, and lets the pointer rest there. */
  readonly settle: () => void;
  readonly subscribe: (moved: () => void) => () => void;
}

/** Where the pointer would rest without friction, in divisions of its scale. */
/** What a balance stands by, apart from its pointer. */
type Standing = Pick<BalanceNow, 'riderX' | 'screw' | 'vessel' | 'thing' | 'free'>;

export function restOf(picture: BeamPicture, now: Standing): number {
  const { beams, perPull } = picture;
  const { riderX } = now;
  return (loadOf(picture, now) - beams.reduce((sum, { pull }, i) => sum + pull * (riderX[i] ?? 0), 0)) * perPull;
}

/** Places of the riders that hold a load, each notched one in the last notch passed. @param load in g·mm. */
export function holdingPlaces({ beams }: BeamPicture, load: number): number[] {
  let left = Math.max(0, load);
  return beams.map(({ pull, notches, length }) => {
    const reached = Math.min(length, left / pull);
    const x = notches.length === 0 ? reached : (notches.findLast((notch) => notch <= reached + 1e-6) ?? 0);
    left -= x * pull;
    return x;
  });
}

/** What lies on the pan and pulls, in g·mm. */
function loadOf({ empty, arm, thing, vessel, borne }: BeamPicture, now: Standing): number {
  return (
    empty +
    now.screw * arm +
    (now.thing ? thing.pull + (now.free ? 0 : borne) : 0) +
    (now.vessel ? (vessel?.pull ?? 0) : 0)
  );
}

/** Longest time between two frames that is made up for, in s: a page that was hidden does not catch up. */
const LONGEST = 0.1;

/** How a balance stands before anything is done with it, its pointer at rest. */
export function foundStanding(picture: BeamPicture): BalanceNow {
  const [{ riderX }] = picture.views;
  const start = {
    riderX,
    screw: 0,
    vessel: picture.laden && picture.vessel !== null,
    thing: picture.laden,
    free: picture.borne === 0,
  };
  return { ...start, pointer: swung({ at: 0, speed: 0 }, restOf(picture, start), 60, picture.swing), moving: false };
}

/** How a balance stands in one of the views it is looked at in: its pointer on the mark. */
export function standing(picture: BeamPicture, view: number): BalanceNow {
  const { riderX, caption } = picture.views[view] ?? picture.views[0];
  return {
    riderX,
    screw: 0,
    vessel: picture.vessel !== null && caption !== 'nothing',
    thing: view === 0,
    free: true,
    pointer: { at: 0, speed: 0 },
    moving: false,
  };
}

/** @param still no motion is shown: the pointer comes to rest at once. */
export function createBalance(picture: BeamPicture, start: BalanceNow, still = false): Balance {
  const random = seededRandom(Math.round(Math.abs(picture.thing.pull)));
  const listeners = new Set<() => void>();
  let now = start;
  let [frame, last] = [0, 0];
  const change = (next: BalanceNow): void => {
    now = next;
    for (const moved of listeners) moved();
  };
  const step = (time: number): void => {
    const rest = restOf(picture, now);
    const pointer = swung(now.pointer, rest, Math.min(LONGEST, Math.max(0, (time - last) / 1000)), picture.swing);
    const moving = !isAtRest(pointer, rest, picture.swing);
    last = time;
    frame = 0;
    change({ ...now, pointer, moving });
    if (moving && listeners.size > 0) frame = requestAnimationFrame(step);
  };
  const swingOn = (): void => {
    if (frame !== 0) return;
    last = performance.now();
    frame = requestAnimationFrame(step);
  };
  const disturbed = (part: Partial<BalanceNow>): void => {
    const next = { ...now, ...part };
    const rest = restOf(picture, next);
    if (still) {
      change({ ...next, pointer: swung(next.pointer, rest, 60, picture.swing), moving: false });
      return;
    }
    change({ ...next, moving: true });
    swingOn();
  };
  return {
    now: () => now,
    moveRider: (rider, x) =>
      disturbed({
        riderX: now.riderX.map((place, i) =>
          i === rider ? Math.min(picture.beams[i]?.length ?? 0, Math.max(0, x)) : place,
        ),
      }),
    turnScrew: (screw) => disturbed({ screw }),
    hangFree: () => disturbed({ free: true }),
    put: (what, on) => disturbed({ [what]: on, pointer: startled(now.pointer, random) }),
    settle: () => {
      const laden = { ...now, thing: true, free: true };
      const held = { ...laden, riderX: holdingPlaces(picture, loadOf(picture, laden)) };
      change({ ...held, pointer: { at: 0, speed: 0 }, moving: false });
    },
    subscribe: (moved) => {
      listeners.add(moved);
      if (now.moving) swingOn();
      return () => {
        listeners.delete(moved);
        if (listeners.size > 0 || frame === 0) return;
        // Nobody looks: it stands still until somebody does.
        cancelAnimationFrame(frame);
        frame = 0;
      };
    },
  };
}
