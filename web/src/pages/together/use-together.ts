import type { NewTogether, TogetherAtFront, TogetherNow, TogetherSummary, TogetherTruth } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

/** What the class has read together. */
export function useTogetherList(classId: string): UseQueryResult<TogetherSummary[]> {
  return useQuery({
    queryKey: ['together', classId],
    queryFn: () => ask<TogetherSummary[]>('GET', `/classes/${classId}/together`),
  });
}

/** One reading of the class, as its teacher sees it. */
export function useTogether(classId: string, roundId: string): UseQueryResult<TogetherAtFront> {
  return useQuery({
    queryKey: ['together', classId, roundId],
    queryFn: () => ask<TogetherAtFront>('GET', `/classes/${classId}/together/${roundId}`),
  });
}

/** What is read just now, for those at this screen. */
export function useTogetherNow(classId: string): UseQueryResult<TogetherNow | null> {
  return useQuery({
    queryKey: ['together-now', classId],
    queryFn: () => ask<TogetherNow | null>('GET', `/classes/${classId}/together/now`),
  });
}

/** Begins a reading. */
export function useBegin(classId: string): UseMutationResult<TogetherAtFront, Error, NewTogether> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (asked) => ask<TogetherAtFront>('POST', `/classes/${classId}/together`, asked),
    onSuccess: (begun) => {
      queries.setQueryData(['together', classId, begun.round.id], begun);
      return queries.invalidateQueries({ queryKey: ['together', classId], exact: true });
    },
  });
}

/** What a teacher does with a reading once it is begun. */
export type Step =
  { readonly step: 'stop' | 'end' } | { readonly step: 'answer'; readonly truth: TogetherTruth | null };

export function useStep(classId: string, roundId: string): UseMutationResult<TogetherAtFront, Error, Step> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (done) =>
      ask<TogetherAtFront>(
        'POST',
        `/classes/${classId}/together/${roundId}/${done.step}`,
        done.step === 'answer' ? (done.truth ?? {}) : {},
      ),
    onSuccess: (shown) => queries.setQueryData(['together', classId, roundId], shown),
  });
}

/** Deletes a reading with what everybody has written. */
export function useForget(classId: string): UseMutationResult<undefined, Error, string> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (roundId) => ask<undefined>('DELETE', `/classes/${classId}/together/${roundId}`),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['together', classId], exact: true }),
  });
}
