import type { NewRunEvent } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';
import { Refusal } from '../refusal.ts';

/** What may be written at a place of a run: anything, or one of a few choices. */
type Allowed = 'anything' | readonly string[];

/** Notes of a whole run that every laboratory has. */
const NOTES: readonly string[] = ['accepted', 'specimen', 'temperature'];

function isTrial(protocol: Protocol, part: string): boolean {
  return /^[1-9]\d*$/.test(part) && Number(part) <= protocol.trials.most;
}

/** What may be written at a place, by the run’s protocol; null where it has no such place. */
function allowedAt(protocol: Protocol, slot: string): Allowed | null {
  const [name = '', part] = slot.split('.');
  const quantity = (id: string | undefined): Protocol['quantities'][number] | undefined =>
    protocol.quantities.find((one) => one.id === id);
  const own = quantity(name);
  if (own?.kind === 'observed') return part === undefined ? own.choices.map(({ id }) => id) : null;
  if (part === undefined) return NOTES.includes(name) ? 'anything' : null;
  if (own?.kind === 'read') return isTrial(protocol, part) ? 'anything' : null;
  const read = quantity(part);
  switch (name) {
    case 'excluded':
      return isTrial(protocol, part) ? 'anything' : null;
    case 'answer':
      return protocol.questions.some(({ id }) => id === part) ? 'anything' : null;
    case 'instrument':
      return read?.kind === 'read' ? read.instruments : null;
    case 'tool':
      return read?.kind === 'read' ? 'anything' : null;
    default:
      return null;
  }
}

/** @throws Refusal naming the slot when the protocol has no such place, or the text when it is none of its choices. */
export function checkPlace(protocol: Protocol, { slot, text }: NewRunEvent): void {
  const allowed = allowedAt(protocol, slot);
  if (allowed === null) throw new Refusal(400, `“${slot}” is no place on this page.`, 'slot');
  if (allowed !== 'anything' && text !== '' && !allowed.includes(text))
    throw new Refusal(400, `“${text}” is none of ${allowed.join(', ')}.`, 'text');
}
