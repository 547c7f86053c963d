import {
  checkInstrument,
  type Drawing,
  INSTRUMENTS,
  type Note,
  type Paper,
  type PartReader,
  parseKey,
  partPages,
  requireValue,
  type SetSheetContent,
  setPages,
  tonightReading,
  tuningOffset,
  withBridge,
} from '@aurora/core';
import type { Member, Preferences, SetList, SetSongEntry, Song } from '@aurora/wire';
import { zipSync } from 'fflate';
import type { JobResult, Tick } from '../job/jobs.ts';
import { writePdf } from '../sheet/pdf.ts';

/** A song as it is played tonight, and who sits where on the neck. */
export interface PackSong {
  readonly source: string;
  readonly title: string;
  readonly tonic: Note;
  readonly tempo: number | null;
  readonly capos: Readonly<Record<string, number>>;
  readonly tonight: string;
}

/** Everything a parts pack is made of. */
export interface PackContent {
  readonly title: string;
  readonly songs: readonly PackSong[];
  readonly members: readonly Member[];
  readonly naming: Preferences['naming'];
  readonly paper: Paper;
  /** The order of the evening; null for a single song. */
  readonly set: SetSheetContent | null;
}

/** One PDF for each member, and the set list, zipped. Songs are laid out one after the other, so that it can be stopped. */
export async function makePack({ title, songs, members, naming, paper, set }: PackContent, tick: Tick): Promise<JobResult> {
  const total = songs.length * members.length + members.length;
  const readings = songs.map(({ source, tempo }) => tonightReading(source, tempo));
  const files: Record<string, Uint8Array> = {};
  let done = 0;
  await tick(done, total);
  for (const member of members) {
    const pages: Drawing[] = [];
    for (const [index, { tonic, capos, tonight }] of songs.entries()) {
      const who = partReaderOf(member, naming, capos[member.id]);
      pages.push(...partPages({ reading: readings[index] as (typeof readings)[number], tonic, tonight }, who, paper));
      done += 1;
      await tick(done, total);
    }
    const plays = member.plays === '' ? '' : `, ${member.plays}`;
    files[freeName(files, `${fileName(`${member.name}${plays}`)}.pdf`)] = await pdfOf(`${title} – ${member.name}`, pages);
    done += 1;
    await tick(done, total);
  }
  if (set !== null) {
    files['Set list.pdf'] = await pdfOf(title, setPages(set, paper, 'list'));
    files['Set list for the floor.pdf'] = await pdfOf(title, setPages(set, paper, 'floor'));
  }
  // PDFs are compressed already
  const bytes = zipSync(files, { level: 0 });
  const says = `${members.length === 1 ? 'One part' : `${members.length} parts`}, ${songs.length === 1 ? 'one song' : `${songs.length} songs`} each.`;
  return { says, file: { name: `${fileName(title)} parts.zip`, type: 'application/zip', bytes } };
}

function pdfOf(title: string, pages: readonly Drawing[]): Promise<Uint8Array> {
  return writePdf({ title, pages: pages.map((page) => ({ ...page, shapes: [...page.shapes] })) });
}

/** A member as the core reads for them, with tonight's capo where one is set. */
function partReaderOf({ name, plays, reads, instrument }: Member, naming: Preferences['naming'], capo = reads.capo): PartReader {
  const { transpose, show, part: kind, size, words, cues } = reads;
  const fretted = instrument !== null && checkInstrument(instrument).ok ? instrument : INSTRUMENTS.find((one) => one.name === 'Guitar');
  const tuning = /guitar/i.test(plays) && fretted !== undefined ? tuningOffset(fretted.tuning) : 0;
  return { name, plays, reader: { transpose, capo, tuning }, show, kind, size, words, cues, naming: reads.naming ?? naming };
}

/** The songs of a set as they are played: tonight's keys, and the bridges written in. */
export function packSongsOf(set: SetList): readonly PackSong[] {
  const tonics = new Map(set.songs.map((song) => [song.id, song]));
  const played = set.entries.map((entry) => {
    if (entry.kind === 'break') return null;
    const song = tonics.get(entry.songId) as Song;
    return { entry, song, tonic: tonightTonic(entry, song) };
  });
  return played.flatMap((one, index) => {
    if (one === null) return [];
    const { entry, song, tonic } = one;
    const next = played[index + 1];
    const { source, title } = song;
    const text =
      entry.join.kind === 'bridge' && next !== null && next !== undefined
        ? withBridge({ source, title, tonic }, { source: next.song.source, title: next.song.title, tonic: next.tonic }, entry.join.bridge)
        : source;
    return [{ source: text, title, tonic, tempo: entry.tempo, capos: entry.capos, tonight: tonightWords(entry) }];
  });
}

/** Tonight's home tonic of a song. */
function tonightTonic({ key }: Pick<SetSongEntry, 'key'>, song: Pick<Song, 'key'>): Note {
  return requireValue(parseKey(key ?? song.key)).tonic;
}

function tonightWords({ starts, notes }: SetSongEntry): string {
  return [starts === '' ? '' : `${starts} counts in`, notes].filter((words) => words !== '').join('  ·  ');
}

/** A name for a file on any system. */
function fileName(words: string): string {
  const name = words
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^[ .]+|[ .]+$/g, '')
    .slice(0, 100);
  return name === '' ? 'Part' : name;
}

function freeName(files: Readonly<Record<string, Uint8Array>>, wanted: string): string {
  for (let number = 1; ; number += 1) {
    const tried = number === 1 ? wanted : wanted.replace(/\.pdf$/, ` (${number}).pdf`);
    if (!(tried in files)) return tried;
  }
}
