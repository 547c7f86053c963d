import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import { DEFAULT_NAMING, type Naming } from './naming.ts';
import { letterParts, numberParts, type SymbolParts } from './symbol-parts.ts';

/** A chord symbol cut up for setting, and as it is said. */
export interface SymbolView extends SymbolParts {
  /** The whole symbol as one reads it aloud to a screen reader. */
  readonly label: string;
}

/** A number chord for the chart: `♭7` large, `maj7` raised. It is said as a number whatever the school. */
export function numberView(chord: NumberChord, naming: Naming = DEFAULT_NAMING): SymbolView {
  const plain = numberParts(chord, DEFAULT_NAMING);
  return { ...numberParts(chord, naming), label: spoken(`${plain.prefix}${plain.main}`, `${plain.sign}${plain.raised}`, plain.bass) };
}

/** A letter chord: `B♭` large, `m7` after it. */
export function letterView(chord: Chord, naming: Naming = DEFAULT_NAMING): SymbolView {
  const parts = letterParts(chord, naming);
  return { ...parts, label: spoken(parts.main, letterParts(chord, DEFAULT_NAMING).raised, parts.bass) };
}

/** A sign a drummer reads in the place of a chord. */
export function signView(main: '×' | '–'): SymbolView {
  return { prefix: '', main, sign: '', raised: '', bass: null, label: main === '×' ? 'hit' : 'time' };
}

function spoken(root: string, quality: string, bass: string | null): string {
  return `${spokenAccidentals(root)} ${spokenQuality(quality)}${bass === null ? '' : ` over ${spokenAccidentals(bass)}`}`
    .replace(/\s+/g, ' ')
    .trim();
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
