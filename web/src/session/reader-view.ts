import {
  CONCERT_READER,
  DEFAULT_NAMING,
  type Key,
  type Naming,
  nameKey,
  playerReader,
  playsGuitar,
  type Reader,
  TRANSPOSITION_SEMITONES,
  writtenKey,
} from '@aurora/core';
import type { Member } from '@aurora/wire';
import { HOUSE_WORDS } from '../wording/house.ts';

/** One entry of the reader lens. */
export interface ReaderChoice {
  /** How it stands in an address. */
  readonly id: string;
  readonly label: string;
  readonly short: string;
  readonly reader: Reader;
  readonly group: 'The band' | 'Concert and horns' | 'Guitar';
  /** Whose eyes these are, where it is somebody in the band; their likes go for everything shown. */
  readonly member: Member | null;
}

/** The highest fret a capo is offered at. */
export const MOST_CAPO = 9;

const horn = (id: string, label: string, short: string, transpose: number): ReaderChoice => ({
  id,
  label,
  short,
  reader: { ...CONCERT_READER, transpose },
  group: HOUSE_WORDS.concertAndHorns,
  member: null,
});

const guitar = (capo: number): ReaderChoice => ({
  id: `capo-${capo}`,
  label: capo === 0 ? HOUSE_WORDS.guitarNoCapo : HOUSE_WORDS.guitarCapo(capo),
  short: capo === 0 ? HOUSE_WORDS.guitar : HOUSE_WORDS.capo(capo),
  reader: { ...CONCERT_READER, capo },
  group: HOUSE_WORDS.guitar,
  member: null,
});

export const CONCERT: ReaderChoice = horn('concert', HOUSE_WORDS.concertPitch, 'Concert', 0);

/** Everyone a song can be read as, in the order they are offered. */
export const READER_CHOICES: readonly ReaderChoice[] = [
  CONCERT,
  horn('Bb', 'B♭ instrument', 'B♭', TRANSPOSITION_SEMITONES.Bb),
  horn('Eb', 'E♭ instrument', 'E♭', TRANSPOSITION_SEMITONES.Eb),
  ...Array.from({ length: MOST_CAPO + 1 }, (_, capo) => guitar(capo)),
];

const MEMBER_ID = /^m-([0-9a-f-]{36})(?:-c(\d{1,2}))?$/;

/** Somebody in the band as a reader, with the capo where they usually have it or at another fret. */
export function memberChoice(member: Member, capo = member.reads.capo): ReaderChoice {
  const { id, name, plays, reads, instrument } = member;
  return {
    id: capo === reads.capo ? `m-${id}` : `m-${id}-c${capo}`,
    label: [name, capo > 0 ? HOUSE_WORDS.capoAt(capo) : plays].filter((word) => word !== '').join(', '),
    short: name,
    reader: playerReader({ plays, transpose: reads.transpose, tuning: instrument?.tuning ?? null }, capo),
    group: HOUSE_WORDS.theBand,
    member,
  };
}

/** Whether a capo and a guitar's tunings mean something to a member. */
export function isGuitar({ plays }: Pick<Member, 'plays'>): boolean {
  return playsGuitar(plays);
}

/**
 * The choice by its id; concert pitch for an id nobody has. Somebody in the band who is not known
 * yet is kept by id until the band is.
 */
export function readerChoice(id: string | null, members: readonly Member[] | null = null): ReaderChoice {
  const [, memberId, fret] = MEMBER_ID.exec(id ?? '') ?? [];
  if (memberId === undefined) return READER_CHOICES.find((choice) => choice.id === id) ?? CONCERT;
  const member = members?.find((one) => one.id === memberId);
  const capo = fret === undefined ? undefined : Math.min(MOST_FRET, Number(fret));
  if (member !== undefined) return memberChoice(member, capo);
  return members === null ? { ...CONCERT, id: id as string } : CONCERT;
}

/** The highest fret any capo sits at. */
const MOST_FRET = 11;

/** What the reader has to know about the key: nothing when they read what sounds. */
export function readerNote(choice: ReaderChoice, sounding: Key, naming: Naming = DEFAULT_NAMING): string | null {
  const written = writtenKey(choice.reader, sounding);
  if (written.tonic === sounding.tonic) return null;
  const name = nameKey(written, naming);
  return choice.reader.capo > 0
    ? HOUSE_WORDS.shapesSounding(name, nameKey(sounding, naming))
    : HOUSE_WORDS.readsSounding(name, nameKey(sounding, naming));
}
