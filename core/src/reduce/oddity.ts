import { mod } from '../fault.ts';
import type { Neighbours } from '../score/lines.ts';
import { accentAt, beatTicks, measureAt, pulseTicks } from '../score/place.ts';
import type { Measure, Score, ScoreNote } from '../score/score.ts';
import { COSTS } from './costs.ts';

/** Whether one note is a step from another: a half or whole tone. */
export function isStep(a: ScoreNote, b: ScoreNote): boolean {
  const far = Math.abs(a.midi - b.midi);
  return far === 1 || far === 2;
}

/** What a pulse of a note costs outside its chord, and the pitch class that has to belong to the chord for that. */
export interface Oddity {
  readonly cost: number;
  readonly leansOn: number | null;
  /** Whether it lies, or comes again and again: in the bass that is a pedal. */
  readonly isHeld: boolean;
}

/**
 * How strange a note would be outside its chord, by its line: a note that is walked through costs little, one that is
 * leapt to and left by leap belongs to the chord almost surely. A note that steps on at once leans on the one it steps to.
 */
export function oddityOf(score: Score, neighbours: readonly Neighbours[], index: number): Oddity {
  const note = score.notes[index] as ScoreNote;
  const { before, after } = neighbours[index] as Neighbours;
  const earlier = before === null ? null : (score.notes[before] as ScoreNote);
  const later = after === null ? null : (score.notes[after] as ScoreNote);
  const measure = score.measures[measureAt(score, note.from)] as Measure;
  if (isHeld(note, earlier, later, measure)) return { cost: COSTS.strange.held, leansOn: null, isHeld: true };
  const line = { note, earlier, later, isStrong: accentAt(score, note.from) > 0, stepsIn: earlier !== null && isStep(earlier, note) };
  if (later !== null && isStep(note, later)) {
    const isSoon = later.from - note.from < pulseTicks(measure);
    return { cost: steppedOut(line, crossesBeat(score, note, measure)), leansOn: isSoon ? mod(later.midi, 12) : null, isHeld: false };
  }
  const escapes = line.stepsIn && !line.isStrong && earlier !== null;
  return { cost: notSteppedOut(line, measure), leansOn: escapes ? mod(earlier.midi, 12) : null, isHeld: false };
}

interface Line {
  readonly note: ScoreNote;
  readonly earlier: ScoreNote | null;
  readonly later: ScoreNote | null;
  readonly isStrong: boolean;
  readonly stepsIn: boolean;
}

function steppedOut({ note, earlier, isStrong, stepsIn }: Line, crosses: boolean): number {
  if (crosses || (earlier?.midi === note.midi && isStrong)) return COSTS.strange.suspension;
  if (!stepsIn) return COSTS.strange.leaptTo;
  return isStrong ? COSTS.strange.accented : COSTS.strange.passing;
}

function notSteppedOut({ note, later, isStrong, stepsIn }: Line, measure: Measure): number {
  if (isStrong) return COSTS.strange.none;
  if (later?.midi === note.midi && note.to - note.from <= beatTicks(measure)) return COSTS.strange.anticipation;
  return stepsIn ? COSTS.strange.escape : COSTS.strange.none;
}

/** Whether a note lies or comes again and again at one place, as the ground of what moves over it. */
function isHeld(note: ScoreNote, earlier: ScoreNote | null, later: ScoreNote | null, measure: Measure): boolean {
  const bar = measure.to - measure.from;
  const length = note.to - note.from;
  if (length >= 2 * bar) return true;
  const again = earlier?.midi === note.midi || later?.midi === note.midi;
  return again && length >= beatTicks(measure) && length * 2 >= bar;
}

function crossesBeat(score: Score, note: ScoreNote, measure: Measure): boolean {
  return note.to > measure.to || (accentAt(score, note.from) === 0 && note.to - note.from > beatTicks(measure));
}
