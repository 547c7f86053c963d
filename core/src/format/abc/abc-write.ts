import type { Meter } from '../../chart/chart.ts';
import { sameMeter } from '../../chart/head.ts';
import { pulseOf } from '../../chart/timeline.ts';
import { printChord } from '../../chord/chord-text.ts';
import { type Formula, formulaTones } from '../../chord/formula.ts';
import { LETTER_SCHOOL, printQuality } from '../../chord/quality-text.ts';
import { numberChord } from '../../degree/degree.ts';
import { intervalSemitones } from '../../interval/interval.ts';
import { type Key, sameKey } from '../../key/key.ts';
import { numberView, symbolText } from '../../naming/symbol-view.ts';
import { printNote } from '../../pitch/note-text.ts';
import { isMinorScale } from '../../scale/scale.ts';
import { type FormHeld, type LeadSheet, type SheetBar, startsOf } from '../lead-sheet.ts';
import type { LossList } from '../loss.ts';
import type { ShownChords } from '../musicxml/musicxml-write.ts';

/** ABC holds repeats played twice with endings; jumps are decorations that few programs follow. */
export const ABC_FORM: FormHeld = { repeats: true, mostTimes: 2, jumps: false, counts: false };

/** Lengths are counted in thirty-seconds. */
const UNIT = 32;

/** Chord names abc2midi knows by itself; any other is explained to it. */
const KNOWN_NAMES: ReadonlySet<string> = new Set([
  '',
  'm',
  '7',
  'm7',
  'maj7',
  '6',
  'm6',
  'aug',
  'dim',
  'dim7',
  '9',
  'm9',
  'maj9',
  '11',
  'sus4',
  '7sus4',
  '5',
]);

const MODES: Readonly<Record<string, string>> = {
  major: '',
  'natural minor': 'm',
  dorian: 'dor',
  phrygian: 'phr',
  lydian: 'lyd',
  mixolydian: 'mix',
  locrian: 'loc',
};

/**
 * A score as an ABC tune (standard 2.1): chord names over rests, sections as annotations, words under their
 * line. Numbers stand over their bars as words, which is all ABC has for them.
 */
export function writeAbc(score: LeadSheet, losses: LossList, show: ShownChords = 'letters'): string {
  const first = score.bars[0];
  const meter = first?.meter ?? { beats: 4, unit: 4 };
  const fields = score.fields.map(([name, value]) => `%%aurora-${name} ${oneLine(value)}`);
  const head = [
    '%abc-2.1',
    'X:1',
    `T:${oneLine(score.title) || 'Song'}`,
    ...(score.by === '' ? [] : [`C:${oneLine(score.by)}`]),
    ...(score.feel === '' ? [] : [`R:${oneLine(score.feel)}`]),
    `M:${meter.beats}/${meter.unit}`,
    `L:1/${UNIT}`,
    ...(first === undefined || first.tempo === null ? [] : [`Q:${tempoOf(first.tempo, meter)}`]),
    ...fields,
    ...accompanimentOf(meter),
    ...chordNames(score.bars),
    `K:${first === undefined ? 'C' : keyOf(first.key, losses, 1)}`,
  ];
  return `${[...head, ...linesOf(score.bars, show, losses)].join('\n')}\n`;
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').replace(/%/g, '\\%').trim();
}

function tempoOf(tempo: number, meter: Meter): string {
  return `${pulseOf(meter)}/${meter.unit}=${Math.round(tempo)}`;
}

/** Meters abc2midi knows how to accompany by itself. */
const KNOWN_METERS: ReadonlySet<string> = new Set('2/2 2/4 3/4 4/4 5/4 6/4 7/4 3/8 5/8 6/8 7/8 9/8 12/8'.split(' '));

/** For any other meter: the bass on the first beat, the chord on every one after it. */
function accompanimentOf({ beats, unit }: Meter): readonly string[] {
  return KNOWN_METERS.has(`${beats}/${unit}`) ? [] : [`%%MIDI gchord f${'c'.repeat(beats - 1)}`];
}

function keyOf({ tonic, scale }: Key, losses: LossList, bar: number): string {
  const mode = MODES[scale];
  const minor = isMinorScale(scale);
  if (mode === undefined) losses.add('mode', bar, minor ? 'minor' : 'major');
  return `${printNote(tonic)}${mode ?? (minor ? 'm' : '')}`;
}

/** Names of chords a player of ABC may not know, as half steps over the root. */
function chordNames(bars: readonly SheetBar[]): readonly string[] {
  const formulas = new Map<string, Formula>();
  for (const { chords } of bars)
    for (const { chord } of chords) if (chord !== null) formulas.set(printQuality(chord.formula, LETTER_SCHOOL), chord.formula);
  return [...formulas]
    .filter(([name]) => !KNOWN_NAMES.has(name) && /^[^"\s]{1,7}$/.test(name))
    .map(
      ([name, formula]) =>
        `%%MIDI chordname ${name} ${formulaTones(formula)
          .map(({ interval, number }) => semitonesOf(interval, number))
          .join(' ')}`,
    );
}

function semitonesOf(interval: number, number: number): number {
  return intervalSemitones(interval) + (number > 7 ? 12 : 0);
}

function linesOf(bars: readonly SheetBar[], show: ShownChords, losses: LossList): readonly string[] {
  const lines: string[] = [];
  let line: string[] = [];
  let words: readonly string[] = [];
  const end = () => {
    if (line.length > 0) lines.push(line.join(' '));
    // under rests no syllable could stand: the words go between the lines, as they do in a chart
    lines.push(...words.map((text) => `%%text ${oneLine(text)}`));
    line = [];
  };
  bars.forEach((bar, index) => {
    if (bar.newLine && index > 0) end();
    if (bar.newLine) words = bar.words;
    line.push(barOf({ bar, before: bars[index - 1], next: bars[index + 1], index, show }, losses));
  });
  end();
  return lines;
}

interface BarPlace {
  readonly bar: SheetBar;
  readonly before: SheetBar | undefined;
  readonly next: SheetBar | undefined;
  readonly index: number;
  readonly show: ShownChords;
}

function barOf({ bar, before, next, index, show }: BarPlace, losses: LossList): string {
  const { form } = bar;
  for (const [code, has] of [
    ['push', bar.chords.some(({ push }) => push)],
    ['ring', bar.chords.some(({ ring }) => ring)],
    ['stop', bar.chords.some(({ stop }) => stop)],
    ['optional', bar.chords.some(({ optional }) => optional)],
    ['no-chord', bar.chords.some(({ chord }) => chord === null)],
  ] as const)
    if (has) losses.add(code, index + 1);
  const opens = form.opensRepeat ? '|:' : '';
  const ending = form.ending?.begins ? `[${form.ending.passes.join(',')}` : '';
  const changes = before === undefined ? '' : changesOf(before, bar, losses, index + 1);
  const section = bar.section === null ? '' : `"^[${quoted(bar.section)}]"`;
  const remarks = bar.remarks.map((text) => `"^${quoted(text)}"`).join('');
  const [first = '', ...rest] = chordsOf(bar, show);
  return [opens, ending, changes, `${section}${remarks}${first}`, ...rest, barLine(form, next)].filter((part) => part !== '').join(' ');
}

function barLine({ closesRepeat, ending }: SheetBar['form'], next: SheetBar | undefined): string {
  // every ending but the last goes back by itself
  const goesBack = ending?.ends ? next?.form.ending?.begins === true : closesRepeat !== null;
  if (goesBack) return ':|';
  if (ending?.ends === true) return ending.passes.length > 1 ? ':|' : '||';
  return next === undefined ? '|]' : '|';
}

function changesOf(before: SheetBar, bar: SheetBar, losses: LossList, number: number): string {
  const meter = sameMeter(before.meter, bar.meter) ? '' : `[M:${bar.meter.beats}/${bar.meter.unit}]`;
  const key = sameKey(before.key, bar.key) ? '' : `[K:${keyOf(bar.key, losses, number)}]`;
  const tempo = bar.tempo === null || bar.tempo === before.tempo ? '' : `[Q:${tempoOf(bar.tempo, bar.meter)}]`;
  return `${meter}${key}${tempo}`;
}

function quoted(text: string): string {
  return oneLine(text).replace(/"/g, '”');
}

function chordsOf({ chords, meter, key }: SheetBar, show: ShownChords): readonly string[] {
  const starts = startsOf(chords).map((start) => Math.round((start * UNIT) / meter.unit));
  return chords.map(({ chord }, place) => {
    const length = (starts[place + 1] as number) - (starts[place] as number);
    const name =
      chord === null
        ? '"^N.C."'
        : show === 'numbers'
          ? `"^${symbolText(numberView(numberChord(chord, key.tonic)))}"`
          : `"${printChord(chord)}"`;
    return `${name}z${Math.max(1, length)}`;
  });
}
