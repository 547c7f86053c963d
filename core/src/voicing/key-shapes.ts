import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import { LADDER } from '../harmony/motion.ts';
import { stackFourths } from '../harmony/quartal.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import { neighboursOf } from './easier.ts';
import { gripOf } from './grips.ts';
import { COMFORTABLE, innerMutes } from './hand.ts';
import { findVoicings } from './search.ts';
import { type Family, positionOf, type Voicing } from './voicing.ts';

/** Which shapes of a key's chords are wanted. */
export interface KeyShapesWish {
  readonly family: Family;
  /** The sounding strings, thickest first, such as [4, 3, 2, 1]; null for any. */
  readonly strings: readonly number[] | null;
  /** Which chord tone is lowest, 0 for the root. */
  readonly inversion: number;
  /** Triads or sevenths, for families that are played as either. */
  readonly depth: KeyDepth;
}

export type KeyDepth = 'triad' | 'seventh';

/** Families that are shapes of triads as well as of sevenths. */
export const FAMILIES_OF_BOTH: readonly Family[] = ['open', 'barre-6', 'barre-5'];

/** A key's chord and its shape; null when the family has none on these strings. */
export interface KeyShape {
  readonly number: NumberChord;
  readonly chord: Chord;
  readonly voicing: Voicing | null;
  /** Whether it was taken an octave lower because the neck runs out. */
  readonly folded: boolean;
}

/** What chords a family is played as. */
interface FamilyChords {
  readonly family: Family;
  readonly depth: KeyDepth;
  readonly strings?: readonly number[] | null;
}

const FIVE_STRINGS = 5;

/** Families with four tones are played as sevenths, fourths as stacks of four, on five strings with a third on top; triads as triads. Open and barre shapes follow the depth. */
function chordsOfFamily(key: Key, { family, depth, strings = null }: FamilyChords): readonly Pick<HarmonizedChord, 'number' | 'chord'>[] {
  if (family === 'quartal') return stackFourths(key, strings?.length === FIVE_STRINGS ? 'five' : 'four');
  if (FAMILIES_OF_BOTH.includes(family)) return harmonize(key, depth);
  return harmonize(key, family === 'drop-2' || family === 'drop-3' || family === 'shell' ? 'seventh' : 'triad');
}

/** Sets of strings a family is played on, thickest first, from the low strings to the high ones. */
export function stringSets(family: Family, strings: number): readonly (readonly number[])[] {
  const run = (size: number) =>
    Array.from({ length: Math.max(0, strings - size + 1) }, (_, skip) => Array.from({ length: size }, (_, step) => strings - skip - step));
  const without = (size: number, place: number) => run(size).map((set) => set.filter((_, at) => at !== place));
  if (family === 'triad') return run(3);
  if (family === 'shell') return [...run(3), ...without(4, 1)];
  if (family === 'spread') return [...without(4, 1), ...without(4, 2)];
  if (family === 'drop-2') return run(4);
  if (family === 'quartal') return [...run(4), ...run(FIVE_STRINGS)];
  if (family === 'drop-3') return run(5).map(([low, , ...rest]) => [low as number, ...rest]);
  return [];
}

/**
 * The key's seven chords along the neck, each in the wanted shape above the one before. Where the
 * neck runs out, past the highest comfortable fret, the shapes go on an octave lower.
 */
export function keyAlongNeck(key: Key, wish: KeyShapesWish, instrument: Instrument): readonly KeyShape[] {
  let before = Number.NEGATIVE_INFINITY;
  return chordsOfFamily(key, wish).map(({ number, chord }) => {
    const all = shapesFor(chord, wish, instrument);
    const lowest = all[0];
    const above = all.find((voicing) => height(voicing) > before);
    const voicing = above ?? lowest ?? null;
    if (voicing !== null) before = height(voicing);
    return { number, chord, voicing, folded: above === undefined && voicing !== null };
  });
}

/** How many frets a position covers: the hand's four and one stretch. */
const POSITION_FRETS = 5;

/**
 * The key's seven chords without moving the hand: all within five frets from `position` on, any
 * inversion of the family on any strings, the root lowest where it can be.
 */
export function keyInPosition(
  key: Key,
  { family, depth }: Pick<KeyShapesWish, 'family' | 'depth'>,
  position: number,
  instrument: Instrument,
): readonly KeyShape[] {
  const last = position + POSITION_FRETS - 1;
  return chordsOfFamily(key, { family, depth }).map(({ number, chord }) => {
    const { voicings } = findVoicings(chord, instrument, { families: [family], maxFret: Math.min(last, instrument.frets) });
    const inside = voicings.filter(({ frets }) => frets.every((fret) => fret === null || fret >= position));
    return { number, chord, voicing: inside[0] ?? null, folded: false };
  });
}

/** A chord of the key by the nut or the capo, with its easier and its fuller forms. */
export interface OpenKeyShape extends KeyShape {
  readonly easier: Voicing | null;
  readonly fuller: Voicing | null;
}

/** Open chords reach this far above the nut or the capo. */
const OPEN_FRETS = 4;

/** The key's seven chords as the open chords that are taught, the root lowest; null where there is none. */
export function keyInOpenChords(key: Key, depth: KeyDepth, instrument: Instrument): readonly OpenKeyShape[] {
  const maxFret = Math.min(instrument.frets, instrument.capo + OPEN_FRETS);
  return harmonize(key, depth).map(({ number, chord }) => {
    const { voicings } = findVoicings(chord, instrument, { families: ['open'], maxFret, bassLowest: true });
    const whole = voicings.filter(
      ({ omitted, difficulty, frets }) => omitted.length === 0 && difficulty <= COMFORTABLE && innerMutes(frets) === 0,
    );
    const taught = voicings.find(({ frets }) => gripOf(frets, instrument.tuning, instrument.capo)?.open === true);
    const voicing = taught ?? null;
    const forms = voicing === null ? { easier: null, fuller: null } : neighboursOf(voicing, whole, instrument);
    return { number, chord, voicing, folded: false, ...forms };
  });
}

/**
 * The ladder on one root, maj7 → 7 → m7 → m7♭5 → °7, as shapes of a family with four tones: from each to the
 * next one string moves by a fret and the others stay. Null shapes where the neck has none.
 */
export function ladderShapes(root: Note, wish: Omit<KeyShapesWish, 'depth'>, instrument: Instrument): readonly KeyShape[] {
  const chords = LADDER.map((formula): Chord => ({ root, formula, bass: null }));
  const rungs = chords.map((chord) => shapesFor(chord, wish, instrument));
  const ways = (rungs[0] ?? []).map((first) => wayDown(first, rungs));
  const longest = ways.reduce<readonly Voicing[]>((best, way) => (way.length > best.length ? way : best), []);
  return chords.map((chord, rung) => ({
    number: { degree: 0, formula: chord.formula, bass: null },
    chord,
    voicing: longest[rung] ?? null,
    folded: false,
  }));
}

/** From a shape down the ladder as far as one moving string leads. */
function wayDown(first: Voicing, rungs: readonly (readonly Voicing[])[]): readonly Voicing[] {
  const way = [first];
  for (const rung of rungs.slice(1)) {
    const next = rung.find((one) => isOneStep(way.at(-1) as Voicing, one));
    if (next === undefined) return way;
    way.push(next);
  }
  return way;
}

function isOneStep(from: Voicing, to: Voicing): boolean {
  const moves = movesBetween(from, to).filter(({ kind }) => kind !== 'stays');
  return moves.length === 1 && moves[0]?.kind === 'moves' && Math.abs(moves[0].frets) === 1;
}

/** The wanted shapes of one chord up the neck, the fullest and then the easiest where several lie at one place, none past the comfortable fret. */
function shapesFor(chord: Chord, { family, strings, inversion }: Omit<KeyShapesWish, 'depth'>, instrument: Instrument): readonly Voicing[] {
  const { voicings } = findVoicings(chord, instrument, { families: [family], maxFret: instrument.comfortFret });
  const wanted = voicings.filter((voicing) => voicing.inversion === inversion && (strings === null || isOnStrings(voicing, strings)));
  const places = new Map<number, Voicing>();
  for (const voicing of wanted) {
    const other = places.get(height(voicing));
    if (other === undefined || voicing.tones.length > other.tones.length) places.set(height(voicing), voicing);
  }
  return [...places.values()].sort((a, b) => height(a) - height(b));
}

function isOnStrings({ tones }: Voicing, strings: readonly number[]): boolean {
  return tones.length === strings.length && tones.every(({ string }, index) => string === strings[index]);
}

/** How high a shape sounds: its lowest note. */
function height({ tones }: Voicing): number {
  return (tones[0] as { midi: number }).midi;
}

/** What happens on one string from a shape to the next. */
export interface StringMove {
  /** 1 is the thinnest string. */
  readonly string: number;
  readonly kind: 'stays' | 'moves' | 'enters' | 'leaves';
  /** Frets up, negative for down; 0 unless it moves. */
  readonly frets: number;
}

/** What moves between two shapes, string by string from the thickest; strings silent in both are left out. */
export function movesBetween(from: Voicing, to: Voicing): readonly StringMove[] {
  return from.frets.flatMap((before, index): StringMove[] => {
    const after = to.frets[index] ?? null;
    const string = from.frets.length - index;
    if (before === null) return after === null ? [] : [{ string, kind: 'enters', frets: 0 }];
    if (after === null) return [{ string, kind: 'leaves', frets: 0 }];
    return [{ string, kind: before === after ? 'stays' : 'moves', frets: after - before }];
  });
}

/** How many frets the hand shifts from one shape to the other. */
export function shiftBetween(from: Voicing, to: Voicing, capo: number): number {
  return positionOf(to.frets, capo) - positionOf(from.frets, capo);
}
