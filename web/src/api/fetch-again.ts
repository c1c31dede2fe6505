import type { Query, QueryClient, QueryKey } from '@tanstack/react-query';

/** Queries of which one more fetch follows the one under way. */
const followed = new WeakSet<Query>();

async function afterwards(queries: QueryClient, query: Query): Promise<void> {
  if (followed.has(query)) return;
  followed.add(query);
  await query.promise?.catch(() => undefined);
  followed.delete(query);
  await queries.invalidateQueries({ queryKey: query.queryKey, exact: true });
}

/**
 * Fetches again what something has happened to; what is not shown is fetched when it is. A fetch under way may have been answered
 * before: it is let come to its end, since what happens often would otherwise keep it from ever coming, and another follows it.
 */
export async function fetchAgain(queries: QueryClient, queryKey: QueryKey): Promise<void> {
  const underWay = queries.getQueryCache().findAll({ queryKey, fetchStatus: 'fetching' });
  const idle = queries.invalidateQueries({ queryKey, predicate: (query) => !underWay.includes(query) });
  await Promise.all([idle, ...underWay.map((query) => afterwards(queries, query))]);
}
