import type { MetTool, ShelfShown } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient, type UseQueryResult } from '@tanstack/react-query';
import { useCallback } from 'react';
import { ask } from '../../../api/request.ts';

const keyOf = (classId: string): readonly string[] => ['shelf', classId];

function withTick(shelf: ShelfShown, { toolId, met }: MetTool): ShelfShown {
  return { ...shelf, met: [...shelf.met.filter((id) => id !== toolId), ...(met ? [toolId] : [])] };
}

/** The shelf as this person finds it now: what was read since it was last looked at counts. */
export function useShelf(classId: string): UseQueryResult<ShelfShown> {
  return useQuery({
    queryKey: keyOf(classId),
    queryFn: () => ask<ShelfShown>('GET', `/classes/${classId}/shelf`),
    staleTime: 0,
  });
}

/** Notes that a class has met a tool, or has not; the page shows it at once. */
export function useMeetTool(classId: string): { readonly meet: (tool: MetTool) => void; readonly error: Error | null } {
  const queries = useQueryClient();
  const { mutate, error } = useMutation({
    mutationFn: (tool: MetTool) => ask<ShelfShown>('POST', `/classes/${classId}/shelf/met`, tool),
    onSettled: () => queries.invalidateQueries({ queryKey: keyOf(classId) }),
  });
  const meet = useCallback(
    (tool: MetTool): void => {
      queries.setQueryData<ShelfShown>(keyOf(classId), (shelf) => shelf && withTick(shelf, tool));
      mutate(tool);
    },
    [queries, classId, mutate],
  );
  return { meet, error };
}
