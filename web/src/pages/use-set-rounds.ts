import type { NewSetRound, SetRoundShown } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask } from '../api/request.ts';

const keyOf = (classId: string): readonly unknown[] => ['set-rounds', classId];

/** Rounds set in a class: for a student those that are for them. */
export function useSetRounds(classId: string | null): {
  rounds: readonly SetRoundShown[] | undefined;
  error: Error | null;
} {
  const { data, error } = useQuery({
    queryKey: keyOf(classId ?? ''),
    queryFn: () => ask<SetRoundShown[]>('GET', `/classes/${classId ?? ''}/set-rounds`),
    enabled: classId !== null,
  });
  return { rounds: data, error };
}

/** Sets a round, or takes one back by its id. */
export function useSetRoundChange(classId: string): UseMutationResult<SetRoundShown[], Error, NewSetRound | string> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change) =>
      typeof change === 'string'
        ? ask<SetRoundShown[]>('POST', `/classes/${classId}/set-rounds/${change}/withdraw`)
        : ask<SetRoundShown[]>('POST', `/classes/${classId}/set-rounds`, change),
    onSuccess: (rounds) => queries.setQueryData(keyOf(classId), rounds),
  });
}
