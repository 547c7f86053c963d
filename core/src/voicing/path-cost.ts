import { countBits } from '../bits.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { gripOf } from './grips.ts';
import { type Family, positionOf, type Voicing } from './voicing.ts';

/** What a player asks of a path. */
export interface PathLimits {
  /** Only shapes of these families; null for all. */
  readonly families: readonly Family[] | null;
  /** The frets the hand stays within; open strings are always allowed. */
  readonly lowestFret: number;
  readonly highestFret: number;
  /** No shape is harder than this, 0 to 10. */
  readonly mostDifficult: number;
  /** The highest note: left free, moving little, or kept as nearly as the shapes allow. */
  readonly top: 'free' | 'smooth' | 'kept';
  /** Whether notes two chords share should stay where they are. */
  readonly holdCommon: boolean;
  /** Whether the root must be lowest, but for chords written with another bass. */
  readonly rootLowest: boolean;
  /** Whether shapes may leave the root to the bass player. */
  readonly rootless: boolean;
}

/** What one step costs, in its parts; the unit is one fret of hand movement. */
export interface StepCost {
  /** Frets the hand shifts along the neck. */
  readonly shift: number;
  /** Fingers moving on their strings, and strings starting or ceasing to sound. */
  readonly strings: number;
  /** How far the highest note moves. */
  readonly top: number;
  /** Shared notes that do not stay. */
  readonly common: number;
  /** How hard the shape itself is. */
  readonly shape: number;
  readonly total: number;
}

/** A shape with what its cost depends on, worked out once. */
export interface Standing {
  readonly voicing: Voicing;
  /** Lowest pressed fret; null when all strings are open. */
  readonly position: number | null;
  /** Its highest note as a MIDI note number. */
  readonly top: number;
  /** Its pitch classes, a bit each. */
  readonly classes: number;
  /** What the shape itself costs. */
  readonly shape: number;
}

const WEIGHT = {
  /** Per fret a finger moves on its string. */
  string: 0.25,
  /** Per string that starts or ceases to sound. */
  change: 0.3,
  /** Per half step of the highest note. */
  top: { free: 0, smooth: 0.4, kept: 4 },
  /** Per shared note that moves elsewhere. */
  common: 1.5,
  /** Per point of difficulty, and per tone left out. */
  difficulty: 0.3,
  omitted: 0.4,
  /** An open or barre shape that nobody is taught. */
  untaught: 3,
} as const;

const STRUMMED: readonly Family[] = ['open', 'barre-6', 'barre-5'];

export function standingOf(voicing: Voicing, instrument: Instrument): Standing {
  const position = positionOf(voicing.frets, instrument.capo);
  return {
    voicing,
    position: position === instrument.capo ? null : position,
    top: Math.max(...voicing.tones.map(({ midi }) => midi)),
    classes: voicing.tones.reduce((bits, { midi }) => bits | (1 << (midi % 12)), 0),
    shape:
      WEIGHT.difficulty * voicing.difficulty +
      WEIGHT.omitted * voicing.omitted.length +
      (isTaught(voicing, instrument) ? 0 : WEIGHT.untaught),
  };
}

function isTaught({ families, frets }: Voicing, { tuning, capo }: Instrument): boolean {
  return !STRUMMED.includes(families[0]) || tuning.length < GUITAR_STRINGS || gripOf(frets, tuning, capo) !== undefined;
}

/** Fewer strings have no grips that are taught. */
const GUITAR_STRINGS = 6;

/** What going from one shape to the next costs; the first shape of a path costs only itself. */
export function costOf(from: Standing | null, to: Standing, limits: PathLimits): StepCost {
  const { shape } = to;
  if (from === null) return { shift: 0, strings: 0, top: 0, common: 0, shape, total: shape };
  const shift = from.position === null || to.position === null ? 0 : Math.abs(to.position - from.position);
  const strings = stringCost(from.voicing, to.voicing);
  const top = WEIGHT.top[limits.top] * Math.abs(to.top - from.top);
  const common = limits.holdCommon ? WEIGHT.common * movedCommon(from, to) : 0;
  return { shift, strings, top, common, shape, total: shift + strings + top + common + shape };
}

function stringCost({ frets: before }: Voicing, { frets: after }: Voicing): number {
  let cost = 0;
  for (let string = 0; string < before.length; string += 1) {
    const a = before[string] as number | null;
    const b = after[string] as number | null;
    if (a === null || b === null) cost += a === b ? 0 : WEIGHT.change;
    else cost += WEIGHT.string * Math.abs(a - b);
  }
  return cost;
}

/** Notes both chords have that no string keeps sounding. */
function movedCommon(from: Standing, to: Standing): number {
  let waiting = from.classes & to.classes;
  from.voicing.frets.forEach((fret, string) => {
    if (fret === null || fret !== to.voicing.frets[string]) return;
    const tone = from.voicing.tones.find((sounding) => from.voicing.frets.length - sounding.string === string);
    if (tone !== undefined) waiting &= ~(1 << (tone.midi % 12));
  });
  return countBits(waiting);
}
