import { type SetList, type SetListBody, type Song, setList } from '@aurora/wire';
import { ApiFault } from '../api/client.ts';

/** Where a set stands between this page and the server. */
export type SetStatus =
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' | 'saving' }
  | { readonly kind: 'away' | 'refused'; readonly says: string }
  /** Somebody else saved first. */
  | { readonly kind: 'conflict'; readonly theirs: SetList };

/** A set being worked on: what it is now, what can be taken back, and how it is kept. */
export interface SetDeskState {
  readonly body: SetListBody;
  readonly songs: readonly Song[];
  readonly past: readonly SetListBody[];
  readonly future: readonly SetListBody[];
  readonly status: SetStatus;
}

type Save = (body: SetListBody, baseRevision: number) => Promise<SetList>;

const PAUSE_MS = 500;
const RETRY_MS = 3000;
const MOST_STEPS = 200;

/** Keeps a set: every change can be taken back, and is saved after a pause; while the server is away it is tried again. */
export class SetDesk {
  #state: SetDeskState;
  #revision: number;
  /** When what the server has was saved, as ISO time: a set brought back from a backup begins again at its first revision. */
  #savedAt: string;
  #timer: ReturnType<typeof setTimeout> | null = null;
  readonly #listeners = new Set<() => void>();
  readonly #save: Save;

  constructor(set: SetList, save: Save) {
    this.#revision = set.revision;
    this.#savedAt = set.savedAt;
    this.#save = save;
    this.#state = { body: bodyOf(set), songs: set.songs, past: [], future: [], status: { kind: 'saved' } };
  }

  readonly get = (): SetDeskState => this.#state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Changes the set; `songs` are those newly in it. */
  readonly change = (to: (body: SetListBody) => SetListBody, songs: readonly Song[] = []): void => {
    const { body, past, songs: known } = this.#state;
    const next = to(body);
    if (next === body) return;
    const fresh = songs.filter(({ id }) => known.every((one) => one.id !== id));
    this.#put({ body: next, songs: [...known, ...fresh], past: [...past, body].slice(-MOST_STEPS), future: [] });
    this.#later(PAUSE_MS);
  };

  readonly undo = (): void => {
    const { body, past, future } = this.#state;
    const before = past.at(-1);
    if (before === undefined) return;
    this.#put({ body: before, past: past.slice(0, -1), future: [body, ...future] });
    this.#later(PAUSE_MS);
  };

  readonly redo = (): void => {
    const { body, past, future } = this.#state;
    const [next, ...rest] = future;
    if (next === undefined) return;
    this.#put({ body: next, past: [...past, body], future: rest });
    this.#later(PAUSE_MS);
  };

  /** After somebody else saved: what is here goes over theirs, or theirs is taken; either can be taken back. */
  readonly settle = (keep: 'mine' | 'theirs'): void => {
    const { status, body, past } = this.#state;
    if (status.kind !== 'conflict') return;
    this.#stand(status.theirs);
    if (keep === 'mine') {
      this.#put({ status: { kind: 'waiting' } });
      this.#later(0);
      return;
    }
    this.#put({ body: bodyOf(status.theirs), songs: status.theirs.songs, past: [...past, body], future: [], status: { kind: 'saved' } });
  };

  /**
   * Takes over what the server has now: the set where nothing of this page waits to be saved, its songs
   * always, whose charts may have been changed meanwhile.
   */
  readonly adopt = (set: SetList): void => {
    const { status, body, past, songs } = this.#state;
    if (set.savedAt < this.#savedAt) return;
    if (status.kind === 'saved' && set.savedAt > this.#savedAt) {
      this.#stand(set);
      this.#put({ body: bodyOf(set), songs: set.songs, past: [...past, body], future: [] });
    } else if (set.songs.some((song) => changedIn(songs, song)))
      this.#put({ songs: [...set.songs, ...songs.filter(({ id }) => set.songs.every((song) => song.id !== id))] });
  };

  /** Saves at once what is not saved yet. */
  readonly flush = (): void => {
    if (this.#timer === null) return;
    clearTimeout(this.#timer);
    void this.#saveNow();
  };

  #stand({ revision, savedAt }: SetList): void {
    this.#revision = revision;
    this.#savedAt = savedAt;
  }

  #put(change: Partial<SetDeskState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }

  #later(ms: number): void {
    const { kind } = this.#state.status;
    if (kind === 'conflict') return;
    if (kind !== 'saving' && kind !== 'away') this.#put({ status: { kind: 'waiting' } });
    if (this.#timer !== null) clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#saveNow(), ms);
  }

  async #saveNow(): Promise<void> {
    this.#timer = null;
    if (this.#state.status.kind === 'saving') {
      this.#later(PAUSE_MS);
      return;
    }
    const { body } = this.#state;
    this.#put({ status: { kind: 'saving' } });
    try {
      const saved = await this.#save(body, this.#revision);
      this.#stand(saved);
      this.#put({ songs: saved.songs, status: { kind: 'saved' } });
      if (this.#state.body !== body) this.#later(PAUSE_MS);
    } catch (fault) {
      this.#put({ status: statusOf(fault) });
      if (this.#state.status.kind === 'away') this.#later(RETRY_MS);
    }
  }
}

function statusOf(fault: unknown): SetStatus {
  if (!(fault instanceof ApiFault)) return { kind: 'away', says: 'Not saved yet.' };
  const theirs = setList.safeParse(fault.problem?.currentSet);
  if (theirs.success) return { kind: 'conflict', theirs: theirs.data };
  if (fault.status === 0 || fault.status >= 500) return { kind: 'away', says: 'The server does not answer; not saved yet.' };
  return { kind: 'refused', says: fault.message };
}

/** Whether a song is not here, or its chart was saved after the one that is. */
function changedIn(songs: readonly Song[], { id, savedAt }: Song): boolean {
  const here = songs.find((song) => song.id === id);
  return here === undefined || here.savedAt < savedAt;
}

function bodyOf({ name, place, startsAt, gapSeconds, entries }: SetList): SetListBody {
  return { name, place, startsAt, gapSeconds, entries };
}
