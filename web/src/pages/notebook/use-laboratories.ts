import type { LaboratoryShown } from '@green-beam/contract';
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
