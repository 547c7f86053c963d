import type { BarForm } from '../chart/bars.ts';
import type { FormMark } from '../chart/chart.ts';
import { printFormMark } from '../chart/form-text.ts';
import { countingTonic, type Numbering, nearestTempo, sameMeter } from '../chart/head.ts';
import { printSlot } from '../chart/slot-text.ts';
import { numberChord } from '../degree/degree.ts';
import { sameKey } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { beatsOf, type LeadSheet, type SheetBar, type SheetChord, startsOf } from './lead-sheet.ts';
import type { LossList } from './loss.ts';
import { withChartRepeats } from './paper-endings.ts';

const BARS_A_LINE = 4;
const MOST_A_LINE = 8;

/** A lead sheet as chart text, in numbers. Lengths that a chart cannot hold are set to the nearest half beat. */
export function chartOfSheet(score: LeadSheet, losses: LossList): string {
  const first = score.bars[0];
  const numbering: Numbering = score.fields.some(([name, value]) => name === 'numbering' && value === 'relative') ? 'relative' : 'tonic';
  const head = [
    score.title === '' ? '' : `title: ${oneLine(score.title)}`,
    score.by === '' ? '' : `by: ${oneLine(score.by)}`,
    first === undefined ? '' : `key: ${printKey(first.key)}`,
    first === undefined ? '' : `time: ${first.meter.beats}/${first.meter.unit}`,
    first === undefined || first.tempo === null ? '' : `tempo: ${nearestTempo(first.tempo)}`,
    score.feel === '' ? '' : `feel: ${oneLine(score.feel)}`,
    ...score.fields.map(([name, value]) => `${name}: ${oneLine(value)}`),
  ].filter((line) => line !== '');
  return `${[...head, ...bodyOf(withChartRepeats(score.bars), numbering, losses)].join('\n').trimEnd()}\n`;
}

/** The body, a section a block; one that comes again at once as it was gets a count. */
function bodyOf(bars: readonly SheetBar[], numbering: Numbering, losses: LossList): readonly string[] {
  const isLined = bars.some(({ newLine, section }, at) => newLine && section === null && at > 0);
  const most = isLined ? MOST_A_LINE : BARS_A_LINE;
  const blocks: Block[] = [];
  let row: Row = { tokens: [], bars: 0, words: [] };
  bars.forEach((bar, index) => {
    const opens = bar.section !== null || index === 0;
    if (opens || bar.newLine || row.bars >= most) {
      blocks.at(-1)?.lines.push(...linesOf(row));
      row = { tokens: [], bars: 0, words: [] };
    }
    if (opens) blocks.push({ name: bar.section === null ? null : oneLine(bar.section).replace(/[[\]]/g, ''), times: 1, lines: [] });
    bar.words.forEach((text, at) => {
      row.words[at] = `${row.words[at] ?? ''}${text}`;
    });
    row.tokens.push(...tokensOf(bar, bars[index - 1], countingTonic(bar.key, numbering), losses, index + 1));
    row.bars += bar.pickup === null ? 1 : 0;
  });
  blocks.at(-1)?.lines.push(...linesOf(row));
  return counted(blocks).flatMap(({ name, times, lines }) => [
    '',
    ...(name === null ? [] : [`[${name}]${times === 1 ? '' : ` x${times}`}`]),
    ...lines,
  ]);
}

interface Row {
  readonly tokens: string[];
  bars: number;
  readonly words: string[];
}

interface Block {
  readonly name: string | null;
  times: number;
  readonly lines: string[];
}

function linesOf({ tokens, words }: Row): readonly string[] {
  if (tokens.length === 0) return [];
  return [tokens.join(' '), ...words.map(oneLine).flatMap((text) => (text === '' ? [] : [`~ ${text}`]))];
}

/** Sections that follow each other unchanged, one with a count; marks of form and change stand only where they are. */
function counted(blocks: readonly Block[]): readonly Block[] {
  const joined: Block[] = [];
  for (const block of blocks) {
    const before = joined.at(-1);
    const again = before?.name === block.name && block.name !== null && String(before.lines) === String(block.lines);
    if (again && !/[{]|\|:|:\|/.test(block.lines.join(' '))) before.times += 1;
    else joined.push({ ...block });
  }
  return joined;
}

function oneLine(text: string): string {
  return text.replace(/\s+/g, ' ').trim();
}

/** Everything of a bar in the order it is written. */
function tokensOf(bar: SheetBar, before: SheetBar | undefined, tonic: number, losses: LossList, number: number): readonly string[] {
  const { form, pickup } = bar;
  const changes = before === undefined ? [] : changesBetween(before, bar);
  return [
    ...changes.map((change) => `{${change}}`),
    ...marksBefore(form).map(printFormMark),
    ...(pickup === null ? [] : [`{pickup: ${pickup}}`]),
    barToken(bar, tonic, losses, number),
    ...bar.remarks.map((text) => `"${oneLine(text).replace(/"/g, '”')}"`),
    ...marksAfter(form).map(printFormMark),
  ];
}

/** What of the form is written before a bar. */
function marksBefore({ signs, opensRepeat, ending }: BarForm): readonly FormMark[] {
  return [
    ...signs.map((sign) => ({ kind: 'sign', sign }) as const),
    ...(opensRepeat ? [{ kind: 'repeat-open' } as const] : []),
    ...(ending?.begins ? [{ kind: 'ending-open', passes: ending.passes } as const] : []),
  ];
}

/** What of the form is written behind a bar; a repeat is played twice unless it says how often. */
function marksAfter({ closesRepeat, ending, after }: BarForm): readonly FormMark[] {
  return [
    ...(ending?.ends ? [{ kind: 'ending-close' } as const] : []),
    ...(closesRepeat === null ? [] : [{ kind: 'repeat-close', times: closesRepeat === 2 ? null : closesRepeat } as const]),
    ...after.map((mark): FormMark => (mark === 'fine' ? { kind: 'sign', sign: mark } : mark === 'to-coda' ? { kind: mark } : mark)),
  ];
}

function changesBetween(before: SheetBar, bar: SheetBar): readonly string[] {
  return [
    sameMeter(before.meter, bar.meter) ? '' : `${bar.meter.beats}/${bar.meter.unit}`,
    sameKey(before.key, bar.key) ? '' : `key: ${printKey(bar.key)}`,
    bar.tempo === null || bar.tempo === before.tempo ? '' : `tempo: ${nearestTempo(bar.tempo)}`,
  ].filter((change) => change !== '');
}

/** The chords of a bar, alone or sharing it; equal shares need no marks. */
function barToken(bar: SheetBar, tonic: number, losses: LossList, number: number): string {
  const chords = inHalfBeats(merged(bar.chords), beatsOf(bar), () => losses.add('split-rounded', number));
  if (chords.length === 0) return 'NC';
  const equal = chords.every(({ beats }) => beats === chords[0]?.beats);
  const printed = chords.map(({ chord, beats, push, ring, stop, optional }) =>
    printSlot({
      chord: chord === null ? null : numberChord(chord, tonic),
      push,
      ring,
      stop: stop && !ring,
      optional,
      beats: equal ? null : beats,
    }),
  );
  return printed.length === 1 ? (printed[0] as string) : `(${printed.join(' ')})`;
}

/** Rests side by side are one. */
function merged(chords: readonly SheetChord[]): readonly SheetChord[] {
  const joined: SheetChord[] = [];
  for (const chord of chords) {
    const before = joined.at(-1);
    if (before !== undefined && before.chord === null && chord.chord === null)
      joined[joined.length - 1] = { ...before, beats: before.beats + chord.beats };
    else joined.push(chord);
  }
  return joined;
}

/** Chords whose lengths are whole half beats and fill the bar; those too short for one go to the chord before. */
function inHalfBeats(chords: readonly SheetChord[], total: number, onRounded: () => void): readonly SheetChord[] {
  const starts = startsOf(chords);
  const rounded = starts.map((start) => Math.round(start * 2) / 2);
  const end = starts.at(-1) as number;
  const off =
    rounded.slice(0, -1).some((start, index) => Math.abs(start - (starts[index] as number)) > CLOSE) || Math.abs(end - total) > CLOSE;
  if (off) onRounded();
  const kept = chords
    .map((chord, index) => ({ chord, start: Math.min(total, rounded[index] as number) }))
    .filter(({ start }, index, all) => start < total && (all[index + 1]?.start ?? total) > start);
  return kept.map(({ chord, start }, index) => ({ ...chord, beats: (kept[index + 1]?.start ?? total) - (index === 0 ? 0 : start) }));
}

/** Less than what anybody hears or writes. */
const CLOSE = 0.02;
