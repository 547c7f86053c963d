import type { SetList, SetListBody, Song } from '@aurora/wire';
import type { DeviceCopies } from '../document/device-copy.ts';
import { viewEvening } from '../document/evening-view.ts';
import { SetDesk } from '../document/set-desk.ts';
import type { Tonight } from '../document/use-evening.ts';

const [HARBOR, KELP, GRAVEL] = ['a', 'b', 'c'].map((end) => `00000000-0000-4000-8000-00000000000${end}`) as [string, string, string];

const song = (id: string, source: string): Song => ({
  id,
  title: /title: (.*)/.exec(source)?.[1] ?? '',
  by: '',
  key: 'D',
  tempo: null,
  bars: 4,
  opening: [],
  ridge: [],
  tags: [],
  archived: false,
  revision: 1,
  savedAt: '2026-01-01T00:00:00.000Z',
  source,
});

/** Songs of the demo band, short. */
const SONGS: readonly Song[] = [
  song(HARBOR, 'title: Harbor Wall\nkey: D\ntempo: 92\n\n[Verse]\n1 4 6- 5\n'),
  song(KELP, 'title: Kelp Ladder\nkey: Em\ntempo: 60\n\n[Verse]\n1- b7 b6 5\n'),
  song(GRAVEL, 'title: Northbound Gravel\nkey: A\ntempo: 138\n\n[Verse]\n1 b7 4 1\n'),
];

const entry = (id: string, songId: string) => ({
  kind: 'song' as const,
  id,
  songId,
  key: null,
  tempo: null,
  capos: {},
  starts: '',
  notes: '',
  seconds: null,
  join: { kind: 'gap' as const },
});

const BODY: SetListBody = {
  name: 'Quay night',
  place: 'The Net Loft',
  startsAt: '20:30',
  date: '',
  gapSeconds: 30,
  entries: [
    entry('in-harbor', HARBOR),
    { kind: 'break', id: 'tea', name: 'Tea', seconds: 900 },
    entry('in-kelp', KELP),
    entry('in-gravel', GRAVEL),
  ],
};

const NO_COPIES: DeviceCopies<SetListBody> = {
  put: () => true,
  drop: () => undefined,
  own: () => null,
  leftBehind: async () => [],
  putHistory: () => undefined,
  history: () => null,
};

type Save = (body: SetListBody, base: number) => Promise<SetList>;

/** The set as it was fetched. */
export const SAMPLE_SET: SetList = {
  ...BODY,
  id: 'sample',
  revision: 1,
  savedAt: '2026-01-01T00:00:00.000Z',
  savedBy: null,
  songs: [...SONGS],
};

const takeAll: Save = async (body, base) => ({ ...SAMPLE_SET, ...body, revision: base + 1 });

/** A set that is kept nowhere; saves are taken, or answered otherwise. */
export function sampleDesk(save: Save = takeAll): SetDesk {
  return new SetDesk(SAMPLE_SET, save, {
    copies: NO_COPIES,
    now: () => Date.now(),
    setTimer: (work, ms) => window.setTimeout(work, ms),
    clearTimer: (timer) => window.clearTimeout(timer),
  });
}

/** The evening on such a desk, as it stands. */
export function sampleTonight(desk: SetDesk): Tonight {
  const state = desk.get();
  return { ...viewEvening(state.body, state.songs, []), setId: 'sample', desk, state };
}
