import type { UnsentEntry } from './unsent-queue.ts';

/** What was written, as its writer would know it again. */
export function writtenIn({ body }: UnsentEntry): string {
  const { entry, events } = body as {
    readonly entry?: string;
    readonly events?: readonly { readonly slot: string; readonly text: string }[];
  };
  if (events) return events.map(({ slot, text }) => `${slot.replace('.', ', trial ')}: ${text}`).join('; ');
  return entry ?? '';
}
