import { DEFAULT_NAMING, placeOf, type Reduction, reduce, TICKS } from '@aurora/core';
import { readScore } from '@aurora/core/format';
import { expect, test } from '@jest/globals';
import { beatsIn, joinBefore, moveBorder, splitColumn, stepFrom } from './border-edit.ts';
import { engravedNames, TONE_LETTERS } from './engraved-marks.ts';
import { pieceSteps } from './piece-sound.ts';
import { columnBars, ridgeNamesOf } from './score-view.ts';

const HYMN =
  'X:1\nT:Quay Hymn\nM:4/4\nL:1/8\nK:C\nV:1\ne2ed e2g2|f8|f2fe d2B2|c8|c8|]\nV:2\n[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,,G,CE]8|[C,,G,CE]8|]\n';

function piece(): Reduction {
  const read = readScore('abc', new TextEncoder().encode(HYMN));
  if (!read.ok) throw new Error('not read');
  return reduce(read.value.score);
}

const REDUCTION = piece();

test('bars hold their harmonies, each as long as it lasts there; one that goes on says so', () => {
  const bars = columnBars(REDUCTION, 'every', DEFAULT_NAMING);
  expect(bars.map(({ number, beats }) => [number, beats])).toEqual([1, 2, 3, 4, 5].map((bar) => [bar, 4]));
  expect(bars.map(({ cells }) => cells.map(({ letter, beats, goesOn }) => [letter?.label, beats, goesOn]))).toEqual([
    [[expect.stringContaining('C'), 4, false]],
    [[expect.stringContaining('F'), 4, false]],
    [[expect.stringContaining('G'), 4, false]],
    [[expect.stringContaining('C'), 4, false]],
    [[expect.stringContaining('C'), 4, true]],
  ]);
  expect(bars[0]).toMatchObject({ newKey: 'C', cells: [{ tones: 1, isYours: false }] });
  expect(bars[3]?.cells[0]).toMatchObject({ cadence: 'authentic' });
});

test('less of it has fewer harmonies, and still fills every bar', () => {
  for (const { beats, cells } of columnBars(REDUCTION, 'cadences', DEFAULT_NAMING))
    expect(cells.reduce((sum, cell) => sum + cell.beats, 0)).toBe(beats);
});

test('the ridge has a name for every column', () => {
  const { letters, numbers } = ridgeNamesOf(REDUCTION, DEFAULT_NAMING);
  expect([letters.length, numbers.length]).toEqual([REDUCTION.columns.length, REDUCTION.columns.length]);
});

test('a border is moved by taking one away and drawing another, within the two columns beside it', () => {
  expect(moveBorder(REDUCTION, 1, 3 * TICKS)).toEqual([
    { kind: 'border', at: { bar: 2, beat: 1 }, isBorder: false },
    { kind: 'border', at: { bar: 1, beat: 4 }, isBorder: true },
  ]);
  expect(moveBorder(REDUCTION, 1, 0)).toEqual([]);
  expect(moveBorder(REDUCTION, 1, 8 * TICKS)).toEqual([]);
  expect(moveBorder(REDUCTION, 0, TICKS)).toEqual([]);
});

test('the nearest half beat on either side is where a border goes by a key', () => {
  expect(stepFrom(REDUCTION, 1, -1)).toBe(3.5 * TICKS);
  expect(stepFrom(REDUCTION, 1, 1)).toBe(4.5 * TICKS);
  expect(stepFrom(REDUCTION, 0, 1)).toBeNull();
});

test('a column is joined with the one before, or cut on the beat nearest to its middle', () => {
  expect(joinBefore(REDUCTION, 2)).toEqual([{ kind: 'border', at: { bar: 3, beat: 1 }, isBorder: false }]);
  expect(joinBefore(REDUCTION, 0)).toEqual([]);
  expect(splitColumn(REDUCTION, 1)).toEqual([{ kind: 'border', at: { bar: 2, beat: 3 }, isBorder: true }]);
});

test('what is said of borders makes them so', () => {
  const time = stepFrom(REDUCTION, 1, 1) ?? 0;
  expect(beatsIn(REDUCTION.score, { from: 4 * TICKS, to: 8 * TICKS })).toContain(time);
  expect(placeOf(REDUCTION.score, time)).toEqual({ bar: 2, beat: 1.5 });
});

test('the piece sounds note by note, its reduction chord by chord, both together; and from any place on', () => {
  const beats = (sound: 'piece' | 'reduction' | 'both') => pieceSteps(REDUCTION, sound, 0).reduce((sum, step) => sum + step.beats, 0);
  expect([beats('piece'), beats('reduction'), beats('both')]).toEqual([20, 20, 20]);
  expect(pieceSteps(REDUCTION, 'reduction', 0)).toHaveLength(REDUCTION.columns.length);
  expect(pieceSteps(REDUCTION, 'piece', 12 * TICKS)).toHaveLength(2);
  expect(pieceSteps(REDUCTION, 'piece', 99 * TICKS)).toEqual([]);
});

test('a note is engraved under the places it was written at, or its own', () => {
  const [note] = REDUCTION.score.notes;
  if (note === undefined) throw new Error('no note');
  expect(engravedNames(note, 3)).toEqual(['n3']);
  expect(engravedNames({ ...note, written: [4, 9] }, 3)).toEqual(['x4', 'x9']);
});

test('every kind has letters of its own', () => {
  expect(new Set(Object.values(TONE_LETTERS)).size).toBe(Object.keys(TONE_LETTERS).length);
});
