import {
  DEFAULT_NAMING,
  findVoicings,
  parseChord,
  parseKey,
  printFrets,
  requireValue,
  STANDARD_GUITAR,
  scaleRun,
  type Voicing,
} from '@aurora/core';
import { expect, test } from '@jest/globals';
import { type NeckDot, neckGeometry, nextDot, runDots, shapeDots, tapDots, toneDots, widened } from './neck-view.ts';

const chord = (text: string) => requireValue(parseChord(text));
const look = (labels: 'notes' | 'formula' | 'fingers') => ({ labels, naming: DEFAULT_NAMING });
const neck = neckGeometry(STANDARD_GUITAR, 22);

test('frets grow narrower up the neck and stay wide enough for a dot', () => {
  const widths = Array.from({ length: 22 }, (_, fret) => neck.fretX(fret + 1) - neck.fretX(fret));
  expect([...widths].sort((a, b) => b - a)).toEqual(widths);
  expect(widths.at(-1)).toBeGreaterThan(23);
});

test.each([
  // 1,150 pixels have room for ten frets of at most 120 beside the open strings
  ['a shape at the nut', { firstFret: 1, lastFret: 7 }, 1150, 22, { firstFret: 1, lastFret: 10 }],
  ['one near the body, where no fret is left beyond it', { firstFret: 17, lastFret: 22 }, 1150, 22, { firstFret: 13, lastFret: 22 }],
  ['a neck of few frets', { firstFret: 1, lastFret: 7 }, 2400, 12, { firstFret: 1, lastFret: 12 }],
  ['a phone', { firstFret: 3, lastFret: 9 }, 340, 22, { firstFret: 3, lastFret: 9 }],
  ['nothing measured yet', { firstFret: 3, lastFret: 9 }, 0, 22, { firstFret: 3, lastFret: 9 }],
])('the board is filled with frets: %s', (_name, asked, wide, frets, drawn) => expect(widened(asked, wide, frets)).toEqual(drawn));

test('string 1 is drawn on top; for the left hand the nut is at the right', () => {
  expect(neck.stringY(1)).toBeLessThan(neck.stringY(6));
  const mirrored = neckGeometry({ ...STANDARD_GUITAR, leftHanded: true }, 22);
  expect(mirrored.spaceX(0)).toBeGreaterThan(mirrored.spaceX(12));
  expect(mirrored.spaceX(5)).toBeCloseTo(neck.width - neck.spaceX(5));
});

test('dots carry notes or the formula, the root marked R', () => {
  const labels = (kind: 'notes' | 'formula') => new Set(toneDots(chord('Ebm'), STANDARD_GUITAR, 15, look(kind)).map(({ label }) => label));
  expect(labels('notes')).toEqual(new Set(['E♭', 'G♭', 'B♭']));
  expect(labels('formula')).toEqual(new Set(['R', '♭3', '5']));
});

test('a dot says its note, what it is, and where', () => {
  const names = toneDots(chord('C/Bb'), STANDARD_GUITAR, 15, look('notes')).map(({ name }) => name);
  expect(names).toContain('E, 3, string 6, open');
  expect(names).toContain('C, root, string 5, fret 3');
  expect(names).toContain('B♭, bass, string 5, fret 1');
});

test('a shape carries its fingers and says them', () => {
  const shape = findVoicings(chord('C'), STANDARD_GUITAR).voicings.find(({ frets }) => printFrets(frets) === 'x32010') as Voicing;
  const dots = shapeDots(shape, shape.fingering, look('fingers'));
  expect(dots.map(({ label }) => label)).toEqual(['3', '2', '', '1', '']);
  expect(dots.map(({ name }) => name)).toContain('C, root, string 5, fret 3, finger 3');
});

test('arrows go to the nearest dot that way, and stay at the edge', () => {
  const dot = (string: number, fret: number): NeckDot => ({ string, fret, midi: 0, root: false, label: '', name: '' });
  const [here, up, right, far] = [dot(3, 5), dot(2, 5), dot(3, 7), dot(1, 12)];
  const dots = [here, up, right, far];
  expect(nextDot(dots, here, 'right')).toBe(right);
  expect(nextDot(dots, here, 'up')).toBe(up);
  expect(nextDot(dots, here, 'left')).toBe(here);
  expect(nextDot(dots, right, 'right')).toBe(far);
});

test('a run marks its places once, by number where there is one root, by name over several chords', () => {
  const key = requireValue(parseKey('G'));
  const wish = { layout: 'position', position: 2, string: 5, from: 1, picking: 'alternate', octave: false, back: true } as const;
  const { notes } = scaleRun(key, wish, STANDARD_GUITAR);
  const places = new Set(notes.map(({ string, fret }) => `${string}:${fret}`));
  expect(runDots(notes, 1, look('formula'))).toHaveLength(places.size);
  expect(runDots(notes, 1, look('formula')).find(({ root }) => root)?.label).toBe('1');
  expect(runDots(notes, null, look('formula')).map(({ label }) => label)).toContain('F♯');
});

test('tapped places say what sounds there', () => {
  const dots = tapDots([null, 3, null, 0], [40, 45, 50, 55], (midi) => `note ${midi}`);
  expect(dots.map(({ string, fret, midi, label }) => [string, fret, midi, label])).toEqual([
    [3, 3, 48, 'note 48'],
    [1, 0, 55, 'note 55'],
  ]);
});
