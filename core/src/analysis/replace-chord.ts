import type { BarChord, WrittenBar } from '../chart/bars.ts';
import { printSlot } from '../chart/slot-text.ts';
import type { Chord } from '../chord/chord.ts';
import { printChord } from '../chord/chord-text.ts';
import { chordOnTonic, type NumberChord, numberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import type { Progression } from '../progression/progression.ts';

/**
 * The text with other chords in the place of one; they share its beats. Numbers stay numbers and
 * letters letters. A bar that is written as a repeat sign is written out. Null when the beats
 * cannot be shared in whole or half beats.
 */
export function replaceChord(source: string, progression: Progression, index: number, chords: readonly Chord[]): string | null {
  const place = progression.chords[index];
  const bar = progression.chart.bars[place?.bar ?? -1];
  const slot = bar?.chords[place?.place ?? -1];
  if (place === undefined || bar === undefined || slot === undefined) return null;
  const beats = slot.beats === null ? null : slot.beats / chords.length;
  if (beats !== null && (2 * beats) % 1 !== 0) return null;
  // what the chart counts from: the root's letter less its degree
  const tonic = place.chord.root - place.number.degree;
  const put = chords.map((chord, at): BarChord => ({ ...slot, chord: numberChord(chord, tonic), beats, push: slot.push && at === 0 }));
  const all = [...bar.chords.slice(0, place.place), ...put, ...bar.chords.slice(place.place + 1)];
  const print = progression.keyGiven ? printNumber : (chord: NumberChord) => printChord(chordOnTonic(chord, tonic));
  return splice(source, bar, printBarChords(all, print, isBarred(source, bar)));
}

function printBarChords(chords: readonly BarChord[], print: (chord: NumberChord) => string, barred: boolean): string {
  const equal = chords.every(({ beats }) => beats === chords[0]?.beats);
  const printed = chords.map((chord) => printSlot(equal ? { ...chord, beats: null } : chord, print));
  return barred || printed.length === 1 ? printed.join(' ') : `(${printed.join(' ')})`;
}

/** On a line with bar lines, what stands between two of them is the bar. */
function isBarred(source: string, { at }: WrittenBar): boolean {
  return /(^|[^:|])\|([^:|]|$)/.test(source.split('\n')[at.line - 1] ?? '');
}

function splice(source: string, { at }: WrittenBar, token: string): string {
  const lines = source.split('\n');
  const line = lines[at.line - 1] ?? '';
  const barred = line.slice(0, at.column - 1) + token + line.slice(at.column - 1 + at.length);
  return [...lines.slice(0, at.line - 1), barred, ...lines.slice(at.line)].join('\n');
}
