import type { LabSheetDraft, LabSheetPage } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { canonical } from '../../saving/canonical.ts';
import { useUnsaved } from '../../saving/use-saving.ts';
import { Button } from '../../ui/button.tsx';
import { saveAs } from '../../ui/save-as.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { ChangedElsewhere } from './changed-elsewhere.tsx';
import { Editor } from './editor/editor.tsx';
import { copyOf } from './new-sheet.ts';
import { sheetFile } from './sheet-file.ts';
import { SheetRead } from './sheet-read.tsx';
import { sheetKey, useLabSheet, useNewLabSheet } from './use-lab-sheets.ts';

/** A colleague’s lab sheet: to be read, and copied. */
function OfAColleague({ sheet }: { readonly sheet: LabSheetPage }): ReactNode {
  const goTo = useNavigate();
  const copy = useNewLabSheet();
  return (
    <main className="max-w-3xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">{sheet.title}</h1>
      <p className="text-muted">
        Shared{sheet.by === null ? '' : ` by ${sheet.by}`}. Version {sheet.version}.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Button
          disabled={copy.isPending}
          onClick={() => copy.mutate(copyOf(sheet.draft), { onSuccess: ({ id }) => void goTo(`/lab-sheets/${id}`) })}
        >
          Copy and change it
        </Button>
        <Button
          look="quiet"
          onClick={() => saveAs(sheetFile(sheet.draft).name, sheetFile(sheet.draft).text, 'application/json')}
        >
          Save as a file (JSON)
        </Button>
      </div>
      {copy.error && (
        <p role="alert" className="mt-2 text-slip">
          {copy.error.message}
        </p>
      )}
      <SheetRead sheet={sheet.draft} />
    </main>
  );
}

function Own({ sheet, onReload }: { readonly sheet: LabSheetPage; readonly onReload: () => void }): ReactNode {
  const [shown, setShown] = useState(sheet);
  const [unsaved, keepUnsaved] = useUnsaved<LabSheetDraft>(sheetKey(sheet.id));
  // What was saved just before the page was left, without an answer, is no other window’s.
  const [isLate] = useState(
    unsaved !== null && unsaved.revision !== sheet.revision && canonical(unsaved.draft) !== canonical(sheet.draft),
  );
  const [isDecided, setDecided] = useState(false);
  if (isLate && unsaved && !isDecided)
    return (
      <main className="px-4 py-8 wide:px-7">
        <h1 className="text-2xl font-bold">{sheet.title}</h1>
        <ChangedElsewhere
          draft={unsaved.draft}
          onDiscard={() => {
            keepUnsaved(null);
            setDecided(true);
          }}
        />
      </main>
    );
  return <Editor sheet={shown} onChanged={setShown} onDiscard={onReload} />;
}

/** One lab sheet: for who wrote it to be changed, for colleagues to be read. */
export default function LabSheet(): ReactNode {
  const { sheetId = '' } = useParams();
  const { data: sheet, error, refetch } = useLabSheet(sheetId);
  const [round, setRound] = useState(0);
  const failed = inTheWay(error, sheet);
  if (failed || !sheet) return <Waiting what="the lab sheet" error={failed} />;
  if (!sheet.isMine) return <OfAColleague sheet={sheet} />;
  return (
    <Own key={`${sheetId} ${round}`} sheet={sheet} onReload={() => void refetch().then(() => setRound(round + 1))} />
  );
}
