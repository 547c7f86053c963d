import type { NAMING_SCHOOLS } from '../choices.ts';
import { formulaTones } from '../chord/formula.ts';
import { qualityOf } from '../chord/quality.ts';
import { CHART_SCHOOL, printQuality, type QualitySchool } from '../chord/quality-text.ts';
import { accidentalsOnMajor, printScaleNumber } from '../interval/interval-text.ts';
import { letterStep } from '../pitch/note.ts';
import { printAccidentals } from '../pitch/note-text.ts';
import type { NumberChord } from './degree.ts';

const ROMANS = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII'];

/** How a bass that is not the root is written: as a degree after a slash, or as figures for the inversion. */
export type Inversions = (typeof NAMING_SCHOOLS.inversions)[number];

/** Roman numerals carry minor in their case, so the quality after them has no sign for it. */
export const ROMAN_SCHOOL: QualitySchool = {
  ...CHART_SCHOOL,
  minor: '',
  diminished: '°',
  diminishedTriad: '°',
  halfDiminished: 'sign',
  sharpFive: false,
};

/** Figured bass of the inversions, by the chord tone that is lowest. */
const TRIAD_FIGURES: Readonly<Record<number, string>> = { 3: '6', 5: '64' };
const SEVENTH_FIGURES: Readonly<Record<number, string>> = { 3: '65', 5: '43', 7: '42' };

/**
 * The Roman numeral, lower case for minor and diminished thirds: `ii7`, `viiø7`, `bVI`, `V7`.
 * An inversion is figured, `V6`, `V65`. A bass that is no tone of the chord, and every bass where
 * figures are not wanted, is a scale degree under its hat, `IV/^1`: `V/7` would be an applied chord.
 */
export function printRoman(chord: NumberChord, inversions: Inversions = 'figures', school: QualitySchool = ROMAN_SCHOOL): string {
  const { family } = qualityOf(chord.formula);
  const capital = ROMANS[letterStep(chord.degree)] as string;
  const numeral = family === 'minor' || family === 'diminished' ? capital.toLowerCase() : capital;
  const name = `${printAccidentals(accidentalsOnMajor(chord.degree))}${numeral}`;
  const quality = printQuality(chord.formula, school);
  if (chord.bass === null) return `${name}${quality}`;
  const figures = inversions === 'figures' ? figuresOf(chord) : undefined;
  return figures === undefined ? `${name}${quality}/^${printScaleNumber(chord.bass)}` : `${name}${quality.replace(/7$/, '')}${figures}`;
}

const MINOR_SEVENTH = -2;
const MAJOR_SEVENTH = 5;

/**
 * The figures of an inverted triad or seventh chord; undefined for other chords and for a foreign
 * bass. A triad over its ♭7 or 7 is a seventh chord in its last inversion.
 */
function figuresOf({ degree, formula, bass }: NumberChord): string | undefined {
  const tones = formulaTones(formula);
  if (tones.length === 3 && (bass === degree + MINOR_SEVENTH || bass === degree + MAJOR_SEVENTH)) return SEVENTH_FIGURES[7];
  const lowest = tones.find(({ interval }) => degree + interval === bass)?.number;
  const seventh = tones.some(({ number }) => number === 7);
  if (lowest === undefined || tones.length !== (seventh ? 4 : 3)) return undefined;
  return (seventh ? SEVENTH_FIGURES : TRIAD_FIGURES)[lowest];
}
