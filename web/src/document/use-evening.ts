import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { useMembers } from '../api/members.ts';
import { setKey, useSet, useSets } from '../api/sets.ts';
import { useBand } from '../api/songs.ts';
import { useTonight } from '../session/tonight-store.ts';
import { type EveningView, viewEvening } from './evening-view.ts';
import { onSavedElsewhere } from './saved-news.ts';
import type { SetDesk, SetDeskState } from './set-desk.ts';
import { openSetDesk } from './set-desks.ts';

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
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const sets = useSets();
  const { setId: chosen } = useTonight();
  const setId = sets.data?.find(({ id }) => id === chosen)?.id ?? sets.data?.[0]?.id ?? null;
  const { data: set, error } = useSet(setId);
  const members = useMembers();
  const desk = useMemo(() => (set === undefined ? null : openSetDesk(queries, bandId, set)), [set, bandId, queries]);
  useEffect(() => {
    if (setId === null) return;
    return onSavedElsewhere((id) => id === setId && void queries.invalidateQueries({ queryKey: setKey(bandId, setId) }));
  }, [queries, bandId, setId]);
  useEffect(() => () => void desk?.flush(), [desk]);
  const state = useSyncExternalStore(desk?.subscribe ?? NEVER, desk?.get ?? NO_STATE);
  const view = useMemo(() => (state === null ? null : viewEvening(state.body, state.songs, members ?? [])), [state, members]);
  const tonight = desk === null || state === null || view === null || setId === null ? null : { ...view, setId, desk, state };
  return {
    tonight,
    waiting: sets.isPending || (setId !== null && tonight === null),
    fault: tonight === null ? ((sets.error ?? error)?.message ?? null) : null,
  };
}
