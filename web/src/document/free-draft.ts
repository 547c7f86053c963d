import type { Key } from '@aurora/core';
import type { Opened, OpenSource } from '../session/opened.ts';
import { HELP_WORDS } from '../wording/help.ts';
import { copiesHere, guard, PAGE_CLOCK } from './browser-device.ts';
import { CHART_KIND } from './chart-kind.ts';
import { Draft } from './draft.ts';
import { heardAtHome } from './heard.ts';
import { chartOf } from './open-chart.ts';
import type { ChartDraft } from './song-drafts.ts';

const PLACE = 'aurora-chords';
const FREE_KIND = { ...CHART_KIND, name: 'free' };

let draft: ChartDraft | null = null;

/** Chords somebody is working out that belong to no song yet. They stay on this device. */
export function freeDraft(): ChartDraft {
  if (draft !== null) return draft;
  const saved = { value: localStorage.getItem(PLACE) ?? '', revision: 1, savedAt: '' };
  draft = new Draft(saved, FREE_KIND, {
    ...PAGE_CLOCK,
    save: async (value, revision) => {
      localStorage.setItem(PLACE, value);
      return { value, revision: revision + 1, savedAt: new Date().toISOString() };
    },
    faultOf: () => ({ kind: 'refused', why: HELP_WORDS.thisDeviceHasNoRoomLeft }),
    copies: copiesHere(FREE_KIND, 'chords'),
  });
  guard(draft);
  return draft;
}

/** A text longer than this is not heard for its key: it is in the key its head names. */
const LONG_TEXT = 1500;

let source: OpenSource | null = null;

/** The typed chords as the lenses need them: their home is the key they are heard in. */
export function freeSource(): OpenSource {
  if (source !== null) return source;
  const chords = freeDraft();
  let last: { readonly text: string; readonly opened: Opened } | null = null;
  source = {
    subscribe: chords.subscribe,
    get: () => {
      const text = chords.get().value;
      if (last?.text !== text) last = { text, opened: { home: homeOf(text), resting: null, capos: {}, rehome: null, isEmpty: false } };
      return last.opened;
    },
  };
  return source;
}

function homeOf(text: string): Key | null {
  const head = chartOf(text).reading.head;
  if (head.keyNamed || text.length > LONG_TEXT) return head.key;
  const { progression, keys } = heardAtHome(text);
  return progression.keyGiven ? head.key : (keys[0]?.key ?? null);
}
