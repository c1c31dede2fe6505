import { instrumentById, instrumentIds } from '../instruments/catalogue.ts';
import { seededRandom } from '../simulation/random.ts';
import { AimError, slipsOn } from './draw-task.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { slipById } from './slips/registry.ts';

/** What one item of a round is drawn from. */
export interface PlannedItem {
  readonly instrumentId: string;
  readonly seed: number;
  readonly aim: readonly string[];
}

/** Part of the items that aim at nothing: a reader who expects a trap in each would not read but guess. */
const UNAIMED = 0.25;

/** Slips of the way a tool is read, and the unwritten zero; those of the record show on any item. */
function worthAiming(instrumentId: string, rules: HouseRules): string[] {
  return slipsOn(instrumentId, rules).filter((id) => ['sight', 'count', 'correction'].includes(slipById(id).stage) || id === 'trailing-zero-dropped');
}

/**
 * Items without end: each one’s tool in turn, so that every family named comes up, and what it is aimed at. The same seed plans the
 * same; each item is worked out only when it is asked for.
 * @param tools ids of the catalogue; none means every tool.
 * @param mayAim which slips can be aimed at; not all of them can be made on paper.
 */
export function* plannedItems(tools: readonly string[], seed: number, rules: HouseRules, mayAim: (slipId: string) => boolean = () => true): Generator<PlannedItem, never> {
  const random = seededRandom(seed);
  const families = new Map<string, string[]>();
  for (const id of tools.length > 0 ? tools : instrumentIds()) {
    const { skill } = instrumentById(id);
    families.set(skill, [...(families.get(skill) ?? []), id]);
  }
  const order = [...families.values()];
  for (let position = random.below(order.length); ; position += 1) {
    const family = order[position % order.length] ?? [];
    const instrumentId = family[random.below(family.length)] ?? '';
    const aims = random.uniform() < UNAIMED ? [] : worthAiming(instrumentId, rules).filter(mayAim);
    const aim = aims[random.below(Math.max(1, aims.length))];
    yield { instrumentId, seed: random.below(2 ** 48), aim: aim === undefined ? [] : [aim] };
  }
}

/** The first so many of the planned items. */
export function planRound(tools: readonly string[], length: number, seed: number, rules: HouseRules, mayAim?: (slipId: string) => boolean): PlannedItem[] {
  const items = plannedItems(tools, seed, rules, mayAim);
  return Array.from({ length }, () => items.next().value);
}

/**
 * Items that aim at given slips in turn, each on a tool on which it can be told apart.
 * @throws AimError naming a slip that none of the tools can show.
 */
export function planForAims(tools: readonly string[], aims: readonly string[], length: number, seed: number, rules: HouseRules): PlannedItem[] {
  const random = seededRandom(seed);
  const named = tools.length > 0 ? tools : instrumentIds();
  const places = aims.map((aim) => {
    const showing = named.filter((id) => slipsOn(id, rules).includes(aim));
    if (showing.length === 0) throw new AimError(aim, named);
    return { aim, showing };
  });
  return Array.from({ length }, (_, position): PlannedItem => {
    const place = places[position % places.length];
    if (!place) throw new RangeError('aims: there is none.');
    return { instrumentId: place.showing[random.below(place.showing.length)] ?? '', seed: random.below(2 ** 48), aim: [place.aim] };
  });
}
