import type { QueryClient, QueryKey } from '@tanstack/react-query';

/**
 * After a change that was shown before the server had answered: fetches again what it changed, unless
 * another change of the same is still on its way, which the answer would not have yet. The mutations
 * carry the query's key as their own.
 */
export function refetchAfterLast(queries: QueryClient, key: QueryKey): void {
  if (queries.isMutating({ mutationKey: key }) <= 1) void queries.invalidateQueries({ queryKey: key });
}
