import {
  type Chord,
  type Depth,
  type HarmonicFunction,
  harmonize,
  intervalName,
  intervalSemitones,
  type Key,
  keyNotes,
  type NumberChord,
  printNote,
  printScaleNumber,
  qualityName,
  scaleIntervals,
  scaleSteps,
} from '@aurora/core';
import { letterView, numberView, type SymbolView } from '../notation/symbol-view.ts';

/** One chord of the key as a column on the stage. */
export interface ColumnView {
  readonly number: NumberChord;
  /** The chord that sounds. */
  readonly chord: Chord;
  readonly numeral: SymbolView;
  /** The chord as the reader reads it. */
  readonly letter: SymbolView;
  /** What it sounds, when that is something else. */
  readonly sounding: SymbolView | null;
  readonly quality: string;
  readonly function: HarmonicFunction;
  /** Tones from the top down to the root, as a stack is drawn. */
  readonly tones: readonly { readonly formula: string; readonly note: string; readonly degree: string; readonly third: string | null }[];
}

/** The seven chords of the sounding key in the reader's letters. */
export function columnsOf(sounding: Key, written: Key, depth: Depth): readonly ColumnView[] {
  const heard = harmonize(sounding, depth);
  return harmonize(written, depth).map((column, index) => {
    const { number, chord } = heard[index] as (typeof heard)[number];
    const tones = column.tones.map((tone, place) => ({
      formula: tone.formula.replaceAll('b', '♭').replaceAll('#', '♯'),
      note: printNote(tone.note, 'glyph'),
      degree: printScaleNumber(tone.parentDegree, 'glyph'),
      third: place === 0 ? null : intervalName(column.stack[place - 1] as number),
    }));
    return {
      number,
      chord,
      numeral: numberView(number),
      letter: letterView(column.chord),
      sounding: written.tonic === sounding.tonic ? null : letterView(chord),
      quality: qualityName(chord.formula),
      function: column.function,
      tones: tones.reverse(),
    };
  });
}

/** A note of the scale on the ruler: how far along the octave it stands, 0 to 1. */
export interface RulerNote {
  readonly note: string;
  readonly degree: string;
  readonly at: number;
  /** The step up to the next note. */
  readonly step: string;
}

/** The scale as a ruler: whole steps are twice as long as half steps. The octave closes it. */
export function rulerOf(key: Key): readonly RulerNote[] {
  const steps = scaleSteps(key.scale);
  const intervals = scaleIntervals(key.scale);
  const notes = keyNotes(key).map((note, index) => ({
    note: printNote(note, 'glyph'),
    degree: printScaleNumber(intervals[index] as number, 'glyph'),
    at: intervalSemitones(intervals[index] as number) / 12,
    step: steps[index] as string,
  }));
  return [...notes, { note: printNote(key.tonic, 'glyph'), degree: '1', at: 1, step: '' }];
}

/** How high each function stands: rest is the ground, away is a slope, pull is a peak. Shares of the full height. */
export const FUNCTION_HEIGHT: Readonly<Record<HarmonicFunction, number>> = { tonic: 0, subdominant: 0.5, dominant: 1 };

const COLUMN = 100;
const SHOULDER = 40;

/** The line of the ridge under the columns, in a box of 100 a column by `height`. */
export function ridgePath(functions: readonly HarmonicFunction[], height: number): string {
  const points = functions.flatMap((role, index) => {
    const x = index * COLUMN + COLUMN / 2;
    const y = height * (1 - FUNCTION_HEIGHT[role]);
    // ground is flat to stand on, a slope is passed through, a peak comes to a point
    return role === 'tonic' ? [`${x - SHOULDER},${y}`, `${x + SHOULDER},${y}`] : [`${x},${y}`];
  });
  return `M0,${height} L${points.join(' L')} L${functions.length * COLUMN},${height}`;
}
