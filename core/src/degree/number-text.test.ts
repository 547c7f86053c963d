import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseChord } from '../chord/chord-text.ts';
import { formulaNames, formulaOf } from '../chord/formula.ts';
import { requireValue } from '../fault.ts';
import { chordOnTonic, type NumberChord, numberChord } from './degree.ts';
import { parseNumber, parseNumberOrLetters, printNumber } from './number-text.ts';
import { printRoman } from './roman-text.ts';

const C = 0;
const number = (text: string): NumberChord => requireValue(parseNumber(text, C));

describe('number chords', () => {
  test.each([
    ['1', '1 3 5', '1', 'I'],
    ['6-', '1 b3 5', '6-', 'vi'],
    ['6m', '1 b3 5', '6-', 'vi'],
    ['57', '1 3 5 b7', '57', 'V7'],
    ['69', '1 3 5 b7 9', '69', 'VI9'],
    ['16', '1 3 5 6', '16', 'I6'],
    ['16/9', '1 3 5 6 9', '169', 'I69'],
    ['66/9', '1 3 5 6 9', '669', 'VI69'],
    ['15', '1 5', '15', 'I5'],
    ['12', '1 3 5 9', '1add9', 'Iadd9'],
    ['113', '1 3 5 b7 9 13', '113', 'I13'],
    ['7o', '1 b3 b5', '7o', 'vii°'],
    ['7°', '1 b3 b5', '7o', 'vii°'],
    ['7-7b5', '1 b3 b5 b7', '7-7b5', 'viiø7'],
    ['7ø', '1 b3 b5 b7', '7-7b5', 'viiø7'],
    ['#1o7', '1 b3 b5 bb7', '#1o7', '#i°7'],
    ['b7', '1 3 5', 'b7', 'bVII'],
    ['b77', '1 3 5 b7', 'b77', 'bVII7'],
    ['bb7', '1 3 5', 'bb7', 'bbVII'],
    ['##4', '1 3 5', '##4', '##IV'],
    ['♭3△7', '1 3 5 7', 'b3maj7', 'bIIImaj7'],
    ['1-△7', '1 b3 5 7', '1-maj7', 'imaj7'],
    ['5+7', '1 3 #5 b7', '5+7', 'V+7'],
    ['3+maj7', '1 3 #5 7', '3+maj7', 'III+maj7'],
    ['57-9', '1 3 5 b7 b9', '57b9', 'V7b9'],
    ['7-9', '1 b3 5 b7 9', '7-9', 'vii9'],
    ['1(b5)', '1 3 b5', '1(b5)', 'I(b5)'],
    ['57alt', '1 3 b7 b9 #9 b13', '57alt', 'V7alt'],
    ['2-7add11', '1 b3 5 b7 11', '2-7add11', 'ii7add11'],
  ])('%s', (text, formula, tidy, roman) => {
    expect(formulaNames(number(text).formula).join(' ')).toBe(formula);
    expect(printNumber(number(text))).toBe(tidy);
    expect(number(tidy)).toEqual(number(text));
    expect(printRoman(number(text))).toBe(roman);
  });

  test('a bass is a degree of the key, and the root under itself is none', () => {
    expect(printNumber(number('5/7'))).toBe('5/7');
    expect(printNumber(number('1-7/b7'))).toBe('1-7/b7');
    expect(printNumber(number('5/5'))).toBe('5');
    expect(printNumber(requireValue(parseNumber('5/F#', 1)))).toBe('5/7');
    expect(printRoman(number('5/7'))).toBe('V6');
  });

  test.each([
    ['0', 'degree-range', 0],
    ['8', 'degree-range', 0],
    ['b9', 'degree-range', 1],
    ['bbb7', 'degree-accidentals', 0],
    ['13', 'number-run-together', 0],
    ['1451', 'number-run-together', 0],
    ['6/9', 'number-six-nine', 0],
    ['7b9', 'number-on-seven', 0],
    ['7#9', 'number-on-seven', 0],
    ['7b5', 'number-on-seven', 0],
    ['7alt', 'number-on-seven', 0],
    ['1b5', 'quality-bare-alteration', 1],
    ['5/', 'bass-unknown', 2],
    ['5/8', 'bass-unknown', 2],
    ['5/77', 'bass-unknown', 2],
    ['1x', 'quality-unknown', 1],
    ['17b5#5', 'quality-contradiction', 4],
    ['b', 'token-unreadable', 0],
  ])('%s is refused as %s', (text, code, start) => {
    expect(parseNumber(text, C)).toMatchObject({ ok: false, fault: { code }, span: { start } });
  });

  test.each([
    ['13', '1 3'],
    ['1451', '1 4 5 1'],
    ['b34', 'b3 4'],
    ['7b9', '57b9'],
    ['6/9', '169'],
    ['1b5', '1(b5)'],
  ])('%s: the answer says what to write, %s', (text, write) => {
    expect(parseNumber(text, C)).toMatchObject({ fault: { write } });
  });
});

describe('letters and numbers are one thing seen from a tonic', () => {
  test.each([
    ['F#m7b5', 'Eb', '#2-7b5'],
    ['Gbm7b5', 'Eb', 'b3-7b5'],
    ['A7', 'D', '57'],
    ['C/E', 'C', '1/3'],
    ['D/F#', 'G', '5/7'],
    ['Bb', 'C', 'b7'],
    ['Gb', 'F#', 'bb2'],
    ['Fbb', 'F#', 'bb7'],
  ])('%s in %s is %s', (letters, tonic, expected) => {
    const home = requireValue(parseChord(tonic)).root;
    expect(printNumber(requireValue(parseNumberOrLetters(letters, home)))).toBe(expected);
  });

  test('numbers to letters and back is the same number, in every key', () => {
    const chord = fc.record({
      degree: fc.integer({ min: -8, max: 12 }),
      formula: fc.constantFrom(formulaOf('1', '3', '5'), formulaOf('1', 'b3', '5', 'b7')),
      bass: fc.option(fc.integer({ min: -8, max: 12 })),
    });
    fc.assert(
      fc.property(chord, fc.integer({ min: -7, max: 7 }), (value, tonic) => {
        expect(numberChord(chordOnTonic(value, tonic), tonic)).toEqual(value);
      }),
      { seed: 21 },
    );
  });
});
