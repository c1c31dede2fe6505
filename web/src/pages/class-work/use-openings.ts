import type {
  GroupChange,
  MoreGroups,
  NewOpening,
  OpeningBoard,
  OpeningChange,
  OpeningSummary,
} from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

const keyOf = (classId: string): readonly unknown[] => ['openings', classId];

/** Laboratories that were opened for a class, the latest first. */
export function useOpenings(classId: string): UseQueryResult<OpeningSummary[]> {
  return useQuery({
    queryKey: keyOf(classId),
    queryFn: () => ask<OpeningSummary[]>('GET', `/classes/${classId}/openings`),
  });
}

/** The class at work on one of them. */
export function useOpeningBoard(classId: string, id: string): UseQueryResult<OpeningBoard> {
  return useQuery({
    queryKey: [...keyOf(classId), id],
    queryFn: () => ask<OpeningBoard>('GET', `/classes/${classId}/openings/${id}`),
  });
}

/** What a teacher changes of an opening: the day or who is excused, more groups, or who is in one. */
export type BoardChange =
  | { readonly kind: 'opening'; readonly change: OpeningChange }
  | { readonly kind: 'more'; readonly more: MoreGroups }
  | { readonly kind: 'group'; readonly runId: string; readonly change: GroupChange };

export function useBoardChange(classId: string, id: string): UseMutationResult<OpeningBoard, Error, BoardChange> {
  const queries = useQueryClient();
  const path = `/classes/${classId}/openings/${id}`;
  return useMutation({
    mutationFn: (change) => {
      switch (change.kind) {
        case 'opening':
          return ask<OpeningBoard>('PATCH', path, change.change);
        case 'more':
          return ask<OpeningBoard>('POST', `${path}/groups`, change.more);
        case 'group':
          return ask<OpeningBoard>('PUT', `${path}/groups/${change.runId}`, change.change);
      }
    },
    onSuccess: (board) => queries.setQueryData([...keyOf(classId), id], board),
  });
}

/** Opens a laboratory for the class. */
export function useOpening(classId: string): UseMutationResult<OpeningBoard, Error, NewOpening> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body) => ask<OpeningBoard>('POST', `/classes/${classId}/openings`, body),
    onSuccess: async (board) => {
      queries.setQueryData([...keyOf(classId), board.id], board);
      await queries.invalidateQueries({ queryKey: keyOf(classId), exact: true });
      await queries.invalidateQueries({ queryKey: ['runs', classId] });
    },
  });
}
