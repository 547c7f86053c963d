import { type Chord, chordNotes } from '../chord/chord.ts';
import { chroma } from '../pitch/note.ts';

/** A four-string bass from its open E up to where lines are still low. */
const LOWEST = 28;
const HIGHEST = 50;
const OCTAVE = 12;

/** The bass or the root of a chord in the lowest octave of a four-string bass, as a MIDI note number. */
export function bassMidi({ bass, root }: Chord): number {
  return LOWEST + ((((chroma(bass ?? root) - LOWEST) % OCTAVE) + OCTAVE) % OCTAVE);
}

/** The chord's tone of a step over its root, above the bass note; the bass note where there is none. */
export function bassTone(chord: Chord, semitones: readonly number[]): number {
  const low = bassMidi(chord);
  // over a foreign bass nothing else is played low
  if (chord.bass !== null && chroma(chord.bass) !== chroma(chord.root)) return low;
  const above = chordNotes(chord).map((note) => (chroma(note) - chroma(chord.root) + OCTAVE) % OCTAVE);
  const tone = semitones.find((wanted) => above.includes(wanted));
  return tone === undefined ? low : low + tone;
}

/** What a line walks over and where to. */
export interface Walk {
  readonly chord: Chord;
  /** Pitches between the chord's own, as half steps over its root; the chord's tones alone when nothing is known. */
  readonly scale: readonly number[] | null;
  /** What the next chord begins on. */
  readonly next: Chord;
  /** How many notes, a beat each. */
  readonly count: number;
}

/**
 * A walking line: the bass note first, chord tones on the strong beats, no note twice in a row, no
 * leap where a step will do, and last a half or whole step into the next chord's bass note. Of all
 * lines over the chord and its scale the smoothest, found step by step. MIDI note numbers.
 */
export function walkingLine({ chord, scale, next, count }: Walk): readonly number[] {
  const first = bassMidi(chord);
  const goals = [bassMidi(next), bassMidi(next) + OCTAVE].filter((goal) => goal <= HIGHEST);
  const tones = new Set(chordNotes(chord).map(chroma));
  const between = new Set([...tones, ...(scale ?? []).map((above) => (chroma(chord.root) + above) % OCTAVE)]);
  let lines: readonly Line[] = [{ notes: [first], cost: 0 }];
  for (let place = 1; place < count; place += 1) {
    const isLast = place === count - 1;
    const allowed = range().filter((midi) => between.has(midi % OCTAVE) || (isLast && leads(midi, goals)));
    lines = allowed.map((midi) => best(lines, midi, placeCost(midi, { isLast, isStrong: place % 2 === 0, tones, goals })));
  }
  return lines.reduce((least, line) => (line.cost < least.cost ? line : least)).notes;
}

interface Line {
  readonly notes: readonly number[];
  readonly cost: number;
}

const range = () => Array.from({ length: HIGHEST - LOWEST + 1 }, (_, above) => LOWEST + above);
const leads = (midi: number, goals: readonly number[]) => goals.some((goal) => goal !== midi && Math.abs(goal - midi) <= 2);

/** The cheapest line that goes on to a note. */
function best(lines: readonly Line[], midi: number, cost: number): Line {
  let [least, total] = [lines[0] as Line, Number.POSITIVE_INFINITY];
  for (const line of lines) {
    const going = line.cost + stepCost(line.notes, midi) + cost;
    if (going < total) [least, total] = [line, going];
  }
  return { notes: [...least.notes, midi], cost: total };
}

const REPEATED = 40;
const LEAP = 4;
const TURN = 0.4;

function stepCost(notes: readonly number[], midi: number): number {
  const [last = midi, before] = [notes.at(-1), notes.at(-2)];
  const step = midi - last;
  if (step === 0) return REPEATED;
  const size = Math.abs(step) <= LEAP ? Math.abs(step) * 0.1 : Math.abs(step) - LEAP + 1;
  // a line that keeps its way is better than one that turns at each note
  const turns = before !== undefined && Math.sign(last - before) !== Math.sign(step);
  return size + (turns ? TURN : 0);
}

interface PlaceOf {
  readonly isLast: boolean;
  readonly isStrong: boolean;
  readonly tones: ReadonlySet<number>;
  readonly goals: readonly number[];
}

const NO_LEADING = 60;
const NOT_OF_THE_CHORD = 6;

function placeCost(midi: number, { isLast, isStrong, tones, goals }: PlaceOf): number {
  if (isLast) return leads(midi, goals) ? Math.min(...goals.map((goal) => Math.abs(goal - midi))) * 0.1 : NO_LEADING;
  return isStrong && !tones.has(midi % OCTAVE) ? NOT_OF_THE_CHORD : 0;
}
