import { CHART_SCHOOL, type Chord, LETTER_SCHOOL, type NumberChord, printNote, printQuality, printScaleNumber } from '@aurora/core';

/** A chord symbol cut up for setting: accidental before, the large sign, what stands raised after it, and the bass. */
export interface SymbolView {
  readonly prefix: string;
  readonly main: string;
  /** Minus or o, set on the line beside the numeral. */
  readonly sign: string;
  /** Quality, set raised. */
  readonly raised: string;
  readonly bass: string | null;
  /** The whole symbol as one reads it aloud to a screen reader. */
  readonly label: string;
}

const NUMBER_SCHOOL = { ...CHART_SCHOOL, minor: '–', diminished: '°', accidentals: 'glyph' } as const;
const GLYPH_SCHOOL = { ...LETTER_SCHOOL, accidentals: 'glyph' } as const;

/** A number chord for the chart: `♭7` large, `maj7` raised. */
export function numberView(chord: NumberChord): SymbolView {
  const degree = printScaleNumber(chord.degree, 'glyph');
  const quality = printQuality(chord.formula, NUMBER_SCHOOL);
  const sign = /^[–°+]/.exec(quality)?.[0] ?? '';
  const bass = chord.bass === null ? null : printScaleNumber(chord.bass, 'glyph');
  return {
    prefix: degree.slice(0, -1),
    main: degree.slice(-1),
    sign,
    raised: quality.slice(sign.length),
    bass,
    label: `${spokenAccidentals(degree)} ${spokenQuality(quality)}${bass === null ? '' : ` over ${spokenAccidentals(bass)}`}`
      .replace(/\s+/g, ' ')
      .trim(),
  };
}

/** A letter chord: `B♭` large, `m7` after it. */
export function letterView(chord: Chord): SymbolView {
  const root = printNote(chord.root, 'glyph');
  const quality = printQuality(chord.formula, GLYPH_SCHOOL);
  const bass = chord.bass === null ? null : printNote(chord.bass, 'glyph');
  return {
    prefix: '',
    main: root,
    sign: '',
    raised: quality,
    bass,
    label: `${spokenAccidentals(root)} ${spokenQuality(quality)}${bass === null ? '' : ` over ${spokenAccidentals(bass)}`}`
      .replace(/\s+/g, ' ')
      .trim(),
  };
}

/** The whole symbol as plain text with music glyphs: `E♭m7/B♭`. */
export function symbolText({ prefix, main, sign, raised, bass }: SymbolView): string {
  return `${prefix}${main}${sign}${raised}${bass === null ? '' : `/${bass}`}`;
}

function spokenAccidentals(text: string): string {
  const flats = text.match(/♭/g)?.length ?? 0;
  const sharps = text.match(/♯/g)?.length ?? 0;
  const words = ['', ' flat', ' double flat'][flats] ?? '';
  const more = ['', ' sharp', ' double sharp'][sharps] ?? '';
  const bare = text.replace(/[♭♯]/g, '');
  return /^\d/.test(bare) ? `${(words + more).trim()} ${bare}`.trim() : `${bare}${words}${more}`;
}

function spokenQuality(quality: string): string {
  return quality
    .replace(/^(–|m(?!aj))/, ' minor ')
    .replace(/^(°|dim)/, ' diminished ')
    .replace(/^(\+|aug)/, ' augmented ')
    .replace('maj', ' major ')
    .replace(/♭(\d+)/g, ' flat $1')
    .replace(/♯(\d+)/g, ' sharp $1')
    .replace(/[()]/g, ' ')
    .replace(/\s+/g, ' ')
    .trimEnd();
}
