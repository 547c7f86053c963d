import { DEFAULT_NAMING, readChart, symbolText } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { keyName, NEW_SONG, openingBar, tagsOf } from './shelf-view.ts';

test.each([
  ['slow, encore', ['slow', 'encore']],
  [' slow ,, slow, ', ['slow']],
  ['', []],
  ['x'.repeat(60), ['x'.repeat(40)]],
])('tags typed as %j are %j', (text, tags) => expect(tagsOf(text)).toEqual(tags));

test('an opening bar is set in glyphs', () => expect(openingBar('2-7 b77 NC').map((view) => symbolText(view))).toEqual(['2–7', '♭77']));

test.each([
  ['Bb', 'B♭', '', 'B'],
  ['F#m', 'F♯m', '', 'F♯m'],
  ['Bm', 'Bm', '', 'Hm'],
  ['Eb harmonic minor', 'E♭', 'harmonic minor', 'E♭'],
])('%s is shown %s %s, in German %s', (stored, tonic, scale, german) => {
  expect(keyName(stored)).toEqual({ tonic, scale });
  expect(keyName(stored, { ...DEFAULT_NAMING, notes: 'german' }).tonic).toBe(german);
});

test('a new song is a chart without a problem', () => expect(readChart(NEW_SONG).problems).toEqual([]));
