import { applyChange, type ChartClash, type ChartEdit, compileEdit, type Result, success, type TextChange } from '@aurora/core';
import type { Song } from '@aurora/wire';
import type { QueryClient } from '@tanstack/react-query';
import { ApiFault } from '../api/client.ts';
import { keepSong, saveSong, songKey } from '../api/songs.ts';
import type { Opened, OpenSource } from '../session/opened.ts';
import { copiesHere, guard, PAGE_CLOCK } from './browser-device.ts';
import { CHART_KIND } from './chart-kind.ts';
import type { Saved } from './device-copy.ts';
import { Draft, type DraftState, type SaveFault } from './draft.ts';
import { chartOf } from './open-chart.ts';
import { tellSaved } from './saved-news.ts';

/** A chart that is being worked on. */
export type ChartDraft = Draft<string, TextChange, ChartClash>;
export type ChartDraftState = DraftState<string, ChartClash>;

/** An open song stays open as long as the page does: going to another room forgets nothing, and ends no save. */
const DRAFTS = new Map<string, ChartDraft>();

function savedSong({ source, revision, savedAt }: Song): Saved<string> {
  return { value: source, revision, savedAt };
}

/** The draft of a song; it takes in whatever is fetched of the song from then on. */
export function openSongDraft(queries: QueryClient, bandId: string, song: Song): ChartDraft {
  const known = DRAFTS.get(song.id);
  if (known !== undefined) return known;
  const draft: ChartDraft = new Draft(savedSong(song), CHART_KIND, {
    ...PAGE_CLOCK,
    save: async (source, baseRevision) => {
      const saved = await saveSong(bandId, song.id, { source, baseRevision });
      keepSong(queries, bandId, saved);
      tellSaved(song.id);
      return savedSong(saved);
    },
    faultOf: (error) => saveFault(error, (current) => savedSong(current)),
    copies: copiesHere(CHART_KIND, song.id),
  });
  DRAFTS.set(song.id, draft);
  guard(draft);
  const key = JSON.stringify(songKey(bandId, song.id));
  queries.getQueryCache().subscribe(({ type, query }) => {
    if (type === 'updated' && JSON.stringify(query.queryKey) === key && query.state.data !== undefined)
      draft.adopt(savedSong(query.state.data as Song));
  });
  return draft;
}

function saveFault(error: unknown, savedOf: (current: Song) => Saved<string>): SaveFault<string> {
  const fault = error instanceof ApiFault ? error : new ApiFault(0, String(error));
  const current = fault.problem?.current;
  if (fault.status === 409 && current !== undefined) return { kind: 'stale', current: savedOf(current) };
  const refused = fault.status >= 400 && fault.status < 500 && fault.status !== 429;
  return { kind: refused ? 'refused' : 'away', why: fault.message };
}

/** Does something to the chart as it stands just now; the fault where a bar as typed cannot be read. */
export function edit(draft: Pick<ChartDraft, 'get' | 'write'>, change: ChartEdit): Result<null> {
  const { value } = draft.get();
  const made = compileEdit(chartOf(value), change);
  if (!made.ok) return made;
  const after = made.value === null ? null : applyChange(value, made.value);
  if (after !== null) draft.write(after);
  return success(null);
}

const LENS_SOURCES = new WeakMap<ChartDraft, OpenSource>();

/** An open chart as the lenses need it. */
export function lensSource(draft: ChartDraft): OpenSource {
  const known = LENS_SOURCES.get(draft);
  if (known !== undefined) return known;
  let last: { readonly text: string; readonly opened: Opened } | null = null;
  const source: OpenSource = {
    subscribe: draft.subscribe,
    get: () => {
      const text = draft.get().value;
      if (last?.text === text) return last.opened;
      const { head, bars } = chartOf(text).reading;
      const isEmpty = bars.length === 0;
      const same = last !== null && sameHome(last.opened, head.key, isEmpty) ? last.opened : null;
      const rehome: Opened['rehome'] = last?.opened.rehome ?? ((key, keeps) => void edit(draft, { kind: 'rekey', key, keeps }));
      last = { text, opened: same ?? { home: head.key, resting: null, capos: {}, isEmpty, rehome } };
      return last.opened;
    },
  };
  LENS_SOURCES.set(draft, source);
  return source;
}

function sameHome(before: Opened, home: NonNullable<Opened['home']>, isEmpty: boolean): boolean {
  return before.home?.tonic === home.tonic && before.home.scale === home.scale && before.isEmpty === isEmpty;
}
