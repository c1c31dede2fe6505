import type { LabSheetDraft } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { useNewLabSheet } from './use-lab-sheets.ts';

/** Two windows wrote in the same lab sheet: what is here can be kept as a copy, or given up. */
export function ChangedElsewhere({
  draft,
  onDiscard,
}: {
  readonly draft: LabSheetDraft;
  readonly onDiscard: () => void;
}): ReactNode {
  const goTo = useNavigate();
  const copy = useNewLabSheet();
  return (
    <div role="alert" className="mt-3 max-w-prose border-l-[3px] border-slip pl-4">
      <p className="font-bold text-slip">This lab sheet was changed in another window</p>
      <p>What you wrote here is not saved in it, so that nothing of the other is lost.</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button
          look="plain"
          disabled={copy.isPending}
          onClick={() =>
            copy.mutate(draft, {
              onSuccess: ({ id }) => {
                onDiscard();
                void goTo(`/lab-sheets/${id}`);
              },
            })
          }
        >
          Keep mine as a copy
        </Button>
        <Button look="quiet" onClick={onDiscard}>
          See the other
        </Button>
      </div>
      {copy.error && <p className="mt-2 text-slip">{copy.error.message}</p>}
    </div>
  );
}
