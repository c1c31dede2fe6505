import { placesOf, isExcluded, type Setting } from '../engine/setting.ts';
import type { Quantity } from '../protocol/protocol.ts';
import { addressKey, type Address, type Members } from '../run/address.ts';

/** How many places there are, and how many have something in them. */
export interface Progress {
  readonly done: number;
  readonly of: number;
}

function entered(kind: Quantity['kind']): boolean {
  return kind === 'read' || kind === 'counted' || kind === 'timed' || kind === 'observed';
}

function counted(
  setting: Setting,
  isAsked: (quantity: Quantity) => boolean,
  addressesAt: (quantity: string, members: Members) => readonly Address[],
): Progress {
  let [done, of] = [0, 0];
  for (const quantity of setting.layout.quantities.values()) {
    if (!isAsked(quantity) || quantity.optional) continue;
    for (const members of placesOf(setting, quantity.over, quantity.only)) {
      if (isExcluded(setting, members)) continue;
      of += 1;
      const isThere = addressesAt(quantity.id, members).some(
        (address) => (setting.slots.get(addressKey(address))?.current.text.trim() ?? '') !== '',
      );
      if (isThere) done += 1;
    }
  }
  return { done, of };
}

/** How far a group has got with what is read, counted, timed and seen; what can be left out is not asked for. */
export function readingsDone(setting: Setting): Progress {
  return counted(
    setting,
    ({ kind }) => entered(kind),
    (quantity, members) => [
      { kind: 'cell', quantity, members },
      { kind: 'link', quantity, members },
    ],
  );
}

/** How far somebody has got with what is left to them. */
export function calculationsDone(setting: Setting, author: string, byStudent: readonly string[]): Progress {
  return counted(
    setting,
    ({ kind, id }) => kind === 'computed' && byStudent.includes(id),
    (quantity, members) => [{ kind: 'cell', quantity, members, author }],
  );
}
