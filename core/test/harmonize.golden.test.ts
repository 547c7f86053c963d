import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { findTone } from '../src/chord/formula.ts';
import type { Depth, HarmonizedChord } from '../src/index.ts';
import {
  DEPTHS,
  harmonize,
  intervalName,
  isSpellable,
  keyNotes,
  letterStep,
  parseNote,
  parseScale,
  printChord,
  printNote,
  printScaleNumber,
  qualityName,
  requireValue,
  SCALE_NAMES,
  scaleSteps,
  transposeChord,
} from '../src/index.ts';

interface GoldenRow {
  readonly tonic: string;
  readonly scale: string;
  readonly depth: Depth;
  readonly notes: readonly string[];
  readonly steps: readonly string[];
  readonly chords: readonly unknown[];
}

const ROWS: readonly GoldenRow[] = JSON.parse(readFileSync(new URL('./golden/harmonize.json', import.meta.url), 'utf8'));

function described({ number, chord, tones, stack }: HarmonizedChord) {
  return {
    degree: printScaleNumber(number.degree),
    notes: tones.map(({ note }) => printNote(note)),
    formula: tones.map(({ formula }) => formula),
    parentDegrees: tones.map(({ parentDegree }) => printScaleNumber(parentDegree)),
    quality: qualityName(chord.formula),
    symbol: printChord(chord),
    stack: stack.map(intervalName),
  };
}

describe('harmonizing agrees with the expected table', () => {
  test('the table is there', () => expect(ROWS.length).toBeGreaterThan(50));

  test.each(ROWS.map((row) => [`${row.tonic} ${row.scale}, ${row.depth}`, row] as const))('%s', (_, row) => {
    const key = { tonic: requireValue(parseNote(row.tonic)), scale: requireValue(parseScale(row.scale)) };
    expect(keyNotes(key).map((note) => printNote(note))).toEqual(row.notes);
    expect(scaleSteps(key.scale)).toEqual(row.steps);
    expect(harmonize(key, row.depth).map(described)).toEqual(row.chords);
  });
});

describe('laws of harmonizing', () => {
  const keys = SCALE_NAMES.flatMap((scale) => Array.from({ length: 35 }, (_, index) => ({ tonic: index - 15, scale }))).filter(isSpellable);

  test('every chord takes every other note of its own scale, and every other letter', () => {
    for (const key of keys) {
      const scale = keyNotes(key);
      harmonize(key, 'thirteenth').forEach((chord, degree) => {
        const expected = [0, 2, 4, 6, 1, 3, 5].map((skip) => scale[(degree + skip) % 7]);
        expect(chord.tones.map(({ note }) => note)).toEqual(expected);
        const letters = chord.tones.map(({ note }) => letterStep(note));
        expect(letters).toEqual([0, 2, 4, 6, 1, 3, 5].map((skip) => ((letters[0] as number) + skip) % 7));
      });
    }
  });

  test('the formula of a stacked chord is exactly its tones', () => {
    for (const key of keys.filter(({ tonic }) => Math.abs(tonic) < 3)) {
      for (const depth of DEPTHS) {
        for (const chord of harmonize(key, depth)) {
          const names = chord.tones.map(({ formula }) => formula);
          expect(names.map((name) => requireTone(name)).reduce((sum, bit) => sum | bit, 0)).toBe(chord.chord.formula);
        }
      }
    }
  });

  test('transposing then harmonizing is harmonizing then transposing', () => {
    for (const scale of SCALE_NAMES) {
      const home = harmonize({ tonic: 0, scale }, 'ninth').map(({ chord }) => chord);
      for (const tonic of [-4, -1, 3]) {
        expect(harmonize({ tonic, scale }, 'ninth').map(({ chord }) => chord)).toEqual(home.map((chord) => transposeChord(chord, tonic)));
      }
    }
  });

  test('a major key has one dominant seventh, on its 5', () => {
    const sevenths = harmonize({ tonic: 0, scale: 'major' }, 'seventh');
    const dominants = sevenths.filter(({ chord }) => qualityName(chord.formula) === 'dominant seventh');
    expect(dominants.map(({ number }) => printScaleNumber(number.degree))).toEqual(['5']);
    expect(sevenths.map((chord) => chord.function)).toEqual([
      'tonic',
      'subdominant',
      'tonic',
      'subdominant',
      'dominant',
      'tonic',
      'dominant',
    ]);
  });
});

function requireTone(name: string): number {
  const tone = findTone(name);
  if (tone === undefined) throw new Error(`no tone ${name}`);
  return tone;
}
