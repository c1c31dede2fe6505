import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { ask } from '../../api/request.ts';
import { outbox } from '../../outbox/outbox.ts';
import type { BenchSource } from './bench-source.ts';

/** The bench of somebody signed in: the server draws, judges and stores. */
export function useClassBench(classId: string, personId: string): BenchSource & { beginSetRound(setRoundId: string): Promise<void> } {
  const queries = useQueryClient();
  const key = ['round', classId, personId];
  const [added, setAdded] = useState<readonly StripMark[]>([]);
  const startRound = (instrumentIds: readonly string[]): Promise<BenchRound> => ask<BenchRound>('POST', `/classes/${classId}/rounds`, { instrumentIds });
  const { data, error } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async () => {
      const current = await ask<BenchRound | null>('GET', `/classes/${classId}/rounds/current`);
      return current?.tasks.some((task) => task.state !== 'closed') ? current : startRound([]);
    },
  });

  const submit = useCallback(
    async (_: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      const result = await outbox.post<AttemptResult>({ id: attempt.id, personId, path: `/classes/${classId}/attempts`, body: attempt });
      if (result.closed) {
        setAdded((before) => [...before, ...result.strip]);
        await queries.invalidateQueries({ queryKey: ['set-rounds', classId] });
      }
      return result;
    },
    [classId, personId, queries],
  );
  const newRound = async (instrumentIds: readonly string[]): Promise<void> => {
    queries.setQueryData(key, await startRound(instrumentIds));
    setAdded([]);
  };

  const beginSetRound = async (setRoundId: string): Promise<void> => {
    queries.setQueryData(key, await ask<BenchRound>('POST', `/classes/${classId}/rounds`, { setRoundId }));
    setAdded([]);
  };

  const known = new Set(data?.strip.map((mark) => mark.taskId));
  return { round: data ?? null, length: data?.tasks.length ?? 0, strip: [...(data?.strip ?? []), ...added.filter((mark) => !known.has(mark.taskId))], error, submit, newRound, beginSetRound };
}
