import type { Verdict } from './answers.ts';
import type { DeviceCopies, DeviceCopy, Saved } from './device-copy.ts';
import type { DraftKind } from './draft-kind.ts';
import { doneAgain, type History, historyOf, keptHistory, type Moved, NO_HISTORY, rebased, takenBack, written } from './history.ts';

/** Where a draft stands between this page and the server. */
export type DraftStatus<T, Clash> =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' | 'saving' }
  /** The server does not answer; it is tried again. */
  | { readonly kind: 'away'; readonly why: string }
  /** The server will not take this; `why` says what to change. */
  | { readonly kind: 'refused'; readonly why: string }
  /** Somebody changed the same meanwhile: both are kept until one is chosen. */
  | { readonly kind: 'conflict'; readonly base: T; readonly theirs: Saved<T>; readonly clashes: readonly Clash[] };

export interface DraftState<T, Clash> {
  readonly value: T;
  readonly status: DraftStatus<T, Clash>;
  /** Whether what the server does not have is kept on this device. */
  readonly isKept: boolean;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** What came of a save that was not taken: somebody saved before, with what they saved, or what is said of the answer. */
export type SaveFault<T> = { readonly current: Saved<T> } | Verdict;

export interface DraftDeps<T> {
  readonly save: (value: T, baseRevision: number) => Promise<Saved<T>>;
  readonly faultOf: (error: unknown) => SaveFault<T>;
  readonly copies: DeviceCopies<T>;
  readonly now: () => number;
  readonly setTimer: (work: () => void, ms: number) => number;
  readonly clearTimer: (timer: number) => void;
}

const PAUSE_MS = 600;
const RETRY_MS = 2000;
const MOST_RETRY_MS = 20_000;
/** Answers that never came, remembered so that nobody is in conflict with themselves. */
const MOST_SENT = 4;

/**
 * Keeps one document safe while it is worked on: its base on the server, one's own edits on top,
 * and what others saved taken in as it comes. Every change is kept on the device at once and saved
 * after a short pause; it can be taken back, also after the page was loaded again.
 */
export class Draft<T, Step, Clash> {
  readonly #kind: DraftKind<T, Step, Clash>;
  readonly #deps: DraftDeps<T>;
  readonly #listeners = new Set<() => void>();
  #base: Saved<T>;
  #sent: readonly T[] = [];
  #history: History<Step> = NO_HISTORY;
  /** What could be taken back before the page was loaded again, while only an older answer is here. */
  #parked: { readonly of: T; readonly revision: number; readonly history: History<Step> } | null = null;
  #state: DraftState<T, Clash>;
  #timer: number | null = null;
  #saving: Promise<void> | null = null;
  #retryMs = RETRY_MS;
  /** What closed tabs left behind has been taken up. */
  readonly ready: Promise<void>;

  constructor(saved: Saved<T>, kind: DraftKind<T, Step, Clash>, deps: DraftDeps<T>) {
    this.#kind = kind;
    this.#deps = deps;
    this.#base = saved;
    this.#state = { value: saved.value, status: { kind: 'saved', at: saved.savedAt }, isKept: true, canUndo: false, canRedo: false };
    const own = deps.copies.own();
    if (own !== null) this.#recover(own);
    this.#parked = this.#keptHistory();
    this.#takeUpHistory();
    this.ready = deps.copies.leftBehind().then((copies) => {
      for (const copy of copies) this.#recover(copy);
    });
  }

  readonly get = (): DraftState<T, Clash> => this.#state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Takes a new value. Letters typed one after the other are taken back together. */
  readonly write = (value: T, typed = false): void => {
    const before = this.#state.value;
    if (this.#kind.equal(before, value)) return;
    this.#parked = null;
    const how = { before, after: value, typed, at: this.#deps.now() };
    this.#setHistory(written(this.#history, how, this.#kind.steps));
    this.#own(value);
  };

  readonly undo = (): void => this.#move(takenBack(this.#history, this.#state.value, this.#kind.steps));
  readonly redo = (): void => this.#move(doneAgain(this.#history, this.#state.value, this.#kind.steps));

  /** Takes in what the server has now, if that is newer: as it is, or put together with what is not saved yet. */
  readonly adopt = (saved: Saved<T>): void => {
    const { status } = this.#state;
    const known = status.kind === 'conflict' ? status.theirs : this.#base;
    if (this.#saving !== null || saved.revision <= known.revision) return;
    this.#takeIn(saved);
    if (this.#state.status.kind === 'waiting') this.#later(PAUSE_MS);
  };

  /** Ends a conflict with a value made of both; it goes on top of theirs. */
  readonly resolve = (value: T): void => {
    const { status } = this.#state;
    if (status.kind !== 'conflict') return;
    this.#base = status.theirs;
    this.#sent = [];
    this.#put({ status: { kind: 'waiting' } });
    this.write(value);
    if (this.#isSaved()) this.#settled();
    else void this.flush();
  };

  /** Saves at once what is not saved yet; comes back when the server has answered. */
  readonly flush = async (): Promise<void> => {
    this.#cancel();
    this.#keepHistory();
    if (this.#saving !== null) await this.#saving;
    if (this.#state.status.kind === 'conflict') return;
    if (this.#isSaved()) {
      if (this.#state.status.kind !== 'saved') this.#settled();
      return;
    }
    this.#saving ??= this.#save().finally(() => {
      this.#saving = null;
    });
    await this.#saving;
    if (this.#state.status.kind === 'waiting') this.#later(PAUSE_MS);
  };

  /** A value of one's own: kept here, and saved after a pause. */
  #own(value: T): void {
    const { kind } = this.#state.status;
    this.#put({ value });
    this.#keep();
    // a conflict stays until somebody chooses, whatever is typed meanwhile
    if (kind === 'conflict') return;
    if (kind !== 'saving' && kind !== 'away') this.#put({ status: { kind: 'waiting' } });
    this.#later(PAUSE_MS);
  }

  #move(moved: Moved<T, Step> | null): void {
    if (moved === null) return;
    this.#setHistory(moved.history);
    this.#own(moved.value);
  }

  async #save(): Promise<void> {
    const { value } = this.#state;
    this.#sent = [...this.#sent.filter((one) => !this.#kind.equal(one, value)), value].slice(-MOST_SENT);
    this.#keep();
    this.#put({ status: { kind: 'saving' } });
    try {
      this.#land(await this.#deps.save(value, this.#base.revision), value);
    } catch (error) {
      this.#fail(this.#deps.faultOf(error));
    }
  }

  /** The server has what was sent. */
  #land(saved: Saved<T>, sent: T): void {
    this.#retryMs = RETRY_MS;
    this.#sent = [];
    // the server may keep it a little otherwise, a name without spaces around it
    const isSame = this.#kind.equal(saved.value, sent);
    this.#base = isSame ? saved : { ...saved, value: sent };
    if (!isSame) this.#takeIn(saved);
    else if (this.#isSaved()) this.#settled();
    else {
      this.#keep();
      this.#put({ status: { kind: 'waiting' } });
    }
  }

  #fail(fault: SaveFault<T>): void {
    if ('current' in fault) {
      this.#takeIn(fault.current);
      return;
    }
    const { isFinal, why, againMs } = fault;
    this.#put({ status: { kind: isFinal ? 'refused' : 'away', why } });
    if (isFinal) return;
    this.#later(Math.max(this.#retryMs, againMs ?? 0));
    this.#retryMs = Math.min(MOST_RETRY_MS, this.#retryMs * 2);
  }

  /** Puts what others saved together with what is here. */
  #takeIn(saved: Saved<T>): void {
    const { equal, merge, steps } = this.#kind;
    // a save whose answer was lost is one's own
    const base = this.#sent.find((one) => equal(one, saved.value)) ?? this.#base.value;
    const before = this.#state.value;
    const { value, clashes } = equal(base, before) ? { value: saved.value, clashes: [] } : merge(base, before, saved.value);
    this.#setHistory(rebased(this.#history, before, value, steps));
    this.#put({ value });
    if (clashes.length > 0) {
      // the base stays: what was made of it is still to be decided, also after the page was loaded again
      this.#keep();
      this.#put({ status: { kind: 'conflict', base, theirs: saved, clashes } });
      return;
    }
    this.#base = saved;
    this.#sent = [];
    this.#takeUpHistory();
    if (this.#isSaved()) this.#settled();
    else {
      this.#keep();
      this.#put({ status: { kind: 'waiting' } });
    }
  }

  /** Takes up what could not be saved before the page was left. */
  #recover(copy: DeviceCopy<T>): void {
    const { equal, merge } = this.#kind;
    const theirs = this.#base;
    const mine = this.#state.value;
    if (equal(copy.value, mine)) return;
    const base = copy.sent.find((one) => equal(one, theirs.value)) ?? copy.base.value;
    // an answer may still be on its way to a page that is gone
    this.#sent = copy.sent;
    const { value, clashes } = merge(base, copy.value, mine);
    this.#setHistory(rebased(this.#history, mine, value, this.#kind.steps));
    if (clashes.length === 0) {
      this.#own(value);
      return;
    }
    this.#base = copy.base;
    this.#put({ value });
    this.#keep();
    this.#put({ status: { kind: 'conflict', base, theirs: { ...theirs, value: mine }, clashes } });
  }

  /** Whether the server has what is here; with an answer lost on the way nobody knows. */
  #isSaved(): boolean {
    return this.#sent.length === 0 && this.#kind.equal(this.#state.value, this.#base.value);
  }

  #settled(): void {
    this.#deps.copies.drop();
    this.#keepHistory();
    this.#put({ status: { kind: 'saved', at: this.#base.savedAt }, isKept: true });
  }

  #keep(): void {
    const { value } = this.#state;
    const isKept = this.#deps.copies.put({ value, base: this.#base, sent: this.#sent });
    if (isKept !== this.#state.isKept) this.#put({ isKept });
  }

  #keepHistory(): void {
    if (this.#parked !== null) return;
    const { steps, write } = this.#kind;
    this.#deps.copies.putHistory({ of: write(this.#state.value), revision: this.#base.revision, ...keptHistory(this.#history, steps) });
  }

  #keptHistory() {
    const kept = this.#deps.copies.history();
    const of = kept === null ? undefined : this.#kind.read(kept.of);
    return kept === null || of === undefined ? null : { of, revision: kept.revision, history: historyOf(kept, this.#kind.steps) };
  }

  /** What was done before the page was loaded again can be taken back from what it led to, or from what others made of that. */
  #takeUpHistory(): void {
    if (this.#parked === null) return;
    const { of, revision, history } = this.#parked;
    const { value } = this.#state;
    if (!this.#kind.equal(of, value) && this.#base.revision <= revision) return;
    this.#parked = null;
    this.#setHistory(rebased(history, of, value, this.#kind.steps));
  }

  #setHistory(history: History<Step>): void {
    this.#history = history;
    this.#put({ canUndo: history.done.length > 0, canRedo: history.undone.length > 0 });
  }

  #later(ms: number): void {
    this.#cancel();
    this.#timer = this.#deps.setTimer(() => void this.flush(), ms);
  }

  #cancel(): void {
    if (this.#timer !== null) this.#deps.clearTimer(this.#timer);
    this.#timer = null;
  }

  #put(change: Partial<DraftState<T, Clash>>): void {
    const keys = Object.keys(change) as (keyof DraftState<T, Clash>)[];
    if (keys.every((key) => change[key] === this.#state[key])) return;
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }
}
