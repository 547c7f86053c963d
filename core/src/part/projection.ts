import type { BarChord, BarRemark, WrittenBar } from '../chart/bars.ts';
import type { Place } from '../chart/chart.ts';
import { type ChartReading, type Letters, lettersFrom } from '../chart/reading.ts';
import type { CHORD_SHOWS, PART_KINDS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import type { Fault } from '../fault.ts';
import type { Naming } from '../naming/naming.ts';
import { letterView, numberView, type SymbolView, signView, textView } from '../naming/symbol-view.ts';
import type { Note } from '../pitch/note.ts';
import { afterWords, barHeading, endingLabel, isFor, wordsUnder } from './bar-words.ts';
import { type DrawnForm, drawnEndings } from './drawn-endings.ts';
import { bassOf, beatSign, drummedChords } from './rhythm-section.ts';

/** What of the chart a player reads: all of it, the bass line, or the form with its hits and stops. */
export type PartKind = (typeof PART_KINDS)[number];

/** What a part shows of each chord. */
export type ChordShow = (typeof CHORD_SHOWS)[number];

/** Through which key and whose eyes a chart is seen. */
export interface ProjectionLens {
  readonly naming: Naming;
  /** The home tonic that sounds. */
  readonly sounding: Note;
  /** The home tonic the reader reads: another one for horns and capo players. */
  readonly written: Note;
  readonly show: ChordShow;
  readonly kind: PartKind;
  /** Lyrics and cue lines under the bars. */
  readonly words: boolean;
  /** Bars of the song itself where others follow that lead into the next one: those are spelled as plainly as can be. */
  readonly ownBars?: number;
  /** Remarks for everyone, and cues for whoever goes by one of these names; null for every cue. */
  readonly cuesFor: readonly string[] | null;
}

/** A chord as it stands in its bar, wherever the chart is drawn. */
export interface ChordCell {
  /** What is set large: the number, a Roman numeral, or the letters. Null for NC. */
  readonly main: SymbolView | null;
  /** Letters under a number, where both are wanted. */
  readonly under: SymbolView | null;
  /** What sounds, beside letters that are read as something else. */
  readonly sounding: SymbolView | null;
  /** The number and the reader's letters, shown or not: what is said of the chord. Null for NC. */
  readonly number: SymbolView | null;
  readonly letter: SymbolView | null;
  /** The chord that sounds. */
  readonly chord: Chord | null;
  /** Its share of the bar. */
  readonly share: number;
  /** Beats where the bar is shared unequally, else null. */
  readonly beats: number | null;
  readonly marks: Pick<BarChord, 'push' | 'ring' | 'stop' | 'optional'>;
}

export interface BarCell {
  /** Index among the written bars. */
  readonly index: number;
  readonly chords: readonly ChordCell[];
  /** A repeat sign drawn in place of the chords, or how many bars of time are kept. */
  readonly sign: WrittenBar['sign'] | 'count';
  /** Bars it stands for: one, or more where a drummer only counts. */
  readonly counts: number;
  /** New key, meter, tempo or a pickup, in the reader's letters; empty when nothing changes. */
  readonly heading: string;
  readonly opensRepeat: boolean;
  /** How often the repeat that ends here is played in all; null where none ends. */
  readonly closesRepeat: number | null;
  readonly ending: { readonly label: string; readonly begins: boolean; readonly ends: boolean } | null;
  readonly signs: readonly ('segno' | 'coda')[];
  /** `D.S. al Coda`, `To Coda`, `Fine`. */
  readonly after: readonly string[];
  readonly remarks: readonly BarRemark[];
  readonly wrong: boolean;
  /** The bar as it was typed where not all of it could be read, and why not: it stands in the place of its chords. */
  readonly unread: { readonly text: string; readonly fault: Fault | null } | null;
  readonly at: Place;
}

/** Up to four bars side by side, with the words under them. A pickup has a row of its own, under the last place. */
export interface CellRow {
  readonly bars: readonly BarCell[];
  readonly isPickup: boolean;
  readonly words: readonly string[];
}

export interface CellSection {
  /** Index among the chart's sections; null for bars before the first. */
  readonly index: number | null;
  readonly name: string | null;
  readonly times: number;
  readonly remark: string | null;
  /** What stands beside the name: `×2`, how many bars for a drummer, a remark. */
  readonly beside: string;
  /** Bars played each time through; 0 when it is not played. */
  readonly played: number;
  readonly rows: readonly CellRow[];
}

/** A chart as one reader reads it. */
export interface Projected {
  readonly sections: readonly CellSection[];
  /** Bars left out because there are too many. */
  readonly left: number;
}

/** Bars side by side, on the screen and on paper. */
export const BARS_A_ROW = 4;

interface Seen {
  readonly lens: ProjectionLens;
  readonly reading: ChartReading;
  readonly sounding: Letters;
  readonly written: Letters;
  /** How repeats with endings are drawn, by bar. */
  readonly endings: ReadonlyMap<number, DrawnForm>;
  readonly wrong: ReadonlySet<string>;
}

/**
 * The one projection: chart × key × reader, as rows of cells. A row begins with every line of the
 * text. Screen, stand and paper draw what is here and decide nothing. `most` bars at the most.
 */
export function projectChart(reading: ChartReading, asked: ProjectionLens, most = Number.POSITIVE_INFINITY): Projected {
  const seen: Seen = {
    reading,
    lens: { ...asked, naming: namingShown(asked) },
    sounding: lettersFrom(reading, asked.sounding),
    written: lettersFrom(reading, asked.written),
    endings: drawnEndings(reading.bars),
    wrong: new Set(reading.problems.filter(({ severity }) => severity === 'error').map(({ at }) => placeName(at))),
  };
  const rows = new Map<number | null, CellRow[]>();
  const places = reading.bars.slice(0, most).map((bar, index) => ({ bar, index }));
  for (const section of [null, ...reading.sections.keys()])
    rows.set(
      section,
      rowsOf(
        places.filter(({ bar }) => bar.section === section),
        seen,
      ),
    );
  const lead = rows.get(null) ?? [];
  const sections = reading.sections.map((section, index) => ({
    index,
    name: section.name,
    times: section.times,
    remark: section.remark,
    beside: besideOf(section, asked.kind),
    played: reading.performance.parts.find((part) => part.section === index)?.count ?? 0,
    rows: rows.get(index) ?? [],
  }));
  const first = {
    index: null,
    name: null,
    times: 1,
    remark: null,
    beside: '',
    played: lead.reduce((sum, { bars }) => sum + bars.length, 0),
    rows: lead,
  };
  return { sections: lead.length === 0 ? sections : [first, ...sections], left: reading.bars.length - places.length };
}

/** Roman numerals where they are asked for; single notes are no chords, so the bass has plain numbers. */
function namingShown({ naming, show, kind }: ProjectionLens): Naming {
  if (kind === 'bass') return { ...naming, degrees: 'numbers' };
  return show === 'roman' && naming.degrees === 'numbers' ? { ...naming, degrees: 'roman' } : naming;
}

function besideOf({ times, remark, count }: ChartReading['sections'][number], kind: PartKind): string {
  const bars = count === 1 ? '1 bar' : `${count} bars`;
  return [times > 1 ? `×${times}` : '', kind === 'form' ? bars : '', remark ?? ''].filter((words) => words !== '').join('  ');
}

interface PlacedBar {
  readonly bar: WrittenBar;
  readonly index: number;
}

function rowsOf(bars: readonly PlacedBar[], seen: Seen): CellRow[] {
  const rows: { bars: BarCell[]; isPickup: boolean; words: readonly string[]; line: number }[] = [];
  for (const { bar, index } of bars) {
    const row = rows.at(-1);
    const cell = barCell(bar, index, seen);
    const isPickup = bar.pickup !== null;
    if (row !== undefined && row.line === bar.line && row.bars.length < BARS_A_ROW && !row.isPickup && !isPickup) row.bars.push(cell);
    else rows.push({ bars: [cell], isPickup, words: [], line: bar.line });
  }
  rows.forEach((row, index) => {
    if (seen.lens.words && rows[index + 1]?.line !== row.line) row.words = wordsUnder(row.line, seen.reading);
  });
  return rows.map(({ line: _, ...row }) => row);
}

function barCell(bar: WrittenBar, index: number, whole: Seen): BarCell {
  const { form } = bar;
  const seen = index < (whole.lens.ownBars ?? index + 1) ? whole : plainlySpelled(whole);
  const { lens, reading, written } = seen;
  const drawn = seen.endings.get(index);
  return {
    index,
    chords: chordCells(bar, seen),
    sign: lens.kind === 'form' ? 'chords' : bar.sign,
    counts: 1,
    heading: barHeading(bar, reading.bars[index - 1], written.keys, lens.naming),
    opensRepeat: form.opensRepeat,
    closesRepeat: drawn?.closesRepeat ?? (drawn === undefined ? form.closesRepeat : null),
    ending:
      form.ending === null
        ? null
        : { begins: form.ending.begins, ends: drawn?.endsEnding ?? form.ending.ends, label: endingLabel(form.ending.passes) },
    signs: form.signs,
    after: afterWords(form),
    remarks: bar.remarks.filter((remark) => isFor(remark, lens.cuesFor)),
    wrong: bar.unread !== null || seen.wrong.has(placeName(bar.at)),
    unread: bar.unread === null ? null : { text: bar.unread, fault: faultAt(reading, bar.at) },
    at: bar.at,
  };
}

/** What nobody has written needs no double flats. */
function plainlySpelled(seen: Seen): Seen {
  return { ...seen, lens: { ...seen.lens, naming: { ...seen.lens.naming, spelling: 'easier' } } };
}

/** A bar's chords as the part has them: whole, as the bass plays them, or as the beats that count. */
function chordCells(bar: WrittenBar, seen: Seen): readonly ChordCell[] {
  if (bar.unread !== null) return [unreadCell(bar.unread)];
  const { kind } = seen.lens;
  const slots = kind === 'form' ? drummedChords(bar) : bar.chords;
  const unequal = slots.some(({ beats }) => beats !== slots[0]?.beats);
  return slots.map((slot) => {
    if (kind === 'chart' || slot.chord === null) return chordCell(slot, bar, seen, unequal);
    if (kind === 'bass') return chordCell({ ...slot, chord: bassOf(slot.chord) }, bar, seen, unequal);
    return { ...chordCell(slot, bar, seen, unequal), main: signView(beatSign(slot)), under: null, sounding: null };
  });
}

/** What nobody could read, as it was typed. */
function unreadCell(text: string): ChordCell {
  const marks = { push: false, ring: false, stop: false, optional: false };
  return { main: textView(text), under: null, sounding: null, number: null, letter: null, chord: null, share: 1, beats: null, marks };
}

function chordCell(slot: BarChord, bar: WrittenBar, { lens: { naming, ...lens }, sounding, written }: Seen, unequal: boolean): ChordCell {
  const { chord, push, ring, stop, optional, beats } = slot;
  const shared = { share: beats ?? 1, beats: unequal ? beats : null, marks: { push, ring, stop, optional } };
  if (chord === null) return { main: null, under: null, sounding: null, number: null, letter: null, chord: null, ...shared };
  const heard = sounding.chordIn(chord, bar.stretch);
  const number = numberView(chord, naming);
  const letter = letterView(written.chordIn(chord, bar.stretch), naming);
  const inLetters = lens.show === 'letters' || lens.show === 'both';
  return {
    main: lens.show === 'letters' ? letter : number,
    under: lens.show === 'both' ? letter : null,
    sounding: inLetters && lens.sounding !== lens.written ? letterView(heard, naming) : null,
    number,
    letter,
    chord: heard,
    ...shared,
  };
}

/** What is wrong in a bar first of all. */
function faultAt({ problems }: ChartReading, { line, column, length }: Place): Fault | null {
  const here = problems.filter(({ at, severity }) => severity === 'error' && at.line === line && at.column >= column);
  return here.find(({ at }) => at.column < column + length)?.fault ?? null;
}

function placeName({ line, column }: Place): string {
  return `${line}:${column}`;
}
