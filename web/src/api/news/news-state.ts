import type { Query } from '@tanstack/react-query';
import { create } from 'zustand';

/** Since when what others change is heard as it happens, in milliseconds; null while it is not. */
export const useNews = create<{ readonly since: number | null }>(() => ({ since: null }));

/** How often what is open is asked for again while nothing is heard, so that what others save is seen. */
const FOLLOW_MS = 10_000;
const AT_ONCE = 1;

/**
 * When what is followed is asked for again: from time to time where changes are not heard; where they are, once more if it
 * was fetched before they were, since something may have changed between.
 */
export function useFollowing(): (query: Pick<Query, 'state'>) => number | false {
  const since = useNews((state) => state.since);
  return ({ state }) => {
    if (since === null) return FOLLOW_MS;
    return state.dataUpdatedAt < since && state.fetchStatus === 'idle' ? AT_ONCE : false;
  };
}
