import { changesSought, readProgression } from '@aurora/core';
import type { SongSummary, SongsQuery } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { SONG_COLUMNS, type SongRow, summaryOf } from './song-row.ts';

/** A page of the shelf. */
export interface ShelfPage {
  readonly songs: readonly SongSummary[];
  /** Where the next page begins; null on the last one. */
  readonly next: string | null;
}

/** How songs are sorted: what is compared, as text or number, and which way. Songs with equal values go by id. */
const SORTS = {
  title: { value: 'lower(song.title)', type: 'text', down: false },
  key: { value: 'song.key_name', type: 'text', down: false },
  tempo: { value: 'coalesce(song.tempo, 1000)', type: 'numeric', down: false },
  saved: { value: 'song.saved_at', type: 'timestamptz', down: true },
} as const;

/** A song that was begun and has neither bars nor a name yet is on nobody's shelf. */
const HAS_SOMETHING = "(song.bars > 0 or song.title <> '')";

type Row = SongRow & { readonly sorted: string };

/**
 * The songs that hold all of what is asked, a page of them. Pages begin behind a song rather than
 * at a number, so that a song saved meanwhile shifts nothing.
 */
export async function listSongs(db: Queryable, bandId: string, query: SongsQuery): Promise<ShelfPage> {
  const sort = SORTS[query.sort];
  const values: unknown[] = [bandId];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const conditions = ['song.band_id = $1', HAS_SOMETHING, `song.archived_at is ${query.archived === 'yes' ? 'not null' : 'null'}`];
  const words = (query.find ?? '')
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  if (words.length > 0) conditions.push(`song.search like all(${bind(words.map((word) => `%${escaped(word)}%`))}::text[])`);
  const sought = changesSought(readProgression(query.pattern ?? ''));
  if (sought.length > 0) conditions.push(`song.changes like any(${bind(sought.map((word) => `%${word}%`))}::text[])`);
  if (query.tag !== undefined) conditions.push(`song.tags @> array[${bind(query.tag)}]::text[]`);
  const after = readCursor(query.after, sort.type);
  if (after !== undefined)
    conditions.push(`(${sort.value}, song.id) ${sort.down ? '<' : '>'} (${bind(after.value)}::${sort.type}, ${bind(after.id)}::uuid)`);
  const way = sort.down ? 'desc' : 'asc';
  const { rows } = await db.query<Row>(
    `select ${SONG_COLUMNS}, (${sort.value})::text as sorted from song
      where ${conditions.join(' and ')}
      order by ${sort.value} ${way}, song.id ${way} limit ${bind(query.limit + 1)}`,
    values,
  );
  const page = rows.slice(0, query.limit);
  const last = page.at(-1);
  return { songs: page.map(summaryOf), next: rows.length > query.limit && last !== undefined ? writeCursor(last) : null };
}

/** The band's tags with how many songs have each, archived songs not counted. */
export async function listTags(db: Queryable, bandId: string): Promise<readonly { readonly tag: string; readonly songs: number }[]> {
  const { rows } = await db.query<{ tag: string; songs: number }>(
    `select tag, count(*)::int as songs from song, unnest(tags) tag
      where band_id = $1 and archived_at is null group by tag order by lower(tag), tag`,
    [bandId],
  );
  return rows;
}

function escaped(word: string): string {
  return word.replace(/[\\%_]/g, (sign) => `\\${sign}`);
}

function writeCursor({ sorted, id }: Row): string {
  return Buffer.from(JSON.stringify([sorted, id])).toString('base64url');
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

const VALUES = {
  text: /^[^\0]*$/,
  numeric: /^\d{1,9}(\.\d{1,9})?$/,
  timestamptz: /^\d{4}-\d\d-\d\d [\d:.]{8,15}[+-]\d\d(:\d\d)?$/,
} as const;

/** A page's beginning; refuses one that no page with this sort has answered. */
function readCursor(text: string | undefined, type: keyof typeof VALUES): { readonly value: string; readonly id: string } | undefined {
  if (text === undefined) return undefined;
  const [value, id] = cursorParts(text);
  if (typeof value === 'string' && VALUES[type].test(value) && typeof id === 'string' && UUID.test(id)) return { value, id };
  const message = 'no page begins there: pass on the “next” of the page before, with the same sort';
  throw new HttpFault('invalid', `after: ${message}`, { errors: [{ message, path: 'after' }] });
}

function cursorParts(text: string): readonly unknown[] {
  try {
    const read: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    return Array.isArray(read) ? read : [];
  } catch {
    return [];
  }
}
