import type { Protocol } from '../protocol/protocol.ts';
import { protocolFaults } from './protocol-faults.ts';

/**
 * Reads a protocol from outside: its shape, its names, and, with every choice of its options, its formulas, units and order.
 * @throws ProtocolError, the first that `protocolFaults` finds, naming the path: `quantities[3].formula`.
 */
export function parseProtocol(json: unknown): Protocol {
  const [fault] = protocolFaults(json);
  if (fault) throw fault;
  return json as Protocol;
}
