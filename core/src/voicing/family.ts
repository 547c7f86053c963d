import { innerMutes } from './hand.ts';
import type { Barre, Family, Frets, NamedTone } from './voicing.ts';

/** A shape with what sounds on it, ready to be sorted. */
export interface Shape {
  readonly frets: Frets;
  readonly capo: number;
  /** Sounding strings, lowest string first. */
  readonly sounding: readonly SoundingString[];
  /** How many tones the chord has. */
  readonly chordTones: number;
  /** Whether the root is lowest, or the bass the symbol asks for. */
  readonly rooted: boolean;
}

export interface SoundingString {
  /** Place in the tuning, lowest string first. */
  readonly string: number;
  readonly midi: number;
  readonly tone: NamedTone;
}

const OCTAVE = 12;
/** Open shapes reach this far above the nut or the capo. */
const OPEN_FRETS = 4;
const FEWEST_OPEN = 4;

/**
 * The families a shape belongs to by what sounds, the one players would name first. Barre shapes
 * are told by `barreFamily`, which has to know the fingers.
 */
export function structuralFamilies(shape: Shape): readonly Family[] {
  const notes = [...shape.sounding].sort((a, b) => a.midi - b.midi);
  const found: Family[] = [];
  if (isOpen(shape)) found.push('open');
  if (mixesOpenAndHigh(shape)) return found;
  const distinct = new Set(notes.map(({ tone }) => tone.chroma)).size === notes.length;
  if (!distinct || notes.some(({ tone }) => tone.formula === 'bass')) return found;
  const pitches = notes.map(({ midi }) => midi);
  if (notes.length === 3 && shape.chordTones === 3) found.push(...triadFamily(shape.frets, pitches));
  if (innerMutes(shape.frets) <= 1 && isShell(notes.map(({ tone }) => tone))) found.push('shell');
  const rootless = shape.chordTones > 4 && notes.every(({ tone }) => tone.place !== 0);
  if (notes.length === 4 && (shape.chordTones === 4 || rootless)) found.push(...dropFamily(shape.frets, pitches));
  if (notes.length >= 3 && isQuartal(pitches)) found.push('quartal');
  return found;
}

/** An open string far from the pressed ones: a colour, not a shape one moves about. */
function mixesOpenAndHigh({ frets, capo }: Shape): boolean {
  return frets.includes(capo) && frets.some((fret) => fret !== null && fret > capo + OPEN_FRETS + 1);
}

/** At least four strings, one of them open, all within the first frets. */
function isOpen({ frets, capo, sounding, rooted }: Shape): boolean {
  return (
    sounding.length >= FEWEST_OPEN &&
    frets.includes(capo) &&
    frets.every((fret) => fret === null || fret <= capo + OPEN_FRETS) &&
    innerMutes(frets) <= (sounding.length > FEWEST_OPEN && rooted ? 1 : 0)
  );
}

/** Three notes within an octave on adjacent strings, or with the middle one moved out. */
function triadFamily(frets: Frets, pitches: readonly number[]): readonly Family[] {
  const [low = 0, , high = 0] = pitches;
  if (high - low < OCTAVE) return innerMutes(frets) === 0 ? ['triad'] : [];
  return high - low < 2 * OCTAVE ? ['spread'] : [];
}

const SHELL_THIRDS = ['3', 'b3', '4', '2'];
const SHELL_SEVENTHS = ['7', 'b7', 'bb7', '6'];

/** Root, third and seventh alone, the root lowest. */
function isShell(tones: readonly NamedTone[]): boolean {
  if (tones.length !== 3 || tones[0]?.place !== 0) return false;
  const above = tones.slice(1).map(({ formula }) => formula);
  return above.some((name) => SHELL_THIRDS.includes(name)) && above.some((name) => SHELL_SEVENTHS.includes(name));
}

/** Four notes whose lowest, an octave up, closes them to within an octave. */
function dropFamily(frets: Frets, [a = 0, b = 0, c = 0, d = 0]: readonly number[]): readonly Family[] {
  const lifted = a + OCTAVE;
  if (d - b >= OCTAVE || lifted <= b) return [];
  const gap = innerMutes(frets);
  if (lifted > c && lifted < d && gap === 0) return ['drop-2'];
  return lifted < c && gap <= 1 ? ['drop-3'] : [];
}

/** Fourths all the way up; from five notes on the last step may be a third. */
function isQuartal(pitches: readonly number[]): boolean {
  const steps = pitches.slice(1).map((midi, index) => midi - (pitches[index] as number));
  const top = steps.at(-1) ?? 0;
  const fourths = steps.length >= FOURTHS_UNDER_A_THIRD && isThird(top) ? steps.slice(0, -1) : steps;
  return fourths.every(isFourth);
}

/** Four steps make five notes. */
const FOURTHS_UNDER_A_THIRD = 4;

/** A minor or a major third, in half steps. */
export function isThird(semitones: number): boolean {
  return semitones === 3 || semitones === 4;
}

/** A perfect fourth or an augmented one, in half steps. */
export function isFourth(semitones: number): boolean {
  return semitones === 5 || semitones === 6;
}

/**
 * Barre shapes rooted on string 6 or 5: nothing open, nothing muted inside, the root lowest, and
 * one finger over at least two strings, or the A shape with its three strings on one fret.
 */
export function barreFamily(shape: Shape, barres: readonly Barre[]): Family | null {
  const { frets, capo, sounding } = shape;
  const [lowest] = sounding;
  const fret = lowest === undefined ? null : (frets[lowest.string] as number);
  if (lowest === undefined || fret === null || fret <= capo || lowest.tone.place !== 0) return null;
  const open = frets.includes(capo);
  const string = frets.length - lowest.string;
  if (open || innerMutes(frets) > 0 || sounding.some(({ string: at }) => (frets[at] as number) < fret)) return null;
  if (sounding.length < string - 1 || sounding.length < FEWEST_OPEN) return null;
  const level = barres.length > 0 || isThreeInLine(frets);
  if (!level) return null;
  return string === 6 ? 'barre-6' : string === 5 ? 'barre-5' : null;
}

function isThreeInLine(frets: Frets): boolean {
  return frets.some((fret, index) => fret !== null && fret === frets[index + 1] && fret === frets[index + 2]);
}
