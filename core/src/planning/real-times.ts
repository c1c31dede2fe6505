import type { Protocol } from '../laboratories/protocol/protocol.ts';
import type { Address } from '../laboratories/run/address.ts';

/** When something of a laboratory was written. */
interface WrittenAt {
  readonly address: Address;
  /** In ms. */
  readonly at: number;
}

/** From the first to the last entry of a step. In ms. */
export interface RealStep {
  readonly step: string;
  readonly from: number;
  readonly to: number;
}

/** The step in which a cell is written; null where the laboratory names none. */
function stepOf({ quantities }: Protocol, address: Address): string | null {
  if (address.kind !== 'cell') return null;
  for (const { id, step } of quantities) {
    if (id !== address.quantity || step === undefined) continue;
    return typeof step === 'string' ? step : (step.of[address.members[step.by] ?? ''] ?? null);
  }
  return null;
}

/** When a group has done the steps of its laboratory, by its entries; steps of which nothing is written are left out. */
export function realSteps(protocol: Protocol, written: readonly WrittenAt[]): RealStep[] {
  const found = new Map<string, RealStep>();
  for (const { address, at } of written) {
    const step = stepOf(protocol, address);
    if (step === null) continue;
    const known = found.get(step);
    found.set(step, { step, from: Math.min(known?.from ?? at, at), to: Math.max(known?.to ?? at, at) });
  }
  return protocol.steps.flatMap(({ id }) => found.get(id) ?? []);
}
