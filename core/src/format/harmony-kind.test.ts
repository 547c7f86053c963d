import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { type Formula, formulaOf } from '../chord/formula.ts';
import { parseQuality } from '../chord/quality-text.ts';
import { TONE_TABLE } from '../chord/tone-table.ts';
import { requireValue } from '../fault.ts';
import { formulaOfKind, kindOf } from './harmony-kind.ts';

const formula = (quality: string) => requireValue(parseQuality(quality));

describe('chords as MusicXML names them', () => {
  // kind-value of the MusicXML 4.0 specification
  test.each([
    ['', 'major'],
    ['m', 'minor'],
    ['7', 'dominant'],
    ['maj7', 'major-seventh'],
    ['m7', 'minor-seventh'],
    ['m7b5', 'half-diminished'],
    ['dim7', 'diminished-seventh'],
    ['dim', 'diminished'],
    ['aug', 'augmented'],
    ['m(maj7)', 'major-minor'],
    ['6', 'major-sixth'],
    ['m6', 'minor-sixth'],
    ['sus4', 'suspended-fourth'],
    ['sus2', 'suspended-second'],
    ['5', 'power'],
    ['9', 'dominant-ninth'],
    ['maj9', 'major-ninth'],
    ['m9', 'minor-ninth'],
    ['m11', 'minor-11th'],
  ])('%j is %s', (quality, kind) => expect(kindOf(formula(quality))).toEqual({ kind, tones: formula(quality), degrees: [] }));

  test.each([
    ['7b9', 'dominant', [{ type: 'add', value: 9, alter: -1 }]],
    ['7#11', 'dominant', [{ type: 'add', value: 11, alter: 1 }]],
    ['add9', 'major', [{ type: 'add', value: 9, alter: 0 }]],
    ['7b5', 'dominant', [{ type: 'alter', value: 5, alter: -1 }]],
  ])('%s departs from %s', (quality, kind, degrees) => expect(kindOf(formula(quality))).toMatchObject({ kind, degrees }));

  test('a major chord with an added seventh gets a minor one: degrees are added as in a dominant chord', () => {
    expect(formulaOfKind('major', [{ type: 'add', value: 7, alter: 0 }])).toBe(formula('7'));
    expect(formulaOfKind('major', [{ type: 'add', value: 7, alter: 1 }])).toBe(formula('maj7'));
    expect(formulaOfKind('dominant', [{ type: 'subtract', value: 5, alter: 0 }])).toBe(formulaOf('1', '3', 'b7'));
  });

  test.each([
    ['tristan', []],
    ['major', [{ type: 'add' as const, value: 9, alter: 5 }]],
  ])('%s is no chord', (kind, degrees) => expect(formulaOfKind(kind, degrees)).toBeUndefined());
});

test('any set of tones comes back as it was', () => {
  const tones = fc.subarray(TONE_TABLE.slice(1), { maxLength: 6 });
  fc.assert(
    fc.property(tones, (names) => {
      const set: Formula = formulaOf('1', ...names);
      const { kind, degrees } = kindOf(set);
      const back = formulaOfKind(kind, degrees);
      // two tones of one number, ♭9 and ♯9, are told apart by their alteration alone
      expect(back).toBe(set);
    }),
    { seed: 3, numRuns: 500 },
  );
});
