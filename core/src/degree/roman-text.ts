import { qualityOf } from '../chord/quality.ts';
import { CHART_SCHOOL, printQuality, type QualitySchool } from '../chord/quality-text.ts';
import { accidentalsOnMajor, printScaleNumber } from '../interval/interval-text.ts';
import { letterStep } from '../pitch/note.ts';
import { printAccidentals } from '../pitch/note-text.ts';
import type { NumberChord } from './degree.ts';

const ROMANS = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII'];

/** Roman numerals carry minor in their case, so the quality after them has no sign for it. */
const ROMAN_SCHOOL: QualitySchool = {
  ...CHART_SCHOOL,
  minor: '',
  diminished: '°',
  diminishedTriad: '°',
  halfDiminished: 'sign',
  sharpFive: false,
};

/**
 * The Roman numeral, lower case for minor and diminished thirds: `ii7`, `viiø7`, `bVI`, `V7`.
 * A foreign bass is written as a degree: `V/7`.
 */
export function printRoman(chord: NumberChord): string {
  const { family } = qualityOf(chord.formula);
  const capital = ROMANS[letterStep(chord.degree)] as string;
  const numeral = family === 'minor' || family === 'diminished' ? capital.toLowerCase() : capital;
  const bass = chord.bass === null ? '' : `/${printScaleNumber(chord.bass)}`;
  return `${printAccidentals(accidentalsOnMajor(chord.degree))}${numeral}${printQuality(chord.formula, ROMAN_SCHOOL)}${bass}`;
}
