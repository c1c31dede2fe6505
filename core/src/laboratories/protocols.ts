import { shortened } from '../numbers/written-number.ts';
import type { Protocol } from './protocol/protocol.ts';
import { SHIPPED } from './shipped/shipped.ts';

/** No laboratory of that id ships with the application. */
export class UnknownProtocolError extends Error {
  override readonly name = 'UnknownProtocolError';
  constructor(id: string) {
    super(`protocol: “${shortened(id)}” is not a laboratory known here.`);
  }
}

/** The ids of the laboratories that ship with the application, in the order in which a class meets them. */
export function protocolIds(): string[] {
  return SHIPPED.map(({ id }) => id);
}

/** @throws UnknownProtocolError naming the id. */
export function protocol(id: string): Protocol {
  const found = SHIPPED.find((one) => one.id === id);
  if (!found) throw new UnknownProtocolError(id);
  return found;
}
