import type { Chord } from '../chord/chord.ts';
import { ALTERED_FORMULA } from '../chord/quality.ts';
import type { Tuning } from '../fretboard/fretboard.ts';
import { callingOf } from '../fretboard/instrument.ts';
import { chroma } from '../pitch/note.ts';
import { type Family, type NamedTone, tonesOf } from './voicing.ts';

/** Which tones a shape of a chord must have, may have and may leave out. */
export interface ToneRules {
  /** Every tone that may sound; a tone's bit is its place here. */
  readonly tones: readonly NamedTone[];
  /** How many tones the chord itself has. */
  readonly chordTones: number;
  /** Pitch class that must be lowest; null for any. */
  readonly bass: number | null;
  /** The tones every shape has, whatever its family. */
  readonly fewest: number;
  /** The tones of a shape that is no shell and no stack of fourths. */
  readonly whole: number;
  /** The tones a shell is made of. */
  readonly shell: number;
  /** Whether the tones heard make the chord in a shape of these families. */
  readonly accepts: (heard: number, families: readonly Family[], sounding: number) => boolean;
  /** Names of tones that never fit, because the instrument has fewer strings. */
  readonly leftOut: readonly string[];
}

interface Wish {
  readonly families?: readonly Family[];
  readonly without?: readonly ('root' | 'fifth')[];
}

const FIFTH = '5';
const THIRDS = ['3', 'b3'];
const NINTHS = ['b9', '9', '#9'];
/** What a bass plays of a chord beside its root. */
const BASS_TONES = ['b5', '5', '#5', '7', 'b7', 'bb7', 'bass'];
const SHELL_TONES = ['1', '3', 'b3', '4', '2', '7', 'b7', 'bb7', '6'];

/**
 * What may be left out. Chords of five tones and more do without a plain fifth, an 11th chord
 * without the 9th, a 13th without 9th and 11th; an altered dominant has at least one ninth. Chords
 * of four tones keep everything but in open shapes, where the fifth may go, and in shells. With more tones
 * than strings, the least telling ones go first. Quartal stacks may borrow the eleventh.
 */
export function toneRules(chord: Chord, tuning: Tuning, wish: Wish): ToneRules {
  const strings = tuning.length;
  const own = tonesOf(chord);
  const chordTones = own.filter(({ place }) => place !== null).length;
  const tones = [...own, ...borrowedEleventh(chord, own, wish)];
  const bit = (test: (tone: NamedTone) => boolean) => tones.reduce((bits, tone, index) => (test(tone) ? bits | (1 << index) : bits), 0);
  const asked = wish.without ?? [];
  const borrowed = bit(({ place, formula }) => place === null && formula !== 'bass');
  const all = bit(() => true) & ~borrowed;
  const fifth = bit(({ formula }) => formula === FIFTH);
  const usual = usualOmissions(own, chord.formula === ALTERED_FORMULA);
  const spare = bit(({ formula }) => usual.includes(formula)) | (asked.includes('fifth') ? fifth : 0);
  const root = asked.includes('root') && chordTones > 3 ? bit(({ place }) => place === 0) : 0;
  const leftOut = tooMany(own, usual, strings);
  const surplus = bit(({ formula }) => leftOut.includes(formula));
  // a bass plays the root with its fifth, and the seventh of a seventh chord
  const carried = callingOf(tuning) === 'bass' ? bit(({ place, formula }) => place === 0 || BASS_TONES.includes(formula)) : -1;
  const needed = all & ~spare & ~root & ~surplus & carried;
  const openNeeded = chordTones >= 4 ? needed & ~fifth : needed;
  const shellNeeded =
    bit(({ place, formula }) => place !== null && SHELL_TONES.includes(formula)) | bit(({ formula }) => formula === 'bass');
  const quartalNeeded = chordTones > 4 ? 0 : bit(({ place }) => place === 0);
  const isBare = own.every(({ formula }) => formula === FIFTH || formula === 'bass' || SHELL_TONES.includes(formula));
  const thirds = bit(({ formula }) => THIRDS.includes(formula));
  const ninths = chord.formula === ALTERED_FORMULA ? bit(({ formula }) => NINTHS.includes(formula)) : 0;
  return {
    tones,
    chordTones,
    bass: chord.bass === null ? null : chroma(chord.bass),
    fewest: needed & openNeeded & shellNeeded & (wish.families?.includes('quartal') === false ? -1 : quartalNeeded),
    whole: openNeeded,
    shell: shellNeeded,
    leftOut,
    accepts: (heard, families, sounding) => {
      // a harmonized key is also played in bare shells and in stacks of fourths, whatever its chords hold: when they are asked for
      if (families.includes('shell') && (isBare || wish.families?.includes('shell'))) return (heard & borrowed) === 0;
      if (families.includes('quartal') && wish.families?.includes('quartal')) {
        return (heard & quartalNeeded) === quartalNeeded && (chordTones <= 4 || (sounding >= 4 && (heard & thirds) !== 0));
      }
      const wanted = families.includes('open') ? openNeeded : needed;
      return (heard & borrowed) === 0 && (heard & wanted) === wanted && (ninths === 0 || (heard & ninths) !== 0);
    },
  };
}

function usualOmissions(tones: readonly NamedTone[], altered: boolean): readonly string[] {
  const names = tones.map(({ formula }) => formula);
  if (names.length < 5) return [];
  const has = (name: string) => names.includes(name);
  // the symbol names the highest plain extension and every altered one; what lies under that extension is spare
  const above9 = has('11') || has('13');
  const above11 = has('13');
  return [FIFTH, ...(above9 ? ['9'] : []), ...(above11 ? ['11'] : []), ...(altered ? ['b9', '#9', 'b13'] : [])];
}

/** Tones that go when there are more than strings, the least telling first; the root stays to the last. */
const GOING = ['5', '9', '11', '#11', 'b9', '#9', 'b5', '#5', '1'];

function tooMany(tones: readonly NamedTone[], usual: readonly string[], strings: number): readonly string[] {
  const kept = tones.filter(({ formula }) => !usual.includes(formula));
  const spare = kept.length - strings;
  if (spare <= 0) return [];
  const going = GOING.filter((name) => kept.some(({ formula }) => formula === name));
  return [...usual.filter((name) => tones.some(({ formula }) => formula === name)), ...going.slice(0, spare)];
}

const FOURTHS: readonly string[] = ['4', '#4', 'b11', '11', '#11'];

/** A fourth above the root, which stacks of fourths need and most chords do not have. */
function borrowedEleventh(chord: Chord, tones: readonly NamedTone[], { families }: Wish): readonly NamedTone[] {
  const eleventh = chord.root - 1;
  if (families?.includes('quartal') !== true || tones.some(({ formula }) => FOURTHS.includes(formula))) return [];
  return [{ note: eleventh, chroma: chroma(eleventh), formula: '11', place: null }];
}
