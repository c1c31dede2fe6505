import type { Protocol } from '@green-beam/core';
import { useQueries } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

/** Whole laboratories of a class, as it would begin them; null while one of them is still fetched. */
export function useProtocols(
  classId: string,
  ids: readonly string[],
): { readonly protocols: readonly Protocol[] | null; readonly error: Error | null } {
  const all = useQueries({
    queries: ids.map((id) => ({
      queryKey: ['laboratory', classId, id],
      queryFn: () => ask<Protocol>('GET', `/classes/${classId}/laboratories/${id}`),
    })),
  });
  const found = all.flatMap(({ data }) => (data ? [data] : []));
  return {
    protocols: found.length === ids.length ? found : null,
    error: all.find(({ error }) => error)?.error ?? null,
  };
}
