import type { Chord } from '../chord/chord.ts';
import { findChords } from '../heard/find-chords.ts';
import { keyOfNotes, shareInside } from '../heard/find-key.ts';
import type { FoundChord, SoundingBar, SoundingNote } from '../heard/heard.ts';
import { type Key, sameKey } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { beatsOf, chordsOfBar, type SheetBar } from './lead-sheet.ts';
import type { LossList } from './loss.ts';

/** The chords of what sounds, and in `losses` how far they can be trusted. */
export function foundChords(
  notes: readonly SoundingNote[],
  bars: readonly SoundingBar[],
  key: Key,
  losses: LossList,
): readonly FoundChord[] {
  const { chords, isMelody } = findChords(notes, bars, key);
  if (chords.every(({ chord }) => chord === null)) return chords;
  losses.add(isMelody ? 'chords-suggested' : 'chords-guessed');
  if (isMelody) return chords;
  let bar = 0;
  for (const { at, sure } of chords) {
    while (bar < bars.length - 1 && (bars[bar + 1] as SoundingBar).from <= at + 0.01) bar += 1;
    if (!sure) losses.add('chords-unsure', bar + 1);
  }
  return chords;
}

/** How a key stands in a file. */
export type KeyGiven =
  /** Nobody says. */
  | { readonly kind: 'none' }
  /** Its accidentals alone: major or minor is left open. */
  | { readonly kind: 'signature'; readonly fifths: number }
  /** What programs write that nobody told a key. */
  | { readonly kind: 'usual' }
  | { readonly kind: 'named'; readonly key: Key };

/** So much more of the notes has to belong to another key before C major is not believed. */
const PLAINLY = 0.08;
const C_MAJOR: Key = { tonic: 0, scale: 'major' };

/** The key a song is read in: as it is given, or as its notes tell, which is said. */
export function keyFor(given: KeyGiven, notes: readonly SoundingNote[], losses: LossList): Key {
  if (given.kind === 'named') return given.key;
  if (given.kind === 'signature') {
    const pair: readonly Key[] = [
      { tonic: given.fifths, scale: 'major' },
      { tonic: given.fifths + 3, scale: 'natural minor' },
    ];
    return keyOfNotes(notes, pair) ?? (pair[0] as Key);
  }
  const heard = keyOfNotes(notes) ?? C_MAJOR;
  const stays = given.kind === 'usual' && shareInside(notes, heard) < shareInside(notes, C_MAJOR) + PLAINLY;
  if (!stays && !(given.kind === 'usual' && sameKey(heard, C_MAJOR))) losses.add('key-heard', null, printKey(heard, 'glyph'));
  return stays ? C_MAJOR : heard;
}

/** A note where it is written: its bar, counted from 0, and its place in it, in quarters. */
export interface WrittenNote {
  readonly bar: number;
  readonly at: number;
  readonly quarters: number;
  readonly midi: number;
  readonly voice: string;
}

/** Bars without chord names with the chords that their notes make. */
export function withFoundChords(
  bars: readonly SheetBar[],
  written: readonly WrittenNote[],
  given: KeyGiven,
  losses: LossList,
): readonly SheetBar[] {
  let end = 0;
  const times = bars.map((bar): SoundingBar => {
    const from = end;
    end += (beatsOf(bar) * 4) / bar.meter.unit;
    return { from, to: end, meter: bar.meter };
  });
  const notes = written.flatMap(({ bar, at, quarters, midi, voice }) => {
    const time = times[bar];
    const from = (time?.from ?? 0) + at;
    return time === undefined || from >= time.to ? [] : [{ midi, voice, from, to: Math.min(time.to, from + quarters) }];
  });
  const key = keyFor(given, notes, losses);
  const found = foundChords(notes, times, key, losses);
  if (found.every(({ chord }) => chord === null)) losses.add('no-chords');
  const first = bars[0]?.key;
  let next = 0;
  let before: Chord | null = null;
  return bars.map((bar, index): SheetBar => {
    const { from, to } = times[index] as SoundingBar;
    const begin = next;
    while (next < found.length && (found[next] as FoundChord).at < to - 0.01) next += 1;
    const perQuarter = bar.meter.unit / 4;
    const entering = found.slice(begin, next).map(({ at, chord }) => ({ at: (at - from) * perQuarter, chord }));
    const { chords, goesOn } = chordsOfBar(entering, before, (to - from) * perQuarter);
    before = goesOn;
    return { ...bar, chords, key: first !== undefined && sameKey(bar.key, first) ? key : bar.key };
  });
}
