import { type SetList, type SetListBody, type Song, setList } from '@aurora/wire';
import { asApiFault, verdictOn } from './answers.ts';
import type { DeviceCopies, Saved } from './device-copy.ts';
import { Draft, type DraftDeps, type DraftStatus, type SaveFault } from './draft.ts';
import { type FieldClash, takeTheirs } from './merge-values.ts';
import { SET_KIND, type SetStep } from './set-kind.ts';

type SetStatus = DraftStatus<SetListBody, FieldClash>;

/** A set being worked on: what it is now, the charts in it, and how it is kept. */
export interface SetDeskState {
  readonly body: SetListBody;
  readonly songs: readonly Song[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly isKept: boolean;
  readonly status: SetStatus;
}

type Save = (body: SetListBody, baseRevision: number) => Promise<SetList>;

/** A set's draft, with the charts of its songs beside it. */
export class SetDesk {
  readonly #draft: Draft<SetListBody, SetStep, FieldClash>;
  readonly #listeners = new Set<() => void>();
  #songs: readonly Song[];
  #state: SetDeskState;

  constructor(
    set: SetList,
    save: Save,
    deps: Pick<DraftDeps<SetListBody>, 'now' | 'setTimer' | 'clearTimer'> & { readonly copies: DeviceCopies<SetListBody> },
  ) {
    this.#songs = set.songs;
    this.#draft = new Draft(savedSet(set), SET_KIND, {
      ...deps,
      save: async (body, base) => {
        const saved = await save(body, base);
        this.#take(saved.songs);
        return savedSet(saved);
      },
      faultOf: (error) => this.#faultOf(error),
    });
    this.#state = this.#read();
    this.#draft.subscribe(() => this.#tell());
  }

  /** What closed tabs left behind has been taken up. */
  get ready(): Promise<void> {
    return this.#draft.ready;
  }

  readonly get = (): SetDeskState => this.#state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Changes the set as it stands just now. */
  readonly change = (to: (body: SetListBody) => SetListBody): void => this.#draft.write(to(this.#draft.get().value));

  /** Takes in charts of songs that are newly in the set. */
  readonly bring = (songs: readonly Song[]): void =>
    this.#take([...this.#songs.filter(({ id }) => songs.every((one) => one.id !== id)), ...songs]);

  readonly undo = (): void => this.#draft.undo();
  readonly redo = (): void => this.#draft.redo();
  readonly flush = (): Promise<void> => this.#draft.flush();

  /** Ends a conflict: what both changed is as it is here, except for the clashes where theirs was chosen. Everything else of both is in already. */
  readonly settle = (theirs: readonly FieldClash[]): void => {
    const { status, body } = this.#state;
    if (status.kind === 'conflict') this.#draft.resolve(takeTheirs(body, theirs));
  };

  /** Takes in what the server has now: the set where it is newer, its songs wherever their charts are. */
  readonly adopt = (set: SetList): void => {
    this.#take(set.songs);
    this.#draft.adopt(savedSet(set));
  };

  #take(songs: readonly Song[]): void {
    if (!songs.some((song) => isNewer(this.#songs, song))) return;
    const newest = songs.map((song) => (isNewer(this.#songs, song) ? song : (this.#songs.find(({ id }) => id === song.id) as Song)));
    this.#songs = [...newest, ...this.#songs.filter(({ id }) => songs.every((song) => song.id !== id))];
    this.#tell();
  }

  #faultOf(error: unknown): SaveFault<SetListBody> {
    const fault = asApiFault(error);
    const theirs = setList.safeParse(fault.problem?.currentSet);
    if (fault.status === 409 && theirs.success) {
      this.#take(theirs.data.songs);
      return { current: savedSet(theirs.data) };
    }
    return verdictOn(error);
  }

  #read(): SetDeskState {
    const { value, status, isKept, canUndo, canRedo } = this.#draft.get();
    return { body: value, songs: this.#songs, status, isKept, canUndo, canRedo };
  }

  #tell(): void {
    this.#state = this.#read();
    for (const listener of this.#listeners) listener();
  }
}

/** Whether a song is not here yet, or is a later revision of the one that is. */
function isNewer(songs: readonly Song[], { id, revision }: Song): boolean {
  const here = songs.find((song) => song.id === id);
  return here === undefined || here.revision < revision;
}

function savedSet({ name, place, startsAt, date, gapSeconds, entries, revision, savedAt }: SetList): Saved<SetListBody> {
  return { value: { name, place, startsAt, date, gapSeconds, entries }, revision, savedAt };
}
