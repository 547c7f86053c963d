import type { NewsItem } from '@aurora/wire';
import type { QueryClient, QueryKey } from '@tanstack/react-query';
import { jobKey } from '../jobs.ts';
import { membersKey } from '../members.ts';
import { pieceKey, piecesKey } from '../pieces.ts';
import { preferencesKey } from '../preferences.ts';
import { setKey, setsKey } from '../sets.ts';
import { fullSetsKey, meQuery, songKey, songsKey } from '../songs.ts';
import { swapsKey } from '../swaps.ts';
import type { News } from './news-line.ts';

/** Where something is looked up, and everything that shows a part of it. */
interface Shown {
  /** What holds a revision; null where there is none to compare. */
  readonly whole: QueryKey | null;
  readonly parts: readonly QueryKey[];
}

const SHOWN: Readonly<Record<NewsItem['kind'], (bandId: string, id: string) => Shown>> = {
  // sets come with their songs
  song: (bandId, id) => ({ whole: songKey(bandId, id), parts: [songsKey(bandId), fullSetsKey(bandId)] }),
  set: (bandId, id) => ({ whole: setKey(bandId, id), parts: [setsKey(bandId)] }),
  piece: (bandId, id) => ({ whole: pieceKey(bandId, id), parts: [piecesKey(bandId)] }),
  // who one is in the band stands with oneself
  member: (bandId) => ({ whole: null, parts: [membersKey(bandId), meQuery.queryKey] }),
  preference: (bandId) => ({ whole: null, parts: [preferencesKey(bandId)] }),
  swap: (bandId, id) => ({ whole: null, parts: [swapsKey(bandId, id)] }),
  job: (bandId, id) => ({ whole: null, parts: [jobKey(bandId, id)] }),
};

/** Has what changed asked for again where it is open; what this page has already, from its own save, is left. */
export function takeNews(queries: QueryClient, bandId: string, { items, all }: News): void {
  if (all) {
    void queries.invalidateQueries({ predicate: ({ queryKey }) => queryKey.includes(bandId) || queryKey[0] === meQuery.queryKey[0] });
    return;
  }
  const keys = new Map<string, QueryKey>();
  for (const { kind, id, revision } of items) {
    const { whole, parts } = SHOWN[kind](bandId, id ?? '');
    const here = whole === null ? undefined : queries.getQueryData<{ readonly revision?: number }>(whole);
    if (revision !== null && here?.revision === revision) continue;
    for (const key of whole === null ? parts : [whole, ...parts]) keys.set(JSON.stringify(key), key);
  }
  for (const queryKey of keys.values()) void queries.invalidateQueries({ queryKey });
}
