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
  roleHeight,
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
  /** How far from home it stands, as a share of the highest: as in every ridge, by what it does. */
  readonly height: number;
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
      height: roleHeight(functionOfDegree(number.degree), index) / HIGHEST,
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

/** The chord that pulls hardest is the highest of a key's own. */
const HIGHEST = roleHeight('dominant', 4);

const COLUMN = 100;
const SHOULDER = 40;

/** The line of the ridge under the columns, in a box of 100 a column by `height`. */
export function ridgePath(columns: readonly Pick<ColumnView, 'function' | 'height'>[], height: number): string {
  const points = columns.flatMap(({ function: role, height: share }, index) => {
    const x = index * COLUMN + COLUMN / 2;
    const y = height * (1 - share);
    // where a chord rests one can stand, a slope is passed through, a peak comes to a point
    return role === 'tonic' ? [`${x - SHOULDER},${y}`, `${x + SHOULDER},${y}`] : [`${x},${y}`];
  });
  return `M0,${height} L${points.join(' L')} L${columns.length * COLUMN},${height}`;
}
