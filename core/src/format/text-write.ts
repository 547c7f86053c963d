import { sameMeter } from '../chart/head.ts';
import type { Chord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { numberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { sameKey } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { beatsOf, type FormHeld, type LeadSheet, type SheetBar, startsOf } from './lead-sheet.ts';
import type { LossList } from './loss.ts';
import type { ShownChords } from './musicxml/musicxml-write.ts';

/** Plain text has no signs for repeats, endings and jumps; a section may have a count. */
export const TEXT_FORM: FormHeld = { repeats: false, mostTimes: 99, jumps: false, counts: true };

/**
 * A score as plain text, chords over lyrics: a line of bars in letters, then its words. Chords that
 * share a bar equally stand side by side; else each beat has its stroke, `| G / / D |`. Numbers count in
 * the key of their bar.
 */
export function writeChordText(score: LeadSheet, losses: LossList, show: ShownChords = 'letters'): string {
  const first = score.bars[0];
  const head = [
    score.title === '' ? '' : `Title: ${score.title}`,
    score.by === '' ? '' : `By: ${score.by}`,
    first === undefined ? '' : `Key: ${printKey(first.key)}`,
    first === undefined ? '' : `Time: ${first.meter.beats}/${first.meter.unit}`,
    first === undefined || first.tempo === null ? '' : `Tempo: ${first.tempo}`,
    score.feel === '' ? '' : `Feel: ${score.feel}`,
  ].filter((line) => line !== '');
  for (const [name] of score.fields) losses.add(name === 'numbering' ? 'numbering' : 'head', null, name === 'numbering' ? '' : name);
  return `${[...head, ...linesOf(score.bars, show, losses)].join('\n').trimEnd()}\n`;
}

function linesOf(bars: readonly SheetBar[], show: ShownChords, losses: LossList): readonly string[] {
  const lines: string[] = [];
  let line: string[] = [];
  let words: readonly string[] = [];
  const end = () => {
    if (line.length > 0) lines.push(`| ${line.join(' | ')} |`, ...words);
    line = [];
    words = [];
  };
  bars.forEach((bar, index) => {
    const changes = changesOf(bars[index - 1], bar);
    if (bar.newLine || changes.length > 0) end();
    lines.push(...changes, ...headingOf(bar, index));
    if (bar.newLine) words = bar.words;
    line.push(barOf(bar, index, show, losses));
  });
  end();
  return lines;
}

function headingOf({ section, times }: SheetBar, index: number): readonly string[] {
  if (section === null) return index === 0 ? [''] : [];
  return ['', `[${section}]${times === 1 ? '' : ` x${times}`}`];
}

/** What is new with a bar, as the head has it. */
function changesOf(before: SheetBar | undefined, { meter, key, tempo }: SheetBar): readonly string[] {
  if (before === undefined) return [];
  return [
    sameMeter(before.meter, meter) ? '' : `Time: ${meter.beats}/${meter.unit}`,
    sameKey(before.key, key) ? '' : `Key: ${printKey(key)}`,
    tempo === null || tempo === before.tempo ? '' : `Tempo: ${tempo}`,
  ].filter((change) => change !== '');
}

function barOf(bar: SheetBar, index: number, show: ShownChords, losses: LossList): string {
  for (const [code, has] of [
    ['push', bar.chords.some(({ push }) => push)],
    ['ring', bar.chords.some(({ ring }) => ring)],
    ['stop', bar.chords.some(({ stop }) => stop)],
    ['optional', bar.chords.some(({ optional }) => optional)],
    ['remark', bar.remarks.length > 0],
    ['head', bar.pickup !== null],
  ] as const)
    if (has) losses.add(code, index + 1, code === 'head' ? 'the pickup' : '');
  const names = bar.chords.map(({ chord }) => (chord === null ? 'N.C.' : nameOf(chord, bar, show)));
  const share = bar.chords[0]?.beats ?? 0;
  const equal = bar.chords.every(({ beats }) => beats === share);
  if (equal && (share % 0.5 === 0 || share < 1)) return names.join(' ');
  const whole = bar.chords.every(({ beats }) => beats % 1 === 0);
  if (!whole) losses.add('split-rounded', index + 1);
  return names.map((name, place) => `${name}${' /'.repeat(strokesOf(bar, place))}`).join(' ');
}

function nameOf(chord: Chord, { key }: SheetBar, show: ShownChords): string {
  return show === 'numbers' ? printNumber(numberChord(chord, key.tonic)) : printChord(chord);
}

/** Beats behind a chord's own, on whole beats; the bar stays as long as it is. */
function strokesOf(bar: SheetBar, place: number): number {
  const starts = startsOf(bar.chords).map(Math.round);
  const end = place === bar.chords.length - 1 ? beatsOf(bar) : (starts[place + 1] as number);
  return Math.max(0, end - (starts[place] as number) - 1);
}
