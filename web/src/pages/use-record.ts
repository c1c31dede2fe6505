import type { StudentRecord } from '@green-beam/contract';
import { useInfiniteQuery } from '@tanstack/react-query';
import { ask } from '../api/request.ts';

interface RecordShown {
  readonly records: readonly StudentRecord[] | undefined;
  readonly error: Error | null;
  readonly more: (() => void) | null;
}

/** A person's record, page by page. */
export function useRecord(key: readonly unknown[], path: string | null): RecordShown {
  const { data, error, hasNextPage, fetchNextPage } = useInfiniteQuery({
    queryKey: key,
    enabled: path !== null,
    initialPageParam: null as string | null,
    queryFn: ({ pageParam }) => ask<StudentRecord>('GET', `${path ?? ''}${pageParam ? `?before=${pageParam}` : ''}`),
    getNextPageParam: (last) => last.page.next,
  });
  return { records: data?.pages, error, more: hasNextPage ? () => void fetchNextPage() : null };
}
