import Papa from 'papaparse';
import { findMeter, findTempo } from '../chart/head.ts';
import { failure, type Result, success } from '../fault.ts';
import { parseKey, printKey } from '../key/key-text.ts';

const MOST_LETTERS = 4_000_000;
const MOST_ROWS = 20_000;

/** A table with named columns. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
}

/** A table as CSV (RFC 4180). What a spreadsheet would take for a formula is marked as text. */
export function writeTable({ columns, rows }: Table): string {
  const data = rows.map((row) => columns.map((column) => row[column] ?? ''));
  return `${Papa.unparse({ fields: [...columns], data }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}

/** Reads CSV with a head line, whatever the separator. Column names are read without regard to case. */
export function readTable(text: string): Result<Table> {
  if (text.length > MOST_LETTERS) return failure({ code: 'format-large', format: 'CSV' }, 0, 0);
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
    transform: (value) => value.trim().replace(/^'(?=[=+\-@])/, ''),
  });
  const torn = errors.find(({ type }) => type === 'Quotes');
  if (torn !== undefined)
    return failure({ code: 'format-broken', format: 'CSV', detail: `line ${(torn.row ?? 0) + 2}: a quotation mark is not closed` }, 0, 0);
  if (data.length === 0) return failure({ code: 'format-empty', format: 'CSV' }, 0, 0);
  if (data.length > MOST_ROWS) return failure({ code: 'format-large', format: 'CSV' }, 0, 0);
  return success({ columns: meta.fields ?? [], rows: data });
}

/** Columns of a song index. */
export const SONG_COLUMNS = ['title', 'by', 'key', 'time', 'tempo', 'feel', 'tags', 'bars'] as const;

/** Columns of a set list; `kind` is song or break. */
export const SET_COLUMNS = ['place', 'kind', 'title', 'key', 'tempo', 'length', 'starts', 'notes', 'goes on', 'begins'] as const;
export const PRACTICE_COLUMNS = [
  'when',
  'study',
  'what',
  'key',
  'stage',
  'tempo',
  'answered in ms',
  'how it went',
  'said',
  'hidden',
  'seconds',
  'night',
] as const;

/** A row of a song index as a chart without bars, and its tags. */
export interface IndexedSong {
  readonly title: string;
  readonly source: string;
  readonly tags: readonly string[];
  /** What stood in the row and could not be read. */
  readonly unread: readonly string[];
}

/** The songs of a song index: a title for each, and what else its row says. */
export function songsOfTable({ columns, rows }: Table): Result<readonly IndexedSong[]> {
  if (!columns.includes('title')) return failure({ code: 'format-missing', format: 'song index', part: 'a column called “title”' }, 0, 0);
  return success(rows.filter(({ title }) => (title ?? '') !== '').map(songOfRow));
}

function songOfRow(row: Readonly<Record<string, string>>): IndexedSong {
  const { title = '', by = '', key = '', time = '', tempo = '', feel = '', tags = '' } = row;
  const read = parseKey(key);
  const meter = findMeter(time);
  const bpm = findTempo(tempo);
  const lines = [
    `title: ${title}`,
    by === '' ? '' : `by: ${by}`,
    read.ok ? `key: ${printKey(read.value)}` : '',
    meter === undefined ? '' : `time: ${meter.beats}/${meter.unit}`,
    bpm === undefined ? '' : `tempo: ${bpm}`,
    feel === '' ? '' : `feel: ${feel}`,
  ].filter((line) => line !== '');
  const unread = [
    key !== '' && !read.ok ? `key ${key}` : '',
    time !== '' && meter === undefined ? `time ${time}` : '',
    tempo !== '' && bpm === undefined ? `tempo ${tempo}` : '',
  ].filter((words) => words !== '');
  return {
    title,
    source: `${lines.map(oneLine).join('\n')}\n\n[A]\n`,
    tags: tags
      .split(/[;,]/)
      .map((tag) => tag.trim())
      .filter((tag) => tag !== ''),
    unread,
  };
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}
