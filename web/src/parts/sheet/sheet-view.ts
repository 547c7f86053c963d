import {
  afterWords,
  type BarChord,
  type BarRemark,
  barHeading,
  bassOf,
  beatSign,
  type ChartReading,
  type Chord,
  type ChordShow,
  drummedChords,
  endingLabel,
  isFor,
  type Letters,
  lettersFrom,
  type Naming,
  type Note,
  type NumberChord,
  type PartKind,
  type Place,
  printLength,
  secondsOf,
  timelineOf,
  type WrittenBar,
  wordsUnder,
} from '@aurora/core';
import { letterView, numberView, type SymbolView } from '../notation/symbol-view.ts';

/** A chord as it stands on the sheet. */
export interface SheetChord {
  /** Null for NC. */
  readonly number: SymbolView | null;
  /** The letters the reader reads. */
  readonly letter: SymbolView | null;
  /** What is set large: the number, a Roman numeral, or the letters. */
  readonly main: SymbolView | null;
  /** Letters under a number, where both are wanted. */
  readonly under: SymbolView | null;
  /** What sounds, where that is something else. */
  readonly sounding: SymbolView | null;
  readonly chord: Chord | null;
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
  /** New key, meter or tempo from this bar on, in the reader's letters; empty when nothing changes. */
  readonly heading: string;
  readonly pickup: boolean;
  readonly opensRepeat: boolean;
  /** How often the repeat that ends here is played in all; null where none ends. */
  readonly closesRepeat: number | null;
  readonly ending: { readonly label: string; readonly begins: boolean; readonly ends: boolean } | null;
  readonly signs: readonly ('segno' | 'coda')[];
  /** `D.S. al Coda`, `To Coda`, `Fine`. */
  readonly after: readonly string[];
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
  /** Index among the chart's sections; null for bars before the first. */
  readonly index: number | null;
  readonly name: string | null;
  readonly times: number;
  readonly remark: string | null;
  /** Bars played each time through; 0 when it is not played. */
  readonly played: number;
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
  readonly show: ChordShow;
  /** What of the chart is shown: all of it, the bass, or the form alone. */
  readonly part: PartKind;
  /** Whether lyrics and cue lines stand under the bars. */
  readonly words: boolean;
  /** Whose cues are shown; null for every cue. */
  readonly cuesFor: readonly string[] | null;
}

interface Layout {
  readonly naming: Naming;
  readonly show: ChordShow;
  readonly part: PartKind;
  readonly words: boolean;
  readonly cuesFor: readonly string[] | null;
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
    naming: lens.show === 'roman' && lens.naming.degrees === 'numbers' ? { ...lens.naming, degrees: 'roman' } : lens.naming,
    show: lens.show,
    part: lens.part,
    words: lens.words,
    cuesFor: lens.cuesFor,
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
    index,
    name: section.name,
    times: section.times,
    remark: section.remark,
    played: reading.performance.parts.find((part) => part.section === index)?.count ?? 0,
    rows: rowsOf(
      shown.filter((bar) => bar.section === index),
      layout,
    ),
  }));
  return {
    facts: factsOf(reading),
    sections:
      lead.length === 0
        ? sections
        : [{ index: null, name: null, times: 1, remark: null, played: lead.length, rows: rowsOf(lead, layout) }, ...sections],
    left: reading.bars.length - shown.length,
  };
}

function factsOf(reading: ChartReading): readonly string[] {
  const { head, performance } = reading;
  const seconds = secondsOf(timelineOf(reading));
  const bars = performance.count === 1 ? '1 bar played' : `${performance.count} bars played`;
  const tempo = head.tempo === null ? [] : [`tempo ${head.tempo}`];
  const numbering = head.numbering === 'relative' ? ['numbered from the relative major'] : [];
  return [
    `${head.meter.beats}/${head.meter.unit}`,
    ...tempo,
    ...(head.feel === '' ? [] : [head.feel]),
    bars,
    ...(seconds === null || seconds === 0 ? [] : [printLength(seconds)]),
    ...numbering,
    ...(head.by === '' ? [] : [head.by]),
  ];
}

function rowsOf(bars: readonly WrittenBar[], layout: Layout): readonly SheetRow[] {
  const rows: { bars: SheetBar[]; words: readonly string[]; line: number }[] = [];
  for (const bar of bars) {
    const row = rows.at(-1);
    const drawn = sheetBar(bar, layout);
    const goesOn = row !== undefined && row.line === bar.line && row.bars.length < BARS_A_ROW && row.bars[0]?.pickup === false;
    if (goesOn) row.bars.push(drawn);
    else rows.push({ bars: [drawn], words: [], line: bar.line });
  }
  rows.forEach((row, index) => {
    if (layout.words && rows[index + 1]?.line !== row.line) row.words = wordsUnder(row.line, layout.reading);
  });
  return rows;
}

function sheetBar(bar: WrittenBar, layout: Layout): SheetBar {
  const index = layout.places.get(bar) as number;
  const before = layout.reading.bars[index - 1];
  const unequal = bar.chords.some(({ beats }) => beats !== bar.chords[0]?.beats);
  const { form } = bar;
  return {
    index,
    chords: shownChords(bar, layout, unequal),
    sign: layout.part === 'form' ? 'chords' : bar.sign,
    heading: barHeading(bar, before, layout.written.keys, layout.naming),
    pickup: bar.pickup !== null,
    opensRepeat: form.opensRepeat,
    closesRepeat: form.closesRepeat,
    ending: form.ending === null ? null : { ...form.ending, label: endingLabel(form.ending.passes) },
    signs: form.signs,
    after: afterWords(form),
    remarks: bar.remarks.filter((remark) => isFor(remark, layout.cuesFor)),
    wrong: layout.wrongPlaces.has(placeName(bar.at.line, bar.at.column)),
    at: bar.at,
  };
}

/** A bar's chords as the part has them: whole, as the bass plays them, or as the beats that count. */
function shownChords(bar: WrittenBar, layout: Layout, unequal: boolean): readonly SheetChord[] {
  switch (layout.part) {
    case 'chart':
      return bar.chords.map((chord) => sheetChord(chord, bar, layout, unequal));
    case 'bass':
      return bar.chords.map((slot) =>
        sheetChord(slot.chord === null ? slot : { ...slot, chord: bassOf(slot.chord) }, bar, layout, unequal),
      );
    case 'form':
      return drummedChords(bar).map((slot) => beatOnly(slot, bar, layout, unequal));
  }
}

/** A chord as a drummer sees it. */
function beatOnly(slot: BarChord, bar: WrittenBar, layout: Layout, unequal: boolean): SheetChord {
  const whole = sheetChord(slot, bar, layout, unequal);
  const main = beatSign(slot);
  const label = main === '×' ? 'hit' : 'time';
  const sign: SymbolView | null = slot.chord === null ? null : { prefix: '', main, sign: '', raised: '', bass: null, label };
  return { ...whole, main: sign, under: null, sounding: null };
}

const NUMBERS = new WeakMap<NumberChord, { readonly naming: Naming; readonly view: SymbolView }>();

/** The number of a chord as it is set: the same value as long as the chart is, as no key changes it. */
function numberOf(chord: NumberChord, naming: Naming): SymbolView {
  const known = NUMBERS.get(chord);
  if (known?.naming === naming) return known.view;
  const view = numberView(chord, naming);
  NUMBERS.set(chord, { naming, view });
  return view;
}

function sheetChord(slot: BarChord, bar: WrittenBar, layout: Layout, unequal: boolean): SheetChord {
  const sounding = slot.chord === null ? null : layout.sounding.chordIn(slot.chord, bar.stretch);
  const written = slot.chord === null ? null : layout.written.chordIn(slot.chord, bar.stretch);
  const number = slot.chord === null ? null : numberOf(slot.chord, layout.naming);
  const letter = written === null ? null : letterView(written, layout.naming);
  return {
    number,
    letter,
    main: layout.show === 'letters' ? letter : number,
    under: layout.show === 'both' ? letter : null,
    sounding: sounding === null || !layout.transposed ? null : letterView(sounding, layout.naming),
    chord: sounding,
    share: slot.beats ?? 1,
    beats: unequal ? slot.beats : null,
    marks: { push: slot.push, ring: slot.ring, stop: slot.stop, optional: slot.optional },
  };
}

function placeName(line: number, column: number): string {
  return `${line}:${column}`;
}
