import type { Chord } from '../chord/chord.ts';
import { parseChord } from '../chord/chord-text.ts';
import { findTone } from '../chord/formula.ts';
import { findScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { isEnharmonic, type Note } from '../pitch/note.ts';
import { parseNote } from '../pitch/note-text.ts';
import type { AnswerForm, Question } from './question.ts';

/** How an answer was marked. */
export type Mark =
  | { readonly kind: 'right' }
  /** It sounds right, and another letter belongs there. */
  | { readonly kind: 'misspelled'; readonly wanted: string }
  | { readonly kind: 'wrong'; readonly wanted: string }
  /** What was said cannot be read as an answer at all. */
  | { readonly kind: 'unread'; readonly as: AnswerForm };

/** How two answers stand to each other. */
type Likeness = 'same' | 'sounds' | 'other';

type Reader = (text: string) => unknown | undefined;

const note: Reader = (text) => readable(parseNote(capital(text)));
const chord: Reader = (text) => readable(parseChord(capital(text)));
const quality: Reader = (text) => (readable(parseChord(`C${text === '-' ? '' : text}`)) as Chord | undefined)?.formula;
const degree: Reader = (text) => findScaleNumber(text.replaceAll('♭', 'b').replaceAll('♯', '#'));
const tone: Reader = (text) => findTone(text.replaceAll('♭', 'b').replaceAll('♯', '#'));
const key: Reader = (text) => readable(parseKey(capital(text)));
const fret: Reader = (text) => (/^\d{1,2}$/.test(text) ? Number(text) : undefined);

const LIKE_NOTE = (a: unknown, b: unknown): Likeness => likeNotes(a as Note, b as Note);
const LIKE_VALUE = (a: unknown, b: unknown): Likeness => (a === b ? 'same' : 'other');

interface Form {
  readonly read: Reader;
  readonly like: (a: unknown, b: unknown) => Likeness;
  /** How many things an answer is. */
  readonly many?: 'in order' | 'any order';
}

const FORMS: Readonly<Record<AnswerForm, Form>> = {
  chord: { read: chord, like: likeChords },
  chords: { read: chord, like: likeChords, many: 'in order' },
  degree: { read: degree, like: LIKE_VALUE },
  degrees: { read: degree, like: LIKE_VALUE, many: 'in order' },
  quality: { read: quality, like: LIKE_VALUE },
  qualities: { read: quality, like: LIKE_VALUE, many: 'in order' },
  note: { read: note, like: LIKE_NOTE },
  notes: { read: note, like: LIKE_NOTE, many: 'in order' },
  key: { read: key, like: likeKeys },
  keys: { read: key, like: likeKeys, many: 'any order' },
  frets: { read: fret, like: LIKE_VALUE },
  tone: { read: tone, like: LIKE_VALUE },
};

/** Marks an answer as it was typed, tapped or said: right, right but misspelled where the letter counts, wrong, or not to be read. */
export function markAnswer({ answer: { as, accepted, spelled } }: Pick<Question, 'answer'>, given: string): Mark {
  const wanted = accepted[0] as string;
  const said = readAnswer(as, given);
  if (said === undefined) return { kind: 'unread', as };
  const likenesses = accepted.map((text) => compare(FORMS[as], readAnswer(as, text) as readonly unknown[], said));
  if (likenesses.includes('same')) return { kind: 'right' };
  if (!likenesses.includes('sounds')) return { kind: 'wrong', wanted };
  return spelled ? { kind: 'misspelled', wanted } : { kind: 'right' };
}

/** The things an answer names; undefined where one of them cannot be read. A plain major quality may be said by nothing at all. */
function readAnswer(as: AnswerForm, given: string): readonly unknown[] | undefined {
  const { read, many } = FORMS[as];
  const text = given.trim();
  const parts = many === undefined ? [text] : partsOf(as, text);
  const things = parts.map((part) => read(part));
  return things.length === 0 || things.includes(undefined) ? undefined : things;
}

/** Keys of two words hold together; degrees may be written with hyphens between them. */
function partsOf(as: AnswerForm, text: string): readonly string[] {
  if (text === '') return [];
  const apart = as === 'degrees' ? text.replaceAll('-', ' ') : text;
  return apart.split(/[\s,;]+/).filter((part) => part !== '');
}

function compare({ like, many }: Form, wanted: readonly unknown[], said: readonly unknown[]): Likeness {
  if (wanted.length !== said.length) return 'other';
  if (many !== 'any order') return worst(wanted.map((one, place) => like(one, said[place])));
  const left = [...said];
  return worst(
    wanted.map((one) => {
      const at = left.findIndex((other) => like(one, other) !== 'other');
      return at < 0 ? 'other' : like(one, left.splice(at, 1)[0]);
    }),
  );
}

function worst(all: readonly Likeness[]): Likeness {
  if (all.includes('other')) return 'other';
  return all.includes('sounds') ? 'sounds' : 'same';
}

function likeNotes(a: Note, b: Note): Likeness {
  if (a === b) return 'same';
  return isEnharmonic(a, b) ? 'sounds' : 'other';
}

function likeChords(a: unknown, b: unknown): Likeness {
  const [one, other] = [a as Chord, b as Chord];
  if (one.formula !== other.formula || (one.bass === null) !== (other.bass === null)) return 'other';
  return worst([likeNotes(one.root, other.root), likeNotes(one.bass ?? 0, other.bass ?? 0)]);
}

function likeKeys(a: unknown, b: unknown): Likeness {
  const [one, other] = [a as Key, b as Key];
  return one.scale === other.scale ? likeNotes(one.tonic, other.tonic) : 'other';
}

/** `eb` is meant as E♭: a small letter is never a flat where a note is asked for. */
function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function readable<Value>(result: { readonly ok: true; readonly value: Value } | { readonly ok: false }): Value | undefined {
  return result.ok ? result.value : undefined;
}
