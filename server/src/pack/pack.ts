import {
  type Drawing,
  type Evening,
  type Paper,
  type PartReader,
  type PlayedText,
  partPages,
  playedTexts,
  playerReader,
  readChart,
  type SetSheetContent,
  setPages,
  type TonightSong,
  tonightWords,
  withSwaps,
} from '@aurora/core';
import type { ChordSwap, Member, Preferences } from '@aurora/wire';
import { zipSync } from 'fflate';
import { fileName, freeName } from '../file/file-name.ts';
import type { JobResult } from '../job/job-store.ts';
import type { Tick } from '../job/worker.ts';
import { writePdf } from '../sheet/pdf.ts';

/** A song as it is played tonight, and who has a capo where. */
export interface PackSong extends TonightSong {
  readonly songId: string;
  readonly capos: Readonly<Record<string, number>>;
}

/** Everything a parts pack is made of. */
export interface PackContent {
  /** The band's name. */
  readonly band: string;
  readonly title: string;
  readonly songs: readonly PackSong[];
  /** Chords that players play otherwise, by song. */
  readonly swaps: ReadonlyMap<string, readonly ChordSwap[]>;
  readonly members: readonly Member[];
  readonly naming: Preferences['naming'];
  readonly paper: Paper;
  /** The order of the evening; null for a single song. */
  readonly set: SetSheetContent | null;
}

/** One PDF for each member, and the set list, zipped. Songs are laid out one after the other, so that it can be stopped. */
export async function makePack({ band, title, songs, swaps, members, naming, paper, set }: PackContent, tick: Tick): Promise<JobResult> {
  const total = songs.length * members.length + members.length;
  const files: Record<string, Uint8Array> = {};
  let done = 0;
  await tick(done, total);
  for (const member of members) {
    const pages: Drawing[] = [];
    for (const { songId, capos, ...song } of songs) {
      const own = (swaps.get(songId) ?? []).filter((swap) => swap.memberId === member.id && swap.refusedBy === '');
      const who = partReaderOf(member, naming, capos[member.id]);
      pages.push(...partPages({ ...song, reading: withSwaps(song.reading, own) }, who, paper));
      done += 1;
      await tick(done, total);
    }
    const plays = member.plays === '' ? '' : `, ${member.plays}`;
    files[freeName(files, fileName(`${member.name}${plays}`), 'pdf')] = await writePdf({
      title: `${title} – ${member.name}`,
      author: band,
      pages,
    });
    done += 1;
    await tick(done, total);
  }
  if (set !== null) {
    files['Set list.pdf'] = await writePdf({ title, author: band, pages: setPages(set, paper, 'list') });
    files['Set list for the floor.pdf'] = await writePdf({
      title: `${title}, for the floor`,
      author: band,
      pages: setPages(set, paper, 'floor'),
    });
  }
  // PDFs are compressed already
  const bytes = zipSync(files, { level: 0 });
  const says = `${members.length === 1 ? 'One part' : `${members.length} parts`}, ${songs.length === 1 ? 'one song' : `${songs.length} songs`} each.`;
  return { says, file: { name: `${fileName(title)} parts.zip`, type: 'application/zip', bytes } };
}

/** A member as the core reads for them, with tonight's capo where one is set. */
export function partReaderOf({ name, plays, reads, instrument }: Member, naming: Preferences['naming'], capo = reads.capo): PartReader {
  const { transpose, show, part: kind, size, words, cues } = reads;
  const reader = playerReader({ plays, transpose, tuning: instrument?.tuning ?? null }, capo);
  return { name, plays, reader, show, kind, size, words, cues, naming: reads.naming ?? naming };
}

/** The songs of an evening as they are played: tonight's keys and tempos, and the bridges written in. */
export function packSongsOf(evening: Evening): readonly PackSong[] {
  const played = playedTexts(evening);
  const songs = evening.entries.flatMap((one) =>
    one.song === null || one.entry.kind === 'break' ? [] : [{ song: one.song, capos: one.entry.capos, words: tonightWords(one) }],
  );
  return songs.map(({ song, capos, words }, index) => {
    const { text, ownBars } = played[index] as PlayedText;
    return {
      reading: text === song.source ? song.reading : readChart(text),
      tonic: song.key.tonic,
      songId: song.songId,
      ownBars,
      capos,
      tonight: words.join('  ·  '),
    };
  });
}
