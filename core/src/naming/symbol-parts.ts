import type { Chord } from '../chord/chord.ts';
import { printQuality } from '../chord/quality-text.ts';
import type { NumberChord } from '../degree/degree.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { letterSchool, type Naming, nameRoot, numberSchool, romanPieces } from './naming.ts';

/** A chord symbol cut up for setting. */
export interface SymbolParts {
  /** Accidental before the numeral. */
  readonly prefix: string;
  /** The large sign. */
  readonly main: string;
  /** Minus, circle or plus, set on the line beside the numeral. */
  readonly sign: string;
  /** Quality, set raised. */
  readonly raised: string;
  readonly bass: string | null;
}

/** A number chord for the chart: `♭7` large, `maj7` raised; a Roman numeral where the school wants one. */
export function numberParts(chord: NumberChord, naming: Naming): SymbolParts {
  const degree = printScaleNumber(chord.degree, 'glyph');
  const bass = chord.bass === null ? null : printScaleNumber(chord.bass, 'glyph');
  const shared = { prefix: degree.slice(0, -1), bass };
  if (naming.degrees !== 'numbers') return { ...shared, ...romanParts(chord, naming) };
  const quality = printQuality(chord.formula, numberSchool(naming));
  const sign = /^[–°+]/.exec(quality)?.[0] ?? '';
  return { ...shared, main: degree.slice(-1), sign, raised: quality.slice(sign.length) };
}

function romanParts(chord: NumberChord, naming: Naming): Pick<SymbolParts, 'main' | 'sign' | 'raised'> {
  const { numeral, sign, rest } = romanPieces({ ...chord, bass: null }, naming);
  return { main: numeral.replace(/^[♭♯]+/, ''), sign, raised: rest };
}

/** A letter chord: `B♭` large, `m7` behind it. */
export function letterParts(chord: Chord, naming: Naming): SymbolParts {
  return {
    prefix: '',
    main: nameRoot(chord.root, naming),
    sign: '',
    raised: printQuality(chord.formula, letterSchool(naming)),
    bass: chord.bass === null ? null : nameRoot(chord.bass, naming),
  };
}
