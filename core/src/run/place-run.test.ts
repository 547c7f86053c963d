import { describe, expect, test } from '@jest/globals';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import { plainNote } from '../pitch/note.ts';
import { placeRun, type RunPlace } from './place-run.ts';
import type { RunPitch } from './run.ts';
import { strokesAs, withStrokes } from './strokes.ts';

const pitches = (...midi: readonly number[]): readonly RunPitch[] =>
  midi.map((at) => ({ midi: at, note: plainNote(at), number: '1', beats: 0.5, chord: -1 }));
const ANYWHERE: RunPlace = { strings: null, window: null };
const at = (notes: readonly { readonly string: number; readonly fret: number }[]) =>
  notes.map(({ string, fret }) => `${string}:${fret}`).join(' ');

describe('a place for every note', () => {
  test('a position holds a run without one shift', () => {
    const placed = placeRun(pitches(48, 50, 52, 53, 55, 57, 59, 60), { strings: null, window: [2, 6] }, STANDARD_GUITAR);
    expect(at(placed)).toBe('5:3 5:5 4:2 4:3 4:5 3:2 3:4 3:5');
    expect(placed.map(({ finger }) => finger).join('')).toBe('24124134');
    expect(placed.some(({ shift }) => shift)).toBe(false);
  });

  test('settled strings are kept; on one string the hand must shift', () => {
    const placed = placeRun(pitches(48, 55), { ...ANYWHERE, stringOf: [5, 5] }, STANDARD_GUITAR);
    expect(at(placed)).toBe('5:3 5:10');
    expect(placed.map(({ shift }) => shift)).toEqual([false, true]);
  });

  test('notes the place does not have are left out, the rest stays', () => {
    expect(at(placeRun(pitches(20, 48, 120), ANYWHERE, STANDARD_GUITAR))).not.toContain('NaN');
    expect(placeRun(pitches(20, 48, 120), ANYWHERE, STANDARD_GUITAR)).toHaveLength(1);
    expect(placeRun([], ANYWHERE, STANDARD_GUITAR)).toEqual([]);
    expect(placeRun(pitches(48), { strings: [1], window: null }, STANDARD_GUITAR)).toEqual([]);
  });

  test('nothing lies behind the capo', () => {
    const placed = placeRun(pitches(45, 47, 49, 50, 52), ANYWHERE, { ...STANDARD_GUITAR, capo: 4 });
    expect(placed.every(({ fret }) => fret >= 4)).toBe(true);
    expect(placed.find(({ midi }) => midi === 49)).toMatchObject({ string: 5, fret: 4, finger: 0 });
  });

  test('one finger stands for every pressed note, none for an open one', () => {
    const placed = placeRun(pitches(40, 41, 43, 45, 47, 48), ANYWHERE, STANDARD_GUITAR);
    for (const { fret, finger } of placed) expect(finger === 0).toBe(fret === 0);
  });
});

describe('strokes', () => {
  const run = placeRun(pitches(43, 45, 47, 48, 50, 52), { strings: null, window: [2, 7] }, STANDARD_GUITAR);

  test('strictly down and up', () =>
    expect(withStrokes(run, 'alternate').map(({ stroke }) => stroke)).toEqual(['down', 'up', 'down', 'up', 'down', 'up']));

  test('slurred in pairs: the second on a string is not struck, and the pick goes on alternating', () => {
    const struck = withStrokes(run, 'slurred');
    for (const [index, { slur, stroke, string }] of struck.entries()) {
      expect(slur === null).toBe(stroke !== null);
      if (slur !== null) expect(struck[index - 1]?.string).toBe(string);
    }
    const strokes = struck.flatMap(({ stroke }) => (stroke === null ? [] : [stroke]));
    expect(strokes).toEqual(strokes.map((_, index) => (index % 2 === 0 ? 'down' : 'up')));
  });

  test('up is a hammer, down a pull, after a shift a slide', () => {
    const on = (fret: number, shift = false) => ({ ...(run[0] as (typeof run)[number]), string: 3, fret, shift });
    const slurs = strokesAs([on(5), on(7), on(5), on(8, true)], ['down', null, null, null]).map(({ slur }) => slur);
    expect(slurs).toEqual([null, 'hammer', 'pull', 'slide']);
  });
});
