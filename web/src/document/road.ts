import { me, membersAnswer, preferences, type SetList, setList, setListsAnswer, songsAnswer, swapsAnswer, tagsAnswer } from '@aurora/wire';
import type { z } from 'zod';
import { create } from 'zustand';
import { call } from '../api/client.ts';
import { keepAnswer, keptAnswer } from '../api/kept.ts';
import { useReach } from '../api/reach.ts';
import { EVERYTHING, shelfPath } from '../api/songs.ts';

/** What this device has of tonight for a place without a network. */
export type Road =
  /** Nobody has looked yet. */
  | { readonly kind: 'unknown' }
  /** This browser keeps nothing: it is too old, or the page was not opened over a safe connection. */
  | { readonly kind: 'never' }
  /** Something is missing still. */
  | { readonly kind: 'partly'; readonly songs: number; readonly missing: number }
  /** Everything of tonight is here, as the server had it at a time in milliseconds. */
  | { readonly kind: 'ready'; readonly setId: string | null; readonly songs: number; readonly at: number };

export const useRoad = create<{ readonly road: Road }>(() => ({ road: { kind: 'unknown' } }));

/** What the device has to have before the van leaves: whose band it is, who reads how, tonight's set and every song in it. */
function needed(bandId: string, set: SetList | null): readonly string[] {
  const band = `/bands/${bandId}`;
  const shared = ['/me', `${band}/preferences`, `${band}/members`, `${band}/sets`, shelfPath(bandId, EVERYTHING, null)];
  if (set === null) return shared;
  return [...shared, `${band}/sets/${set.id}`, ...set.songs.flatMap(({ id }) => [`${band}/songs/${id}`, `${band}/songs/${id}/swaps`])];
}

/**
 * Brings tonight's set with all its songs onto the device, and says in `useRoad` what is there.
 * `chosen` is the set this device works on; without one it is the set last worked on.
 */
export async function makeReady(bandId: string, chosen: string | null): Promise<void> {
  if (!('serviceWorker' in navigator) || !('caches' in globalThis)) {
    useRoad.setState({ road: { kind: 'never' } });
    return;
  }
  // until the application itself is on the device nothing is said
  if ((await navigator.serviceWorker.getRegistration())?.active?.state !== 'activated') return;
  const set = await fetched(bandId, chosen).catch(() => keptSet(bandId, chosen));
  useRoad.setState({ road: await roadOf(bandId, set) });
}

/** Asks the server for everything that is needed and keeps it; songs come with the set and are kept from there. */
async function fetched(bandId: string, chosen: string | null): Promise<SetList | null> {
  const band = `/bands/${bandId}`;
  const [{ sets }] = await Promise.all([
    kept(`${band}/sets`, setListsAnswer),
    kept('/me', me),
    kept(`${band}/preferences`, preferences),
    kept(`${band}/members`, membersAnswer),
    kept(shelfPath(bandId, EVERYTHING, null), songsAnswer),
    kept(`${band}/songs/tags`, tagsAnswer),
  ]);
  const id = sets.find((one) => one.id === chosen)?.id ?? sets[0]?.id;
  if (id === undefined) return null;
  const set = await kept(`${band}/sets/${id}`, setList);
  for (const song of set.songs) {
    await keepAnswer(`${band}/songs/${song.id}`, song);
    await kept(`${band}/songs/${song.id}/swaps`, swapsAnswer);
  }
  return set;
}

/** @throws Error where the device answered in the server's place: what it has is no newer for having been asked. */
async function kept<Schema extends z.ZodType>(path: string, schema: Schema): Promise<z.output<Schema>> {
  const answer = await call('GET', path, schema);
  if (useReach.getState().isAway) throw new Error('answered by the device');
  await keepAnswer(path, answer);
  return answer;
}

/** Tonight's set as the device has it. */
async function keptSet(bandId: string, chosen: string | null): Promise<SetList | null> {
  const sets = setListsAnswer.safeParse((await keptAnswer(`/bands/${bandId}/sets`))?.answer);
  const known = sets.success ? sets.data.sets : [];
  const id = known.find((one) => one.id === chosen)?.id ?? known[0]?.id;
  if (id === undefined) return null;
  const set = setList.safeParse((await keptAnswer(`/bands/${bandId}/sets/${id}`))?.answer);
  return set.success ? set.data : null;
}

async function roadOf(bandId: string, set: SetList | null): Promise<Road> {
  const paths = needed(bandId, set);
  const times = await Promise.all(paths.map(async (path) => (await keptAnswer(path))?.at ?? null));
  const songs = set?.songs.length ?? 0;
  const missing = times.filter((at) => at === null).length;
  if (missing > 0) return { kind: 'partly', songs, missing };
  return { kind: 'ready', setId: set?.id ?? null, songs, at: Math.min(...times.filter((at) => at !== null)) };
}
