import { AimError } from '../reading/drawing/draw-task.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { seededRandom } from '../simulation/random.ts';
import type { Subject } from './subject.ts';

/** What one item of a round is drawn from. */
export interface PlannedItem {
  readonly subjectId: string;
  readonly seed: number;
  readonly aim: readonly string[];
}

/** Part of the items that aim at nothing: a reader who expects a trap in each would not read but guess. */
const UNAIMED = 0.25;

function families(subjects: readonly Subject[]): Subject[][] {
  const byFamily = new Map<string, Subject[]>();
  for (const subject of subjects) byFamily.set(subject.family, [...(byFamily.get(subject.family) ?? []), subject]);
  return [...byFamily.values()];
}

/**
 * Items without end: each family’s turn comes round, and each item has something it is aimed at. The same seed plans the same; each
 * item is worked out only when it is asked for.
 * @param mayAim which slips can be aimed at; not all of them can be made on paper.
 */
export function* plannedItems(
  subjects: readonly Subject[],
  seed: number,
  rules: HouseRules,
  mayAim: (slipId: string) => boolean = () => true,
): Generator<PlannedItem, never> {
  const random = seededRandom(seed);
  const order = families(subjects);
  for (let position = random.below(order.length); ; position += 1) {
    const family = order[position % order.length] ?? [];
    const subject = family[random.below(family.length)];
    if (!subject) throw new RangeError('subjects: there is none.');
    const aims = random.uniform() < UNAIMED ? [] : subject.aims(rules).filter(mayAim);
    const aim = aims[random.below(Math.max(1, aims.length))];
    yield { subjectId: subject.id, seed: random.below(2 ** 48), aim: aim === undefined ? [] : [aim] };
  }
}

/** The first so many of the planned items. */
export function planRound(
  subjects: readonly Subject[],
  length: number,
  seed: number,
  rules: HouseRules,
  mayAim?: (slipId: string) => boolean,
): PlannedItem[] {
  const items = plannedItems(subjects, seed, rules, mayAim);
  return Array.from({ length }, () => items.next().value);
}

/**
 * Items that aim at given slips in turn, each on a subject in which it can be told apart.
 * @throws AimError naming a slip that none of the subjects can show.
 */
export function planForAims(
  subjects: readonly Subject[],
  aims: readonly string[],
  length: number,
  seed: number,
  rules: HouseRules,
): PlannedItem[] {
  const random = seededRandom(seed);
  const places = aims.map((aim) => {
    const showing = subjects.filter((subject) => subject.slips(rules).includes(aim));
    if (showing.length === 0)
      throw new AimError(
        aim,
        subjects.map(({ name }) => name),
      );
    return { aim, showing };
  });
  return Array.from({ length }, (_, position): PlannedItem => {
    const place = places[position % places.length];
    if (!place) throw new RangeError('aims: there is none.');
    return {
      subjectId: place.showing[random.below(place.showing.length)]?.id ?? '',
      seed: random.below(2 ** 48),
      aim: [place.aim],
    };
  });
}
