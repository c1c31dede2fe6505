import { useMemo } from 'react';
import { useCabinet } from '../cabinet/use-cabinet.ts';
import type { UsableTool } from './lesson-draft.ts';

/** The tools of a class that are fit for use; null while they are fetched. */
export function useUsableTools(classId: string): {
  readonly usable: readonly UsableTool[] | null;
  readonly error: Error | null;
} {
  const { tools, error } = useCabinet(classId);
  const usable = useMemo(
    () =>
      tools?.filter(({ state }) => state !== 'out-of-use').map(({ instrumentId, code }) => ({ instrumentId, code })) ??
      null,
    [tools],
  );
  return { usable, error };
}
