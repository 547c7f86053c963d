import {
  type BarChord,
  type BarRemark,
  type ChartReading,
  type Chord,
  type Key,
  type Letters,
  lettersFrom,
  type Naming,
  type Note,
  nameKey,
  type Place,
  type WrittenBar,
} from '@aurora/core';
import { letterView, numberView, type SymbolView } from '../notation/symbol-view.ts';

/** A chord as it stands on the sheet. */
export interface SheetChord {
  /** Null for NC. */
  readonly number: SymbolView | null;
  /** The letters the reader reads. */
  readonly letter: SymbolView | null;
  /** What sounds, where that is something else. */
  readonly sounding: SymbolView | null;
  readonly chord: Chord | null;
  readonly heardIn: Key;
  readonly share: number;
  /** Beats where the bar is shared unequally, else null. */
  readonly beats: number | null;
  readonly marks: Pick<BarChord, 'push' | 'ring' | 'stop' | 'optional'>;
}

export interface SheetBar {
  readonly index: number;
  readonly chords: readonly SheetChord[];
  /** A repeat sign drawn in place of the chords. */
  readonly sign: WrittenBar['sign'];
  /** The key from this bar on, when it changes here, in the reader's letters. */
  readonly newKey: string | null;
  readonly newMeter: string | null;
  readonly pickup: boolean;
  readonly remarks: readonly BarRemark[];
  readonly wrong: boolean;
  readonly at: Place;
}

/** Up to four bars side by side, with the words under them. */
export interface SheetRow {
  readonly bars: readonly SheetBar[];
  readonly words: readonly string[];
}

export interface SheetSection {
  readonly name: string | null;
  readonly times: number;
  readonly remark: string | null;
  readonly rows: readonly SheetRow[];
}

export interface Sheet {
  readonly facts: readonly string[];
  readonly sections: readonly SheetSection[];
  /** Bars that are not drawn because there are too many. */
  readonly left: number;
}

const BARS_A_ROW = 4;
/** More bars than this are not drawn at once. */
const MOST_BARS = 600;

/** What lays a sheet out: the sounding home and the home the reader reads. */
export interface SheetLens {
  readonly naming: Naming;
  readonly sounding: Note;
  readonly written: Note;
}

interface Layout {
  readonly naming: Naming;
  readonly reading: ChartReading;
  readonly sounding: Letters;
  readonly written: Letters;
  readonly transposed: boolean;
  readonly places: ReadonlyMap<WrittenBar, number>;
  readonly wrongPlaces: ReadonlySet<string>;
}

/** The chart laid out: sections, rows of four bars that start anew with every line of the text. */
export function layOutSheet(reading: ChartReading, lens: SheetLens): Sheet {
  const layout: Layout = {
    naming: lens.naming,
    reading,
    sounding: lettersFrom(reading, lens.sounding),
    written: lettersFrom(reading, lens.written),
    transposed: lens.sounding !== lens.written,
    places: new Map(reading.bars.map((bar, index) => [bar, index])),
    wrongPlaces: new Set(reading.problems.filter(({ severity }) => severity === 'error').map(({ at }) => placeName(at.line, at.column))),
  };
  const shown = reading.bars.slice(0, MOST_BARS);
  const lead = shown.filter((bar) => bar.section === null);
  const sections = reading.sections.map((section, index) => ({
    name: section.name,
    times: section.times,
    remark: section.remark,
    rows: rowsOf(
      shown.filter((bar) => bar.section === index),
      layout,
    ),
  }));
  return {
    facts: factsOf(reading),
    sections: lead.length === 0 ? sections : [{ name: null, times: 1, remark: null, rows: rowsOf(lead, layout) }, ...sections],
    left: reading.bars.length - shown.length,
  };
}

function factsOf({ head, performance }: ChartReading): readonly string[] {
  const bars = performance.count === 1 ? '1 bar played' : `${performance.count} bars played`;
  const tempo = head.tempo === null ? [] : [`tempo ${head.tempo}`];
  const numbering = head.numbering === 'relative' ? ['numbered from the relative major'] : [];
  return [
    `${head.meter.beats}/${head.meter.unit}`,
    ...tempo,
    ...(head.feel === '' ? [] : [head.feel]),
    bars,
    ...numbering,
    ...(head.by === '' ? [] : [head.by]),
  ];
}

function rowsOf(bars: readonly WrittenBar[], layout: Layout): readonly SheetRow[] {
  const rows: { bars: SheetBar[]; words: readonly string[]; line: number }[] = [];
  for (const bar of bars) {
    const row = rows.at(-1);
    const drawn = sheetBar(bar, layout);
    if (row !== undefined && row.line === bar.line && row.bars.length < BARS_A_ROW) row.bars.push(drawn);
    else rows.push({ bars: [drawn], words: [], line: bar.line });
  }
  rows.forEach((row, index) => {
    if (rows[index + 1]?.line !== row.line) row.words = wordsUnder(row.line, layout.reading);
  });
  return rows;
}

/** The lyric lines that follow a line of music directly. */
function wordsUnder(line: number, { chart }: ChartReading): readonly string[] {
  const words: string[] = [];
  for (let index = line + 1; chart.body[index]?.kind === 'words'; index += 1) {
    const under = chart.body[index];
    if (under?.kind === 'words') words.push(under.text);
  }
  return words;
}

function sheetBar(bar: WrittenBar, layout: Layout): SheetBar {
  const index = layout.places.get(bar) as number;
  const before = layout.reading.bars[index - 1];
  const unequal = bar.chords.some(({ beats }) => beats !== bar.chords[0]?.beats);
  const key = layout.written.keys[bar.stretch];
  const meter = `${bar.meter.beats}/${bar.meter.unit}`;
  return {
    index,
    chords: bar.chords.map((chord) => sheetChord(chord, bar, layout, unequal)),
    sign: bar.sign,
    newKey: key !== undefined && bar.stretch !== (before?.stretch ?? 0) ? nameKey(key, layout.naming) : null,
    newMeter: before !== undefined && meter !== `${before.meter.beats}/${before.meter.unit}` ? meter : null,
    pickup: bar.pickup !== null,
    remarks: bar.remarks,
    wrong: layout.wrongPlaces.has(placeName(bar.at.line, bar.at.column)),
    at: bar.at,
  };
}

function sheetChord(slot: BarChord, bar: WrittenBar, layout: Layout, unequal: boolean): SheetChord {
  const sounding = slot.chord === null ? null : layout.sounding.chordIn(slot.chord, bar.stretch);
  const written = slot.chord === null ? null : layout.written.chordIn(slot.chord, bar.stretch);
  return {
    number: slot.chord === null ? null : numberView(slot.chord, layout.naming),
    letter: written === null ? null : letterView(written, layout.naming),
    sounding: sounding === null || !layout.transposed ? null : letterView(sounding, layout.naming),
    chord: sounding,
    heardIn: layout.sounding.keys[bar.stretch] as Key,
    share: slot.beats ?? 1,
    beats: unequal ? slot.beats : null,
    marks: { push: slot.push, ring: slot.ring, stop: slot.stop, optional: slot.optional },
  };
}

function placeName(line: number, column: number): string {
  return `${line}:${column}`;
}
