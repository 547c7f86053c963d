import type { Instrument } from '../fretboard/instrument.ts';
import { type StringNote, scaleOnString } from '../fretboard/one-string.ts';
import { harmonize } from '../harmony/harmonize.ts';
import type { Key } from '../key/key.ts';
import { type KeyDepth, keyAlongNeck } from '../voicing/key-shapes.ts';
import { chordStep, type Drill, type DrillStep, type DrillWish, type Say } from './drill-step.ts';
import { type NightStage, nightStrings } from './programme.ts';

const SAYS: Readonly<Record<NightStage, Say>> = {
  steps: 'steps',
  numbers: 'numbers',
  names: 'names',
  'past twelve': 'names',
  'lower string': 'numbers',
  'upper triads': 'numbers and names',
  triads: 'numbers and names',
  'crossing triads': 'numbers and names',
  'upper sevenths': 'numbers and names',
  sevenths: 'numbers and names',
  'crossing sevenths': 'numbers and names',
  'down again': 'names',
};
const OCTAVE_FRET = 12;
const SIXTH = 6;
const FIFTH = 5;

/** A stage of a night: the key along one string, the fold past the twelfth fret, and its chords on that string. Null for no stage. */
export function nightDrill(stage: string, key: Key, { instrument, strings }: Pick<DrillWish, 'instrument' | 'strings'>): Drill | null {
  const say = SAYS[stage as NightStage];
  if (say === undefined) return null;
  const [upper, lower] = nightStrings(instrument.tuning, strings);
  const steps =
    stage.endsWith('triads') || stage.endsWith('sevenths')
      ? chordsOn(stage, key, { upper, lower, instrument })
      : notesOn(stage, key, { upper, lower, instrument });
  return { steps, run: null, say, modes: [] };
}

interface Strings {
  readonly upper: number;
  readonly lower: number;
  readonly instrument: Instrument;
}

function notesOn(stage: string, key: Key, { upper, lower, instrument }: Strings): readonly DrillStep[] {
  const string = stage === 'lower string' ? lower : upper;
  const open = instrument.tuning[instrument.tuning.length - string] as number;
  const last = stage === 'past twelve' ? OCTAVE_FRET - 1 : instrument.frets;
  const up = scaleOnString(key, open, last).map((note) => toneStep(note, string, open));
  return stage === 'down again' ? [...up].reverse() : [...up, ...[...up].reverse().slice(1)];
}

function toneStep({ note, degree, fret, folded, step }: StringNote, string: number, open: number): DrillStep {
  return { chord: null, number: null, voicing: null, tone: { note, degree, string, fret, step, folded }, midi: [open + fret], beats: 1 };
}

/**
 * The key's chords with their roots on the upper string, on the lower one, or each from one string to the other: barre chords,
 * or the grip that is taught where there is none, on the strings that have them; otherwise only told.
 */
function chordsOn(stage: string, key: Key, { upper, lower, instrument }: Strings): readonly DrillStep[] {
  const depth = stage.endsWith('triads') ? 'triad' : 'seventh';
  const along = (string: number) => chordsFrom(string, key, depth, instrument);
  if (stage.startsWith('upper')) return along(upper);
  if (!stage.startsWith('crossing')) return along(lower);
  const above = along(upper);
  return along(lower).flatMap((step, place) => [step, above[place] as DrillStep]);
}

function chordsFrom(string: number, key: Key, depth: KeyDepth, instrument: Instrument): readonly DrillStep[] {
  const family = string === SIXTH ? 'barre-6' : string === FIFTH ? 'barre-5' : null;
  const shapes = family === null ? [] : keyAlongNeck(key, { family, strings: null, inversion: 0, depth }, instrument);
  return harmonize(key, depth).map(({ chord, number }, place) =>
    chordStep(chord, number, shapes[place]?.voicing ?? shapes[place]?.standIn ?? null),
  );
}
