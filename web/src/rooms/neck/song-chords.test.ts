import { parseChord, printChord, readChart, requireValue } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { chordsPlayed, withBarAdded } from './song-chords.ts';

const chord = (text: string) => requireValue(parseChord(text));

test('chords in playing order, sections as often as they are played, a chord held over bars once', () => {
  const reading = readChart('key: G\n[A] x2\n1 1 (4 5) 1\n');
  const played = chordsPlayed(reading, 1);
  expect(played.map((one) => `${printChord(one.chord)} ${one.beats}`)).toEqual(['G 8', 'C 2', 'D 2', 'G 12', 'C 2', 'D 2', 'G 4']);
});

test('read with another home the same numbers give other letters; no chord is no chord', () => {
  const reading = readChart('key: G\n1 NC 57\n');
  expect(chordsPlayed(reading, -3).map((one) => printChord(one.chord))).toEqual(['Eb', 'Bb7']);
});

test.each([
  ['key: G\n[A]\n1 4 5\n', 'Em7', 1, 'key: G\n[A]\n1 4 5 6-7\n'],
  ['key: G\n[A]\n1 4 5 1\n', 'Em7', 1, 'key: G\n[A]\n1 4 5 1\n6-7\n'],
  ['key: G\n[A]\n1 4\n"slow"\n', 'C', 1, 'key: G\n[A]\n1 4\n"slow"\n4\n'],
  // the lens reads the song in E flat: what sounds as B flat 7 is its 5
  ['key: G\n[A]\n1 4\n', 'Bb7', -3, 'key: G\n[A]\n1 4 57\n'],
  ['key: Am\nnumbering: relative\n[A]\n6-\n', 'Em', 3, 'key: Am\nnumbering: relative\n[A]\n6- 3-\n'],
])('adding to %j gives one more bar', (source, symbol, tonic, wanted) => expect(withBarAdded(source, chord(symbol), tonic)).toBe(wanted));

test('nothing that was there is changed, and exactly one bar is new', () => {
  for (const source of ['', 'title: Empty\nkey: D\n', 'key: C\n[A]\n|: 1 4 :|\n', 'key: C\n1 4 # a remark to myself\n']) {
    const added = withBarAdded(source, chord('F'), 0);
    expect(added.startsWith(source.trimEnd())).toBe(true);
    expect(readChart(added).bars.length).toBe(readChart(source).bars.length + 1);
  }
});
