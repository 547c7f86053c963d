import { parseChord, requireValue } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { fretX, LAST_FRET, neckDots, stringY } from './neck-view.ts';

const chord = (text: string) => requireValue(parseChord(text));

test('frets grow narrower up the neck', () => {
  const widths = Array.from({ length: LAST_FRET }, (_, fret) => fretX(fret + 1) - fretX(fret));
  expect([...widths].sort((a, b) => b - a)).toEqual(widths);
});

test('string 1 is drawn on top', () => expect(stringY(1)).toBeLessThan(stringY(6)));

test('dots carry notes or the formula, the root marked R', () => {
  const labels = (kind: 'notes' | 'formula') => neckDots(chord('Ebm'), 0, kind).map(({ label }) => label);
  expect(new Set(labels('notes'))).toEqual(new Set(['E♭', 'G♭', 'B♭']));
  expect(new Set(labels('formula'))).toEqual(new Set(['R', '♭3', '5']));
});

test('a dot says its note, what it is, and where', () => {
  const names = neckDots(chord('C/Bb'), 0, 'notes').map(({ name }) => name);
  expect(names).toContain('E, 3, string 6, open');
  expect(names).toContain('C, root, string 5, fret 3');
  expect(names).toContain('B♭, bass, string 5, fret 1');
});
