import type { RulesShown } from '@green-beam/contract';
import { DEFAULT_RULES, PRESETS } from '@green-beam/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { ask } from '../api/request.ts';

/** The rules of whoever is not in a class. */
export const VISITORS: RulesShown = { name: PRESETS[0]?.name ?? '', version: 1, rules: DEFAULT_RULES };

/** The rules of a class, or the defaults while nobody is signed in. */
export function useHouseRules(classId: string | null): { rules: RulesShown | undefined; error: Error | null } {
  const { data, error } = useQuery({
    queryKey: ['rules', classId],
    queryFn: () => (classId === null ? Promise.resolve(VISITORS) : ask<RulesShown>('GET', `/classes/${classId}/rules`)),
  });
  return { rules: data, error };
}

const HERE = ['rules-here'];

/** Says by which rules the work on this page is judged, where they are not the class’s present ones. */
export function useJudgedBy(rules: RulesShown | null): void {
  const queries = useQueryClient();
  useEffect(() => {
    queries.setQueryData(HERE, rules);
    return () => {
      queries.setQueryData(HERE, null);
    };
  }, [queries, rules]);
}

/** The rules of the work on this page: a round’s own, else the class’s. */
export function useRulesHere(classId: string | null): { rules: RulesShown | undefined; error: Error | null } {
  const ofClass = useHouseRules(classId);
  const { data: here } = useQuery<RulesShown | null>({
    queryKey: HERE,
    queryFn: () => null,
    enabled: false,
    initialData: null,
  });
  return here ? { rules: here, error: null } : ofClass;
}
