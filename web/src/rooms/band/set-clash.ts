import type { Naming } from '@aurora/core';
import type { SetListBody } from '@aurora/wire';
import type { FieldClash } from '../../document/merge-values.ts';
import { keyWordsOf } from '../../parts/song/shelf-view.ts';

/** What two people gave a set different values for, in a musician's words. */
export interface ClashWords {
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const OF_THE_SET: Readonly<Record<string, string>> = {
  name: 'The set’s name',
  place: 'Where it is',
  startsAt: 'When it begins',
  gapSeconds: 'The time between songs',
};

const OF_AN_ENTRY: Readonly<Record<string, string>> = {
  key: 'tonight’s key',
  tempo: 'the tempo',
  capos: 'the capo',
  starts: 'who counts in',
  notes: 'the notes',
  seconds: 'how long it lasts',
  join: 'how it goes over',
  name: 'what it is called',
};

/** The names of songs and players, by id; undefined for those nobody knows any more. */
type NameOf = (id: string) => string | undefined;

/** Says what is in dispute and what each of the two made of it. */
export function clashWords({ path, mine, theirs }: FieldClash, body: SetListBody, nameOf: NameOf, naming: Naming): ClashWords {
  const [field = '', id, part, player] = path;
  const entry = field === 'entries' ? body.entries.find((one) => one.id === id) : undefined;
  const name = entry === undefined ? '' : entry.kind === 'break' ? entry.name : (nameOf(entry.songId) ?? 'A song');
  const who = player === undefined ? '' : (nameOf(player) ?? '');
  const what =
    field === 'entries'
      ? `${name}: ${OF_AN_ENTRY[part ?? ''] ?? 'the entry'}${who === '' ? '' : ` of ${who}`}`
      : (OF_THE_SET[field] ?? field);
  const about = part ?? field;
  return { what, mine: valueWords(mine, about, naming), theirs: valueWords(theirs, about, naming) };
}

/** How a value is said, by the field it is in. */
const SAYS: Readonly<Record<string, (value: unknown, naming: Naming) => string>> = {
  key: (value, naming) => (value === null ? 'the song’s own' : keyWordsOf(String(value), naming)),
  tempo: (value) => (value === null ? 'as the chart says' : `${value} beats a minute`),
  capos: (value) => (value === undefined ? 'as usual' : value === 0 ? 'no capo' : `capo ${value}`),
  seconds: (value) => (value === null ? 'as the chart says' : `${value} seconds`),
  gapSeconds: (value) => `${value} seconds`,
  join: joinWords,
};

function valueWords(value: unknown, about: string, naming: Naming): string {
  const says = SAYS[about];
  if (says !== undefined) return says(value, naming);
  return value === '' || value === null || value === undefined ? 'nothing' : String(value);
}

function joinWords(join: unknown): string {
  const { kind, bridge } = (join ?? {}) as { readonly kind?: string; readonly bridge?: string };
  return kind === 'bridge' ? `with a ${String(bridge).replaceAll('-', ' ')}` : 'after a stop';
}
