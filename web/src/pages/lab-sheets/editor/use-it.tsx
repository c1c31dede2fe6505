import { type LabSheetFault, type LabSheetPage } from '@green-beam/contract';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { RefusedError } from '../../../api/request.ts';
import { Button } from '../../../ui/button.tsx';
import { Confirm } from '../../../ui/confirm.tsx';
import { saveAs } from '../../../ui/save-as.ts';
import { placeInWords, sectionOf, type SectionId } from '../fault-in-words.ts';
import { sheetFile } from '../sheet-file.ts';
import { useLabSheetChange, useLabSheetRemoval, useLabSheetUse } from '../use-lab-sheets.ts';

interface UseItProps {
  readonly sheet: LabSheetPage;
  readonly faults: readonly LabSheetFault[] | null;
  readonly onSection: (section: SectionId) => void;
  /** Saves what is not saved yet. */
  readonly flush: () => Promise<number | null>;
  /** It stands otherwise at the server now. */
  readonly onChanged: (sheet: LabSheetPage) => void;
}

/** What the server found wrong, if that was why it refused. */
function faultsOf(error: Error | null): readonly LabSheetFault[] {
  const body = error instanceof RefusedError ? (error.body as { readonly faults?: LabSheetFault[] } | null) : null;
  return body?.faults ?? [];
}

function Faults({
  sheet,
  faults,
  onSection,
}: Pick<UseItProps, 'sheet' | 'onSection'> & { readonly faults: readonly LabSheetFault[] }): ReactNode {
  return (
    <div role="alert" className="mt-4 border-l-[3px] border-slip pl-4">
      <p className="font-bold text-slip">
        {faults.length === 1 ? 'One thing has to be mended first' : `${faults.length} things have to be mended first`}
      </p>
      <ul className="mt-1">
        {faults.map((fault) => (
          <li key={fault.path}>
            <button
              type="button"
              className="min-h-9 text-left underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
              onClick={() => onSection(sectionOf(fault))}
            >
              {placeInWords(sheet.draft, fault.path)}
            </button>
            : {fault.reason}
          </li>
        ))}
      </ul>
    </div>
  );
}

const STATES = {
  draft: 'It is a draft: no class sees it yet.',
  'in-use': 'It is in use.',
  retired: 'It is retired: no class can begin it any more. Pages that were begun go on.',
} as const;

/** Puts a lab sheet in use, shares it, retires it, saves it as a file. */
export function UseIt({ sheet, faults, onSection, flush, onChanged }: UseItProps): ReactNode {
  const goTo = useNavigate();
  const use = useLabSheetUse(sheet.id);
  const change = useLabSheetChange(sheet.id);
  const removal = useLabSheetRemoval(sheet.id);
  const known = faults && faults.length > 0 ? faults : faultsOf(use.error);
  const put = (): void => {
    void flush().then((revision) => {
      if (revision !== null) use.mutate(revision, { onSuccess: onChanged });
    });
  };
  const error = use.error && known.length === 0 ? use.error : (change.error ?? removal.error);
  return (
    <div className="max-w-3xl">
      <p>
        {STATES[sheet.state]}
        {sheet.state === 'in-use' && ` Version ${sheet.version ?? 1}.`}
        {sheet.state === 'in-use' && sheet.hasChanges && ' What you changed since is not in use yet.'}
      </p>
      {known.length > 0 && <Faults sheet={sheet} faults={known} onSection={onSection} />}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        {(sheet.state !== 'in-use' || sheet.hasChanges) && (
          <Button onClick={put} disabled={use.isPending || faults === null || faults.length > 0}>
            {sheet.version === null ? 'Put it in use' : 'Put the changes in use'}
          </Button>
        )}
        {sheet.state === 'in-use' && (
          <Confirm
            trigger={<Button look="plain">Retire it</Button>}
            title="Retire this lab sheet?"
            text="No class can begin it any more. Pages that were begun go on as they are. You can bring it back."
            action="Retire it"
            onConfirm={() => change.mutate({ isRetired: true }, { onSuccess: onChanged })}
          />
        )}
        {sheet.state === 'retired' && (
          <Button look="plain" onClick={() => change.mutate({ isRetired: false }, { onSuccess: onChanged })}>
            Bring it back as it was
          </Button>
        )}
        {sheet.version === null && (
          <Confirm
            trigger={<Button look="plain">Delete it</Button>}
            title="Delete this lab sheet?"
            text="It was never in use. What you wrote in it is gone then."
            action="Delete it"
            onConfirm={() => removal.mutate(undefined, { onSuccess: () => void goTo('/lab-sheets') })}
          />
        )}
        <Button
          look="quiet"
          onClick={() => saveAs(sheetFile(sheet.draft).name, sheetFile(sheet.draft).text, 'application/json')}
        >
          Save as a file (JSON)
        </Button>
      </div>
      {error && (
        <p role="alert" className="mt-3 text-slip">
          {error.message}
        </p>
      )}
      <label className="mt-6 flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-beam"
          checked={sheet.isShared}
          disabled={change.isPending}
          onChange={(event) => change.mutate({ isShared: event.target.checked }, { onSuccess: onChanged })}
        />
        Share it within the school: every class can do it, and colleagues can copy it.
      </label>
      {sheet.versions.length > 0 && (
        <>
          <h3 className="mt-6 text-lg font-bold">Versions</h3>
          <p className="text-muted">A version never changes. Who has begun one goes on with it.</p>
          <ul className="mt-1">
            {sheet.versions.map(({ version, at, by }) => (
              <li key={version} className="border-t border-hairline py-2">
                Version {version}, {format(new Date(at), 'd MMM yyyy, HH:mm')}
                {by !== null && <span className="text-muted">, by {by}</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
