import { type BridgeEnd, type BridgeKind, findBridges } from '../bridge/bridge.ts';
import { countingTonic } from '../chart/head.ts';
import { type ChartReading, keysReadFrom, lettersFrom, readChart } from '../chart/reading.ts';
import { type Chord, transposeChord } from '../chord/chord.ts';
import { numberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { type Key, moveKey, sameKey, semitonesBetween } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { type Note, OCTAVE_ON_FIFTHS } from '../pitch/note.ts';
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
 * bar in the key it leads to, numbered there. A form line is told to play it. A direct join adds
 * no bars. The text stays as it is where either song has no chords or no such bridge exists.
 */
export function withBridge(song: MedleySong, next: MedleySong, kind: BridgeKind): string {
  const { reading } = song;
  const { chords, key } = bridgeBetween(song, next, kind);
  if (key === null || chords.length === 0) return song.source;
  const counting = countingTonic(key, reading.head.numbering);
  const numbers = chords.map((chord) => printNumber(numberChord(nearestTo(chord, key), counting)));
  const bar = `${keyChange(key, song)}${numbers.length === 1 ? numbers[0] : `(${numbers.join(' ')})`}`;
  const name = freeName(`To ${next.title.replace(/[[\]]/g, '') || 'the next song'}`, reading);
  const head = reading.head.form === null ? song.source : addedToForm(song.source, name);
  const text = `${head.trimEnd()}\n\n[${name}]\n${bar}\n`;
  return playsLast(text) ? text : text.replace(`[${name}]\n`, `[${name}] -- straight on from the last bar\n`);
}

/** What is played between two songs, and the key it leads to; no chords, and null, where there is no such bridge. */
function bridgeBetween(
  song: MedleySong,
  next: MedleySong,
  kind: BridgeKind,
): { readonly chords: readonly Chord[]; readonly key: Key | null } {
  const [from, to] = [lastChord(song.reading, song.tonic), firstChord(next.reading, next.tonic)];
  const bridge = from === undefined || to === undefined ? undefined : findBridges(from, to).find((one) => one.kind === kind);
  return { chords: bridge?.chords ?? [], key: bridge === undefined ? null : (to?.key ?? null) };
}

/** What comes after a song of an evening. */
export interface NextUp {
  readonly entry: EveningEntry;
  /** The chords that lead over into it, none for straight on; null where there is a stop. */
  readonly segue: readonly Chord[] | null;
}

/** What comes after the entry at a place, from 0; null after the last one. */
export function nextUp({ entries }: Evening, at: number): NextUp | null {
  const [here, entry] = [entries[at], entries[at + 1]];
  if (here === undefined || entry === undefined) return null;
  const [song, next] = [medleySong(here), medleySong(entry)];
  if (here.entry.kind === 'break' || here.entry.join.kind !== 'bridge' || song === null || next === null) return { entry, segue: null };
  return { entry, segue: bridgeBetween(song, next, here.entry.join.bridge).chords };
}

/** The key a bridge leads to, as a change in the text of a song that may be played elsewhere tonight; empty where the song ends in it. */
function keyChange(key: Key, { reading, tonic }: MedleySong): string {
  const ends = keysReadFrom(reading.stretches, tonic).at(-1) as Key;
  if (sameKey(ends, key)) return '';
  const home = reading.head.key.tonic;
  const named = tonic === home ? key : moveKey(key, semitonesBetween(tonic, home));
  return `{key: ${printKey(named)}} `;
}

/** The chord spelled as the key has it: `C♯` in D♭ is `D♭`, so that its number has no more signs than it needs. */
function nearestTo(chord: Chord, { tonic }: Key): Chord {
  const by = OCTAVE_ON_FIFTHS * Math.round((tonic + MIDDLE - chord.root) / OCTAVE_ON_FIFTHS);
  return by === 0 ? chord : transposeChord(chord, by);
}

/** The degrees a chord is counted as lie from ♭2 to ♯4 on the line of fifths: five down to six up, half a fifth above the tonic in the middle. */
const MIDDLE = 0.5;

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

/** A chart text as it is played in an evening. */
export interface PlayedText {
  readonly text: string;
  /** Bars of the song itself; those behind them lead over into the next. */
  readonly ownBars: number;
}

/** The chart texts of an evening as they are played, one a song: bridges to the next are written in. */
export function playedTexts({ entries }: Evening): readonly PlayedText[] {
  return entries.flatMap((one, index) => {
    const song = medleySong(one);
    if (song === null || one.entry.kind === 'break') return [];
    const next = entries[index + 1] === undefined ? null : medleySong(entries[index + 1] as EveningEntry);
    const text = one.entry.join.kind === 'bridge' && next !== null ? withBridge(song, next, one.entry.join.bridge) : song.source;
    return [{ text, ownBars: song.reading.bars.length }];
  });
}

function medleySong({ song, name }: EveningEntry): MedleySong | null {
  return song === null ? null : { source: song.source, reading: song.reading, title: name, tonic: song.key.tonic };
}
