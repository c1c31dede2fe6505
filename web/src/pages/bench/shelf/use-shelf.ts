import type { MetTool, ShelfShown } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { ask } from '../../../api/request.ts';

const keyOf = (classId: string): readonly string[] => ['shelf', classId];

/** The shelf as this person finds it now: what was read since it was last looked at counts. */
export function useShelf(classId: string): UseQueryResult<ShelfShown> {
  return useQuery({
    queryKey: keyOf(classId),
    queryFn: () => ask<ShelfShown>('GET', `/classes/${classId}/shelf`),
    staleTime: 0,
  });
}

/** Notes that a class has met a tool, or has not. */
export function useMeetTool(classId: string): UseMutationResult<ShelfShown, Error, MetTool> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: MetTool) => ask<ShelfShown>('POST', `/classes/${classId}/shelf/met`, body),
    onMutate: ({ toolId, met }) =>
      queries.setQueryData<ShelfShown>(
        keyOf(classId),
        (shelf) => shelf && { ...shelf, met: [...shelf.met.filter((id) => id !== toolId), ...(met ? [toolId] : [])] },
      ),
    onSettled: () => queries.invalidateQueries({ queryKey: keyOf(classId) }),
  });
}
