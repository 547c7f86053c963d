import { chordOnTonic, harmonize, type Key, letterView, type Naming, numberView, printNumber, type SymbolView } from '@aurora/core';

/** The first bars are counted in C until their key is known. */
export const FIRST_KEY: Key = { tonic: 0, scale: 'major' };
/** So many chords are enough to ask for their key. */
export const ENOUGH = 4;

/** One of the seven chords that can be pressed. */
export interface BeginChord {
  /** As a chart writes it. */
  readonly text: string;
  readonly number: SymbolView;
  /** Its letters in a key. */
  readonly letterIn: (key: Key) => SymbolView;
  readonly chordIn: (key: Key) => ReturnType<typeof chordOnTonic>;
}

/** The seven chords of a major key, as numbers. */
export function beginChords(naming: Naming): readonly BeginChord[] {
  return harmonize(FIRST_KEY, 'triad').map(({ number }) => ({
    text: printNumber(number),
    number: numberView(number, naming),
    letterIn: ({ tonic }) => letterView(chordOnTonic(number, tonic), naming),
    chordIn: ({ tonic }) => chordOnTonic(number, tonic),
  }));
}
