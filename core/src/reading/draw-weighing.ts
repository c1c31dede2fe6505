import type { BeamBalance, DisplayTool } from '../instruments/instrument.ts';
import { multipleOf } from '../scales/linear-scale.ts';
import { ridersFor } from '../scales/rider-beam.ts';
import type { Random } from '../simulation/random.ts';
import { ridersIn } from './balance-reading.ts';
import { SPOILERS, type Situation, type Spoilt } from './situation.ts';
import { equalThings, weighedThing } from './things.ts';

/** What a drawn situation is to be good for. */
export interface WeighingAim {
  readonly random: Random;
  readonly at: (slip: string) => boolean;
  readonly any: boolean;
}

type Tool = BeamBalance | DisplayTool;

const VESSELS = ['glass dish', 'small beaker', 'brass tray'] as const;

/** Of what is aimed at and what comes now and then, one thing only is wrong with a weighing, so that it can be told. */
function oneOf(
  { random, at, any }: WeighingAim,
  chances: readonly (readonly [slip: string, chance: number])[],
): string | null {
  const aimed = chances.find(([slip]) => at(slip));
  if (aimed) return aimed[0];
  let left = any ? 1 : random.uniform();
  for (const [slip, chance] of chances) {
    left -= chance;
    if (left < 0) return slip;
  }
  return null;
}

/** A number of last digits, either way. */
function digitsOff(tool: Tool, random: Random, least: number, most: number): number {
  const count = least + random.below(most - least + 1);
  return multipleOf(tool.division, random.uniform() < 0.5 ? -count : count);
}

function vesselOn(tool: Tool, random: Random): Pick<Situation, 'container' | 'vessel'> {
  const [, most] = tool.range;
  return {
    container: multipleOf(tool.division, Math.round(((0.06 + 0.12 * random.uniform()) * most) / tool.division)),
    vessel: random.pick(VESSELS),
  };
}

/** What is weighed: one thing, or now and then several equal ones. */
function weighed(value: number, random: Random): Pick<Situation, 'thing' | 'count'> {
  const several = random.uniform() < 0.2 ? equalThings(value, random) : null;
  return several ?? { thing: weighedThing(value, random) };
}

/** How heavy: anything the balance takes, with room for a vessel; now and then such that the last digit is a zero. */
function massOn(tool: Tool, { random, at }: WeighingAim, digits: number, room: number): number {
  const [, most] = tool.range;
  const last = multipleOf(tool.division, 1) / digits;
  // Light things are commoner than heavy ones.
  const raw = (0.02 + 0.9 * random.uniform() ** 1.7) * (most - room);
  const round = at('trailing-zero-dropped') ? 10 : 1;
  return Number((Math.round(raw / (last * round)) * last * round).toFixed(6));
}

/** What is wrong with a weighing whatever it is done on. */
function offBy(tool: Tool, wrong: string | null, random: Random): Partial<Situation> {
  if (wrong === 'container-included') return vesselOn(tool, random);
  if (wrong === 'not-zeroed') return { empty: Math.abs(digitsOff(tool, random, 3, 9)) };
  if (wrong === 'zero-ignored' || wrong === 'zero-sign') return { zeroError: digitsOff(tool, random, 2, 6) };
  return {};
}

/** A notched rider left between two notches, lower riders making up for it; null where there is no room for that. */
function betweenNotches({ beams }: BeamBalance, load: number, random: Random): readonly number[] | null {
  const riders = ridersFor(beams, load);
  const last = riders.length - 1;
  const movable = riders.flatMap((position, i) => (i < last && position > 0 ? [i] : []));
  const which = movable[random.below(Math.max(1, movable.length))];
  const notch = beams[which ?? 0]?.scale.division ?? 0;
  const most = Math.min(0.4 * notch, (beams[last]?.scale.to ?? 0) - (riders[last] ?? 0));
  const shift = Number((0.12 * notch + random.uniform() * most).toFixed(6));
  if (which === undefined || shift > most) return null;
  return riders.map((position, i) =>
    Number((i === which ? position - shift : i === last ? position + shift : position).toFixed(6)),
  );
}

function drawBeams(tool: BeamBalance, aim: WeighingAim): Situation {
  const { random } = aim;
  const wrong = oneOf(aim, [
    ['not-balanced', 0.12],
    ['not-seated', 0.08],
    ['container-included', 0.25],
    ['not-zeroed', 0.1],
    ['zero-ignored', 0.08],
    ['zero-sign', 0.02],
  ]);
  const off = offBy(tool, wrong, random);
  const value = massOn(tool, aim, 10, 0.2 * tool.range[1]);
  const situation: Situation = { value, ...weighed(value, random), ...off };
  if (wrong === 'not-balanced') {
    const sliding = tool.beams.at(-1)?.scale.to ?? 1;
    const standing = ridersIn(tool, situation).at(-1) ?? 0;
    // The sliding rider was left somewhere else on its beam.
    const elsewhere = Number(
      (standing < sliding / 2
        ? standing + (0.1 + 0.35 * random.uniform()) * sliding
        : standing - (0.1 + 0.35 * random.uniform()) * sliding
      ).toFixed(6),
    );
    return { ...situation, riders: [...ridersIn(tool, situation).slice(0, -1), elsewhere] };
  }
  const between = wrong === 'not-seated' ? betweenNotches(tool, value, random) : null;
  if (between) return { ...situation, riders: between };
  const hung = tool.pan === 'hangs' && off.container === undefined && value > 5 && random.uniform() < 0.2;
  const under: Partial<Situation> = hung
    ? { thing: 'basalt pebble', count: undefined, under: random.pick(['water', 'brine'] as const) }
    : {};
  if (random.uniform() >= BY_HAND) return { ...situation, ...under };
  return {
    ...situation,
    ...eitherWay(situation, random),
    ...under,
    ...(hung && random.uniform() < 0.5 ? { spoilt: 'touching' as const } : {}),
    loose: true,
  };
}

/** Part of the weighings that are done by the student. */
const BY_HAND = 0.5;

/** What an empty balance shows can be below zero where it is seen by its pointer, or on a display; riders cannot show it. */
function eitherWay({ empty }: Situation, random: Random): Partial<Situation> {
  return empty !== undefined && random.uniform() < 0.5 ? { empty: -empty } : {};
}

/** By how much a spoiled weighing is off, in last digits, on a balance that shows so many; no more than can be noticed. */
const SPOILS: Readonly<Record<Spoilt, number>> = {
  draught: 6,
  'off-centre': 4,
  wet: 9,
  fingerprints: 3,
  touching: -14,
};

/** What a disturbance adds to what a display shows, in g. */
export function spoiledBy(tool: Tool, spoilt: Spoilt): number {
  return multipleOf(tool.division, SPOILS[spoilt]);
}

/** Moving air and fingerprints are felt by the finest balances only. */
function canSpoil({ division }: DisplayTool): readonly Spoilt[] {
  return division <= 0.001
    ? SPOILERS.filter((how) => how !== 'touching')
    : division <= 0.01
      ? ['off-centre', 'wet']
      : ['wet'];
}

function drawMass(tool: DisplayTool, aim: WeighingAim): Situation {
  const { random } = aim;
  const wrong = oneOf(aim, [
    ['unsettled', 0.1],
    ['container-included', 0.25],
    ['not-zeroed', 0.1],
    ['zero-ignored', 0.08],
    ['zero-sign', 0.02],
  ]);
  const value = massOn(tool, aim, 1, 0.25 * tool.range[1]);
  const situation: Situation = { value, ...weighed(value, random), ...offBy(tool, wrong, random) };
  if (wrong === 'unsettled')
    return { ...situation, settled: false, shown: Number((value + digitsOff(tool, random, 4, 30)).toFixed(6)) };
  if (random.uniform() >= BY_HAND) return situation;
  return {
    ...situation,
    ...eitherWay(situation, random),
    loose: true,
    ...(random.uniform() < 0.35 ? { spoilt: canSpoil(tool)[random.below(canSpoil(tool).length)] ?? 'wet' } : {}),
  };
}

/** A caliper with a display, between whose jaws something lies. */
function drawLength(
  { range: [, most], division }: DisplayTool,
  { random, at }: WeighingAim,
  named: (size: number) => string,
): Situation {
  const count = Math.round((3 + (most - 6) * random.uniform() ** 1.6) / division);
  const value = multipleOf(division, at('trailing-zero-dropped') ? Math.round(count / 10) * 10 : count);
  const off = at('zero-ignored') || at('zero-sign') || random.uniform() < 0.35;
  const error = 2 + random.below(9);
  return {
    value,
    thing: named(value),
    ...(off ? { zeroError: multipleOf(division, random.uniform() < 0.5 ? -error : error) } : {}),
    ...(random.uniform() < BY_HAND ? { loose: true } : {}),
  };
}

/** Draws what is weighed, or held by a caliper with a display. */
export function drawWeighing(tool: Tool, aim: WeighingAim, named: (size: number) => string): Situation {
  if (tool.reads === 'beams') return drawBeams(tool, aim);
  return tool.measures === 'mass' ? drawMass(tool, aim) : drawLength(tool, aim, named);
}
