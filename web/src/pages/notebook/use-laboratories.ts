import type { LaboratoryShown } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';
import { useQuery, type UseQueryResult } from '@tanstack/react-query';
import { ask } from '../../api/request.ts';

export const laboratoriesKey = (classId: string): readonly string[] => ['laboratories', classId];

/** The laboratories a class can begin, with what is decided of each. */
export function useLaboratories(classId: string): UseQueryResult<LaboratoryShown[]> {
  return useQuery({
    queryKey: laboratoriesKey(classId),
    queryFn: () => ask<LaboratoryShown[]>('GET', `/classes/${classId}/laboratories`),
  });
}

/** A whole laboratory as the class would begin it. @param id empty for none yet. */
export function useLaboratory(classId: string | null, id: string): UseQueryResult<Protocol> {
  return useQuery({
    queryKey: ['laboratory', classId, id],
    queryFn: () => ask<Protocol>('GET', `/classes/${classId ?? ''}/laboratories/${id}`),
    enabled: classId !== null && id !== '',
  });
}
