import { type BandSeat, type Me, me, type Song, type SongChange, type SongSummary, song, songsAnswer, tagsAnswer } from '@aurora/wire';
import {
  type InfiniteData,
  infiniteQueryOptions,
  keepPreviousData,
  type Query,
  type QueryClient,
  queryOptions,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { z } from 'zod';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';
import { ANSWER_WORDS } from '../wording/answers.ts';
import { chosenBand } from './chosen-band.ts';
import { call } from './client.ts';

/** Who one is on this device, and where one plays. */
export const meQuery = queryOptions({
  queryKey: ['me'],
  queryFn: ({ signal }) => call('GET', '/me', me, { signal }),
  staleTime: Number.POSITIVE_INFINITY,
});

/** Nobody is signed in here, or who is plays in no band. */
export class NoBand extends Error {}

/** The band this device has open: the one it was left in, else the first. */
function openBand({ bands }: Me): BandSeat {
  const chosen = chosenBand();
  const found = bands.find(({ id }) => id === chosen) ?? bands[0];
  if (found === undefined) throw new NoBand(ANSWER_WORDS.nobodyIsIn);
  return found;
}

/** The band whose shelf this is. */
export function useBand() {
  return useQuery({ ...meQuery, select: openBand });
}

/** Whether one may change what the band has; a guest of an evening reads. */
export function useMayWrite(): boolean {
  return useBand().data?.role !== 'guest';
}

/** The id of the band, asked for first where it is not known yet. */
export async function knownBandId(queries: QueryClient): Promise<string> {
  return openBand(await queries.ensureQueryData(meQuery)).id;
}

export const songsKey = (bandId: string) => ['songs', bandId] as const;
export const songKey = (bandId: string, songId: string) => ['song', bandId, songId] as const;
/** Sets come with their songs. */
export const fullSetsKey = (bandId: string) => ['set', bandId] as const;

/** Puts a saved song where it is looked up, and has whatever shows it asked for again. */
export function keepSong(queries: QueryClient, bandId: string, saved: Song): void {
  queries.setQueryData(songKey(bandId, saved.id), saved);
  keepFirstPages(queries, bandId);
  void queries.invalidateQueries({ queryKey: songsKey(bandId) });
  void queries.invalidateQueries({ queryKey: fullSetsKey(bandId) });
}

/** A shelf that is out of sight comes back with its first page, and not with as many as were ever looked at. */
function keepFirstPages(queries: QueryClient, bandId: string): void {
  for (const { queryKey } of queries.getQueryCache().findAll({ queryKey: songsKey(bandId), type: 'inactive' }))
    queries.setQueryData(queryKey, (data: unknown) => {
      const { pages, pageParams } = (data ?? {}) as Partial<InfiniteData<unknown>>;
      return pages === undefined || pageParams === undefined ? data : { pages: pages.slice(0, 1), pageParams: pageParams.slice(0, 1) };
    });
}

/** What the shelf is asked for. */
export interface ShelfWish {
  readonly find: string;
  readonly pattern: string;
  readonly tag: string | null;
  readonly sort: 'title' | 'key' | 'tempo' | 'saved';
  readonly archived: boolean;
}

export const shelfQuery = (bandId: string, wish: ShelfWish) =>
  infiniteQueryOptions({
    queryKey: [...songsKey(bandId), wish],
    queryFn: ({ pageParam, signal }) => call('GET', shelfPath(bandId, wish, pageParam), songsAnswer, { signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });

/** The band's songs as they are asked for, a page at a time. */
export function useShelf(wish: ShelfWish) {
  const bandId = useBand().data?.id ?? '';
  return useInfiniteQuery({ ...shelfQuery(bandId, wish), enabled: bandId !== '', placeholderData: keepPreviousData });
}

/** The shelf as it is opened. */
export const EVERYTHING: ShelfWish = { find: '', pattern: '', tag: null, sort: 'title', archived: false };

/** Where a page of the shelf is asked for. */
export function shelfPath(bandId: string, wish: ShelfWish, after: string | null): string {
  return `/bands/${bandId}/songs?${searchOf(wish, after)}`;
}

function searchOf({ find, pattern, tag, sort, archived }: ShelfWish, after: string | null): string {
  const search = new URLSearchParams({ sort, archived: archived ? 'yes' : 'no' });
  if (find.trim() !== '') search.set('find', find.trim());
  if (pattern.trim() !== '') search.set('pattern', pattern.trim());
  if (tag !== null) search.set('tag', tag);
  if (after !== null) search.set('after', after);
  return search.toString();
}

export const tagsQuery = (bandId: string) =>
  queryOptions({
    queryKey: [...songsKey(bandId), 'tags'],
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/songs/tags`, tagsAnswer, { signal })).tags,
  });

/** The band's tags, with how many songs have each. */
export function useTags() {
  const bandId = useBand().data?.id ?? '';
  return useQuery({ ...tagsQuery(bandId), enabled: bandId !== '' });
}

/** When a query is asked again, as the query library has it. */
export type Following = false | ((query: Pick<Query, 'state'>) => number | false);

/** The same as the query client wants it: of a query of any form. */
export const intervalOf = (following: Following) => following && ((query: object) => following(query as Pick<Query, 'state'>));

export const songQuery = (bandId: string, songId: string) =>
  queryOptions({
    queryKey: songKey(bandId, songId),
    queryFn: ({ signal }) => call('GET', `/bands/${bandId}/songs/${songId}`, song, { signal }),
  });

/** One song with its chart; `following` says how often it is asked for again. */
export function useSong(songId: string | undefined, following: Following = false) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    ...songQuery(bandId, songId ?? ''),
    enabled: bandId !== '' && songId !== undefined,
    refetchInterval: intervalOf(following),
  });
}

/** Puts a new song on the shelf. */
export function useAddSong() {
  return useSongMutation((bandId, source: string) => call('POST', `/bands/${bandId}/songs`, song, { body: { source } }));
}

/** The song that was begun last at this device, as long as nothing is written in it. */
const BEGUN: RecordForm<{ readonly bandId: string; readonly songId: string }> = {
  name: 'aurora-begun',
  schema: z.object({ bandId: z.string(), songId: z.string() }),
  upgrades: [(text) => JSON.parse(text)],
};

/** Begins a song and answers its id. One that was begun here and still has neither bars nor a name is gone on with. */
export function useBeginSong() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (source: string) => {
      const bandId = await knownBandId(queries);
      const begun = device.get(BEGUN);
      const before = begun?.bandId === bandId ? await readBegun(bandId, begun.songId) : null;
      const begins = before ?? (await call('POST', `/bands/${bandId}/songs`, song, { body: { source } }));
      queries.setQueryData(songKey(bandId, begins.id), begins);
      device.put(BEGUN, { bandId, songId: begins.id });
      return begins.id;
    },
  });
}

/** A song that was begun, if it is still as it was; null for any other. */
async function readBegun(bandId: string, songId: string): Promise<Song | null> {
  const begun = await call('GET', `/bands/${bandId}/songs/${songId}`, song).catch(() => null);
  return begun !== null && begun.bars === 0 && begun.title === '' && begun.revision === 1 && !begun.archived ? begun : null;
}

/** Puts a copy of a song on the shelf. */
export function useDuplicateSong() {
  return useSongMutation((bandId, songId: string) => call('POST', `/bands/${bandId}/songs/${songId}/copies`, song));
}

/** Changes a song's tags, puts it away or brings it back. */
export function useChangeSong() {
  return useSongMutation((bandId, { id, change }: { readonly id: SongSummary['id']; readonly change: SongChange }) =>
    call('PATCH', `/bands/${bandId}/songs/${id}`, song, { body: change }),
  );
}

/** What is pressed before the band is known waits for it. */
function useSongMutation<Wish>(ask: (bandId: string, wish: Wish) => Promise<Song>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (wish: Wish) => {
      const bandId = await knownBandId(queries);
      const changed = await ask(bandId, wish);
      keepSong(queries, bandId, changed);
      return changed;
    },
  });
}

/** A save that is not answered by then is tried again. */
export const SAVE_MS = 15_000;

/** A chart on top of the revision it was written from, and the player who saves it where that is known. */
export interface ChartSave {
  readonly source: string;
  readonly baseRevision: number;
}

/** Saves a chart. */
export function saveSong(bandId: string, songId: string, save: ChartSave): Promise<Song> {
  return call('PUT', `/bands/${bandId}/songs/${songId}`, song, { body: save, limitMs: SAVE_MS });
}
