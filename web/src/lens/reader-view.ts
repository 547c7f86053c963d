import {
  CONCERT_READER,
  DEFAULT_NAMING,
  type Key,
  type Naming,
  nameKey,
  type Reader,
  TRANSPOSITION_SEMITONES,
  writtenKey,
} from '@aurora/core';

/** One entry of the reader lens. */
export interface ReaderChoice {
  /** How it stands in an address. */
  readonly id: string;
  readonly label: string;
  readonly short: string;
  readonly reader: Reader;
  readonly group: 'Concert and horns' | 'Guitar';
}

/** The highest fret a capo is offered at. */
export const MOST_CAPO = 9;

const horn = (id: string, label: string, short: string, transpose: number): ReaderChoice => ({
  id,
  label,
  short,
  reader: { ...CONCERT_READER, transpose },
  group: 'Concert and horns',
});

const guitar = (capo: number): ReaderChoice => ({
  id: `capo-${capo}`,
  label: capo === 0 ? 'Guitar, no capo' : `Guitar, capo ${capo}`,
  short: capo === 0 ? 'Guitar' : `Capo ${capo}`,
  reader: { ...CONCERT_READER, capo },
  group: 'Guitar',
});

export const CONCERT: ReaderChoice = horn('concert', 'Concert pitch', 'Concert', 0);

/** Everyone a song can be read as, in the order they are offered. */
export const READER_CHOICES: readonly ReaderChoice[] = [
  CONCERT,
  horn('Bb', 'B♭ instrument', 'B♭', TRANSPOSITION_SEMITONES.Bb),
  horn('Eb', 'E♭ instrument', 'E♭', TRANSPOSITION_SEMITONES.Eb),
  ...Array.from({ length: MOST_CAPO + 1 }, (_, capo) => guitar(capo)),
];

/** The choice by its id; concert pitch for an id nobody has. */
export function readerChoice(id: string | null): ReaderChoice {
  return READER_CHOICES.find((choice) => choice.id === id) ?? CONCERT;
}

/** What the reader has to know about the key: nothing when they read what sounds. */
export function readerNote(choice: ReaderChoice, sounding: Key, naming: Naming = DEFAULT_NAMING): string | null {
  const written = writtenKey(choice.reader, sounding);
  if (written.tonic === sounding.tonic) return null;
  const name = nameKey(written, naming);
  return choice.reader.capo > 0
    ? `${name} shapes = sounding ${nameKey(sounding, naming)}`
    : `reads ${name} = sounding ${nameKey(sounding, naming)}`;
}
