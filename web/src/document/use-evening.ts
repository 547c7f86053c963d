import { useMemo, useSyncExternalStore } from 'react';
import { useMembers } from '../api/members.ts';
import { useFollowing } from '../api/news/news-state.ts';
import { useSet, useSets } from '../api/sets.ts';
import { useBand } from '../api/songs.ts';
import { useTonight } from '../session/tonight-store.ts';
import { type EveningView, viewEvening } from './evening-view.ts';
import type { SetDesk, SetDeskState } from './set-desk.ts';
import { SET_DOCUMENT } from './set-desks.ts';
import { useOpenDocument } from './use-open-document.ts';

/** Tonight's set on its desk, worked out. */
export interface Tonight extends EveningView {
  readonly setId: string;
  readonly desk: SetDesk;
  readonly state: SetDeskState;
}

export interface TonightAnswer {
  readonly tonight: Tonight | null;
  /** Whether it is still being fetched; without a set it is not. */
  readonly waiting: boolean;
  readonly fault: string | null;
}

const NO_STATE = () => null;
const NEVER = () => () => undefined;

/** The set this device works on. */
export function useTonightSet(): TonightAnswer {
  const bandId = useBand().data?.id;
  const sets = useSets();
  const { setId: chosen } = useTonight();
  const setId = sets.data?.find(({ id }) => id === chosen)?.id ?? sets.data?.[0]?.id ?? null;
  const { data: set, error } = useSet(setId, useFollowing());
  const members = useMembers();
  const desk = useOpenDocument(SET_DOCUMENT, bandId, setId, set);
  const state = useSyncExternalStore(desk?.subscribe ?? NEVER, desk?.get ?? NO_STATE);
  const view = useMemo(() => (state === null ? null : viewEvening(state.body, state.songs, members ?? [])), [state, members]);
  const tonight = desk === null || state === null || view === null || setId === null ? null : { ...view, setId, desk, state };
  return {
    tonight,
    waiting: sets.isPending || (setId !== null && tonight === null),
    fault: tonight === null ? ((sets.error ?? error)?.message ?? null) : null,
  };
}
