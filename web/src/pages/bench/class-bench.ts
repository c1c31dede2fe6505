import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { ask } from '../../api/request.ts';
import { outbox } from '../../outbox/outbox.ts';
import type { BenchSource } from './bench-source.ts';

/** The bench of somebody signed in: the server draws, judges and stores. */
export function useClassBench(classId: string, personId: string): BenchSource {
  const queries = useQueryClient();
  const key = ['round', classId, personId];
  const [added, setAdded] = useState<readonly StripMark[]>([]);
  const startRound = (instrumentId: string | null): Promise<BenchRound> => ask<BenchRound>('POST', `/classes/${classId}/rounds`, { instrumentId });
  const { data, error } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async () => {
      const current = await ask<BenchRound | null>('GET', `/classes/${classId}/rounds/current`);
      return current?.tasks.some((task) => task.state !== 'closed') ? current : startRound(null);
    },
  });

  const submit = useCallback(
    async (_: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      const result = await outbox.post<AttemptResult>({ id: attempt.id, personId, path: `/classes/${classId}/attempts`, body: attempt });
      if (result.closed) setAdded((before) => [...before, ...result.strip]);
      return result;
    },
    [classId, personId],
  );
  const newRound = async (instrumentId: string | null): Promise<void> => {
    queries.setQueryData(key, await startRound(instrumentId));
    setAdded([]);
  };

  const known = new Set(data?.strip.map((mark) => mark.taskId));
  return { round: data ?? null, strip: [...(data?.strip ?? []), ...added.filter((mark) => !known.has(mark.taskId))], error, submit, newRound };
}
