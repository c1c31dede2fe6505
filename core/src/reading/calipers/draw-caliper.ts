import type { VernierCaliper } from '../../instruments/instrument.ts';
import { drawnEye, OVER_A_ZERO_ERROR, type Aimed } from '../drawing/aimed.ts';
import { broughtByHand, drawnZeroError } from '../jaws/draw-jaws.ts';
import type { Use } from '../jaws/jaws-situation.ts';
import { heldThing } from '../words/things.ts';
import type { CaliperSituation } from './caliper-indication.ts';

/** Slips that are made whatever is measured, and however: they leave it open what is between the jaws. */
const ANYWHERE = [...OVER_A_ZERO_ERROR, 'zero-negative-misread', 'zero-negative-forwards'];

/** What a caliper is used on, and between which sizes, in mm; `oval` in lines of its vernier, to either side of the mean. */
interface Used {
  readonly sizes: readonly [number, number];
  readonly use?: Use;
  readonly things?: readonly [string, ...string[]];
  readonly oval?: boolean;
}

const OUTSIDE: Used = { sizes: [4, 142] };
const USES_NOW_AND_THEN: readonly (readonly [chance: number, used: Used])[] = [
  [0.14, { use: 'inside', sizes: [10, 60], things: ['acrylic tube', 'brass bush'] }],
  [0.12, { use: 'depth', sizes: [10, 120], things: ['glass dish', 'acrylic tube'] }],
  [0.18, { sizes: [8, 45], things: ['glass net-float'], oval: true }],
];

/** Now and then something is measured inside, or to its bottom, or both ways across. */
function drawUse({ random, at, any }: Aimed): Used {
  if (any && !ANYWHERE.some(at)) return OUTSIDE;
  let left = random.uniform();
  for (const [chance, used] of USES_NOW_AND_THEN) {
    left -= chance;
    if (left < 0) return used;
  }
  return OUTSIDE;
}

/** A thing that a caliper is used on, with a line of the vernier nearly on a main mark. */
export function drawCaliper({ division }: VernierCaliper, aimed: Aimed): CaliperSituation {
  const { random } = aimed;
  const {
    sizes: [least, most],
    use,
    things,
    oval,
  } = drawUse(aimed);
  const lines = Math.round((least + (most - least) * random.uniform()) / division) + 0.5 * (random.uniform() - 0.5);
  const value = Number((lines * division).toFixed(4));
  const held: Partial<CaliperSituation> = {
    thing: things ? random.pick(things) : heldThing(value, random),
    ...(use ? { use } : {}),
    ...(oval ? { oval: Number(((2 + random.below(5)) * division).toFixed(4)) } : {}),
  };
  return {
    value,
    eyeHeight: drawnEye(aimed),
    ...held,
    ...drawnZeroError(division, [2, division < 0.1 ? 6 : 4], aimed),
    // What is oval is shown twice: only its size can be asked for.
    ...(oval ? { ask: undefined } : {}),
    ...broughtByHand(things ? 0 : value, division, aimed),
  };
}
