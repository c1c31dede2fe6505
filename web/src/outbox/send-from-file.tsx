import type { SignedIn } from '@green-beam/contract';
import { useId, useState, type ReactNode } from 'react';
import { outbox } from './outbox.ts';
import { readUnsentFile } from './unsent-file.ts';

/** Sends entries that were saved to a file where the server could not be reached. */
export function SendFromFile({ signedIn }: { readonly signedIn: SignedIn }): ReactNode {
  const id = useId();
  const [said, setSaid] = useState<{ readonly text: string; readonly wrong: boolean } | null>(null);
  const send = async (file: File): Promise<void> => {
    try {
      const entries = await readUnsentFile(await file.text(), signedIn.person);
      const sent = await Promise.allSettled(entries.map((entry) => outbox.post(entry)));
      const taken = sent.filter(({ status }) => status === 'fulfilled').length;
      setSaid({ text: `${taken} of ${entries.length} entries are saved.`, wrong: taken < entries.length });
    } catch (error) {
      setSaid({ text: (error as Error).message, wrong: true });
    }
  };
  return (
    <section className="mt-10 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">Entries from a file</h2>
      <label htmlFor={id} className="mt-1 block text-muted">
        Entries you saved to a file while the server could not be reached
      </label>
      <input
        id={id}
        type="file"
        accept=".json,application/json"
        className="mt-3 min-h-11 w-full"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          if (file) void send(file);
          target.value = '';
        }}
      />
      <p role="status" className={said?.wrong ? 'text-slip' : ''}>
        {said?.text}
      </p>
    </section>
  );
}
