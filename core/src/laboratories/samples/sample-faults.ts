import { workOut, type WorkedRun } from '../engine/evaluate.ts';
import { cellInWords } from '../engine/label.ts';
import { placesOf } from '../engine/setting.ts';
import { ProtocolError } from '../protocol/protocol-error.ts';
import type { Protocol, Quantity } from '../protocol/protocol.ts';
import type { Members } from '../run/address.ts';
import { sampleRun } from '../run/run-from-rows.ts';

/** What is missing or wrong at a place, in words; null where all is well. */
function faultAt(run: WorkedRun, { id }: Quantity, members: Members): string | null {
  const cell = run.cellAt(id, members);
  switch (cell?.kind) {
    case 'empty':
      return 'nothing is written.';
    case 'pending':
      return cell.reason ?? 'it cannot be worked out, since something that it needs is missing.';
    case 'unusable':
      return cell.reason;
    case 'entry':
    case 'chosen':
    case 'known':
    case 'computed':
    case 'own':
    case undefined:
      return null;
  }
}

/**
 * Works through the samples of a protocol that has no other fault: every number that a run needs has to be there. Of each quantity the
 * first place is told where something is missing, with the reason.
 */
export function sampleFaults(protocol: Protocol): ProtocolError[] {
  return protocol.samples.flatMap((sample, i) => {
    const run = workOut(protocol, sampleRun(protocol, sample));
    const { setting } = run;
    return [...setting.layout.quantities.values()].flatMap((quantity) => {
      if (quantity.optional) return [];
      for (const place of placesOf(setting, quantity.over, quantity.only)) {
        const fault = faultAt(run, quantity, place);
        if (fault !== null)
          return [
            new ProtocolError(
              `samples[${i}].entries.${quantity.id}`,
              `${cellInWords(setting, quantity.id, place)}: ${fault}`,
            ),
          ];
      }
      return [];
    });
  });
}
