import type { ReportQueue, ReportToMark, Returning, Rubric } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useEffect } from 'react';
import { ask } from '../../api/request.ts';
import { markingKey, withMarkings, withOwnMarkings, type OwnMarking } from './own-markings.ts';

const queueKey = (classId: string): readonly unknown[] => ['reports', classId];

/** Reports that are handed in. */
export function useReportQueue(classId: string): UseQueryResult<ReportQueue> {
  return useQuery({
    queryKey: queueKey(classId),
    queryFn: ({ client }) =>
      withOwnMarkings(client, classId, () => ask<ReportQueue>('GET', `/classes/${classId}/reports`)),
  });
}

/** A report by its page and its author. */
export interface ReportPlace {
  readonly runId: string;
  readonly author: string;
}

const pathOf = (classId: string, { runId, author }: ReportPlace): string =>
  `/classes/${classId}/reports/${runId}/${author}`;

const reportQuery = (
  classId: string,
  place: ReportPlace,
): { queryKey: readonly unknown[]; queryFn: () => Promise<ReportToMark> } => ({
  queryKey: ['report', classId, place.runId, place.author],
  queryFn: () => ask<ReportToMark>('GET', pathOf(classId, place)),
});

/** One of them, to be marked; the next is fetched meanwhile. */
export function useReport(classId: string, place: ReportPlace, next: ReportPlace | null): UseQueryResult<ReportToMark> {
  const queries = useQueryClient();
  const nextRun = next?.runId;
  const nextAuthor = next?.author;
  useEffect(() => {
    if (nextRun === undefined || nextAuthor === undefined) return;
    queries.query(reportQuery(classId, { runId: nextRun, author: nextAuthor })).catch(() => undefined);
  }, [queries, classId, nextRun, nextAuthor]);
  return useQuery({ ...reportQuery(classId, place), staleTime: Infinity });
}

/** Keeps how a report is marked: on the page at once, at the server one change after the other. */
export function useMarkingChange(classId: string, place: ReportPlace): UseMutationResult<unknown, Error, OwnMarking> {
  const queries = useQueryClient();
  const { queryKey } = reportQuery(classId, place);
  return useMutation({
    mutationKey: markingKey(classId),
    scope: { id: `marking ${place.runId} ${place.author}` },
    mutationFn: ({ number, marking }) => ask('PUT', `${pathOf(classId, place)}/marking`, { number, ...marking }),
    onMutate: (change) => {
      queries.setQueryData<ReportToMark>([...queryKey], (known) => known && { ...known, marking: change.marking });
      queries.setQueryData<ReportQueue>([...queueKey(classId)], (known) => known && withMarkings(known, [change]));
    },
    onError: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey }),
        queries.invalidateQueries({ queryKey: queueKey(classId) }),
      ]),
  });
}

/** Returns reports, now or at a time. */
export function useReturning(classId: string): UseMutationResult<ReportQueue, Error, Returning> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body) => ask<ReportQueue>('POST', `/classes/${classId}/reports/return`, body),
    onSuccess: (queue) => queries.setQueryData([...queueKey(classId)], queue),
  });
}

/** Decides what a class is marked by. */
export function useRubricChange(classId: string): UseMutationResult<Rubric, Error, Rubric> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body) => ask<Rubric>('PUT', `/classes/${classId}/rubric`, body),
    onSuccess: () => queries.invalidateQueries({ queryKey: queueKey(classId) }),
  });
}
