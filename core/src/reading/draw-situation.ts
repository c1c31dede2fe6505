import { along } from '../instruments/along-scale.ts';
import type { Instrument, Micrometer, RingTool, ScaleTool, VernierCaliper } from '../instruments/instrument.ts';
import type { Random } from '../simulation/random.ts';
import { multipleOf } from '../scales/linear-scale.ts';
import { THIMBLE_DIVISION } from '../instruments/micrometers.ts';
import { acceptanceBand, estimateFor, readingStep } from './expected-reading.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { drawWeighing } from './draw-weighing.ts';
import type { Situation } from './situation.ts';
import { heldThing, longThing } from './things.ts';

const LIQUIDS = ['water', 'brine', 'lamp oil', 'glycerol'] as const;
/** What floats a hydrometer, by the lightest density of its span. */
const FLOATED: Readonly<Record<string, string>> = {
  '0.7': 'naphtha',
  '0.8': 'spirit and water',
  '0.9': 'spirit and water',
  '1': 'brine',
  '1.1': 'glycerol and water',
  '1.2': 'calcium brine',
};

/** What a drawn situation is to be good for. */
interface Aimed {
  readonly random: Random;
  readonly rules: HouseRules;
  readonly at: (slip: string) => boolean;
  readonly any: boolean;
}

/** True where a slip is aimed at, and otherwise now and then. */
function sometimes({ random, at, any }: Aimed, slip: string, chance: number): boolean {
  return at(slip) || (!any && random.uniform() < chance);
}

function eyeHeight({ random, at }: Aimed): number {
  const height = 35 + 55 * random.uniform();
  if (at('eye-low')) return -height;
  return Number((at('eye-high') || random.uniform() < 0.5 ? height : -height).toFixed(1));
}

function nearestMultiple(step: number, value: number): number {
  return multipleOf(step, Math.round(value / step));
}

/**
 * A point on the scale to be read: on a mark where a written zero is aimed at; where a step is not much narrower than the accepted
 * band, on a step, since between two of them a careful reader would have too little room.
 */
function point(tool: ScaleTool, aimed: Aimed, least: number, most: number): number {
  const { random, rules } = aimed;
  const raw = least + random.uniform() * (most - least);
  if (sometimes(aimed, 'trailing-zero-dropped', 0.1)) return nearestMultiple(tool.division, raw);
  const { step } = readingStep(tool, rules);
  const coarse = estimateFor(tool, rules) === 'tenths' && step > acceptanceBand(tool, rules) / 3;
  return coarse ? Number((Math.round(raw / step) * step).toFixed(6)) : Number(raw.toFixed(6));
}

/** Part of the range that is drawn from: not quite to its ends. */
function inner([least, most]: ScaleTool['range'], from = 0.1, to = 0.92): [number, number] {
  return [least + from * (most - least), least + to * (most - least)];
}

function drawTube(tool: ScaleTool, aimed: Aimed): Situation {
  const { random, at } = aimed;
  const domed = at('meniscus-low') || (!at('meniscus-edge') && random.uniform() < 0.08);
  const plain = !domed && !at('meniscus-edge');
  const flat = plain && random.uniform() < 0.06;
  const opaque = plain && !flat && random.uniform() < 0.06;
  return {
    value: point(tool, aimed, ...inner(tool.range)),
    eyeHeight: eyeHeight(aimed),
    surface: domed ? 'domed' : flat ? 'flat' : 'wetting',
    scaleSide: random.uniform() < 0.15 ? 'far' : 'near',
    liquid: opaque ? 'slate slurry' : domed || flat ? 'water' : random.pick(LIQUIDS),
    ...(opaque ? { opaque } : {}),
    ...(tool.mayHaveSecondScale ? { secondScale: sometimes(aimed, 'other-scale', 0.35) } : {}),
  };
}

/** A burette or graduated pipette: one reading, or the volume between two. */
function drawDelivery(tool: ScaleTool, aimed: Aimed): Situation {
  const { random } = aimed;
  const [, capacity] = tool.range;
  const difference = sometimes(aimed, 'final-as-delivered', 0.4);
  const from = difference ? Number((0.05 + 0.12 * capacity * random.uniform()).toFixed(2)) : 0;
  const base = {
    eyeHeight: eyeHeight(aimed),
    surface: 'wetting' as const,
    liquid: random.pick(['water', 'brine'] as const),
  };
  const value = point(
    tool,
    aimed,
    ...(difference ? ([from + 0.15 * capacity, 0.95 * capacity] as const) : inner(tool.range, 0.04, 0.95)),
  );
  if (!difference) return { value, ...base };
  return { value, from, ...base, ...(tool.skill === 'burettes' ? leftIn(random) : {}) };
}

/** Now and then somebody left something to be noticed. */
function leftIn(random: Random): Pick<Situation, 'left'> {
  const chance = random.uniform();
  return chance < 0.2 ? { left: 'funnel' } : chance < 0.4 ? { left: 'bubble' } : {};
}

/** How far thermometers are off, in divisions: enough to matter, and either way. */
function thermometerError(tool: ScaleTool, { random }: Aimed): number {
  const divisions = 0.5 + random.uniform();
  return Number(((random.uniform() < 0.5 ? -1 : 1) * divisions * tool.division).toFixed(2));
}

/** Melting ice, or water that boils at some height above the sea, where the tool reaches it; null for any other bath. */
function fixedPoint({ range: [, most], division }: ScaleTool, { random, any }: Aimed): number | null {
  const chance = random.uniform() / (any ? 0.4 : 1);
  if (chance < 0.3) return 0;
  // From 1600 m down to the sea water boils between 94.7 and 100.0 °C.
  return chance < 0.6 && most > 100 ? nearestMultiple(division / 10, 94.7 + 5.3 * random.uniform()) : null;
}

/** What a student would call a bath of so many degrees. */
function bathAt(celsius: number): string {
  if (celsius === 0) return 'melting ice';
  if (celsius >= 94.6) return 'boiling water';
  if (celsius >= 55) return 'hot water';
  if (celsius >= 27) return 'warm water';
  return celsius < 15 ? 'cold water' : 'water as warm as the room';
}

function drawThermometer(tool: ScaleTool, aimed: Aimed): Situation {
  const { random, at } = aimed;
  const [least, most] = tool.range;
  const below = sometimes(aimed, 'sign-lost', 0.12);
  const corrected = sometimes(aimed, 'zero-ignored', 0.2) || at('zero-sign');
  const drawnValue = below
    ? point(tool, aimed, 0.85 * least, 0.05 * least)
    : point(tool, aimed, Math.max(0, least) + 0.04 * most, 0.92 * most);
  const room = Math.min(most, 18 + 6 * random.uniform());
  const fixed = below || corrected ? null : fixedPoint(tool, aimed);
  const value = fixed ?? drawnValue;
  return {
    value,
    eyeHeight: eyeHeight(aimed),
    liquid: below ? 'brine and ice' : bathAt(value),
    ...(corrected ? { zeroError: thermometerError(tool, aimed) } : {}),
    ...(at('unsettled') ? { settled: false, shown: Number(room.toFixed(2)) } : {}),
  };
}

/** A thing that lies anywhere beside the ruler until the student lays it. */
function drawLoose(tool: ScaleTool, aimed: Aimed, bare: number): Situation {
  const { random } = aimed;
  const [, most] = tool.range;
  const value = point(tool, aimed, 0.06 * most, 0.6 * most);
  return {
    value,
    eyeHeight: eyeHeight(aimed),
    thing: longThing(along(tool, value), random),
    from: Number(((0.08 + 0.22 * random.uniform()) * most + 0.37 * tool.division).toFixed(3)),
    loose: true,
    ...(bare > 0 && random.uniform() < 0.5 ? { endOffset: bare } : {}),
  };
}

function drawRuler(tool: ScaleTool, aimed: Aimed): Situation {
  const { random } = aimed;
  const bare = tool.body.kind === 'rule' ? tool.body.bareEnd : 0;
  const elsewhere = sometimes(aimed, 'end-not-zero', 0.3);
  const [, most] = tool.range;
  const labels = Math.max(1, Math.floor((0.3 * most) / tool.scale.labelEvery));
  const from =
    elsewhere && (bare === 0 || random.uniform() < 0.5) ? (1 + random.below(labels)) * tool.scale.labelEvery : 0;
  const longest = Math.min(0.9 * most, most - from - tool.division);
  if (from === 0 && !aimed.at('end-not-zero') && random.uniform() < (aimed.any ? 0.35 : 0.6))
    return drawLoose(tool, aimed, bare);
  const value = point(tool, aimed, 0.06 * most, longest);
  return {
    value,
    eyeHeight: eyeHeight(aimed),
    thing: longThing(along(tool, value), random),
    ...(from > 0 ? { from } : {}),
    ...(bare > 0 && (elsewhere || random.uniform() < 0.5) ? { endOffset: bare } : {}),
  };
}

function drawOnScale(tool: ScaleTool, aimed: Aimed): Situation {
  switch (tool.body.kind) {
    case 'tube':
      return tool.body.made === 'to-deliver' ? drawDelivery(tool, aimed) : drawTube(tool, aimed);
    case 'beaker':
    case 'cone':
      return {
        value: point(tool, aimed, ...inner(tool.range, 0.08, 0.94)),
        eyeHeight: eyeHeight(aimed),
        surface: 'wetting',
        liquid: aimed.random.pick(LIQUIDS),
      };
    case 'thread':
      return drawThermometer(tool, aimed);
    case 'float':
      return {
        value: point(tool, aimed, ...inner(tool.range, 0.06, 0.94)),
        eyeHeight: eyeHeight(aimed),
        liquid: FLOATED[tool.range[0]] ?? 'brine',
        ...(aimed.random.uniform() < 0.35 ? { untried: true } : {}),
      };
    case 'rule':
      return drawRuler(tool, aimed);
  }
}

function drawRing({ volume, tolerance }: RingTool, aimed: Aimed): Situation {
  return {
    value: Number((volume + tolerance.a * (2 * aimed.random.uniform() - 1)).toFixed(4)),
    eyeHeight: eyeHeight(aimed),
    surface: 'wetting',
    liquid: aimed.random.pick(LIQUIDS),
  };
}

/** How far a caliper or a micrometer is off, in its last digits: a few, and either way. */
function zeroErrorOf(division: number, aimed: Aimed): Pick<Situation, 'zeroError'> {
  const wanted = aimed.at('zero-sign') || aimed.at('zero-negative-misread') || sometimes(aimed, 'zero-ignored', 0.4);
  if (!wanted) return {};
  const count = 2 + aimed.random.below(division < 0.1 ? 5 : 3);
  const negative = aimed.at('zero-negative-misread') || aimed.random.uniform() < 0.5;
  return { zeroError: multipleOf(division, negative ? -count : count) };
}

/** Slips that are made whatever is measured, and however: they leave it open what is between the jaws. */
const ANYWHERE = ['zero-ignored', 'zero-sign', 'zero-negative-misread'];

/** What a caliper is used on, and between which sizes, in mm; `oval` in lines of its vernier, to either side of the mean. */
interface Use {
  readonly sizes: readonly [number, number];
  readonly use?: Situation['use'];
  readonly things?: readonly [string, ...string[]];
  readonly oval?: boolean;
}

const OUTSIDE: Use = { sizes: [4, 142] };
const USES_NOW_AND_THEN: readonly (readonly [chance: number, use: Use])[] = [
  [0.14, { use: 'inside', sizes: [10, 60], things: ['acrylic tube', 'brass bush'] }],
  [0.12, { use: 'depth', sizes: [10, 120], things: ['glass dish', 'acrylic tube'] }],
  [0.18, { sizes: [8, 45], things: ['glass net-float'], oval: true }],
];

/** Now and then something is measured inside, or to its bottom, or both ways across. */
function useOf({ random, at, any }: Aimed): Use {
  if (any && !ANYWHERE.some(at)) return OUTSIDE;
  let left = random.uniform();
  for (const [chance, use] of USES_NOW_AND_THEN) {
    left -= chance;
    if (left < 0) return use;
  }
  return OUTSIDE;
}

/** A thing that a caliper is used on, with a line of the vernier nearly on a main mark. */
function drawCaliper({ division }: VernierCaliper, aimed: Aimed): Situation {
  const { random } = aimed;
  const {
    sizes: [least, most],
    use,
    things,
    oval,
  } = useOf(aimed);
  const lines = Math.round((least + (most - least) * random.uniform()) / division) + 0.5 * (random.uniform() - 0.5);
  const value = Number((lines * division).toFixed(4));
  const held: Partial<Situation> = {
    thing: things ? random.pick(things) : heldThing(value, random),
    ...(use ? { use } : {}),
    ...(oval ? { oval: Number(((2 + random.below(5)) * division).toFixed(4)) } : {}),
  };
  return {
    value,
    eyeHeight: eyeHeight(aimed),
    ...held,
    ...zeroErrorOf(division, aimed),
    ...byHand(things ? 0 : value, division, aimed),
  };
}

/** Part of the things that are brought between the jaws by the student, now and then with grit on them. */
const BY_HAND = 0.5;

/** @param size decides whether a soft thing can be of that size. */
function byHand(size: number, division: number, { random, any }: Aimed): Partial<Situation> {
  if (random.uniform() >= BY_HAND) return {};
  const chance = random.uniform();
  if (!any && chance < 0.15 && size >= 8 && size <= 40) return { loose: true, thing: 'cork bung', soft: 1.2 };
  return { loose: true, ...(chance > 0.75 ? { grit: Number(((2 + random.below(4)) * division).toFixed(4)) } : {}) };
}

function drawMicrometer({ range: [, most], division, sleeveLines }: Micrometer, aimed: Aimed): Situation {
  const { random } = aimed;
  const raw = 1 + (most - 2) * random.uniform();
  const value =
    sleeveLines > 0
      ? (Math.round(raw / division) + 0.5 * (random.uniform() - 0.5)) * division
      : aimed.at('trailing-zero-dropped')
        ? Math.round(raw / division) * division
        : raw;
  return {
    value: Number(value.toFixed(5)),
    thing: heldThing(value, random),
    ...zeroErrorOf(sleeveLines > 0 ? division : division / 10, aimed),
    ...byHand(0, THIMBLE_DIVISION, aimed),
  };
}

/** Draws what stands on the bench, so that the aimed slips can be made on it. */
export function drawSituation(
  instrument: Instrument,
  random: Random,
  aim: readonly string[],
  rules: HouseRules,
): Situation {
  const aimed: Aimed = { random, rules, at: (slip) => aim.includes(slip), any: aim.length > 0 };
  if (instrument.reads === 'scale') return drawOnScale(instrument, aimed);
  if (instrument.reads === 'ring') return drawRing(instrument, aimed);
  if (instrument.reads === 'vernier') return drawCaliper(instrument, aimed);
  if (instrument.reads === 'thimble') return drawMicrometer(instrument, aimed);
  return drawWeighing(instrument, aimed, (size) => heldThing(size, random));
}
