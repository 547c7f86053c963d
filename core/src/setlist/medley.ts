import { type BridgeEnd, type BridgeKind, findBridges } from '../bridge/bridge.ts';
import { countingTonic } from '../chart/head.ts';
import { type ChartReading, lettersFrom, readChart } from '../chart/reading.ts';
import { numberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import type { Evening, EveningEntry } from './evening.ts';

/** The first chord of a song as it is played, in its key, with its home on `tonic`; undefined for a song without chords. */
export function firstChord(reading: ChartReading, tonic: Note): BridgeEnd | undefined {
  return chordAmong(reading, tonic, reading.performance.order, false);
}

/** The last chord of a song as it is played. */
export function lastChord(reading: ChartReading, tonic: Note): BridgeEnd | undefined {
  return chordAmong(reading, tonic, reading.performance.order.toReversed(), true);
}

function chordAmong(reading: ChartReading, tonic: Note, order: readonly number[], fromEnd: boolean): BridgeEnd | undefined {
  const letters = lettersFrom(reading, tonic);
  for (const index of order) {
    const bar = reading.bars[index];
    const sounding = bar?.chords.filter(({ chord }) => chord !== null) ?? [];
    const chord = (fromEnd ? sounding.at(-1) : sounding[0])?.chord;
    if (bar !== undefined && chord !== undefined && chord !== null) {
      return { chord: letters.chordIn(chord, bar.stretch), key: letters.keys[bar.stretch] as Key };
    }
  }
  return undefined;
}

/** A song of a medley with the home tonic it is played on tonight. */
export interface MedleySong {
  readonly source: string;
  /** Of that text. */
  readonly reading: ChartReading;
  readonly title: string;
  readonly tonic: Note;
}

/**
 * The chart text of a song with the bridge to the next one behind it, as a section of its own: one
 * bar, numbered in the key in force at the end. A form line is told to play it. A direct join adds
 * no bars. The text stays as it is where either song has no chords or no such bridge exists.
 */
export function withBridge(song: MedleySong, next: MedleySong, kind: BridgeKind): string {
  const { reading } = song;
  const [from, to] = [lastChord(reading, song.tonic), firstChord(next.reading, next.tonic)];
  const bridge = from === undefined || to === undefined ? undefined : findBridges(from, to).find((one) => one.kind === kind);
  if (bridge === undefined || bridge.chords.length === 0) return song.source;
  const key = lettersFrom(reading, song.tonic).keys.at(-1) as Key;
  const counting = countingTonic(key, reading.head.numbering);
  const numbers = bridge.chords.map((chord) => printNumber(numberChord(chord, counting)));
  const bar = numbers.length === 1 ? numbers[0] : `(${numbers.join(' ')})`;
  const name = freeName(`To ${next.title.replace(/[[\]]/g, '') || 'the next song'}`, reading);
  const head = reading.head.form === null ? song.source : addedToForm(song.source, name);
  const text = `${head.trimEnd()}\n\n[${name}]\n${bar}\n`;
  return playsLast(text) ? text : text.replace(`[${name}]\n`, `[${name}] -- straight on from the last bar\n`);
}

/** A name no section has, with nothing a form line would read as a separator. */
function freeName(wanted: string, { sections }: ChartReading): string {
  const name = wanted.replace(/[,×]/g, ' ').replace(/\s+/g, ' ').trim();
  const taken = new Set(sections.map((section) => section.name.toLowerCase()));
  for (let number = 1; ; number += 1) {
    const tried = number === 1 ? name : `${name} (${number})`;
    if (!taken.has(tried.toLowerCase())) return tried;
  }
}

function addedToForm(source: string, name: string): string {
  return source.replace(/^(form[ \t]*:.*?)[ \t]*$/im, `$1, ${name}`);
}

function playsLast(text: string): boolean {
  const { performance, sections } = readChart(text);
  return performance.parts.at(-1)?.section === sections.length - 1;
}

/** The chart texts of an evening as they are played, one a song: bridges to the next are written in. */
export function playedTexts({ entries }: Evening): readonly string[] {
  return entries.flatMap((one, index) => {
    const song = medleySong(one);
    if (song === null || one.entry.kind === 'break') return [];
    const next = entries[index + 1] === undefined ? null : medleySong(entries[index + 1] as EveningEntry);
    return [one.entry.join.kind === 'bridge' && next !== null ? withBridge(song, next, one.entry.join.bridge) : song.source];
  });
}

function medleySong({ song, name }: EveningEntry): MedleySong | null {
  return song === null ? null : { source: song.source, reading: song.reading, title: name, tonic: song.key.tonic };
}
