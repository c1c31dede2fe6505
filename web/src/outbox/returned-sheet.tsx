import type { ReactNode } from 'react';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { outbox } from './outbox.ts';
import type { Returned } from './unsent-queue.ts';

/** What the server would not take: still legible, to be sent again or put aside. */
export default function ReturnedSheet({
  returned,
  onOpenChange,
}: {
  readonly returned: readonly Returned[];
  readonly onOpenChange: (open: boolean) => void;
}): ReactNode {
  return (
    <Dialog
      open
      onOpenChange={onOpenChange}
      title="Not accepted"
      description="The server did not accept these entries. They stay in this browser until you decide."
    >
      <ul>
        {returned.map(({ entry, message }) => (
          <li key={entry.id} className="border-t border-hairline py-3">
            <p className="font-mono text-lg break-words">{entry.written}</p>
            <p className="text-slip">{message}</p>
            <div className="mt-2 flex gap-3">
              <Button look="plain" onClick={() => outbox.sendAgain(entry.id)}>
                Send again
              </Button>
              <Button look="danger" onClick={() => outbox.discard(entry.id)}>
                Discard
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {returned.length === 0 && <p>Nothing is left here.</p>}
    </Dialog>
  );
}
