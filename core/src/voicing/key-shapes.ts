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
  /** Whether the first chord closes the row an octave higher. */
  readonly octave?: boolean;
}

export type KeyDepth = 'triad' | 'seventh';

/** Families that are shapes of triads as well as of sevenths. */
export const FAMILIES_OF_BOTH: readonly Family[] = ['open', 'barre-6', 'barre-5'];

/** A key's chord and its shape; null when the family has none on these strings. */
export interface KeyShape {
  readonly number: NumberChord;
  readonly chord: Chord;
  readonly voicing: Voicing | null;
  /** Where a barre family has nothing that is taught: the closed grip on the same lowest string that is; null elsewhere. */
  readonly standIn: Voicing | null;
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
 * The key's seven chords along the neck, with the octave chord where it is wished, each in the wanted shape above the one before. Where the
 * neck runs out, past the highest comfortable fret, the shapes go on an octave lower.
 */
export function keyAlongNeck(key: Key, wish: KeyShapesWish, instrument: Instrument): readonly KeyShape[] {
  let before = Number.NEGATIVE_INFINITY;
  const chords = chordsOfFamily(key, wish);
  return [...chords, ...(wish.octave === true ? chords.slice(0, 1) : [])].map(({ number, chord }) => {
    const all = taughtShapes(shapesFor(chord, wish, instrument), wish.family, instrument);
    const others = all.length > 0 ? [] : standIns(chord, wish.family, instrument);
    const [voicing, standIn] = [nextUp(all, before), nextUp(others, before)];
    const shown = voicing ?? standIn;
    const folded = shown !== null && height(shown) <= before;
    if (shown !== null) before = height(shown);
    return { number, chord, voicing, standIn, folded };
  });
}

/** The first shape above a pitch, or the lowest of all. */
function nextUp(shapes: readonly Voicing[], before: number): Voicing | null {
  return shapes.find((voicing) => height(voicing) > before) ?? shapes[0] ?? null;
}

const BARRE_STRINGS: Readonly<Partial<Record<Family, number>>> = { 'barre-6': 6, 'barre-5': 5 };
const A_BARRE = [1, 3, 3, 2, 1, 1];

/** Of barre shapes those that are taught, where the strings stand as a guitar's do: arithmetic finds barres that nobody plays. */
function taughtShapes(shapes: readonly Voicing[], family: Family, { tuning, capo }: Instrument): readonly Voicing[] {
  if (BARRE_STRINGS[family] === undefined || gripOf(A_BARRE, tuning, 0) === undefined) return shapes;
  return shapes.filter(({ frets }) => gripOf(frets, tuning, capo) !== undefined);
}

/** The closed grips of a chord that are taught on the lowest string of a barre family, up the neck. */
function standIns(chord: Chord, family: Family, instrument: Instrument): readonly Voicing[] {
  const string = BARRE_STRINGS[family];
  if (string === undefined) return [];
  const { tuning, capo } = instrument;
  const { voicings } = findVoicings(chord, instrument, { maxFret: instrument.comfortFret });
  return voicings
    .filter(({ tones, inversion, frets }) => inversion === 0 && tones[0]?.string === string && gripOf(frets, tuning, capo)?.open === false)
    .sort((a, b) => height(a) - height(b));
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
    const isInside = ({ frets }: Voicing) => frets.every((fret) => fret === null || (fret >= position && fret <= last));
    const inside = taughtShapes(voicings.filter(isInside), family, instrument);
    const others = inside.length > 0 ? [] : standIns(chord, family, instrument).filter(isInside);
    return { number, chord, voicing: inside[0] ?? null, standIn: others[0] ?? null, folded: false };
  });
}

/** A chord of the key by the nut or the capo, with its easier and its fuller forms. */
export interface OpenKeyShape extends KeyShape {
  readonly easier: Voicing | null;
  readonly fuller: Voicing | null;
}

/** Open chords reach this far above the nut or the capo. */
const OPEN_FRETS = 4;

/**
 * The key's seven chords as the open chords that are taught, the root lowest. Where there is none the usual closed grip stands
 * in, and its easier form is that grip on the four thin strings, as a beginner is shown F and Bm.
 */
export function keyInOpenChords(key: Key, depth: KeyDepth, instrument: Instrument): readonly OpenKeyShape[] {
  const maxFret = Math.min(instrument.frets, instrument.capo + OPEN_FRETS);
  return harmonize(key, depth).map(({ number, chord }) => {
    const { voicings } = findVoicings(chord, instrument, { families: ['open'], maxFret, bassLowest: true });
    const whole = voicings.filter(
      ({ omitted, difficulty, frets }) => omitted.length === 0 && difficulty <= COMFORTABLE && innerMutes(frets) === 0,
    );
    const taught = voicings.find(({ frets }) => gripOf(frets, instrument.tuning, instrument.capo)?.open === true);
    const voicing = taught ?? null;
    if (voicing === null) return { number, chord, voicing, folded: false, fuller: null, ...usualGrip(chord, instrument) };
    return { number, chord, voicing, standIn: null, folded: false, ...neighboursOf(voicing, whole, instrument) };
  });
}

const THIN_STRINGS = 4;

function usualGrip(chord: Chord, instrument: Instrument): Pick<OpenKeyShape, 'standIn' | 'easier'> {
  const { voicings } = findVoicings(chord, instrument, { maxFret: instrument.comfortFret });
  const standIn = voicings.find(({ inversion }) => inversion === 0) ?? null;
  const thick = instrument.tuning.length - THIN_STRINGS;
  const thin = standIn?.frets.map((fret, string) => (string < thick ? null : fret)).join();
  const easier = voicings.find(({ frets }) => frets.join() === thin && thin !== standIn?.frets.join());
  return { standIn, easier: easier ?? null };
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
    standIn: null,
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
