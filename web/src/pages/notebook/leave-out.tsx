import type { RunPage } from '@green-beam/contract';
import type { TrialRow } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';

interface LeaveOutProps {
  readonly page: RunPage;
  readonly trial: number;
  readonly excluded: TrialRow['excluded'];
  readonly onWrite: (slot: string, text: string, reason: string | null) => void;
}

/** Leaves a trial out of the mean, with a reason and initials, or counts it again. It stays legible either way. */
export function LeaveOut({ page, trial, excluded, onWrite }: LeaveOutProps): ReactNode {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [missing, setMissing] = useState(false);
  const slot = `excluded.${trial}`;
  if (excluded) {
    return (
      <span className="flex max-w-44 flex-col items-start">
        <span>
          excluded: {excluded.reason} ({page.people[excluded.by]?.initials ?? ''})
        </span>
        {page.mayWrite && (
          <button
            type="button"
            className="min-h-11 underline decoration-hairline underline-offset-4"
            onClick={() => onWrite(slot, '', null)}
          >
            Include it again
          </button>
        )}
      </span>
    );
  }
  if (!page.mayWrite) return null;
  return (
    <>
      <button
        type="button"
        className="min-h-11 text-muted underline decoration-hairline underline-offset-4"
        aria-label={`Exclude trial ${trial}`}
        onClick={() => setOpen(true)}
      >
        Exclude
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Exclude trial ${trial}`}
        description="It stays on the page, struck through, with your reason and initials. Never exclude a value only because it does not fit."
      >
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            setMissing(reason.trim() === '');
            if (reason.trim() === '') return;
            onWrite(slot, reason.trim(), null);
            setReason('');
            setOpen(false);
          }}
        >
          <Field
            label="What went wrong"
            placeholder="an air bubble on the piece"
            maxLength={200}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            error={missing ? 'Say what went wrong. Without a reason the trial counts.' : undefined}
          />
          <Button type="submit">Exclude it</Button>
        </form>
      </Dialog>
    </>
  );
}
