import {
  type Analysis,
  type AnalyzedChord,
  letterView,
  type Naming,
  nameKey,
  numberView,
  type Pattern,
  patternWords,
  READING_NAMES,
  RESOLUTION_NAMES,
  type Reader,
  type RidgeRole,
  type RidgeSpan,
  romanUnder,
  type SongProfile,
  type SymbolView,
  symbolText,
  writtenChord,
} from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** Where a bracket over a chord begins, goes on or ends. */
export interface Bracket {
  readonly begins: boolean;
  readonly ends: boolean;
  /** Whether the ii–V arrives; one that does not is drawn broken. */
  readonly complete: boolean;
  readonly name: string;
}

/** A chord as it stands in the grid. */
export interface GridChord {
  readonly index: number;
  readonly number: SymbolView;
  /** What the reader reads, and what sounds when that is something else. */
  readonly letter: SymbolView;
  readonly sounding: SymbolView | null;
  readonly romans: readonly string[];
  readonly role: RidgeRole;
  /** What it is, where it is no chord of the key. */
  readonly reading: string | null;
  /** Whether a player said so. */
  readonly yours: boolean;
  readonly note: string;
  readonly optional: boolean;
  readonly bracket: Bracket | null;
  /** The key that begins here; null within a region. */
  readonly newKey: string | null;
  readonly label: string;
}

interface GridBar {
  readonly bar: number;
  readonly chords: readonly GridChord[];
}

/** Bars side by side, as the text has them. */
export interface GridRow {
  readonly section: string | null;
  readonly bars: readonly GridBar[];
}

export interface GridLook {
  readonly naming: Naming;
  readonly reader: Reader;
  /** The other hearing, when both are shown. */
  readonly beside: Analysis | null;
}

const BARS_A_ROW = 4;
/** More bars than this are analyzed but not drawn. */
export const MOST_BARS = 400;

/** The song's chords in rows of bars. */
export function gridRows(analysis: Analysis, look: GridLook): readonly GridRow[] {
  const { bars, sections } = analysis.progression.chart;
  const byBar = new Map<number, number[]>();
  analysis.progression.chords.forEach(({ bar }, index) => {
    byBar.set(bar, [...(byBar.get(bar) ?? []), index]);
  });
  const brackets = bracketsOf(analysis);
  const rows: { section: string | null; line: number; named: number | null; bars: GridBar[] }[] = [];
  for (const [bar, indices] of byBar) {
    const written = bars[bar];
    if (bar >= MOST_BARS || written === undefined) continue;
    const drawn = { bar, chords: indices.map((index) => gridChord(analysis, index, brackets.get(index) ?? null, look)) };
    const row = rows.at(-1);
    if (row !== undefined && row.line === written.line && row.bars.length < BARS_A_ROW) row.bars.push(drawn);
    else {
      const begins = written.section !== null && row?.named !== written.section;
      const section = begins ? (sections[written.section as number]?.name ?? null) : null;
      rows.push({ section, line: written.line, named: written.section, bars: [drawn] });
    }
  }
  return rows;
}

/** The bracket over each chord; where two meet, the one that begins later is drawn. */
function bracketsOf({ patterns }: Analysis): ReadonlyMap<number, Bracket> {
  const brackets = new Map<number, Bracket>();
  for (const pattern of patterns.filter(isTwoFive)) {
    for (let index = pattern.from; index <= pattern.to; index += 1) {
      const name = patternWords(pattern);
      brackets.set(index, {
        begins: index === pattern.from,
        ends: index === pattern.to,
        complete: pattern.kind === 'two-five-one',
        name,
      });
    }
  }
  return brackets;
}

function isTwoFive({ kind }: Pattern): boolean {
  return kind === 'two-five-one' || kind === 'two-five';
}

function gridChord(analysis: Analysis, index: number, bracket: Bracket | null, { naming, reader, beside }: GridLook): GridChord {
  const chord = analysis.chords[index] as AnalyzedChord;
  const region = analysis.regions[chord.region];
  const written = region === undefined ? chord.chord : writtenChord(reader, chord.chord, region.key);
  const number = numberView(chord.number, naming);
  const letter = letterView(written, naming);
  const reading = readingLabel(chord);
  return {
    index,
    number,
    letter,
    sounding: written.root === chord.chord.root ? null : letterView(chord.chord, naming),
    romans: [analysis, ...(beside === null ? [] : [beside])].map(({ chords, hearing }) =>
      romanUnder(chords[index] as AnalyzedChord, hearing, naming),
    ),
    role: isOutside(chord) || chord.function === 'other' ? 'outside' : chord.function,
    reading,
    yours: chord.override !== null,
    note: chord.override?.note ?? '',
    optional: analysis.progression.chords[index]?.optional ?? false,
    bracket,
    newKey: region !== undefined && region.from === index && chord.region > 0 ? nameKey(region.key, naming) : null,
    label: `${number.label}, ${letter.label}${reading === null ? '' : `, ${reading}`}${bracket?.begins ? PARTS_WORDS.beginsA(bracket.name) : ''}`,
  };
}

/** Whether the chord is no chord of its key: drawn with a broken line. */
function isOutside({ reading }: AnalyzedChord): boolean {
  return reading.kind !== 'diatonic' && reading.kind !== 'pedal' && reading.kind !== 'line-cliche';
}

/** What a chord is, in a few words; null for a plain chord of the key. */
export function readingLabel({ reading, override }: Pick<AnalyzedChord, 'reading' | 'override'>): string | null {
  if (reading.kind === 'diatonic' && override === null) return null;
  const kept = reading.resolution === undefined || reading.resolution === 'resolves' ? '' : `, ${RESOLUTION_NAMES[reading.resolution]}`;
  return `${READING_NAMES[reading.kind]}${reading.kind === 'diatonic' ? '' : kept}`;
}

/** The chords of a ridge by name: in letters, and as a degree with its triad, short enough to stand on a summit. */
export interface RidgeNames {
  readonly letters: readonly string[];
  readonly numbers: readonly string[];
}

export function ridgeNames({ chords }: Analysis, naming: Naming): RidgeNames {
  const views = chords.map(({ number }) => numberView(number, naming));
  return {
    letters: chords.map(({ chord }) => symbolText(letterView(chord, naming))),
    numbers: views.map(({ prefix, main, sign }) => prefix + main + sign),
  };
}

/** The ridge in words: where it is highest. */
export function ridgeWords({ spans }: Pick<SongProfile, 'spans'>, { letters }: Pick<RidgeNames, 'letters'>): string {
  const highest = spans.reduce<RidgeSpan | null>((best, span) => (best === null || span.top > best.top ? span : best), null);
  if (highest === null) return PARTS_WORDS.noChordsYet;
  return highest.top === 0
    ? PARTS_WORDS.theSongNeverLeavesHome
    : PARTS_WORDS.furthestFromHome(letters[highest.index] ?? '', highest.bar + 1);
}

/** The whole ridge for those who do not see it, chord by chord. */
export function ridgeList({ spans }: Pick<SongProfile, 'spans'>, { letters }: Pick<RidgeNames, 'letters'>): string {
  return spans.map(({ index, top }) => `${letters[index]} ${top}`).join(', ');
}
