import type { KeptInRekeying, Key } from '@aurora/core';
import { useSyncExternalStore } from 'react';

/** What the lenses have to know about whatever is open. */
export interface Opened {
  /** Its own key; null while nothing has one. */
  readonly home: Key | null;
  /** The key it is read in as long as nobody chooses another one: tonight's, in a set. */
  readonly resting: Key | null;
  /** Frets of capos tonight, by player; who is not named plays as usual. */
  readonly capos: Readonly<Record<string, number>>;
  /** Gives it another home key; null where it cannot be changed here. */
  readonly rehome: ((key: Key, keeps: KeptInRekeying) => void) | null;
  /** Whether nothing is written in it yet, so that choosing a key can only mean its own. */
  readonly isEmpty: boolean;
  /** What choosing a key does here instead of only reading in it, as for tonight's set; left out where it only reads. */
  readonly onKey?: (key: Key) => void;
}

/** Something open that can change while it is. `get` gives the same value until it has changed. */
export interface OpenSource {
  readonly get: () => Opened;
  readonly subscribe: (listener: () => void) => () => void;
}

const NOTHING: Opened = { home: null, resting: null, capos: {}, rehome: null, isEmpty: false };

const listeners = new Set<() => void>();
let sources: readonly OpenSource[] = [];
let leave: (() => void) | null = null;

function tell(): void {
  for (const listener of listeners) listener();
}

function follow(next: readonly OpenSource[]): void {
  sources = next;
  leave?.();
  leave = sources.at(-1)?.subscribe(tell) ?? null;
  tell();
}

/** Opens something; what was opened last is what is read. Comes back with what closes it. */
export function open(source: OpenSource): () => void {
  follow([...sources, source]);
  return () => {
    const place = sources.lastIndexOf(source);
    if (place >= 0) follow(sources.toSpliced(place, 1));
  };
}

/** What is open just now. */
export function openedNow(): Opened {
  return sources.at(-1)?.get() ?? NOTHING;
}

/** Listens to what is open. */
function onOpened(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What is open. */
export function useOpened(): Opened {
  return useSyncExternalStore(onOpened, openedNow);
}
