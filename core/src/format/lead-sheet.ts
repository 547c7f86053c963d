import type { BarChord, BarForm, Section, WrittenBar } from '../chart/bars.ts';
import type { Meter } from '../chart/chart.ts';
import { type ChartReading, lettersFrom } from '../chart/reading.ts';
import type { Chord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import type { Key } from '../key/key.ts';
import { wordsUnder } from '../part/bar-words.ts';
import { isWritable, type Note, simplest } from '../pitch/note.ts';
import type { LossList } from './loss.ts';

/** A chord of a lead sheet in its place, with the marks around it. */
export interface SheetChord {
  /** Sounding letters; null where nobody plays. */
  readonly chord: Chord | null;
  /** In the meter's beats. */
  readonly beats: number;
  readonly push: boolean;
  readonly ring: boolean;
  readonly stop: boolean;
  readonly optional: boolean;
}

/** A bar of a lead sheet, with what is new in it. */
export interface SheetBar {
  /** Name of the section that begins here; null inside one. */
  readonly section: string | null;
  /** How often the section that begins here is played. */
  readonly times: number;
  /** Whether a new line of the chart begins here. */
  readonly newLine: boolean;
  readonly meter: Meter;
  readonly key: Key;
  /** As the chart counts it; null when nobody says. */
  readonly tempo: number | null;
  /** Beats of a pickup bar; null for a full one. */
  readonly pickup: number | null;
  readonly chords: readonly SheetChord[];
  readonly remarks: readonly string[];
  /** Lyrics that begin in this bar, one string a line: a chart has them under the first bar of a line, for all of it. */
  readonly words: readonly string[];
  readonly form: BarForm;
}

/** What all formats share: a song as bars of sounding chords. */
export interface LeadSheet {
  readonly title: string;
  readonly by: string;
  readonly feel: string;
  /** Head lines no format has a place for, kept where one lets them stand. */
  readonly fields: readonly (readonly [name: string, value: string])[];
  readonly bars: readonly SheetBar[];
}

/** What of the play order a format can hold; the rest is written out. */
export interface FormHeld {
  readonly repeats: boolean;
  /** The most often a repeat can be played in all. */
  readonly mostTimes: number;
  readonly jumps: boolean;
  /** Whether a section can have a count of its own; else it becomes a repeat. */
  readonly counts: boolean;
}

const NO_FORM: BarForm = { opensRepeat: false, closesRepeat: null, ending: null, signs: [], after: [] };

/** A chart as a lead sheet with its home on `tonic`. What the play order has that cannot be held is written out bar by bar. */
export function leadSheetOf(reading: ChartReading, tonic: Note, held: FormHeld, losses: LossList): LeadSheet {
  const { head, chart } = reading;
  const fields = chart.head.flatMap((line) => (line.kind === 'field' && KEPT.has(line.name) ? [[line.name, line.value] as const] : []));
  const unheld = whatIsUnheld(reading, held);
  if (unheld !== null) losses.add('form-written-out', null, unheld);
  const bars = unheld === null ? writtenBars(reading, tonic, held, losses) : performedBars(reading, tonic, losses);
  return { title: head.title, by: head.by, feel: head.feel, fields, bars };
}

/** Head lines that say something a lead sheet has no place of its own for. */
const KEPT: ReadonlySet<string> = new Set(['range', 'note', 'numbering']);

/** What of the form a format cannot hold, in words; null when it holds everything. */
function whatIsUnheld(reading: ChartReading, held: FormHeld): string | null {
  // other programs would follow a sign that is passed over here
  if (reading.performance.problems.some(({ severity }) => severity === 'error')) return 'a form that is not right';
  if (reading.head.form !== null) return 'a form line';
  if (!held.repeats && reading.bars.some(({ form }) => form.opensRepeat || form.closesRepeat !== null)) return 'repeats';
  const jumps = reading.bars.some(({ form }) => form.after.some((mark) => mark !== 'fine' && mark !== 'to-coda'));
  const many = reading.bars.flatMap(({ form }, index) => ((form.closesRepeat ?? 0) > held.mostTimes ? [index] : []));
  if (many.some((close) => jumps || !isPlain(reading.bars.slice(openOf(reading.bars, close), close + 1))))
    return `a repeat played more than ${held.mostTimes} times`;
  if (!held.jumps && reading.bars.some(({ form }) => form.after.length > 0)) return 'D.C., D.S. and Fine';
  const counted = reading.sections.filter(({ times, count }) => times !== 1 && count > 0);
  if (counted.length === 0 || held.counts) return null;
  if (!held.repeats || counted.some(({ times }) => times < 1)) return 'a section’s count';
  const inner = counted.some(({ from, count }) =>
    reading.bars
      .slice(from, from + count)
      .some(
        ({ form, pickup }) =>
          form.opensRepeat || form.closesRepeat !== null || form.after.length > 0 || form.signs.length > 0 || pickup !== null,
      ),
  );
  return inner || jumps ? 'a section’s count together with other repeats' : null;
}

/** Where a repeat that closes at a bar was opened. */
function openOf(bars: readonly WrittenBar[], close: number): number {
  let open = close;
  while (open > 0 && bars[open]?.form.opensRepeat !== true) open -= 1;
  return open;
}

/** Whether a repeat holds nothing but its bars: no endings, signs or jumps, and is within one section. */
function isPlain(bars: readonly WrittenBar[]): boolean {
  return bars.every(
    ({ form, section, pickup }) =>
      form.ending === null && form.signs.length === 0 && form.after.length === 0 && pickup === null && section === bars[0]?.section,
  );
}

/** More bars than this are written by nobody, and read by no program in one piece. */
const MOST_BARS = 5000;

function atMost<T>(bars: readonly T[], losses: LossList): readonly T[] {
  if (bars.length <= MOST_BARS) return bars;
  losses.add('too-long', null, String(MOST_BARS));
  return bars.slice(0, MOST_BARS);
}

/** The bars as written; a section's count becomes a repeat where it cannot stand by itself. */
function writtenBars(reading: ChartReading, tonic: Note, held: FormHeld, losses: LossList): readonly SheetBar[] {
  const marker = new BarMarker(reading, tonic, losses);
  const marked = reading.bars.map((bar, index) => {
    const section = bar.section === null ? undefined : reading.sections[bar.section];
    const before = reading.bars[index - 1];
    if (section === undefined) return marker.mark(bar, index, null, before, bar.form, []);
    const form = held.counts ? bar.form : countedForm(bar, index, section);
    if (section.from !== index) return marker.mark(bar, index, null, before, form, []);
    if (section.remark !== null) losses.add('section-remark', index + 1);
    const heading = { name: section.name, times: held.counts ? section.times : 1 };
    return marker.mark(bar, index, heading, before, form, section.remark === null ? [] : [section.remark]);
  });
  return atMost(withHeldRepeats(marked, held.mostTimes, losses), losses);
}

/** Repeats played more often than a format can say as several of them, one behind the other. */
function withHeldRepeats(bars: readonly SheetBar[], most: number, losses: LossList): readonly SheetBar[] {
  const held: SheetBar[] = [];
  let open = 0;
  bars.forEach((bar, index) => {
    if (bar.form.opensRepeat) open = held.length;
    held.push(bar);
    const times = bar.form.closesRepeat ?? 0;
    if (times <= most) return;
    losses.add('repeat-split', index + 1, String(times));
    const stretch = held.splice(open);
    for (let left = times; left > 0; left -= most) held.push(...repeated(stretch, Math.min(left, most), left === times));
  });
  return held;
}

/** A stretch of bars once more, with its own repeat; only the first has a name and words. */
function repeated(stretch: readonly SheetBar[], times: number, isFirst: boolean): readonly SheetBar[] {
  return stretch.map((bar, place) => ({
    ...bar,
    ...(isFirst ? {} : { section: null, words: [], newLine: bar.newLine || place === 0 }),
    form: {
      ...bar.form,
      opensRepeat: place === 0 && times > 1,
      closesRepeat: place === stretch.length - 1 && times > 1 ? times : null,
    },
  }));
}

/** A section's count as a repeat around it. */
function countedForm({ form }: WrittenBar, index: number, { from, count, times }: Section): BarForm {
  if (times <= 1) return form;
  return {
    ...form,
    opensRepeat: form.opensRepeat || index === from,
    closesRepeat: index === from + count - 1 ? times : form.closesRepeat,
  };
}

/** The bars as they are played, without any sign of form. */
function performedBars(reading: ChartReading, tonic: Note, losses: LossList): readonly SheetBar[] {
  const marker = new BarMarker(reading, tonic, losses);
  const starts = new Map(reading.performance.parts.map(({ from, section }) => [from, section]));
  return atMost(reading.performance.order, losses).map((index, order) => {
    const bar = reading.bars[index] as WrittenBar;
    const section = starts.get(order);
    const before = order === 0 ? undefined : reading.bars[reading.performance.order[order - 1] as number];
    const name = section === null || section === undefined ? null : (reading.sections[section]?.name ?? null);
    const heading = name === null ? null : { name, times: 1 };
    return marker.mark(bar, index, heading, name === null ? before : undefined, NO_FORM, []);
  });
}

/** Turns written bars into bars of a lead sheet, one after the other. */
class BarMarker {
  readonly #reading: ChartReading;
  readonly #letters: ReturnType<typeof lettersFrom>;
  readonly #losses: LossList;

  constructor(reading: ChartReading, tonic: Note, losses: LossList) {
    this.#reading = reading;
    this.#letters = lettersFrom(reading, tonic);
    this.#losses = losses;
  }

  mark(
    bar: WrittenBar,
    index: number,
    heading: { name: string; times: number } | null,
    before: WrittenBar | undefined,
    form: BarForm,
    more: readonly string[],
  ): SheetBar {
    const newLine = before?.line !== bar.line || heading !== null;
    if (bar.remarks.some(({ to }) => to !== null)) this.#losses.add('cue', index + 1);
    return {
      section: heading?.name ?? null,
      times: heading?.times ?? 1,
      newLine,
      meter: bar.meter,
      key: this.#letters.keys[bar.stretch] as Key,
      tempo: bar.tempo,
      pickup: bar.pickup,
      chords: bar.chords.map((slot) => this.#chord(slot, bar)),
      remarks: [...more, ...bar.remarks.map(({ to, text }) => (to === null ? text : `${to}: ${text}`))],
      words: newLine ? wordsUnder(bar.line, this.#reading) : [],
      form,
    };
  }

  #chord({ chord, beats, push, ring, stop, optional }: BarChord, bar: WrittenBar): SheetChord {
    const length = beats ?? beatsOf(bar) / bar.chords.length;
    const letter = chord === null ? null : this.#writable(this.#letters.chordIn(chord, bar.stretch));
    return { chord: letter, beats: length, push, ring, stop, optional };
  }

  /** Letters with more than two accidentals, as far keys bring them, are written more simply. */
  #writable(chord: Chord): Chord {
    if (isWritable(chord.root) && (chord.bass === null || isWritable(chord.bass))) return chord;
    const plain = { ...chord, root: simplest(chord.root), bass: chord.bass === null ? null : simplest(chord.bass) };
    this.#losses.add('respelled', null, printChord(plain));
    return plain;
  }
}

/** A chord where it enters its bar, in beats, with the marks it has. */
interface EnteringChord extends Partial<Pick<SheetChord, 'push' | 'ring' | 'stop'>> {
  readonly at: number;
  readonly chord: Chord | null;
}

/** Less of a beat than this is no place and no length of its own. */
const NO_BEAT = 0.01;

/**
 * The chords of a bar, each from where it enters to the next; until the first one the chord `before` goes
 * on. `goesOn` is what the next bar begins with when it names nothing.
 */
export function chordsOfBar(
  named: readonly EnteringChord[],
  before: Chord | null,
  beats: number,
): { readonly chords: readonly SheetChord[]; readonly goesOn: Chord | null } {
  const all = (named[0]?.at ?? beats) > NO_BEAT ? [{ at: 0, chord: before }, ...named] : named;
  const chords = all.map(({ at, chord, push = false, ring = false, stop = false }: EnteringChord, place): SheetChord => {
    return { chord, beats: (all[place + 1]?.at ?? beats) - at, push, ring, stop, optional: false };
  });
  return { chords: chords.filter((chord) => chord.beats > NO_BEAT), goesOn: all.at(-1)?.chord ?? null };
}

/** Where each chord of a bar enters, in beats, and at last where the bar ends. */
export function startsOf(chords: readonly Pick<SheetChord, 'beats'>[]): readonly number[] {
  const starts = [0];
  for (const { beats } of chords) starts.push((starts.at(-1) as number) + beats);
  return starts;
}

/** Beats in a bar as it sounds. */
export function beatsOf({ pickup, meter }: Pick<SheetBar, 'pickup' | 'meter'>): number {
  return pickup !== null && pickup <= meter.beats ? pickup : meter.beats;
}
