import {
  type Column,
  type Key,
  type KeySpan,
  octaveOf,
  placeOf,
  printChord,
  printNote,
  printNumber,
  type ReducedTone,
  type Reduction,
  type Score,
  type ScoreNote,
  type ScorePlace,
  TICKS,
} from '@aurora/core';
import { type Loss, lossWords } from '@aurora/core/format';
import type { ReduceAnswer } from '@aurora/wire';

/** A reduction as it is answered. */
export function describeReduction(reduction: Reduction, losses: readonly Loss[]): ReduceAnswer {
  const { score, columns, tones, keys, cadences } = reduction;
  return {
    title: score.title,
    parts: score.parts.map(({ id, name }) => ({ id, name })),
    keys: keys.map((span) => ({ ...namedKey(span, reduction), from: placeOf(score, span.from), to: placeBehind(score, span.to) })),
    columns: columns.map((column) => describeColumn(column, reduction)),
    tones: tones.map((tone) => describeTone(score, tone)),
    cadences: cadences.map(({ kind, at }) => ({ kind, ...placeOf(score, at) })),
    left: losses.map(lossWords),
  };
}

function placeBehind(score: Score, time: number): ScorePlace {
  const last = score.measures.at(-1);
  return last !== undefined && time >= last.to ? { bar: last.number + 1, beat: 1 } : placeOf(score, time);
}

/** A minor key that uses its leading tone is called harmonic minor. */
function namedKey({ key, from, to }: KeySpan, { columns }: Reduction): { tonic: string; scale: Key['scale'] } {
  const leads = columns.some((column) => column.from >= from && column.from < to && holdsLeadingTone(column, key));
  return { tonic: printNote(key.tonic), scale: key.scale === 'natural minor' && leads ? 'harmonic minor' : key.scale };
}

const LEADING_TONE = 5;

function holdsLeadingTone({ notes }: Column, { tonic }: Key): boolean {
  return notes.some(({ note }) => note === tonic + LEADING_TONE);
}

function describeColumn(column: Column, reduction: Reduction): ReduceAnswer['columns'][number] {
  const { score, keys } = reduction;
  const { from, to, chord, inversion, analyzed, notes, confidence, others, isPedal } = column;
  const { bar, beat } = placeOf(score, from);
  const unit = score.measures.find((measure) => measure.number === bar)?.meter.unit ?? 4;
  return {
    bar,
    beat,
    beats: beatsBetween(from, to, unit),
    notes: notes.map(pitchName),
    chord: chord === null ? null : printChord(chord),
    root: chord === null ? null : printNote(chord.root),
    bass: chord === null ? null : printNote(chord.bass ?? chord.root),
    inversion,
    number: analyzed === null ? null : printNumber(analyzed.number),
    roman: analyzed?.roman ?? null,
    key: namedKey(keys[column.key] as KeySpan, reduction),
    function: analyzed?.function ?? null,
    reading: analyzed === null ? null : describeReading(analyzed.reading),
    pedal: isPedal,
    confidence,
    others: others.map((other) => printChord(other)),
  };
}

const PRECISE = 1000;

function beatsBetween(from: number, to: number, unit: number): number {
  return Math.round(((to - from) * unit * PRECISE) / (4 * TICKS)) / PRECISE;
}

function describeReading({
  kind,
  target,
  resolution,
}: NonNullable<Column['analyzed']>['reading']): ReduceAnswer['columns'][number]['reading'] {
  return { kind, ...(target === null ? {} : { target: printNumber(target) }), ...(resolution === undefined ? {} : { resolution }) };
}

function describeTone(score: Score, { index, at, kind, resolvesTo, figures }: ReducedTone): ReduceAnswer['tones'][number] {
  const note = score.notes[index] as ScoreNote;
  return {
    part: note.part,
    ...placeOf(score, at),
    note: pitchName(note),
    kind,
    resolvesTo: resolvesTo === null ? null : pitchName(score.notes[resolvesTo] as ScoreNote),
    ...(figures === null ? {} : { figures: figures.join('-') }),
  };
}

function pitchName({ note, midi }: { readonly note: number; readonly midi: number }): string {
  return `${printNote(note)}${octaveOf(midi, note)}`;
}
