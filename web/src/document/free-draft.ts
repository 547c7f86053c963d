import type { Key } from '@aurora/core';
import { z } from 'zod';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';
import type { Opened, OpenSource } from '../session/opened.ts';
import { HELP_WORDS } from '../wording/help.ts';
import { copiesHere, PAGE, PAGE_CLOCK } from './browser-device.ts';
import { CHART_KIND } from './chart-kind.ts';
import { Draft } from './draft.ts';
import { heardAtHome } from './heard.ts';
import { chartOf } from './open-chart.ts';
import type { ChartDraft } from './song-drafts.ts';

const CHORDS: RecordForm<string> = { name: 'aurora-chords', schema: z.string(), upgrades: [(text) => text] };
const FREE_KIND = { ...CHART_KIND, name: 'free' };

let draft: ChartDraft | null = null;

/** Chords somebody is working out that belong to no song yet. They stay on this device. */
export function freeDraft(): ChartDraft {
  if (draft !== null) return draft;
  const saved = { value: device.get(CHORDS) ?? '', revision: 1, savedAt: '' };
  const chords: ChartDraft = new Draft(saved, FREE_KIND, {
    ...PAGE_CLOCK,
    save: async (value, revision) => {
      if (!device.put(CHORDS, value)) throw new Error('no room');
      return { value, revision: revision + 1, savedAt: new Date().toISOString() };
    },
    faultOf: () => ({ isFinal: true, why: HELP_WORDS.thisDeviceHasNoRoomLeft, againMs: null }),
    copies: copiesHere(FREE_KIND, { bandId: null, id: 'chords' }),
  });
  PAGE.onLeaving(() => void chords.flush());
  PAGE.onClosing(() => chords.get().status.kind !== 'saved' && !chords.get().isKept);
  draft = chords;
  return chords;
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
