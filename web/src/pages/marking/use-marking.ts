import type { Marking, ReportQueue, ReportToMark, Returning, Rubric } from '@green-beam/contract';
import {
  useMutation,
  useQuery,
  useQueryClient,
  type UseMutationResult,
  type UseQueryResult,
} from '@tanstack/react-query';
import { useEffect } from 'react';
import { ask } from '../../api/request.ts';

const queueKey = (classId: string): readonly unknown[] => ['reports', classId];

/** Reports that are handed in. */
export function useReportQueue(classId: string): UseQueryResult<ReportQueue> {
  return useQuery({
    queryKey: queueKey(classId),
    queryFn: () => ask<ReportQueue>('GET', `/classes/${classId}/reports`),
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
export function useMarkingChange(
  classId: string,
  place: ReportPlace,
  number: number,
): UseMutationResult<unknown, Error, Marking> {
  const queries = useQueryClient();
  const { queryKey } = reportQuery(classId, place);
  return useMutation({
    scope: { id: `marking ${place.runId} ${place.author}` },
    mutationFn: (marking) => ask('PUT', `${pathOf(classId, place)}/marking`, { number, ...marking }),
    onMutate: (marking) => {
      queries.setQueryData<ReportToMark>([...queryKey], (known) => known && { ...known, marking });
      queries.setQueryData<ReportQueue>(
        [...queueKey(classId)],
        (known) =>
          known && {
            ...known,
            reports: known.reports.map((one) =>
              one.runId === place.runId && one.author === place.author && one.number === number
                ? { ...one, marking }
                : one,
            ),
          },
      );
    },
    onError: () => queries.invalidateQueries({ queryKey }),
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
