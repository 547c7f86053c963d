import type { Analysis, AnalyzedChord } from '../analysis/analysis.ts';
import { type Chord, chordNotes } from '../chord/chord.ts';
import { formulaOf, holdsAll, holdsAny } from '../chord/formula.ts';
import { chordOnTonic, type NumberChord } from '../degree/degree.ts';
import { mod } from '../fault.ts';
import { printScale } from '../key/key-text.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { homeWords, notesText } from './analysis-words.ts';
import { bassSentence } from './bass-words.ts';
import { commonNotes, walkedNotes } from './note-words.ts';
import { outsideClause, outsideText } from './outside-words.ts';
import { ownSentence } from './own-words.ts';
import type { Told } from './told.ts';
import { keyWords } from './why-words.ts';

const DOMINANT = formulaOf('3', 'b7');
const TRIAD_TONES = formulaOf('1', 'b3', '3', 'b5', '5', '#5');
const THIRDS = formulaOf('b3', '3');

/**
 * Why a chord works where it stands: what it does here, with the notes that do it. Each sentence is a
 * fact about these chords; a chord that does nothing in particular has one short line.
 */
export function readingWords(analysis: Analysis, index: number, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const chord = analysis.chords[index];
  const region = analysis.regions[chord?.region ?? -1];
  if (chord === undefined || region === undefined) return [];
  const [before, after] = [neighbour(analysis, index, -1), neighbour(analysis, index, 1)];
  const told: Told = { analysis, index, chord, region, key: region.key, before, after, naming };
  const held = heldSentence(told);
  if (held !== undefined) return [held];
  return [firstSentence(told), ...promiseSentence(told), ...bassSentence(told), ...pivotSentence(told)];
}

/** The next chord in that direction that is another one. */
function neighbour({ chords }: Analysis, index: number, by: 1 | -1): AnalyzedChord | null {
  const here = chords[index] as AnalyzedChord;
  for (let at = index + by; at >= 0 && at < chords.length; at += by) {
    const other = chords[at] as AnalyzedChord;
    if (!isSameChord(other.chord, here.chord)) return other;
  }
  return null;
}

function isSameChord(a: Chord, b: Chord): boolean {
  return a.root === b.root && a.formula === b.formula && a.bass === b.bass;
}

/** A chord that stands for more than one bar is told once, and then counted. */
function heldSentence({ analysis: { chords }, index, chord, naming }: Told): string | undefined {
  let from = index;
  while (from > 0 && isSameChord((chords[from - 1] as AnalyzedChord).chord, chord.chord)) from -= 1;
  if (from === index) return undefined;
  return `${nameChord(chord.chord, naming)} is held: the ${ordinal(index - from + 1)} time.`;
}

function ordinal(count: number): string {
  const suffix = count % 100 > 10 && count % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][count % 10] ?? 'th');
  return `${count}${suffix}`;
}

// ------------------------------------------------------------------------------- chord by reading

function firstSentence(told: Told): string {
  const { chord, key, naming, before, after } = told;
  const name = nameChord(chord.chord, naming);
  const target = targetName(told);
  const next = after === null ? 'the next chord' : nameChord(after.chord, naming);
  switch (chord.reading.kind) {
    case 'diatonic':
      return ownSentence(told, name);
    case 'secondary-dominant':
      return `${name} is the dominant of ${target}${outsideClause(told)}.`;
    case 'secondary-leading-tone':
      return `${name} holds ${leadingNote(told)}, the note a half step below ${target}, and leans on it.`;
    case 'related-two':
      return `${name} and ${next} are a ii–V that points at ${target}.`;
    case 'tritone-substitute':
      return `${name} stands in for the dominant of ${target}: both have ${sharedTritone(told)}, and its root lies a half step above.`;
    case 'borrowed':
      return borrowedSentence(told, name);
    case 'backdoor-dominant':
      if (chord.reading.resolution === 'deceptive')
        return `${name} is the backdoor dominant: from the ♭7 it leads up a step to ${target}, and the 3 of the key comes in its place.`;
      return `${name} is the backdoor dominant: from the ♭7 its root rises a step to ${target}, with ${nameNote(key.tonic - 4, naming.notes)} of the minor 4 in it.`;
    case 'passing-diminished':
      return before === null
        ? `${name} passes into ${next}.`
        : `${name} passes between ${nameChord(before.chord, naming)} and ${next}, by half steps.`;
    case 'common-tone-diminished':
      return `${name} keeps ${commonText(told)} while its other notes slide into place.`;
    case 'chromatic-mediant':
      return `${name} stands a third away with changed notes${outsideClause(told)}; it is colour, and promises nothing.`;
    case 'neapolitan':
      return `${name} is the Neapolitan, a major chord on the ♭2: it moves away from home like a 4.`;
    case 'augmented-sixth':
      return `${name} opens outward into ${next}: its root falls a half step and its ♭7, heard as a ♯6, rises one.`;
    case 'blues-dominant':
      return `${name} is at rest: in the blues the ${numberInWords(chord.number, naming)} is a dominant seventh that colours and does not pull.`;
    case 'line-cliche':
      return lineSentence(told, name);
    case 'pedal':
      return `${name} over a held bass: the chord above is the ${numberInWords({ ...chord.number, bass: null }, naming)}, the bass stays where it was.`;
    case 'unexplained':
      return `No common reading fits ${name} here: it is the ${numberInWords(chord.number, naming)} of ${homeWords(key, naming)}${outsideClause(told)}.`;
  }
}

function borrowedSentence(told: Told, name: string): string {
  const { chord, key, naming } = told;
  if (chord.reading.rule === 'picardy') {
    return `${name} is a Picardy third: ${nameNote(key.tonic + 4, naming.notes)} in place of ${nameNote(key.tonic - 3, naming.notes)} closes the minor song in major.`;
  }
  const outside = outsideText(told);
  return outside === ''
    ? `${name} is borrowed from ${sourcesText(told)}.`
    : `${name} is borrowed: ${outside}, and ${sourcesText(told)} has it.`;
}

function commonText({ chord, after, naming }: Told): string {
  const shared = after === null ? [] : commonNotes(chord.chord, after.chord);
  return shared.length === 0 ? 'a note of the next chord' : `${nameNote(shared[0] as Note, naming.notes)} in common with the next chord`;
}

/** The note of a leading-tone chord that lies a half step below what it leans on. */
function leadingNote({ chord, key, naming }: Told): string {
  const target = chord.reading.target;
  const found = chordNotes(chord.chord).find((note) => target !== null && mod(chroma(key.tonic + target.degree) - chroma(note), 12) === 1);
  return nameNote(found ?? chord.chord.root, naming.notes);
}

/** The third and seventh that a substitute has in common with the dominant it stands for, as the chord spells them. */
function sharedTritone({ chord, naming }: Told): string {
  return notesText([chord.chord.root + 4, chord.chord.root - 2], naming);
}

/** One voice walks while the chord is held: the notes it goes through. */
function lineSentence({ analysis: { patterns, chords }, index, naming }: Told, name: string): string {
  const line = patterns.find(({ kind, from, to }) => kind === 'line-cliche' && index >= from && index <= to);
  const walked = line === undefined ? [] : walkedNotes(chords.slice(line.from, line.to + 1).map(({ chord }) => chord));
  if (walked.length < 3) return `${name} holds its root while one voice walks by half steps.`;
  return `${name} holds its root while one voice walks ${walked.map((note) => nameNote(note, naming.notes)).join('–')}.`;
}

function sourcesText({ chord, key, naming }: Told): string {
  const [nearest, ...more] = chord.reading.sources ?? [];
  if (nearest === undefined) return 'a scale on the same tonic';
  const also = more[0] === undefined ? '' : ` (as does ${printScale(more[0], 'glyph')})`;
  return `${keyWords({ ...key, scale: nearest }, naming)}${also}`;
}

// --------------------------------------------------------------------------------- what is promised

/** What becomes of what the chord promises. */
function promiseSentence(told: Told): readonly string[] {
  const { chord, naming, analysis, index } = told;
  const { resolution, target, onTurn } = chord.reading;
  if (resolution === undefined || target === null) return [];
  const wanted = targetName(told);
  const first = analysis.chords[0] as AnalyzedChord;
  if (onTurn === true) return [`${nameChord(first.chord, naming)} answers it when the song comes round again.`];
  const after = nextRoot(analysis, index);
  const next = after === null ? '' : nameChord(after, naming);
  switch (resolution) {
    case 'resolves':
      if (after === null) return [];
      return [leadsOn(after, target) ? `${next} follows on that root and leads on itself.` : `It resolves to ${next}.`];
    case 'deceptive':
      return [`The ear expects ${wanted}; ${next} comes instead.`];
    case 'delayed':
      return [`${capital(wanted)} is expected, and comes one chord later.`];
    case 'unresolved':
      return chord.reading.kind === 'diatonic' && after === null
        ? ['The phrase stops here, open.']
        : [`Nothing answers it: ${wanted} would.`];
  }
}

/** The next chord on another root. */
function nextRoot({ chords }: Analysis, index: number): Chord | null {
  const here = chords[index] as AnalyzedChord;
  return chords.slice(index + 1).find(({ chord }) => chroma(chord.root) !== chroma(here.chord.root))?.chord ?? null;
}

/** Whether a dominant arrives where a plain chord was promised, as in a chain of dominants. */
function leadsOn(after: Chord, target: NumberChord): boolean {
  return holdsAll(after.formula, DOMINANT) && target.formula !== (after.formula & TRIAD_TONES) && holdsAny(after.formula, THIRDS);
}

function targetName({ chord, key, naming }: Told): string {
  const { target } = chord.reading;
  return target === null ? 'the next chord' : `${nameChord(chordOnTonic(target, key.tonic), naming)}, the ${numberInWords(target, naming)}`;
}

/** The chord that two keys share, told in both. */
function pivotSentence({ index, region, analysis, chord, naming }: Told): readonly string[] {
  if (region.pivot?.index !== index || region.from === 0) return [];
  const before = analysis.regions[chord.region - 1];
  if (before === undefined) return [];
  return [
    `It turns the key: the ${numberInWords(region.pivot.numberBefore, naming)} of ${homeWords(before.key, naming)} is the ${numberInWords(chord.number, naming)} of ${homeWords(region.key, naming)}.`,
  ];
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
