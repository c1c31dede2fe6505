import type { DigitalCaliper, Micrometer, VernierCaliper } from '../../instruments/instrument.ts';
import type { Action, Remark } from '../actions.ts';
import type { Posed } from '../indication/indication.ts';
import { MOST_OFF, type JawsSituation } from './jaws-situation.ts';
import { withArticle } from '../words/article.ts';

/** A tool with jaws or faces that are brought to a thing. */
type JawsTool = VernierCaliper | Micrometer | DigitalCaliper;

/** Jaws on the bench: where they have been moved to, what is between them, and what has been done about it. */
export interface JawsOnBench<T extends JawsTool, S extends JawsSituation> {
  readonly posed: Posed<T, S>;
  /** Where slide or thimble stands, in mm, as the tool counts; null while it has not been moved. */
  readonly position: number | null;
  readonly between: boolean;
  readonly turned: boolean;
  /** The thing has been measured turned by a right angle, or turned back from it. */
  readonly bothWays: boolean;
  /** Where a display was zeroed, in mm. */
  readonly zeroedAt: number;
  readonly ratcheted: boolean;
  readonly wiped: boolean;
  /** The faces have been free of the thing, so that they could be closed on nothing. */
  readonly closedOnNothing: boolean;
}

export function jawsBegun<T extends JawsTool, S extends JawsSituation>(posed: Posed<T, S>): JawsOnBench<T, S> {
  return {
    posed,
    position: null,
    between: true,
    turned: false,
    bothWays: false,
    zeroedAt: 0,
    ratcheted: false,
    wiped: false,
    closedOnNothing: false,
  };
}

type Change = Partial<Omit<JawsOnBench<JawsTool, JawsSituation>, 'posed'>>;

const CHANGES: Readonly<Partial<Record<Action['kind'], (to: number | null) => Change>>> = {
  slide: (position) => ({ position }),
  'put-thing': () => ({ between: true }),
  'take-thing': () => ({ between: false, closedOnNothing: true }),
  turn: (to) => ({ turned: to === 1, bothWays: true }),
  zero: (to) => ({ zeroedAt: to ?? 0 }),
  click: () => ({ ratcheted: true }),
  'wipe-faces': () => ({ wiped: true }),
};

export function jawsHandled<B extends JawsOnBench<JawsTool, JawsSituation>>(bench: B, { kind, to }: Action): B {
  const change = CHANGES[kind];
  return change ? { ...bench, ...change(to) } : bench;
}

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

/** How a thing is held. */
interface Hold {
  /** How much further the faces are apart than the thing is thick, in mm; negative where it is pressed. */
  readonly beyond: number;
  readonly touching: boolean;
}

/** How a tool holds the thing now; null while it was not brought to it at all. */
function holdOn({ posed, position, between, turned }: JawsOnBench<JawsTool, JawsSituation>): Hold | null {
  if (!between || position === null) return null;
  const { value, zeroError = 0, oval = 0, use = 'outside', grit = 0 } = posed.situation;
  const outward = position - (value + (turned ? -oval : oval) + zeroError);
  const beyond = use === 'outside' ? outward : -outward;
  const touching = beyond <= grit + TOUCHES * posed.tool.division + 1e-9 && beyond > -MOST_PRESSED;
  return { beyond, touching };
}

/**
 * What jaws measure as they stand now. Who presses the thing, or leaves grit between the faces, reads what that makes of it; an oval
 * thing is asked for by its mean, however it lies.
 * @param zeroedAt where the display was zeroed, in mm; 0 on a tool without one.
 */
export function jawsStanding<T extends JawsTool, S extends JawsSituation>(bench: JawsOnBench<T, S>, zeroedAt = 0): S {
  const { tool, situation } = bench.posed;
  if (!situation.loose) return situation;
  const rest: S = { ...situation, loose: undefined, grit: undefined, soft: undefined };
  const zeroError = Number(((situation.zeroError ?? 0) - zeroedAt).toFixed(4));
  // A zero set anywhere else than on closed jaws means nothing.
  const known = Math.abs(zeroError) <= MOST_OFF ? zeroError : 0;
  const after: S = zeroedAt === 0 ? rest : { ...rest, zeroError: known === 0 ? undefined : known };
  const hold = holdOn(bench);
  if (!hold?.touching || situation.oval !== undefined) return after;
  const outward = situation.use === undefined || situation.use === 'outside' ? hold.beyond : -hold.beyond;
  const off = Math.abs(hold.beyond) < 0.0006 ? 0 : outward;
  return { ...after, value: Number(Math.min(tool.range[1], Math.max(0, situation.value + off)).toFixed(4)) };
}

/** The words in which jaws and faces differ. */
interface JawsWords {
  readonly name: 'jaws' | 'faces';
  /** Decimals a force is told with, in mm. */
  readonly decimals: number;
  /** A ratchet is to be used for the last bit. */
  readonly hasRatchet: boolean;
}

/** Pressed or kept apart by more than this many divisions, it shows. */
const SHOWS = 0.6;

function pressedTooFar(pressed: number, { decimals }: JawsWords, { soft = 0, thing = 'thing' }: JawsSituation): Remark {
  const size = `${pressed.toFixed(decimals)} mm`;
  if (soft > 0)
    return {
      id: 'squeezed',
      text: `The ${thing} is soft, and you pressed it together by ${size}. Let the jaws just touch it.`,
    };
  return {
    id: 'forced',
    text: `You forced it ${size} too far. That bends the frame and harms the screw. Turn by the ratchet until it clicks.`,
  };
}

/** What is to be said of how a thing was held. */
export function jawsRemarks(bench: JawsOnBench<JawsTool, JawsSituation>, words: JawsWords): Remark[] {
  const { tool, situation } = bench.posed;
  const { loose = false, thing = 'thing', oval, grit = 0, zeroError = 0 } = situation;
  if (!loose) return [];
  const { name } = words;
  const hold = holdOn(bench);
  if (!hold?.touching)
    return [
      {
        id: 'not-touching',
        text: `You did not bring the ${name} to the ${thing}. Your answer is judged as if you had.`,
      },
    ];
  const pressed = -hold.beyond > SHOWS * tool.division;
  const remarks: readonly (readonly [due: boolean, remark: Remark])[] = [
    [pressed, pressedTooFar(-hold.beyond, words, situation)],
    [
      words.hasRatchet && !pressed && !bench.ratcheted,
      {
        id: 'no-ratchet',
        text: 'You did not use the ratchet at the end. It clicks when the faces press with the right light force, the same each time.',
      },
    ],
    [
      grit > 0 && !bench.wiped,
      {
        id: 'grit-left',
        text: `There was grit between the ${name}, so they did not close fully. Wipe them before you look at the zero.`,
      },
    ],
    [
      oval !== undefined && !bench.bothWays,
      {
        id: 'one-way-only',
        text: `You measured it one way only, and ${withArticle(thing)} is seldom round. Turn it by a right angle, measure again, and take the mean.`,
      },
    ],
    [
      zeroError !== 0 && !bench.closedOnNothing,
      {
        id: 'zero-not-looked-at',
        text: `You did not close the ${name} with nothing between them. That shows how far the tool is off.`,
      },
    ],
  ];
  return remarks.flatMap(([due, remark]) => (due ? [remark] : []));
}
