import {
  type Chord,
  DEFAULT_NAMING,
  formulaTones,
  functionOfDegree,
  type HarmonicFunction,
  harmonize,
  intervalName,
  intervalSemitones,
  type Key,
  keyNotes,
  letterView,
  type Naming,
  type Note,
  type NumberChord,
  nameNote,
  nameStep,
  numberView,
  printScaleNumber,
  qualityName,
  type Step,
  type SymbolView,
  scaleIntervals,
  scaleSteps,
  stackFourths,
  withGlyphs,
} from '@aurora/core';
import { type Build, depthsOf } from './depth.ts';

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
  readonly tones: readonly {
    readonly formula: string;
    readonly note: string;
    readonly degree: string /** The interval to the tone below; null for the lowest. */;
    readonly below: string | null;
  }[];
}

/** The seven chords of the sounding key in the reader's letters. */
export function columnsOf(sounding: Key, written: Key, build: Build, naming: Naming = DEFAULT_NAMING): readonly ColumnView[] {
  const heard = stackedChords(sounding, build);
  return stackedChords(written, build).map((column, index) => {
    const { number, chord } = heard[index] as Stacked;
    const tones = column.tones.map((tone, place) => ({
      formula: withGlyphs(tone.formula),
      note: nameNote(tone.note, naming.notes),
      degree: printScaleNumber(tone.parentDegree, 'glyph'),
      below: place === 0 ? null : intervalName(tone.note - (column.tones[place - 1] as StackedTone).note),
    }));
    return {
      number,
      chord,
      numeral: numberView(number, naming),
      letter: letterView(column.chord, naming),
      sounding: written.tonic === sounding.tonic ? null : letterView(chord, naming),
      quality: qualityName(chord.formula),
      function: functionOfDegree(number.degree),
      tones: tones.reverse(),
    };
  });
}

interface StackedTone {
  readonly note: Note;
  readonly formula: string;
  readonly parentDegree: number;
}

interface Stacked {
  readonly number: NumberChord;
  readonly chord: Chord;
  readonly tones: readonly StackedTone[];
}

function stackedChords(key: Key, build: Build): readonly Stacked[] {
  if (build.kind === 'fourths') {
    return stackFourths(key, build.size).map(({ number, chord, notes, parentDegrees }) => ({
      number,
      chord,
      tones: notes.map((note, index) => ({ note, formula: toneName(chord, note), parentDegree: parentDegrees[index] as number })),
    }));
  }
  return depthsOf(build, key).map((depth, index) => harmonize(key, depth)[index] as Stacked);
}

/** What the note is in the chord: `11`, `b7`. */
function toneName(chord: Chord, note: Note): string {
  return formulaTones(chord.formula).find(({ interval }) => chord.root + interval === note)?.name ?? '';
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
export function rulerOf(key: Key, naming: Naming = DEFAULT_NAMING): readonly RulerNote[] {
  const steps = scaleSteps(key.scale);
  const intervals = scaleIntervals(key.scale);
  const notes = keyNotes(key).map((note, index) => ({
    note: nameNote(note, naming.notes),
    degree: printScaleNumber(intervals[index] as number, 'glyph'),
    at: intervalSemitones(intervals[index] as number) / 12,
    step: nameStep(steps[index] as Step, naming.steps),
  }));
  return [...notes, { note: nameNote(key.tonic, naming.notes), degree: '1', at: 1, step: '' }];
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
