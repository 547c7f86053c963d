import type { AnalyzedChord } from '../analysis/analysis.ts';
import { type Chord, chordNotes } from '../chord/chord.ts';
import { formulaOf, holdsAll, holdsAny } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { numberInWords } from '../naming/in-words.ts';
import { nameChord, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { homeWords, notesText } from './analysis-words.ts';
import { commonNotes, movesText, stepsInto } from './note-words.ts';
import { outsideText } from './outside-words.ts';
import type { Told } from './told.ts';

const FIFTH_DOWN = 5;

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

/** What a chord of the key does where it stands. */
export function ownSentence(told: Told, name: string): string {
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
  if (before.chord.root === chord.chord.root && before.chord.formula === chord.chord.formula)
    return `${name} is the same chord over another bass.`;
  const kept = commonNotes(before.chord, chord.chord);
  if (kept.length < 2) return undefined;
  return `${name} keeps ${notesText(kept, naming)} of ${nameChord(before.chord, naming)}.`;
}

function falls({ chord, after, naming }: Told, name: string): string | undefined {
  if (after === null || mod(chroma(after.chord.root) - chroma(chord.chord.root), 12) !== FIFTH_DOWN) return undefined;
  return `${name} moves on by a fifth to ${nameChord(after.chord, naming)}.`;
}
