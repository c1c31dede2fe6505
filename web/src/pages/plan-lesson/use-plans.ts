import type { PlanDraft, PlanPage, PlanSummary } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useState } from 'react';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { whenSaved } from '../../saving/leaving.ts';

const listKey = (classId: string): readonly unknown[] => ['plans', classId];
const pathOf = (classId: string, id: string): string => `/classes/${classId}/plans/${id}`;

/** What a plan is known by in this tab. */
const planKey = (id: string): string => `plan ${id}`;

/** What is to be saved of a plan, and where. */
export function writtenPlan(
  classId: string,
  { id, revision, draft }: PlanPage,
): { key: string; path: string; revision: number; draft: PlanDraft } {
  return { key: planKey(id), path: pathOf(classId, id), revision, draft };
}

/** The plans of a class. */
export function usePlans(classId: string): UseQueryResult<PlanSummary[]> {
  return useQuery({
    queryKey: listKey(classId),
    queryFn: () => ask<PlanSummary[]>('GET', `/classes/${classId}/plans`),
  });
}

/** A plan that is changed here: what somebody is writing is not replaced by what is fetched meanwhile. */
export function usePlanToChange(classId: string, id: string): UseQueryResult<PlanPage> {
  const [visit] = useState(newId);
  return useQuery({
    queryKey: [...listKey(classId), id, visit],
    queryFn: async () => {
      await whenSaved(planKey(id));
      return ask<PlanPage>('GET', pathOf(classId, id));
    },
    staleTime: Infinity,
    gcTime: 0,
  });
}

/** How often a plan that is only looked at is fetched again, in ms: the lesson may have begun on another screen. */
const AGAIN = 15_000;

/** A plan that is only looked at. */
export function usePlan(classId: string, id: string): UseQueryResult<PlanPage> {
  return useQuery({
    queryKey: [...listKey(classId), id, 'looked at'],
    queryFn: async () => {
      await whenSaved(planKey(id));
      return ask<PlanPage>('GET', pathOf(classId, id));
    },
    // What was dragged a moment ago is on the paper.
    staleTime: 0,
    gcTime: 0,
    refetchInterval: AGAIN,
  });
}

export function useNewPlan(classId: string): UseMutationResult<PlanPage, Error, PlanDraft> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (draft) => ask<PlanPage>('POST', `/classes/${classId}/plans`, { id: newId(), draft }),
    onSuccess: () => queries.invalidateQueries({ queryKey: listKey(classId), exact: true }),
  });
}

/** Begins the lesson of a plan, or ends it. */
export function usePlanRun(classId: string, id: string): UseMutationResult<PlanPage, Error, boolean> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (runs) => ask<PlanPage>('POST', `${pathOf(classId, id)}/run`, { runs }),
    onSuccess: (page) => {
      queries.setQueryData([...listKey(classId), id, 'looked at'], page);
      return queries.invalidateQueries({ queryKey: listKey(classId), exact: true });
    },
  });
}

export function usePlanRemoval(classId: string, id: string): UseMutationResult<void, Error, void> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => ask<undefined>('DELETE', pathOf(classId, id)),
    onSuccess: () => queries.invalidateQueries({ queryKey: listKey(classId), exact: true }),
  });
}
