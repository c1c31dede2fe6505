import { readingStep } from '../../reading/expected-reading.ts';
import { toolAt, type Setting } from '../engine/setting.ts';
import { addressKey } from '../run/address.ts';

/** How many readings of two runs are at the same places, and how many of them are the same. */
export interface Alike {
  readonly matching: number;
  readonly of: number;
}

/** Fewer readings that are the same say nothing. */
export const FEWEST_ALIKE = 6;

/** What was estimated in a run, by its place: on a scale, not on a display, and not taken over from another reading. */
function estimated(setting: Setting): Map<string, string> {
  const found = new Map<string, string>();
  for (const { current } of setting.slots.values()) {
    const { address, text } = current;
    if (address.kind !== 'cell' || text.trim() === '') continue;
    const quantity = setting.layout.quantities.get(address.quantity);
    const tool = quantity?.kind === 'read' ? toolAt(setting, quantity, address.members) : null;
    if (!tool || readingStep(tool.instrument, setting.rules).lastDigit === 'displayed') continue;
    const link = setting.slots.get(addressKey({ ...address, kind: 'link' }));
    if (link === undefined || link.current.text.trim() === '') found.set(addressKey(address), text.trim());
  }
  return found;
}

/**
 * Whether two groups have the same readings in every place, where each estimated by itself. It is no proof of anything: it is told to
 * the teacher, who asks how they were taken. Null where they differ, or where there are too few to say.
 */
export function alike(one: Setting, other: Setting): Alike | null {
  const [first, second] = [estimated(one), estimated(other)];
  const shared = [...first].filter(([place]) => second.has(place));
  const matching = shared.filter(([place, text]) => second.get(place) === text).length;
  return shared.length >= FEWEST_ALIKE && matching === shared.length ? { matching, of: shared.length } : null;
}
