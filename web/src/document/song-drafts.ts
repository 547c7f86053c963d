import { applyChange, type ChartClash, type ChartEdit, compileEdit, type Result, success, type TextChange } from '@aurora/core';
import type { Song } from '@aurora/wire';
import { keepSong, saveSong, songKey } from '../api/songs.ts';
import type { Opened, OpenSource } from '../session/opened.ts';
import { asApiFault, verdictOn } from './answers.ts';
import { copiesHere, PAGE_CLOCK } from './browser-device.ts';
import { CHART_KIND } from './chart-kind.ts';
import type { Saved } from './device-copy.ts';
import { Draft, type DraftState } from './draft.ts';
import { chartOf } from './open-chart.ts';
import type { DocumentKind } from './open-documents.ts';

/** A chart that is being worked on. */
export type ChartDraft = Draft<string, TextChange, ChartClash>;
export type ChartDraftState = DraftState<string, ChartClash>;

function savedSong({ source, revision, savedAt }: Song): Saved<string> {
  return { value: source, revision, savedAt };
}

/** The chart of a song. */
export const SONG_DOCUMENT: DocumentKind<Song, ChartDraft> = {
  name: 'song',
  key: ({ bandId, id }) => songKey(bandId, id),
  adopt: (draft, song) => draft.adopt(savedSong(song)),
  open: (queries, { bandId, id }, song) =>
    new Draft(savedSong(song), CHART_KIND, {
      ...PAGE_CLOCK,
      copies: copiesHere(CHART_KIND, { bandId, id }),
      save: async (source, baseRevision) => {
        const saved = await saveSong(bandId, id, { source, baseRevision });
        keepSong(queries, bandId, saved);
        return savedSong(saved);
      },
      faultOf: (error) => {
        const current = asApiFault(error).problem?.current;
        return current === undefined ? verdictOn(error) : { current: savedSong(current) };
      },
    }),
};

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

/** An open chart as the lenses need it; for who only reads it has no other home. */
export function lensSource(draft: ChartDraft, mayWrite: boolean): OpenSource {
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
      const rekey: Opened['rehome'] = (key, keeps) => void edit(draft, { kind: 'rekey', key, keeps });
      const rehome = mayWrite ? (last?.opened.rehome ?? rekey) : null;
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
