import type { ClassResults } from '@green-beam/contract';
import type { HouseRules } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { inTheWay } from '../../api/in-the-way.ts';
import { ask } from '../../api/request.ts';
import { useHouseRules } from '../../rules/house-rules.ts';

interface ClassResultsHere {
  /** What groups found, and the class’s rules; undefined until both have come. */
  readonly shown: { readonly found: ClassResults; readonly rules: HouseRules } | undefined;
  /** Why they are not here. */
  readonly failed: Error | null;
}

/** What groups found who did the same as on a page. */
export function useClassResults(classId: string, runId: string): ClassResultsHere {
  const { data: found, error } = useQuery({
    queryKey: ['class-results', classId, runId],
    queryFn: () => ask<ClassResults>('GET', `/classes/${classId}/class-results/${runId}`),
  });
  const { rules, error: noRules } = useHouseRules(classId);
  return {
    shown: found && rules && { found, rules: rules.rules },
    failed: inTheWay(error, found) ?? inTheWay(noRules, rules),
  };
}
