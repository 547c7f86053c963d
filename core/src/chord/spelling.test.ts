import { expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { parseChord } from './chord-text.ts';
import { checkSpelling, tellApart } from './spelling.ts';

const chord = (text: string) => requireValue(parseChord(text));
const check = (symbol: string, typed: string) =>
  checkSpelling(
    chord(symbol),
    typed.split(' ').map((name) => requireValue(parseNote(name))),
  );

test('A flat 7 contains G flat, never F sharp', () => {
  const { tones, missing } = check('Ab7', 'Ab C Eb F#');
  expect(tones.map(({ kind }) => kind)).toEqual(['right', 'right', 'right', 'misspelt']);
  expect(tones[3]?.kind === 'misspelt' ? printNote(tones[3].should) : '').toBe('Gb');
  expect(missing).toEqual([]);
});

test('foreign and missing notes are told', () => {
  const { tones, missing } = check('Em7', 'E G A');
  expect(tones.map(({ kind }) => kind)).toEqual(['right', 'right', 'foreign']);
  expect(missing.map((note) => printNote(note))).toEqual(['B', 'D']);
});

test.each([
  ['Bm7b5', 'Bdim7', [['b7', 'bb7']]],
  ['C7', 'Cm7', [['3', 'b3']]],
  [
    'Cmaj7',
    'Cm7',
    [
      ['3', 'b3'],
      ['7', 'b7'],
    ],
  ],
  ['C', 'C7', [[undefined, 'b7']]],
  [
    'Csus4',
    'C',
    [
      [undefined, '3'],
      ['4', undefined],
    ],
  ],
])('%s and %s', (first, second, expected) => {
  expect(tellApart(chord(first), chord(second)).map((pair) => [pair.first?.name, pair.second?.name])).toEqual(expected);
});
