import { DEFAULT_NAMING, parseKey, readChart, requireValue, symbolText } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { beginChords, begunSong, furtherChords } from './begin-song.ts';

const key = (name: string) => requireValue(parseKey(name));

test.each([
  ['G', 'major', ['1', '2-', '3-', '4', '5', '6-', '7o'], ['G', 'Am', 'Bm', 'C', 'D', 'Em', 'F♯dim']],
  ['Eb', 'major', ['1', '2-', '3-', '4', '5', '6-', '7o'], ['E♭', 'Fm', 'Gm', 'A♭', 'B♭', 'Cm', 'Ddim']],
  ['Em', 'natural minor', ['1-', '2o', 'b3', '4-', '5-', 'b6', 'b7'], ['Em', 'F♯dim', 'G', 'Am', 'Bm', 'C', 'D']],
  ['Cm', 'natural minor', ['1-', '2o', 'b3', '4-', '5-', 'b6', 'b7'], ['Cm', 'Ddim', 'E♭', 'Fm', 'Gm', 'A♭', 'B♭']],
] as const)('the seven chords that can be pressed, in %s', (name, scale, texts, letters) => {
  const chords = beginChords(DEFAULT_NAMING, scale);
  expect(chords.map(({ text }) => text)).toEqual(texts);
  expect(chords.map(({ letterIn }) => symbolText(letterIn(key(name))))).toEqual(letters);
});

test.each([
  ['A', 'major', ['b7', '4-', '2', '57', 'b6', '17'], ['G', 'Dm', 'B', 'E7', 'F', 'A7']],
  ['Am', 'natural minor', ['5', '57', '4', '2-', 'b2', '1'], ['E', 'E7', 'D', 'Bm', 'B♭', 'A']],
] as const)('what songs borrow most, in %s', (name, scale, texts, letters) => {
  const chords = furtherChords(DEFAULT_NAMING, scale);
  expect(chords.map(({ text }) => text)).toEqual(texts);
  expect(chords.map(({ letterIn }) => symbolText(letterIn(key(name))))).toEqual(letters);
});

describe('the song that comes of it', () => {
  test('has its title, its key and four bars a line, and no fault', () => {
    const text = begunSong(' Rope Walk ', ['1-', 'b7', 'b6', '57', '1-'], key('Em'));
    expect(text).toBe('title: Rope Walk\nkey: Em\n\n1- b7 b6 57\n1-\n');
    expect(readChart(text).problems).toEqual([]);
  });

  test('without a title has none', () => expect(begunSong(' ', ['1'], key('G'))).toBe('key: G\n\n1\n'));
});
