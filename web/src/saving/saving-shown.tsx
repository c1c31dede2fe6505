import type { ReactNode } from 'react';
import type { Saving } from './draft-saver.ts';

/** Whether what is written is saved, in words. */
export function SavingShown({ saving }: { readonly saving: Saving }): ReactNode {
  const words = {
    saved: 'Saved.',
    saving: 'Saving …',
    stuck: 'Not saved yet: the server cannot be reached. Keep this tab open; it is tried again.',
    elsewhere: '',
    refused: '',
  }[saving.kind];
  return (
    <>
      <p role="status" className={`text-small ${saving.kind === 'stuck' ? 'text-doubt' : 'text-muted'}`}>
        {words}
      </p>
      {saving.kind === 'refused' && (
        <p role="alert" className="text-slip">
          Not saved: {saving.message}
        </p>
      )}
    </>
  );
}
