import { RefusedError } from './request.ts';

/**
 * What keeps something from being shown: a refusal always does. That the server fails or cannot be reached does only where nothing
 * has come yet: what is shown stays as it was, and nobody loses what they are working on.
 * @param shown what has been fetched before; undefined where nothing has.
 */
export function inTheWay(error: Error | null, shown: unknown): Error | null {
  return shown === undefined || error instanceof RefusedError ? error : null;
}
