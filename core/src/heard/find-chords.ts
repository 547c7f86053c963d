import { countBits } from '../bits.ts';
import type { Chord } from '../chord/chord.ts';
import { type Formula, formulaOf, formulaTones } from '../chord/formula.ts';
import { COMMON_COST, identify } from '../chord/identify.ts';
import type { Key } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { FoundChord, FoundHarmony, SoundingBar, SoundingNote } from './heard.ts';
import { KINDS, type Kind, MELODY_KINDS } from './kinds.ts';
import { isMelody, spelledIn, stepsOf } from './line.ts';
import { type Moment, momentsOf, type Place } from './moments.ts';

/** What it costs that the harmony changes, by where in its bar; a beat that fits its chord wholly is worth 1. */
const CHANGE: Readonly<Record<Place, number>> = { bar: 0.35, middle: 0.7, beat: 1.1 };
/** A melody alone changes its chords slowly. */
const MELODY_CHANGE: Readonly<Record<Place, number>> = { bar: 0.3, middle: 1.1, beat: 3 };
/** For each tone of a chord that is outside the key. */
const OUTSIDE = 0.28;
const MELODY_OUTSIDE = 0.9;
const BASS = { root: 0.5, tone: 0.1, other: -0.4 } as const;
/** A note that does not belong speaks as loud against a chord as one that belongs speaks for it. */
const STRANGE = 1;
const MELODY_STRANGE = 0.6;
const FEWEST_PITCHES = 3;

/**
 * The chords of a song from its notes alone: the cheapest way through its beats, where a chord is paid
 * for by the notes it leaves over, by a bass that is not its root, by changing off the beat, and by a
 * fuller name than was needed. Bars in which nothing sounds have none.
 */
export function findChords(notes: readonly SoundingNote[], bars: readonly SoundingBar[], key: Key): FoundHarmony {
  const moments = momentsOf(notes, bars);
  // two pitches are no chord
  if (new Set(notes.map(({ midi }) => midi % 12)).size < FEWEST_PITCHES)
    return { chords: [{ at: 0, chord: null, sure: true }], isMelody: false };
  const isLine = isMelody(notes);
  const states = statesOf(key, isLine);
  const path = cheapestPath(moments, states, isLine);
  const spans = spansOf(path, bars, moments);
  const spelled = spelledIn(key);
  const inOrder = [...notes].sort((a, b) => a.from - b.from);
  const found = spans.flatMap((span) => chordsOf(span, { moments, states, notes: inOrder, spelled, key, isLine }));
  return { chords: joined(withLeadingRoots(found)), isMelody: isLine };
}

/** A chord that may be heard, before its notes have names. */
interface State {
  /** In half steps above C. */
  readonly root: number;
  readonly kind: Kind;
  /** The pitches that belong to it, one bit each. */
  readonly pitches: number;
  readonly cost: number;
}

function statesOf(key: Key, isLine: boolean): readonly State[] {
  const own = stepsOf(key);
  const kinds = isLine ? KINDS.slice(0, MELODY_KINDS) : KINDS;
  return Array.from({ length: 12 }, (_, root) =>
    kinds.map((kind): State => {
      const pitches = ((kind.steps << root) | (kind.steps >> (12 - root))) & 0xfff;
      return { root, kind, pitches, cost: kind.cost + (isLine ? MELODY_OUTSIDE : OUTSIDE) * countBits(pitches & ~own) };
    }),
  ).flat();
}

/** How well a moment fits a chord. */
function fit({ weights, bass }: Moment, { root, pitches }: State, isLine: boolean): number {
  let sum = 0;
  for (let pitch = 0; pitch < 12; pitch += 1) {
    const weight = weights[pitch] as number;
    sum += (pitches & (1 << pitch)) !== 0 ? weight : -(isLine ? MELODY_STRANGE : STRANGE) * weight;
  }
  if (bass === null || isLine) return sum;
  const lowest = bass % 12;
  return sum + (lowest === root ? BASS.root : (pitches & (1 << lowest)) !== 0 ? BASS.tone : BASS.other);
}

/** The state of each moment on the best way through all of them; linear in their number. */
function cheapestPath(moments: readonly Moment[], states: readonly State[], isLine: boolean): Int16Array {
  const change = isLine ? MELODY_CHANGE : CHANGE;
  const from = new Int16Array(moments.length * states.length);
  let best = new Float64Array(states.length);
  moments.forEach((moment, at) => {
    let top = 0;
    for (let state = 1; state < states.length; state += 1) if ((best[state] as number) > (best[top] as number)) top = state;
    const now = new Float64Array(states.length);
    states.forEach((state, index) => {
      const entered = (at === 0 ? 0 : (best[top] as number) - change[moment.place]) - state.cost;
      const stays = at === 0 ? Number.NEGATIVE_INFINITY : (best[index] as number);
      now[index] = Math.max(stays, entered) + fit(moment, state, isLine);
      from[at * states.length + index] = stays >= entered ? index : top;
    });
    best = now;
  });
  const path = new Int16Array(moments.length);
  let state = best.reduce((top, value, index) => (value > (best[top] as number) ? index : top), 0);
  for (let at = moments.length - 1; at >= 0; at -= 1) {
    path[at] = state;
    state = from[at * states.length + state] as number;
  }
  return path;
}

/** Moments side by side that have one chord, within the bars they lie in; a bar of silence stands apart. */
interface Span {
  readonly state: number | null;
  /** The pieces of it in each bar, as places among the moments. */
  readonly pieces: readonly (readonly [first: number, behind: number])[];
}

function spansOf(path: Int16Array, bars: readonly SoundingBar[], moments: readonly Moment[]): readonly Span[] {
  const spans: { state: number | null; pieces: (readonly [number, number])[] }[] = [];
  let first = 0;
  for (const { to } of bars) {
    let behind = first;
    while (behind < moments.length && (moments[behind] as Moment).from < to - 0.001) behind += 1;
    for (const { state, piece } of piecesOf(path, moments, first, behind)) {
      const last = spans.at(-1);
      if (last !== undefined && last.state === state) last.pieces.push(piece);
      else spans.push({ state, pieces: [piece] });
    }
    first = behind;
  }
  return spans;
}

interface Piece {
  readonly state: number | null;
  readonly piece: readonly [first: number, behind: number];
}

/** The chords of one bar; one piece without a chord where nothing sounds in it. */
function piecesOf(path: Int16Array, moments: readonly Moment[], first: number, behind: number): readonly Piece[] {
  if (moments.slice(first, behind).every(({ weights }) => weights.every((weight) => weight === 0)))
    return [{ state: null, piece: [first, behind] }];
  const pieces: Piece[] = [];
  let begin = first;
  for (let at = first + 1; at <= behind; at += 1) {
    if (at < behind && path[at] === path[begin]) continue;
    pieces.push({ state: path[begin] as number, piece: [begin, at] });
    begin = at;
  }
  return pieces;
}

interface Song {
  readonly moments: readonly Moment[];
  readonly states: readonly State[];
  /** In the order in which they set in. */
  readonly notes: readonly SoundingNote[];
  readonly spelled: readonly Note[];
  readonly key: Key;
  readonly isLine: boolean;
}

/** Less of a stretch than this explained by its chord leaves a doubt. */
const SURE = 0.7;
/** A pitch that sounds for less than this part of a stretch is passed over. */
const HEARD = 0.03;

/** A stretch with one chord, bar by bar where the bass moves to another of its tones. */
function chordsOf({ state: index, pieces }: Span, song: Song): readonly FoundChord[] {
  if (index === null) return [{ at: (song.moments[pieces[0]?.[0] ?? 0] as Moment).from, chord: null, sure: true }];
  const state = song.states[index] as State;
  const weights = new Float64Array(12);
  for (const [first, behind] of pieces)
    for (const moment of song.moments.slice(first, behind))
      moment.weights.forEach((weight, pitch) => {
        weights[pitch] = (weights[pitch] as number) + weight;
      });
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const own = weights.reduce((sum, weight, pitch) => sum + ((state.pitches & (1 << pitch)) !== 0 ? weight : 0), 0);
  const told = weights.filter((weight, pitch) => (state.pitches & (1 << pitch)) !== 0 && weight > HEARD * all).length;
  const sure = !song.isLine && all > 0 && own >= SURE * all && told >= 2;
  const root = song.spelled[state.root] as Note;
  const formula = fullFormula(state, weights, all, song, pieces);
  return basses(state, pieces, song).map(([place, lowest]) => {
    const [first, behind] = pieces[place] as Span['pieces'][number];
    const own = isPlainIn(song.moments.slice(first, behind), state) ? (state.kind.plain as Formula) : formula;
    const bass = lowest === null ? null : bassNote(root, own, lowest, song.spelled);
    return { at: (song.moments[first] as Moment).from, chord: { root, formula: own, bass }, sure };
  });
}

/** Whether a bar leaves out what makes a chord more than its triad. */
function isPlainIn(moments: readonly Moment[], { root, kind, pitches }: State): boolean {
  if (kind.plain === null || moments[0]?.place !== 'bar') return false;
  const triad = formulaTones(kind.plain).reduce((set, { interval }) => set | (1 << ((root + chroma(interval)) % 12)), 0);
  const more = pitches & ~triad;
  return moments.every(({ weights }) => weights.every((weight, pitch) => weight === 0 || (more & (1 << pitch)) === 0));
}

const POWER = formulaOf('1', '5');
const FIFTH = 7;
const HELD = 0.6;

/** The quality as it was struck: a chord without its third is a fifth, one that is held whole has its full name. */
function fullFormula(state: State, weights: Float64Array, all: number, song: Song, pieces: Span['pieces']): Formula {
  const heard = (steps: number) => (weights[(state.root + steps) % 12] as number) > HEARD * all;
  if (!song.isLine && state.kind.cost === 0 && heard(0) && heard(FIFTH) && !heard(3) && !heard(4)) return POWER;
  const [from, to] = [(song.moments[pieces[0]?.[0] ?? 0] as Moment).from, (song.moments[(pieces[0]?.[1] ?? 1) - 1] as Moment).to];
  const held = heldBetween(song.notes, from, to);
  if (pieces.length > 1 || new Set(held.map((midi) => midi % 12)).size < 4) return state.kind.formula;
  const best = identify(
    held.map((midi) => song.spelled[midi % 12] as Note),
    song.key,
  )[0];
  const isSame = best !== undefined && best.cost <= COMMON_COST && chroma(best.chord.root) === state.root;
  return isSame ? best.chord.formula : state.kind.formula;
}

/** What sounds for most of a stretch, lowest first. */
function heldBetween(notes: readonly SoundingNote[], from: number, to: number): readonly number[] {
  const shares = new Map<number, number>();
  for (let at = firstFrom(notes, from - LONGEST_HELD); at < notes.length && (notes[at] as SoundingNote).from < to; at += 1) {
    const note = notes[at] as SoundingNote;
    const share = Math.min(to, note.to) - Math.max(from, note.from);
    if (share > 0) shares.set(note.midi, (shares.get(note.midi) ?? 0) + share);
  }
  return [...shares].flatMap(([midi, share]) => (share >= HELD * (to - from) ? [midi] : [])).sort((a, b) => a - b);
}

/**
 * The bass of each piece of a stretch; null for its root. A fifth that comes after the root alternates
 * with it, and a piece without a bass of its own goes on with the one before.
 */
function basses(
  state: State,
  pieces: Span['pieces'],
  { moments, isLine }: Song,
): readonly (readonly [piece: number, bass: number | null])[] {
  let hadRoot = false;
  let before: number | null = null;
  return pieces.map(([first, behind], piece) => {
    const played = isLine ? [] : moments.slice(first, behind).flatMap(({ bass }) => (bass === null ? [] : [bass % 12]));
    const lowest = played.includes(state.root) ? state.root : played[0];
    hadRoot ||= lowest === state.root;
    const isOwn = lowest !== undefined && lowest !== state.root && (state.pitches & (1 << lowest)) !== 0;
    const isAlternating = hadRoot && lowest === (state.root + FIFTH) % 12;
    if (lowest !== undefined) before = isOwn && !isAlternating ? lowest : null;
    return [piece, before] as const;
  });
}

/** A note held for longer, in quarters, is a pedal rather than part of a chord. */
const LONGEST_HELD = 16;

/** The place of the first note that sets in at or after a time. */
function firstFrom(notes: readonly SoundingNote[], time: number): number {
  let [low, high] = [0, notes.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((notes[middle] as SoundingNote).from < time) low = middle + 1;
    else high = middle;
  }
  return low;
}

function bassNote(root: Note, formula: Formula, pitch: number, spelled: readonly Note[]): Note {
  const tone = formulaTones(formula).find(({ interval }) => chroma(root + interval) === pitch);
  return tone === undefined ? (spelled[pitch] as Note) : root + tone.interval;
}

const DIMINISHED = formulaOf('b3', 'b5');
const HALF_STEP_DOWN = 5;

/** A diminished chord a half step below the next root is spelled as leading into it. */
function withLeadingRoots(found: readonly FoundChord[]): readonly FoundChord[] {
  return found.map((one, index) => {
    const next = found[index + 1]?.chord;
    const { chord } = one;
    if (!chord || !next || (chord.formula & DIMINISHED) !== DIMINISHED || chroma(next.root - chord.root) !== 1) return one;
    const up = next.root + HALF_STEP_DOWN - chord.root;
    return { ...one, chord: { root: chord.root + up, formula: chord.formula, bass: chord.bass === null ? null : chord.bass + up } };
  });
}

function joined(found: readonly FoundChord[]): readonly FoundChord[] {
  return found.filter((one, index) => index === 0 || !isSame(one.chord, (found[index - 1] as FoundChord).chord));
}

function isSame(a: Chord | null, b: Chord | null): boolean {
  return a === b || (a !== null && b !== null && a.root === b.root && a.formula === b.formula && a.bass === b.bass);
}
