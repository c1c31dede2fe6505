import { addressKey, type Members } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { Dialog } from '../../../ui/dialog.tsx';
import { Field } from '../../../ui/field.tsx';
import type { OnPage } from '../on-page.ts';

interface ExcludeProps extends Pick<OnPage, 'page' | 'run' | 'onWrite'> {
  readonly dimension: string;
  readonly member: string;
  /** Members of the other dimensions along the rows. */
  readonly within: Members;
  /** The row in words: `trial 3`. */
  readonly name: string;
}

const QUIET = 'min-h-11 underline decoration-hairline underline-offset-4';

/** Leaves a repeat out of what follows, with a reason and initials, or counts it again. It stays legible either way. */
export function Exclude({ page, run, onWrite, dimension, member, within, name }: ExcludeProps): ReactNode {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  const [missing, setMissing] = useState(false);
  const address = { kind: 'excluded', dimension, member, within } as const;
  const key = addressKey(address);
  const excluded = run.setting.exclusions.find(
    (one) => addressKey({ kind: 'excluded', dimension: one.dimension, member: one.member, within: one.within }) === key,
  );
  if (excluded)
    return (
      <span className="flex max-w-44 flex-col items-start">
        <span>
          excluded: {excluded.reason} ({page.people[excluded.by]?.initials ?? ''})
        </span>
        {page.mayWrite && (
          <button type="button" className={QUIET} onClick={() => onWrite(address, '', null)}>
            Include it again
          </button>
        )}
      </span>
    );
  if (!page.mayWrite) return null;
  return (
    <>
      <button
        type="button"
        className={`${QUIET} text-muted`}
        aria-label={`Exclude ${name}`}
        onClick={() => setOpen(true)}
      >
        Exclude
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Exclude ${name}`}
        description="It stays on the page, struck through, with your reason and initials. Never exclude a value only because it does not fit."
      >
        <form
          className="flex flex-col gap-4"
          onSubmit={(event) => {
            event.preventDefault();
            setMissing(reason.trim() === '');
            if (reason.trim() === '') return;
            onWrite(address, reason.trim(), null);
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
            error={missing ? `Say what went wrong. Without a reason ${name} counts.` : undefined}
          />
          <Button type="submit">Exclude it</Button>
        </form>
      </Dialog>
    </>
  );
}
