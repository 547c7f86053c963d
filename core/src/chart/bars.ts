import type { ChartFault } from '../fault.ts';
import type { Key } from '../key/key.ts';
import type { BodyLine, Change, Chart, FormJump, FormMark, Meter, MusicItem, Place, Problem, Slot } from './chart.ts';
import { keyAfter } from './chart-text.ts';
import type { Head } from './head.ts';
import { printSlot } from './slot-text.ts';

/** A chord as it sounds in its bar. */
export interface BarChord extends Omit<Slot, 'beats'> {
  /** Written beats, in halves; null in a bar that does not add up. */
  readonly beats: number | null;
}

/** A word on a bar: for everyone, or a cue for one instrument or player. */
export interface BarRemark {
  readonly to: string | null;
  readonly text: string;
}

/** What is drawn at a bar about the order of playing. */
export interface BarForm {
  readonly opensRepeat: boolean;
  /** How often the repeat that ends with this bar is played in all; null where none ends. */
  readonly closesRepeat: number | null;
  readonly ending: { readonly passes: readonly number[]; readonly begins: boolean; readonly ends: boolean } | null;
  /** Signs over the beginning of the bar. */
  readonly signs: readonly ('segno' | 'coda')[];
  /** What is written at the end of the bar. */
  readonly after: readonly ('fine' | 'to-coda' | FormJump)[];
}

/** One step through the written chart, for following its form. `bars` counts the bars before it. */
export type FormStep =
  | { readonly kind: 'bar'; readonly bar: number }
  | { readonly kind: 'mark'; readonly mark: FormMark; readonly at: Place }
  | { readonly kind: 'section' | 'section-end'; readonly section: number };

/** A bar of the chart with everything in force in it. */
export interface WrittenBar {
  /** Index into `sections`; null before the first section. */
  readonly section: number | null;
  readonly chords: readonly BarChord[];
  /** The bar as it was typed where not all of it could be read; null for all others. */
  readonly unread: string | null;
  /** How the bar is written: itself, or as a sign for the bars before it. */
  readonly sign: 'chords' | '%' | '%%';
  readonly meter: Meter;
  /** Index into `stretches`: which key is in force. */
  readonly stretch: number;
  readonly tempo: number | null;
  /** Beats of a pickup bar; null for a full bar. */
  readonly pickup: number | null;
  readonly remarks: readonly BarRemark[];
  readonly form: BarForm;
  /** Line of the chart body the bar stands on. */
  readonly line: number;
  readonly at: Place;
}

/** A section with the bars that belong to it. */
export interface Section {
  readonly name: string;
  /** How often it is played when nothing else says so. */
  readonly times: number;
  readonly remark: string | null;
  readonly from: number;
  readonly count: number;
  readonly at: Place;
}

/** A stretch of the chart in one key. The first is the home key. */
export interface KeyStretch {
  readonly key: Key;
  /** Half steps from the key before when written as a step; null for a named key. */
  readonly step: number | null;
}

/** The chart's bars in the order they are written. */
export interface WrittenBars {
  readonly bars: readonly WrittenBar[];
  readonly sections: readonly Section[];
  readonly stretches: readonly KeyStretch[];
  /** Bars, marks and sections in the order they are written. */
  readonly steps: readonly FormStep[];
  readonly problems: readonly Problem[];
}

/** Lays the chart out bar by bar: beats shared, repeats of bars resolved, keys and meters followed. */
export function readBars(chart: Chart, head: Head): WrittenBars {
  const state: BarState = {
    bars: [],
    sections: [],
    stretches: [{ key: head.key, step: null }],
    problems: [],
    meter: head.meter,
    tempo: head.tempo,
    pickup: null,
    waiting: [],
    steps: [],
    opens: false,
    signs: [],
    ending: null,
  };
  chart.body.forEach((line, index) => {
    if (line.kind === 'section') openSection(state, line);
    if (line.kind === 'music') for (const item of line.items) readItem(state, item, index);
  });
  closeSection(state);
  if (state.pickup !== null) report(state, { code: 'pickup-without-bar' }, state.pickup.at);
  const { bars, sections, stretches, steps, problems } = state;
  return { bars, sections, stretches, steps, problems };
}

function openSection(state: BarState, line: BodyLine & { readonly kind: 'section' }): void {
  const { name, remark, at } = line;
  closeSection(state);
  state.steps.push({ kind: 'section', section: state.sections.length });
  state.sections.push({ name, times: line.times ?? 1, remark, at, from: state.bars.length, count: 0 });
}

function closeSection(state: BarState): void {
  if (state.sections.length > 0) state.steps.push({ kind: 'section-end', section: state.sections.length - 1 });
  state.ending = null;
}

type OpenSection = { -readonly [Field in keyof Section]: Section[Field] };

/** A bar that may still be given remarks and marks of form. */
type OpenBar = Omit<WrittenBar, 'remarks' | 'form'> & { readonly remarks: BarRemark[]; form: BarForm };

/** What laying out carries from bar to bar. */
interface BarState {
  readonly bars: OpenBar[];
  readonly sections: OpenSection[];
  readonly stretches: KeyStretch[];
  readonly problems: Problem[];
  meter: Meter;
  tempo: number | null;
  pickup: { readonly beats: number; readonly at: Place } | null;
  /** Remarks written before the first bar of their section; they go to that bar. */
  waiting: BarRemark[];
  readonly steps: FormStep[];
  /** What stands before the next bar: a repeat that begins, signs, an ending. */
  opens: boolean;
  signs: ('segno' | 'coda')[];
  ending: { readonly passes: readonly number[]; begins: boolean } | null;
}

function readItem(state: BarState, item: MusicItem, line: number): void {
  switch (item.kind) {
    case 'bar':
      addBar(
        state,
        { ...shareBeats(item.slots, item.broken !== null, barBeats(state, item.at)), unread: item.broken },
        item.at,
        line,
        'chords',
      );
      break;
    case 'again':
      repeatBars(state, item.bars, item.at, line);
      break;
    case 'change':
      applyChange(state, item.change, item.at);
      break;
    case 'remark':
      if (item.text !== '') addRemark(state, { to: null, text: item.text });
      break;
    case 'cue':
      addRemark(state, { to: item.to, text: item.text });
      break;
    case 'form':
      state.steps.push({ kind: 'mark', mark: item.mark, at: item.at });
      markForm(state, item.mark);
      break;
    case 'unread':
      break;
  }
}

/** Puts a mark of form on the bar it is drawn at: the next one, or the one before. */
function markForm(state: BarState, mark: FormMark): void {
  const last = state.bars.at(-1);
  const atEnd = (form: Partial<BarForm>) => {
    if (last !== undefined) last.form = { ...last.form, ...form };
  };
  const write = (mark: BarForm['after'][number]) => atEnd({ after: [...(last?.form.after ?? []), mark] });
  switch (mark.kind) {
    case 'repeat-open':
      state.opens = true;
      break;
    case 'repeat-close':
      state.ending = null;
      atEnd({ closesRepeat: mark.times ?? TWICE });
      break;
    case 'ending-open':
      state.ending = { passes: mark.passes, begins: true };
      break;
    case 'ending-close':
      if (state.ending?.begins === false && last?.form.ending != null) atEnd({ ending: { ...last.form.ending, ends: true } });
      state.ending = null;
      break;
    case 'sign':
      if (mark.sign === 'fine') write('fine');
      else state.signs.push(mark.sign);
      break;
    case 'to-coda':
      write('to-coda');
      break;
    case 'jump':
      write(mark);
      break;
  }
}

const TWICE = 2;

function barBeats(state: BarState, at: Place): number {
  const { pickup, meter } = state;
  if (pickup === null) return meter.beats;
  if (pickup.beats <= meter.beats) return pickup.beats;
  report(state, { code: 'pickup-range', text: String(pickup.beats), beats: meter.beats }, at);
  return meter.beats;
}

function addBar(
  state: BarState,
  shared: SharedBeats & Pick<WrittenBar, 'unread'>,
  at: Place,
  line: number,
  sign: WrittenBar['sign'],
): void {
  if (shared.fault !== null) report(state, shared.fault, at);
  const section = state.sections.length - 1;
  state.bars.push({
    section: section < 0 ? null : section,
    chords: shared.chords,
    unread: shared.unread,
    sign,
    meter: state.meter,
    stretch: state.stretches.length - 1,
    tempo: state.tempo,
    pickup: state.pickup === null ? null : state.pickup.beats,
    remarks: state.waiting,
    form: {
      opensRepeat: state.opens,
      closesRepeat: null,
      ending: state.ending === null ? null : { ...state.ending, ends: false },
      signs: state.signs,
      after: [],
    },
    line,
    at,
  });
  state.steps.push({ kind: 'bar', bar: state.bars.length - 1 });
  state.pickup = null;
  state.waiting = [];
  state.opens = false;
  state.signs = [];
  if (state.ending !== null) state.ending = { ...state.ending, begins: false };
  const open = state.sections[section];
  if (open !== undefined) open.count += 1;
}

/** `%` takes the chords of the bar before, without its push, stop and remarks. */
function repeatBars(state: BarState, count: 1 | 2, at: Place, line: number): void {
  const from = state.bars.length - count;
  if (from < 0) report(state, { code: 'repeat-nothing', bars: count }, at);
  for (let index = 0; index < count; index += 1) {
    const before = state.bars[from + index]?.chords ?? [];
    const chords = before.map((chord) => ({ ...chord, push: false, stop: false }));
    addBar(state, { ...shareAgain(chords, barBeats(state, at)), unread: null }, at, line, count === 1 ? '%' : '%%');
  }
}

function applyChange(state: BarState, change: Change, at: Place): void {
  if (change.kind === 'meter') state.meter = change.meter;
  if (change.kind === 'tempo') state.tempo = change.bpm;
  if (change.kind === 'pickup') state.pickup = { beats: change.beats, at };
  if (change.kind === 'key' || change.kind === 'step') {
    const before = state.stretches.at(-1) as KeyStretch;
    state.stretches.push({ key: keyAfter(before.key, change), step: change.kind === 'step' ? change.semitones : null });
  }
}

function addRemark(state: BarState, remark: BarRemark): void {
  const last = state.bars.at(-1);
  if (last === undefined || state.sections.at(-1)?.count === 0) state.waiting.push(remark);
  else last.remarks.push(remark);
}

function report(state: BarState, fault: ChartFault, at: Place): void {
  state.problems.push({ fault, severity: 'error', at });
}

interface SharedBeats {
  readonly chords: readonly BarChord[];
  readonly fault: ChartFault | null;
}

/** Gives every chord of a bar its beats: as marked, or in equal shares of whole or half beats. */
function shareBeats(slots: readonly Slot[], broken: boolean, beats: number): SharedBeats {
  const fault = broken ? null : beatsFault(slots, beats);
  const share = beats / slots.length;
  const chords = slots.map((slot) => ({ ...slot, beats: broken || fault !== null ? null : (slot.beats ?? share) }));
  return { chords, fault };
}

/** The same chords in another bar, which may be longer or shorter: equal shares stay equal, marked beats stay as they are. */
function shareAgain(chords: readonly BarChord[], beats: number): SharedBeats {
  if (chords.length === 0) return { chords, fault: null };
  const equal = chords.every((chord) => chord.beats === chords[0]?.beats);
  const broken = chords.some((chord) => chord.beats === null);
  return shareBeats(equal ? chords.map((chord) => ({ ...chord, beats: null })) : chords, broken, beats);
}

function beatsFault(slots: readonly Slot[], beats: number): ChartFault | null {
  const marked = slots.filter((slot) => slot.beats !== null);
  if (marked.length === 0) {
    return (2 * beats) % slots.length === 0 ? null : { code: 'beats-uneven', chords: slots.length, beats };
  }
  if (marked.length < slots.length) return { code: 'beats-missing', text: String(slots.length - marked.length) };
  const sum = marked.reduce((total, slot) => total + (slot.beats as number), 0);
  return sum === beats ? null : { code: 'beats-sum', sum, wanted: beats };
}

/** Chords of a bar as a thing to be written; beats are marked only where they are not shared equally. */
export function barItem(chords: readonly BarChord[], at: Place): MusicItem {
  const equal = chords.every(({ beats }) => beats === chords[0]?.beats);
  return { kind: 'bar', slots: chords.map((chord) => (equal ? { ...chord, beats: null } : chord)), broken: null, at };
}

/**
 * The bar as one token of chart text, signs for repeated bars written out. Beats are marked only
 * where the chords do not share the bar equally.
 */
export function printBarToken({ chords }: WrittenBar): string {
  const equal = chords.every(({ beats }) => beats === chords[0]?.beats);
  const printed = chords.map((chord) => printSlot(equal ? { ...chord, beats: null } : chord));
  return printed.length === 1 ? (printed[0] as string) : `(${printed.join(' ')})`;
}
