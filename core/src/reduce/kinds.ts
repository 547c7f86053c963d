import { type Formula, formulaOf, formulaTones } from '../chord/formula.ts';
import type { ToneName } from '../chord/tone-table.ts';
import { chroma } from '../pitch/note.ts';
import { COSTS } from './costs.ts';

/** A quality that written notes may make together. */
export interface ChordKind {
  readonly formula: Formula;
  /** Half steps above the root that belong to it, one bit each. */
  readonly steps: number;
  /** What speaks against it before anything is heard: plain chords cost nothing. */
  readonly cost: number;
  /** What it costs when a tone of it never sounds: by half steps above the root. */
  readonly missing: Float64Array;
  /** Half steps above the root to its seventh or sixth; null for a chord without. */
  readonly fourth: number | null;
  readonly isDominant: boolean;
  /** Diminished: it leads a half step up. */
  readonly isLeading: boolean;
  /** Its tones divide the octave evenly: any of them may be its root. */
  readonly isSymmetric: boolean;
}

const { missing: MISSING, kind: KIND } = COSTS;

function missingCost(number: number, alteration: number): number {
  if (number === 1) return MISSING.root;
  if (number === 3) return MISSING.third;
  if (number === 5) return alteration === 0 ? MISSING.fifth : MISSING.ownFifth;
  return MISSING.other;
}

function kind(cost: number, ...names: readonly ToneName[]): ChordKind {
  const formula = formulaOf(...names);
  const tones = formulaTones(formula);
  const missing = new Float64Array(12);
  for (const { interval, number, alteration } of tones) missing[chroma(interval)] = missingCost(number, alteration);
  const holds = (...wanted: readonly ToneName[]) => (formula & formulaOf(...wanted)) === formulaOf(...wanted);
  return {
    formula,
    steps: tones.reduce((heard, { interval }) => heard | (1 << chroma(interval)), 0),
    cost,
    missing,
    fourth: fourthOf(tones),
    isDominant: holds('3', 'b7') && !holds('4'),
    isLeading: holds('b3', 'b5'),
    isSymmetric: names.join(' ') === '1 b3 b5 bb7' || names.join(' ') === '1 3 #5',
  };
}

function fourthOf(tones: ReturnType<typeof formulaTones>): number | null {
  const tone = tones.find(({ number }) => number === 7 || number === 6);
  return tone === undefined ? null : chroma(tone.interval);
}

/** What pieces are made of, plain ones first. */
export const CHORD_KINDS: readonly ChordKind[] = [
  kind(0, '1', '3', '5'),
  kind(0, '1', 'b3', '5'),
  kind(KIND['7'], '1', '3', '5', 'b7'),
  kind(KIND.m7, '1', 'b3', '5', 'b7'),
  kind(KIND.maj7, '1', '3', '5', '7'),
  kind(KIND.dim, '1', 'b3', 'b5'),
  kind(KIND.m7b5, '1', 'b3', 'b5', 'b7'),
  kind(KIND.dim7, '1', 'b3', 'b5', 'bb7'),
  kind(KIND.aug, '1', '3', '#5'),
  kind(KIND.sus4, '1', '4', '5'),
  kind(KIND.sus2, '1', '2', '5'),
  kind(KIND['7sus4'], '1', '4', '5', 'b7'),
  kind(KIND['6'], '1', '3', '5', '6'),
  kind(KIND.m6, '1', 'b3', '5', '6'),
  kind(KIND['m(maj7)'], '1', 'b3', '5', '7'),
  kind(KIND.aug7, '1', '3', '#5', 'b7'),
  kind(KIND['maj7#5'], '1', '3', '#5', '7'),
  kind(KIND['9'], '1', '3', '5', 'b7', '9'),
  kind(KIND['7b9'], '1', '3', '5', 'b7', 'b9'),
  kind(KIND.m9, '1', 'b3', '5', 'b7', '9'),
  kind(KIND.add9, '1', '3', '5', '9'),
];
