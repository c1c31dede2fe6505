import type { LabSheetDraft, LabSheetSummary } from '@green-beam/contract';
import { protocol, protocolIds } from '@green-beam/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { ImportSheet } from './import-sheet.tsx';
import { copyOf, newSheet } from './new-sheet.ts';
import { sheetFile } from './sheet-file.ts';
import { useLabSheets, useNewLabSheet } from './use-lab-sheets.ts';

/** Where a lab sheet stands, in a few words. */
function standingOf({ state, version, hasChanges, isShared, isMine }: LabSheetSummary): string {
  if (state === 'draft') return 'draft';
  if (state === 'retired') return 'retired';
  return [
    `in use, version ${version ?? 1}`,
    ...(isMine && hasChanges ? ['with changes that are not in use yet'] : []),
    ...(isMine && isShared ? ['shared'] : []),
  ].join(', ');
}

function Row({ sheet }: { readonly sheet: LabSheetSummary }): ReactNode {
  return (
    <li className="border-t border-hairline">
      <Link to={`/lab-sheets/${sheet.id}`} className="flex min-h-14 flex-wrap items-center gap-x-6 py-2 hover:bg-wash">
        <strong className="min-w-60 flex-1">{sheet.title || 'without a title'}</strong>
        <span className={sheet.state === 'draft' ? 'text-doubt' : 'text-muted'}>{standingOf(sheet)}</span>
        <span className="w-40 text-small text-muted sm:text-right">
          {sheet.isMine ? format(new Date(sheet.savedAt), 'd MMM, HH:mm') : (sheet.by ?? '')}
        </span>
      </Link>
    </li>
  );
}

function List({ title, sheets }: { readonly title: string; readonly sheets: readonly LabSheetSummary[] }): ReactNode {
  if (sheets.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="text-lg font-bold">{title}</h2>
      <ul className="mt-2">
        {sheets.map((sheet) => (
          <Row key={sheet.id} sheet={sheet} />
        ))}
      </ul>
    </section>
  );
}

/** The laboratories that are there from the start, to be copied. */
function Shipped({
  onCopy,
  isBusy,
}: {
  readonly onCopy: (draft: LabSheetDraft) => void;
  readonly isBusy: boolean;
}): ReactNode {
  return (
    <section className="mt-10">
      <h2 className="text-lg font-bold">There from the start</h2>
      <p className="text-muted">
        Copy one, and change what you do otherwise: tools, repeats, accepted value, questions.
      </p>
      <ul className="mt-2">
        {protocolIds()
          .map(protocol)
          .map((lab) => (
            <li key={lab.id} className="flex flex-wrap items-center gap-x-4 border-t border-hairline py-1">
              <span className="min-w-60 flex-1">
                <strong>{lab.title}</strong>
                <span className="block text-small text-muted">{lab.setting}</span>
              </span>
              <Button
                look="quiet"
                aria-label={`Copy and change: ${lab.title}`}
                disabled={isBusy}
                onClick={() => onCopy(copyOf(lab))}
              >
                Copy and change
              </Button>
              <Button
                look="quiet"
                aria-label={`Save as a file: ${lab.title}`}
                onClick={() => {
                  const { name, text } = sheetFile({ ...lab });
                  saveAs(name, text, 'application/json');
                }}
              >
                Save as a file
              </Button>
            </li>
          ))}
      </ul>
    </section>
  );
}

/** Laboratories as they are written: a teacher’s own, those that colleagues share, and those that are there from the start. */
export default function LabSheets(): ReactNode {
  const goTo = useNavigate();
  const { data: sheets, error } = useLabSheets();
  const making = useNewLabSheet();
  const make = (draft: LabSheetDraft): void =>
    making.mutate(draft, { onSuccess: ({ id }) => void goTo(`/lab-sheets/${id}`) });
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <div className="flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-2xl font-bold">Lab sheets</h1>
        <Button disabled={making.isPending} onClick={() => make(newSheet())}>
          New lab sheet
        </Button>
      </div>
      {making.error && (
        <p role="alert" className="mt-2 text-slip">
          {making.error.message}
        </p>
      )}
      {error && <Failed error={error} />}
      {!sheets && !error && <Loading what="the lab sheets" />}
      {sheets && (
        <>
          {sheets.every(({ isMine }) => !isMine) && (
            <p className="mt-4 max-w-prose text-muted">
              You have written none yet. Copy one of those below and change what you do otherwise, or begin a new one.
            </p>
          )}
          <List title="Yours" sheets={sheets.filter(({ isMine }) => isMine)} />
          <List title="Shared by colleagues" sheets={sheets.filter(({ isMine }) => !isMine)} />
        </>
      )}
      <Shipped onCopy={make} isBusy={making.isPending} />
      <section className="mt-10">
        <ImportSheet />
      </section>
    </main>
  );
}
