import { type Key, keyNotes } from '../key/key.ts';
import type { Progression } from '../progression/progression.ts';

/** A loop of four chords as places in the scale, and how many songs go round it. */
export interface SongLoop {
  readonly places: readonly number[];
  readonly songs: number;
}

/** A song's chords and the key they are counted in. */
export interface LoopedSong {
  readonly progression: Progression;
  readonly key: Key;
}

const LOOP = 4;

/**
 * The loops that phrases of these songs begin with, those most songs share first: four chords on degrees of
 * the key, not all the same. What leaves the key is no loop to be heard as numbers.
 */
export function songLoops(songs: readonly LoopedSong[]): readonly SongLoop[] {
  const counts = new Map<string, number>();
  for (const song of songs) for (const loop of loopsOf(song)) counts.set(loop, (counts.get(loop) ?? 0) + 1);
  return [...counts]
    .map(([loop, count]) => ({ places: loop.split(' ').map(Number), songs: count }))
    .sort((a, b) => b.songs - a.songs || a.places.join().localeCompare(b.places.join()));
}

/** Each loop of a song once, however often it is played. */
function loopsOf({ progression: { chords }, key }: LoopedSong): ReadonlySet<string> {
  const notes = keyNotes(key);
  const loops = new Set<string>();
  let phrase: number[] = [];
  for (const { chord, endsPhrase } of chords) {
    const place = notes.indexOf(chord.root) + 1;
    if (place !== phrase.at(-1)) phrase.push(place);
    if (phrase.length === LOOP && !phrase.includes(0) && new Set(phrase).size > 2) loops.add(phrase.join(' '));
    if (endsPhrase) phrase = [];
  }
  return loops;
}
