import type {
  CapoWish,
  Chord,
  Family,
  Instrument,
  Key,
  KeyDepth,
  KeyShape,
  KeyShapesWish,
  OpenKeyShape,
  Path,
  PathChord,
  PathLimits,
  Voicing,
  VoicingWish,
} from '@aurora/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { proxy, type Remote, wrap } from 'comlink';
import type { NeckWorker, SongInKey } from './neck-worker.ts';

let remote: Remote<NeckWorker> | null = null;

/** The worker, started when it is first needed. */
function engine(): Remote<NeckWorker> {
  remote ??= wrap<NeckWorker>(new Worker(new URL('./neck-worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

const FOREVER = { staleTime: Number.POSITIVE_INFINITY, gcTime: 5 * 60_000, retry: false } as const;

/** All shapes of a chord on an instrument, best first; what was found before stays while the next is looked for. */
export function useShapes(chord: Chord | null, instrument: Instrument, wish: VoicingWish = {}) {
  return useQuery({
    queryKey: ['shapes', chord, instrument, wish],
    queryFn: () => engine().search(chord as Chord, instrument, wish),
    enabled: chord !== null,
    placeholderData: keepPreviousData,
    ...FOREVER,
  });
}

/** Easier versions of a shape that add or leave out notes of the key. */
export function useColours(voicing: Voicing | null, key: Key, instrument: Instrument) {
  return useQuery({
    queryKey: ['colours', voicing?.chord, voicing?.frets, key, instrument],
    queryFn: () => engine().colours(voicing as Voicing, key, instrument),
    enabled: voicing !== null,
    ...FOREVER,
  });
}

/** Where a key's chords are wanted: up the neck, or in one position. */
export type KeyPlace =
  | { readonly kind: 'along'; readonly wish: KeyShapesWish }
  | { readonly kind: 'position'; readonly family: Family; readonly depth: KeyDepth; readonly position: number }
  | { readonly kind: 'open'; readonly depth: KeyDepth }
  | { readonly kind: 'ladder'; readonly wish: Omit<KeyShapesWish, 'depth'> };

/** The key's seven chords as shapes. */
export function useKeyShapes(key: Key, place: KeyPlace, instrument: Instrument) {
  return useQuery({
    queryKey: ['key-shapes', key, place, instrument],
    queryFn: (): Promise<readonly (KeyShape | OpenKeyShape)[]> => {
      if (place.kind === 'along') return engine().along(key, place.wish, instrument);
      if (place.kind === 'ladder') return engine().ladder(key.tonic, place.wish, instrument);
      if (place.kind === 'open') return engine().openChords(key, place.depth, instrument);
      return engine().inPosition(key, place.family, place.depth, place.position, instrument);
    },
    placeholderData: keepPreviousData,
    ...FOREVER,
  });
}

/** Every fret a capo can sit at for a song, the kindest first. */
export function useCapoPlan(source: string, wish: CapoWish) {
  return useQuery({
    queryKey: ['capo', source, wish],
    queryFn: () => engine().capo(source, wish),
    placeholderData: keepPreviousData,
    ...FOREVER,
  });
}

/** How kind each of the twelve keys is to the guitars, counted up from the song's own. */
export function useGuitarKindness(source: string | undefined, wishes: readonly CapoWish[]) {
  return useQuery({
    queryKey: ['guitar-kindness', source, wishes],
    queryFn: () => engine().guitarKindness(source ?? '', wishes),
    enabled: source !== undefined && wishes.length > 0,
    ...FOREVER,
  });
}

/** The best pairs of frets for two guitars. */
export function useCapoPairs(source: string, first: CapoWish, second: CapoWish, most: number) {
  return useQuery({
    queryKey: ['capo-pairs', source, first, second, most],
    queryFn: () => engine().pairs(source, first, second, most),
    placeholderData: keepPreviousData,
    ...FOREVER,
  });
}

/** Chords of a song held closed with a capo at a fret, with easier ones. */
export function useEasierChords(source: string, wish: CapoWish, fret: number) {
  return useQuery({
    queryKey: ['easier-chords', source, wish, fret],
    queryFn: () => engine().easier(source, wish, fret),
    placeholderData: keepPreviousData,
    ...FOREVER,
  });
}

/** A fret for every song of a set with the fewest capo moves. */
export function planCaposOfSet(songs: readonly (SongInKey | null)[], wish: CapoWish): Promise<readonly (number | null)[]> {
  return engine().setCapos(songs, wish);
}

let jobs = 0;

/** A path being looked for. */
export interface PathJob {
  /** Null when it was stopped. */
  readonly done: Promise<Path | null>;
  readonly stop: () => void;
}

/** Starts looking for a path; progress is told from 0 to 1. */
export function startPath(
  chords: readonly PathChord[],
  limits: PathLimits,
  instrument: Instrument,
  onProgress: (share: number) => void,
): PathJob {
  jobs += 1;
  const job = jobs;
  return {
    done: engine().path(job, { chords, limits, instrument }, proxy(onProgress)),
    stop: () => void engine().stop(job),
  };
}
