import { type Fault, faultWords, printKey, type Result, readChart } from '@aurora/core';
import {
  abcTunes,
  FORMAT_FILES,
  formatOf,
  type IndexedSong,
  lossWords,
  readFormat,
  readTable,
  songsOfTable,
  type Table,
  textOf,
} from '@aurora/core/format';
import { BACKUP_FORMAT, BACKUP_VERSION, type BandBackup, bandBackup, type ImportPreview, MOST_CHART_BYTES } from '@aurora/wire';
import { issueWords } from '../issue-words.ts';
import { JobRefused, type Tick } from '../job/worker.ts';

type SongsPreview = Extract<ImportPreview, { kind: 'songs' }>;
type ImportedSong = SongsPreview['songs'][number];

/** What a file turned out to be, with everything that is needed to take it. */
export type ReadFile =
  | { readonly kind: 'songs'; readonly format: string; readonly songs: readonly ImportedSong[] }
  | { readonly kind: 'set'; readonly name: string; readonly table: Table }
  | { readonly kind: 'backup'; readonly backup: BandBackup };

const MOST_SONGS = 20_000;

/** Reads a file of any format the band can take in; a long one lets others be served in between. */
export async function readFile(name: string, bytes: Uint8Array, tick: Tick): Promise<ReadFile> {
  await tick(0, 1);
  const start = textOf(bytes.slice(0, 200)).trimStart();
  if (/\.json$/i.test(name) || start.startsWith('{')) return { kind: 'backup', backup: readBackup(bytes) };
  if (/\.csv$/i.test(name)) return readCsv(name, bytes);
  const format = formatOf(name, bytes);
  const tunes = format === 'abc' ? tunesOf(bytes) : [bytes];
  const songs: ImportedSong[] = [];
  for (const tune of tunes) {
    const { content, losses } = orRefuse(readFormat(format, tune));
    songs.push(describe(content, [], losses.map(lossWords), titleOf(name)));
    await tick(songs.length, tunes.length);
  }
  return { kind: 'songs', format: FORMAT_FILES[format].label, songs };
}

function orRefuse<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new JobRefused(faultWords(result.fault));
}

function refuse(fault: Fault): JobRefused {
  return new JobRefused(faultWords(fault));
}

/** ABC files hold many tunes. */
function tunesOf(bytes: Uint8Array): readonly Uint8Array[] {
  const tunes = abcTunes(textOf(bytes));
  if (tunes.length <= 1) return [bytes];
  if (tunes.length > MOST_SONGS) throw refuse({ code: 'format-large', format: 'ABC' });
  return tunes.map((tune) => Buffer.from(tune, 'utf8'));
}

function titleOf(name: string): string {
  return name
    .replace(/(\.chart)?\.[^.]*$/, '')
    .replace(/[-_]+/g, ' ')
    .trim();
}

/** A chart to be looked at. One without a title is named after its file. */
function describe(source: string, tags: readonly string[], losses: readonly string[], otherwise: string): ImportedSong {
  const titled = readChart(source).head.title === '' && otherwise !== '' ? `title: ${otherwise}\n${source}` : source;
  if (Buffer.byteLength(titled) > MOST_CHART_BYTES) throw refuse({ code: 'format-large', format: 'chart' });
  const { head, bars, problems } = readChart(titled);
  const wrong = problems.filter(({ severity }) => severity === 'error').map(({ fault, at }) => `line ${at.line}: ${faultWords(fault)}`);
  return {
    title: head.title,
    key: printKey(head.key),
    bars: bars.length,
    source: titled,
    tags: [...tags],
    losses: [...losses],
    problems: wrong,
  };
}

/** A song index, or a set list: the second says in which place each song stands. */
function readCsv(name: string, bytes: Uint8Array): ReadFile {
  const table = orRefuse(readTable(textOf(bytes)));
  if (table.columns.includes('place') && table.columns.includes('kind')) return { kind: 'set', name: titleOf(name) || 'A set', table };
  const songs = orRefuse(songsOfTable(table));
  return { kind: 'songs', format: 'Song index', songs: songs.map(indexed) };
}

function indexed({ source, tags, unread }: IndexedSong): ImportedSong {
  const fitting = tags.filter((tag) => tag.length <= 40).slice(0, 20);
  return describe(
    source,
    fitting,
    unread.map((words) => `Not read: ${words}`),
    '',
  );
}

/** A backup that holds together: of a version that is known, with every song and player it speaks of. */
function readBackup(bytes: Uint8Array): BandBackup {
  let given: unknown;
  try {
    given = JSON.parse(textOf(bytes));
  } catch {
    throw refuse({ code: 'format-broken', format: 'backup', detail: 'it is damaged, or ends too early' });
  }
  const { format, version } = (given ?? {}) as { readonly format?: unknown; readonly version?: unknown };
  if (format !== BACKUP_FORMAT)
    throw refuse({
      code: 'format-other',
      format: 'backup',
      found: typeof format === 'string' ? format.slice(0, 40) : 'JSON of another kind',
    });
  if (typeof version === 'number' && version > BACKUP_VERSION) throw refuse({ code: 'format-newer', version, known: BACKUP_VERSION });
  const read = bandBackup.safeParse(given, { error: issueWords });
  if (!read.success) {
    const issue = read.error.issues[0];
    throw refuse({ code: 'format-missing', format: 'backup', part: `${issue?.path.join('.')}: ${issue?.message}` });
  }
  const strange = strangeReference(read.data);
  if (strange !== null) throw refuse({ code: 'format-missing', format: 'backup', part: strange });
  return read.data;
}

/** The first thing a backup speaks of and does not hold; null when it holds together. */
function strangeReference({ songs, members, sets, swaps }: BandBackup): string | null {
  const songIds = new Set(songs.map(({ id }) => id));
  const memberIds = new Set(members.map(({ id }) => id));
  if (songIds.size < songs.length) return 'two songs have one id';
  if (memberIds.size < members.length) return 'two players have one id';
  for (const { name, entries } of sets)
    for (const entry of entries) if (entry.kind === 'song' && !songIds.has(entry.songId)) return `a song of the set “${name}”`;
  for (const { songId, memberId } of swaps)
    if (!songIds.has(songId) || !memberIds.has(memberId)) return 'the song or player of an easier chord';
  const twice = songs.find(({ versions }) => new Set(versions.map(({ revision }) => revision)).size < versions.length);
  return twice === undefined ? null : 'a song has two versions with one number';
}
