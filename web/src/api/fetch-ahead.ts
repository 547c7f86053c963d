import type { QueryClient } from '@tanstack/react-query';
import { membersQuery } from './members.ts';
import { preferencesQuery } from './preferences.ts';
import { EVERYTHING, knownBandId, shelfQuery, songQuery, tagsQuery } from './songs.ts';

const SONG = /^\/songs\/([^/]+)\//;

/**
 * Asks for what the page of a path shows first, so that it is on its way while the page is drawn for the first time. Ends once
 * it is asked for, not once it has come; what cannot be had is told where it is shown.
 */
export async function fetchAhead(queries: QueryClient, pathname: string): Promise<void> {
  const bandId = await knownBandId(queries).catch(() => null);
  if (bandId === null) return;
  void queries.prefetchQuery(membersQuery(bandId));
  void queries.prefetchQuery(preferencesQuery(bandId));
  const songId = SONG.exec(pathname)?.[1];
  if (songId !== undefined) void queries.prefetchQuery(songQuery(bandId, songId));
  if (pathname !== '/') return;
  void queries.prefetchInfiniteQuery(shelfQuery(bandId, EVERYTHING));
  void queries.prefetchQuery(tagsQuery(bandId));
}
