import type { Analysis, AnalyzedChord } from '../analysis/analysis.ts';
import { type Chord, chordNotes } from '../chord/chord.ts';
import { formulaOf, holdsAll, holdsAny } from '../chord/formula.ts';
import { chordOnTonic, type NumberChord } from '../degree/degree.ts';
import { mod } from '../fault.ts';
import { chordInKey } from '../harmony/chord-in-key.ts';
import type { Key } from '../key/key.ts';
import { printScale } from '../key/key-text.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { homeWords, notesText } from './analysis-words.ts';
import { bassSentence } from './bass-words.ts';
import type { Told } from './told.ts';
import { keyWords } from './why-words.ts';

const DOMINANT = formulaOf('3', 'b7');
const TRIAD_TONES = formulaOf('1', 'b3', '3', 'b5', '5', '#5');
const THIRDS = formulaOf('b3', '3');
const FIFTH_DOWN = 5;

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

// --------------------------------------------------------------------------- chords of the key

type OwnRule = (told: Told, name: string) => string | undefined;

/** What a chord of the key may be doing, the most telling first. */
const OWN_RULES: readonly OwnRule[] = [
  raisedFifth,
  colour,
  opens,
  sixFour,
  closes,
  answers,
  prepares,
  plagal,
  dominant,
  raised,
  opensBare,
  turnsBack,
  walksOn,
  shares,
  falls,
];

function ownSentence(told: Told, name: string): string {
  for (const rule of OWN_RULES) {
    const sentence = rule(told, name);
    if (sentence !== undefined) return sentence;
  }
  return `${name} is the ${numberInWords(told.chord.number, told.naming)}.`;
}

function stepOf({ key }: Told, chord: AnalyzedChord): number {
  return mod(chroma(chord.chord.root) - chroma(key.tonic), 12);
}

function isTonic(told: Told, chord: AnalyzedChord): boolean {
  return chord.region === told.chord.region && stepOf(told, chord) === 0 && chord.function === 'tonic';
}

/** The 5 with its fifth raised: the raised note leads up. */
function raisedFifth({ chord, after, key, naming }: Told, name: string): string | undefined {
  if (!holdsAll(chord.chord.formula, formulaOf('3', '#5')) || chord.number.degree !== 1) return undefined;
  const raised = key.tonic + RAISED_TWO;
  const goal = after === null ? undefined : chordNotes(after.chord).find((note) => mod(chroma(note) - chroma(raised), 12) === 1);
  const leads = goal === undefined ? '' : ` and rises to ${nameNote(goal, naming.notes)}`;
  return `${name} is the 5 with its fifth raised: ${nameNote(raised, naming.notes)} stands in place of ${nameNote(key.tonic + 2, naming.notes)}${leads}.`;
}

const RAISED_TWO = 9;

function colour(told: Told, name: string): string | undefined {
  const { chord, naming } = told;
  const outside = outsideText(told);
  if (chord.reading.rule !== 'coloured-chord' || outside === '') return undefined;
  return `${name} is the ${numberInWords(chord.number, naming)} with colour on top: ${outside}, but its 3 and 7 are the key’s own.`;
}

function opens(told: Told, name: string): string | undefined {
  const { index, region, key, naming, analysis } = told;
  if (index !== region.from || !isTonic(told, told.chord)) return undefined;
  return index === 0 && analysis.regions.length > 0
    ? `${name} opens the song at home in ${homeWords(key, naming)}.`
    : `${name} is home now: ${homeWords(key, naming)} begins.`;
}

function opensBare({ index, key, chord, naming }: Told, name: string): string | undefined {
  return index === 0
    ? `${name} opens the song away from home, on the ${numberInWords(chord.number, naming)} of ${homeWords(key, naming)}.`
    : undefined;
}

/** 1 over 5 in front of the 5: the notes above the bass fall into it. */
function sixFour(told: Told, name: string): string | undefined {
  const { chord, after, key, naming } = told;
  const overFive = chord.chord.bass !== null && chroma(chord.chord.bass) === chroma(key.tonic + 1);
  if (!overFive || stepOf(told, chord) !== 0 || after === null || stepOf(told, after) !== 7) return undefined;
  const falls = stepsInto(chord.chord, after.chord).filter(({ by }) => by < 0);
  return `${name} holds back ${nameChord(after.chord, naming)}: over the same bass ${movesText(falls, naming)} (a cadential six-four).`;
}

/** The 1 that its 5 leads into, or its 4. */
function closes(told: Told, name: string): string | undefined {
  const { chord, before, key, naming, analysis, index } = told;
  if (!isTonic(told, chord) || before === null || before.region !== chord.region) return undefined;
  if (before.function !== 'dominant' && stepOf(told, before) !== FIFTH_DOWN) return undefined;
  const pulled = (note: Note) => [11, 5].includes(mod(chroma(note) - chroma(key.tonic), 12));
  const moves = stepsInto(before.chord, chord.chord).filter(({ from }) => before.function !== 'dominant' || pulled(from));
  const how = moves.length === 0 ? '' : `: ${movesText(moves, naming)}`;
  const verb = analysis.progression.chords[index]?.endsPhrase === true ? 'closes the phrase' : 'is home again';
  return `${name} ${verb} after ${nameChord(before.chord, naming)}${how}.`;
}

/** What stands where the 5 would lead home: 6 in major, ♭6 in minor, or 4. */
function answers(told: Told, name: string): string | undefined {
  const { chord, before, key, naming } = told;
  if (before === null || before.region !== chord.region || stepOf(told, before) !== 7 || before.function !== 'dominant') return undefined;
  if (!holdsAny(before.chord.formula, formulaOf('3')) || stepOf(told, chord) === 0) return undefined;
  const promised: Chord = { root: key.tonic, formula: formulaOf('1', key.scale === 'major' ? '3' : 'b3', '5'), bass: null };
  const kept = commonNotes(promised, chord.chord);
  if (kept.length < 2) return undefined;
  return `${name} answers ${nameChord(before.chord, naming)} in place of ${nameChord(promised, naming)}, with ${notesText(kept, naming)} of it.`;
}

/** A 2 or 4 in front of the 5. */
function prepares(told: Told, name: string): string | undefined {
  const { chord, after, naming } = told;
  if (chord.function !== 'subdominant' || after === null || after.region !== chord.region) return undefined;
  // the 5, or 1 over 5 that holds it back
  if (after.function !== 'dominant' || ![7, 0].includes(stepOf(told, after))) return undefined;
  const next = nameChord(after.chord, naming);
  const kept = commonNotes(chord.chord, after.chord);
  const moves = stepsInto(chord.chord, after.chord);
  const how =
    kept.length > 0
      ? `: ${notesText(kept, naming)} ${kept.length === 1 ? 'stays' : 'stay'}`
      : moves.length > 0
        ? `: ${movesText(moves.slice(0, 2), naming)}`
        : '';
  return `${name} prepares ${next}${how}.`;
}

/** The 4 that goes home without the 5. */
function plagal(told: Told, name: string): string | undefined {
  const { chord, after, before, naming, analysis, index } = told;
  if (stepOf(told, chord) !== FIFTH_DOWN || after === null || !isTonic(told, after)) return undefined;
  const moves = stepsInto(chord.chord, after.chord).filter(({ by }) => by < 0);
  if (moves.length === 0) return undefined;
  const swings = before !== null && isTonic(told, before);
  const ends = analysis.progression.chords[index + 1]?.endsPhrase === true;
  const named = ends ? ` (a plagal ${swings ? 'extension' : 'cadence'})` : '';
  return `${name} ${swings ? 'swings back' : 'falls back'} to ${nameChord(after.chord, naming)} without a 5: ${movesText(moves, naming)}${named}.`;
}

/** The key's own 5 or leading-tone chord: which note pulls. */
function dominant(told: Told, name: string): string | undefined {
  const { chord, key, naming } = told;
  if (chord.function !== 'dominant') return undefined;
  const leading = chordNotes(chord.chord).find((note) => mod(chroma(note) - chroma(key.tonic), 12) === 11);
  if (leading === undefined) return undefined;
  const fourth = chordNotes(chord.chord).find((note) => mod(chroma(note) - chroma(key.tonic), 12) === 5);
  const also = fourth === undefined ? '' : `, with ${nameNote(fourth, naming.notes)} against it`;
  const where = outsideText(told) === '' ? 'a half step' : 'the 7 raised to a half step';
  return `${name} pulls home: it holds ${nameNote(leading, naming.notes)}, ${where} below ${nameNote(key.tonic, naming.notes)}${also}.`;
}

function raised(told: Told, name: string): string | undefined {
  const outside = outsideText(told);
  if (outside === '') return undefined;
  return `${name} is the ${numberInWords(told.chord.number, told.naming)}; ${outside}: minor keys raise their 6 and 7 on the way up.`;
}

/** The last chord before the song or a loop begins again. */
function turnsBack({ analysis, index, naming }: Told, name: string): string | undefined {
  const loop = analysis.patterns.find(({ kind, from, to }) => kind === 'loop' && index >= from && index <= to);
  if (loop?.round === undefined || loop.round === null) return undefined;
  if ((index - loop.from + 1) % loop.round.period !== 0) return undefined;
  const first = analysis.chords[loop.from] as AnalyzedChord;
  const kept = commonNotes((analysis.chords[index] as AnalyzedChord).chord, first.chord);
  const how = kept.length === 0 ? '' : `, with ${notesText(kept, naming)} in common`;
  return `${name} turns the loop round to ${nameChord(first.chord, naming)}${how}.`;
}

/** The next root is a step away. */
function walksOn(told: Told, name: string): string | undefined {
  const { chord, before, after, naming } = told;
  if (before === null || after === null || chord.chord.bass !== null) return undefined;
  const roots = [before, chord, after].map((one) => chroma(one.chord.bass ?? one.chord.root));
  const steps = [1, 2].map((at) => mod((roots[at] as number) - (roots[at - 1] as number), 12));
  const down = steps.every((step) => step >= 10);
  const up = steps.every((step) => step === 1 || step === 2);
  if (!down && !up) return undefined;
  return `${name} is a step on the way ${down ? 'down' : 'up'} from ${nameChord(before.chord, naming)} to ${nameChord(after.chord, naming)}.`;
}

/** Two notes in common with the chord before: only one moves. */
function shares({ chord, before, naming }: Told, name: string): string | undefined {
  if (before === null) return undefined;
  if (isSameChord({ ...before.chord, bass: null }, { ...chord.chord, bass: null })) return `${name} is the same chord over another bass.`;
  const kept = commonNotes(before.chord, chord.chord);
  if (kept.length < 2) return undefined;
  return `${name} keeps ${notesText(kept, naming)} of ${nameChord(before.chord, naming)}.`;
}

function falls({ chord, after, naming }: Told, name: string): string | undefined {
  if (after === null || mod(chroma(after.chord.root) - chroma(chord.chord.root), 12) !== FIFTH_DOWN) return undefined;
  return `${name} moves on by a fifth to ${nameChord(after.chord, naming)}.`;
}

// -------------------------------------------------------------------------------- notes that move

/** A note of one chord that goes by a step into a note of the next, in half steps. */
interface NoteStep {
  readonly from: Note;
  readonly to: Note;
  readonly by: number;
}

/** Notes the first chord has and the next has not, with the step they take into it. */
function stepsInto(from: Chord, to: Chord): readonly NoteStep[] {
  const next = chordNotes(to);
  return chordNotes(from).flatMap((note): NoteStep[] => {
    if (next.some((other) => chroma(other) === chroma(note))) return [];
    const steps = next.flatMap((other): NoteStep[] => {
      const by = mod(chroma(other) - chroma(note) + 6, 12) - 6;
      return Math.abs(by) <= 2 ? [{ from: note, to: other, by }] : [];
    });
    return steps.sort((a, b) => Math.abs(a.by) - Math.abs(b.by)).slice(0, 1);
  });
}

function movesText(moves: readonly NoteStep[], { notes }: Naming): string {
  const one = ({ from, to, by }: NoteStep) => `${nameNote(from, notes)} ${by > 0 ? 'rises' : 'falls'} to ${nameNote(to, notes)}`;
  return moves.map(one).join(' and ');
}

function commonNotes(before: Chord, chord: Chord): readonly Note[] {
  const notes = chordNotes(before);
  return chordNotes(chord).filter((note) => notes.some((other) => chroma(other) === chroma(note)));
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

/** The notes that one voice goes through by half steps, one in each chord. */
function walkedNotes(chords: readonly Chord[]): readonly Note[] {
  const notesOf = (chord: Chord) => [...chordNotes(chord), ...(chord.bass === null ? [] : [chord.bass])];
  const [first, ...rest] = chords;
  if (first === undefined) return [];
  for (const by of [11, 1]) {
    for (const start of notesOf(first)) {
      const line: Note[] = [start];
      for (const chord of rest) {
        const next = notesOf(chord).find((note) => mod(chroma(note) - chroma(line.at(-1) as Note), 12) === by);
        if (next === undefined) break;
        line.push(next);
      }
      if (line.length === chords.length) return line;
    }
  }
  return [];
}

// ------------------------------------------------------------------------------- what is outside

/** Which notes leave the key's plain scale: `C♯ stands where the key has C`. A note of the key under another name leaves nothing. */
function outsideText({ chord, key, naming }: Told): string {
  const plain: Key = key.scale === 'harmonic minor' || key.scale === 'melodic minor' ? { ...key, scale: 'natural minor' } : key;
  const own = new Set(chordInKey({ root: plain.tonic, formula: 0, bass: null }, plain).map(({ note }) => chroma(note)));
  const scale = chordInKey(chordOnTonic(chord.number, key.tonic), plain);
  return scale
    .filter(({ note, keyHas }) => keyHas !== null && chroma(keyHas) !== chroma(note) && !own.has(chroma(note)))
    .map(({ note, keyHas }) => `${nameNote(note, naming.notes)} stands where the key has ${nameNote(keyHas as Note, naming.notes)}`)
    .join(', ');
}

function outsideClause(told: Told): string {
  const outside = outsideText(told);
  return outside === '' ? '' : `: ${outside}`;
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
