import { type Key, printKey, tonightWords } from '@aurora/core';
import { useEffect, useRef } from 'react';
import { useMayWrite } from '../../api/songs.ts';
import { withEntry } from '../../document/evening-view.ts';
import type { Tonight } from '../../document/use-evening.ts';
import { useLensStore } from '../../session/lens-store.ts';
import { type Opened, open } from '../../session/opened.ts';

type Entry = Tonight['evening']['entries'][number];

/** A song as it is played tonight. */
export interface TonightsSong {
  readonly entry: Entry;
  readonly home: Key;
  readonly key: Key;
  readonly capos: Opened['capos'];
  /** What is said of it tonight. */
  readonly words: readonly string[];
  /** Gives it another key tonight; the song's own stays. Null for who only reads. */
  readonly setKey: ((key: Key) => void) | null;
}

/** The first song of tonight's set that is the one meant; null where none is. */
export function useTonightsSong(tonight: Tonight | null, isIt: (entry: Entry) => boolean): TonightsSong | null {
  return tonightsSong(tonight, isIt, useMayWrite());
}

function tonightsSong(tonight: Tonight | null, isIt: (entry: Entry) => boolean, mayWrite: boolean): TonightsSong | null {
  const entry = tonight?.evening.entries.find(isIt);
  const song = entry?.song;
  if (tonight === null || entry === undefined || song === null || song === undefined) return null;
  const home = song.reading.head.key;
  return {
    entry,
    home,
    key: song.key,
    capos: entry.entry.kind === 'song' ? entry.entry.capos : NO_CAPOS,
    words: tonightWords(entry),
    setKey: mayWrite
      ? ({ tonic }) => {
          const key = tonic === home.tonic ? null : printKey({ ...home, tonic });
          tonight.desk.change((body) => withEntry(body, entry.id, (stored) => (stored.kind === 'break' ? stored : { ...stored, key })));
        }
      : null,
  };
}

const NO_CAPOS: Opened['capos'] = {};

/** What is open is tonight's song in tonight's key, and choosing another key chooses tonight's. */
export function useOpensTonight(song: TonightsSong | null): void {
  const latest = useRef(song);
  useEffect(() => {
    latest.current = song;
  });
  const { home, key, capos } = song ?? { home: null, key: null, capos: NO_CAPOS };
  const isOurs = song !== null && song.setKey !== null;
  const name = song === null ? '' : `${printKey(song.home)} ${printKey(song.key)} ${JSON.stringify(capos)} ${isOurs}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: `name` stands for the values, which are new objects whenever the set is drawn
  useEffect(() => {
    if (home === null || key === null) return;
    const opened = {
      home,
      resting: { ...home, tonic: key.tonic },
      capos,
      rehome: null,
      isEmpty: false,
      ...(isOurs ? { onKey: (next: Key) => latest.current?.setKey?.(next) } : {}),
    };
    return open({ get: () => opened, subscribe: () => () => undefined });
  }, [name]);
}

/**
 * A key chosen while the set was still on its way is chosen again once the song is known to be in it,
 * and is tonight's like one chosen later. The key an address came with only reads.
 */
export function useKeyChosenEarly(waiting: boolean, song: TonightsSong | null): void {
  const chosen = useRef<Key | null>(null);
  useEffect(() => {
    if (!waiting) return;
    return useLensStore.subscribe(({ key }, before) => {
      if (key !== before.key) chosen.current = key;
    });
  }, [waiting]);
  useEffect(() => {
    if (song?.setKey == null || chosen.current === null) return;
    song.setKey(chosen.current);
    chosen.current = null;
    useLensStore.setState({ key: null });
  }, [song]);
}
