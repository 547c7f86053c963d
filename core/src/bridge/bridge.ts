import type { BRIDGE_KINDS } from '../choices.ts';
import { type Chord, chordNotes } from '../chord/chord.ts';
import { type Formula, formulaOf, holdsAll, holdsAny } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { type Key, keyNotes, relativeMajorDistance } from '../key/key.ts';
import { chroma, type Note, simplest, withoutDoubles } from '../pitch/note.ts';

/** How the last chord of one song is joined to the first of the next. */
export type BridgeKind = (typeof BRIDGE_KINDS)[number];

/** One side of a join: a chord, and the key it is heard in. */
export interface BridgeEnd {
  readonly chord: Chord;
  readonly key: Key;
}

export interface Bridge {
  readonly kind: BridgeKind;
  /** What is played in between; nothing for a direct join. */
  readonly chords: readonly Chord[];
  /** The beats it needs at least. */
  readonly beats: number;
  /** 100 where every step follows from the one before, 0 for a jolt. */
  readonly smoothness: number;
}

/** The key in which a chord is the 1: minor for a minor third, else major. */
export function homeOfChord({ root, formula }: Chord): Key {
  return { tonic: root, scale: isMinor(formula) ? 'natural minor' : 'major' };
}

/**
 * Every way to get from one chord to another without stopping, the smoothest first. The dominant
 * is the one of the chord that is gone to, a fifth above it, and its relatives stand for it. They
 * are spelled by the chord that is gone to (E♯°7 to F♯m), without double accidentals; the tritone
 * substitute, foreign to that key anyway, has the simplest name (B7 to B♭).
 */
export function findBridges(from: BridgeEnd, to: BridgeEnd): readonly Bridge[] {
  const { root } = to.chord;
  const minor = isMinor(to.chord.formula);
  const on = (fifths: number, formula: Formula) => plain(withoutDoubles(root + fifths), formula);
  const five = on(FIFTH, SEVENTH);
  const two = on(SECOND, minor ? HALF_DIMINISHED : MINOR_SEVENTH);
  const found: readonly Omit<Bridge, 'smoothness'>[] = [
    { kind: 'dominant', chords: [five], beats: BEATS_A_CHORD },
    { kind: 'two-five', chords: [two, five], beats: 2 * BEATS_A_CHORD },
    { kind: 'tritone-substitute', chords: [plain(simplest(root + FLAT_SECOND), SEVENTH)], beats: BEATS_A_CHORD },
    { kind: 'diminished-approach', chords: [on(LEADING_TONE, DIMINISHED_SEVENTH)], beats: BEATS_A_CHORD },
    ...sharedChords(from, to).map((chord) => ({ kind: 'pivot' as const, chords: [chord], beats: 2 * BEATS_A_CHORD })),
    { kind: 'direct', chords: [], beats: 0 },
  ];
  const fitting = found.filter(({ chords: [first] }) => first === undefined || !isSameChord(first, from.chord));
  const told = fitting.map((bridge): Bridge => ({ ...bridge, smoothness: smoothnessOf(bridge, from, to) }));
  return bestPivotOnly(told.sort((a, b) => b.smoothness - a.smoothness || a.beats - b.beats));
}

const FIFTH = 1;
const SECOND = 2;
const LEADING_TONE = 5;
const FLAT_SECOND = -5;
const FOURTH = -1;
const BEATS_A_CHORD = 2;
const SEVENTH = formulaOf('1', '3', '5', 'b7');
const MINOR_SEVENTH = formulaOf('1', 'b3', '5', 'b7');
const HALF_DIMINISHED = formulaOf('1', 'b3', 'b5', 'b7');
const DIMINISHED_SEVENTH = formulaOf('1', 'b3', 'b5', 'bb7');
const THIRD = formulaOf('3');
const MINOR_THIRD = formulaOf('b3');
const DIMINISHED = formulaOf('1', 'b3', 'b5');

function plain(root: Note, formula: Formula): Chord {
  return { root, formula, bass: null };
}

function isMinor(formula: Formula): boolean {
  return holdsAny(formula, MINOR_THIRD) && !holdsAny(formula, THIRD);
}

/** Triads of both keys, other than the two that are joined, spelled as in the key that is gone to. */
function sharedChords(from: BridgeEnd, to: BridgeEnd): readonly Chord[] {
  const before = harmonize(from.key, 'triad').map(({ chord }) => chord);
  return harmonize(to.key, 'triad')
    .map(({ chord }) => chord)
    .filter((chord) => before.some((other) => isSameChord(other, chord)))
    .filter((chord) => !isSameChord(chord, from.chord) && !isSameChord(chord, to.chord) && chord.formula !== DIMINISHED);
}

/** Whether two chords sound the same, and are called the same apart from spelling. */
function isSameChord(a: Chord, b: Chord): boolean {
  return chroma(a.root) === chroma(b.root) && a.formula === b.formula;
}

function bestPivotOnly(bridges: readonly Bridge[]): readonly Bridge[] {
  const best = bridges.find(({ kind }) => kind === 'pivot');
  return bridges.filter((bridge) => bridge.kind !== 'pivot' || bridge === best);
}

const BASE = 72;
const PER_SEMITONE = 16;
const PULL = 28;

const FOREIGN = 12;
const DIRECT = 20;
const PER_KEY_FIFTH = 7;

/** How little the voices move, how strongly the last step pulls, and how much the first chord belongs where one comes from. */
function smoothnessOf({ chords }: Pick<Bridge, 'chords'>, from: BridgeEnd, to: BridgeEnd): number {
  const line = [from.chord, ...chords, to.chord];
  const steps = line.slice(1).map((chord, index) => movement(line[index] as Chord, chord));
  const moved = steps.reduce((sum, step) => sum + step, 0) / steps.length;
  const [first] = chords;
  const joined =
    first === undefined ? DIRECT - PER_KEY_FIFTH * relativeMajorDistance(from.key, to.key) : -FOREIGN * foreignShare(first, from.key);
  const pull = PULL * pullOf(line.at(-2) as Chord, to.chord);
  return Math.max(0, Math.min(100, Math.round(BASE - PER_SEMITONE * moved + pull + joined)));
}

/** Half steps a voice moves on the average, when every tone of the next chord is taken from the nearest one. */
function movement(from: Chord, to: Chord): number {
  const before = chordNotes(from).map(chroma);
  const after = chordNotes(to).map(chroma);
  const nearest = (tone: number) => Math.min(...before.map((other) => Math.min(mod(tone - other, 12), mod(other - tone, 12))));
  return after.reduce((sum, tone) => sum + nearest(tone), 0) / after.length;
}

function foreignShare(chord: Chord, key: Key): number {
  const own = new Set(keyNotes(key).map(chroma));
  const tones = chordNotes(chord).map(chroma);
  return tones.filter((tone) => !own.has(tone)).length / tones.length;
}

/** How strongly a chord pulls to the next: its dominant 1, what stands for it a little less, the plagal step half. */
function pullOf(chord: Chord, to: Chord): number {
  const interval = chroma(chord.root - to.root);
  const dominant = holdsAll(chord.formula, SEVENTH);
  if (interval === chroma(FIFTH) && holdsAny(chord.formula, THIRD)) return dominant ? 1 : 0.7;
  if (interval === chroma(FLAT_SECOND) && dominant) return 0.8;
  if (interval === chroma(LEADING_TONE) && holdsAll(chord.formula, DIMINISHED)) return 0.8;
  return interval === chroma(FOURTH) ? 0.4 : 0;
}
