import type { Song } from '@aurora/wire';
import { ApiFault } from '../api/client.ts';

/** Where a draft stands: what the save state shows. */
export type DraftStatus =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  /** The server does not answer; the text is kept on this device and tried again. */
  | { readonly kind: 'away' }
  /** The server will not take this text; `why` says what to change. */
  | { readonly kind: 'refused'; readonly why: string }
  /** Somebody saved meanwhile: both texts are kept until one is chosen. */
  | { readonly kind: 'conflict'; readonly theirs: Song };

export interface DraftState {
  readonly text: string;
  readonly status: DraftStatus;
}

export interface DraftDeps {
  readonly save: (source: string, baseRevision: number) => Promise<Song>;
  readonly storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
  readonly onSaved: (song: Song) => void;
  readonly setTimer: (work: () => void, ms: number) => number;
  readonly clearTimer: (timer: number) => void;
}

const PAUSE_MS = 700;
const RETRY_MS = 2500;

interface StoredDraft {
  readonly text: string;
  readonly baseRevision: number;
}

/**
 * Keeps one song's text safe: every change is stored on the device at once and saved to the server
 * after a short pause. What the server does not take stays here until it does.
 */
export class DraftKeeper {
  private state: DraftState;
  private baseRevision: number;
  private savedText: string;
  private timer: number | null = null;
  private inFlight = false;
  private readonly listeners = new Set<() => void>();
  private readonly songId: string;
  private readonly deps: DraftDeps;

  constructor(song: Song, deps: DraftDeps) {
    this.songId = song.id;
    this.deps = deps;
    this.baseRevision = song.revision;
    this.savedText = song.source;
    this.state = { text: song.source, status: { kind: 'saved', at: song.savedAt } };
    this.recover(song);
  }

  readonly get = (): DraftState => this.state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Takes a new text. */
  readonly write = (text: string): void => {
    if (text === this.state.text) return;
    const { status } = this.state;
    this.store(text);
    // a conflict stays until somebody chooses, whatever is typed meanwhile
    this.set({ text, status: status.kind === 'conflict' ? status : { kind: 'waiting' } });
    if (status.kind !== 'conflict') this.later(PAUSE_MS);
  };

  /** Ends a conflict: with `mine` this text goes on top of theirs, with `theirs` it gives way. Both stay in the history. */
  readonly resolve = (choice: 'mine' | 'theirs'): void => {
    const { status } = this.state;
    if (status.kind !== 'conflict') return;
    this.baseRevision = status.theirs.revision;
    if (choice === 'mine') {
      void this.flush();
      return;
    }
    this.settle(status.theirs, status.theirs.source);
  };

  /** Ends a conflict with a text made of both; it goes on top of theirs. */
  readonly merge = (text: string): void => {
    const { status } = this.state;
    if (status.kind !== 'conflict') return;
    this.baseRevision = status.theirs.revision;
    this.store(text);
    this.set({ text, status: { kind: 'waiting' } });
    void this.flush();
  };

  /** Saves now instead of after the pause; used before the page is left. */
  readonly flush = async (): Promise<void> => {
    this.cancel();
    if (this.inFlight) return;
    const { text } = this.state;
    if (text === this.savedText) return;
    this.inFlight = true;
    this.set({ text, status: { kind: 'saving' } });
    try {
      const song = await this.deps.save(text, this.baseRevision);
      this.inFlight = false;
      this.baseRevision = song.revision;
      this.savedText = song.source;
      this.settle(song, this.state.text);
    } catch (error) {
      this.inFlight = false;
      this.fail(error);
    }
  };

  /** Stops the timers. The text stays on the device if it is not saved. */
  readonly close = (): void => this.cancel();

  private settle(song: Song, text: string): void {
    this.savedText = song.source;
    this.deps.onSaved(song);
    if (text === song.source) {
      this.deps.storage.removeItem(this.place());
      this.set({ text, status: { kind: 'saved', at: song.savedAt } });
      return;
    }
    // typed on while the save was on its way
    this.store(text);
    this.set({ text, status: { kind: 'waiting' } });
    this.later(PAUSE_MS);
  }

  private fail(error: unknown): void {
    const { text } = this.state;
    const fault = error instanceof ApiFault ? error : new ApiFault(0, String(error));
    const theirs = fault.problem?.current;
    if (fault.status === 409 && theirs !== undefined) {
      this.set({ text, status: { kind: 'conflict', theirs } });
    } else if (fault.status >= 400 && fault.status < 500 && fault.status !== 429) {
      this.set({ text, status: { kind: 'refused', why: fault.message } });
    } else {
      this.set({ text, status: { kind: 'away' } });
      this.later(RETRY_MS);
    }
  }

  /** Takes up what an earlier visit could not save. */
  private recover(song: Song): void {
    const draft = this.stored();
    if (draft === null || draft.text === song.source) return;
    this.baseRevision = draft.baseRevision;
    const stale = draft.baseRevision !== song.revision;
    this.state = { text: draft.text, status: stale ? { kind: 'conflict', theirs: song } : { kind: 'waiting' } };
    if (!stale) this.later(PAUSE_MS);
  }

  private stored(): StoredDraft | null {
    try {
      const draft: unknown = JSON.parse(this.deps.storage.getItem(this.place()) ?? 'null');
      return isDraft(draft) ? draft : null;
    } catch {
      return null;
    }
  }

  private store(text: string): void {
    try {
      this.deps.storage.setItem(this.place(), JSON.stringify({ text, baseRevision: this.baseRevision } satisfies StoredDraft));
    } catch {
      // a device without room keeps nothing; the server still gets the text
    }
  }

  private place(): string {
    return `aurora-draft-${this.songId}`;
  }

  private later(ms: number): void {
    this.cancel();
    this.timer = this.deps.setTimer(() => void this.flush(), ms);
  }

  private cancel(): void {
    if (this.timer !== null) this.deps.clearTimer(this.timer);
    this.timer = null;
  }

  private set(state: DraftState): void {
    this.state = state;
    for (const listener of this.listeners) listener();
  }
}

function isDraft(value: unknown): value is StoredDraft {
  if (typeof value !== 'object' || value === null) return false;
  const { text, baseRevision } = value as Partial<StoredDraft>;
  return typeof text === 'string' && typeof baseRevision === 'number';
}
