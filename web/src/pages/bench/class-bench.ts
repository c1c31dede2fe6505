import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { fetchAgain } from '../../api/fetch-again.ts';
import { ask } from '../../api/request.ts';
import { newId } from '../../outbox/new-id.ts';
import { outbox } from '../../outbox/outbox.ts';
import type { BenchSource } from './bench-source.ts';
import { useNotChecked } from './entry/not-checked.ts';
import { useMade } from './entry/use-made.ts';

/** Where rounds are worked: at the tools, or on paper. */
export type Place = 'bench' | 'numbers';

/**
 * The bench of somebody signed in: the server draws, judges and stores. On paper no round begins by itself: its kinds are chosen first.
 * @param taken tools taken off the shelf, none of them for a mix; null to go on with the round that was worked last.
 */
export function useClassBench(
  classId: string,
  personId: string,
  place: Place,
  taken: readonly string[] | null = null,
): BenchSource & { beginSetRound(setRoundId: string): Promise<void> } {
  const queries = useQueryClient();
  // Each time the bench is opened the server says what is on it: another page may have taken something else since.
  const [key] = useState(() => ['round', classId, personId, place, newId()]);
  const [added, setAdded] = useState<readonly StripMark[]>([]);
  const { made, add, clear } = useMade();
  const [postedHere] = useState(() => new Set<string>());
  const current = useCallback(
    () => ask<BenchRound | null>('GET', `/classes/${classId}/rounds/current?place=${place}`),
    [classId, place],
  );
  const takeUp = (subjectIds: readonly string[]): Promise<BenchRound> =>
    ask<BenchRound>('POST', `/classes/${classId}/rounds/taken-up`, { subjectIds });
  const { data, error, isPending } = useQuery({
    queryKey: key,
    staleTime: Infinity,
    queryFn: async () => {
      if (taken) return takeUp(taken);
      const round = await current();
      if (round?.tasks.some((task) => task.state !== 'closed')) return round;
      return place === 'bench' ? takeUp([]) : null;
    },
  });
  // The round on the page is looked at again, and not another one begun.
  const lookAgain = useCallback(async (): Promise<void> => {
    const round = await current().catch(() => null);
    if (round)
      queries.setQueryData<BenchRound | null>(key, (shown) => (shown && shown.id !== round.id ? shown : round));
  }, [current, queries, key]);
  const notChecked = useNotChecked(classId, personId, postedHere, () => void lookAgain());

  const submit = useCallback(
    async (task: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      postedHere.add(attempt.id);
      const result = await outbox.post<AttemptResult>({
        id: attempt.id,
        personId,
        path: `/classes/${classId}/attempts`,
        body: attempt,
        written: attempt.entry || 'The answer, asked for',
      });
      add(task.id, { text: attempt.entry, result });
      if (result.closed) {
        setAdded((before) => [...before, ...result.strip]);
        void fetchAgain(queries, ['set-rounds', classId]);
      }
      return result;
    },
    [classId, personId, queries, add, postedHere],
  );
  const show = (round: BenchRound): void => {
    queries.setQueryData(key, round);
    setAdded([]);
    clear();
  };
  const newRound = async (subjectIds: readonly string[]): Promise<void> =>
    show(await ask<BenchRound>('POST', `/classes/${classId}/rounds`, { subjectIds }));
  const beginSetRound = async (setRoundId: string): Promise<void> =>
    show(await ask<BenchRound>('POST', `/classes/${classId}/rounds`, { setRoundId }));

  const known = new Set(data?.strip.map((mark) => mark.taskId));
  return {
    round: data ?? null,
    idle: !isPending && !error && data === null,
    length: data?.tasks.length ?? 0,
    strip: [...(data?.strip ?? []), ...added.filter((mark) => !known.has(mark.taskId))],
    error,
    made,
    notChecked,
    submit,
    newRound,
    beginSetRound,
  };
}
