import type { Naming } from '@aurora/core';
import type { SetListBody } from '@aurora/wire';
import type { FieldClash } from '../../../document/merge-values.ts';
import { keyWordsOf } from '../../../parts/song/shelf-view.ts';
import { BAND_WORDS } from '../../../wording/band.ts';

/** What two people gave a set different values for, in a musician's words. */
export interface ClashWords {
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const OF_THE_SET: Readonly<Record<string, string>> = {
  name: BAND_WORDS.theSetsName,
  place: BAND_WORDS.whereItIs,
  startsAt: BAND_WORDS.whenItBegins,
  date: BAND_WORDS.whichDay,
  gapSeconds: BAND_WORDS.theTimeBetweenSongs,
};

const OF_AN_ENTRY: Readonly<Record<string, string>> = {
  key: 'tonight’s key',
  tempo: BAND_WORDS.theTempo,
  capos: BAND_WORDS.theCapo,
  starts: BAND_WORDS.clashWhoCountsIn,
  notes: BAND_WORDS.theNotes,
  seconds: BAND_WORDS.howLongItLasts,
  join: BAND_WORDS.howItGoesOver,
  name: BAND_WORDS.whatItIsCalled,
};

/** The names of songs and players, by id; undefined for those nobody knows any more. */
type NameOf = (id: string) => string | undefined;

/** Says what is in dispute and what each of the two made of it. */
export function clashWords({ path, mine, theirs }: FieldClash, body: SetListBody, nameOf: NameOf, naming: Naming): ClashWords {
  const [field = '', id, part, player] = path;
  const entry = field === 'entries' ? body.entries.find((one) => one.id === id) : undefined;
  const name = entry === undefined ? '' : entry.kind === 'break' ? entry.name : (nameOf(entry.songId) ?? BAND_WORDS.aSong);
  const who = player === undefined ? '' : (nameOf(player) ?? '');
  const what =
    field === 'entries'
      ? `${name}: ${OF_AN_ENTRY[part ?? ''] ?? BAND_WORDS.theEntry}${who === '' ? '' : BAND_WORDS.ofWord(who)}`
      : (OF_THE_SET[field] ?? field);
  const about = part ?? field;
  return { what, mine: valueWords(mine, about, naming), theirs: valueWords(theirs, about, naming) };
}

/** How a value is said, by the field it is in. */
const SAYS: Readonly<Record<string, (value: unknown, naming: Naming) => string>> = {
  key: (value, naming) => (value === null ? 'the song’s own' : keyWordsOf(String(value), naming)),
  tempo: (value) => (value === null ? BAND_WORDS.asTheChartSays : BAND_WORDS.beatsAMinute(String(value))),
  capos: (value) => (value === undefined ? BAND_WORDS.asUsual : value === 0 ? BAND_WORDS.noCapo : BAND_WORDS.capoAt(String(value))),
  seconds: (value) => (value === null ? BAND_WORDS.asTheChartSays : BAND_WORDS.seconds(String(value))),
  gapSeconds: (value) => BAND_WORDS.seconds(String(value)),
  join: joinWords,
};

function valueWords(value: unknown, about: string, naming: Naming): string {
  const says = SAYS[about];
  if (says !== undefined) return says(value, naming);
  return value === '' || value === null || value === undefined ? 'nothing' : String(value);
}

function joinWords(join: unknown): string {
  const { kind, bridge } = (join ?? {}) as { readonly kind?: string; readonly bridge?: string };
  return kind === 'bridge' ? BAND_WORDS.withA(String(bridge).replaceAll('-', ' ')) : BAND_WORDS.afterAStop;
}
