import type { ANSWER_FORMS, ASKED_DEPTHS, QUESTION_KINDS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import type { Degree } from '../degree/degree.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import type { Frets } from '../voicing/voicing.ts';

export type QuestionKind = (typeof QUESTION_KINDS)[number];

/** In what depth chords are asked: triads, sevenths, or both mixed. */
export type AskedDepth = (typeof ASKED_DEPTHS)[number];

/** What form an answer has. */
export type AnswerForm = (typeof ANSWER_FORMS)[number];

/** Notes that sound together for so many beats. */
export interface Sound {
  readonly midi: readonly number[];
  readonly beats: number;
}

/** What is asked, as data; which fields there are depends on the kind. */
export interface Prompt {
  /** A degree of the key. */
  readonly degree?: Degree;
  readonly chord?: Chord;
  /** Chords that are asked for together. */
  readonly chords?: readonly Chord[];
  /** A tone's number against the chord's root, `b7`. */
  readonly formula?: string;
  readonly note?: Note;
  /** The note an interval goes to. */
  readonly to?: Note;
  /** 1 is the thinnest. */
  readonly string?: number;
  /** Counted from the nut. */
  readonly fret?: number;
  /** The open string, as a MIDI note number. */
  readonly open?: number;
  readonly capo?: number;
  /** The chord a hand thinks of over the capo. */
  readonly shape?: Chord;
  /** Two shapes of which the second differs in one tone, low string first. */
  readonly shapes?: readonly [Frets, Frets];
  /** Heard instead of read. */
  readonly sounds?: readonly Sound[];
}

/** The right answers of a question. */
export interface Answer {
  readonly as: AnswerForm;
  /** Every right answer in plain ASCII spelling, the usual one first. */
  readonly accepted: readonly string[];
  /** Whether only the right letter counts: G♭ is then no F♯. */
  readonly spelled: boolean;
}

/** A question: a value with one set of right answers. */
export interface Question {
  /** Unique among those asked together, and the same for the same wish. */
  readonly id: string;
  readonly kind: QuestionKind;
  readonly key: Key;
  readonly prompt: Prompt;
  readonly answer: Answer;
}

/** A question before it is numbered. */
export type Asked = Omit<Question, 'id' | 'kind' | 'key'> & {
  /** What tells it from the others of its kind and key. */
  readonly about: string;
};

/** What somebody wants to be asked. */
export interface QuestionWish {
  readonly kinds: readonly QuestionKind[];
  readonly keys: readonly Key[];
  /** Triads, sevenths or both mixed; null for what the kind is usually asked in. */
  readonly depth: AskedDepth | null;
  readonly count: number;
  readonly seed: number;
  /** Where the capo sits; null to ask about several. */
  readonly capo: number | null;
  /** Open strings as MIDI note numbers, lowest first. */
  readonly tuning: readonly number[];
  /** Loops of four chords to listen to, as places in the scale from 1 on; none for the usual ones. */
  readonly loops: readonly (readonly number[])[];
}

/** The same in one depth, or in the usual one. */
export interface WishInOneDepth extends QuestionWish {
  readonly depth: Exclude<AskedDepth, 'both'> | null;
}
