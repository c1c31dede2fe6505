import type { Marking, ReportQueue } from '@green-beam/contract';
import type { Mutation, QueryClient } from '@tanstack/react-query';

/** How a report was marked here. */
export interface OwnMarking {
  readonly runId: string;
  readonly author: string;
  readonly number: number;
  readonly marking: Marking;
}

/** Under which key changes of markings are kept by the page. */
export const markingKey = (classId: string): readonly unknown[] => ['marking', classId];

/** A list of reports with what was marked on this page, the later over the earlier. */
export function withMarkings(queue: ReportQueue, markings: readonly OwnMarking[]): ReportQueue {
  const placeOf = ({ runId, author, number }: Omit<OwnMarking, 'marking'>): string => `${runId} ${author} ${number}`;
  const own = new Map(markings.map((one) => [placeOf(one), one.marking]));
  return {
    ...queue,
    reports: queue.reports.map((one) => ({ ...one, marking: own.get(placeOf(one)) ?? one.marking })),
  };
}

/**
 * Fetches the list of reports. The answer may come from before what is marked meanwhile, or from before what was still on its way
 * when it was asked for: that stands on the page already, and stays.
 */
export async function withOwnMarkings(
  queries: QueryClient,
  classId: string,
  fetchQueue: () => Promise<ReportQueue>,
): Promise<ReportQueue> {
  const changes = (): Mutation<unknown, Error, OwnMarking>[] =>
    queries.getMutationCache().findAll({ mutationKey: markingKey(classId) }) as Mutation<unknown, Error, OwnMarking>[];
  const settled = new Set(changes().filter(({ state }) => state.status !== 'pending'));
  const queue = await fetchQueue();
  const own = changes()
    .filter((change) => !settled.has(change) && change.state.status !== 'error')
    .sort((a, b) => a.state.submittedAt - b.state.submittedAt)
    .flatMap(({ state }) => state.variables ?? []);
  return withMarkings(queue, own);
}
