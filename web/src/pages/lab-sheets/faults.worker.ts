import type { LabSheetFault } from '@green-beam/contract';
import { protocolFaults } from '@green-beam/core';

/** What is to be looked through, with the number of the order. */
export interface FaultsOrder {
  readonly number: number;
  readonly draft: unknown;
}

export interface FaultsFound {
  readonly number: number;
  readonly faults: readonly LabSheetFault[];
}

self.addEventListener('message', ({ data }: MessageEvent<FaultsOrder>) => {
  const faults = protocolFaults(data.draft).map(({ path, reason }) => ({ path, reason }));
  self.postMessage({ number: data.number, faults } satisfies FaultsFound);
});
