import type { Chord } from '../chord/chord.ts';
import type { Key } from '../key/key.ts';
import type { ScorePlace } from '../score/place.ts';
import type { ToneKind } from './tones/tone-kinds.ts';

/** A note of a score by what is written: it is found again when the file comes in anew. */
interface NoteName extends ScorePlace {
  readonly part: string;
  readonly midi: number;
}

/** What the player says about a piece, against the rules or beside them. */
export type Said =
  /** A harmony begins here, or does not. */
  | { readonly kind: 'border'; readonly at: ScorePlace; readonly isBorder: boolean }
  /** What sounds from here is this chord. */
  | { readonly kind: 'chord'; readonly at: ScorePlace; readonly chord: Chord }
  /** A note belongs to its chord, or is this kind of note beside it. */
  | { readonly kind: 'tone'; readonly note: NoteName; readonly tone: ToneKind | 'chord' }
  /** From here the piece is in this key, until another is said or found. */
  | { readonly kind: 'key'; readonly at: ScorePlace; readonly key: Key }
  /** The chord that stands for both keys. */
  | { readonly kind: 'pivot'; readonly at: ScorePlace }
  /** Whether the bass here is a pedal under the chord, rather than a tone of it. */
  | { readonly kind: 'pedal'; readonly at: ScorePlace; readonly isPedal: boolean };

/** What is said, with the bar it was said of as it was written then. */
export interface Remembered {
  readonly said: Said;
  /** A print of the notes of its bar. */
  readonly print: string;
}

/** Where something was said. */
export function placeOfSaid(said: Said): ScorePlace {
  return said.kind === 'tone' ? said.note : said.at;
}

/** The same said again takes the place of what was said before; nothing is said twice. */
export function sayAbout(before: readonly Remembered[], next: Remembered): readonly Remembered[] {
  return [...before.filter(({ said }) => subjectOf(said) !== subjectOf(next.said)), next];
}

/** What was said on a subject is taken back. */
export function takeBackSaid(before: readonly Remembered[], said: Said): readonly Remembered[] {
  return before.filter((other) => subjectOf(other.said) !== subjectOf(said));
}

/** What a remark is about, as a name. */
export function subjectOf(said: Said): string {
  if (said.kind === 'tone') return `tone ${said.note.part} ${said.note.bar}:${said.note.beat} ${said.note.midi}`;
  return `${said.kind} ${said.at.bar}:${said.at.beat}`;
}
