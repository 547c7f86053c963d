import { type Chord, chordNotes } from '../chord/chord.ts';
import { qualityName } from '../chord/quality-name.ts';
import type { Degree } from '../degree/degree.ts';
import { type Depth, type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameKey, nameNote } from '../naming/naming.ts';
import { withGlyphs } from '../pitch/note-text.ts';
import { depthOfAnswer } from '../practice/asked-depth.ts';
import type { Prompt, Question, QuestionKind } from '../practice/question.ts';
import { isMinorScale } from '../scale/scale.ts';

/** A question under the names somebody uses for things. */
interface Said {
  readonly key: Key;
  readonly prompt: Prompt;
  readonly naming: Naming;
}

const degreeWord = (degree: Degree | undefined) => withGlyphs(printScaleNumber(degree ?? 0));
const chordWord = (chord: Chord | undefined, naming: Naming) => (chord === undefined ? '' : nameChord(chord, naming));
const noteWord = (note: number | undefined, naming: Naming) => nameNote(note ?? 0, naming.notes);
/** `E♭`, `Cm`, `D dorian`. */
const keyWord = ({ key, naming }: Pick<Said, 'key' | 'naming'>) => nameKey(key, naming);

const ASKS: Readonly<Record<QuestionKind, (said: Said) => string>> = {
  'degree-to-chord': (said) => `${degreeWord(said.prompt.degree)} of ${keyWord(said)}?`,
  'chord-to-degree': (said) => `${chordWord(said.prompt.chord, said.naming)} is which number in ${keyWord(said)}?`,
  'degree-quality': (said) => `Which quality has the ${degreeWord(said.prompt.degree)} of ${keyWord(said)}?`,
  'quality-row': (said) => `The seven qualities of ${keyWord(said)}, in order?`,
  'chord-tones': (said) => `The tones of ${chordWord(said.prompt.chord, said.naming)}, root first?`,
  'scale-numbers': (said) => `Which scale numbers does the ${degreeWord(said.prompt.degree)} of ${keyWord(said)} take?`,
  'secondary-dominant': (said) => `The dominant of the ${degreeWord(said.prompt.degree)} in ${keyWord(said)}?`,
  'two-five-one': (said) => `ii–V–I of ${keyWord(said)}, as sevenths?`,
  relative: (said) => `The relative ${isMinorScale(said.key.scale) ? 'major' : 'minor'} of ${keyWord(said)}?`,
  parallel: (said) => `The parallel ${isMinorScale(said.key.scale) ? 'major' : 'minor'} of ${keyWord(said)}?`,
  'tone-name': (said) => `The ${withGlyphs(said.prompt.formula ?? '')} of ${chordWord(said.prompt.chord, said.naming)}?`,
  'interval-or-degree': intervalAsked,
  'keys-with-chord': (said) => `Which major keys have ${chordWord(said.prompt.chord, said.naming)}?`,
  'note-on-fret': ({ prompt: { string, fret } }) => `String ${string}, fret ${fret}: which note?`,
  'find-on-string': ({ prompt: { string, note }, naming }) => `Where is ${noteWord(note, naming)} on string ${string}?`,
  'tone-on-fret': ({ prompt: { string, fret, chord }, naming }) =>
    `String ${string}, fret ${fret}: which tone of ${chordWord(chord, naming)}?`,
  'what-changed': ({ prompt: { chord }, naming }) => `${chordWord(chord, naming)}, then one tone lower: which one moved?`,
  'capo-sounds': ({ prompt: { capo, shape }, naming }) => `Capo ${capo}, ${chordWord(shape, naming)} shape: what sounds?`,
  'capo-shape': ({ prompt: { capo, chord }, naming }) => `Capo ${capo}: which shape sounds ${chordWord(chord, naming)}?`,
  'capo-position': ({ prompt: { capo, chords = [] }, naming }) =>
    `Capo ${capo}: find ${chords.map((chord) => chordWord(chord, naming)).join(', ')}. Which shapes?`,
  'ear-quality': () => 'Which quality do you hear?',
  'ear-degree': (said) => `After the cadence in ${keyWord(said)}: which degree?`,
  'ear-tone': () => 'Two chords on one root: which tone moved?',
  'ear-bass': ({ prompt: { chord }, naming }) => `${chordWord(chord, naming)}: which tone lies in the bass?`,
  'ear-loop': (said) => `Four chords after the cadence in ${keyWord(said)}: which numbers?`,
  'ear-wrong': (said) => `The sevenths of ${keyWord(said)} going up: which degree is wrong?`,
};

function intervalAsked({ key, prompt: { note, to }, naming }: Said): string {
  const [from, tonic] = [noteWord(note, naming), noteWord(key.tonic, naming)];
  return to === undefined
    ? `${from} is which degree of ${keyWord({ key, naming })}?`
    : `From ${from} up to ${tonic}: which interval, as a number?`;
}

/** Kinds whose answers are triads or sevenths, so that the question has to say which. */
const HAS_DEPTH: readonly QuestionKind[] = ['degree-to-chord', 'degree-quality', 'quality-row', 'scale-numbers', 'ear-quality'];

/** A question in words; where the answer may be triads or sevenths it says which. */
export function questionWords(
  { kind, key, prompt, answer }: Pick<Question, 'kind' | 'key' | 'prompt' | 'answer'>,
  naming: Naming = DEFAULT_NAMING,
): string {
  const asked = ASKS[kind]({ key, prompt, naming });
  return HAS_DEPTH.includes(kind) ? asked.replace(/\?$/, `, ${depthOf(answer.accepted[0] ?? '', kind)}?`) : asked;
}

function depthOf(answer: string, kind: QuestionKind): string {
  const isSeventh = depthOfAnswer(kind, answer) === 'seventh';
  const isRow = kind === 'quality-row';
  return isSeventh ? (isRow ? 'as sevenths' : 'as a seventh') : isRow ? 'as triads' : 'as a triad';
}

/** Why the right answer is right, in one sentence. */
export function questionReason(question: Pick<Question, 'kind' | 'key' | 'prompt' | 'answer'>, naming: Naming = DEFAULT_NAMING): string {
  const said = { key: question.key, prompt: question.prompt, naming };
  return REASONS[question.kind](said, answerWords(question.answer.accepted[0] ?? ''));
}

/** An answer as it is shown: its sharps and flats as signs, a plain major quality by its name. */
export function answerWords(answer: string): string {
  if (answer === '') return 'major';
  return withGlyphs(answer.replace(/([A-G])(bb|b|##|#)/g, (_, letter, signs) => `${letter}${printAccidentalSigns(signs)}`));
}

function printAccidentalSigns(signs: string): string {
  return signs.replaceAll('b', '♭').replaceAll('#', '♯');
}

type Reason = (said: Said, answer: string) => string;

/** The key's notes, as evidence. */
const notesOf = ({ key, naming }: Said) =>
  `The key of ${keyWord({ key, naming })} has ${keyNotes(key)
    .map((note) => noteWord(note, naming))
    .join(' ')}`;

const stacked: Reason = (said, answer) => {
  const chord = chordAsked(said, /7/.test(answer) ? 'seventh' : 'triad');
  if (chord === undefined) return `${notesOf(said)}.`;
  const tones = chordNotes(chord).map((note) => noteWord(note, said.naming));
  return `${notesOf(said)}; stacked in thirds from ${noteWord(chord.root, said.naming)}: ${tones.join(' ')}, ${withArticle(qualityName(chord.formula))} chord.`;
};

function withArticle(words: string): string {
  return `${/^[aeiou]/.test(words) ? 'an' : 'a'} ${words}`;
}

function chordAsked({ key, prompt: { chord, degree } }: Said, depth: Depth): Chord | undefined {
  if (chord !== undefined) return chord;
  const found: HarmonizedChord | undefined = harmonize(key, depth).find(({ number }) => number.degree === degree);
  return found?.chord;
}

const tuned: Reason = ({ prompt: { string, open, fret }, naming }, answer) =>
  fret === undefined
    ? `String ${string} is ${openName(open, naming)} when open; a fret is a half step, and twelve are the octave: ${answer}.`
    : `String ${string} is ${openName(open, naming)} when open; ${fret} half steps above it lies ${answer}.`;

function openName(open: number | undefined, naming: Naming): string {
  return noteWord(OPEN_NAMES[(open ?? 0) % OPEN_NAMES.length], naming);
}

/** The usual names of the twelve notes, from C up, on the line of fifths. */
const OPEN_NAMES = [0, -5, 2, -3, 4, -1, 6, 1, -4, 3, -2, 5];

const capoed: Reason = ({ prompt: { capo } }, answer) =>
  `A capo at ${capo} raises every shape by ${capo} half ${capo === 1 ? 'step' : 'steps'}; the quality stays: ${answer}.`;

const heard: Reason = ({ prompt: { chord }, naming }, answer) =>
  chord === undefined ? `It was ${answer}.` : `It was ${answer}, on ${chordWord(chord, naming)}.`;

const REASONS: Readonly<Record<QuestionKind, Reason>> = {
  'degree-to-chord': stacked,
  'chord-to-degree': (said, answer) => `${notesOf(said)}: ${noteWord(said.prompt.chord?.root, said.naming)} is its ${answer}.`,
  'degree-quality': stacked,
  'quality-row': ({ key }, answer) =>
    `${isMinorScale(key.scale) ? 'Every key of this scale' : 'Every major key'} has the same row: ${answer}.`,
  'chord-tones': stacked,
  'scale-numbers': (_, answer) => `Take one, leave one out, from the degree on: ${answer}.`,
  'secondary-dominant': (said, answer) =>
    `A dominant stands a fifth above what it leads to: above ${noteWord(said.key.tonic + (said.prompt.degree ?? 0), said.naming)} that is ${answer}.`,
  'two-five-one': (said, answer) => `The 2 and the 5 lead to ${noteWord(said.key.tonic, said.naming)}, spelled as its key is: ${answer}.`,
  relative: (_, answer) => `Relative keys share their notes and lie a minor third apart: ${answer}.`,
  parallel: (said, answer) => `Parallel keys share their tonic, ${noteWord(said.key.tonic, said.naming)}: ${answer}.`,
  'tone-name': ({ prompt: { chord, formula }, naming }, answer) =>
    `Counted from ${noteWord(chord?.root, naming)} the ${withGlyphs(formula ?? '')} is ${answer}; its letter follows from the number.`,
  'interval-or-degree': ({ key, prompt: { note, to }, naming }, answer) =>
    to === undefined
      ? `Inside the key of ${keyWord({ key, naming })}, ${noteWord(note, naming)} is the ${answer}, whichever way one goes there.`
      : `Letters from ${noteWord(note, naming)} up to ${noteWord(to, naming)}, both counted: ${answer}. As a degree ${noteWord(note, naming)} has another number.`,
  'keys-with-chord': (_, answer) => `A chord of this quality stands on certain degrees of a major key; going back from each: ${answer}.`,
  'note-on-fret': tuned,
  'find-on-string': tuned,
  'tone-on-fret': ({ prompt: { chord }, naming }, answer) => `From ${noteWord(chord?.root, naming)} up to the note there: ${answer}.`,
  'what-changed': ({ prompt: { chord }, naming }, answer) =>
    `All other tones of ${chordWord(chord, naming)} stay; the ${answer} goes down a half step.`,
  'capo-sounds': capoed,
  'capo-shape': capoed,
  'capo-position': capoed,
  'ear-quality': heard,
  'ear-degree': heard,
  'ear-tone': heard,
  'ear-bass': heard,
  'ear-loop': heard,
  'ear-wrong': heard,
};
