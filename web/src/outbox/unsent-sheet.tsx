import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { opensOffline } from '../offline/opens-offline.ts';
import { Button } from '../ui/button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { saveAs } from '../ui/save-as.ts';
import { unsentFile } from './unsent-file.ts';
import type { UnsentEntry } from './unsent-queue.ts';

interface UnsentSheetProps {
  readonly signedIn: SignedIn;
  readonly waiting: readonly UnsentEntry[];
  readonly onOpenChange: (open: boolean) => void;
}

/** What waits in this browser, what happens to it, and how to take it along. */
export default function UnsentSheet({ signedIn, waiting, onOpenChange }: UnsentSheetProps): ReactNode {
  const save = (): void => {
    const { name, text } = unsentFile(signedIn.person, waiting);
    saveAs(name, text, 'application/json');
  };
  return (
    <Dialog open onOpenChange={onOpenChange} title="Not saved yet">
      {waiting.length === 0 ? (
        <p>Everything is saved now.</p>
      ) : (
        <>
          <p>The server cannot be reached. You can go on working.</p>
          {opensOffline() ? (
            <p>
              What you write stays in this browser and is sent when the network is back, even if you load this page
              again.
            </p>
          ) : (
            <p>
              <strong>Keep this tab open.</strong> What you write stays in this browser and is sent when the network is
              back. Until then this page cannot be loaded again.
            </p>
          )}
          <ul>
            {waiting.map((entry) => (
              <li key={entry.id} className="border-t border-hairline py-2 font-mono break-words">
                {entry.written}
              </li>
            ))}
          </ul>
          <div>
            <Button look="plain" onClick={save}>
              Save to a file
            </Button>
            <p className="mt-2 text-muted">
              Do you have to leave this computer? Save the file, sign in on another computer, and open it there under
              your name.
            </p>
          </div>
        </>
      )}
    </Dialog>
  );
}
