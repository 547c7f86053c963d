import {
  type Chord,
  type ChordScaleName,
  DEFAULT_NAMING,
  type Key,
  type Naming,
  type Note,
  parseKey,
  printKey,
  sameKey,
} from '@aurora/core';
import type { Member } from '@aurora/wire';
import { create } from 'zustand';
import { CONCERT, type ReaderChoice, readerChoice } from './reader-view.ts';

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

interface LensState {
  /** The key everything is read in; null for the open song's own. */
  readonly key: Key | null;
  readonly reader: ReaderChoice;
  /** Everyone a song can be read as by name; null until the band is known. */
  readonly members: readonly Member[] | null;
  /** The open song's own key; null with no song open. */
  readonly homeKey: Key | null;
  readonly selection: Selection | null;
  /** What the band calls things; part of how everything is read. */
  readonly naming: Naming;
  readonly setKey: (key: Key | null) => void;
  readonly setReader: (reader: ReaderChoice) => void;
  /** Who is in the band now; whoever reads is read as they are now. */
  readonly setMembers: (members: readonly Member[]) => void;
  readonly setHomeKey: (key: Key | null) => void;
  readonly select: (selection: Selection | null) => void;
}

const C_MAJOR: Key = { tonic: 0, scale: 'major' };

/** The two lenses and what is selected: the one small thing every room shares. */
export const useLens = create<LensState>()((set) => ({
  key: null,
  reader: CONCERT,
  members: null,
  homeKey: null,
  selection: null,
  naming: DEFAULT_NAMING,
  setKey: (key) => set(({ homeKey }) => ({ key: key !== null && sameKey(key, homeKey) ? null : key })),
  setReader: (reader) => set({ reader }),
  setMembers: (members) => set(({ reader }) => ({ members, reader: readerChoice(reader.id, members) })),
  setHomeKey: (homeKey) => set((state) => (sameKey(state.homeKey, homeKey) ? state : { homeKey })),
  select: (selection) => set({ selection }),
}));

/** The key everything is read in. */
export function keyInForce({ key, homeKey }: Pick<LensState, 'key' | 'homeKey'>): Key {
  return key ?? homeKey ?? C_MAJOR;
}

/** The lenses as the end of an address, `?key=Eb&reader=capo-3`; empty when both are at rest. */
export function lensSearch({ key, reader }: Pick<LensState, 'key' | 'reader'>): string {
  const search = new URLSearchParams();
  if (key !== null) search.set('key', printKey(key));
  if (reader.id !== CONCERT.id) search.set('reader', reader.id);
  const text = search.toString();
  return text === '' ? '' : `?${text}`;
}

/** The lenses an address asks for. A key nobody can read counts as none. */
export function lensesOf(search: string): Pick<LensState, 'key' | 'reader'> {
  const asked = new URLSearchParams(search);
  const key = parseKey(asked.get('key') ?? '');
  return { key: key.ok ? key.value : null, reader: readerChoice(asked.get('reader'), useLens.getState().members) };
}
