import type { SetList } from '@aurora/wire';
import type { QueryClient } from '@tanstack/react-query';
import { saveSet, setKey } from '../api/sets.ts';
import { copiesHere, guard, PAGE_CLOCK } from './browser-device.ts';
import { tellSaved } from './saved-news.ts';
import { SetDesk } from './set-desk.ts';
import { SET_KIND } from './set-kind.ts';

/** Desks stay as long as the page does, and with them what can be taken back. */
const DESKS = new Map<string, SetDesk>();

/** The desk of a set; it takes in whatever is fetched of the set from then on. */
export function openSetDesk(queries: QueryClient, bandId: string, set: SetList): SetDesk {
  const known = DESKS.get(set.id);
  if (known !== undefined) return known;
  const save: ConstructorParameters<typeof SetDesk>[1] = async (body, base) => {
    const saved = await saveSet(bandId, set.id, body, base);
    queries.setQueryData(setKey(bandId, set.id), saved);
    tellSaved(set.id);
    return saved;
  };
  const desk = new SetDesk(set, save, { ...PAGE_CLOCK, copies: copiesHere(SET_KIND, set.id) });
  DESKS.set(set.id, desk);
  guard(desk);
  const key = JSON.stringify(setKey(bandId, set.id));
  queries.getQueryCache().subscribe(({ type, query }) => {
    if (type === 'updated' && JSON.stringify(query.queryKey) === key && query.state.data !== undefined)
      desk.adopt(query.state.data as SetList);
  });
  return desk;
}
