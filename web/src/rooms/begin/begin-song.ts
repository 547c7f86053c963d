import {
  chordOnTonic,
  harmonize,
  type Key,
  letterView,
  type Naming,
  type NumberChord,
  numberView,
  parseNumberOrLetters,
  printKey,
  printNumber,
  requireValue,
  type SymbolView,
} from '@aurora/core';
import { inLines } from '../../document/progression-store.ts';

/** Major and minor are what a newcomer is asked for; every other scale is a step away on the chart. */
export type BeginScale = 'major' | 'natural minor';

export const FIRST_KEY: Key = { tonic: 0, scale: 'major' };

/** A chord that can be pressed. */
export interface BeginChord {
  /** As a chart writes it. */
  readonly text: string;
  readonly number: SymbolView;
  /** Its letters in a key. */
  readonly letterIn: (key: Key) => SymbolView;
  readonly chordIn: (key: Key) => ReturnType<typeof chordOnTonic>;
}

/** The chords from outside the key that songs borrow most, in the order they are met. */
const FURTHER: Readonly<Record<BeginScale, readonly string[]>> = {
  major: ['b7', '4-', '2', '57', 'b6', '17'],
  'natural minor': ['5', '57', '4', '2-', 'b2', '1'],
};

const beginChord = (number: NumberChord, naming: Naming): BeginChord => ({
  text: printNumber(number),
  number: numberView(number, naming),
  letterIn: ({ tonic }) => letterView(chordOnTonic(number, tonic), naming),
  chordIn: ({ tonic }) => chordOnTonic(number, tonic),
});

/** The seven chords of a major or a minor key, counted from its tonic. */
export function beginChords(naming: Naming, scale: BeginScale): readonly BeginChord[] {
  return harmonize({ tonic: 0, scale }, 'triad').map(({ number }) => beginChord(number, naming));
}

/** Six more. */
export function furtherChords(naming: Naming, scale: BeginScale): readonly BeginChord[] {
  return FURTHER[scale].map((text) => beginChord(requireValue(parseNumberOrLetters(text, 0)), naming));
}

/** The bars as the chart of a new song. */
export function begunSong(title: string, bars: readonly string[], key: Key): string {
  const head = title.trim() === '' ? '' : `title: ${title.trim()}\n`;
  return `${head}key: ${printKey(key)}\n\n${inLines(bars)}\n`;
}
