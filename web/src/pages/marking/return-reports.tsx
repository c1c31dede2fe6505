import type { ReportInQueue, Returning } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';

interface ReturnProps {
  readonly reports: readonly ReportInQueue[];
  /** Plain while reports are still to be marked. */
  readonly look: 'main' | 'plain';
  readonly isBusy: boolean;
  readonly error: Error | null;
  readonly onReturn: (body: Returning, done: () => void) => void;
}

/** Returns all reports that are marked: now, or at a time. */
export function ReturnReports({ reports, look, isBusy, error, onReturn }: ReturnProps): ReactNode {
  const [open, setOpen] = useState(false);
  const [when, setWhen] = useState<'now' | 'later'>('now');
  const [at, setAt] = useState('');
  const [mayImprove, setImprove] = useState(true);
  const send = (): void =>
    onReturn(
      {
        reports: reports.map(({ runId, author, number }) => ({ runId, author, number })),
        at: when === 'now' ? null : new Date(at).toISOString(),
        mayImprove,
      },
      () => setOpen(false),
    );
  return (
    <>
      <Button look={look} disabled={reports.length === 0} onClick={() => setOpen(true)}>
        Return {reports.length === 0 ? 'reports' : reports.length === 1 ? 'one report' : `all ${reports.length}`}
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={reports.length === 1 ? 'Return one report' : `Return ${reports.length} reports`}
        description="From then on each author sees their points and your comments. Nobody else does."
      >
        <fieldset>
          <legend className="font-semibold">When</legend>
          {(['now', 'later'] as const).map((value) => (
            <label key={value} className="flex min-h-11 items-center gap-3">
              <input
                type="radio"
                name="when"
                className="size-5 accent-beam"
                checked={when === value}
                onChange={() => setWhen(value)}
              />
              {value === 'now' ? 'now' : 'all at one time'}
            </label>
          ))}
          {when === 'later' && (
            <Field label="At" type="datetime-local" value={at} onChange={(event) => setAt(event.target.value)} />
          )}
        </fieldset>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-beam"
            checked={mayImprove}
            onChange={(event) => setImprove(event.target.checked)}
          />
          They may improve their report and hand it in again
        </label>
        {error && (
          <p role="alert" className="text-slip">
            {error.message}
          </p>
        )}
        <Button disabled={isBusy || (when === 'later' && at === '')} onClick={send}>
          Return them
        </Button>
      </Dialog>
    </>
  );
}
