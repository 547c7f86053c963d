import type { CapoOption } from '../capo/capo-plan.ts';
import { failure, mod, type Result, success } from '../fault.ts';
import { pitchName } from '../fretboard/tuning-text.ts';
import { type Key, keyAccidentals, moveKey } from '../key/key.ts';
import type { PitchRange } from '../pitch/pitch-text.ts';
import { type Reader, writtenKey } from '../reader/reader.ts';

/** What a singer sings with ease, and what is possible on a good day; the first lies inside the second. */
export interface Voice {
  readonly comfortable: PitchRange;
  readonly possible: PitchRange;
}

/** Whether a melody lies with ease, only just, or past the voice. */
type Fit = 'comfortable' | 'possible' | 'outside';
const FITS: readonly Fit[] = ['comfortable', 'possible', 'outside'];

/** A melody in one voice. */
export interface SungRange {
  /** Half steps the melody is moved from where the chart has it, in the octave that suits the voice. */
  readonly shift: number;
  readonly melody: PitchRange;
  readonly fit: Fit;
  /** Half steps of ease left under the lowest note and over the highest; below 0 when it goes past. */
  readonly lowRoom: number;
  readonly highRoom: number;
}

/** How a key lies on the guitars. */
export interface GuitarKindness {
  /** 0–100: half by the chords with the best capo, half by those without one, since open strings ring in few keys. */
  readonly score: number;
  /** The best fret for the guitar that has it hardest, from the nut; 0 without a capo. */
  readonly capo: number;
}

/** How a key treats the others of the band. */
export interface Kindness {
  /** Null without a guitar. */
  readonly guitar: GuitarKindness | null;
  /** Sharps or flats in the horn parts together. */
  readonly accidentals: number;
}

/** How a song lies on the guitars in one key, by where each may put a capo, the best fret first: as kind as to the one that has it hardest. */
export function guitarKindness(plans: readonly (readonly Pick<CapoOption, 'fret' | 'score'>[])[]): GuitarKindness | null {
  const each = plans.map((plan): GuitarKindness => {
    const [best] = plan;
    const open = plan.find(({ fret }) => fret === 0);
    return { score: Math.round(((best?.score ?? 0) + (open?.score ?? 0)) / 2), capo: best?.fret ?? 0 };
  });
  return each.reduce<GuitarKindness | null>((worst, one) => (worst === null || one.score < worst.score ? one : worst), null);
}

/** Sharps and flats in the parts of these readers together while the band sounds a key. */
export function accidentalsFor(readers: readonly Reader[], key: Key): number {
  return readers.reduce((sum, reader) => sum + keyAccidentals(writtenKey(reader, key)), 0);
}

/** One of the twelve keys, for one or more singers. */
export interface SingerKey extends Kindness {
  readonly key: Key;
  /** Half steps up from the song's own key, 0–11. */
  readonly semitones: number;
  /** The worst of all voices. */
  readonly fit: Fit;
  /** One a voice, in their order. */
  readonly sung: readonly SungRange[];
}

/** The voice, or what about it cannot be. */
export function checkVoice(voice: Voice): Result<Voice> {
  const { comfortable, possible } = voice;
  for (const { low, high } of [comfortable, possible])
    if (low > high) return failure({ code: 'range-upside-down', low: pitchName(low), high: pitchName(high) }, 0, 0);
  const past = comfortable.low < possible.low ? comfortable.low : comfortable.high > possible.high ? comfortable.high : null;
  if (past === null) return success(voice);
  return failure({ code: 'voice-outside', note: pitchName(past), low: pitchName(possible.low), high: pitchName(possible.high) }, 0, 0);
}

const OCTAVE = 12;

/** The melody moved by so many half steps, in the octave that leaves a voice the most room at both ends. */
export function sungRange(melody: PitchRange, semitones: number, { comfortable, possible }: Voice): SungRange {
  const sung = OCTAVES.map((octave): SungRange => {
    const shift = semitones + OCTAVE * octave;
    const moved = { low: melody.low + shift, high: melody.high + shift };
    const [lowRoom, highRoom] = [moved.low - comfortable.low, comfortable.high - moved.high];
    const fit = within(moved, comfortable) ? 'comfortable' : within(moved, possible) ? 'possible' : 'outside';
    return { shift, melody: moved, fit, lowRoom, highRoom };
  });
  return sung.reduce((best, other) => (compareSung(other, best) < 0 ? other : best));
}

const OCTAVES = [0, -1, 1, -2, 2, -3, 3] as const;

function within({ low, high }: PitchRange, outer: PitchRange): boolean {
  return low >= outer.low && high <= outer.high;
}

function compareSung(a: SungRange, b: SungRange): number {
  return FITS.indexOf(a.fit) - FITS.indexOf(b.fit) || roomOf(b) - roomOf(a);
}

/** Room at the narrower end. */
export function roomOf({ lowRoom, highRoom }: Pick<SungRange, 'lowRoom' | 'highRoom'>): number {
  return Math.min(lowRoom, highRoom);
}

/**
 * The twelve keys for a melody, best first: those that suit every voice. Where it is sung with ease anyway, the guitars
 * and then the horns (fewer accidentals) decide before the room left at both ends; where it is not, the room decides first.
 */
export function singerKeys(
  home: Key,
  melody: PitchRange,
  voices: readonly Voice[],
  kindness: (key: Key) => Kindness,
): readonly SingerKey[] {
  const keys = Array.from({ length: OCTAVE }, (_, semitones): SingerKey => {
    const key = semitones === 0 ? home : moveKey(home, semitones);
    const sung = voices.map((voice) => sungRange(melody, semitones, voice));
    const fit = FITS[Math.max(0, ...sung.map((range) => FITS.indexOf(range.fit)))] as Fit;
    return { key, semitones, sung, fit, ...kindness(key) };
  });
  return keys.sort((a, b) => {
    const room = worstRoom(b) - worstRoom(a);
    const band = handOf(b) - handOf(a) || a.accidentals - b.accidentals;
    const both = a.fit === 'comfortable' ? band || room : room || band;
    return FITS.indexOf(a.fit) - FITS.indexOf(b.fit) || both || nearness(a) - nearness(b);
  });
}

/** Points between which no hand tells a difference. */
const HAND_POINTS = 5;

function handOf({ guitar }: Kindness): number {
  return Math.round((guitar?.score ?? 0) / HAND_POINTS);
}

function worstRoom({ sung }: SingerKey): number {
  return sung.length === 0 ? 0 : Math.min(...sung.map(roomOf));
}

/** How far a key lies from the song's own, the short way. */
function nearness({ semitones }: SingerKey): number {
  return Math.min(mod(semitones, OCTAVE), mod(-semitones, OCTAVE));
}

/** Whether a sung range comes to the edge of what is easy: no half step left at an end. */
export function isAtEdge(sung: SungRange): boolean {
  return roomOf(sung) < 1;
}
