import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Analysis,
  analyzeText,
  chordOnTonic,
  type Key,
  parseNumberOrLetters,
  printChord,
  printNumber,
  READING_KINDS,
  requireValue,
} from '../src/index.ts';

const SEED = { seed: 5, numRuns: 150 };
const NUMBERS =
  '1 1maj7 17 2- 2-7 27 2-7b5 3- 3-7 37 4 4maj7 4- 47 4-6 5 57 57b9 57sus4 5- 6- 6-7 67 b7 b77 b6 b3 b2 b27 #1o7 #4o7 7o 7-7b5 1- 5/7 1/3 1/5 4/1';
const number = fc.constantFrom(...NUMBERS.split(' ').map((text) => requireValue(parseNumberOrLetters(text, 0))));
const progression = fc.array(number, { minLength: 1, maxLength: 14 });
/** Tonics for which none of the numbers above needs more than a double accidental. */
const tonic = fc.integer({ min: -6, max: 5 });

const lettersOn = (numbers: readonly ReturnType<typeof numberOf>[], on: number) =>
  numbers.map((chord) => printChord(chordOnTonic(chord, on))).join(' ');
const numberOf = (text: string) => requireValue(parseNumberOrLetters(text, 0));

/** Everything an analysis says, with tonics counted from `from`. */
function told({ keys, regions, chords, patterns, ridge, lead }: Analysis, from: number) {
  const key = ({ tonic: note, scale }: Key) => `${note - from} ${scale}`;
  return {
    lead,
    // a key that is only a possibility takes its simplest name, which hangs on where one is
    keys: keys.map((ranked) => ({ ...ranked, key: [(ranked.key.tonic - from + 48) % 12, ranked.key.scale] })),
    regions: regions.map((region) => ({ ...region, key: key(region.key) })),
    chords: chords.map(({ chord: _, scales, ...rest }) => ({
      ...rest,
      scales: scales.map((scale) => [scale.tonic - from, scale.scale, scale.reason, scale.sharesWithNext.map((note) => note - from)]),
    })),
    patterns: patterns.map((pattern) => ({ ...pattern, tonic: pattern.tonic - from })),
    ridge,
  };
}

const readings = ({ chords }: Analysis) =>
  chords.map(({ reading, number: value, roman }) => [reading.kind, reading.resolution ?? '', printNumber(value), roman].join(' '));

describe('laws of the analysis', () => {
  test('transposing the chords transposes the keys and nothing else, the home key given', () => {
    fc.assert(
      fc.property(progression, tonic, (numbers, by) => {
        const home = analyzeText(lettersOn(numbers, 0), { key: { tonic: 0, scale: 'major' } });
        const moved = analyzeText(lettersOn(numbers, by), { key: { tonic: by, scale: 'major' } });
        expect(told(moved, by)).toEqual(told(home, 0));
      }),
      SEED,
    );
  });

  test('so it does when the key is found', () => {
    fc.assert(
      fc.property(progression, tonic, (numbers, by) => {
        const [home, moved] = [analyzeText(lettersOn(numbers, 0)), analyzeText(lettersOn(numbers, by))];
        // far keys may take another name for the same sound: compare what does not hang on the name
        expect(moved.chords.map(({ reading }) => [reading.kind, reading.resolution])).toEqual(
          home.chords.map(({ reading }) => [reading.kind, reading.resolution]),
        );
        expect(moved.regions.map(({ from, to, key }) => [from, to, key.scale])).toEqual(
          home.regions.map(({ from, to, key }) => [from, to, key.scale]),
        );
        expect(moved.keys.map(({ score }) => score)).toEqual(home.keys.map(({ score }) => score));
      }),
      SEED,
    );
  });

  test('a chart and its letters in the same key agree', () => {
    fc.assert(
      fc.property(progression, (numbers) => {
        const chart = analyzeText(`key: D\n\n[A]\n${numbers.map(printNumber).join(' ')}`);
        const letters = analyzeText(lettersOn(numbers, 2), { key: { tonic: 2, scale: 'major' } });
        expect(readings(chart)).toEqual(readings(letters));
      }),
      SEED,
    );
  });

  test('every chord has exactly one reading of a known kind, a function, a region and a scale', () => {
    fc.assert(
      fc.property(progression, (numbers) => {
        const { chords, regions, ridge } = analyzeText(lettersOn(numbers, 0));
        expect(chords).toHaveLength(numbers.length);
        expect(ridge).toHaveLength(numbers.length);
        for (const { reading, scales, others } of chords) {
          expect(READING_KINDS).toContain(reading.kind);
          expect(scales.length).toBeGreaterThan(0);
          expect(others.map(({ kind }) => kind)).not.toContain(reading.kind);
        }
        expect(regions.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, index) => from + index))).toEqual(
          chords.map((_, index) => index),
        );
      }),
      SEED,
    );
  });

  test('playing it again changes at most how the last chord before the turn goes on', () => {
    fc.assert(
      fc.property(progression, (numbers) => {
        const key: Key = { tonic: 0, scale: 'major' };
        const once = readings(analyzeText(lettersOn(numbers, 0), { key }));
        const written = lettersOn(numbers, 0);
        const repeated = readings(analyzeText(`|: ${written} :|`, { key }));
        expect(repeated).toEqual(once);
      }),
      SEED,
    );
  });

  test('playing it over and over changes no key', () => {
    fc.assert(
      fc.property(progression, fc.integer({ min: 2, max: 4 }), (numbers, times) => {
        const once = lettersOn(numbers, 0);
        const [single, again] = [analyzeText(once), analyzeText(Array.from({ length: times }, () => once).join(' '))];
        const keysOf = ({ keys }: Analysis) => keys.map(({ key }) => `${key.tonic} ${key.scale}`);
        expect(keysOf(again)).toEqual(keysOf(single));
        expect(again.regions.map(({ key }) => key.tonic).slice(0, single.regions.length)).toEqual(
          single.regions.map(({ key }) => key.tonic),
        );
      }),
      SEED,
    );
  });

  test('numbers stay in far keys, over foreign basses too', () => {
    const line = '1- 1-/7 b6maj7 2-7b5 57b9 1-/5 b2maj7 57 1-'.split(' ').map(numberOf);
    const written = line.map(printNumber);
    for (const tonic of [-8, -7, -6, -5, -1, 0, 3, 6, 7, 8]) {
      const { chords } = analyzeText(lettersOn(line, tonic), { key: { tonic, scale: 'natural minor' } });
      expect(chords.map(({ number: value }) => printNumber(value))).toEqual(written);
    }
  });

  test('no numeral, note or symbol of an analysis has three accidentals', () => {
    fc.assert(
      fc.property(progression, fc.integer({ min: -8, max: 8 }), (numbers, by) => {
        const { chords, regions } = analyzeText(lettersOn(numbers, by));
        const text = chords.flatMap(({ chord, number: value, roman, scales }) => [
          printChord(chord),
          printNumber(value),
          roman,
          ...scales.map(({ tonic: root, scale }) => `${printChord({ root, formula: 0, bass: null })} ${scale}`),
        ]);
        expect(text.filter((one) => /bbb|###/.test(one))).toEqual([]);
        expect(regions.length).toBeGreaterThan(0);
      }),
      SEED,
    );
  });

  test('the same text gives the same answer', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        expect(analyzeText(text)).toEqual(analyzeText(text));
      }),
      { seed: 6, numRuns: 200 },
    );
  });
});
