import type { Chord } from '../chord/chord.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameKey, nameNote, nameRoman } from '../naming/naming.ts';
import type { CadenceKind } from '../reduce/cadences.ts';
import type { Column, KeySpan, ReducedTone, Reduction } from '../reduce/reduction.ts';
import { gestureOf, type ToneCount, toneCounts } from '../reduce/tones/tone-counts.ts';
import type { ToneKind } from '../reduce/tones/tone-kinds.ts';
import { placeOf } from '../score/place.ts';
import type { ScoreNote } from '../score/score.ts';
import { readingWords } from './reading-words.ts';

const TONES: Readonly<Record<ToneKind, readonly [one: string, many: string]>> = {
  passing: ['passing note', 'passing notes'],
  'accented-passing': ['accented passing note', 'accented passing notes'],
  neighbour: ['neighbour note', 'neighbour notes'],
  'incomplete-neighbour': ['incomplete neighbour', 'incomplete neighbours'],
  appoggiatura: ['appoggiatura', 'appoggiaturas'],
  suspension: ['suspension', 'suspensions'],
  retardation: ['retardation', 'retardations'],
  anticipation: ['anticipation', 'anticipations'],
  escape: ['escape tone', 'escape tones'],
  pedal: ['pedal note', 'pedal notes'],
};

/** What makes a note what it is, in a few words. */
const TONE_MEANINGS: Readonly<Record<ToneKind, string>> = {
  passing: 'stepped into and out of in one direction, off the beat',
  'accented-passing': 'stepped through in one direction, on the beat',
  neighbour: 'a step away from a note and back',
  'incomplete-neighbour': 'off the beat, leapt to and left by step',
  appoggiatura: 'on the beat, leapt to and left by step',
  suspension: 'held over from the chord before, resolving down by step',
  retardation: 'held over from the chord before, resolving up by step',
  anticipation: 'a note of the next chord, come early',
  escape: 'stepped into, and left by a leap',
  pedal: 'lying, or struck again, while the harmony over it changes',
};

/** Some musicians call every accented passing tone an appoggiatura. */
export type AccentSchool = 'by-approach' | 'all-appoggiaturas';

/** What a note outside its chord is called; with a school that knows no accented passing tones they are appoggiaturas. */
export function toneName(kind: ToneKind, school: AccentSchool = 'by-approach', count = 1): string {
  const own = school === 'all-appoggiaturas' && kind === 'accented-passing' ? 'appoggiatura' : kind;
  return TONES[own][count === 1 ? 0 : 1];
}

/** What makes a note of that kind. */
export function toneMeaning(kind: ToneKind): string {
  return TONE_MEANINGS[kind];
}

/** A note outside its chord in a sentence: what it is, and where it goes. */
export function toneWords(
  { score }: Reduction,
  tone: ReducedTone,
  naming: Naming = DEFAULT_NAMING,
  school: AccentSchool = 'by-approach',
): string {
  const note = score.notes[tone.index] as ScoreNote;
  const goal = tone.resolvesTo === null ? null : (score.notes[tone.resolvesTo] as ScoreNote);
  const figures = tone.figures === null ? '' : ` ${tone.figures.join('–')}`;
  const goes = goal === null || goal.note === note.note ? '' : `, to ${nameNote(goal.note, naming.notes)}`;
  return `${nameNote(note.note, naming.notes)}: ${toneName(tone.kind, school)}${figures}, ${toneMeaning(tone.kind)}${goes}.`;
}

const THIRDS = ['root', 'third', 'fifth', 'seventh'] as const;

/** The bass of a chord in words: `third in the bass`, `over a pedal on C`. */
export function inversionWords(
  { chord, inversion, isPedal }: Pick<Column, 'chord' | 'inversion' | 'isPedal'>,
  naming: Naming = DEFAULT_NAMING,
): string {
  if (chord === null) return '';
  if (isPedal || inversion === null) return `over a pedal on ${nameNote(chord.bass ?? chord.root, naming.notes)}`;
  return `${THIRDS[inversion]} in the bass`;
}

/** Everything there is to say about a column, sentence by sentence. */
export function columnWords(reduction: Reduction, index: number, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const column = reduction.columns[index];
  if (column === undefined) return [];
  if (column.chord === null) return column.notes.length === 0 ? ['Nothing sounds here.'] : [`Not decided: ${pitchNames(column, naming)}.`];
  return [
    ...(column.place === null ? [] : readingWords(reduction.analysis, column.place, naming)),
    ...leadingWords(column, naming),
    ...pedalWords(column, naming),
    ...pivotWords(reduction, index, naming),
  ];
}

function pitchNames({ notes }: Column, naming: Naming): string {
  return notes.map(({ note }) => nameNote(note, naming.notes)).join(' ');
}

/** A diminished chord's thirds, target, and the dominant it shares notes with. */
function leadingWords({ chord, leading }: Column, naming: Naming): readonly string[] {
  if (chord === null || leading === null) return [];
  const target = nameNote(leading.target, naming.notes);
  const kept = { kept: 'and goes there', later: 'and gets there a little later', 'not-kept': 'and does not go there' }[leading.keeps];
  return [
    `${nameNote(chord.root, naming.notes)} is a half step below ${target}: it leads there, ${kept}. It shares its notes with ${nameChord(leading.dominant, naming)}, the dominant of ${target}.`,
  ];
}

/** Both ways to hear a bass that stays. */
function pedalWords({ chord, isPedal, mayBePedal, inversion }: Column, naming: Naming): readonly string[] {
  if (chord === null || chord.bass === null || !mayBePedal) return [];
  const [name, bass] = [nameChord({ ...chord, bass: null }, naming), nameNote(chord.bass, naming.notes)];
  if (inversion === null) return [`Two ways to hear it: ${name} over a pedal on ${bass}, or one sound, ${nameChord(chord, naming)}.`];
  const asTone = `${name} with its ${THIRDS[inversion]} in the bass`;
  return [
    isPedal
      ? `Heard as ${name} over a pedal on ${bass}; it may also be ${asTone}.`
      : `Heard as ${asTone}; it may also be ${name} over a pedal on ${bass}.`,
  ];
}

function pivotWords({ keys, columns }: Reduction, index: number, naming: Naming): readonly string[] {
  const span = keys.find(({ pivot }) => pivot?.column === index);
  const before = span === undefined ? undefined : keys[keys.indexOf(span) - 1];
  if (span?.pivot == null || before === undefined) return [];
  const chord = columns[index]?.chord as Chord;
  return [
    `${nameChord({ ...chord, bass: null }, naming)} belongs to both keys: ${nameRoman(span.pivot.before, naming)} in ${nameKey(before.key, naming)}, ${nameRoman(span.pivot.after, naming)} in ${nameKey(span.key, naming)}.`,
  ];
}

/** How a key is come into: its pivot, the chromatic step, and the cadence that confirms it. */
export function keySpanWords(reduction: Reduction, span: KeySpan, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const { score, keys, columns } = reduction;
  const before = keys[keys.indexOf(span) - 1];
  const bar = (column: number) => placeOf(score, (columns[column] as Column).from).bar;
  const name = nameKey(span.key, naming);
  if (before === undefined)
    return [`It begins in ${name}${span.confirmedAt === null ? '' : `; bar ${bar(span.confirmedAt)} closes in it`}.`];
  const pivot =
    span.pivot === null
      ? `A direct step into ${name}, without a chord of both keys.`
      : `The chord in bar ${bar(span.pivot.column)} is ${nameRoman(span.pivot.before, naming)} in ${nameKey(before.key, naming)} and ${nameRoman(span.pivot.after, naming)} in ${name}.`;
  const step = span.chromatic === null ? [] : [chromaticWords(reduction, span.chromatic, naming)];
  const cadence = span.confirmedAt === null ? 'No cadence confirms it.' : `The cadence in bar ${bar(span.confirmedAt)} confirms it.`;
  return [pivot, ...step, cadence];
}

function chromaticWords({ score }: Reduction, { from, to }: { readonly from: number; readonly to: number }, naming: Naming): string {
  const [a, b] = [score.notes[from] as ScoreNote, score.notes[to] as ScoreNote];
  return `The chromatic step is ${nameNote(a.note, naming.notes)} to ${nameNote(b.note, naming.notes)} in bar ${placeOf(score, b.from).bar}.`;
}

const CADENCES: Readonly<Record<CadenceKind, string>> = {
  authentic: 'authentic cadence',
  half: 'half cadence',
  plagal: 'plagal cadence',
  deceptive: 'deceptive cadence',
};

export function cadenceName(kind: CadenceKind): string {
  return CADENCES[kind];
}

/** How often each kind of note occurs, the most frequent first: `9 accented passing notes`. */
export function countWords(reduction: Reduction, school: AccentSchool = 'by-approach'): readonly string[] {
  return merged(toneCounts(reduction), school).map(({ kind, count }) => `${count} ${toneName(kind, school, count)}`);
}

function merged(counts: readonly ToneCount[], school: AccentSchool): readonly ToneCount[] {
  if (school === 'by-approach') return counts;
  const leaning = counts.filter(({ kind }) => kind === 'accented-passing' || kind === 'appoggiatura');
  const sum = leaning.reduce((all, { count }) => all + count, 0);
  const rest = counts.filter((one) => !leaning.includes(one));
  const joined: readonly ToneCount[] = sum === 0 ? [] : [{ kind: 'appoggiatura', count: sum, onFirstBeats: 0 }];
  return [...joined, ...rest].sort((a, b) => b.count - a.count);
}

/** The gesture of a piece in a sentence; empty where it has none. */
export function gestureWords(reduction: Reduction, school: AccentSchool = 'by-approach'): string {
  const gesture = gestureOf(reduction);
  if (gesture === null) return '';
  const name = toneName(gesture.kind, school);
  const article = /^[aeiou]/.test(name) ? 'An' : 'A';
  return `${article} ${name} on the first beat in ${gesture.onFirstBeats} of ${reduction.score.measures.length} bars: the gesture of this piece.`;
}
