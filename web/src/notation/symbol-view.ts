import {
  type Chord,
  DEFAULT_NAMING,
  letterSchool,
  type Naming,
  type NumberChord,
  nameNote,
  nameRoman,
  numberSchool,
  printQuality,
  printScaleNumber,
} from '@aurora/core';

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

/** A number chord for the chart: `♭7` large, `maj7` raised. */
export function numberView(chord: NumberChord, naming: Naming = DEFAULT_NAMING): SymbolView {
  const plain = plainNumber(chord);
  return naming.degrees === 'numbers' ? { ...plain, ...numeralParts(chord, naming) } : { ...plain, ...romanParts(chord, naming.degrees) };
}

function numeralParts(chord: NumberChord, naming: Naming): Pick<SymbolView, 'sign' | 'raised'> {
  const quality = printQuality(chord.formula, numberSchool(naming));
  const sign = /^[–°+]/.exec(quality)?.[0] ?? '';
  return { sign, raised: quality.slice(sign.length) };
}

function romanParts(chord: NumberChord, degrees: 'roman' | 'capitals'): Pick<SymbolView, 'main' | 'sign' | 'raised'> {
  const roman = nameRoman({ ...chord, bass: null }, degrees);
  const [, main = '', sign = '', raised = ''] = /^[♭♯]*([ivIV]+)([m°+]?)(.*)$/.exec(roman) ?? [];
  return { main, sign, raised };
}

/** The number as it stands in a chart, and as it is said whatever the school. */
function plainNumber(chord: NumberChord): SymbolView {
  const degree = printScaleNumber(chord.degree, 'glyph');
  const quality = printQuality(chord.formula, numberSchool(DEFAULT_NAMING));
  const bass = chord.bass === null ? null : printScaleNumber(chord.bass, 'glyph');
  return {
    prefix: degree.slice(0, -1),
    main: degree.slice(-1),
    sign: '',
    raised: quality,
    bass,
    label: `${spokenAccidentals(degree)} ${spokenQuality(quality)}${bass === null ? '' : ` over ${spokenAccidentals(bass)}`}`
      .replace(/\s+/g, ' ')
      .trim(),
  };
}

/** A letter chord: `B♭` large, `m7` after it. */
export function letterView(chord: Chord, naming: Naming = DEFAULT_NAMING): SymbolView {
  const root = nameNote(chord.root, naming.notes);
  const quality = printQuality(chord.formula, letterSchool(naming));
  const spoken = printQuality(chord.formula, letterSchool(DEFAULT_NAMING));
  const bass = chord.bass === null ? null : nameNote(chord.bass, naming.notes);
  return {
    prefix: '',
    main: root,
    sign: '',
    raised: quality,
    bass,
    label: `${spokenAccidentals(root)} ${spokenQuality(spoken)}${bass === null ? '' : ` over ${spokenAccidentals(bass)}`}`
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
