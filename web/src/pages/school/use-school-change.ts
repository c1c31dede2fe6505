import { useMutation, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

/** A change of the school: how, where below its address, and with what. */
export type SchoolRequest = readonly [method: 'POST' | 'PATCH', path: string, body?: unknown];

/** Changes something of the school, and fetches its page again. */
export function useSchoolChange<Answer>(): UseMutationResult<Answer, Error, SchoolRequest> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ([method, path, body]: SchoolRequest) => ask<Answer>(method, `/school${path}`, body),
    onSuccess: () =>
      Promise.all(['school', 'classes', 'class'].map((shown) => queries.invalidateQueries({ queryKey: [shown] }))),
  });
}
