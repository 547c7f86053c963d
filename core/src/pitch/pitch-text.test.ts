import { expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseNote } from './note-text.ts';
import { octaveOf, parsePitch, parseRange } from './pitch-text.ts';

test.each([
  ['C4', 60],
  ['A4', 69],
  ['E2', 40],
  ['Bb3', 58],
  ['B#3', 60],
  ['Cb4', 59],
  ['F##5', 79],
  ['C-1', 0],
])('%s is MIDI %i', (text, midi) => expect(requireValue(parsePitch(text))).toBe(midi));

test.each([
  [60, 'C', 4],
  [60, 'B#', 3],
  [59, 'Cb', 4],
  [59, 'B', 3],
  [0, 'C', -1],
])('%i called %s is in octave %i', (midi, name, octave) => expect(octaveOf(midi, requireValue(parseNote(name)))).toBe(octave));

test.each([
  ['A', 'pitch-octave'],
  ['H3', 'note-letter'],
  ['', 'empty'],
])('%j is no pitch', (text, code) => expect(parsePitch(text)).toMatchObject({ ok: false, fault: { code } }));

test.each([
  ['B3 D5', 59, 74],
  ['Bb3–F5', 58, 77],
  [' F#2   F#2 ', 42, 42],
])('the range %s goes from %i to %i', (text, low, high) => expect(requireValue(parseRange(text))).toEqual({ low, high }));

test.each([
  ['D5 B3', 'range-upside-down'],
  ['B3', 'range-notes'],
  ['B D', 'range-notes'],
  ['low', 'range-notes'],
  ['A3 B3 C4', 'range-notes'],
  ['', 'range-notes'],
])('%j is no range', (text, code) => expect(parseRange(text)).toMatchObject({ ok: false, fault: { code } }));
