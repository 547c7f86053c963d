import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { ScoreNote } from '../score/score.ts';
import { cutByBass } from './bass-cuts.ts';
import type { Candidate, Stretch } from './chord-path.ts';
import type { Grid, Moment } from './grid.ts';
import { isStep } from './oddity.ts';
import { withSilence } from './silence.ts';

const OCTAVE = 12;

/** One harmony of a piece, in ticks. */
export interface Harmony {
  readonly from: number;
  readonly to: number;
  /** Null where nothing is decided. */
  readonly chord: Chord | null;
  /** How sure the notes leave it, from 0 to 1. */
  readonly confidence: number;
  /** What else the same notes may be, best first. */
  readonly others: readonly Chord[];
  /** Whether the bass lies under the chord without belonging to it. */
  readonly isPedal: boolean;
}

/**
 * Stretches with the names of their notes, those under one chord joined but for the borders that are to be kept, and
 * cut where the bass goes on.
 */
export function harmoniesOf(
  grid: Grid,
  stretches: readonly Stretch[],
  keys: readonly Key[],
  borders: ReadonlyMap<number, boolean> = new Map(),
): readonly Harmony[] {
  const named = cutByBass(grid, withSilence(grid, stretches), borders).map((stretch) => nameStretch(grid, stretch, keys));
  return joined(named, new Set([...borders].flatMap(([at, isBorder]) => (isBorder ? [at] : []))));
}

/** The lowest note of a stretch that is its bass, and whether it belongs to the chord. */
interface Bass {
  readonly note: Note;
  readonly isOwn: boolean;
}

function nameStretch(grid: Grid, { from, to, chords }: Stretch, keys: readonly Key[]): Harmony {
  const [first, last] = [grid.moments[from] as Moment, grid.moments[to - 1] as Moment];
  const names = namesIn(grid, from, to);
  const best = chords[0];
  const key = keys[from] as Key;
  if (best === undefined || isOpen(names, best, key))
    return { from: first.from, to: last.to, chord: null, confidence: 0, others: [], isPedal: false };
  const spell = (candidate: Candidate) => spelled(grid, candidate, { from, to, names, key });
  const chord = spell(best);
  const others = chords.slice(1).map(spell);
  const { isOwn } = bassOf(grid, from, to, best);
  return { from: first.from, to: last.to, chord, confidence: confidenceOf(chords), others: distinct(chord, others), isPedal: !isOwn };
}

/** One pitch alone says no chord, but for the tonic, where a piece or a phrase may close. */
function isOpen(names: readonly (Note | undefined)[], { root }: Candidate, { tonic }: Key): boolean {
  return names.filter((name) => name !== undefined).length < 2 && root !== chroma(tonic);
}

/** A lead of one over the runner-up leaves little doubt. */
function confidenceOf(chords: readonly Candidate[]): number {
  const [best, next] = chords;
  if (best === undefined) return 0;
  const lead = next === undefined ? 1 : next.cost - best.cost;
  const fit = Math.exp(-Math.max(0, best.cost) / 6);
  return Math.round(100 * Math.min(1, Math.max(0.05, (0.5 + 0.5 * Math.tanh(lead)) * (0.55 + 0.45 * fit)))) / 100;
}

function distinct(chord: Chord, others: readonly Chord[]): readonly Chord[] {
  const seen = new Set([nameOf(chord)]);
  return others.filter((other) => {
    const name = nameOf(other);
    const isNew = !seen.has(name);
    seen.add(name);
    return isNew;
  });
}

const nameOf = ({ root, formula, bass }: Chord) => `${root} ${formula} ${bass}`;

/** The name each pitch class is written with most in a stretch; undefined where it does not sound. */
function namesIn({ score, moments }: Grid, from: number, to: number): readonly (Note | undefined)[] {
  const weights = new Map<Note, number>();
  for (const { sounding, from: begin, to: end } of moments.slice(from, to))
    for (const index of sounding) {
      const note = score.notes[index] as ScoreNote;
      const share = Math.min(note.to, end) - Math.max(note.from, begin);
      weights.set(note.note, (weights.get(note.note) ?? 0) + share);
    }
  const names: (Note | undefined)[] = Array.from({ length: 12 });
  for (const [note, weight] of weights) {
    const known = names[chroma(note)];
    if (known === undefined || weight > (weights.get(known) ?? 0)) names[chroma(note)] = note;
  }
  return names;
}

interface Spelling {
  readonly from: number;
  readonly to: number;
  readonly names: readonly (Note | undefined)[];
  readonly key: Key;
}

/** A chord under the name that most of its notes are written with; one that divides the octave evenly may turn. */
function spelled(grid: Grid, candidate: Candidate, { from, to, names, key }: Spelling): Chord {
  const { kind } = candidate;
  const tones = formulaTones(kind.formula);
  const roots = kind.isSymmetric ? tones.map(({ interval }) => mod(candidate.root + chroma(interval), OCTAVE)) : [candidate.root];
  const bass = bassOf(grid, from, to, candidate);
  let best: { root: Note; fit: number } | null = null;
  for (const pitch of roots) {
    for (const root of twins(pitch, key.tonic)) {
      const written = tones.filter(({ interval }) => names[chroma(root + interval)] === root + interval).length;
      const strange = tones.filter(({ interval }) => {
        const name = names[chroma(root + interval)];
        return name !== undefined && name !== root + interval;
      }).length;
      const far = Math.abs(root - key.tonic - 2) / 100;
      const fit = written - strange - far + (pitch === chroma(bass.note) ? 0.3 : 0);
      if (best === null || fit > best.fit) best = { root, fit };
    }
  }
  const root = (best as { root: Note }).root;
  const lowest = tones.find(({ interval }) => chroma(root + interval) === chroma(bass.note));
  const note = lowest === undefined ? bass.note : root + lowest.interval;
  return { root, formula: kind.formula, bass: note === root ? null : note };
}

/** The names a pitch may have near a key. */
function twins(pitch: number, tonic: Note): readonly Note[] {
  const first = mod(pitch * 7 - tonic, OCTAVE) + tonic;
  return [first - OCTAVE, first];
}

/**
 * The bass of a stretch under a chord: the first lowest note that belongs to it. One that steps on to such a
 * note at once stands for it; one that lies or comes again under the chord is a pedal.
 */
function bassOf(grid: Grid, from: number, to: number, { root, kind }: Pick<Candidate, 'root' | 'kind'>): Bass {
  const belongs = (midi: number) => (kind.steps & (1 << mod(midi - root, OCTAVE))) !== 0;
  const { score, moments, neighbours } = grid;
  const index = (moments[afterUpbeat(grid, from, to)] as Moment).bass;
  const end = (moments[to - 1] as Moment).to;
  if (index === null || (score.notes[index] as ScoreNote).from >= end) return { note: nearRoot(grid, from, to, root), isOwn: true };
  const note = score.notes[index] as ScoreNote;
  if (belongs(note.midi)) return { note: note.note, isOwn: true };
  const after = neighbours[index]?.after ?? null;
  const next = after === null ? null : (score.notes[after] as ScoreNote);
  if (next !== null && next.from < end && isStep(note, next) && belongs(next.midi)) return { note: next.note, isOwn: true };
  return { note: note.note, isOwn: false };
}

/** Where a stretch begins in earnest: a single voice before the first stronger beat only leads into it. */
function afterUpbeat({ moments }: Grid, from: number, to: number): number {
  const first = moments[from] as Moment;
  if (first.sounding.length !== 1) return from;
  for (let at = from + 1; at < to; at += 1) {
    const { accent, sounding } = moments[at] as Moment;
    if (accent > first.accent && sounding.length > 1) return at;
  }
  return from;
}

function nearRoot(grid: Grid, from: number, to: number, root: number): Note {
  return namesIn(grid, from, to)[root] ?? mod(root * 7 + 5, OCTAVE) - 5;
}

/** Harmonies side by side that are the same chord over the same bass. */
function joined(harmonies: readonly Harmony[], kept: ReadonlySet<number>): readonly Harmony[] {
  const rows: Harmony[] = [];
  for (const harmony of harmonies) {
    const last = rows.at(-1);
    if (last === undefined || kept.has(harmony.from) || !isSame(last.chord, harmony.chord)) rows.push(harmony);
    else rows[rows.length - 1] = { ...last, to: harmony.to, confidence: Math.max(last.confidence, harmony.confidence) };
  }
  return rows;
}

function isSame(a: Chord | null, b: Chord | null): boolean {
  if (a === null || b === null) return a === b;
  return a.root === b.root && a.formula === b.formula && a.bass === b.bass;
}
