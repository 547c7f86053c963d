import type { NAMING_SCHOOLS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import { qualityOf } from '../chord/quality.ts';
import { CHART_SCHOOL, LETTER_SCHOOL, printQuality, type QualitySchool } from '../chord/quality-text.ts';
import type { NumberChord } from '../degree/degree.ts';
import { type Inversions, printRoman, ROMAN_SCHOOL } from '../degree/roman-text.ts';
import type { Key } from '../key/key.ts';
import { printScale } from '../key/key-text.ts';
import { accidentals, letterStep, type Note, withoutDoubles } from '../pitch/note.ts';
import { printAccidentals, printNote, withGlyphs } from '../pitch/note-text.ts';
import type { Step } from '../scale/scale.ts';

/** What somebody calls things: the schools of naming, as one plain value. */
export type Naming = { readonly [What in keyof typeof NAMING_SCHOOLS]: (typeof NAMING_SCHOOLS)[What][number] };

export const DEFAULT_NAMING: Naming = {
  majorSeventh: 'maj7',
  minorSeventh: 'm7',
  halfDiminished: 'm7♭5',
  diminished: 'dim',
  steps: 'W-H',
  degrees: 'numbers',
  inversions: 'figures',
  notes: 'english',
  spelling: 'proper',
};

const SYLLABLES = ['Do', 'Re', 'Mi', 'Fa', 'Sol', 'La', 'Si'];
const B_STEP = 6;

/** The note as the school says it: German calls B♭ B and B H; fixed do says syllables. */
export function nameNote(note: Note, notes: Naming['notes']): string {
  if (notes === 'english') return printNote(note, 'glyph');
  const step = letterStep(note);
  const count = accidentals(note);
  if (notes === 'solfege') return `${SYLLABLES[step]}${printAccidentals(count, 'glyph')}`;
  if (step !== B_STEP) return printNote(note, 'glyph');
  return count === -1 ? 'B' : `H${printAccidentals(count, 'glyph')}`;
}

/** The step as the school says it: `W H W+H` or `T S T+S`. */
export function nameStep(step: Step, steps: Naming['steps']): string {
  return steps === 'W-H' ? step : step.replace('W', 'T').replace('H', 'S');
}

/** How the school writes qualities after letters, with music glyphs. */
export function letterSchool(naming: Naming): QualitySchool {
  return schoolsOf(naming).letters;
}

/** How the school writes qualities after numbers; the minus is always there. */
export function numberSchool(naming: Naming): QualitySchool {
  return schoolsOf(naming).numbers;
}

interface Schools {
  readonly letters: QualitySchool;
  readonly numbers: QualitySchool;
}

/** One value for each naming: what a school has printed is remembered with it. */
const schools = new WeakMap<Naming, Schools>();

function schoolsOf(naming: Naming): Schools {
  const known = schools.get(naming);
  if (known !== undefined) return known;
  const shared = sharedSigns(naming);
  const made: Schools = {
    letters: {
      ...LETTER_SCHOOL,
      ...shared,
      minor: naming.minorSeventh === '−7' ? '−' : 'm',
      minorParentheses: naming.minorSeventh === 'm7',
    },
    numbers: { ...CHART_SCHOOL, ...shared, minor: '–', diminished: '°', diminishedTriad: '°' },
  };
  schools.set(naming, made);
  return made;
}

function sharedSigns(naming: Naming) {
  return {
    diminished: naming.diminished === '°' ? '°' : 'dim',
    diminishedTriad: { dim: 'dim', '°': '°', 'm♭5': 'm♭5' }[naming.diminished],
    majorSeventh: naming.majorSeventh === '△7' ? '△' : 'maj',
    halfDiminished: naming.halfDiminished === 'ø7' ? ('sign' as const) : ('flat-five' as const),
    accidentals: 'glyph' as const,
  };
}

/** The root or bass of a chord as the school says it; double accidentals only where they are wanted. */
export function nameRoot(note: Note, { notes, spelling }: Naming): string {
  return nameNote(spelling === 'easier' ? withoutDoubles(note) : note, notes);
}

/** A letter chord in the school's words: `B♭△7`, `Hm7`, `Sol7/Si`. */
export function nameChord(chord: Chord, naming: Naming): string {
  const bass = chord.bass === null ? '' : `/${nameRoot(chord.bass, naming)}`;
  return `${nameRoot(chord.root, naming)}${printQuality(chord.formula, letterSchool(naming))}${bass}`;
}

/** A number chord as a Roman numeral in the school's words, by case or in capitals with the quality written out. */
export function nameRoman(chord: NumberChord, naming: Naming, inversions: Inversions = naming.inversions): string {
  const { numeral, sign, rest } = romanPieces(chord, naming, inversions);
  return `${numeral}${sign}${rest}`;
}

/** A Roman numeral cut where it is set: the numeral with its accidental, its minus, circle or plus, and what is raised. */
export interface RomanPieces {
  readonly numeral: string;
  readonly sign: string;
  readonly rest: string;
}

export function romanPieces(chord: NumberChord, naming: Naming, inversions: Inversions = naming.inversions): RomanPieces {
  const school: QualitySchool = { ...ROMAN_SCHOOL, majorSeventh: schoolsOf(naming).numbers.majorSeventh, accidentals: 'glyph' };
  const roman = withGlyphs(printRoman(chord, inversions, school));
  const [, numeral = '', sign = '', rest = ''] = /^([♭♯]*[ivIV]+)([°+]?)(.*)$/.exec(roman) ?? [];
  if (naming.degrees !== 'capitals') return { numeral, sign, rest };
  const { family } = qualityOf(chord.formula);
  return { numeral: numeral.toUpperCase(), sign: family === 'minor' && !rest.startsWith('ø') ? 'm' : sign, rest };
}

/** A key as it is written in the school: `E♭`, `Hm`, `Do dorian`. */
export function nameKey(key: Key, naming: Naming): string {
  const tonic = nameNote(key.tonic, naming.notes);
  if (key.scale === 'major') return tonic;
  if (key.scale === 'natural minor') return `${tonic}${naming.minorSeventh === '−7' ? '−' : 'm'}`;
  return `${tonic} ${printScale(key.scale, 'glyph')}`;
}
