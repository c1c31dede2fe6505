import type { RulesShown } from '@green-beam/contract';
import { DEFAULT_RULES, PRESETS } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../api/request.ts';

const VISITORS: RulesShown = { name: PRESETS[0]?.name ?? '', version: 1, rules: DEFAULT_RULES };

/** The rules of a class, or the defaults while nobody is signed in. */
export function useHouseRules(classId: string | null): { rules: RulesShown | undefined; error: Error | null } {
  const { data, error } = useQuery({
    queryKey: ['rules', classId],
    queryFn: () => (classId === null ? Promise.resolve(VISITORS) : ask<RulesShown>('GET', `/classes/${classId}/rules`)),
  });
  return { rules: data, error };
}
