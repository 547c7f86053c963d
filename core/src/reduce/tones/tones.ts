import { type Chord, chordNotes } from '../../chord/chord.ts';
import { mod } from '../../fault.ts';
import { chroma } from '../../pitch/note.ts';
import { accentAt, measureAt } from '../../score/place.ts';
import type { Score, ScoreNote } from '../../score/score.ts';
import type { Harmony } from '../columns.ts';
import type { Grid } from '../grid.ts';
import { isStep } from '../oddity.ts';
import type { ToneKind } from './tone-kinds.ts';

/** A note outside the chord it sounds over. */
export interface StrangeTone {
  /** Its place among the notes of the score. */
  readonly index: number;
  /** Where it is outside its chord, in ticks: where it begins, or where the chord changes under it. */
  readonly at: number;
  readonly kind: ToneKind;
  /** The note it goes to, by its place; null for one that resolves nowhere. */
  readonly resolvesTo: number | null;
}

/** Every note that is outside its chord, with exactly one kind. */
export function strangeTones(grid: Grid, harmonies: readonly Harmony[]): readonly StrangeTone[] {
  const { score } = grid;
  let first = 0;
  return score.notes.flatMap((note, index): readonly StrangeTone[] => {
    while (first < harmonies.length - 1 && (harmonies[first] as Harmony).to <= note.from) first += 1;
    const at = whereStrange(note, harmonies, first);
    return at === null ? [] : [{ index, at: at.time, ...kindOf({ grid, index, harmonies, place: at.place, time: at.time }) }];
  });
}

/** The pitch classes of a chord, one bit each; what is over a pedal does not own it. */
function pitchesOf(chord: Chord): number {
  return chordNotes(chord).reduce((set, note) => set | (1 << chroma(note)), 0);
}

export function belongsTo(note: Pick<ScoreNote, 'midi'>, chord: Chord | null): boolean {
  return chord === null || (pitchesOf(chord) & (1 << mod(note.midi, 12))) !== 0;
}

/** The first harmony that a note does not belong to while it sounds, and from when. A tail behind the border is none. */
function whereStrange(note: ScoreNote, harmonies: readonly Harmony[], first: number): { place: number; time: number } | null {
  for (let place = first; place < harmonies.length && (harmonies[place] as Harmony).from < note.to; place += 1) {
    const { from, to, chord } = harmonies[place] as Harmony;
    const time = Math.max(from, note.from);
    const share = Math.min(to, note.to) - time;
    if (share > 0 && (time === note.from || share >= TAIL) && !belongsTo(note, chord)) return { place, time };
  }
  return null;
}

/** What sounds on for less than this over the next chord is released late, not held over: a 32nd. */
const TAIL = 1260;

interface Question {
  readonly grid: Grid;
  readonly index: number;
  readonly harmonies: readonly Harmony[];
  readonly place: number;
  readonly time: number;
}

type Told = Pick<StrangeTone, 'kind' | 'resolvesTo'>;

/** A note with what comes before and after it in its line. */
interface Line {
  readonly note: ScoreNote;
  readonly earlier: ScoreNote | null;
  readonly later: ScoreNote | null;
  readonly after: number | null;
  readonly stepsOut: boolean;
}

function lineOf({ score, neighbours }: Grid, index: number): Line {
  const note = score.notes[index] as ScoreNote;
  const { before, after } = neighbours[index] as Grid['neighbours'][number];
  const earlier = before === null ? null : (score.notes[before] as ScoreNote);
  const later = after === null ? null : (score.notes[after] as ScoreNote);
  return { note, earlier, later, after, stepsOut: later !== null && isStep(note, later) };
}

function kindOf(question: Question): Told {
  const line = lineOf(question.grid, question.index);
  if (isPedalBass(question, line)) return { kind: 'pedal', resolvesTo: null };
  if (isEarly(question, line)) return { kind: 'anticipation', resolvesTo: question.index };
  return heldOver(question, line) ?? repeated(question, line) ?? byStep(question, line);
}

/** Whether a note stays until the next chord owns it. */
function isEarly({ harmonies, place, time }: Question, { note, later }: Line): boolean {
  const next = harmonies[place + 1]?.chord ?? null;
  const goesOn = note.to > (harmonies[place] as Harmony).to;
  return time === note.from && later?.midi !== note.midi && goesOn && next !== null && belongsTo(note, next);
}

/** A note that was there before its chord, and steps out of it: down, or up. */
function heldOver({ grid, time }: Question, { note, earlier, later, after, stepsOut }: Line): Told | null {
  if (!stepsOut || later === null) return null;
  const isHeld = time > note.from;
  const isStruckAgain = earlier !== null && earlier.midi === note.midi && earlier.to >= note.from && accentAt(grid.score, time) > 0;
  if (!isHeld && !isStruckAgain) return null;
  return { kind: later.midi < note.midi ? 'suspension' : 'retardation', resolvesTo: after };
}

/** A note that is struck again: before its chord comes, or still outside of it. */
function repeated(question: Question, { note, later, after }: Line): Told | null {
  if (later === null || later.midi !== note.midi) return null;
  const isSoon = later.from - note.to < SOON;
  return isSoon && !belongsHere(question, later) ? goesOnStrange(question, note) : { kind: 'anticipation', resolvesTo: after };
}

/** A rest this short, a quarter, does not part a note from its repetition. */
const SOON = 10_080;

/** Whether the chord that a later note begins over is still the same, so that repeating it resolves nothing. */
function belongsHere({ harmonies, place }: Question, later: ScoreNote): boolean {
  for (let at = place; at < harmonies.length; at += 1) {
    const { from, to, chord } = harmonies[at] as Harmony;
    if (from <= later.from && later.from < to) return belongsTo(later, chord);
  }
  return false;
}

/** A note repeated over one chord that it is outside of: what it will be when it moves, it is all along. */
function goesOnStrange(question: Question, note: ScoreNote): Told {
  const { grid } = question;
  let index = question.index;
  for (let steps = 0; steps < MOST_REPEATS; steps += 1) {
    const after = grid.neighbours[index]?.after ?? null;
    if (after === null) break;
    const later = grid.score.notes[after] as ScoreNote;
    if (later.midi !== note.midi) {
      return byStep(question, { ...lineOf(grid, question.index), later, after, stepsOut: isStep(note, later) });
    }
    index = after;
  }
  return { kind: 'pedal', resolvesTo: null };
}

const MOST_REPEATS = 8;

function byStep({ grid: { score }, time }: Question, line: Line): Told {
  const isStrong = accentAt(score, time) > 0;
  if (line.stepsOut) return { kind: steppingOut(line, isStrong), resolvesTo: line.after };
  if (line.earlier !== null && isStep(line.earlier, line.note)) return { kind: 'escape', resolvesTo: null };
  if (isLong(score, line.note)) return { kind: 'pedal', resolvesTo: null };
  return { kind: isStrong ? 'appoggiatura' : 'incomplete-neighbour', resolvesTo: null };
}

/** What a note is that goes on by step: by how it was come to. */
function steppingOut({ note, earlier, later }: Line, isStrong: boolean): ToneKind {
  if (earlier === null || later === null || !isStep(earlier, note)) return isStrong ? 'appoggiatura' : 'incomplete-neighbour';
  if (later.midi === earlier.midi) return 'neighbour';
  if (later.midi > note.midi === note.midi > earlier.midi) return isStrong ? 'accented-passing' : 'passing';
  return isStrong ? 'appoggiatura' : 'neighbour';
}

function isLong(score: Score, note: ScoreNote): boolean {
  const measure = score.measures[measureAt(score, note.from)];
  return measure !== undefined && note.to - note.from >= measure.to - measure.from;
}

/** Whether a note lies under a chord as its foreign bass. */
function isPedalBass({ harmonies, place }: Question, { note, stepsOut }: Line): boolean {
  const { isPedal, chord } = harmonies[place] as Harmony;
  return isPedal && chord !== null && chord.bass !== null && chroma(chord.bass) === mod(note.midi, 12) && !stepsOut;
}
