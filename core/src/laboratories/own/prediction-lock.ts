import type { Layout } from '../protocol/layout.ts';
import type { Address, Members } from '../run/address.ts';
import type { RunEvent } from '../run/run.ts';

function isAlong(members: Members, prediction: Members): boolean {
  return Object.entries(prediction).every(
    ([dimension, member]) => !(dimension in members) || members[dimension] === member,
  );
}

/** Whether what a prediction is about has been read: then the prediction stays as it is. False for every other place. */
export function isLockedPrediction(layout: Layout, address: Address, log: readonly RunEvent[]): boolean {
  if (address.kind !== 'cell') return false;
  const quantity = layout.quantities.get(address.quantity);
  return (
    quantity?.kind === 'predicted' &&
    log.some(
      ({ address: other, text }) =>
        other.kind === 'cell' &&
        other.quantity === quantity.of &&
        text.trim() !== '' &&
        isAlong(other.members, { ...address.members, ...quantity.at }),
    )
  );
}
