import { type Chord, type ChordScaleName, type Key, type Note, parseKey, printKey, sameKey, writableChord } from '@aurora/core';
import { create } from 'zustand';
import { openedNow } from './opened.ts';

/** A chord somebody is looking at, in sounding letters. */
export interface Selection {
  readonly chord: Chord;
  /** The key it is heard in. */
  readonly heardIn: Key;
  /** Why it works where it stands, when it stands somewhere; else it is explained by its key alone. */
  readonly why?: readonly string[];
  /** The scale chosen to play over it. */
  readonly scale?: PlayedScale;
}

/** A scale to play over a chord. */
export interface PlayedScale {
  readonly tonic: Note;
  readonly scale: ChordScaleName;
}

/** What was chosen with the two lenses, and what is being looked at. Everything else about them follows. */
export interface LensState {
  /** The key everything is read in; null for the key at rest. */
  readonly key: Key | null;
  /** The reader that was chosen, as it stands in an address; null for whoever is signed in. */
  readonly readerId: string | null;
  readonly selection: Selection | null;
}

export const useLensStore = create<LensState>()(() => ({ key: null, readerId: null, selection: null }));

const C_MAJOR: Key = { tonic: 0, scale: 'major' };

/** The key at rest: tonight's, else the song's own. */
function restingKey(): Key | null {
  const { resting, home } = openedNow();
  return resting ?? home;
}

/**
 * Reads everything in another key; null goes back to the key at rest. On an empty chart there is
 * nothing to read yet, and the key chosen is the song's; in tonight's set it is tonight's.
 */
export function setKey(key: Key | null): void {
  const { isEmpty, rehome, onKey } = openedNow();
  if (key !== null && onKey !== undefined) {
    onKey(key);
    useLensStore.setState({ key: null });
  } else if (key !== null && isEmpty && rehome !== null) {
    rehome(key, 'numbers');
    useLensStore.setState({ key: null });
  } else useLensStore.setState({ key: key !== null && sameKey(key, restingKey()) ? null : key });
}

/** Reads as somebody else for this visit; null reads as oneself again. */
export function setReader(readerId: string | null): void {
  useLensStore.setState({ readerId });
}

export function select(selection: Selection | null): void {
  useLensStore.setState({ selection: selection === null ? null : { ...selection, chord: writableChord(selection.chord) } });
}

/** The key everything is read in just now. */
export function keyNow(): Key {
  return useLensStore.getState().key ?? restingKey() ?? C_MAJOR;
}

/** The key everything is read in. */
export function keyInForce({ key, homeKey }: { readonly key: Key | null; readonly homeKey: Key | null }): Key {
  return key ?? homeKey ?? C_MAJOR;
}

/** The lenses as the end of an address, `?key=Eb&reader=capo-3`; empty when both are at rest. */
export function lensSearch({ key, readerId }: Pick<LensState, 'key' | 'readerId'>): string {
  const search = new URLSearchParams();
  if (key !== null) search.set('key', printKey(key));
  if (readerId !== null) search.set('reader', readerId);
  const text = search.toString();
  return text === '' ? '' : `?${text}`;
}

/** Where something is read through the lenses: elsewhere they are not shown, and stand in no address. */
const READ_THROUGH = /(^|\/)(harmonize|analyze|neck|stand)$|^\/analyze\/score(\/|$)|^\/songs\/[^/]+\/chart$/;

export function readsThroughLenses(pathname: string): boolean {
  return READ_THROUGH.test(pathname);
}

/** The way to a room, with the lenses at its end where it is read through them. */
export function lensLink(pathname: string, lenses: Pick<LensState, 'key' | 'readerId'> = useLensStore.getState()) {
  return { pathname, search: readsThroughLenses(pathname) ? lensSearch(lenses) : '' };
}

/** The lenses an address asks for. A key nobody can read counts as none. */
export function lensesOf(search: string): Pick<LensState, 'key' | 'readerId'> {
  const asked = new URLSearchParams(search);
  const key = parseKey(asked.get('key') ?? '');
  return { key: key.ok ? key.value : null, readerId: asked.get('reader') };
}
