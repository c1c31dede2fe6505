import type { LabSheetDraft, LabSheetPage } from '@green-beam/contract';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask } from '../../../api/request.ts';
import { useDraft } from '../../../ui/use-draft.ts';
import { savesOnLeaving } from '../leaving.ts';
import { DraftSaver, type Saving } from './draft-saver.ts';

const PAUSE = 800;
const AGAIN = 5000;

/** What is written but not at the server yet, and the revision that it goes on from. */
interface Unsaved {
  readonly revision: number;
  readonly draft: LabSheetDraft;
}

/** What this tab has of a lab sheet that the server does not; null where there is nothing. */
export function useUnsaved(id: string): readonly [Unsaved | null, (unsaved: Unsaved | null) => void] {
  return useDraft<Unsaved | null>(`lab-sheet ${id}`, null);
}

/** Saves what is written by itself, and keeps it in this tab meanwhile. */
export function useSaving(
  page: LabSheetPage,
  draft: LabSheetDraft,
  onUnsaved: (unsaved: Unsaved | null) => void,
): { readonly saving: Saving; readonly flush: () => Promise<number | null> } {
  const [saving, setSaving] = useState<Saving>({ kind: 'saved' });
  const saver = useRef<DraftSaver | null>(null);
  const revision = useRef(page.revision);
  const { id, draft: saved } = page;
  useEffect(() => {
    const started = new DraftSaver({
      revision: revision.current,
      saved,
      pause: PAUSE,
      again: AGAIN,
      send: async (body, from) => {
        const answer = await ask<LabSheetPage>('PUT', `/lab-sheets/${id}/draft`, { draft: body, revision: from });
        revision.current = answer.revision;
        return answer;
      },
      onState: (state) => {
        setSaving(state);
        if (state.kind === 'saved') onUnsaved(null);
      },
    });
    saver.current = started;
    return () => {
      // Whoever goes to another page has it saved all the same.
      savesOnLeaving(
        id,
        started.flush().finally(() => started.stop()),
      );
    };
  }, [id, saved, onUnsaved]);
  useEffect(() => {
    saver.current?.write(draft);
    if (saver.current && !saver.current.isSaved) onUnsaved({ revision: revision.current, draft });
  }, [draft, onUnsaved]);
  const flush = useCallback(() => saver.current?.flush() ?? Promise.resolve(null), []);
  return { saving, flush };
}
