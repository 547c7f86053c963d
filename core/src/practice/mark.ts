import { type Chord, triadOf } from '../chord/chord.ts';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { type Formula, findTone, formulaNames, holdsAny, SEVENTHS, withoutSeventh } from '../chord/formula.ts';
import { findScaleNumber, printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { isEnharmonic, type Note } from '../pitch/note.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { keyText, qualityText } from './key-questions.ts';
import type { AnswerForm, Question } from './question.ts';
import { dashReadings, signsOf } from './spoken-answer.ts';

/** How an answer was marked. */
export type Mark =
  | { readonly kind: 'right' }
  /** It sounds right, and another letter belongs there. */
  | { readonly kind: 'misspelled'; readonly wanted: string }
  | { readonly kind: 'wrong'; readonly wanted: string }
  /** The right triads where their sevenths were asked for: half right, and asked again. */
  | { readonly kind: 'as-triad'; readonly wanted: string }
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

const asChord = (value: unknown) => printChord(value as Chord);
const asNote = (value: unknown) => printNote(value as Note);
const asKey = (value: unknown) => keyText(value as Key);
const asDegree = (value: unknown) => printScaleNumber(value as number);
const asQuality = (value: unknown) => qualityText({ root: 0, formula: value as Formula, bass: null });
const asTone = (value: unknown) => formulaNames(value as Formula)[0] ?? '';

const LIKE_NOTE = (a: unknown, b: unknown): Likeness => likeNotes(a as Note, b as Note);
const LIKE_VALUE = (a: unknown, b: unknown): Likeness => (a === b ? 'same' : 'other');

interface Form {
  readonly read: Reader;
  readonly print: (value: unknown) => string;
  readonly like: (a: unknown, b: unknown) => Likeness;
  /** How many things an answer is. */
  readonly many?: 'in order' | 'any order';
}

const FORMS: Readonly<Record<AnswerForm, Form>> = {
  chord: { read: chord, print: asChord, like: likeChords },
  chords: { read: chord, print: asChord, like: likeChords, many: 'in order' },
  degree: { read: degree, print: asDegree, like: LIKE_VALUE },
  degrees: { read: degree, print: asDegree, like: LIKE_VALUE, many: 'in order' },
  quality: { read: quality, print: asQuality, like: LIKE_VALUE },
  qualities: { read: quality, print: (value) => asQuality(value) || '-', like: LIKE_VALUE, many: 'in order' },
  note: { read: note, print: asNote, like: LIKE_NOTE },
  notes: { read: note, print: asNote, like: LIKE_NOTE, many: 'in order' },
  key: { read: key, print: asKey, like: likeKeys },
  keys: { read: key, print: asKey, like: likeKeys, many: 'any order' },
  frets: { read: fret, print: String, like: LIKE_VALUE },
  tone: { read: tone, print: asTone, like: LIKE_VALUE },
};

/** An answer, what it was taken for in plain spelling, and how it was marked. */
export interface MarkedAnswer {
  readonly mark: Mark;
  /** Empty where it could not be read. */
  readonly reads: string;
}

/**
 * Marks an answer as it was typed, tapped or said: right, right but misspelled where the letter counts, right as triads where
 * sevenths were asked for, wrong, or not to be read. Of several ways it may be meant, the best counts.
 */
export function markAnswer(question: Pick<Question, 'answer'>, given: string): Mark {
  return readMarked(question, given).mark;
}

/** The same with what the answer was taken for. */
export function readMarked({ answer }: Pick<Question, 'answer'>, given: string): MarkedAnswer {
  const meant = [given, signsOf(answer.as, given)].flatMap((text) => dashReadings(answer.as, text));
  const marked = [...new Set(meant)].map((text) => ({ mark: markText(answer, text), reads: plainText(answer.as, text) }));
  return marked.reduce((best, one) => (RANK[one.mark.kind] < RANK[best.mark.kind] ? one : best));
}

/** One name for a quality however it was said: `dominant`, `dom7` and `7` are `7`; what is none stays as it is. */
export function oneQuality(said: string): string {
  const { mark, reads } = readMarked({ answer: { as: 'quality', accepted: ['7'], spelled: false } }, said);
  return mark.kind === 'unread' ? said : reads === '' ? 'maj' : reads;
}

const RANK: Readonly<Record<Mark['kind'], number>> = { right: 0, misspelled: 1, 'as-triad': 2, wrong: 3, unread: 4 };

function markText({ as, accepted, spelled }: Question['answer'], given: string): Mark {
  const wanted = accepted[0] as string;
  const said = readAnswer(as, given);
  if (said === undefined) return { kind: 'unread', as };
  const answers = accepted.map((text) => readAnswer(as, text) as readonly unknown[]);
  const likenesses = answers.map((one) => compare(FORMS[as], one, said));
  if (likenesses.includes('same')) return { kind: 'right' };
  if (likenesses.includes('sounds')) return spelled ? { kind: 'misspelled', wanted } : { kind: 'right' };
  return answers.some((one) => isAsTriads(as, one, said)) ? { kind: 'as-triad', wanted } : { kind: 'wrong', wanted };
}

/** Whether sevenths were asked for and these are their triads, each of them or some. */
function isAsTriads(as: AnswerForm, wanted: readonly unknown[], said: readonly unknown[]): boolean {
  const pairs = wanted.map((one, place) => [one, said[place]] as const);
  if (wanted.length !== said.length) return false;
  switch (as) {
    case 'chord':
    case 'chords':
      return (
        pairs.every(([one, other]) => likeChords(triadOf(one as Chord), triadOf(other as Chord)) === 'same') &&
        lacksSeventh(said.map((one) => (one as Chord).formula))
      );
    case 'quality':
    case 'qualities':
      return (
        pairs.every(([one, other]) => withoutSeventh(one as Formula) === withoutSeventh(other as Formula)) &&
        lacksSeventh(said as readonly Formula[])
      );
    default:
      return false;
  }
}

const lacksSeventh = (formulas: readonly Formula[]) => !formulas.every((formula) => holdsAny(formula, SEVENTHS));

/** What an answer was taken for, in plain ASCII spelling. */
function plainText(as: AnswerForm, given: string): string {
  const { print } = FORMS[as];
  return (readAnswer(as, given) ?? []).map((one) => print(one)).join(as === 'keys' ? ', ' : ' ');
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
