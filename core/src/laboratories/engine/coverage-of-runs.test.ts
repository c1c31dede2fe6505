import { describe, expect, it } from 'vitest';
import { readingHalfWidth } from './inputs.ts';
import { workOut } from './evaluate.ts';
import { placesOf, settingOf, toolAt, type Setting } from './setting.ts';
import { perToolUnit } from './entry-cell.ts';
import { completeRules } from '../../rules/house-rules.ts';
import { seededRandom, type Random } from '../../simulation/random.ts';
import type { Protocol, ReadQuantity } from '../protocol/protocol.ts';
import { cellKey, membersOf, type Members } from '../run/address.ts';
import { runFromRows, sampleRun, type Row } from '../run/run-from-rows.ts';
import { numberOf } from './cell.ts';
import { HOLLOW_BODY } from '../shipped/hollow-body.ts';
import { GLASSWARE_DELIVERY } from '../shipped/glassware-delivery.ts';
import { PLATE_TWO_WAYS } from '../shipped/plate-two-ways.ts';
import { SOLID_BY_APPARENT_MASS } from '../shipped/solid-by-apparent-mass.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';

const RULES = completeRules({ coverage: 'students-t-95' });
/** Of each laboratory. With 2000, ten thousand in all, it takes about a minute; then 2 % are allowed. */
const RUNS = 400;
/** 2 %, or what chance allows so few runs. */
const WITHIN = Math.max(0.02, 3 * Math.sqrt((0.95 * 0.05) / RUNS));

/** How far repeats of a quantity scatter, in half-widths of one reading: enough to be seen beside it. */
const SCATTER = 1.5;

interface World {
  readonly protocol: Protocol;
  readonly setting: Setting;
  readonly result: string;
  readonly at: Members;
}

/** What a quantity’s true value is at a place: the same in all repeats. */
function truth({ setting }: World, quantity: ReadQuantity, members: Members): number {
  const first = Object.fromEntries(
    Object.keys(members).map((id) => [id, isRepeat(setting, id) ? '1' : (members[id] ?? '')]),
  );
  const cell = workedOnce(setting).cellAt(quantity.id, first);
  return numberOf(cell)?.value.toNumber() ?? NaN;
}

const WORKED = new WeakMap<Setting, ReturnType<typeof workOut>>();

function workedOnce(setting: Setting): ReturnType<typeof workOut> {
  const known = WORKED.get(setting) ?? workOut(setting.layout.protocol, sampleRun(setting.layout.protocol), RULES);
  WORKED.set(setting, known);
  return known;
}

function isRepeat({ layout }: Setting, dimension: string): boolean {
  return layout.dimensions.get(dimension)?.kind === 'repeat';
}

/** One run whose readings are off by what the engine is told: one rectangle for all repeats of a thing, and a normal scatter. */
function drawnRows(world: World, random: Random | null): Row[] {
  const { setting, protocol } = world;
  const errors = new Map<string, number>();
  const sample = sampleRun(protocol);
  const entered = new Set(
    sample.events.flatMap(({ address }) =>
      address.kind === 'cell' ? [cellKey(address.quantity, address.members)] : [],
    ),
  );
  return [...setting.layout.quantities.values()].flatMap((quantity): Row[] =>
    placesOf(setting, quantity.over, quantity.only).flatMap((members): Row[] => {
      if (!entered.has(cellKey(quantity.id, members))) return [];
      const [event] = sample.events.filter(
        ({ address }) =>
          address.kind === 'cell' && cellKey(address.quantity, address.members) === cellKey(quantity.id, members),
      );
      if (quantity.kind !== 'read') return [{ quantity: quantity.id, members, text: event?.text ?? '' }];
      const tool = toolAt(setting, quantity, members);
      const half = tool ? readingHalfWidth(tool, RULES) * perToolUnit(tool, quantity.unit).toNumber() : 0;
      const own = cellKey(
        quantity.id,
        membersOf(
          members,
          quantity.over.filter((id) => !isRepeat(setting, id)),
        ),
      );
      const error = errors.get(own) ?? (random ? (2 * random.uniform() - 1) * half : 0);
      errors.set(own, error);
      const repeats = quantity.over.some((id) => isRepeat(setting, id));
      const scatter = random && repeats ? random.normal() * SCATTER * half : 0;
      const value = truth(world, quantity, members) + error + scatter;
      return [{ quantity: quantity.id, members, text: value.toFixed(9) }];
    }),
  );
}

function resultIn(world: World, random: Random | null): { readonly value: number; readonly size: number } {
  const { protocol, result, at } = world;
  const { members = {}, options = {} } = protocol.samples[0];
  const run = runFromRows(protocol, drawnRows(world, random), { cases: members, options });
  const found = workOut(protocol, run, RULES).results.find(
    (one) => one.quantity === result && Object.entries(at).every(([id, member]) => one.members[id] === member),
  );
  const own = found?.methods.find(({ method }) => method === 'quadrature');
  return { value: found?.value ?? NaN, size: own?.size ?? NaN };
}

describe('95 % intervals', () => {
  it.each<[Protocol, string, Members]>([
    [PLATE_TWO_WAYS, 'volume', { method: 'fine' }],
    [HOLLOW_BODY, 'metal', {}],
    [SOLID_BY_DISPLACEMENT, 'meanDensity', {}],
    [SOLID_BY_APPARENT_MASS, 'density', { liquid: 'water' }],
    [GLASSWARE_DELIVERY, 'meanVolume', { tool: 'burette' }],
  ])(`of $id hold the truth in about 95 of 100 of ${RUNS} runs`, (protocol, result, at) => {
    const setting = settingOf(protocol, sampleRun(protocol), RULES);
    const world = { protocol, setting, result, at };
    const random = seededRandom(20_260_101);
    const { value: true_ } = resultIn(world, null);
    let held = 0;
    for (let i = 0; i < RUNS; i += 1) {
      const { value, size } = resultIn(world, random);
      if (Math.abs(value - true_) <= size) held += 1;
    }
    expect(Math.abs(held / RUNS - 0.95)).toBeLessThan(WITHIN);
  });
});
