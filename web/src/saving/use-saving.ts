import { useCallback, useEffect, useRef, useState } from 'react';
import { ask } from '../api/request.ts';
import { useDraft } from '../ui/use-draft.ts';
import { DraftSaver, type Saving } from './draft-saver.ts';
import { savesOnLeaving } from './leaving.ts';

const PAUSE = 800;
const AGAIN = 5000;

/** What is written but not at the server yet, and the revision that it goes on from. */
export interface Unsaved<Draft> {
  readonly revision: number;
  readonly draft: Draft;
}

/** Something that is written over a while: where it is saved, and what the server has of it. */
interface Written<Draft> extends Unsaved<Draft> {
  /** What it is known by in this tab, such as `lab-sheet 17`. */
  readonly key: string;
  /** Where it is put, with the revision that it goes on from. */
  readonly path: string;
}

/** What this tab has of something that the server does not; null where there is nothing. */
export function useUnsaved<Draft>(
  key: string,
): readonly [Unsaved<Draft> | null, (unsaved: Unsaved<Draft> | null) => void] {
  return useDraft<Unsaved<Draft> | null>(key, null);
}

/** Saves what is written by itself, and keeps it in this tab meanwhile. */
export function useSaving<Draft>(
  { key, path, revision: first, draft: saved }: Written<Draft>,
  draft: Draft,
  onUnsaved: (unsaved: Unsaved<Draft> | null) => void,
): { readonly saving: Saving; readonly flush: () => Promise<number | null> } {
  const [saving, setSaving] = useState<Saving>({ kind: 'saved' });
  const saver = useRef<DraftSaver<Draft> | null>(null);
  const revision = useRef(first);
  useEffect(() => {
    const started = new DraftSaver<Draft>({
      revision: revision.current,
      saved,
      pause: PAUSE,
      again: AGAIN,
      send: async (body, from) => {
        const answer = await ask<{ readonly revision: number }>('PUT', path, { draft: body, revision: from });
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
        key,
        started.flush().finally(() => started.stop()),
      );
    };
  }, [key, path, saved, onUnsaved]);
  useEffect(() => {
    saver.current?.write(draft);
    if (saver.current && !saver.current.isSaved) onUnsaved({ revision: revision.current, draft });
  }, [draft, onUnsaved]);
  const flush = useCallback(() => saver.current?.flush() ?? Promise.resolve(null), []);
  return { saving, flush };
}
