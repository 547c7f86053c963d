import { type Chord, chordOnNeck, DEFAULT_NAMING, type Naming, type NeckTone, nameNote, STANDARD_TUNING, withGlyphs } from '@aurora/core';

export const LAST_FRET = 15;
/** Frets until half of the drawn string is used up; 12 on the instrument. */
const HALVING = 17.8;
const DOTTED_FRETS = [3, 5, 7, 9, 12, 15];

/** Measures of the drawing, in its own units. */
export const NECK = { width: 1100, height: 152, nut: 46, top: 16, gap: 21, open: 22 } as const;

export interface NeckDot {
  readonly tone: NeckTone;
  readonly x: number;
  readonly y: number;
  readonly label: string;
  /** What a screen reader says of it. */
  readonly name: string;
}

/**
 * Where fret wire `fret` lies. Frets grow narrower up the neck, though less than on the instrument,
 * so that dots past the twelfth fret keep their room.
 */
export function fretX(fret: number): number {
  const share = (1 - 2 ** (-fret / HALVING)) / (1 - 2 ** (-LAST_FRET / HALVING));
  return NECK.nut + share * (NECK.width - NECK.nut - 14);
}

/** Height of a string; string 1, the thinnest, is drawn on top. */
export function stringY(string: number): number {
  return NECK.top + (string - 1) * NECK.gap;
}

/** Middle of the space a finger goes to; open strings sound before the nut. */
export function spaceX(fret: number): number {
  return fret === 0 ? NECK.open : (fretX(fret - 1) + fretX(fret)) / 2;
}

/** Every tone of the chord as a dot, open strings at the nut or at the capo. */
export function neckDots(chord: Chord, capo: number, labels: 'notes' | 'formula', naming: Naming = DEFAULT_NAMING): readonly NeckDot[] {
  return chordOnNeck(chord, STANDARD_TUNING, capo, LAST_FRET).map((tone) => {
    const note = nameNote(tone.note, naming.notes);
    const formula = withGlyphs(tone.formula);
    return {
      tone,
      x: spaceX(tone.fret),
      y: stringY(tone.string),
      label: labels === 'notes' ? note : formula === '1' ? 'R' : formula === 'bass' ? 'B' : formula,
      name: `${note}, ${tone.root ? 'root' : formula}, string ${tone.string}, ${tone.fret === 0 ? 'open' : `fret ${tone.fret}`}`,
    };
  });
}

/** The frets that carry a position dot, and how many dots. */
export const POSITION_DOTS = DOTTED_FRETS.map((fret) => ({ fret, double: fret === 12 }));
