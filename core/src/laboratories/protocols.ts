import { UnknownProtocolError, type Protocol } from './protocol.ts';
import { SOLID_BY_DISPLACEMENT } from './solid-by-displacement.ts';

const PROTOCOLS: ReadonlyMap<string, Protocol> = new Map(
  [SOLID_BY_DISPLACEMENT].map((protocol) => [protocol.id, protocol]),
);

/** The ids of the laboratories that ship with the application. */
export function protocolIds(): string[] {
  return [...PROTOCOLS.keys()];
}

/** @throws UnknownProtocolError naming the id. */
export function protocol(id: string): Protocol {
  const found = PROTOCOLS.get(id);
  if (!found) throw new UnknownProtocolError(id);
  return found;
}
