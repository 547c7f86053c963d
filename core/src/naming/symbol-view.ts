import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import { DEFAULT_NAMING, type Naming } from './naming.ts';
import { letterParts, numberParts, type SymbolParts } from './symbol-parts.ts';

/** A chord symbol cut up for setting, and as it is said. */
export interface SymbolView extends SymbolParts {
  /** The whole symbol as one reads it aloud to a screen reader. */
  readonly label: string;
}

/** So many symbols are known at once in one school of naming: more than any song has. */
const MOST_KNOWN = 4000;

/** Symbols by school and chord: a chart says the same few chords over and over, and asks at each key press. */
const NUMBERS = new Map<string, Map<string, SymbolView>>();
const LETTERS = new Map<string, Map<string, SymbolView>>();

function known(views: typeof NUMBERS, naming: Naming, name: string, make: () => SymbolView): SymbolView {
  const school = naming === DEFAULT_NAMING ? '' : Object.values(naming).join(' ');
  const inSchool = views.get(school) ?? new Map<string, SymbolView>();
  const before = inSchool.get(name);
  if (before !== undefined) return before;
  if (inSchool.size >= MOST_KNOWN) inSchool.clear();
  const view = make();
  inSchool.set(name, view);
  views.set(school, inSchool);
  return view;
}

/** A number chord for the chart: `♭7` large, `maj7` raised. It is said as a number whatever the school. Equal chords give one value. */
export function numberView(chord: NumberChord, naming: Naming = DEFAULT_NAMING): SymbolView {
  return known(NUMBERS, naming, `${chord.degree} ${chord.formula} ${chord.bass}`, () => {
    const plain = numberParts(chord, DEFAULT_NAMING);
    return { ...numberParts(chord, naming), label: spoken(`${plain.prefix}${plain.main}`, `${plain.sign}${plain.raised}`, plain.bass) };
  });
}

/** A letter chord: `B♭` large, `m7` after it. Equal chords give one value. */
export function letterView(chord: Chord, naming: Naming = DEFAULT_NAMING): SymbolView {
  return known(LETTERS, naming, `${chord.root} ${chord.formula} ${chord.bass}`, () => {
    const parts = letterParts(chord, naming);
    return { ...parts, label: spoken(parts.main, letterParts(chord, DEFAULT_NAMING).raised, parts.bass) };
  });
}

/** A sign a drummer reads in the place of a chord. */
export function signView(main: '×' | '–'): SymbolView {
  return { prefix: '', main, sign: '', raised: '', bass: null, label: main === '×' ? 'hit' : 'time' };
}

/** Text that is no chord, in the place of one. */
export function textView(text: string): SymbolView {
  return { prefix: '', main: text, sign: '', raised: '', bass: null, label: text };
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
