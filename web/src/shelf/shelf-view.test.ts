import { DEFAULT_NAMING, readChart } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { symbolText } from '../notation/symbol-view.ts';
import { findSongs, keyName, NEW_SONG, openingBar } from './shelf-view.ts';

const song = (title: string, by: string, key: string) => ({
  id: title,
  title,
  by,
  key,
  tempo: null,
  bars: 0,
  opening: [],
  ridge: [],
  tags: [],
  archived: false,
  revision: 1,
  savedAt: '',
});
const SONGS = [song('Low Tide', 'Ann Oake', 'Bb'), song('High Wire', 'Ben', 'F#m'), song('Tidal', 'Ann Oake', 'D')];

test.each([
  ['', ['Low Tide', 'High Wire', 'Tidal']],
  ['tid', ['Low Tide', 'Tidal']],
  ['ann tide', ['Low Tide']],
  ['F#M', ['High Wire']],
  ['zebra', []],
])('looking for %j finds %j', (wanted, titles) => expect(findSongs(SONGS, wanted).map(({ title }) => title)).toEqual(titles));

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
