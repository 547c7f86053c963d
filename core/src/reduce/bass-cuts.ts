import { mod } from '../fault.ts';
import { pulseTicks } from '../score/place.ts';
import type { Measure, ScoreNote } from '../score/score.ts';
import type { Stretch } from './chord-path.ts';
import type { Grid, Moment } from './grid.ts';

const OCTAVE = 12;
const STRONGEST = 3;
/** So many notes at once are a chord that is struck. */
const TOGETHER = 3;
/** So far, in half steps, lies what is struck after a bass that stands for its bar by itself. */
const APART = 9;
/** A bass that goes to so large a part of its notes within a chord walks through the chords. */
const WALKS = 1 / 3;

/** One chord is two harmonies where its bass goes to another of its tones and stays, not where it walks through them
 *  or where the player says that it goes on. */
export function cutByBass(grid: Grid, stretches: readonly Stretch[], borders: ReadonlyMap<number, boolean>): readonly Stretch[] {
  const walks = bassWalks(grid, stretches);
  return stretches.flatMap((stretch) => {
    const pieces: Stretch[] = [];
    let begin = stretch.from;
    for (let at = stretch.from + 1; at < stretch.to; at += 1) {
      if (borders.get((grid.moments[at] as Moment).from) === false) continue;
      if (!staysOnAnother(grid, { ...stretch, from: begin }, at, walks)) continue;
      pieces.push({ ...stretch, from: begin, to: at });
      begin = at;
    }
    return [...pieces, { ...stretch, from: begin }];
  });
}

function staysOnAnother(grid: Grid, stretch: Stretch, at: number, walks: boolean): boolean {
  const note = bassBegun(grid, at);
  if (note === null || !isAnotherTone(grid, stretch, note)) return false;
  const isAlike =
    (grid.moments[at] as Moment).accent === STRONGEST && standsUnder(grid, stretch.from, at) && standsUnder(grid, at, stretch.to);
  return isAlike || isHeldOn(grid, at, note) || (!walks && movesWithAll(grid, stretch, at, note));
}

/** A note with its place among those of the score. */
interface BassNote extends ScoreNote {
  readonly index: number;
}

/** The bass that begins with a moment on the beat; null where none does. */
function bassBegun({ moments, score }: Grid, at: number): BassNote | null {
  const { bass, accent, from } = moments[at] as Moment;
  const note = bass === null ? null : { ...(score.notes[bass] as ScoreNote), index: bass };
  return note === null || accent === 0 || note.from !== from ? null : note;
}

/** Whether a note is a tone of the stretch's chord, and another one than it has in the bass. */
function isAnotherTone({ moments, score }: Grid, { from, chords }: Stretch, note: ScoreNote): boolean {
  const chord = chords[0];
  const held = (moments[from] as Moment).bass;
  if (chord === undefined || held === null || isSamePitch(score.notes[held] as ScoreNote, note)) return false;
  return (chord.kind.steps & (1 << mod(note.midi - chord.root, OCTAVE))) !== 0;
}

const isSamePitch = (a: ScoreNote, b: ScoreNote) => mod(a.midi - b.midi, OCTAVE) === 0;

/** The note that comes before another one in its line, right before it; null after a rest. */
function cameFrom({ score, neighbours }: Grid, note: BassNote): ScoreNote | null {
  const before = neighbours[note.index]?.before ?? null;
  const came = before === null ? null : (score.notes[before] as ScoreNote);
  return came !== null && came.to >= note.from ? came : null;
}

/** Whether the bass goes from one long note to another. */
function isHeldOn(grid: Grid, at: number, note: BassNote): boolean {
  const came = cameFrom(grid, note);
  const long = 2 * pulseAt(grid, at);
  return came !== null && note.to - note.from >= long && came.to - came.from >= long;
}

/** Whether all voices move with the bass, and it stays where it then is. */
function movesWithAll(grid: Grid, { from, to }: Stretch, at: number, note: BassNote): boolean {
  const { moments, score } = grid;
  const moment = moments[at] as Moment;
  const came = cameFrom(grid, note);
  const pulse = pulseAt(grid, at);
  if (came === null || moment.begun < TOGETHER || note.to - note.from < pulse || came.to - came.from < pulse) return false;
  const isHeld = came.from === (moments[from] as Moment).from && note.to >= (moments[to - 1] as Moment).to;
  return isHeld && isAlone(score.notes, moment, note);
}

function pulseAt({ moments, score }: Grid, at: number): number {
  return pulseTicks(score.measures[(moments[at] as Moment).measure] as Measure);
}

/** Whether nothing else of a note's voice begins with it. */
function isAlone(notes: readonly ScoreNote[], { sounding }: Moment, note: BassNote): boolean {
  return sounding.every((index) => {
    const other = notes[index] as ScoreNote;
    return index === note.index || other.part !== note.part || other.voice !== note.voice || other.from !== note.from;
  });
}

/** Whether the bass of a bar is struck once and everything after it lies far above, as in a waltz. */
function standsUnder({ score, moments }: Grid, from: number, to: number): boolean {
  const { bass: index, accent, from: begin } = moments[from] as Moment;
  if (index === null || accent < STRONGEST) return false;
  const bass = score.notes[index] as ScoreNote;
  let end = from + 1;
  while (end < to && (moments[end] as Moment).accent < STRONGEST) end += 1;
  const after = moments
    .slice(from, end)
    .flatMap(({ sounding }) => sounding.map((place) => score.notes[place] as ScoreNote))
    .filter((note) => note.from > bass.from && !isSamePitch(note, bass));
  const isShort = bass.to - bass.from < (moments[to - 1] as Moment).to - begin;
  return isShort && after.every((note) => note.midi - bass.midi >= APART) && after.some((note) => note.part === bass.part);
}

/** Whether a bass walks through the chords rather than staying under them. */
function bassWalks(grid: Grid, stretches: readonly Stretch[]): boolean {
  const begun = stretches.flatMap(({ from, to }) =>
    Array.from({ length: to - from }, (_, step) => ({ from, at: from + step })).filter(
      ({ at }) => (grid.moments[at] as Moment).bassBegins && bassBegun(grid, at) !== null,
    ),
  );
  const within = begun.filter(({ from, at }) => {
    const held = (grid.moments[from] as Moment).bass;
    return at > from && held !== null && !isSamePitch(grid.score.notes[held] as ScoreNote, bassBegun(grid, at) as ScoreNote);
  });
  return within.length > WALKS * begun.length;
}
